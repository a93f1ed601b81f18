// Prints what linters and formatters say of the components in a folder, a line each: node lint.mjs react|vue FOLDER
import { readFileSync } from 'node:fs';
import { ESLint } from 'eslint';
import reactHooks from 'eslint-plugin-react-hooks';
import vue from 'eslint-plugin-vue';
import { check } from 'prettier';
import tseslint from 'typescript-eslint';

const [target, folder] = process.argv.slice(2);
const parsed = { parserOptions: { parser: tseslint.parser, ecmaFeatures: { jsx: true } } };

const RULES = {
  react: [
    {
      files: ['**/*.tsx'],
      languageOptions: { parser: tseslint.parser, ...parsed },
      plugins: { 'react-hooks': reactHooks, '@typescript-eslint': tseslint.plugin },
      rules: {
        ...reactHooks.configs.recommended.rules,
        '@typescript-eslint/no-unused-vars': 'error',
        '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
        'no-unneeded-ternary': 'error',
      },
    },
  ],
  vue: [
    ...vue.configs['flat/recommended'],
    {
      files: ['**/*.vue'],
      languageOptions: parsed,
      rules: {
        // A field without a usual value is one that may be absent, as its type says.
        'vue/require-default-prop': 'off',
        // Lines around words are white space, which is drawn where a text keeps its spaces.
        'vue/singleline-html-element-content-newline': 'off',
        'vue/multiline-html-element-content-newline': 'off',
      },
    },
  ],
};

const eslint = new ESLint({ overrideConfigFile: true, ignore: false, overrideConfig: RULES[target] });
const results = await eslint.lintFiles([`${folder}/**/*.${target === 'react' ? 'tsx' : 'vue'}`]);
for (const { filePath, messages } of results) {
  for (const { ruleId, line, message } of messages) console.log(`${filePath}:${line} ${ruleId}: ${message}`);
  const isAsPrinted =
    target === 'vue' || (await check(readFileSync(filePath, 'utf8'), { parser: 'typescript' }));
  if (!isAsPrinted) console.log(`${filePath}: the formatter writes it otherwise`);
}
console.log(`${results.length} files`);
