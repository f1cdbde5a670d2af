import { count, say, upperFirst } from '@/core/text/sentence';
import { entry } from '../../job/entry';
import type { SmallPart } from '../../job/types';
import { partMissing } from '../../signoff/partItems';
import { Dice } from '../dice';
import { manyQuestion, oneQuestion } from '../marking';
import type { Exercise } from '../model';

/** Small parts that are often forgotten, with the consequence. */
const EASILY_LOST = [
  {
    name: 'Thrust washers',
    id: 'washer',
    does: 'the hub sits too deep: stack and gap are wrong, and it may rub the basket',
  },
  {
    name: 'Pushrod ball',
    id: 'ball',
    does: 'the rod is short by the ball: endless free play, no lift',
  },
  {
    name: 'Judder seats',
    id: 'seat',
    does: 'the wavy ring digs into the steel, and the clutch chatters',
  },
  {
    name: 'Drive pins',
    id: 'pin',
    does: 'it is in the cases, or a steel has no drive: the engine may have to be split',
  },
] as const;
const OTHERS = ['Cover bolts', 'Dowels', 'Springs', 'Wire rings'] as const;

/**
 * Counted out yesterday, counted in today.
 * @example countIn(7).questions.length // 2
 */
export function countIn(seed: number): Exercise {
  const dice = new Dice(seed);
  const lost = dice.chance(0.15) ? undefined : EASILY_LOST[dice.whole(0, EASILY_LOST.length - 1)];
  const alsoOther = lost !== undefined && dice.chance(0.3) ? dice.pick(OTHERS) : undefined;
  const counts: Readonly<Record<string, number>> = {
    'Thrust washers': dice.whole(1, 2),
    'Pushrod ball': 1,
    'Judder seats': dice.whole(1, 2),
    'Drive pins': dice.pick([6, 8, 10]),
    'Cover bolts': dice.whole(8, 12),
    Dowels: 2,
    Springs: dice.pick([5, 6]),
    'Wire rings': dice.whole(1, 2),
  };
  const parts = dice.shuffled(Object.entries(counts)).map(([name, out]): SmallPart => {
    const gone = name === lost?.name || name === alsoOther ? 1 : 0;
    return { id: name, name, out: entry(out), in: entry(out - gone), note: '' };
  });
  const missing = parts.filter(partMissing).map((p) => p.id);
  return {
    story: [
      say`The cover is about to go on. The count of parts removed is in the checklist: ${parts.map((p) => `${p.name.toLowerCase()} ${p.out?.value ?? 0}`).join(', ')}.`,
      say`The tray is beside the engine. Count the parts fitted and the parts left in the tray.`,
    ],
    bench: {
      shape: 'list',
      gauge: 'Tray and engine',
      parts: parts.map((p) => ({
        id: p.id,
        name: p.name,
        spots: [{ id: 'count', label: 'count', shows: say`${count(p.in?.value ?? 0)} found` }],
      })),
    },
    questions: [
      manyQuestion({
        id: 'missing',
        ask: say`Which parts are missing? Choose nothing if all are there.`,
        options: parts.map((p) => ({ id: p.id, label: say`${p.name}` })),
        expected: missing,
        reason:
          missing.length === 0
            ? say`Fitted equals removed: nothing is missing.`
            : say`Fitted differs from removed: ${missing.join(' and ').toLowerCase()}.`,
      }),
      oneQuestion({
        id: 'next',
        ask: say`What now?`,
        options: [
          { id: 'close', label: say`The cover goes on` },
          {
            id: 'search',
            label: say`Search before anything is turned; no signature while a part is missing`,
          },
          { id: 'spare', label: say`A spare from the drawer, then the cover` },
        ],
        expected: missing.length === 0 ? 'close' : 'search',
        reason:
          missing.length === 0
            ? say`The count is complete.`
            : say`The missing part may be in the engine.`,
        not: { spare: say`A spare corrects the count but leaves the lost part in the engine.` },
      }),
      ...(lost
        ? [
            oneQuestion({
              id: 'does',
              ask: say`The ${lost.name.toLowerCase()}: what happens with one missing?`,
              options: dice.shuffled(EASILY_LOST).map((l) => ({
                id: l.id,
                label: say`${upperFirst(l.does)}`,
              })),
              expected: lost.id,
              reason: say`With one missing, ${lost.does}.`,
            }),
          ]
        : []),
    ],
  };
}
