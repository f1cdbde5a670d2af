import type { PackLayer } from '../evaluate/layers';
import { warpOf } from '../evaluate/layers';
import type { Evaluation } from '../evaluate/evaluate';
import type { Verdict } from '../evaluate/verdict';
import { hasPack } from '../guide/identify';
import { limitAt } from '../inspect/run';
import type { Job, Sight } from '../job/types';
import { readingsOf } from '../job/types';
import { releasedBy } from '../release/way';
import type { CauseId, Weight } from './knowledge';

/** A weight with the measurement that it comes from. */
export interface MeasuredWeight extends Weight {
  readonly from: string;
}

/** Out-of-flat of all plates, mm, from which steels count as warped for the causes. Design estimate. */
const WARPED = 0.3;

/**
 * What the job's own verdicts say. A measurement outweighs a complaint.
 * @example weighVerdicts(evaluate(twin)).map((m) => m.cause) // ["weakSprings", "stackLow", "stackTall", "wornDiscs"]
 */
export function weighVerdicts(evaluation: Evaluation): readonly MeasuredWeight[] {
  const weights: MeasuredWeight[] = [];
  const say = (cause: CauseId, tenths: number, because: string, from: string) =>
    weights.push({ cause, tenths, because, from });
  for (const v of evaluation.verdicts) {
    const bad = v.state === 'stop';
    const fine = v.state === 'good';
    if (v.id === 'wear' && (bad || fine))
      say('wornDiscs', bad ? 32 : -12, v.title, 'Measured wear');
    if (v.id === 'stack' && bad) {
      const low = v.title.includes('low');
      say('stackLow', low ? 28 : -20, v.title, 'Stack height');
      say('stackTall', low ? -20 : 28, v.title, 'Stack height');
    }
    if (v.id === 'stack' && fine) {
      say('stackLow', -22, v.title, 'Stack height');
      say('stackTall', -22, v.title, 'Stack height');
    }
    if (v.id === 'releases' && (bad || fine)) say('shortLift', bad ? 28 : -25, v.title, 'Lift');
    if (v.id === 'even' && (bad || fine))
      say('tiltedPlate', bad ? 32 : -25, v.title, 'Dial round the plate');
    if (v.id === 'ring' && (bad || fine))
      say('mixedSprings', bad ? 28 : -25, v.title, 'Spring ring');
    if (v.id === 'start' && (bad || fine)) {
      say('shoeSpring', bad ? 30 : -25, v.title, 'Start clutch');
      // Shoes that touch below idle may be weak, or the idle high: the other test tells.
      say('idleHigh', bad ? 14 : -12, v.title, 'Start clutch');
    }
    if (v.id === 'auto' && v.state !== 'unknown') {
      const early = takesUpEarly(evaluation, v);
      const at = (wrong: boolean) => (fine || !wrong ? -20 : bad ? 26 : 14);
      say('gapSmall', at(early), v.title, 'Expanding disc');
      say('gapWide', at(!early), v.title, 'Expanding disc');
      if (early && !fine) say('idleHigh', bad ? 12 : 6, v.title, 'Expanding disc');
    }
    if (v.id === 'holds' && fine) say('weakSprings', -10, v.title, 'Reserve');
  }
  const discs = evaluation.layout.layers.filter((l) => l.lined !== 'none');
  if (discs.length > 0 && discs.every(isThickEnough))
    say('wornDiscs', -15, 'Every disc is above its least thickness.', 'Measured discs');
  const warp = warpOf(evaluation.layout);
  if (evaluation.layout.layers.some((l) => l.plate.outOfFlat)) {
    const bent = warp > WARPED;
    say(
      'warpedSteels',
      bent ? 28 : -22,
      bent ? 'The steels are out of flat.' : 'The steels are flat.',
      'Out-of-flat',
    );
  }
  return weights;
}

/** New, or measured and no thinner at any spot than its limit. */
const isThickEnough = ({ plate, kind }: PackLayer): boolean => {
  const limit = kind.minThickness?.value;
  const readings = readingsOf(plate);
  return readings.length === 0
    ? plate.isNew === true
    : limit !== undefined && readings.every((r) => r.value >= limit);
};

/** Whether a disc takes up too early: judged by its first contact. One that locks up late, or never touches, does not. */
const takesUpEarly = ({ figures }: Evaluation, { figures: restsOn }: Verdict): boolean =>
  figures.get('expandContact')?.status === 'known' && !restsOn.includes('expandLockUp');

/** What only plates, their springs and what opens them can have. */
const OF_A_PACK: readonly CauseId[] = [
  'wornDiscs',
  'weakSprings',
  'noFreePlay',
  'glazedDiscs',
  'stackLow',
  'warpedSteels',
  'shortLift',
  'airInLine',
  'tooMuchFreePlay',
  'notches',
  'tiltedPlate',
  'stackTall',
  'tightHubNut',
  'judderMissing',
  'mixedSprings',
  'dryRelease',
  'overSprung',
  'fluidHot',
  'tangsBind',
];

/**
 * What is known of the job besides its verdicts: the oil, and what was measured and seen on its parts.
 * @example weighJob(twin).map((m) => m.cause) // ["gapSmall", "gapWide", "shoeSpring", "idleHigh", "airInLine", "fluidHot", "wrongOil"]
 */
export function weighJob(job: Job): readonly MeasuredWeight[] {
  const weights: MeasuredWeight[] = [];
  const say = (cause: CauseId, tenths: number, because: string, from: string) =>
    weights.push({ cause, tenths, because, from });
  const { inspection, intake, pack, machine, release } = job;
  // What the machine does not have can't be to blame.
  if (machine.layout !== 'unknown' && !job.expanding.fitted) {
    say('gapSmall', -40, 'No expanding disc is fitted.', 'The machine');
    say('gapWide', -40, 'No expanding disc is fitted.', 'The machine');
  }
  if (machine.layout === 'pack' && job.startClutch.place === 'none')
    say('shoeSpring', -40, 'The machine has no start clutch.', 'The machine');
  // On such a machine nothing takes up by itself, however fast it idles.
  if (machine.layout !== 'unknown' && !job.expanding.fitted && job.startClutch.place === 'none')
    say('idleHigh', -25, 'Nothing in this clutch is thrown out by its speed.', 'The machine');
  const dry =
    releasedBy(job) === 'pedal'
      ? 'The shift pedal opens the pack.'
      : release.type === 'cable'
        ? 'The release is by cable.'
        : undefined;
  if (dry)
    for (const cause of ['airInLine', 'fluidHot'] as const) say(cause, -40, dry, 'The machine');
  if (!hasPack(machine.layout))
    for (const cause of OF_A_PACK)
      say(cause, -40, 'There is no pack of plates in this machine.', 'The machine');
  if (intake.oil === 'frictionModified')
    say('wrongOil', 35, 'The oil is friction-modified.', 'Oil at intake');
  if (intake.oil === 'wetClutch')
    say('wrongOil', -40, 'The oil is meant for wet clutches.', 'Oil at intake');
  const seen = (sights: readonly Sight[]) =>
    pack.plates.some((p) => p.seen?.some((s) => sights.includes(s)));
  if (seen(['burnt', 'glazed']))
    say('glazedDiscs', 32, 'Discs look burnt or glazed.', 'Seen on the discs');
  if (seen(['blued'])) say('warpedSteels', 8, 'Blued steels have been hot.', 'Seen on the steels');
  if (seen(['tangsWorn']))
    say('tangsBind', 12, 'Worn tangs hang in their slots.', 'Seen on the plates');
  const notch = Math.max(inspection.basketNotch?.value ?? -1, inspection.hubNotch?.value ?? -1);
  const notchLimit = limitAt(job, 'inspection.notchLimit');
  if (notch >= 0 && notchLimit !== undefined)
    say(
      'notches',
      notch > notchLimit ? 30 : -20,
      notch > notchLimit
        ? 'Notches are deeper than their limit.'
        : 'Notches are within their limit.',
      'Notch depth',
    );
  const seat = inspection.seatSquareness?.value;
  const seatLimit = limitAt(job, 'inspection.seatSquarenessLimit');
  if (seat !== undefined && seatLimit !== undefined)
    say(
      'tiltedPlate',
      seat > seatLimit ? 26 : -12,
      seat > seatLimit ? 'The pushrod’s seat is out of square.' : 'The pushrod’s seat is square.',
      'Pushrod seat',
    );
  const short = job.springs.coil.groups.flatMap((g) =>
    inspection.springLengths.flatMap((r) =>
      r.groupId === g.id && r.length && g.minFreeLength
        ? [r.length.value - g.minFreeLength.value]
        : [],
    ),
  );
  if (short.length > 0) {
    const bad = Math.min(...short) < 0;
    say(
      'weakSprings',
      bad ? 30 : -22,
      bad ? 'A spring is shorter than its limit.' : 'The springs are as long as they should be.',
      'Free length',
    );
  }
  return weights;
}
