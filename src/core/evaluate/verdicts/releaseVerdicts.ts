import { releasedBy } from '@/core/release/way';
import { force, length, say } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import { liftAtPlate } from '../figures/releaseFigures';
import type { Verdict } from '@/core/evaluate/engine/verdict';
import { unknownVerdict } from '@/core/evaluate/engine/verdict';

/** Share of the needed lift below which a pack drags for certain rather than a little while cold. */
export const LIFT_WATCH = 0.8;

/**
 * Judges whether the lift releases every face.
 * @param sheet with lift and clearance worked out
 * Never throws for a job that passes the schema.
 * Source: `docs/mechanics.md` section 6; what counts as scarce is an assumed value.
 * @example judgeRelease(sheet).title // "Releases"
 */
export function judgeRelease(sheet: Sheet): Verdict {
  const at = liftAtPlate(sheet);
  const had = sheet.known(at);
  const needed = sheet.known('liftNeeded');
  if (!had || !needed) {
    const missing = had ? 'liftNeeded' : at;
    return unknownVerdict('releases', 'Release not judged', sheet.outcomes.get(missing));
  }
  const clear = sheet.known('clearancePerFace');
  const base = {
    id: 'releases',
    figures: [at, 'liftNeeded', ...(clear ? (['clearancePerFace'] as const) : [])],
  } as const;
  const lift = say`${at === 'liftMeasured' ? 'Measured lift' : 'Lift'} ${length(had.value)}`;
  const perFace = clear ? say`; clearance per face ${length(clear.value)}` : [];
  const short = needed.value - had.value;
  // Differences below 0.0001 mm can't be set and are ignored.
  if (short <= 1e-4)
    return {
      ...base,
      state: 'good',
      title: 'Releases',
      sentence: [...lift, ...say`, ${length(needed.value)} required`, ...perFace, '.'],
    };
  if (had.value >= LIFT_WATCH * needed.value)
    return {
      ...base,
      state: 'watch',
      title: 'Low lift',
      sentence: [
        ...lift,
        ...say`, ${length(short)} too little: the clutch may drag while the oil is cold.`,
      ],
    };
  return {
    ...base,
    state: 'stop',
    title: 'Drags',
    sentence: [
      ...lift,
      ...say`, ${length(needed.value)} required`,
      ...(clear ? say`: clearance per face only ${length(clear.value)}` : []),
      ', so the clutch drags and neutral is hard to find.',
    ],
  };
}

/**
 * Judges the lever pull for the rider's hand, where a hand lever opens the pack and its pull is known.
 * @param sheet with the pull worked out
 * Never throws for a job that passes the schema.
 * Source: `docs/mechanics.md` section 7; the limit is an assumed value until one is entered.
 * @example judgeLeverPull(sheet).map((v) => v.state) // ["good"]
 */
export function judgeLeverPull(sheet: Sheet): Verdict[] {
  const pull = sheet.known('leverPull');
  const most = sheet.entry('release.pullMax');
  if (!pull || !most.known || releasedBy(sheet.job) === 'pedal') return [];
  const base = {
    id: 'pull',
    figures: ['leverPull', 'pullLift', 'leverPullFull', 'overallRatio'],
  } as const;
  const whose = most.estimated
    ? 'is the assumed limit for a hand in traffic'
    : 'is the entered limit';
  const maximum = say`Maximum lever pull ${force(pull.value)}, at ${length(sheet.known('pullLift')?.value ?? 0)} of lift`;
  return pull.value > most.value
    ? [
        {
          ...base,
          state: 'watch',
          title: 'Heavy lever',
          sentence: [
            ...maximum,
            ...say`, ${force(pull.value - most.value)} too much: ${force(most.value)} ${whose}.`,
          ],
        },
      ]
    : [
        {
          ...base,
          state: 'good',
          title: 'Lever pull OK',
          sentence: [...maximum, ...say`; ${force(most.value)} ${whose}.`],
        },
      ];
}
