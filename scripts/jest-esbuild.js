// Jest transform for what has no interface: esbuild strips the types in a fraction of Babel's time.
const { transformSync } = require('esbuild');

const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');

const ownHash = createHash('sha256').update(readFileSync(__filename)).digest('hex');

module.exports = {
  /** A change of this file makes what was transformed before stale. */
  getCacheKey(source, filename) {
    return createHash('sha256').update(ownHash).update(filename).update(source).digest('hex');
  },
  process(source, filename) {
    const { code, map } = transformSync(source, {
      loader: filename.endsWith('.ts') ? 'ts' : 'js',
      format: 'cjs',
      target: 'node20',
      // Jest's own module registry is asked by require, also for what loads on demand.
      supported: { 'dynamic-import': false },
      sourcemap: true,
      sourcefile: filename,
    });
    return { code, map };
  },
};
