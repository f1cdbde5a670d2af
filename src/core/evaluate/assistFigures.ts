import type { ExpandingDisc, SpringsOverRise } from '../assist/centrifugal';
import {
  ballAssist,
  basketRpm,
  expandingClamp,
  leverAssist,
  takeUp,
  touchesAt,
} from '../assist/centrifugal';
import type { Shoe, StartClutch } from '../assist/startClutch';
import { firstContactRpm, holdingRpm, worn } from '../assist/startClutch';
import type { Job } from '../job/types';
import { gapPerTurn } from '../setting/adjuster';
import { leverGain } from '../setting/leverGain';
import type { Mm, Newton, Rpm } from '../units/quantity';
import type { Sheet } from './sheet';
import type { Term } from './term';
import { springForceAt, springTerms } from './springFigures';
import { gather } from './term';

/**
 * Whether anything presses by turning, so that the clamp depends on rpm.
 * @example hasWeights(quad) // true
 */
export function hasWeights({ assist, expanding }: Job): boolean {
  return assist.type !== 'none' || expanding.fitted;
}

/**
 * What weights do to the clamp at the engine's peak torque; nothing where there are none.
 * @example computeAssist(sheet), sheet.outcomes.has('clampAtPeak') // false
 */
export function computeAssist(sheet: Sheet): void {
  const { assist, expanding } = sheet.job;
  const speed = [sheet.entry('engine.peakTorqueRpm'), sheet.entry('engine.primaryRatio')] as const;
  if (assist.type !== 'none') {
    const levers = assist.type === 'levers';
    sheet.compute('assistClamp', {
      label: 'Centrifugal clamp at peak torque',
      quantity: 'force',
      section: 9,
      formula: levers ? 'F_c = n·m·r_w·ω²·i_w, ω at n_T/i' : 'F_c = n·m·r_w·ω²/tan α, ω at n_T/i',
      from: {
        F: gather([...speed, ...assistTerms(sheet)], ([rpm = 0, i = 0, ...v]) =>
          assistForce(levers, v, basketRpm(rpm, i)),
        ),
      },
      value: ({ F }) => F,
      notes: ['The basket turns at engine speed ÷ primary ratio.'],
    });
  }
  if (!hasWeights(sheet.job)) return;
  const weighed = expanding.fitted && isWeighed(sheet.job);
  const rising = springsOverRise(sheet);
  const base = weighed
    ? gather(
        [...speed, sheet.entry('setting.installGap'), ...discTerms(sheet), ...springTerms(sheet)],
        ([rpm = 0, i = 0, gap = 0, ...v]) =>
          expandingClamp(discOf(v), gap, rising, basketRpm(rpm, i)),
      )
    : expanding.fitted
      ? assumed(
          gather([sheet.entry('expanding.growth'), ...springTerms(sheet)], ([e = 0]) => rising(e)),
        )
      : sheet.figure('clamp', 'F');
  sheet.compute('clampAtPeak', {
    label: 'Clamp at peak torque',
    quantity: 'force',
    section: expanding.fitted ? 8 : 9,
    formula: [
      weighed
        ? 'F(s + y) with n·m·r_w·ω²·i_e − F_0 − k_r·y = F(s + y), g ≤ y ≤ e'
        : expanding.fitted
          ? 'F(s + e)'
          : 'F',
      ...(assist.type === 'none' ? [] : ['F_c']),
    ].join(' + '),
    from: {
      F: base,
      ...(assist.type === 'none' ? {} : { Fc: sheet.figure('assistClamp', 'F_c') }),
    },
    value: (v) => Object.values(v).reduce((sum, f) => sum + f, 0),
    notes: weighed
      ? [
          'y is what the disc has grown by. Fully out it holds the springs at F(s + e); until it locks up, the clamp is what its weights give at the gap.',
        ]
      : expanding.fitted
        ? [
            'Nothing is entered of the disc’s weights: it is taken as fully out where the engine pulls hardest, as its maker’s limits for the gap are meant to see to.',
          ]
        : [],
  });
}

/** Whether anything is entered of what makes an expanding disc press; a bought disc seldom says. */
const isWeighed = ({ expanding }: Job): boolean =>
  [
    expanding.count,
    expanding.mass,
    expanding.radius,
    expanding.advantage,
    expanding.returnForce,
    expanding.returnRate,
  ].some((entry) => entry !== undefined);

/** The springs over the rise of the plate. @throws {DomainError} beyond what was measured of them */
function springsOverRise(sheet: Sheet): SpringsOverRise {
  const force = springForceAt(sheet);
  const stack = sheet.known('stack')?.value ?? Number.NaN;
  return (rise) => force?.(stack, rise) ?? Number.NaN;
}

/** A term that rests on an assumption besides its own. */
const assumed = (t: Term): Term => (t.known ? { ...t, inputs: t.inputs, estimated: true } : t);

/**
 * Clamp of the pack over engine speed, N, from a sheet on which it is worked out; undefined while not known.
 * @example clampAtRpm(workOut(job).sheet)(6000) // 1362.29
 */
export function clampAtRpm(
  sheet: Sheet,
): ((rpm: Rpm, springs?: SpringsOverRise) => Newton) | undefined {
  const { expanding } = sheet.job;
  if (!sheet.known('clamp')) return undefined;
  const asBuilt = springsOverRise(sheet);
  if (!hasWeights(sheet.job)) return (_rpm, springs = asBuilt) => springs(0);
  if (!sheet.known('clampAtPeak')) return undefined;
  if (expanding.fitted && !isWeighed(sheet.job)) return undefined;
  const primary = valueOf(sheet.entry('engine.primaryRatio'));
  const gap = valueOf(sheet.entry('setting.installGap'));
  const disc = expanding.fitted ? discOf(discTerms(sheet).map(valueOf)) : undefined;
  const assisted = assistAtRpm(sheet);
  return (rpm, springs = asBuilt) =>
    (disc ? expandingClamp(disc, gap, springs, basketRpm(rpm, primary)) : springs(0)) +
    (assisted?.(rpm) ?? 0);
}

/**
 * Clamp that centrifugal weights add over engine speed, N, and that the lever has to lift as well; undefined where there are
 * none or they are not known.
 * @example assistAtRpm(workOut(job).sheet) // — undefined: no weights are fitted
 */
export function assistAtRpm(sheet: Sheet): ((rpm: Rpm) => Newton) | undefined {
  const { type } = sheet.job.assist;
  if (type === 'none') return undefined;
  const parts = [sheet.entry('engine.primaryRatio'), ...assistTerms(sheet)];
  if (!parts.every((t) => t.known)) return undefined;
  const [primary = Number.NaN, ...weights] = parts.map(valueOf);
  return (rpm) => assistForce(type === 'levers', weights, basketRpm(rpm, primary));
}

/**
 * Take-up and lever gain of an expanding disc; nothing where none is fitted.
 * @example computeExpanding(sheet), sheet.outcomes.has('expandContact') // false
 */
export function computeExpanding(sheet: Sheet): void {
  if (!sheet.job.expanding.fitted) return;
  const gap = sheet.entry('setting.installGap');
  const ratio = sheet.entry('engine.primaryRatio');
  const disc = discTerms(sheet);
  sheet.compute('expandContact', {
    label: 'Expanding disc touches at',
    quantity: 'speed',
    section: 8,
    formula: 'n·m·r_w·ω²·i_e = F_0 + k_r·g, engine speed = basket speed·i',
    from: {
      n: gather([gap, ratio, ...disc], ([g = 0, i = 0, ...v]) => touchesAt(discOf(v), g, i)),
    },
    value: ({ n }) => n,
  });
  sheet.compute('expandLockUp', {
    label: 'Expanding disc locks up at',
    quantity: 'speed',
    section: 8,
    formula: 'n·m·r_w·ω²·i_e = F_0 + k_r·g + F(s + g), engine speed = basket speed·i',
    from: {
      n: gather(
        [gap, ratio, ...disc, ...springTerms(sheet)],
        ([g = 0, i = 0, ...v]) => takeUp(discOf(v), g, springsOverRise(sheet)(g), i).lockUp,
      ),
    },
    value: ({ n }) => n,
  });
  sheet.compute('leverGain', {
    label: 'Lever gain',
    quantity: 'length',
    decimals: 1,
    section: 8,
    formula: 'y = R·(e − g), 0 when the gap exceeds the growth',
    from: {
      R: sheet.figure(sheet.known('ownRatio') ? 'ownRatio' : 'overallRatio', 'R'),
      e: sheet.entry('expanding.growth'),
      g: sheet.entry('setting.installGap'),
    },
    value: ({ R, e, g }) => leverGain(R, e, g),
  });
  sheet.compute('gapPerMark', {
    label: 'Gap per mark of the adjuster',
    quantity: 'length',
    section: 8,
    formula: 'P·i_a/n_m',
    from: {
      pitch: sheet.entry('setting.pitch'),
      marksPerTurn: sheet.entry('setting.marksPerTurn'),
      linkage: sheet.entry('setting.linkage'),
    },
    value: (adjuster) => gapPerTurn(adjuster) / adjuster.marksPerTurn,
  });
}

/**
 * Speeds at which the shoes of a start clutch touch and hold; nothing where there is none.
 * @example computeStartClutch(sheet), sheet.outcomes.has('startContact') // false
 */
export function computeStartClutch(sheet: Sheet): void {
  const { place } = sheet.job.startClutch;
  if (place === 'none') return;
  const onCrank = place === 'crank';
  const parts = startTerms(sheet);
  const shoe = shoeTerms(sheet);
  sheet.compute('startContact', {
    label: 'Start clutch touches at',
    quantity: 'speed',
    section: 9,
    formula: onCrank ? 'm·r·ω² = F_s, on the crank' : 'm·r·ω² = F_s, at engine speed ÷ i',
    from: { n: gather(shoe, (v) => firstContactRpm(shoeOf(v))) },
    value: ({ n }) => n,
  });
  sheet.compute('startHolding', {
    label: 'Start clutch holds peak torque from',
    quantity: 'speed',
    section: 9,
    formula: onCrank ? 'n·μ·(m·r·ω² − F_s)·R = T_e' : 'n·μ·(m·r·ω² − F_s)·R = T_e·i·η_p',
    from: {
      n: gather(
        [
          sheet.entry('engine.peakTorque'),
          ...(onCrank ? [] : [sheet.entry('engine.primaryEfficiency')]),
          ...parts,
        ],
        ([torque = 0, ...rest]) => {
          const [efficiency, v] = onCrank ? [1, rest] : [rest[0] ?? 1, rest.slice(1)];
          return holdingRpm({ ...startOf(v), efficiency }, torque);
        },
      ),
    },
    value: ({ n }) => n,
  });
  if (!sheet.job.startClutch.wear) return;
  sheet.compute('startContactWorn', {
    label: 'Start clutch touches, worn, at',
    quantity: 'speed',
    section: 9,
    formula: '(m − Δm)·r′·ω² = F_s + k_s·w, r′ = (m·r − Δm·R)/(m − Δm) + w',
    from: {
      n: gather(
        [
          sheet.entry('startClutch.wear'),
          sheet.entry('startClutch.springRate'),
          sheet.entry('startClutch.massLost'),
          sheet.entry('startClutch.drumRadius'),
          ...shoe,
        ],
        ([w = 0, k = 0, lost = 0, drumRadius = 0, ...v]) =>
          firstContactRpm(worn({ ...shoeOf(v), drumRadius }, w, k, lost)),
      ),
    },
    value: ({ n }) => n,
    notes: ['Worn shoes travel further against their springs and are lighter.'],
  });
}

/**
 * The start clutch of a job as worn as it is, once all of it is known.
 * @example startClutchOf(workOut(farm).sheet).shoes // 4
 */
export function startClutchOf(sheet: Sheet): StartClutch | undefined {
  if (sheet.job.startClutch.place === 'none') return undefined;
  const parts = startTerms(sheet);
  if (!parts.every((t) => t.known)) return undefined;
  return startOf(parts.map(valueOf));
}

/**
 * The expanding disc of a job with its install gap, once all of it is known.
 * @example expandingOf(workOut(quad).sheet).gap // 0.94
 */
export function expandingOf(
  sheet: Sheet,
): { readonly disc: ExpandingDisc; readonly gap: Mm } | undefined {
  if (!sheet.job.expanding.fitted) return undefined;
  const parts = discTerms(sheet);
  const gap = sheet.entry('setting.installGap');
  if (!gap.known || !parts.every((t) => t.known)) return undefined;
  return { disc: discOf(parts.map(valueOf)), gap: gap.value };
}

/**
 * All that is needed to know when an expanding disc takes up, as one term.
 * @example expandingTerm(workOut(quad).sheet).known // true
 */
export const expandingTerm = (sheet: Sheet): Term =>
  gather([sheet.entry('setting.installGap'), ...discTerms(sheet)], () => 1);

function assistTerms(sheet: Sheet): Term[] {
  return [
    sheet.entry('assist.count'),
    sheet.entry('assist.mass'),
    sheet.entry('assist.radius'),
    sheet.entry(sheet.job.assist.type === 'levers' ? 'assist.leverRatio' : 'assist.rampAngle'),
  ];
}

function assistForce(levers: boolean, values: readonly number[], clutchRpm: Rpm): Newton {
  const [count = 0, mass = 0, radius = 0, by = 0] = values;
  return (levers ? leverAssist : ballAssist)({ count, mass, radius }, clutchRpm, by);
}

function discTerms(sheet: Sheet): Term[] {
  return [
    sheet.entry('expanding.count'),
    sheet.entry('expanding.mass'),
    sheet.entry('expanding.radius'),
    sheet.entry('expanding.advantage'),
    sheet.entry('expanding.returnForce'),
    sheet.entry('expanding.returnRate'),
    sheet.entry('expanding.growth'),
  ];
}

function discOf(values: readonly number[]): ExpandingDisc {
  const [
    count = 0,
    mass = 0,
    radius = 0,
    advantage = 0,
    returnForce = 0,
    returnRate = 0,
    growth = 0,
  ] = values;
  return { weights: { count, mass, radius }, advantage, returnForce, returnRate, growth };
}

const shoeTerms = (sheet: Sheet): Term[] => [
  sheet.entry('startClutch.mass'),
  sheet.entry('startClutch.radius'),
  sheet.entry('startClutch.springPull'),
  ...inputRatio(sheet),
];

function shoeOf([mass = 0, radius = 0, springPull = 0, i = 1]: readonly number[]): Shoe {
  return { mass, radius, springPull, speedRatio: 1 / i };
}

const startTerms = (sheet: Sheet): Term[] => [
  sheet.entry('startClutch.shoes'),
  sheet.entry('startClutch.drumRadius'),
  sheet.entry('startClutch.friction'),
  ...shoeTerms(sheet),
];

/** Of shoes on the gearbox input, which turns slower than the engine by that. */
const inputRatio = (sheet: Sheet): Term[] =>
  sheet.job.startClutch.place === 'crank' ? [] : [sheet.entry('engine.primaryRatio')];

function startOf([
  shoes = 0,
  drumRadius = 0,
  friction = 0,
  ...shoe
]: readonly number[]): StartClutch {
  return { ...shoeOf(shoe), shoes, drumRadius, friction };
}

const valueOf = (t: Term): number => (t.known ? t.value : Number.NaN);
