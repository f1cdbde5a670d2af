const ESM = [
  '(jest-)?react-native',
  '@react-native',
  '@react-native-community',
  'expo',
  '@expo',
  'expo-modules-core',
  'react-navigation',
  '@react-navigation',
  'react-redux',
  '@reduxjs',
  'immer',
  'redux',
  'reselect',
  'd3-',
  'internmap',
  'comlink',
  'date-fns',
  'standard-navigation',
  'idb',
  'fast-check',
  'pure-rand',
  '@noble',
].join('|');

/** Two projects: the core and everything without an interface run in Node, shared parts in a DOM. */
module.exports = {
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      setupFilesAfterEnv: ['<rootDir>/scripts/jest-core-setup.js'],
      rootDir: __dirname,
      testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/server/**/*.test.ts'],
      transform: { '\\.(ts|mjs|js)$': '<rootDir>/scripts/jest-esbuild.js' },
      transformIgnorePatterns: [`node_modules/(?!(${ESM}))`],
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
    },
    {
      displayName: 'dom',
      preset: 'jest-expo/web',
      rootDir: __dirname,
      // The preset leaves these as they are.
      transform: { '\\.mjs$': '<rootDir>/scripts/jest-esbuild.js' },
      testMatch: ['<rootDir>/src/**/*.test.tsx'],
      setupFilesAfterEnv: ['<rootDir>/scripts/jest-dom-setup.js'],
      transformIgnorePatterns: [`node_modules/(?!(${ESM}))`],
      moduleNameMapper: {
        '^@/(.*)$': '<rootDir>/src/$1',
        '\\.(woff2|css)$': '<rootDir>/scripts/jest-file-stub.js',
        '^@react-native-vector-icons/material-design-icons$':
          '<rootDir>/src/ui/icons/PaperIcon.tsx',
      },
    },
  ],
};
