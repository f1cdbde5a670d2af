require('@testing-library/jest-dom');

// The DOM of the tests lacks what every browser has.
globalThis.TextEncoder ??= require('node:util').TextEncoder;
