import { bandsOf } from '../clutch/diaphragm/steps';
import { fittedKinds } from '../clutch/fitted';
import { attempt } from '../errors';
import type { Sheet } from '../evaluate/engine/sheet';
import { springForceAt } from '../evaluate/engine/springs';
import { workOut } from '../evaluate/evaluate';
import { addedAtRpm } from '../evaluate/figures/clampOverSpeed';
import { liftAtPlate } from '../evaluate/figures/releaseFigures';
import { pullOver } from '../evaluate/figures/pullFigures';
import { torqueChain } from '../evaluate/figures/torqueChain';
import { packModel } from '../evaluate/states';
import { firstSlip } from '../evaluate/wearLimits';
import { RESERVE_STOP } from '../evaluate/verdicts/holdingVerdict';
import { LIFT_WATCH } from '../evaluate/verdicts/releaseVerdicts';
import type { Job } from '../job/types';
import { bandsAt } from '../pack/bands';
import { RETAINED_SHARE, retainedShare } from '../release/retention';
import { torqueAtClutch } from '../torque/capacity';
import type { Mm } from '../units/quantity';
import type { Measured } from './measures';
import { MEASURES } from './measures';
import { MORE_STEEL } from './options';
import type { SteelSet } from './steelSets';

/* What a pack holds, lifts and wears, so that a million of them can be compared. */

/** Why packs can't be built, each with how many fail it. */
export const BUILD_CONDITIONS = [
  'stack',
  'holds',
  'releases',
  'coils',
  'gap',
  'step',
  'retention',
] as const;
export type BuildCondition = (typeof BUILD_CONDITIONS)[number];

/** A pack before its steels are chosen. */
export interface Body {
  readonly job: Job;
  readonly sheet: Sheet;
  readonly steels: readonly { readonly thickness: Mm; readonly outOfFlat: Mm }[];
  /** Height, and out-of-flat, of what stays. */
  readonly fixed: Mm;
  readonly warp: Mm;
  readonly min: Mm;
  readonly max: Mm;
  readonly faces: number;
  /** Torque held for each newton, worst friction; undefined where ramps lock. */
  readonly perNewton: number | undefined;
  /** Torque at the clutch, and clamp that weights add, wherever both are judged. */
  readonly loads: readonly { readonly torque: number; readonly added: number }[];
  readonly discLimit: Mm | undefined;
  readonly force: (stack: Mm, lift: Mm) => number;
  /** Of a coil spring: its force only falls as the pack wears. */
  readonly falls: boolean;
  /** Plates from the hub floor outward; a steel has no height of its own. */
  readonly order: readonly {
    readonly thickness: Mm | undefined;
    readonly member: 'basket' | 'hub';
  }[];
  /** Plate gap less the stack, where springs are between two plates. */
  readonly gap: { readonly sum: Mm; readonly min: Mm; readonly max: Mm } | undefined;
}

/** What every pack on a body has in common. */
export function bodyOf(job: Job): Body {
  const { sheet, layout } = workOut(job);
  const { windowMin, windowMax } = job.pack;
  const at = (path: Parameters<Sheet['valueAt']>[0]) => sheet.valueAt(path);
  const chain = torqueChain(sheet, layout);
  const [ratio = 1, efficiency = 1] = [at('engine.primaryRatio'), at('engine.primaryEfficiency')];
  const added = addedAtRpm(sheet);
  const peak = sheet.known('torqueAtClutch')?.value ?? Number.NaN;
  const curve = job.engine.curve?.points.filter((p) => p.torque > 0) ?? [];
  const peakRpm = at('engine.peakTorqueRpm') ?? 0;
  const loads = [
    { torque: peak, added: added?.(peakRpm) ?? 0 },
    ...curve.map(({ rpm, torque }) => ({
      torque: torqueAtClutch(torque, ratio, efficiency),
      added: added?.(rpm) ?? 0,
    })),
  ];
  // Without weights only the highest torque counts.
  const highest = Math.max(...loads.map((l) => l.torque));
  const steels = layout.layers.filter((l) => l.lined === 'none');
  const plateGap = sheet.known('plateGap');
  const stack = sheet.known('stack')?.value ?? Number.NaN;
  return {
    job,
    sheet,
    steels: steels.map((l) => ({ thickness: l.thickness ?? Number.NaN, outOfFlat: l.outOfFlat })),
    fixed: layout.layers.reduce((sum, l) => sum + (l.lined === 'none' ? 0 : (l.thickness ?? 0)), 0),
    warp: layout.layers.reduce((sum, l) => sum + (l.lined === 'none' ? 0 : l.outOfFlat), 0),
    min: windowMin?.value ?? 0,
    max: windowMax?.value ?? Infinity,
    faces: layout.slipping.length,
    perNewton: attempt(() => {
      // At high friction ramps lock first.
      chain.torqueAt('High', 1, true);
      return chain.torqueAt('Low', 1, true);
    }),
    loads: added ? loads : [{ torque: highest, added: 0 }],
    discLimit: packModel(job)
      .wearReserve()
      .find((l) => l.kind === 'disc')?.wear,
    force: springForceAt(sheet) ?? (() => Number.NaN),
    falls: sheet.springs.ofGroups === true,
    order: layout.layers.map((l) => ({
      thickness: l.lined === 'none' ? undefined : l.thickness,
      member: l.turnsWith,
    })),
    gap:
      plateGap && (at('springs.loose.gapMin') ?? at('springs.loose.gapMax')) !== undefined
        ? {
            sum: plateGap.value + stack,
            min: at('springs.loose.gapMin') ?? -Infinity,
            max: at('springs.loose.gapMax') ?? Infinity,
          }
        : undefined,
  };
}

/** The steels that are in the pack. */
export const ownSteels = ({ job, steels }: Body): SteelSet => ({
  height: steels.reduce((sum, s) => sum + s.thickness, 0),
  outOfFlat: steels.reduce((sum, s) => sum + s.outOfFlat, 0),
  // Of a pair that was put in the disc is counted by its option.
  newParts: job.pack.plates.filter((p) => p.id === MORE_STEEL).length,
  picks: [],
});

/** What a pack holds before its train is known. */
export interface Hold {
  readonly stack: Mm;
  readonly reserve: number;
  readonly life: Mm;
  readonly margin: Mm;
  readonly fails: readonly BuildCondition[];
}

const EDGE = 1e-6;

export function holdOf(body: Body, set: SteelSet): Hold {
  const stack = body.fixed + set.height;
  const { perNewton = Number.NaN } = body;
  const reserveAt = (wear: Mm): number => {
    const force = attempt(() => body.force(stack - wear, 0)) ?? 0;
    let least = Infinity;
    for (const { torque, added } of body.loads)
      least = Math.min(least, ((force + added) * perNewton) / torque);
    return least;
  };
  const margin = Math.min(stack - body.min, body.max - stack);
  const reserve = reserveAt(0);
  const fails: BuildCondition[] = [];
  if (margin < -EDGE) fails.push('stack');
  if (!(reserve >= RESERVE_STOP)) fails.push('holds');
  if (body.gap) {
    const gap = body.gap.sum - stack;
    if (gap < body.gap.min - EDGE || gap > body.gap.max + EDGE) fails.push('gap');
  }
  if (!isOnStep(body, stack)) fails.push('step');
  return {
    stack,
    reserve,
    margin: Math.abs(margin) < EDGE ? 0 : margin,
    fails,
    life: fails.length > 0 ? 0 : lifeOf(body, stack, reserveAt),
  };
}

/** Wear until the stack, a disc or the hold is at its limit. */
function lifeOf(body: Body, stack: Mm, reserveAt: (wear: Mm) => number): Mm {
  const cap = Math.max(0, Math.min(stack - body.min, body.discLimit ?? Infinity));
  if (body.falls && reserveAt(cap) >= RESERVE_STOP) return cap;
  return Math.max(0, Math.min(cap, firstSlip(reserveAt, stack) ?? Infinity));
}

/** Whether the retainer step in use suits a stack, by the leaflet's bands where it goes by the sum. */
function isOnStep({ job }: Body, stack: Mm): boolean {
  const { stepBy = 'sum', stepId } = job.springs.diaphragm;
  const bands = job.springs.type === 'diaphragm' ? bandsOf(job) : [];
  if (bands.length === 0 || stepBy !== 'sum' || stepId === undefined) return true;
  return bandsAt(stack, bands).some((b) => b.step === stepId);
}

/** The train of a pack. */
export interface Train {
  readonly lift: Mm;
  readonly had: Mm;
  readonly pullAt: (stack: Mm) => number;
  /** Lift required by faces and out-of-flat. */
  readonly needed: (faces: number, warp: Mm) => number;
  /** Travel before coil bind at a stack, where there are coils. */
  readonly room: ((stack: Mm) => Mm) | undefined;
  readonly spline: Mm | undefined;
  readonly fingers: Mm | undefined;
}

export function trainOf(job: Job, body: Body): Train {
  const { sheet } = job === body.job ? body : workOut(job);
  const pull = pullOver(sheet);
  const per = sheet.entry('release.faceClearance');
  const asked = sheet.valueAt('release.requiredLift');
  const clearance = per.known ? per.value : 0;
  const byAssumed = per.known && per.estimated;
  const stack = sheet.known('stack')?.value ?? Number.NaN;
  const room = sheet.known('coilClearance')?.value;
  const slope = roomSlope(sheet);
  return {
    lift: sheet.known(liftAtPlate(sheet))?.value ?? Number.NaN,
    had: sheet.known('liftHad')?.value ?? Number.NaN,
    pullAt: (at) => attempt(() => pull(at).pull) ?? Number.NaN,
    needed: (faces, warp) => {
      const byFaces = faces * clearance + warp;
      if (asked === undefined) return byFaces;
      return byAssumed ? asked : Math.max(asked, byFaces);
    },
    // A taller stack presses the coils as much further.
    room: room === undefined ? undefined : (at) => room - (at - stack) * slope,
    spline: sheet.valueAt('pack.splineLength'),
    fingers: sheet.valueAt('pack.fingerLength'),
  };
}

/** How much nearer to coil bind a millimetre of stack brings the springs. */
const roomSlope = (sheet: Sheet): number =>
  fittedKinds(sheet.job).some((k) => k.springs?.ofGroups) ? 1 : 0;

/** The condition of the train that a pack fails, the first one. */
export function whyNot(
  body: Body,
  train: Train,
  set: SteelSet,
  hold: Hold,
): BuildCondition | undefined {
  const warp = body.warp + set.outOfFlat;
  if (train.lift < LIFT_WATCH * train.needed(body.faces, warp)) return 'releases';
  if (train.room && train.room(hold.stack) < 0) return 'coils';
  if (!isRetained(body, train, set)) return 'retention';
  return Number.isFinite(train.pullAt(hold.stack)) ? undefined : 'releases';
}

/** A pack that can be built by its measures. */
export function measure(
  body: Body,
  train: Train,
  set: SteelSet,
  hold: Hold,
): Omit<Measured, 'newParts'> {
  return {
    pull: train.pullAt(hold.stack),
    reserve: hold.reserve,
    clearance: (train.lift - body.warp - set.outOfFlat) / body.faces,
    life: hold.life,
    margin: hold.margin,
  };
}

/** Whether every plate stays on spline and fingers at full lift, each steel counted with the same share of their height. */
function isRetained(body: Body, train: Train, set: SteelSet): boolean {
  if (train.spline === undefined && train.fingers === undefined) return true;
  const each = set.height / Math.max(1, body.steels.length);
  let bottom = 0;
  for (const { thickness = each, member } of body.order) {
    const room = member === 'hub' ? train.spline : train.fingers;
    if (
      room !== undefined &&
      (attempt(() => retainedShare(room, bottom, train.had, thickness)) ?? 1) < RETAINED_SHARE
    )
      return false;
    bottom += thickness;
  }
  return true;
}

/** The present pack by the same measures; undefined while they are not known. */
export function presentOf(job: Job): Measured | undefined {
  const body = bodyOf(job);
  const set = ownSteels(body);
  const hold = holdOf(body, set);
  const measured = measure(body, trainOf(job, body), set, hold);
  const life = lifeOf(body, hold.stack, (wear) => {
    const force = attempt(() => body.force(hold.stack - wear, 0)) ?? 0;
    return Math.min(
      ...body.loads.map((l) => ((force + l.added) * (body.perNewton ?? 0)) / l.torque),
    );
  });
  return MEASURES.some((m) => m !== 'newParts' && !Number.isFinite({ ...measured, life }[m]))
    ? undefined
    : { ...measured, life, newParts: 0 };
}
