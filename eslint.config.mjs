import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/**
 * Rules that take most of the time and seldom find anything: on in the slow run, `npm run test:slow`.
 */
const isSlow = process.env.GARNISH_SLOW_LINT === '1';

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
    languageOptions: {
      parserOptions: {
        project: ['./tsconfig.json', './core/tsconfig.json', './web/tsconfig.json'],
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
      ...(!isSlow && {
        '@typescript-eslint/no-deprecated': 'off',
        '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      }),
      // The compiler lets no enum through (`erasableSyntaxOnly`).
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
      '@typescript-eslint/no-unsafe-enum-comparison': 'off',
      // A name in a variable may come from outside, and every object has some that nobody gave it.
      'no-restricted-syntax': [
        'error',
        {
          selector: 'BinaryExpression[operator="in"][left.type!="Literal"]',
          message: 'Ask Object.hasOwn: `in` finds what every object has, too.',
        },
      ],
    },
  },
  isSlow
    ? {
        files: ['web/src/**/*.{ts,tsx}'],
        ...reactHooks.configs.flat.recommended,
        // Only the React Compiler, which is not used here, minds functions that cannot be memoized.
        rules: {
          ...reactHooks.configs.flat.recommended.rules,
          'react-hooks/incompatible-library': 'off',
        },
      }
    : {
        files: ['web/src/**/*.{ts,tsx}'],
        plugins: { 'react-hooks': reactHooks },
        rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'warn' },
      },
);
