require('@testing-library/jest-dom');

// Adds to the DOM of the tests what every browser has.
globalThis.TextEncoder ??= require('node:util').TextEncoder;
