// Shared code of the commands: paths, installing packages, running programs.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, mkdirSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import path from 'node:path';

export const root = path.resolve(import.meta.dirname, '..');
export const cacheDir = path.join(root, '.cache');
export const isWindows = process.platform === 'win32';

/** A program of an installed package. */
export const bin = (name) => path.join(root, 'node_modules/.bin', isWindows ? `${name}.cmd` : name);

/** Runs a program to its end; resolves with its exit code. */
export function run(command, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: 'inherit',
      shell: isWindows,
      ...options,
    });
    child.on('error', reject);
    child.on('close', (code, signal) => resolve(signal ? 1 : code));
  });
}

/** Runs a program to its end with its output kept back, so that two can run beside each other. */
export function runKept(command, args) {
  return new Promise((resolve, reject) => {
    const env = { ...process.env, CI: '1', EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1' };
    const child = spawn(command, args, { cwd: root, shell: isWindows, env });
    const output = [];
    child.stdout.on('data', (data) => output.push(data));
    child.stderr.on('data', (data) => output.push(data));
    child.on('error', reject);
    child.on('close', (code, signal) =>
      resolve({ code: signal ? 1 : code, output: Buffer.concat(output).toString() }),
    );
  });
}

const hashOf = (file) => createHash('sha256').update(readFileSync(file)).digest('hex');

/** Installs the locked packages unless they match the lock file. */
export function ensureInstalled({ quiet = false } = {}) {
  const lock = path.join(root, 'package-lock.json');
  const mark = path.join(root, 'node_modules/.under-ridge-lock');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === hashOf(lock)) return;
  if (!quiet) console.log('Installing packages (once; one to three minutes) …');
  const npm = spawnSync('npm', ['ci'], {
    cwd: root,
    stdio: quiet ? ['ignore', 'ignore', 'inherit'] : 'inherit',
    shell: isWindows,
  });
  if (npm.status !== 0) {
    console.error(
      'Packages could not be installed: see the lines above. Is the npm registry reachable?',
    );
    process.exit(1);
  }
  writeFileSync(mark, hashOf(lock));
}

export function ensureCache() {
  mkdirSync(cacheDir, { recursive: true });
}
