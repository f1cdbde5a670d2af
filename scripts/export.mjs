// The web export: into a folder of its own first, so that a failed build leaves the last good one standing.
import { existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { bin, root, run } from './lib.mjs';

export const distDir = path.join(root, 'dist');
const nextDir = path.join(root, 'dist-next');

const SOURCES = [
  'app',
  'src',
  'assets',
  'app.json',
  'metro.config.js',
  'babel.config.js',
  'package-lock.json',
  'tsconfig.json',
];

function newest(file) {
  if (!existsSync(file)) return 0;
  const stat = statSync(file);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(
    stat.mtimeMs,
    0,
    ...readdirSync(file).map((name) => newest(path.join(file, name))),
  );
}

/** Whether any source is newer than the export, or there is none. */
export function exportIsStale() {
  const index = path.join(distDir, 'index.html');
  return (
    !existsSync(index) ||
    Math.max(...SOURCES.map((s) => newest(path.join(root, s)))) > statSync(index).mtimeMs
  );
}

export async function exportWeb() {
  // Imported late: packages may only just have been installed.
  const { bundleWorker } = await import('./worker.mjs');
  await bundleWorker();
  rmSync(nextDir, { recursive: true, force: true });
  const code = await run(bin('expo'), ['export', '-p', 'web', '--output-dir', 'dist-next'], {
    env: {
      ...process.env,
      CI: '1',
      EXPO_OFFLINE: '1',
      EXPO_NO_TELEMETRY: '1',
      EXPO_UNSTABLE_METRO_OPTIMIZE_GRAPH: '1',
      EXPO_UNSTABLE_TREE_SHAKING: '1',
    },
  });
  if (code !== 0) throw new Error('The web export failed: see the lines above.');
  rmSync(distDir, { recursive: true, force: true });
  renameSync(nextDir, distDir);
}
