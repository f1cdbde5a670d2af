// npm start: installs missing packages, builds if sources are newer than the export, and serves it.
import path from 'node:path';
import { spawn } from 'node:child_process';
import { bin, ensureInstalled, isWindows, root } from './lib.mjs';
import { exportIsStale, exportWeb } from './export.mjs';

const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Under Ridge needs Node.js 20.19 or later; this is ${process.versions.node}.`);
  process.exit(1);
}
ensureInstalled();
if (exportIsStale()) {
  console.log('Building the application (one to three minutes the first time) …');
  await exportWeb();
}
const server = spawn(bin('tsx'), [path.join(root, 'server/main.ts'), ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
  shell: isWindows,
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('close', (code) => process.exit(code ?? 0));
