import expo from 'eslint-config-expo/flat.js';
import { configs } from 'typescript-eslint';

/** The rooms where something is waited for. The others are plain functions, and to ask the compiler about each takes minutes. */
const WAITING = ['server', 'app', 'e2e'];

export default [
  {
    ignores: [
      '**/node_modules/**',
      '**/dist/**',
      '**/.expo/**',
      'test-results/**',
      '.bare/**',
      'app/nativewind-env.d.ts',
    ],
  },
  ...expo,
  ...configs.strict,
  {
    // Its index brings the whole of it along; each function has a file of its own.
    files: ['app/src/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': ['error', { paths: [{ name: 'date-fns', message: 'Import date-fns/<function>.' }] }],
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      'no-console': 'error',
      // A schema and the type inferred from it share one name; the compiler knows them apart.
      '@typescript-eslint/no-redeclare': 'off',
      // Packages are resolved by the compiler, which knows the rooms' export maps; this rule does not.
      'import/no-unresolved': 'off',
      'import/namespace': 'off',
      'import/no-named-as-default-member': 'off',
    },
  },
  {
    files: WAITING.map((room) => `${room}/**/*.{ts,tsx}`),
    ignores: ['e2e/bare/**'],
    languageOptions: {
      parserOptions: {
        project: WAITING.map((room) => `./${room}/tsconfig.json`),
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      // A promise that nobody waits for says so: what goes wrong in it would vanish.
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      '@typescript-eslint/await-thenable': 'error',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
          message: 'Time is passed in.',
        },
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Time is passed in.' },
        {
          selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
          message: 'Chance is passed in.',
        },
      ],
    },
  },
  {
    files: ['**/*.test.{ts,tsx}'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    files: ['**/*.cjs', 'app/*.js', 'e2e/bare/*.js'],
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
];
