// npm run bench: prints figures of speed and size. Nothing here passes or fails.
import path from 'node:path';
import { bin, ensureInstalled, root, run } from './lib.mjs';
import { exportIsStale, exportWeb } from './export.mjs';

ensureInstalled();
if (exportIsStale()) await exportWeb();
for (const part of ['core.ts', 'size.ts']) {
  const code = await run(bin('tsx'), [path.join(root, 'bench', part)]);
  if (code !== 0) process.exit(code);
}
