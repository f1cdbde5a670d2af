// npm test: every check there is, from a machine that has nothing but Node.js and npm.
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { auditReport } from './audit.mjs';
import { ensureChromium } from './chromium.mjs';
import { bin, cacheDir, ensureCache, ensureInstalled, root, run, runKept } from './lib.mjs';

let passed = 0;
let failed = 0;
let skipped = 0;

const seconds = (since) => ((Date.now() - since) / 1000).toFixed(0);
const outcome = (code) => (code === 0 ? 'ok' : `failed (${code})`);

async function step(name, command, args, env = {}) {
  const started = Date.now();
  console.log(`\n== ${name}`);
  const code = await run(command, args, { env: { ...process.env, ...env } });
  console.log(`== ${name}: ${outcome(code)} in ${seconds(started)} s`);
  return code === 0;
}

/** Checks that are no suites of tests, each counted as one, one after another and with their own lines. */
async function checks(...list) {
  for (const [name, command, args] of list) {
    const started = Date.now();
    const { code, output } = await runKept(command, args);
    console.log(`\n== ${name}\n${output}== ${name}: ${outcome(code)} in ${seconds(started)} s`);
    if (code === 0) passed++;
    else failed++;
  }
}

function report(file, count) {
  const text = path.join(cacheDir, file);
  // A suite that died before it could report has failed, whatever it had counted.
  if (!existsSync(text)) failed++;
  else count(JSON.parse(readFileSync(text, 'utf8')));
}

ensureInstalled();
const CHROMIUM = ensureChromium();
ensureCache();
for (const old of ['jest.json', 'playwright.json'])
  rmSync(path.join(cacheDir, old), { force: true });

// Each of these keeps about one core busy.
await Promise.all([
  checks(['build', process.execPath, [path.join(root, 'scripts/build.mjs')]]),
  checks(
    ['lint', bin('eslint'), ['.', '--max-warnings', '0']],
    // Writes the types of the routes; the bundler does so only while it serves.
    ['route types', bin('expo'), ['customize', 'tsconfig.json']],
    ['types', bin('tsc'), ['--noEmit']],
    ['layers', bin('depcruise'), ['src', 'app', 'server', '--config', '.dependency-cruiser.cjs']],
    ['unused code', bin('knip'), []],
    ['format', bin('prettier'), ['--check', '.']],
    ['spelling', bin('cspell'), ['--no-progress', '--quiet']],
  ),
]);

const unitOk = await step('unit tests', bin('jest'), [
  '--json',
  `--outputFile=${path.join(cacheDir, 'jest.json')}`,
  '--silent=false',
  '--maxWorkers=2',
]);
report('jest.json', (r) => {
  passed += r.numPassedTests;
  failed += r.numFailedTests + r.numRuntimeErrorTestSuites;
  skipped += r.numPendingTests + r.numTodoTests;
  if (!unitOk && r.numFailedTests + r.numRuntimeErrorTestSuites === 0) failed++;
});

const e2eOk = await step('browser tests', bin('playwright'), ['test'], { CHROMIUM });
report('playwright.json', ({ stats }) => {
  passed += stats.expected;
  failed += stats.unexpected + stats.flaky;
  skipped += stats.skipped;
  if (!e2eOk && stats.unexpected + stats.flaky === 0) failed++;
});

console.log(`\n== packages (a report)\n${auditReport().join('\n')}`);

console.log(`\n${passed} passed, ${failed} failed${skipped > 0 ? `, ${skipped} skipped` : ''}`);
process.exitCode = failed > 0 ? 1 : 0;
