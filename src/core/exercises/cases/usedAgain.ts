import { evaluate } from '../../evaluate/evaluate';
import { length, say } from '@/core/text/sentence';
import { entry } from '../../job/entry';
import { Dice } from '../dice';
import { benchJob, kitOf } from '../kit';
import { manyQuestion, numberQuestion } from '../marking';
import type { Exercise } from '../model';

interface Piece {
  readonly id: string;
  readonly name: string;
  readonly seen: string;
  readonly good: boolean;
}

/**
 * Bolts of two heights and some small parts: decide which are reused.
 * @example usedAgain(7).questions.length // 2
 */
export function usedAgain(seed: number): Exercise {
  const dice = new Dice(seed);
  const room = dice.real(7, 9, 0.1);
  const least = dice.pick([1, 1.5]);
  const clears = (head: number): boolean => {
    const plain = benchJob(kitOf(new Dice(1)));
    const job = {
      ...plain,
      build: {
        ...plain.build,
        headClearance: entry(Math.round((room - head) * 100) / 100),
        headClearanceMin: entry(least),
      },
    };
    return evaluate(job).verdicts.some((v) => v.id === 'heads' && v.state === 'good');
  };
  const [tall, own] = dice.until(
    () => [room - dice.real(0.1, 2.2, 0.1), room - dice.real(0.4, 3, 0.1)] as const,
    ([a, b]) =>
      a > b + 0.5 &&
      clears(b) &&
      Math.abs(room - a - least) > 0.15 &&
      Math.abs(room - b - least) > 0.15,
  );
  const pieces: readonly Piece[] = dice.shuffled([
    { id: 'tall', name: 'Old bolts, washer heads', seen: 'threads clean', good: clears(tall) },
    { id: 'own', name: 'The kit’s own bolts', seen: 'new', good: clears(own) },
    { id: 'lock', name: 'Lock washer', seen: 'both tabs bent once', good: false },
    {
      id: 'ring',
      name: 'O-ring',
      ...dice.pick([
        { seen: 'flattened on one side', good: false },
        { seen: 'nicked', good: false },
        { seen: 'new, oiled', good: true },
      ]),
    },
    { id: 'dowel', name: 'Dowels', seen: 'round and tight', good: true },
    {
      id: 'copper',
      name: 'Sealing washer',
      ...dice.pick([
        { seen: 'new', good: true },
        { seen: 'marked by the old head', good: false },
      ]),
    },
  ]);
  const heads: Readonly<Record<string, number>> = { tall, own };
  return {
    story: [
      say`Under the cover there are ${length(room)} above the pressure plate. The sheet requires ${length(least)} above the bolt heads.`,
      say`Measure the heads and inspect the rest.`,
    ],
    bench: {
      shape: 'list',
      gauge: 'Depth gauge, and a good light',
      parts: pieces.map((p) => {
        const head = heads[p.id];
        return {
          id: p.id,
          name: p.name,
          spots: [
            ...(head === undefined
              ? []
              : [{ id: 'head', label: 'head above the plate', shows: say`${length(head)}` }]),
            { id: 'look', label: 'look', shows: say`${p.seen}` },
          ],
        };
      }),
    },
    questions: [
      numberQuestion({
        id: 'clearance',
        ask: say`How much clearance would the old bolts with washer heads leave under the cover?`,
        spec: { quantity: 'length', bounds: { min: -20, max: 50 } },
        expected: room - tall,
        tolerance: 0.051,
        reason: say`${length(room)} minus ${length(tall)} leaves ${length(room - tall)}${clears(tall) ? '' : ': too little'}.`,
      }),
      manyQuestion({
        id: 'back',
        ask: say`Which parts are reused?`,
        options: pieces.map((p) => ({ id: p.id, label: say`${p.name}` })),
        expected: pieces.filter((p) => p.good).map((p) => p.id),
        reason: say`Heads that touch the cover shed metal into the oil; a tab bends once; a marked O-ring or seal will leak.`,
      }),
    ],
  };
}
