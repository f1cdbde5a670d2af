import { evaluate } from '@/core/evaluate/evaluate';
import { packModel } from '@/core/evaluate/states';
import { alternate } from '@/core/job/blank';
import type { Job } from '@/core/job/types';
import { engage } from '@/core/heat/engagement';
import { simulateTolerance } from '@/core/pack/tolerance';
import { springSetsOf, steelsOf } from '@/core/shelf/stock';
import { simulateJob } from '@/core/sure/simulate';
import { VARIED } from '@/core/tradeMap/options';
import type { MapPack } from '@/core/tradeMap/pack';
import { jobOfPack } from '@/core/tradeMap/pack';
import { tradeMap } from '@/core/tradeMap/tradeMap';
import { demoJob, demoJobs } from '@/demo/jobs';
import { demoShelf } from '@/demo/workshop';

import { line, medianMs, ms } from './measure';

/** A demo job with a pack of this many plates. */
function packOf(plates: number): Job {
  const demo = demoJob('UR-0106');
  const laid = alternate('disc', 'steel', plates, 'friction', (n) => `b${n}`).slice(0, plates);
  return { ...demo, pack: { ...demo.pack, plates: laid } };
}

/** The published engagement of constant torques. */
const ENGAGEMENT = {
  engineInertia: 0.06,
  vehicleInertia: 0.25,
  engineSpeed: 300,
  vehicleSpeed: 60,
  engineTorque: () => 90,
  loadTorque: () => 20,
  clutchTorque: () => 140,
};

const twenty = packOf(20);
line(
  'evaluation of a 20-plate pack, without curves',
  ms(medianMs(() => evaluate(twenty))),
  '0.3 ms',
);

for (const job of demoJobs())
  line(`evaluation of ${job.number}`, ms(medianMs(() => evaluate(job))), '0.3 ms');

line(
  '10,000 simulated jobs of UR-0102',
  ms(medianMs(() => simulateJob(demoJob('UR-0102')), 3, 1)),
  '3 s',
);

const shelf = demoShelf();
const mapped = demoJob('UR-0106');
const request = {
  vary: VARIED,
  steels: steelsOf(shelf),
  springs: springSetsOf(shelf, mapped),
  discs: shelf.plates.filter((p) => p.sort === 'disc'),
};
const map = tradeMap(mapped, request);
const whole = medianMs(() => tradeMap(mapped, request), 3, 1);
line(`trade map of ${map.looked} packs`, ms(whole), '5 s for 1,000,000');
// The same packs, each evaluated as a whole job without pruning, from a sample of them.
const plain = medianMs(() => evaluate(jobOfPack(mapped, request, map.packs[0] as MapPack)));
line('plain enumeration ÷ trade map', `${((plain * map.looked) / whole).toFixed(0)} ×`, '');
line('memory after the map', `${Math.round(process.memoryUsage().rss / 1e6)} MB`, '300 MB');

const tolerances = Array.from({ length: 15 }, (_, i) => ({
  nominal: i % 2 ? 1.6 : 2.9,
  tolerance: 0.03,
  spread: 'normal' as const,
}));
line(
  'a million packs of 15 plates, tolerance',
  ms(
    medianMs(
      () =>
        simulateTolerance({ plates: tolerances, min: 34.3, max: 34.6, packs: 1_000_000, seed: 1 }),
      5,
      1,
    ),
  ),
  '400 ms',
);
line(
  'an engagement to 1e-6 of the closed form',
  ms(medianMs(() => engage(ENGAGEMENT), 15, 200)),
  '10 ms',
);
line(
  'the same pack with all curves',
  ms(medianMs(() => packModel(twenty).curves(), 15, 200)),
  '5 ms',
);
