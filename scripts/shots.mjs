// npm run shots: the pictures in docs/screenshots, from the demo data.
import path from 'node:path';
import { bin, ensureInstalled, root, run } from './lib.mjs';
import { exportIsStale, exportWeb } from './export.mjs';

ensureInstalled();
if (exportIsStale()) await exportWeb();
process.exitCode = await run(bin('tsx'), [path.join(root, 'bench/shots.ts')]);
