/** Unit tests beside their files, and the comparisons of docs/validation.md; the real interface is tested by Playwright in tests/e2e. */
const esm =
  '(@tanstack|d3|d3-[a-z-]+|internmap|delaunator|robust-predicates|comlink|iron-session|iron-webcrypto|uncrypto|cookie)';

const config = {
  testMatch: [
    '<rootDir>/src/**/*.test.ts',
    '<rootDir>/tests/validation/*.test.ts',
    '<rootDir>/tests/scripts/*.test.ts',
    '<rootDir>/src/**/*.test.tsx',
  ],
  testEnvironment: 'node',
  maxWorkers: '100%',
  testTimeout: 240_000,
  setupFiles: ['<rootDir>/tests/support/properties.ts'],
  moduleNameMapper: {
    '^next/headers$': '<rootDir>/tests/support/nextHeaders.ts',
    '\\.css$': '<rootDir>/tests/support/noStyle.ts',
    '^@/(.*)$': '<rootDir>/src/$1',
  },
  transform: {
    '^.+\\.[mc]?[jt]sx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  transformIgnorePatterns: [`/node_modules/(?!${esm}/)`],
};

export default config;
