import type { DynoSample } from './pulls';
import { toBase, unitById } from '../units/quantity';

/** A part of a pull on the dyno: speed in rpm and torque in the unit that the dyno shows. */
export interface DynoReading {
  readonly device: 'dyno';
  readonly id: number;
  readonly pull: number;
  readonly part: number;
  readonly unit: 'N·m' | 'ft·lb';
  readonly samples: readonly (readonly [number, number])[];
  readonly last: boolean;
}

/** A pull as it came over the link. */
export interface RecordedPull {
  /** Its number on the dyno, which may begin again. */
  readonly number: number;
  /** Parts that have come, without a gap. */
  readonly parts: number;
  readonly samples: readonly DynoSample[];
  /** Incomplete: samples are missing, so the pull is not used. */
  readonly state: 'running' | 'whole' | 'broken';
}

export type RecordedPulls = readonly RecordedPull[];

const UNIT = { 'N·m': unitById('Nm'), 'ft·lb': unitById('ftlb') } as const;

/** Ends all running pulls: the link is lost, or another pull started. */
export const withStoppedPull = (pulls: RecordedPulls): RecordedPulls =>
  pulls.some((p) => p.state === 'running')
    ? pulls.map((p) => (p.state === 'running' ? { ...p, state: 'broken' } : p))
    : pulls;

/** Adds a part to the pulls: it continues the last pull, starts one, or reveals missing samples. */
export function withPart(pulls: RecordedPulls, reading: DynoReading): RecordedPulls {
  const { pull: number, part, last } = reading;
  const samples = reading.samples.map(([rpm, torque]) => ({
    rpm,
    torque: toBase(torque, UNIT[reading.unit]),
  }));
  const now = pulls.at(-1);
  if (part === 0)
    return [
      ...withStoppedPull(pulls),
      { number, parts: 1, samples, state: last ? 'whole' : 'running' },
    ];
  // Heard from its middle on.
  if (now?.number !== number)
    return [...withStoppedPull(pulls), { number, parts: 0, samples, state: 'broken' }];
  if (now.state !== 'running') return pulls;
  if (part !== now.parts) return withStoppedPull(pulls);
  return [
    ...pulls.slice(0, -1),
    {
      number,
      parts: now.parts + 1,
      samples: [...now.samples, ...samples],
      state: last ? 'whole' : 'running',
    },
  ];
}
