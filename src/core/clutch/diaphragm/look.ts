import { attempt } from '../../errors';
import { springForceAt } from '../../evaluate/engine/springs';
import { workOut } from '../../evaluate/evaluate';
import { packModel } from '../../evaluate/states';
import type { Job } from '../../job/types';
import type { Sentence } from '../../text/sentence';
import { length, say, upperFirst } from '../../text/sentence';
import type { Mm, Newton } from '../../units/quantity';
import { onStep } from './steps';

/* A diaphragm spring to be looked at: its curve with the points that it works at, and its steps. */

export interface SpringPoint {
  readonly deflection: Mm;
  readonly force: Newton;
}

/** The effect of another retainer step. */
export interface StepLook {
  readonly id: string;
  readonly name: string;
  readonly inUse: boolean;
  readonly deflection: Mm;
  readonly clamp: Newton;
  /** Against the step in use, as a share: −0.04 is 4 % less. */
  readonly clampChange: number;
  readonly pullChange?: number;
  /** Wear at which it clamps as much as the step in use does now, where it clamps less at first. */
  readonly backAt?: Mm;
  readonly sentence: Sentence;
}

export interface DiaphragmLook {
  readonly curve: readonly SpringPoint[];
  /** As built, worn to the limit of discs or reserve, and at full lift. */
  readonly built: SpringPoint;
  readonly worn?: SpringPoint;
  readonly lifted?: SpringPoint;
  /** Where more preload means less clamp. */
  readonly falling?: { readonly from: Mm; readonly to: Mm };
  readonly steps: readonly StepLook[];
}

const CURVE_POINTS = 81;
/** Wear is followed so far for a clamp that comes back, mm. */
const FARTHEST: Mm = 3;
const WEAR_STEP: Mm = 0.01;
/** Below this share a change is none. */
const NOTHING = 0.002;

/**
 * A diaphragm spring at work: its curve, its working points, and the effect of each retainer step.
 * @returns nothing for other springs, or while stack or spring are not known
 * Never throws for a job that passes the schema. Source: `docs/mechanics.md` section 5.
 * @example diaphragmLook(quad).steps.length // 3
 */
export function diaphragmLook(job: Job): DiaphragmLook | undefined {
  if (job.springs.type !== 'diaphragm') return undefined;
  const { sheet } = workOut(job);
  const stack = sheet.known('stack')?.value;
  const built = sheet.known('deflection')?.value;
  const force = springForceAt(sheet);
  if (stack === undefined || built === undefined || !force) return undefined;
  const at = (deflection: Mm): SpringPoint | undefined => {
    const found = attempt(() => force(stack + deflection - built, 0));
    return found === undefined || !Number.isFinite(found)
      ? undefined
      : { deflection, force: found };
  };
  const here = at(built);
  if (!here) return undefined;
  const lift = sheet.known('liftHad')?.value ?? 0;
  const model = packModel(job);
  // Other steels can correct a low stack; linings and torque reserve end the life of a pack.
  const wear = model.wearReserve().find((l) => l.kind !== 'stackLimits')?.wear;
  const curve = sample(job, Math.max(built + Math.max(0, lift), built), at);
  return {
    curve,
    built: here,
    ...point('worn', wear !== undefined && wear < built ? at(built - wear) : undefined),
    ...point('lifted', lift > 0 ? at(built + lift) : undefined),
    ...fallingPart(curve),
    steps: stepLooks(job),
  };
}

const point = (name: 'worn' | 'lifted', value: SpringPoint | undefined) =>
  value ? { [name]: value } : {};

/** The curve from zero deflection, or the first tester point, to well past the working range. */
function sample(
  job: Job,
  reached: Mm,
  at: (deflection: Mm) => SpringPoint | undefined,
): SpringPoint[] {
  const { forceFrom, points, measuredCone, coneHeight } = job.springs.diaphragm;
  const tested = points.flatMap((p) => (p.deflection ? [p.deflection.value] : []));
  const cone = (measuredCone ?? coneHeight)?.value ?? reached;
  const [from, to] =
    forceFrom === 'tester' && tested.length > 0
      ? [Math.min(...tested), Math.max(...tested)]
      : [0, Math.min(2 * cone, Math.max(1.5 * cone, reached * 1.1))];
  return Array.from(
    { length: CURVE_POINTS },
    (_, i) => from + ((to - from) * i) / (CURVE_POINTS - 1),
  ).flatMap((s) => at(s) ?? []);
}

/** From the first peak of a curve to the dip after it, if it has one. */
function fallingPart(
  curve: readonly SpringPoint[],
): Pick<DiaphragmLook, 'falling'> | Record<string, never> {
  const peak = curve.findIndex((p, i) => i > 0 && p.force < (curve[i - 1]?.force ?? 0));
  if (peak < 1) return {};
  const rest = curve.slice(peak);
  const dip = rest.findIndex((p, i) => i > 0 && p.force > (rest[i - 1]?.force ?? 0));
  const from = curve[peak - 1]?.deflection;
  const to = (dip < 0 ? rest.at(-1) : rest[dip - 1])?.deflection;
  return from !== undefined && to !== undefined && to > from ? { falling: { from, to } } : {};
}

function stepLooks(job: Job): StepLook[] {
  const { diaphragm } = job.springs;
  const look = (variant: Job) => {
    const { sheet } = workOut(variant);
    return {
      sheet,
      model: packModel(variant),
      clamp: sheet.known('clamp')?.value,
      pull: (sheet.known('leverPull') ?? sheet.known('releaseForce'))?.value,
    };
  };
  const now = look(job);
  if (now.clamp === undefined) return [];
  const today = now.clamp;
  return diaphragm.steps.flatMap((step): StepLook[] => {
    const { sheet, model, clamp, pull } = look(onStep(job, step.id));
    const deflection = sheet.known('deflection')?.value;
    if (clamp === undefined || deflection === undefined) return [];
    const inUse = step.id === diaphragm.stepId;
    const clampChange = clamp / today - 1;
    const pullChange = pull !== undefined && now.pull ? pull / now.pull - 1 : undefined;
    const backAt =
      clampChange < -NOTHING
        ? firstWear((wear) => (attempt(() => model.at({ wear }))?.clamp ?? 0) >= today)
        : undefined;
    return [
      {
        id: step.id,
        name: step.name,
        inUse,
        deflection,
        clamp,
        clampChange,
        ...(pullChange === undefined ? {} : { pullChange }),
        ...(backAt === undefined ? {} : { backAt }),
        sentence: inUse ? say`In use.` : stepSentence(clampChange, pullChange, backAt),
      },
    ];
  });
}

/** "6 % lighter at the lever, 4 % less clamp; at 0.4 mm wear the clamp is back." */
function stepSentence(clamp: number, pull: number | undefined, backAt: Mm | undefined): Sentence {
  const lever = pull === undefined ? '' : `${change(pull, 'heavier', 'lighter')} at the lever, `;
  const said = `${lever}${change(clamp, 'more', 'less')} clamp`;
  const first = upperFirst(said);
  return backAt === undefined
    ? clamp < -NOTHING
      ? say`${first}, and wear does not restore it.`
      : say`${first}.`
    : say`${first}; wear of ${length(backAt)} restores the clamp.`;
}

function change(share: number, more: string, less: string): string {
  return Math.abs(share) < NOTHING
    ? `the same`
    : `${Math.abs(share * 100).toFixed(Math.abs(share) < 0.0995 ? 1 : 0)} % ${share > 0 ? more : less}`;
}

function firstWear(enough: (wear: Mm) => boolean): Mm | undefined {
  for (let wear = WEAR_STEP; wear <= FARTHEST; wear += WEAR_STEP) if (enough(wear)) return wear;
  return undefined;
}
