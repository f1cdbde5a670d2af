// npm run bench: prints figures of speed and size. Nothing here passes or fails.
import path from 'node:path';
import { cacheDir, ensureCache, ensureInstalled, root, run } from './lib.mjs';
import { exportIsStale, exportWeb } from './export.mjs';

ensureInstalled();
const { build } = await import('esbuild');
if (exportIsStale()) await exportWeb();
// Bundled as it ships: module by module, the loader's own getters would be measured too.
ensureCache();
for (const part of [
  'core',
  'shelf',
  'size',
  'interface',
  'editor',
  'hands',
  'cutaway',
  'meets',
  'opening',
  'paper',
  'workshop',
  'server',
]) {
  const outfile = path.join(cacheDir, `bench-${part}.mjs`);
  await build({
    entryPoints: [path.join(root, 'bench', `${part}.ts`)],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    alias: { '@': path.join(root, 'src') },
    logLevel: 'warning',
  });
  const code = await run(process.execPath, [outfile], {
    env: { ...process.env, UNDER_RIDGE_ROOT: root },
  });
  if (code !== 0) process.exit(code);
}
