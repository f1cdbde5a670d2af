import highsLoader from 'highs';

import { seededRandom } from '@/core/random/random';
import type { ShelfPlate, ShelfQuestion } from '@/core/shelf/solver';
import { solveShelf } from '@/core/shelf/solver';

import { line, medianMs, ms } from './measure';

/** The shelf solver beside a general mixed-integer solver on the same random shelves. */

const SHELVES = 200;
const CHOOSE = 9;

function randomShelf(seed: number): ShelfQuestion {
  const random = seededRandom(seed);
  const nominals = [1.2, 1.5, 1.6];
  const plates: ShelfPlate[] = Array.from({ length: 60 }, (_, i) => ({
    id: `s${i}`,
    thickness: Math.round(((nominals[i % 3] ?? 1.5) + (random() - 0.5) * 0.06) * 1000) / 1000,
    count: 1,
    isNew: random() < 0.5,
  }));
  // Some targets lie where many sets meet them, some at the edge where hardly any comes near.
  const target = Math.round((25 + CHOOSE * (1.16 + 0.46 * random())) * 1000) / 1000;
  return {
    plates,
    best: 10,
    options: [
      { id: 'o', choose: CHOOSE, fixedHeight: 25, target, min: target - 0.3, max: target + 0.3 },
    ],
  };
}

/** Distance to the target as a mixed-integer program: |Σ t·x − target| over exactly nine plates within the limits. */
function program({ plates, options }: ShelfQuestion): string {
  const [option] = options;
  if (!option) throw new Error('no option');
  const need = Math.round((option.target - option.fixedHeight) * 1000);
  const sum = plates
    .map((p, i) => `${i ? '+' : ''} ${Math.round(p.thickness * 1000)} x${i}`)
    .join(' ');
  return [
    'Minimize',
    ' off: d',
    'Subject To',
    ` over: ${sum} - d <= ${need}`,
    ` under: ${sum} + d >= ${need}`,
    ` count: ${plates.map((_, i) => `${i ? '+' : ''} x${i}`).join(' ')} = ${CHOOSE}`,
    'Bounds',
    ' 0 <= d <= 300',
    'Binary',
    ` ${plates.map((_, i) => `x${i}`).join(' ')}`,
    'End',
  ].join('\n');
}

const fine = () => ({ reserve: 1, fails: [] });

export async function benchShelf(): Promise<void> {
  const first = randomShelf(1);
  line(
    'sixty steels choose nine, ten best sets',
    ms(medianMs(() => solveShelf(first, fine), 9, 3)),
    '150 ms',
  );
  const highs = await highsLoader({});
  let same = 0;
  let ours = 0;
  let theirs = 0;
  for (let seed = 1; seed <= SHELVES; seed++) {
    const shelf = randomShelf(seed);
    let t = performance.now();
    const { sets } = solveShelf(shelf, fine);
    ours += performance.now() - t;
    const model = program(shelf);
    t = performance.now();
    const solved = highs.solve(model, { mip_rel_gap: 0, mip_abs_gap: 0 });
    theirs += performance.now() - t;
    const optimum = solved.Status === 'Optimal' ? Math.round(solved.ObjectiveValue) : undefined;
    const own = sets[0] ? Math.round(Math.abs(sets[0].off) * 1000) : undefined;
    if (optimum === own) same++;
    else console.log(`shelf ${seed}: ours ${own}, highs ${optimum} (${solved.Status})`);
  }
  line(`same optimum as highs on ${SHELVES} shelves`, `${same} of ${SHELVES}`, 'all');
  line('mean time, ours and highs', `${ms(ours / SHELVES)}, ${ms(theirs / SHELVES)}`);
  line('times quicker than highs', (theirs / ours).toFixed(1), '5');
}

void benchShelf();
