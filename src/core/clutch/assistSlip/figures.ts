import type { Sheet } from '../../evaluate/engine/sheet';
import type { Term } from '../../evaluate/engine/term';
import { collectTerms, term } from '../../evaluate/engine/term';
import { Impossible } from '../../errors';
import { axialPerTorque, driveGain, heldOnOverrun, leastDriveAngle } from '../../ramps/ramps';
import type { Driven } from '../kind';

/* Hold on drive, letting go on overrun, and what the ramps save. */

/** Share of its peak torque with which an engine brakes. Assumed value. */
const BRAKING_SHARE = 0.3;

const ramp = (sheet: Sheet, side: 'drive' | 'overrun'): readonly Term[] => [
  sheet.entry('fittings.ramps.radius'),
  sheet.entry(`fittings.ramps.${side}Angle`),
  sheet.entry('fittings.ramps.friction'),
];

const perTorque = ([r = 0, λ = 0, μ = 0]: readonly number[]): number => axialPerTorque(r, λ, μ);

/** The share q of a side for a torque per newton; undefined while its ramp is not known. */
function shareOf(sheet: Sheet, side: 'drive' | 'overrun'): ((k: number) => number) | undefined {
  const each = collectTerms(ramp(sheet, side), perTorque);
  return each.known ? (k) => k * each.value : undefined;
}

/**
 * Engine braking at the crank, N·m: entered, else a share of the peak torque.
 * @example brakingTerm(sheet).known // true
 */
export function brakingTerm(sheet: Sheet): Term {
  const given = sheet.entry('fittings.ramps.braking');
  const peak = sheet.entry('engine.peakTorque');
  if (given.known || !peak.known) return given;
  return term({
    symbol: 'T_eb',
    label: 'Engine braking torque',
    value: peak.value * BRAKING_SHARE,
    quantity: 'torque',
    path: 'fittings.ramps.braking',
    source: { kind: 'estimate', note: '30 % of peak torque' },
  });
}

/** The ramps multiply what the springs hold on drive. */
export const RAMP_DRIVE: Driven = {
  terms: (sheet) => ramp(sheet, 'drive'),
  gain: (sheet) => {
    const share = shareOf(sheet, 'drive');
    return (perNewton) => {
      const q = share?.(perNewton) ?? Number.NaN;
      if (q >= 1) throw new Impossible('the ramps lock by themselves.');
      return driveGain(q);
    };
  },
  figures: rampFigures,
};

/** Low, typical and high friction of the lining, as one value with its range. */
function ranged(values: readonly [number, number, number], of: (k: number) => number) {
  const [low, value, high] = values.map(of);
  const all = [low ?? Number.NaN, value ?? Number.NaN, high ?? Number.NaN] as const;
  return { value: all[1], low: Math.min(...all), high: Math.max(...all) };
}

const BY_FRICTION = 'Range: low to high friction of the lining.';

function rampFigures(sheet: Sheet, k: Term, levels: readonly [number, number, number]): void {
  const drive = collectTerms(ramp(sheet, 'drive'), perTorque);
  const overrun = collectTerms(ramp(sheet, 'overrun'), perTorque);
  const springs = sheet.figure('clamp', 'F_s');
  const [low, , high] = levels;
  sheet.compute('ramps:share', {
    label: 'Ramp share q',
    quantity: 'ratio',
    section: 14,
    formula: 'q = k/(r_r·tan(λ_d + arctan μ_r)), k = Σ μ·R',
    from: { k, a: drive },
    value: ({ a }) => ranged(levels, (each) => each * a),
    notes: [BY_FRICTION, 'From 1 on the pack locks by itself.'],
  });
  sheet.compute('ramps:gain', {
    label: 'Gain of the ramps on drive',
    quantity: 'ratio',
    section: 14,
    decimals: 2,
    formula: '1/(1 − q)',
    from: { q: sheet.figure('ramps:share', 'q'), a: drive },
    value: ({ a }) => ranged(levels, (each) => driveGain(each * a)),
    notes: [BY_FRICTION],
  });
  sheet.compute('ramps:clampOnDrive', {
    label: 'Clamp on drive at peak torque',
    quantity: 'force',
    section: 14,
    formula: 'F_s + T_req/(r_r·tan(λ_d + arctan μ_r))',
    from: { F: springs, T: sheet.figure('torqueAtClutch', 'T_req'), a: drive },
    value: ({ F, T, a }) => F + T * a,
  });
  sheet.compute('ramps:overrun', {
    label: 'Torque held on overrun',
    quantity: 'torque',
    section: 14,
    formula: 'T_b = k·F_s/(1 + q_b)',
    from: { k, F: springs, b: overrun },
    value: ({ F, b }) => ranged(levels, (each) => heldOnOverrun(each, F, each * b)),
    notes: [BY_FRICTION],
  });
  sheet.compute('ramps:opens', {
    label: 'Engine braking at which it opens',
    quantity: 'torque',
    section: 14,
    formula: 'T_b/i, at the crank',
    from: {
      T_b: sheet.figure('ramps:overrun', 'T_b'),
      i: sheet.entry('engine.primaryRatio'),
    },
    value: ({ T_b, i }) => {
      const held = sheet.known('ramps:overrun')?.range;
      return { value: T_b / i, low: (held?.low ?? T_b) / i, high: (held?.high ?? T_b) / i };
    },
  });
  sheet.compute('ramps:braking', {
    label: 'Engine braking at the clutch',
    quantity: 'torque',
    section: 14,
    formula: 'T_eb·i',
    from: { T: brakingTerm(sheet), i: sheet.entry('engine.primaryRatio') },
    value: ({ T, i }) => T * i,
  });
  sheet.compute('ramps:without', {
    label: 'Clamp needed without ramps',
    quantity: 'force',
    section: 14,
    formula: 'F_s/(1 − q), low friction: the same reserve by springs alone',
    from: { F: springs, k, a: drive },
    value: ({ F, a }) => F * driveGain(low * a),
  });
  sheet.compute('ramps:saved', {
    label: 'Lever pull saved',
    quantity: 'force',
    section: 14,
    formula: 'F_h·(1/(1 − q) − 1), low friction',
    from: { F_h: sheet.figure('leverPull', 'F_h'), a: drive },
    value: ({ F_h, a }) => F_h * (driveGain(low * a) - 1),
    notes: ['Springs as much stronger pull as much harder.'],
  });
  sheet.compute('ramps:leastAngle', {
    label: 'Least drive ramp angle',
    quantity: 'angle',
    section: 14,
    decimals: 1,
    formula: 'arctan(k/r_r) − arctan μ_r, high friction: from here on it does not lock',
    from: { k, r: sheet.entry('fittings.ramps.radius'), μ: sheet.entry('fittings.ramps.friction') },
    value: ({ r, μ }) => leastDriveAngle(high, r, μ),
  });
}
