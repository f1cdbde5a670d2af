import { coilGroups, fittedKinds } from '../clutch/fitted';
import { layOut } from '../evaluate/engine/layers';
import { linedKinds } from '../evaluate/figures/torqueTerms';
import { entryAt } from '../job/entryAt';
import type { FieldPath } from '../job/fieldPath';
import { fieldPath } from '../job/fieldPath';
import type { Entry, Job, Plate } from '../job/types';
import { readingsOf } from '../job/types';
import { LINING_ESTIMATES } from '../torque/linings';
import type { Mm } from '../units/quantity';

/* What is known of the error of each input. */

/** How a value may differ from what was written. */
export type Spread =
  /** Anywhere within half the width each way alike. */
  | { readonly kind: 'even'; readonly half: number }
  /** The standard error of a mean. */
  | { readonly kind: 'normal'; readonly sigma: number }
  /** Assumed: from low over typical to high. */
  | { readonly kind: 'triangle'; readonly low: number; readonly high: number };

/** What an input belongs to: measuring or finding it better helps all of it. */
export type InputGroup =
  'plates' | 'flatness' | 'friction' | 'springs' | 'torque' | 'train' | 'ramps';

/** One input that is not exactly known. */
export interface UnsureInput {
  readonly group: InputGroup;
  /** Its entries; of a plate, its readings. */
  readonly paths: readonly FieldPath[];
  readonly plateId?: string;
  readonly value: number;
  readonly spread: Spread;
}

/** Half of what a new plate may differ from its nominal thickness, mm. Assumed value. */
const NOMINAL_HALF: Mm = 0.03;
/** Share that a spring rate and an engine torque may be off. Assumed values. */
const RATE_SHARE = 0.05;
const TORQUE_SHARE = 0.03;
/** Degrees that the angle of a ramp may be off. Assumed value. */
const RAMP_HALF = 0.5;

/** Steps of the gauges that are usual for each kind of reading, mm. */
const GAUGE = { micrometer: 0.01, feeler: 0.05, caliper: 0.05, rule: 1, dial: 0.01 } as const;

/**
 * The step in which a reading was taken, mm: by its last decimal as it was typed, else that of the usual gauge.
 * @example resolutionOf({ value: 2.973, typed: '2.973' }, 0.01) // 0.001
 */
export function resolutionOf({ typed, value }: Entry, usual: Mm): Mm {
  const decimals = /\d[.,](\d+)/.exec(typed ?? '')?.[1]?.length;
  if (decimals === undefined) {
    // Finer than the usual gauge shows: then it was read finer.
    const steps = value / usual;
    return Math.abs(steps - Math.round(steps)) < 1e-6 ? usual : usual / 10;
  }
  const inch = /in|["″”]/.test(typed ?? '') ? 25.4 : 1;
  return inch * 10 ** -decimals;
}

const even = (width: number): Spread => ({ kind: 'even', half: width / 2 });

/**
 * Standard deviation of a spread.
 * @example sigmaOf({ kind: 'even', half: 0.005 }) // 0.0028868
 */
export function sigmaOf(spread: Spread, value = 0): number {
  switch (spread.kind) {
    case 'even':
      return spread.half / Math.sqrt(3);
    case 'normal':
      return spread.sigma;
    case 'triangle': {
      const { low, high } = spread;
      return Math.sqrt(
        (low ** 2 + high ** 2 + value ** 2 - low * high - low * value - high * value) / 18,
      );
    }
  }
}

/**
 * The error of a plate's mean thickness: of repeats their standard error, never finer than the gauge reads on average.
 * @param readings mm, at least one
 * @example plateSpread([2.97, 2.98], 0.01).kind // "normal"
 */
export function plateSpread(readings: readonly Mm[], resolution: Mm): Spread {
  const n = readings.length;
  if (n < 2) return even(resolution);
  const mean = readings.reduce((a, b) => a + b, 0) / n;
  const variance = readings.reduce((sum, r) => sum + (r - mean) ** 2, 0) / (n - 1);
  const floor = resolution / Math.sqrt(12 * n);
  return { kind: 'normal', sigma: Math.max(Math.sqrt(variance / n), floor) };
}

const TRAIN = [
  ['release.leverTravel', GAUGE.rule],
  ['release.armLength', GAUGE.rule / 2],
  ['release.lead', GAUGE.caliper * 2],
  ['release.masterDiameter', GAUGE.caliper],
  ['release.slaveDiameter', GAUGE.caliper],
  ['release.freePlay', GAUGE.rule],
  ['release.cableSlack', GAUGE.rule],
  ['release.lostTravel', GAUGE.rule / 10],
  ['release.measuredLift', GAUGE.dial],
] as const satisfies readonly (readonly [FieldPath, Mm])[];

const SPRING_LENGTHS = ['springs.coil.seatDistance'] as const satisfies readonly FieldPath[];
const DIAPHRAGM = ['springs.diaphragm.thickness'] as const satisfies readonly FieldPath[];

/**
 * Every input of a job that is not exactly known, with what is known of its error. Limits and targets are exact.
 * Never throws for a job that passes the schema. Source: `docs/mechanics.md` section 17.
 * @example unsureInputs(job).some((i) => i.group === 'friction') // true
 */
export function unsureInputs(job: Job): readonly UnsureInput[] {
  const layout = layOut(job);
  const inputs: UnsureInput[] = [];
  const at = (group: InputGroup, path: FieldPath, spread: (e: Entry) => Spread): void => {
    const found = entryAt(job, path);
    if (found) inputs.push({ group, paths: [path], value: found.value, spread: spread(found) });
  };
  for (const { plate, thickness, kind } of layout.layers) {
    if (thickness === undefined) continue;
    inputs.push({
      group: 'plates',
      paths: [],
      plateId: plate.id,
      value: thickness,
      spread: thicknessSpread(plate, kind.thickness),
    });
    at('flatness', fieldPath('pack.plates.*.outOfFlat', plate.id), (e) =>
      even(resolutionOf(e, GAUGE.feeler)),
    );
  }
  for (const kind of linedKinds(layout)) {
    const estimate = LINING_ESTIMATES[kind.lining];
    const typical = kind.frictionTypical?.value ?? estimate.typical;
    inputs.push({
      group: 'friction',
      paths: [fieldPath('pack.kinds.*.frictionTypical', kind.id)],
      value: typical,
      spread: {
        kind: 'triangle',
        low: Math.min(typical, kind.frictionLow?.value ?? estimate.low),
        high: Math.max(typical, kind.frictionHigh?.value ?? estimate.high),
      },
    });
  }
  for (const { id } of coilGroups(job)) {
    at('springs', fieldPath('springs.coil.groups.*.rate', id), rateSpread);
    at('springs', fieldPath('springs.coil.groups.*.freeLength', id), (e) =>
      even(resolutionOf(e, GAUGE.caliper)),
    );
  }
  if (job.springs.type === 'coil')
    for (const path of SPRING_LENGTHS)
      at('springs', path, (e) => even(resolutionOf(e, GAUGE.caliper)));
  if (job.springs.type === 'diaphragm')
    // The force grows with the cube of the thickness: the rate of ± 5 % is put there.
    for (const path of DIAPHRAGM)
      at('springs', path, ({ value }) => ({ kind: 'even', half: (value * RATE_SHARE) / 3 }));
  at('torque', 'engine.peakTorque', ({ value }) => ({ kind: 'even', half: value * TORQUE_SHARE }));
  for (const [path, usual] of TRAIN) at('train', path, (e) => even(resolutionOf(e, usual)));
  for (const { id } of job.release.liftReadings)
    at('train', fieldPath('release.liftReadings.*.lift', id), (e) =>
      even(resolutionOf(e, GAUGE.dial)),
    );
  if (fittedKinds(job).some((kind) => kind.drive)) {
    const degrees = (): Spread => ({ kind: 'even', half: RAMP_HALF });
    at('ramps', 'fittings.ramps.driveAngle', degrees);
    at('ramps', 'fittings.ramps.radius', (e) => even(resolutionOf(e, GAUGE.rule / 2)));
  }
  return inputs;
}

/** A tested rate is as good as its tester; one from a list may be off. */
const rateSpread = ({ value, source }: Entry): Spread => ({
  kind: 'even',
  half: value * (source?.kind === 'tested' ? RATE_SHARE / 2.5 : RATE_SHARE),
});

function thicknessSpread(plate: Plate, nominal: Entry | undefined): Spread {
  const readings = readingsOf(plate);
  const [first] = readings;
  if (!first) return nominal ? { kind: 'even', half: NOMINAL_HALF } : even(GAUGE.micrometer);
  const finest = Math.min(...readings.map((r) => resolutionOf(r, GAUGE.micrometer)));
  return plateSpread(
    readings.map((r) => r.value),
    finest,
  );
}
