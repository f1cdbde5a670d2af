import { DomainError } from '../errors';
import { fieldPath } from '../job/fields';
import { gapFromTurns } from '../setting/adjuster';
import { gapByLever, measuredRatio, teachingPair } from '../setting/leverGain';
import { GAIN_READS, gainReadings, standsAt } from '../setting/plans';
import { say, travel } from './sentence';
import type { Sheet } from './sheet';
import { gather } from './term';

/**
 * What the adjuster, the gauges and the lever say while a clutch is set. Each only once it is recorded.
 * @example computeSetting(sheet), sheet.outcomes.has('gapSet') // false
 */
export function computeSetting(sheet: Sheet): void {
  const { setting } = sheet.job;
  if (setting.turnsOut || setting.marksOut) {
    sheet.compute('gapSet', {
      label: 'Gap by the adjuster',
      quantity: 'length',
      section: 8,
      formula: 'g = P·(u + m/n_m)·i_a, from firm contact',
      from: {
        pitch: sheet.entry('setting.pitch'),
        turns: sheet.entry('setting.turnsOut'),
        marks: sheet.entry('setting.marksOut'),
        marksPerTurn: sheet.entry('setting.marksPerTurn'),
        linkage: sheet.entry('setting.linkage'),
      },
      value: ({ turns, marks, ...adjuster }) => gapFromTurns(adjuster, turns, marks),
      notes: ['Only as good as its start: the cable must have slack at firm contact.'],
    });
  }
  if (setting.goSize && setting.noGoSize) {
    sheet.compute('gapGauged', {
      label: 'Gap by gauges',
      quantity: 'length',
      section: 8,
      formula: '(g_go + g_no)/2',
      from: { go: sheet.entry('setting.goSize'), no: sheet.entry('setting.noGoSize') },
      value: ({ go, no }) => {
        if (go >= no)
          throw new DomainError('gauge that goes in', 'smaller than the one that does not', go);
        return { value: (go + no) / 2, low: go, high: no };
      },
      notes: ['It lies between the two.'],
    });
  }
}

/**
 * The gap that the last reading at the lever tells, where it was taken as the adjuster stands now; a reading of 0 tells none.
 * @example computeGapByLever(sheet), sheet.outcomes.has('gapByLever') // false
 */
export function computeGapByLever(sheet: Sheet): void {
  const { job } = sheet;
  const last = gainReadings(job).at(-1);
  const stands = standsAt(job);
  const here = last && (stands === undefined || Math.abs(stands - last.turns) < 1e-6);
  if (!here || last.gain === 0 || !sheet.known('ownRatio')) return;
  sheet.compute('gapByLever', {
    label: 'Gap by the lever',
    quantity: 'length',
    section: 8,
    formula: 'g = e − y_2/R',
    from: {
      R: sheet.figure('ownRatio', 'R'),
      e: sheet.entry('expanding.growth'),
      y: sheet.entry(fieldPath('setting.readings.*.gain', last.id)),
    },
    value: ({ R, e, y }) => ({
      value: gapByLever(R, e, y),
      low: gapByLever(R, e, y + GAIN_READS),
      high: gapByLever(R, e, Math.max(y - GAIN_READS, y / 2)),
    }),
    notes: [say`The range: a lever is read to ${travel(GAIN_READS)}.`],
  });
}

/**
 * The overall ratio that the lever itself has told, once it was read at two settings.
 * @example computeOwnRatio(sheet), sheet.outcomes.has('ownRatio') // false
 */
export function computeOwnRatio(sheet: Sheet): void {
  const marks = sheet.valueAt('setting.marksPerTurn') ?? 1;
  const pair = teachingPair(gainReadings(sheet.job), marks);
  if (!sheet.job.expanding.fitted || !pair) return;
  sheet.compute('ownRatio', {
    label: 'This machine’s own ratio',
    quantity: 'ratio',
    decimals: 2,
    section: 8,
    formula: 'R = (y_1 − y_2)/((u_2 − u_1)·P·i_a)',
    from: {
      pitch: sheet.entry('setting.pitch'),
      linkage: sheet.entry('setting.linkage'),
      R: gather(
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
    notes: ['Learned from two readings at two settings; used in place of the train’s ratio.'],
  });
}
