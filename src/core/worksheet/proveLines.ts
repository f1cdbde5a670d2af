import { engagesByItself } from '../clutch/fitted';
import { hasPack } from '../guide/layouts';
import { entryAt } from '../job/entryAt';
import type { Job } from '../job/types';
import { releasedBy } from '../release/way';
import { circleLines, fastenersOf, unlistedLines } from './fastenerLines';
import type { Method, ChecklistLine } from './line';
import { checklistAt } from './ofKinds';

const OIL: Method = {
  why: 'Drained oil shows burnt smell and metal, so the checklist uses draining and fresh oil. Laying the machine over is quick while the oil is fresh.',
  others: [{ id: 'laidOver', text: 'Machine laid over, its own fresh oil kept' }],
};

/**
 * The Prove steps, in order: lever work, cover and oil, drag, lever gain of an auto-clutch, creep and stall, a loaded pull,
 * break-in, and the measurements after it.
 * @param job the record; never throws for one that passes the schema
 * Source: workshop practice; `docs/mechanics.md`, prove.
 * @example proveLines(farm).map((l) => l.key) // ["leverWork", "oRings", "unlisted:cover", "oil", "dragTest", "creep", "stall", "slip", "breakIn", "recheck"]
 */
export function proveLines(job: Job): ChecklistLine[] {
  const auto = engagesByItself(job, 'inPack') !== undefined;
  const byItself = engagesByItself(job) !== undefined;
  const pedal = releasedBy(job) === 'pedal';
  const pack = hasPack(job.machine.layout);
  const { recheck } = job.leaflet ?? {};
  const again = [
    'prove.recheckFreePlay',
    'prove.recheckLift',
    ...(auto ? (['prove.recheckGain'] as const) : []),
  ] as const;
  const lines: readonly ChecklistLine[] = [
    {
      key: 'leverWork',
      section: 'On the stand',
      text: [
        `Work the ${pedal ? 'shift pedal' : 'lever'} before the cover goes on: plate lifts square, comes back, nothing binds`,
      ],
      watch: 'Engine off, fingers out of the clutch.',
      test: 'lever',
    },
    {
      key: 'oRings',
      section: 'On the stand',
      text: ['Cover faces clean, gasket and O-rings whole and new where disturbed, dowels in'],
      watch: 'A damaged O-ring is never reused.',
    },
    ...fastenersOf(job, 'cover').flatMap((f) => circleLines(f, job.build.stages, 'On the stand')),
    ...unlistedLines(job, 'cover', 'On the stand'),
    {
      key: 'oil',
      section: 'On the stand',
      text: [
        'Oil for wet clutches (JASO MA or MA2) to its mark; drain bolt tight, no drip on the tyre',
      ],
      watch: 'Friction-modified car oil slips. Used oil goes to the collection point.',
      method: OIL,
    },
    {
      key: 'dragTest',
      section: 'On the stand',
      text: [
        pedal
          ? 'In gear, shift pedal held down, turn the wheel: does it drag?'
          : 'In gear, lever in, turn the wheel: does it drag?',
      ],
      watch: 'Cold oil drags a little; it must ease within a turn or two.',
      test: 'drag',
    },
    ...checklistAt(job, 'running'),
    {
      key: 'creep',
      section: 'Running',
      text: [
        !pack
          ? 'Warm, in drive at idle, brake eased off: does it stand still?'
          : pedal
            ? 'Warm, in gear at idle: does it stand still?'
            : byItself
              ? 'Warm, in gear at idle, lever out: does it stand still?'
              : 'Warm, in gear at idle, lever in: does it stand still?',
      ],
      watch: 'Brake on; cover on before the engine runs.',
      test: 'creep',
    },
    {
      key: 'stall',
      section: 'Running',
      text: [
        !pack
          ? 'Pulled away gently: takes up smoothly, does not chatter?'
          : auto
            ? 'Braked to a stop in gear without the lever: does it keep running?'
            : 'Pulled away gently in first: takes up smoothly, does not stall or chatter?',
      ],
      test: 'stall',
    },
    {
      key: 'slip',
      section: 'Running',
      text: [
        pack
          ? 'Loaded pull in a high gear: engine speed climbs only with the machine'
          : 'Loaded pull uphill: engine speed climbs only with the machine',
      ],
      watch: 'First ride slow, off the road, brakes tested: the lever may act differently.',
      test: 'slip',
    },
    {
      key: 'breakIn',
      section: 'Break-in',
      text: ['Break-in starts in two gears, by the kit’s own sheet, with time to cool between'],
      tool: 'breakIn',
    },
    {
      key: 'recheck',
      section: 'Break-in',
      text: ['After break-in: measure again, since linings bed in'],
      watch: recheck?.trim()
        ? `By the leaflet: ${recheck.trim()}`
        : 'If this is skipped, a closing gap or free play loads the bearing and burns the pack.',
      tool: 'recheck',
      unread: again.every((path) => !entryAt(job, path)),
      fields: again,
      answers: again,
    },
  ];
  // Without a pack there is no lever to work and nothing that releases.
  return hasPack(job.machine.layout) ? [...lines] : lines.filter(({ key }) => !OF_A_PACK.has(key));
}

const OF_A_PACK: ReadonlySet<string> = new Set(['leverWork', 'dragTest', 'breakIn', 'recheck']);
