// npm run audit: reports on the packages and their known faults. It never fails: a fault found overnight in
// some package must not block other work.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { isWindows, root } from './lib.mjs';

/** The report in lines; never throws. */
export function auditReport() {
  return [...lockReport(), ...knownFaults()];
}

/** By the lock file: how many packages ship, how they are pinned, which run something when installed. */
function lockReport() {
  const { packages } = JSON.parse(readFileSync(path.join(root, 'package-lock.json'), 'utf8'));
  const all = Object.entries(packages).filter(([place, p]) => place !== '' && !p.link);
  const names = (list) => list.map(([place]) => place.replace(/^.*node_modules\//, '')).join(', ');
  const loose = all.filter(([, p]) => !p.integrity && !p.inBundle);
  const scripts = all.filter(([, p]) => p.hasInstallScript);
  return [
    `${all.length} packages, ${all.filter(([, p]) => !p.dev).length} of them ship or serve.`,
    `All are pinned by version, ${all.length - loose.length} of them by a checksum as well.`,
    `With a script at installation: ${names(scripts) || 'none'}.`,
  ];
}

function knownFaults() {
  const run = spawnSync('npm', ['audit', '--omit=dev', '--json'], {
    cwd: root,
    encoding: 'utf8',
    shell: isWindows,
    timeout: 20_000,
  });
  let report;
  try {
    report = JSON.parse(run.stdout);
  } catch {
    report = {};
  }
  if (!report.vulnerabilities)
    return ['Known faults: the registry in use does not answer that; ask one that does.'];
  const found = Object.values(report.vulnerabilities);
  if (found.length === 0) return ['Known faults: none in the packages that ship.'];
  return found.map(
    ({ name, severity, range, fixAvailable }) =>
      `Known fault, ${severity}: ${name} ${range}${fixAvailable ? ', fixed in a later version' : ''}`,
  );
}

if (process.argv[1] === new URL(import.meta.url).pathname)
  for (const line of auditReport()) console.log(line);
