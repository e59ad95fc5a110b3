import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import garnish from './tools/lint/own-keys.mjs';

/**
 * The slow run, `npm run test:slow`: everything that the quick linter asks (see .oxlintrc.json), once more by
 * the linter that its rules come from, and what the quick one does not know.
 */
export default tseslint.config(
  { ignores: ['**/dist/', '**/node_modules/', '.garnish/'] },
  js.configs.recommended,
  {
    files: ['**/*.mjs'],
    languageOptions: { globals: { console: 'readonly', process: 'readonly', URL: 'readonly' } },
  },
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.strictTypeChecked],
    plugins: { garnish },
    languageOptions: {
      parserOptions: {
        // The sources of core are in the first as well.
        project: ['./tsconfig.json', './web/tsconfig.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      eqeqeq: 'error',
      // The compiler lets no enum through (`erasableSyntaxOnly`).
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
      '@typescript-eslint/no-unsafe-enum-comparison': 'off',
      'garnish/own-keys': 'error',
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    ...reactHooks.configs.flat.recommended,
    // Only the React Compiler, which is not used here, minds functions that cannot be memoized.
    rules: {
      ...reactHooks.configs.flat.recommended.rules,
      'react-hooks/incompatible-library': 'off',
    },
  },
);
