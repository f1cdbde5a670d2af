import { DomainError } from '../../errors';
import type { Sheet } from '../../evaluate/engine/sheet';
import { fieldPath } from '../../job/fieldPath';
import { gapFromTurns } from '../../setting/adjuster';
import { gapByLever } from '../../setting/leverGain';
import { GAIN_READS, gainReadings, adjusterPosition } from '../../setting/plans';
import { say, travel } from '../../text/sentence';

/**
 * The gap by the adjuster, by gauges and by the lever, each only once it is recorded.
 * @example gapFigures(sheet), sheet.outcomes.has('gapSet') // false
 */
export function gapFigures(sheet: Sheet): void {
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
      notes: ['Only as good as its start: the cable must be slack at firm contact.'],
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
          throw new DomainError('gauge that passes', 'smaller than the one that does not', go);
        return { value: (go + no) / 2, low: go, high: no };
      },
      notes: ['The gap is between the two.'],
    });
  }
  gapByLeverFigure(sheet);
}

/** The gap from the last lever reading, if taken at the present adjuster position; a reading of 0 gives none. */
function gapByLeverFigure(sheet: Sheet): void {
  const { job } = sheet;
  const last = gainReadings(job).at(-1);
  const current = adjusterPosition(job);
  const here = last && (current === undefined || Math.abs(current - last.turns) < 1e-6);
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
    notes: [say`Reading tolerance of a lever: ${travel(GAIN_READS)}.`],
  });
}
