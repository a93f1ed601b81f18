import js from '@eslint/js';
import nextPlugin from '@next/eslint-plugin-next';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/**
 * The direction of imports. The core's stages stand in the order of the work, and none imports a later one;
 * the core knows nothing of Node, React, the database or the interface.
 */
const STAGES = [
  ['mockup'],
  ['findings', 'type', 'look', 'markup'],
  ['read'],
  ['sort'],
  ['pictures'],
  ['page'],
  ['style'],
  ['emit'],
];

const folder = (name) => [`**/${name}/**`, `@/core/${name}/**`];
/** `findings` names layers only as types, and `mockup` knows no later stage. */
const stageRules = STAGES.flatMap((names, at) => {
  const later = STAGES.slice(at + 1).flat();
  return names.map((name) => ({
    files: [`src/core/${name}/**/*.ts`],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            ...(later.length > 0
              ? [{ group: later.flatMap(folder), message: 'A stage of the core never imports a later one.' }]
              : []),
            ...OUTSIDE_CORE(),
          ],
        },
      ],
    },
  }));
});

function OUTSIDE_CORE() {
  return [
    {
      group: [
        'node:*',
        'fs',
        'path',
        'crypto',
        'next',
        'next/*',
        '@mui/*',
        'pg',
        'pg-boss',
        'sharp',
        'fontkit',
      ],
      message: 'The core is pure: no Node, React, SQL or rasteriser.',
    },
    { regex: '^(?:react|react-dom|vue)(?:/|$)', message: 'The core is pure: no interface library.' },
    {
      group: ['**/engine/**', '**/server/**', '**/ui/**', '**/app/**', '**/cli/**'],
      message: 'The core imports nothing outside of it.',
    },
  ];
}

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      '.orden/**',
      'node_modules/**',
      'next-env.d.ts',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      '@typescript-eslint/no-dynamic-delete': 'off',
      'no-undef': 'off',
      eqeqeq: 'error',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: OUTSIDE_CORE() }],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'Buffer'],
    },
  },
  ...stageRules,
  {
    files: ['src/engine/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/server/**', '**/ui/**', '**/app/**', '**/cli/**', 'next', 'next/*'],
              message: 'The engine serves the core; it knows no server and no interface.',
            },
            { regex: '^react(?:-dom)?(?:/|$)', message: 'The engine knows no interface.' },
          ],
        },
      ],
    },
  },
  {
    files: ['src/cli/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/server/**', '**/ui/**', '**/app/**', 'pg', 'pg-boss'],
              message: 'The command works without a server or a database.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/server/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['**/ui/**', '**/app/**', '**/cli/**'], message: 'The server knows no interface.' },
          ],
        },
      ],
    },
  },
  {
    files: ['src/ui/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      ...reactHooks.configs.recommended.rules,
      // It only says that the compiler skips the component; no compiler is used here.
      'react-hooks/incompatible-library': 'off',
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/server/**', '**/engine/**'],
              allowTypeImports: true,
              message: 'The interface takes only types from the server; values come by requests.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/app/**/*.{ts,tsx}'],
    plugins: { '@next/next': nextPlugin },
    rules: { ...nextPlugin.configs.recommended.rules },
  },
);
