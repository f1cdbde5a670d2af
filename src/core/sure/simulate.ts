import { selectStep } from '../clutch/diaphragm/selection';
import { fittedKinds } from '../clutch/fitted';
import { attempt } from '../errors';
import { JobSheet } from '../evaluate/engine/jobSheet';
import { layOut } from '../evaluate/engine/layers';
import { computeClampAtPeak } from '../evaluate/figures/clampOverSpeed';
import { computeLift, liftAtPlate } from '../evaluate/figures/releaseFigures';
import { computePull } from '../evaluate/figures/pullFigures';
import { computeStack } from '../evaluate/figures/stackFigures';
import { torqueChain } from '../evaluate/figures/torqueChain';
import type { Job } from '../job/types';
import { normalFiller, seededRandom } from '../random/random';
import { torqueAtClutch } from '../torque/capacity';
import type { InputGroup, Spread, UnsureInput } from './inputs';
import { unsureInputs } from './inputs';
import type { Place } from './rebuild';
import { rebuilder } from './rebuild';

/* The whole job simulated many times over, each time with inputs that its readings allow. */

/** What is asked of a job: does it hold, does it release, is the stack within its limits. */
export const QUESTIONS = ['holds', 'releases', 'stack'] as const;
export type Question = (typeof QUESTIONS)[number];

/** How sure the answer to a question is. */
export interface Chance {
  /** Share of the runs in which it is so, 0 to 1. */
  readonly share: number;
  /** Of the reserve, of the lift over the required, or of the stack. */
  readonly mean: number;
  readonly sigma: number;
  /** Where the doubt comes from, the most first: share of the variance, first order. */
  readonly doubts: readonly { readonly group: InputGroup; readonly share: number }[];
}

export interface Sureness {
  readonly runs: number;
  /** Only the questions that can be answered. */
  readonly chances: Readonly<Partial<Record<Question, Chance>>>;
  /** Share of the runs in which each retainer step is right. */
  readonly steps: readonly { readonly id: string; readonly share: number }[];
}

/** What comes out of one run; NaN where it is not known. */
interface Outcome {
  readonly reserve: number;
  readonly lift: number;
  readonly stack: number;
  readonly steps: readonly string[];
}

/** Usual number of runs, and seed. */
export const RUNS = 10_000;
const SEED = 17;
/** Runs between two reports. */
const REPORT = 500;
/** Below this a share of doubt is not named. */
const LEAST_SHARE = 0.01;
const EDGE = 1e-6;

/**
 * How sure the verdicts of a job are: every input drawn within its error, the job worked out each time.
 * @param runs 100 to 1,000,000
 * @param onProgress the share done; an answer of `false` stops with what there is
 * Never throws for a job that passes the schema. Source: Monte Carlo; `docs/mechanics.md` section 17.
 * @example simulateJob(job, { runs: 200 }).runs // 200
 */
export function simulateJob(
  job: Job,
  { runs = RUNS, seed = SEED }: { readonly runs?: number; readonly seed?: number } = {},
  onProgress?: (share: number) => boolean,
): Sureness {
  const inputs = unsureInputs(job);
  const rebuild = rebuilder(
    job,
    inputs.flatMap(({ plateId, paths }, from): Place[] =>
      plateId === undefined ? paths.map((path) => ({ path, from })) : [{ plateId, from }],
    ),
  );
  const draw = drawer(inputs, seed);
  const tallies = QUESTIONS.map(() => new Tally(inputs.length));
  const steps = new Map<string, number>();
  const { windowMin, windowMax } = job.pack;
  const values = new Float64Array(inputs.length);
  let done = 0;
  while (done < runs) {
    draw(values);
    const { reserve, lift, stack, steps: right } = workOutOnce(rebuild(values));
    const inside =
      (windowMin === undefined || stack >= windowMin.value - EDGE) &&
      (windowMax === undefined || stack <= windowMax.value + EDGE);
    tallies[0]?.add(values, reserve, reserve >= 1);
    tallies[1]?.add(values, lift, lift >= -1e-4);
    if (windowMin ?? windowMax) tallies[2]?.add(values, stack, inside);
    for (const id of right) steps.set(id, (steps.get(id) ?? 0) + 1 / right.length);
    done++;
    if (done % REPORT === 0 && onProgress?.(done / runs) === false) break;
  }
  return {
    runs: done,
    chances: Object.fromEntries(
      QUESTIONS.flatMap((question, i) => {
        const chance = tallies[i]?.chance(inputs, done);
        return chance ? [[question, chance]] : [];
      }),
    ),
    steps: [...steps]
      .map(([id, count]) => ({ id, share: count / done }))
      .sort((a, b) => b.share - a.share),
  };
}

/** The reserve, the lift over the required, and the stack, by the same functions as the whole evaluation. */
function workOutOnce(job: Job): Outcome {
  const sheet = new JobSheet(job);
  const layout = layOut(job);
  computeStack(sheet, layout);
  computeLift(sheet, layout);
  sheet.springs.fitted(sheet);
  const kinds = fittedKinds(job).filter((kind) => kind.figures);
  if (kinds.length > 0) {
    // A kind that engages by itself goes by the lever too.
    sheet.springs.lifted(sheet);
    computePull(sheet);
    for (const kind of kinds) kind.figures?.(sheet);
  }
  computeClampAtPeak(sheet);
  const clamp = (sheet.known('clampAtPeak') ?? sheet.known('clamp'))?.value;
  const torque = sheet.valueAt('engine.peakTorque');
  const ratio = sheet.valueAt('engine.primaryRatio');
  const efficiency = sheet.valueAt('engine.primaryEfficiency');
  const reserve =
    clamp === undefined || torque === undefined || ratio === undefined || efficiency === undefined
      ? undefined
      : attempt(
          () =>
            torqueChain(sheet, layout).torqueAt('Typical', clamp, true) /
            torqueAtClutch(torque, ratio, efficiency),
        );
  const lift = sheet.known(liftAtPlate(sheet))?.value;
  const needed = sheet.known('liftNeeded')?.value;
  return {
    reserve: reserve ?? Number.NaN,
    lift: lift === undefined || needed === undefined ? Number.NaN : lift - needed,
    stack: sheet.known('stack')?.value ?? Number.NaN,
    steps: selectStep(sheet)?.steps ?? [],
  };
}

/** Fills in all inputs, each within its own error. */
function drawer(inputs: readonly UnsureInput[], seed: number): (values: Float64Array) => void {
  const random = seededRandom(seed);
  const fill = normalFiller(seed + 1);
  const normals = new Float64Array(inputs.length);
  const one = (value: number, spread: Spread, normal: number): number => {
    switch (spread.kind) {
      case 'even':
        return value + spread.half * (2 * random() - 1);
      case 'normal':
        return value + spread.sigma * normal;
      case 'triangle': {
        const { low, high } = spread;
        const u = random();
        const width = high - low;
        if (width <= 0) return value;
        return u < (value - low) / width
          ? low + Math.sqrt(u * width * (value - low))
          : high - Math.sqrt((1 - u) * width * (high - value));
      }
    }
  };
  return (values) => {
    fill(normals);
    inputs.forEach(({ value, spread, group }, i) => {
      const drawn = one(value, spread, normals[i] ?? 0);
      // Nothing that is measured is below 0, and no friction at 0.
      values[i] = group === 'friction' ? Math.max(1e-3, drawn) : Math.max(0, drawn);
    });
  };
}

/** Sums of one question over the runs, and how each input goes with it. */
class Tally {
  private known = 0;
  private yes = 0;
  private sum = 0;
  private squares = 0;
  private origin: number | undefined;
  private readonly inputs: Float64Array;
  private readonly inputSquares: Float64Array;
  private readonly products: Float64Array;
  private readonly centres: Float64Array;

  constructor(count: number) {
    this.inputs = new Float64Array(count);
    this.inputSquares = new Float64Array(count);
    this.products = new Float64Array(count);
    this.centres = new Float64Array(count);
  }

  add(values: Float64Array, result: number, isSo: boolean): void {
    if (!Number.isFinite(result)) return;
    if (this.origin === undefined) {
      this.origin = result;
      this.centres.set(values);
    }
    // About the first run, so that small spreads of large values keep their digits.
    const y = result - this.origin;
    this.known++;
    if (isSo) this.yes++;
    this.sum += y;
    this.squares += y * y;
    for (let i = 0; i < values.length; i++) {
      const x = (values[i] ?? 0) - (this.centres[i] ?? 0);
      this.inputs[i] = (this.inputs[i] ?? 0) + x;
      this.inputSquares[i] = (this.inputSquares[i] ?? 0) + x * x;
      this.products[i] = (this.products[i] ?? 0) + x * y;
    }
  }

  /** Undefined where the question could not be answered in any run. */
  chance(inputs: readonly UnsureInput[], runs: number): Chance | undefined {
    const n = this.known;
    if (n === 0 || this.origin === undefined) return undefined;
    const variance = Math.max(0, this.squares / n - (this.sum / n) ** 2);
    const groups = new Map<InputGroup, number>();
    inputs.forEach(({ group }, i) => {
      const x = (this.inputs[i] ?? 0) / n;
      const spread = (this.inputSquares[i] ?? 0) / n - x * x;
      const together = (this.products[i] ?? 0) / n - (x * this.sum) / n;
      if (spread <= 0 || variance <= 0) return;
      groups.set(group, (groups.get(group) ?? 0) + together ** 2 / (spread * variance));
    });
    const total = Math.max(
      1,
      [...groups.values()].reduce((a, b) => a + b, 0),
    );
    return {
      share: this.yes / runs,
      mean: this.origin + this.sum / n,
      sigma: Math.sqrt(variance),
      doubts: [...groups]
        .map(([group, share]) => ({ group, share: share / total }))
        .filter(({ share }) => share >= LEAST_SHARE)
        .sort((a, b) => b.share - a.share),
    };
  }
}
