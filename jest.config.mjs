/** Unit tests stand beside what they test; those of the engine and server run in Node, those of the interface in jsdom. */
const shared = {
  transform: {
    '^.+\\.(t|j|mj)sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2022',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  // Published as ES modules only; Jest wants them transformed.
  transformIgnorePatterns: [
    '/node_modules/(?!(css-select|css-what|domutils|domhandler|domelementtype|dom-serializer|entities|nth-check|boolbase|pixelmatch|pngjs|@bramus|comlink|culori|flatbush|flatqueue|lru-cache|any-ascii)/)',
  ],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
};

export default {
  testTimeout: 120_000,
  // Jest leaves one processor to the terminal; on two that would mean one test file at a time.
  maxWorkers: '100%',
  projects: [
    {
      ...shared,
      displayName: 'core',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/src/{core,engine,cli,server}/**/*.test.ts', '<rootDir>/tests/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'interface',
      testEnvironment: 'jsdom',
      testMatch: ['<rootDir>/src/ui/**/*.test.{ts,tsx}'],
      setupFiles: ['<rootDir>/tests/support/jsdom.ts'],
    },
  ],
};
