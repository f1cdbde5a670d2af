import { layOut } from '@/core/evaluate/engine/layers';
import { count, say } from '@/core/text/sentence';
import { entry } from '../../job/entry';
import type { Job, Plate } from '../../job/types';
import { Dice } from '../dice';
import { benchJob, kitOf } from '../kit';
import { manyQuestion, numberQuestion } from '../marking';
import type { Exercise } from '../model';

const FAULTS = ['swapped', 'bore', 'direction', 'slot'] as const;

/**
 * Makes an assembled pack with one fault.
 * @example layPack(7).questions.length // 2
 */
export function layPack(seed: number): Exercise {
  const dice = new Dice(seed);
  const kit = { ...kitOf(dice), discs: dice.whole(5, 7) };
  const plain = benchJob(kit);
  const [disc] = plain.pack.kinds;
  const bore = disc && {
    ...disc,
    id: 'bore',
    name: 'Disc, large bore',
    innerRadius: entry(kit.inner + 4),
  };
  const kinds = [
    ...(bore ? [bore] : []),
    ...plain.pack.kinds.map((k) => (k.id === 'steel' ? { ...k, directional: true } : k)),
  ];
  const good = plain.pack.plates.map((p, i, all): Plate => {
    if (i === 0) return { ...p, kindId: 'bore', judder: true };
    if (p.kindId === 'steel') return { ...p, facing: 'outward' };
    return i === all.length - 1 ? { ...p, offsetSlot: true } : p;
  });
  const fault = FAULTS[dice.whole(0, FAULTS.length - 1)] ?? 'slot';
  const { plates, wrong, why } = spoiled(good, fault, dice);
  const job: Job = { ...plain, pack: { ...plain.pack, kinds, plates } };
  const layout = layOut(job);
  const faces = layout.slipping.length;
  const number = (id: string) => layout.layers.find((l) => l.plate.id === id)?.number ?? 0;
  return {
    story: [
      say`An apprentice has assembled this pack. The kit’s sheet requires: friction first and last; the disc with the large bore and the judder pair on the hub floor; the arrows of the steels outward; the last friction disc in the offset slots of the basket.`,
      say`The section shows it from the hub floor up, with arrows and slots.`,
    ],
    pack: job,
    questions: [
      manyQuestion({
        id: 'wrong',
        ask: say`Which plates are wrong?`,
        of: 'layers',
        options: layout.layers.map((l) => ({
          id: l.plate.id,
          label: say`${`${l.number} ${l.kind.name}`}`,
        })),
        expected: wrong,
        reason: say`Plate ${wrong
          .map(number)
          .sort((a, b) => a - b)
          .join(' and ')}: ${why}`,
      }),
      numberQuestion({
        id: 'faces',
        ask: say`How many friction faces does it have as assembled?`,
        spec: { quantity: 'count', bounds: { min: 0, max: 60, integer: true } },
        expected: faces,
        tolerance: 0.4,
        reason: say`${count(faces)}: counted from neighbours that turn with different members, with lining on one side at least.`,
        traps: [
          {
            value: 2 * kit.discs,
            says: say`Two per disc is a rule of thumb: two discs that turn together have no friction face between them.`,
          },
        ],
      }),
    ],
  };
}

/** A pack with one fault laid into it: which plates lie wrong, and why. */
function spoiled(
  good: readonly Plate[],
  fault: (typeof FAULTS)[number],
  dice: Dice,
): { readonly plates: readonly Plate[]; readonly wrong: readonly string[]; readonly why: string } {
  const swap = (a: number, b: number) => {
    const plates = [...good];
    const [x, y] = [good[a], good[b]];
    if (x && y) [plates[a], plates[b]] = [y, x];
    return { plates, wrong: [x?.id ?? '', y?.id ?? ''] };
  };
  switch (fault) {
    case 'swapped': {
      const at = 2 * dice.whole(1, (good.length - 5) / 2) + 1;
      return {
        ...swap(at, at + 1),
        why: 'they have changed places, so disc is against disc and steel against steel, and those faces transmit nothing.',
      };
    }
    case 'bore':
      return {
        ...swap(0, 2 * dice.whole(1, (good.length - 5) / 2 + 1)),
        why: 'the disc with the large bore belongs on the hub floor; under a plain disc the judder pair would be clamped.',
      };
    case 'direction': {
      const at = 2 * dice.whole(0, (good.length - 3) / 2) + 1;
      return {
        plates: good.map((p, i) => (i === at ? { ...p, facing: 'inward' as const } : p)),
        wrong: [good[at]?.id ?? ''],
        why: 'its arrow points inward.',
      };
    }
    case 'slot':
      return {
        plates: good.map((p) => ({ ...p, offsetSlot: false })),
        wrong: [good.at(-1)?.id ?? ''],
        why: 'the last friction disc is in the deep slots with the others; it belongs in the offset slots.',
      };
  }
}
