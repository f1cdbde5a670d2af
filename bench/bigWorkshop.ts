import { entry } from '@/core/job/entry';
import type { Job, Plate } from '@/core/job/types';
import { POINTS } from '@/core/job/types';
import type { Workshop } from '@/core/workshop/merge';
import { demoJobs } from '@/demo/jobs';
import { demoShelf } from '@/demo/shelf';
import { seededRandom } from '@/core/random/random';

/** Machines of the big workshop: every one comes back some times. */
const JOBS_PER_MACHINE = 4;

/** Made-up machine names, enough that a search narrows down. */
const FIRST = [
  'Tarn',
  'Holm',
  'Brae',
  'Coppice',
  'Moss',
  'Fell',
  'Rigg',
  'Ghyll',
  'Thwaite',
  'Dale',
];
const USES = ['trail single', 'utility quad', 'big twin', 'restoration', 'farm quad', 'sand racer'];

/**
 * A workshop of many years, the same for the same seed: jobs like those of the demo, with names, dates and readings of
 * their own.
 * @param readings in every job, spread over its plates
 */
export function bigWorkshop(count: number, readings: number): Workshop {
  const random = seededRandom(2026);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const models = demoJobs().map((job) => ({ ...job, signOff: { ...job.signOff, revisions: [] } }));
  let machine: Job['machine'] | undefined;
  const jobs = Array.from({ length: count }, (_, i): Job => {
    const model = pick(models);
    if (!machine || i % JOBS_PER_MACHINE === 0)
      machine = {
        ...model.machine,
        id: `big-machine-${i}`,
        name: `${pick(FIRST)} ${100 + 10 * Math.floor(random() * 120)}`,
        use: pick(USES),
      };
    const day = new Date(Date.UTC(2016, 0, 1 + Math.floor((i * 3900) / count)));
    return {
      ...model,
      id: `big-${i}`,
      number: `UR-${String(1000 + i)}`,
      machine,
      createdAt: day.toISOString(),
      updatedAt: day.toISOString(),
      archived: false,
      photos: [],
      pack: { ...model.pack, plates: withReadings(model.pack.plates, readings, random) },
    };
  });
  return { jobs, unfinished: {}, shelf: demoShelf(), templates: {}, library: [] };
}

function withReadings(plates: readonly Plate[], count: number, random: () => number): Plate[] {
  return plates.map((plate, p) => {
    const { shelfId: _shelf, ...own } = plate;
    const points = POINTS.filter((_, k) => k * plates.length + p < count);
    return {
      ...own,
      readings: Object.fromEntries(
        points.map((point) => [
          point,
          entry(Math.round(2800 + 200 * random()) / 1000, { kind: 'measured', date: '2026-05-02' }),
        ]),
      ),
    };
  });
}
