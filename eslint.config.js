const { defineConfig, globalIgnores } = require('eslint/config');
const expo = require('eslint-config-expo/flat.js');
const globals = require('globals');
const tseslint = require('typescript-eslint');
const plainWords = require('./scripts/plainWords.cjs');

/** What the core may not know of: it runs in a worker and on the command line as well as under React. */
const CORE_STRANGERS = [
  'react',
  'react-*',
  'react-native*',
  'expo*',
  '@expo/*',
  '@reduxjs/*',
  '@react-native-async-storage/*',
  'joi',
  'express',
  'node:*',
];

/** Where React is. Its rules work out all that a function does, and find nothing to say of what is no component. */
const WITH_REACT = ['app/**', 'src/{features,state,ui,workers}/**'];

const REACT_RULES = expo
  .flatMap(({ rules }) => Object.keys(rules ?? {}))
  .filter((rule) => /^react(-hooks)?\//.test(rule));

module.exports = defineConfig([
  globalIgnores([
    'dist*',
    '.expo',
    '.cache',
    'public/*.js',
    'node_modules',
    'coverage',
    'test-results',
    'playwright-report',
  ]),
  expo,
  {
    files: ['**/*.{ts,js,mjs,cjs}'],
    ignores: WITH_REACT,
    rules: Object.fromEntries(REACT_RULES.map((rule) => [rule, 'off'])),
  },
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.strict],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'separate-type-imports' },
      ],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      eqeqeq: 'error',
      // The compiler says the same, in a tenth of the time.
      'import/namespace': 'off',
      'import/no-unresolved': 'off',
      // fast-check and Joi are used by their default export, as their own pages do.
      'import/no-named-as-default-member': 'off',
      'import/no-named-as-default': 'off',
      'no-console': ['error', { allow: ['warn', 'error'] }],
    },
  },
  {
    files: ['**/*.{ts,tsx,js,mjs}'],
    plugins: { project: { rules: { 'plain-words': plainWords } } },
    rules: { 'project/plain-words': 'error' },
  },
  // Words in a language's order cost 40 ms the first time: one place does it, and only when asked.
  {
    files: ['src/**/*.{ts,tsx}', 'app/**/*.tsx'],
    ignores: ['**/__tests__/**', 'src/core/order.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[property.name='localeCompare'], Identifier[name='Intl']",
          message: 'core/order.ts has the orders: byName for what is read, byText for the rest.',
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/__tests__/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: CORE_STRANGERS,
              message:
                'The core is the lowest layer: no interface, storage, files or platform in it.',
            },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'fetch',
        'process',
        'navigator',
      ],
      'no-restricted-properties': [
        'error',
        {
          object: 'Math',
          property: 'random',
          message: 'The core is repeatable: take a seeded source.',
        },
        {
          object: 'Date',
          property: 'now',
          message: 'The core is pure: take the time as an argument.',
        },
      ],
    },
  },
  {
    files: [
      'server/**',
      'src/cli/**',
      'scripts/**',
      'bench/**',
      'e2e/**',
      '*.config.js',
      '*.config.ts',
    ],
    languageOptions: { globals: globals.node },
    rules: { 'no-console': 'off' },
  },
  {
    files: ['**/*.test.{ts,tsx}', 'scripts/jest-*.js'],
    languageOptions: { globals: globals.jest },
  },
  // A test may assume the value it has just created; otherwise the test fails.
  {
    files: ['**/*.test.{ts,tsx}'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
]);
