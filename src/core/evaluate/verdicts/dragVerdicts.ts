import { say, torque } from '@/core/text/sentence';

import type { Sheet } from '../engine/sheet';
import type { Verdict } from '../engine/verdict';
import { unknownVerdict } from '../engine/verdict';

/**
 * Judges the drag of the open pack in cold oil: neutral and first gear, and creeping in first. None where no oil is known.
 * @example judgeDrag(sheet).length // 0
 */
export function judgeDrag(sheet: Sheet): readonly Verdict[] {
  const outcome = sheet.outcomes.get('dragCold');
  if (!outcome) return [];
  const drag = sheet.known('dragCold');
  const limit = sheet.valueAt('oil.dragMax');
  if (!drag || limit === undefined)
    return [unknownVerdict('coldDrag', 'Cold drag not judged', outcome)];
  const cold = { value: sheet.valueAt('oil.coldest') ?? 0, quantity: 'temperature' } as const;
  const free = sheet.known('dragFreeFrom');
  const base = { id: 'coldDrag', figures: ['dragCold', 'viscosityCold', 'dragFreeFrom'] } as const;
  const amount = { ...torque(drag.value), decimals: 2 };
  const found: Verdict[] = [
    drag.value > limit
      ? {
          ...base,
          state: 'watch',
          title: 'Stiff when cold',
          sentence: [
            ...say`At ${cold} the oil drags the hub along with ${amount}, ${torque(limit)} allowed: first gear clunks and neutral is hard to find. `,
            ...(free
              ? say`It runs free from ${{ value: free.value, quantity: 'temperature' }}.`
              : say`It does not run free when hot either.`),
          ],
        }
      : {
          ...base,
          state: 'good',
          title: 'Runs free when cold',
          sentence: say`At ${cold} the oil drags with ${amount}; ${torque(limit)} is allowed.`,
        },
  ];
  const atWheel = sheet.known('dragAtWheel');
  const road = sheet.known('roadResistance');
  if (atWheel && road)
    found.push(
      atWheel.value > road.value
        ? {
            id: 'coldCreep',
            state: 'watch',
            title: 'Creeps in first when cold',
            figures: ['dragAtWheel', 'roadResistance', 'dragCold'],
            sentence: say`In first the cold oil turns the wheel with ${torque(atWheel.value)}; the road resists with ${torque(road.value)}: the machine creeps, lever in. Brake on, engine warm first.`,
          }
        : {
            id: 'coldCreep',
            state: 'good',
            title: 'No creep in first',
            figures: ['dragAtWheel', 'roadResistance'],
            sentence: say`In first the cold oil turns the wheel with ${torque(atWheel.value)}; the road resists with ${torque(road.value)}.`,
          },
    );
  return found;
}
