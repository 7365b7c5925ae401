import next from 'eslint-config-next/core-web-vitals';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      '.next/',
      '.next-demo/',
      '.next-test/',
      '.house/',
      'node_modules/',
      'data/',
      'next-env.d.ts',
      'test-results/',
      'playwright-report/',
    ],
  },
  ...next,
  ...tseslint.configs.strict,
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-empty-function': 'off',
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      complexity: ['error', 16],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness is passed in.' },
      ],
    },
  },
  { files: ['tests/support/noStyle.ts'], rules: { 'import/no-anonymous-default-export': 'off' } },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-globals': ['error', 'Date', 'fetch', 'process', 'console', 'setTimeout'] },
  },
);
