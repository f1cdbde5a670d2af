import { evaluate } from '@/core/evaluate/evaluate';
import { alternate } from '@/core/job/blank';
import type { Job } from '@/core/job/types';
import { demoJobs } from '@/demo/jobs';

import { line, medianMs, ms } from './measure';

/** A demo job with its pack laid anew to so many plates. */
function packOf(plates: number): Job {
  const [demo] = demoJobs();
  if (!demo) throw new Error('no demo job');
  const laid = alternate('disc', 'steel', plates, 'friction', (n) => `b${n}`).slice(0, plates);
  return { ...demo, pack: { ...demo.pack, plates: laid } };
}

const twenty = packOf(20);
line(
  'evaluation of a 20-plate pack, without curves',
  ms(medianMs(() => evaluate(twenty))),
  '0.3 ms',
);
