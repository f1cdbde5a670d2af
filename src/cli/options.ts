import { readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import type { ComplaintId } from '@/core/causes/complaints';
import { COMPLAINTS } from '@/core/causes/complaints';
import type { FigureId } from '@/core/evaluate/engine/figure';
import type { Evaluation } from '@/core/evaluate/evaluate';
import type { PackState } from '@/core/evaluate/states';
import type { Job } from '@/core/job/types';
import type { WayId } from '@/core/takeoff/hands';
import { WAYS } from '@/core/takeoff/hands';
import { takeoffOf, WARM_OIL } from '@/core/takeoff/setup';
import { takeoffBy } from '@/core/takeoff/takeoff';
import { atEngine } from '@/core/torque/pulls';
import { MAX_FILE_BYTES } from '@/files/jobFile';
import { FileRefused } from '@/files/refused';
import type { TorqueFile } from '@/files/torqueCsv';
import { readTorqueCsv } from '@/files/torqueCsv';

export class Refused extends Error {}

/** The code that Node gives its own errors. */
export const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';

/** The job with oil of a temperature; without a grade of its own it gets a usual one. */
export function inOil(job: Job, celsius: string | undefined): Job {
  if (celsius === undefined) return job;
  const value = numberFrom('oil-temp', celsius);
  if (value < -40 || value > 120)
    throw new Refused(`--oil-temp takes °C from −40 to 120, not “${celsius}”`);
  const { oil = {} } = job;
  const isKnown = oil.grade ?? oil.viscosity40 ?? oil.viscosity100;
  return {
    ...job,
    oil: { ...(isKnown ? {} : { grade: 'sae10w40' }), ...oil, coldest: { value } },
  };
}

export function runsFrom(text: string): number {
  const runs = numberFrom('sure', text);
  if (!Number.isInteger(runs) || runs < 100 || runs > 1_000_000)
    throw new Refused(`--sure takes a whole number from 100 to 1000000, not “${text}”`);
  return runs;
}

export const missingFor = ({ figures }: Evaluation, id: FigureId): readonly string[] => {
  const outcome = figures.get(id);
  return outcome?.status === 'unknown' ? [outcome.reason] : [];
};

/** The curve of a file, brought from the wheel to the engine where it was measured there. */
export function engineFrom(
  file: string | undefined,
  wheel: string | undefined,
): TorqueFile | undefined {
  if (file === undefined) {
    if (wheel !== undefined) throw new Refused('--wheel goes with --engine CURVE.csv');
    return undefined;
  }
  const engine = read(file, (text) => readTorqueCsv(text, path.basename(file)));
  if (wheel === undefined) return engine;
  const points = atEngine(engine.curve.points, numberFrom('wheel', wheel));
  return { ...engine, curve: { ...engine.curve, points } };
}

export function takeoffFor(job: Job, text: string) {
  if (!Object.hasOwn(WAYS, text))
    throw new Refused(
      `--takeoff: ${text} is not known; give one of ${Object.keys(WAYS).join(', ')}`,
    );
  const setup = takeoffOf(job);
  if ('needs' in setup) return setup;
  return takeoffBy(setup, WAYS[text as WayId], WARM_OIL);
}

export function read<T>(file: string, parse: (text: string) => T): T {
  let text: string;
  try {
    if (statSync(file).size > MAX_FILE_BYTES) throw new Refused(`${file}: too large, at most 5 MB`);
    text = readFileSync(file, 'utf8');
  } catch (error) {
    if (error instanceof Refused) throw error;
    throw new Refused(`${file}: ${codeOf(error) === 'ENOENT' ? 'no such file' : 'can’t be read'}`);
  }
  try {
    return parse(text);
  } catch (error) {
    throw error instanceof FileRefused ? new Refused(`${file}: ${error.message}`) : error;
  }
}

const STATE_KEYS = ['wear', 'lift', 'rpm'] as const;

const STATE_WORDS = { plates: ['new', 'measured'], oil: ['usual', 'hot'] } as const;

export function stateFrom(text: string): PackState {
  return Object.fromEntries(
    text.split(',').map((part) => {
      const [key = '', value = ''] = part.split('=');
      if (key === 'plates' || key === 'oil') {
        if (!STATE_WORDS[key].some((w) => w === value))
          throw new Refused(`--at ${key} takes ${STATE_WORDS[key].join(' or ')}; not “${value}”`);
        return [key, value];
      }
      if (!STATE_KEYS.some((k) => k === key))
        throw new Refused(
          `--at takes ${STATE_KEYS.join(', ')}, such as wear=0.4,rpm=6000; not “${part}”`,
        );
      return [key, numberFrom(`at ${key}`, value)];
    }),
  );
}

export function numberFrom(name: string, text: string): number {
  const value = Number(text);
  if (text.trim() === '' || !Number.isFinite(value))
    throw new Refused(`--${name} takes a number, not “${text}”`);
  return value;
}

export function complaintsFrom(text: string): ComplaintId[] {
  return text.split(',').map((name) => {
    const found = (Object.keys(COMPLAINTS) as ComplaintId[]).find((c) => c === name.trim());
    if (!found)
      throw new Refused(`--causes takes ${Object.keys(COMPLAINTS).join(', ')}; not “${name}”`);
    return found;
  });
}
