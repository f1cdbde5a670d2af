import { ballAssist, basketRpm, leverAssist } from '../../assist/centrifugal';
import type { OverSpeed } from '../../evaluate/engine/overSpeed';
import type { Sheet } from '../../evaluate/engine/sheet';
import type { Term } from '../../evaluate/engine/term';
import { collectTerms, valueOf } from '../../evaluate/engine/term';
import type { Newton, Rpm } from '../../units/quantity';

/**
 * Centrifugal force of the weights at peak engine torque.
 * @example assistFigures(sheet), sheet.outcomes.has('assistClamp') // true
 */
export function assistFigures(sheet: Sheet): void {
  const levers = isOfLevers(sheet);
  const speed = [sheet.entry('engine.peakTorqueRpm'), sheet.entry('engine.primaryRatio')];
  sheet.compute('assistClamp', {
    label: 'Centrifugal clamp at peak torque',
    quantity: 'force',
    section: 9,
    formula: levers ? 'F_c = n·m·r_w·ω²·i_w, ω at n_T/i' : 'F_c = n·m·r_w·ω²/tan α, ω at n_T/i',
    from: {
      F: collectTerms([...speed, ...assistTerms(sheet)], ([rpm = 0, i = 0, ...v]) =>
        assistForce(levers, v, basketRpm(rpm, i)),
      ),
    },
    value: ({ F }) => F,
    notes: ['The basket turns at engine speed ÷ primary ratio.'],
  });
}

export const ASSIST_OVER_SPEED: OverSpeed = {
  added: ['assistClamp', 'F_c'],
  adds: (sheet) => {
    const parts = [sheet.entry('engine.primaryRatio'), ...assistTerms(sheet)];
    if (!parts.every((t) => t.known)) return undefined;
    const [primary = Number.NaN, ...weights] = parts.map(valueOf);
    return (rpm) => assistForce(isOfLevers(sheet), weights, basketRpm(rpm, primary));
  },
};

const isOfLevers = ({ job }: Sheet): boolean => job.assist.type === 'levers';

function assistTerms(sheet: Sheet): Term[] {
  return [
    sheet.entry('assist.count'),
    sheet.entry('assist.mass'),
    sheet.entry('assist.radius'),
    sheet.entry(isOfLevers(sheet) ? 'assist.leverRatio' : 'assist.rampAngle'),
  ];
}

function assistForce(levers: boolean, values: readonly number[], clutchRpm: Rpm): Newton {
  const [count = 0, mass = 0, radius = 0, by = 0] = values;
  return (levers ? leverAssist : ballAssist)({ count, mass, radius }, clutchRpm, by);
}
