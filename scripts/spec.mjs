// npm run --silent spec -- FILE.json
import path from 'node:path';
import { bin, ensureInstalled, root, run } from './lib.mjs';

ensureInstalled({ quiet: true });
process.exitCode = await run(
  bin('tsx'),
  [
    path.join(root, 'src/cli/spec.ts'),
    ...process.argv
      .slice(2)
      .map((arg) => (arg.startsWith('-') ? arg : path.resolve(process.env.INIT_CWD ?? '.', arg))),
  ],
  { cwd: root },
);
