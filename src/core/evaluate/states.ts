import { startClutchTorque } from '../assist/startClutch';
import { attempt, check } from '../errors';
import type { Job } from '../job/types';
import type { Mm, Newton, NewtonMetre, Rpm } from '../units/quantity';
import { startClutchOf } from '../clutch/startClutch/figures';
import { addedAtRpm, clampAtRpm, hasWeights } from './figures/clampOverSpeed';
import { workOut } from './evaluate';
import { warpOf } from './engine/layers';
import { ratioOverLift } from './figures/pullFigures';
import { springForceAt } from './engine/springs';
import type { Level } from './figures/torqueTerms';
import { torqueChain } from './figures/torqueChain';
import { firstSlip, newStack, thinnestDisc } from './wearLimits';
import { DEFAULT_POINTS, MAX_RPM, finiteOnly, number, torqueOverRpm } from './reserveCurve';
import type { CurvePoint, StateFigures } from './reserveCurve';

/** A state of the pack to look at it in. */
export interface PackState {
  /** Plates as measured, or all as new. Default `measured`. */
  readonly plates?: 'measured' | 'new';
  /** Wear of the whole pack beyond that, mm, 0 or more. */
  readonly wear?: Mm;
  /** Pressure plate lifted by, mm, 0 or more. */
  readonly lift?: Mm;
  /** Hot oil: the lining's low friction counts. Default `usual`: the typical one. */
  readonly oil?: 'usual' | 'hot';
  /**
   * Engine speed, for centrifugal parts; without it weights have no force. The torque at it is known from the curve, or at the
   * speed of peak torque.
   */
  readonly rpm?: Rpm | undefined;
}

export interface Curves {
  readonly wear: readonly CurvePoint[];
  readonly lift: readonly CurvePoint[];
  readonly rpm: readonly CurvePoint[];
}

/** The share of one friction face in the torque. */
export interface FaceShare {
  /** Numbers of the layers that meet there; 0 is the hub floor, one above the last plate the pressure plate. */
  readonly below: number;
  readonly above: number;
  readonly clamp: Newton;
  /** At typical friction. */
  readonly torque: NewtonMetre;
  /** Of the torque of all faces. */
  readonly share: number;
}

/** A limit and the pack wear, from now, at which it is met. */
export interface WearReserve {
  readonly kind: 'stackLimits' | 'pack' | 'disc' | 'holds';
  readonly name: string;
  readonly wear: Mm;
}

/** A pack ready to be looked at in any state, worked out once. */
export interface PackModel {
  /** @throws {DomainError} for a wear, lift or rpm below 0, or a wear greater than the stack */
  at(state?: PackState): StateFigures;
  /** Over wear to past the first limit, over lift to full lift, over rpm from idle past peak torque. */
  curves(points?: number): Curves;
  /** Every friction face from the pressure plate inward, with tang friction; empty while unknown. */
  faces(): readonly FaceShare[];
  /** The wear at which each limit is met, the first one first. Empty while no limit is known. */
  wearReserve(): readonly WearReserve[];
}

const LEVEL_NAMES = { low: 'Low', typical: 'Typical', high: 'High' } as const satisfies Record<
  string,
  Level
>;

/**
 * Prepares a pack for its states and curves. Wear takes height from the linings and leaves radii as they are.
 * Source: `docs/mechanics.md` sections 3 to 7 and 9, evaluated away from the built state.
 * @example packModel(job).at({ wear: 0.3 }).stack // 33.9
 */
export function packModel(job: Job): PackModel {
  const { sheet, layout } = workOut(job);
  const measured = sheet.known('stack')?.value;
  const asNew = newStack(layout);
  const force = springForceAt(sheet);
  const chain = torqueChain(sheet, layout);
  const held = sheet.known('capacityWithTangs') !== undefined;
  const asked = sheet.known('torqueAtClutch')?.value;
  const fullLift = sheet.known('liftHad')?.value;
  const faces = sheet.known('faces')?.value ?? 0;
  const warp = warpOf(layout);
  const ratioAt = ratioOverLift(sheet);
  const efficiency = number(sheet, 'release.efficiency');
  const turning = clampAtRpm(sheet);
  const assisted = addedAtRpm(sheet);
  const peakRpm = number(sheet, 'engine.peakTorqueRpm');
  const askedAt = torqueOverRpm(sheet);
  const start = startClutchOf(sheet);

  const at = ({
    plates = 'measured',
    wear = 0,
    lift = 0,
    oil = 'usual',
    rpm,
  }: PackState = {}): StateFigures => {
    const from = (plates === 'new' ? asNew : measured) ?? Number.NaN;
    check('wear', wear, Number.isFinite(from) ? { min: 0, below: from } : { min: 0 });
    check('lift', lift, { min: 0, max: 50 });
    if (rpm !== undefined) check('rpm', rpm, { min: 0, max: MAX_RPM });
    const stack = from - wear;
    const springs = force && Number.isFinite(stack) ? attempt(() => force(stack, lift)) : undefined;
    // A lifted plate leaves the pack; weights then find no plate to press on.
    const clamp =
      springs === undefined
        ? undefined
        : lift > 0
          ? 0
          : rpm === undefined
            ? springs
            : turning
              ? attempt(() => turning(rpm, (rise) => force?.(stack, rise) ?? Number.NaN))
              : // With weights, the springs are only part of the clamp.
                hasWeights(job)
                ? undefined
                : springs;
    // Peak torque is judged at its own speed; elsewhere only a curve gives the torque.
    const load =
      rpm === undefined
        ? hasWeights(job)
          ? undefined
          : asked
        : (askedAt?.(rpm) ?? (rpm === peakRpm ? asked : undefined));
    const assist = rpm === undefined ? undefined : attempt(() => assisted?.(rpm));
    const ratio = ratioAt?.(lift);
    const capacity =
      held && clamp !== undefined
        ? attempt(() => byLevel((name) => chain.torqueAt(LEVEL_NAMES[name], clamp, true)))
        : undefined;
    return finiteOnly({
      stack,
      ...(clamp === undefined ? {} : { clamp }),
      ...(springs === undefined ? {} : { springForce: springs }),
      ...(capacity === undefined ? {} : { capacity }),
      ...(load ? { asked: load } : {}),
      ...(capacity && load
        ? {
            reserve: byLevel((name) => capacity[name] / load),
            reserveHere: capacity[oil === 'hot' ? 'low' : 'typical'] / load,
          }
        : {}),
      ...(start && rpm !== undefined
        ? { startTorque: attempt(() => startClutchTorque(start, rpm)) ?? 0 }
        : {}),
      ...(springs !== undefined && ratio && efficiency
        ? { leverPull: (springs + (assist ?? 0)) / (ratio * efficiency) }
        : {}),
      ...(assist === undefined ? {} : { assist }),
      ...(faces > 0 && lift > 0 ? { clearancePerFace: (lift - warp) / faces } : {}),
    });
  };

  const wearReserve = (): readonly WearReserve[] => {
    if (measured === undefined) return [];
    const limits: WearReserve[] = [];
    const min = number(sheet, 'pack.windowMin');
    if (min !== undefined)
      limits.push({ kind: 'stackLimits', name: 'stack below its limits', wear: measured - min });
    const most = number(sheet, 'pack.maxWear');
    if (most !== undefined && asNew !== undefined)
      limits.push({ kind: 'pack', name: 'pack wear limit', wear: most - (asNew - measured) });
    const disc = thinnestDisc(layout);
    if (disc !== undefined) limits.push({ kind: 'disc', name: 'thinnest disc', wear: disc });
    const slips = firstSlip((wear) => at({ wear, rpm: peakRpm }).reserve?.low, measured);
    if (slips !== undefined) limits.push({ kind: 'holds', name: 'slips', wear: slips });
    return limits.map((l) => ({ ...l, wear: Math.max(0, l.wear) })).sort((a, b) => a.wear - b.wear);
  };

  const curves = (points = DEFAULT_POINTS): Curves => {
    check('points', points, { min: 2, max: 2001, integer: true });
    const along = (to: number, state: (x: number) => PackState, from = 0): CurvePoint[] =>
      Array.from({ length: points }, (_, i) => {
        const x = from + ((to - from) * i) / (points - 1);
        return { x, at: at(state(x)) };
      });
    if (measured === undefined) return { wear: [], lift: [], rpm: [] };
    const first = wearReserve()[0]?.wear ?? 1;
    const most = Math.min(measured * 0.5, Math.max(0.5, first * 1.25));
    const peak = peakRpm;
    const idle = number(sheet, 'engine.idleRpm') ?? 0;
    return {
      wear: along(most, (wear) => ({ wear })),
      lift: fullLift === undefined ? [] : along(Math.min(50, fullLift), (lift) => ({ lift })),
      rpm:
        peak === undefined
          ? []
          : along(
              Math.min(MAX_RPM, Math.max(idle, peak) * 1.25),
              (rpm) => ({ rpm }),
              Math.min(idle, peak),
            ),
    };
  };
  const faceShares = (): readonly FaceShare[] => {
    // At peak torque, as the capacity is, so that the faces add up to it.
    const clamp =
      measured === undefined
        ? undefined
        : (sheet.known('clampAtPeak') ?? sheet.known('clamp'))?.value;
    const whole =
      held && clamp !== undefined
        ? attempt(() => chain.capacityAt('Typical', clamp, true))
        : undefined;
    if (!whole) return [];
    return chain.faces.map((face, i) => ({
      below: face.below,
      above: face.above,
      clamp: whole.clampAtFace[i] ?? 0,
      torque: whole.torqueAtFace[i] ?? 0,
      share: whole.torque > 0 ? (whole.torqueAtFace[i] ?? 0) / whole.torque : 0,
    }));
  };
  return { at, curves, faces: faceShares, wearReserve };
}

function byLevel<T>(
  make: (name: 'low' | 'typical' | 'high') => T,
): Readonly<Record<'low' | 'typical' | 'high', T>> {
  return { low: make('low'), typical: make('typical'), high: make('high') };
}
