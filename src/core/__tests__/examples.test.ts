import {
  cairn,
  crag,
  fen,
  finished,
  knoll,
  measured,
  scree,
  signedOff,
  smallLibrary,
  smallStock,
  visitOf,
} from '@/testing/jobs';
import { put } from '@/testing/packs';
import { diaphragm } from '@/core/clutch/diaphragm/kind';
import type { Job } from '@/core/job/types';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

import { evaluate, workOut } from '../evaluate/evaluate';
import { setGap } from '../exercises/cases/setGap';
import { Dice } from '../exercises/dice';
import { inspect } from '../inspect/inspect';
import { blankJob } from '../job/blank';
import { entry } from '../job/entry';
import { withEntry } from '../job/paths';
import { entryAt } from '../job/entryAt';
import { WAYS } from '../takeoff/hands';
import { takeoffOf } from '../takeoff/setup';

/*
 * The examples in the core's doc blocks are run as they stand: a line `@example call // result` must be true, to the
 * decimals that it gives. `job`, `quad`, `twin`, `loose`, `farm` and `half` are small jobs of different clutches. Lines with an
 * ellipsis are for reading only.
 */

const CORE = path.join(__dirname, '..');

const sources = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === '__tests__' ? [] : sources(file);
    return file.endsWith('.ts') ? [file] : [];
  });

const EXAMPLE = /@example (?<call>[a-z]\w*\(.*\)\S*) \/\/ (?<result>[^\n]+)/g;

/** A result as it is written: a text, a number, a truth, a list, a record. Anything else is words, and not run. */
function written(result: string): { readonly value: unknown } | undefined {
  if (!/^(?:["'[{]|-?\d|true|false)/.test(result)) return undefined;
  try {
    return { value: new Function(`return (${result})`)() as unknown };
  } catch {
    return undefined;
  }
}

/** Numbers of a value to so many decimals. */
function rounded(value: unknown, decimals: number): unknown {
  if (typeof value === 'number') return Number(value.toFixed(decimals));
  if (Array.isArray(value)) return value.map((part) => rounded(part, decimals));
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(
      Object.entries(value).map(([key, part]) => [key, rounded(part, decimals)]),
    );
  return value;
}

/** Which modules there are is found when it runs. */
const load = (name: string) => jest.requireActual<Record<string, unknown>>(path.join(CORE, name));

const NOW = '2026-11-28T10:00:00.000Z';

/** Signed, and back three times since. */
const JOB: Job = {
  ...signedOff(put(measured(crag(), 0.02), { 'intake.hours': 212 })),
  visits: [
    visitOf(crag(), '2026-05-11', 230, 0.03),
    visitOf(crag(), '2026-08-03', 253, 0.04),
    visitOf(crag(), '2026-11-16', 278, 0.05),
  ],
};
const AUTO = put(diaphragm.example(scree()), {
  'setting.turnsOut': 1,
  'setting.marksOut': 2,
  'setting.targetGain': 12,
});
const QUAD: Job = {
  ...AUTO,
  stage: 'specify',
  intake: { ...AUTO.intake, due: '2026-12-01', hours: entry(1310) },
  setting: {
    ...AUTO.setting,
    readings: [
      { id: 'g1', turns: entry(0.75), gain: entry(27) },
      { id: 'g2', turns: entry(1.25), gain: entry(15) },
    ],
  },
};
let made = 0;

/**
 * What an example may name besides its own module: units, a job with nothing in it, and small jobs, a shelf
 * and a library.
 */
const AT_HAND: Readonly<Record<string, unknown>> = {
  ...load('units/quantity.ts'),
  entry,
  entryAt,
  withEntry,
  evaluate,
  workOut,
  inspect,
  blank: blankJob('a', 'UR-1', NOW),
  job: JOB,
  quad: QUAD,
  twin: put(measured(knoll(), 0.02), { 'release.reducedEffort': 1.2 }),
  loose: cairn(),
  farm: fen(),
  half: put(finished(measured(crag(), 0.06)), { 'strip.parts.n4.in': 5 }),
  stock: smallStock(),
  library: smallLibrary(),
  setup: takeoffOf(JOB),
  gentle: WAYS.gentle,
  exercise: setGap(7),
  workshop: {
    jobs: [JOB],
    unfinished: {},
    shelf: smallStock(),
    templates: {},
    library: smallLibrary(),
  },
  now: NOW,
  id: () => `new${++made}`,
};

/** What a call gives, with its module at hand; `sheet` and `layout` are those of `job`, and `dice` are new each time. */
function outcomeOf(file: string, call: string): unknown {
  const names = {
    ...AT_HAND,
    ...(/\b(?:sheet|layout)\b/.test(call) ? workOut(JOB) : {}),
    dice: new Dice(7),
    ...load(file),
  };
  const run = new Function(...Object.keys(names), `return (${call})`) as (
    ...values: unknown[]
  ) => unknown;
  return run(...Object.values(names));
}

const examples = sources(CORE).flatMap((source) =>
  [...readFileSync(source, 'utf8').matchAll(EXAMPLE)].flatMap(({ groups }) => {
    const { call = '', result = '' } = groups ?? {};
    const file = path.relative(CORE, source);
    const expected = `${call}${result}`.includes('…') ? undefined : written(result);
    if (!expected) return [];
    const decimals = Math.max(0, ...[...result.matchAll(/\.(\d+)/g)].map((d) => d[1]?.length ?? 0));
    return [{ file, call, expected: expected.value, decimals }];
  }),
);

describe('examples in the doc blocks', () => {
  it('are there to be run', () => {
    expect(examples.length).toBeGreaterThan(340);
  });

  it.each(examples)('$file: $call', ({ file, call, expected, decimals }) => {
    expect(rounded(outcomeOf(file, call), decimals)).toEqual(rounded(expected, decimals));
  });
});
