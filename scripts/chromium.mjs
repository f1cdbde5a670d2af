// Where Debian's Chromium is. The shell without a window draws a frame in less time, and the tests are mostly frames.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const SHELL = { file: '/usr/bin/chromium-headless-shell', package: 'chromium-headless-shell' };
const WHOLE = { file: '/usr/bin/chromium', package: 'chromium' };

const first = (...wanted) =>
  process.env.CHROMIUM ?? wanted.map(({ file }) => file).find(existsSync) ?? wanted[0].file;

/** The browser for tests: CHROMIUM if set, else the headless shell, else the full browser. */
export const chromiumPath = () => first(SHELL, WHOLE);

/** The browser that is measured and pictured: the whole one, as people use it, where there is one. */
export const wholeChromiumPath = () => first(WHOLE, SHELL);

/** Runs apt-get quietly; whether it went well. */
function apt(...args) {
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const [command, ...rest] = [...sudo, 'apt-get', ...args];
  const done = spawnSync(command, rest, {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  return done.status === 0;
}

/** Installs the browser if missing; the full one if no shell is available. Returns its path. */
export function ensureChromium() {
  if (process.env.CHROMIUM || existsSync(SHELL.file)) return chromiumPath();
  console.log('Installing Chromium (once) …');
  apt('update');
  for (const { file, package: name } of [SHELL, WHOLE]) {
    if (existsSync(file) || apt('install', '-y', name)) return file;
  }
  console.error(
    `Chromium is missing and could not be installed by apt-get. Install the package ${SHELL.package} or ${WHOLE.package}, or set CHROMIUM to the path of a browser.`,
  );
  process.exit(1);
}
