require('@testing-library/jest-dom');

jest.mock('expo-font', () => ({
  isLoaded: () => true,
  loadAsync: () => Promise.resolve(),
  useFonts: () => [true, null],
}));

// The DOM of the tests lacks what every browser has.
globalThis.TextEncoder ??= require('node:util').TextEncoder;
