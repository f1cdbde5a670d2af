// cspell:ignore dont
// The web export: into a separate folder first, so that a failed build keeps the last good one.
import { existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { bin, root, run } from './lib.mjs';

export const distDir = path.join(root, 'dist');
const nextDir = path.join(root, 'dist-next');

const SOURCES = [
  'app',
  'src',
  'assets',
  'public/index.html',
  'public/manifest.webmanifest',
  'public/fonts',
  'public/icons',
  'scripts/export.mjs',
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
  const { makePublic } = await import('./public.mjs');
  await makePublic();
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
  await makeServiceWorker();
  await compress();
  rmSync(distDir, { recursive: true, force: true });
  renameSync(nextDir, distDir);
}

const MB = 1_000_000;

/** The service worker, which caches the whole application: one version until a newer one is adopted as a whole. */
async function makeServiceWorker() {
  const { generateSW } = await import('workbox-build');
  const { count, size, warnings } = await generateSW({
    globDirectory: nextDir,
    globPatterns: ['**/*.{html,js,css,woff2,png,ico,webmanifest,csv}', 'demo-workshop.json'],
    swDest: path.join(nextDir, 'sw.js'),
    cacheId: 'under-ridge',
    // Every file but the page and the workers carries its hash in its name.
    dontCacheBustURLsMatching: /[.-][0-9a-f]{32}\./,
    maximumFileSizeToCacheInBytes: 6 * MB,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//, /^\/bench(\/|$)/],
    // A first visit works offline at once; a newer version waits for confirmation.
    clientsClaim: true,
    skipWaiting: false,
    cleanupOutdatedCaches: true,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    mode: 'production',
  });
  for (const warning of warnings) console.warn(warning);
  console.log(`Offline: ${count} files, ${(size / MB).toFixed(1)} MB`);
}

const TEXT = /\.(html|js|css|json|svg|csv|webmanifest)$/;
const WORTH_BYTES = 1024;

/** Compressed once here, so that the server need not do it at each request. */
async function compress() {
  const [toGzip, toBrotli] = [promisify(gzip), promisify(brotliCompress)];
  const files = readdirSync(nextDir, { recursive: true })
    .map((name) => path.join(nextDir, name))
    .filter((file) => TEXT.test(file) && statSync(file).size > WORTH_BYTES);
  await Promise.all(
    files.map(async (file) => {
      const content = await readFile(file);
      await writeFile(`${file}.gz`, await toGzip(content, { level: 9 }));
      const params = { [constants.BROTLI_PARAM_QUALITY]: 9 };
      await writeFile(`${file}.br`, await toBrotli(content, { params }));
    }),
  );
}
