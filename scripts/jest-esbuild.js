// Jest transform for what has no interface: esbuild strips the types in a fraction of Babel's time.
const { transformSync } = require('esbuild');

module.exports = {
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
