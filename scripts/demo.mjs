// The demo workshop, evaluated by the core at build time, so that a first visit does not wait for it.
import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import { build } from 'esbuild';
import { root } from './lib.mjs';

export async function makeDemo() {
  const { outputFiles } = await build({
    entryPoints: [path.join(root, 'src/demo/workshop.ts')],
    bundle: true,
    write: false,
    format: 'esm',
    platform: 'node',
    alias: { '@': path.join(root, 'src') },
    logLevel: 'warning',
  });
  const code = Buffer.from(outputFiles[0].contents).toString('base64');
  const { demoWorkshop } = await import(`data:text/javascript;base64,${code}`);
  await writeFile(path.join(root, 'public/demo-workshop.json'), JSON.stringify(demoWorkshop()));
}
