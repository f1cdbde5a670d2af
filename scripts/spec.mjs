// npm run --silent spec -- FILE.json [options]
import path from 'node:path';
import { bin, ensureInstalled, root, run } from './lib.mjs';

ensureInstalled({ quiet: true });
process.exitCode = await run(
  bin('tsx'),
  [
    '--tsconfig',
    path.join(root, 'tsconfig.json'),
    path.join(root, 'src/cli/main.ts'),
    ...process.argv.slice(2),
  ],
  // Paths are meant from where the command was given.
  { cwd: process.env.INIT_CWD ?? root },
);
