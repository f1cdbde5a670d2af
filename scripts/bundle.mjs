// Bundles each script that is loaded by itself: a third of the size that the page's own bundler makes, and safe from its tree
// shaking.
import path from 'node:path';
import { build } from 'esbuild';
import { root } from './lib.mjs';

const SCRIPTS = {
  'workers/core.worker.ts': 'core-worker.js',
  'workers/paper.worker.ts': 'paper-worker.js',
  'workers/files.worker.ts': 'files-worker.js',
};

export async function bundleScripts() {
  await Promise.all(
    Object.entries(SCRIPTS).map(([from, to]) =>
      build({
        entryPoints: [path.join(root, 'src', from)],
        outfile: path.join(root, 'public', to),
        bundle: true,
        minify: true,
        format: 'iife',
        target: 'es2020',
        loader: { '.ttf': 'base64' },
        alias: { '@': path.join(root, 'src') },
        logLevel: 'warning',
      }),
    ),
  );
}
