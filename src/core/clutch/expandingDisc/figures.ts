import type { ExpandingDisc } from '../../assist/centrifugal';
import {
  basketRpm,
  expandingClamp,
  engagementSpeeds,
  expandingContactRpm,
} from '../../assist/centrifugal';
import type { OverSpeed } from '../../evaluate/engine/overSpeed';
import { springsOverRise } from '../../evaluate/engine/overSpeed';
import type { Sheet } from '../../evaluate/engine/sheet';
import type { Term } from '../../evaluate/engine/term';
import { collectTerms, valueOf } from '../../evaluate/engine/term';
import { fieldPath } from '../../job/fieldPath';
import type { Job } from '../../job/types';
import { gapPerTurn } from '../../setting/adjuster';
import { leverGain, measuredRatio, readingsAtTwoSettings } from '../../setting/leverGain';
import { gainReadings } from '../../setting/plans';
import type { Mm } from '../../units/quantity';
import { gapFigures } from './gapFigures';

/**
 * Engagement and lever gain of an expanding disc.
 * @example expandingFigures(sheet), sheet.outcomes.has('expandContact') // true
 */
export function expandingFigures(sheet: Sheet): void {
  computeOwnRatio(sheet);
  const gap = sheet.entry('setting.installGap');
  const ratio = sheet.entry('engine.primaryRatio');
  const disc = discTerms(sheet);
  sheet.compute('expandContact', {
    label: 'First contact of the expanding disc',
    quantity: 'speed',
    section: 8,
    formula: 'n·m·r_w·ω²·i_e = F_0 + k_r·g, engine speed = basket speed·i',
    from: {
      n: collectTerms([gap, ratio, ...disc], ([g = 0, i = 0, ...v]) =>
        expandingContactRpm(discOf(v), g, i),
      ),
    },
    value: ({ n }) => n,
  });
  sheet.compute('expandLockUp', {
    label: 'Lock-up of the expanding disc',
    quantity: 'speed',
    section: 8,
    formula: 'n·m·r_w·ω²·i_e = F_0 + k_r·g + F(s + g), engine speed = basket speed·i',
    from: {
      n: collectTerms(
        [gap, ratio, ...disc, ...sheet.springs.terms(sheet)],
        ([g = 0, i = 0, ...v]) =>
          engagementSpeeds(discOf(v), g, springsOverRise(sheet)(g), i).lockUp,
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
  gapFigures(sheet);
}

/** The overall ratio from two lever readings at different settings. */
function computeOwnRatio(sheet: Sheet): void {
  const marks = sheet.valueAt('setting.marksPerTurn') ?? 1;
  const pair = readingsAtTwoSettings(gainReadings(sheet.job), marks);
  if (!pair) return;
  sheet.compute('ownRatio', {
    label: 'This machine’s own ratio',
    quantity: 'ratio',
    decimals: 2,
    section: 8,
    formula: 'R = (y_1 − y_2)/((u_2 − u_1)·P·i_a)',
    from: {
      pitch: sheet.entry('setting.pitch'),
      linkage: sheet.entry('setting.linkage'),
      R: collectTerms(
        [
          sheet.entry('setting.pitch'),
          sheet.entry('setting.linkage'),
          ...pair.flatMap(({ id }, i) => [
            sheet.entry(fieldPath('setting.readings.*.turns', id), `u_${i + 1}`),
            sheet.entry(fieldPath('setting.readings.*.gain', id), `y_${i + 1}`),
          ]),
        ],
        ([pitch = 0, linkage = 1, u1 = 0, y1 = 0, u2 = 0, y2 = 0]) =>
          // Readings are in turns, whatever the marks.
          measuredRatio(
            { pitch, linkage, marksPerTurn: 1 },
            { turns: u1, gain: y1 },
            { turns: u2, gain: y2 },
          ),
      ),
    },
    value: ({ R }) => R,
    notes: ['From two readings at two settings; replaces the ratio of the train.'],
  });
}

const NOT_WEIGHED =
  'No weights entered: assumed fully expanded at peak torque, as its maker’s gap limits intend.';

export const EXPANDING_OVER_SPEED: OverSpeed = {
  lockUp: 'expandLockUp',
  clamp: (sheet) => {
    if (!isWeighed(sheet.job)) return undefined;
    const primary = valueOf(sheet.entry('engine.primaryRatio'));
    const gap = valueOf(sheet.entry('setting.installGap'));
    const disc = discOf(discTerms(sheet).map(valueOf));
    return (rpm, springs) => expandingClamp(disc, gap, springs, basketRpm(rpm, primary));
  },
  atPeak: (sheet) => {
    const rising = springsOverRise(sheet);
    const rpm = sheet.entry('engine.peakTorqueRpm');
    const ratio = sheet.entry('engine.primaryRatio');
    const springs = sheet.springs.terms(sheet);
    return isWeighed(sheet.job)
      ? {
          clamp: collectTerms(
            [rpm, ratio, sheet.entry('setting.installGap'), ...discTerms(sheet), ...springs],
            ([n = 0, i = 0, gap = 0, ...v]) =>
              expandingClamp(discOf(v), gap, rising, basketRpm(n, i)),
          ),
          formula: 'F(s + y) with n·m·r_w·ω²·i_e − F_0 − k_r·y = F(s + y), g ≤ y ≤ e',
          section: 8,
          notes: [
            'y is the disc growth. Fully expanded it compresses the springs to F(s + e); until lock-up, clamp is the force of its weights at the gap.',
          ],
        }
      : {
          clamp: assumed(
            collectTerms([sheet.entry('expanding.growth'), ...springs], ([e = 0]) => rising(e)),
          ),
          formula: 'F(s + e)',
          section: 8,
          notes: [NOT_WEIGHED],
        };
  },
};

/** Whether any data of the disc's weights is entered; a bought disc rarely comes with it. */
const isWeighed = ({ expanding }: Job): boolean =>
  [
    expanding.count,
    expanding.mass,
    expanding.radius,
    expanding.advantage,
    expanding.returnForce,
    expanding.returnRate,
  ].some((entry) => entry !== undefined);

/** A term that depends on an additional assumption. */
const assumed = (t: Term): Term => (t.known ? { ...t, inputs: t.inputs, estimated: true } : t);

/**
 * The expanding disc of a job with its install gap, once fully known.
 * @example expandingOf(workOut(quad).sheet).gap // 0.95
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
 * All data for the engagement of an expanding disc, as one term.
 * @example expandingTerm(workOut(quad).sheet).known // true
 */
export const expandingTerm = (sheet: Sheet): Term =>
  collectTerms([sheet.entry('setting.installGap'), ...discTerms(sheet)], () => 1);

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
