import { crag } from '@/testing/jobs';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

import { writeJobFile } from '@/files/jobFile';

import { runSpec as command } from '../spec';

const root = path.resolve(__dirname, '../../..');
const folder = mkdtempSync(path.join(tmpdir(), 'under-ridge-'));
const file = path.join(folder, 'job.json');
const shelf = path.join(folder, 'shelf.json');

/** In a process of its own, as it is called. */
function called(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(
    path.join(root, 'node_modules/.bin/tsx'),
    ['--tsconfig', path.join(root, 'tsconfig.json'), path.join(root, 'src/cli/main.ts'), ...args],
    { cwd: folder, encoding: 'utf8' },
  );
  return { status, stdout, stderr };
}

function spec(...args: string[]) {
  let stdout = '';
  let stderr = '';
  const status = command(args, {
    out: (text) => (stdout += text),
    err: (text) => (stderr += text),
    terminal: false,
  });
  return { status, stdout, stderr };
}

// The next suite of this worker starts where it should.
afterAll(() => process.chdir(root));

beforeAll(() => {
  process.chdir(folder);
  const job = crag();
  if (!job) throw new Error('no demo job');
  writeFileSync(file, writeJobFile(job, {}, '2026-11-24T10:00:00.000Z'));
  const plates = Array.from({ length: 20 }, (_, i) => ({ id: `s${i}`, thickness: 1.55 + i / 200 }));
  writeFileSync(shelf, JSON.stringify({ format: 'under-ridge-shelf', version: 1, plates }));
});

describe('the command line', () => {
  it('gives every capability of the core as JSON, from a path relative to where it is called', () => {
    const { status, stdout } = called(
      'job.json',
      '--at',
      'wear=0.2,rpm=7000',
      '--curves',
      '--advise',
      '--tolerance=2000',
      '--seed',
      '4',
      '--solve',
      'shelf.json',
      '--causes',
      'slips,burnt',
      '--sheets',
      '--open',
      '--order',
    );
    expect(status).toBe(0);
    const result = JSON.parse(stdout) as Record<string, never> & {
      overall: { state: string };
      at: { clamp: number };
      shelf: { sets: { picks: unknown[]; off: number }[] };
      wearReserve: { name: string }[];
      tolerance: { packs: number };
      causes: { causes: unknown[] };
      sheets: { build: { key: string; state: string; text: string }[] };
      open: { id: string }[];
      order: { what: string }[];
      curves: { wear: unknown[] };
    };
    expect(result.overall.state).toBe('good');
    expect(result.at.clamp).toBeGreaterThan(1000);
    expect(result.curves.wear).toHaveLength(41);
    expect(result.wearReserve[0]?.name).toBe('stack below its limits');
    expect(result.tolerance.packs).toBe(2000);
    expect(result.shelf.sets).toHaveLength(10);
    expect(result.causes.causes.length).toBeGreaterThan(10);
    expect(result.sheets.build.find((s) => s.key === 'soak')?.text).toContain('Soak the linings');
    expect(result.open.map((i) => i.id)).toContain('steps:build');
    expect(result.order.map((l) => l.what)).toContain('Lock washer');
  });

  it('shows a table when asked, and explains itself', () => {
    expect(spec('job.json', '--table').stdout).toMatch(/^Holds and releases: 1\.2/);
    expect(spec('--help')).toMatchObject({
      status: 0,
      stdout: expect.stringContaining('--at wear=0.4'),
    });
  });

  it('works with a curve of a dyno in the place of the job’s own, also from the wheel', () => {
    writeFileSync(path.join(folder, 'dyno.csv'), 'rpm,kW\n4000,14\n7000,30\n9000,34\n');
    const { status, stdout } = spec('job.json', '--engine', 'dyno.csv', '--wheel', '0.8');
    expect(status).toBe(0);
    const { engine, figures } = JSON.parse(stdout) as {
      engine: { rpm: number; torque: number; notes: string[] };
      figures: Readonly<Record<string, { value: number }>>;
    };
    // 60·30000/(2π·7000) = 40.926 N·m at the wheel.
    expect(engine.rpm).toBe(7000);
    expect(engine.torque).toBeCloseTo(40.9256 / 0.8, 3);
    expect(engine.notes).toContain('Torque calculated from power and speed.');
    const ratio = crag().engine.primaryRatio?.value ?? NaN;
    expect(figures.torqueAtClutch?.value).toBeCloseTo((40.9256 / 0.8) * ratio, 2);
  });

  it('ends as it should in a process of its own', () => {
    expect(called('gone.json')).toEqual({
      status: 2,
      stdout: '',
      stderr: 'gone.json: no such file\n',
    });
  });

  it.each([
    [[], 'usage'],
    [['job.json', '--wheel', '0.88'], 'goes with --engine'],
    [['job.json', '--engine', 'shelf.json'], 'shelf.json: '],
    [['gone.json'], 'no such file'],
    [['shelf.json'], 'Not a job file'],
    [['job.json', '--at', 'warp=1'], 'wear, lift, rpm'],
    [['job.json', '--at', 'wear=x'], 'takes a number'],
    [['job.json', '--causes', 'rattles'], 'slips, drags'],
    [['job.json', '--solve', 'job.json'], 'Not a valid shelf file'],
    [['job.json', '--nonsense'], 'nonsense'],
    [['job.json', '--at', 'wear=99'], 'wear'],
  ])('refuses %j with one line and exit code 2', (args, message) => {
    const { status, stdout, stderr } = spec(...args);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr.trim().split('\n')).toHaveLength(1);
    expect(stderr).toContain(message);
  });
});
