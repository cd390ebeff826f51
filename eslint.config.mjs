import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', 'docs/**'] },
  js.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [...ts.configs.recommendedTypeChecked],
    languageOptions: {
      parserOptions: {
        project: [
          'packages/core/tsconfig.test.json',
          'packages/words/tsconfig.test.json',
          'packages/exports/tsconfig.test.json',
          'apps/server/tsconfig.test.json',
          'apps/web/tsconfig.json',
          'apps/cli/tsconfig.json',
          'e2e/tsconfig.json',
        ],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      '@typescript-eslint/no-confusing-void-expression': 'off',
      // A number that carries what it measures (`Mm`) is a number; the rule does not know it for one.
      '@typescript-eslint/no-unsafe-unary-minus': 'off',
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  // supertest answers with untyped bodies; each test says what it expects of them.
  { files: ['apps/server/test/**/*.ts'], rules: { '@typescript-eslint/no-unsafe-assignment': 'off' } },
  // Nest injects by class value: a type-only import would erase it.
  { files: ['apps/server/**/*.ts'], rules: { '@typescript-eslint/consistent-type-imports': 'off' } },
  { files: ['apps/web/**/*.tsx', 'apps/web/**/*.ts'], ...hooks.configs.flat.recommended },
  // Core knows no clock, no chance, no globals of a platform.
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'packages/core/src/test/**'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'setTimeout',
        'performance',
        'globalThis',
        'Date',
      ],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
    },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
      },
    },
    rules: { 'no-console': 'off' },
  },
);
