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

const shared = {
  // The presets leave these as they are.
  transform: { '\\.mjs$': 'babel-jest' },
  transformIgnorePatterns: [`node_modules/(?!(${ESM}))`],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '\\.(woff2|css)$': '<rootDir>/scripts/jest-file-stub.js',
    '^@react-native-vector-icons/material-design-icons$': '<rootDir>/src/ui/icons/PaperIcon.tsx',
  },
};

/** Two projects: the core and everything without an interface run in Node, shared parts in a DOM. */
module.exports = {
  projects: [
    {
      preset: 'jest-expo/node',
      displayName: 'core',
      rootDir: __dirname,
      setupFilesAfterEnv: ['<rootDir>/scripts/jest-core-setup.js'],
      testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/server/**/*.test.ts'],
      ...shared,
    },
    {
      preset: 'jest-expo/web',
      displayName: 'dom',
      rootDir: __dirname,
      setupFilesAfterEnv: ['<rootDir>/scripts/jest-dom-setup.js'],
      testMatch: ['<rootDir>/src/**/*.test.tsx'],
      ...shared,
    },
  ],
};
