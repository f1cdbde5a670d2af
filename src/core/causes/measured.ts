import type { PackLayer } from '@/core/evaluate/engine/layers';
import { warpOf } from '@/core/evaluate/engine/layers';
import type { Evaluation } from '../evaluate/evaluate';
import { engagesByItself } from '../clutch/fitted';
import { CLUTCH_KINDS } from '../clutch/kinds';
import { PART_NAME } from '../findings';
import { limitAt } from '../inspect/limitAt';
import type { Job, Sight } from '../job/types';
import { readingsOf } from '../job/types';
import { releasedBy } from '../release/way';
import type { CauseId, MeasuredWeight } from './cause';

/** Out-of-flat of all plates, mm, from which steels count as warped for the causes. Assumed value. */
const WARPED = 0.3;
/** Weight of a finding that the builder takes for a cause or against it, tenths of log-odds. Assumed value. */
const FOUND = 20;

/**
 * Weights from the job's own verdicts. A measurement outweighs a complaint.
 * @example weighVerdicts(evaluate(twin)).map((m) => m.cause) // ["weakSprings", "shortLift", "stackLow", "stackTall", "wornDiscs", "warpedSteels"]
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
      const low = v.side === 'below';
      say('stackLow', low ? 28 : -20, v.title, 'Stack height');
      say('stackTall', low ? -20 : 28, v.title, 'Stack height');
    }
    if (v.id === 'stack' && fine) {
      say('stackLow', -22, v.title, 'Stack height');
      say('stackTall', -22, v.title, 'Stack height');
    }
    if (v.id === 'releases' && (bad || fine)) say('shortLift', bad ? 28 : -25, v.title, 'Lift');
    if (v.id === 'coldDrag' && v.state !== 'unknown')
      say('thickOil', fine ? -18 : 24, v.title, 'Drag in cold oil');
    if (v.id === 'even' && v.state !== 'unknown')
      say('tiltedPlate', bad ? 32 : fine ? -25 : 26, v.title, 'Dial round the plate');
    for (const kind of CLUTCH_KINDS) weights.push(...(kind.weigh?.(v, evaluation.figures) ?? []));
    if (v.id === 'holds' && fine) say('weakSprings', -10, v.title, 'Torque reserve');
  }
  const discs = evaluation.layout.layers.filter((l) => l.lined !== 'none');
  if (discs.length > 0 && discs.every(isThickEnough))
    say('wornDiscs', -15, 'Every disc is above its minimum thickness.', 'Measured discs');
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

/**
 * Weights from the record besides its verdicts: oil, readings and damage.
 * @example weighJob(twin).map((m) => m.cause) // ["rampsSharp", "rampsWorn", "rampsWrong", "gapSmall", "gapWide", "shoeSpring", "idleHigh", "wrongOil"]
 */
export function weighJob(job: Job): readonly MeasuredWeight[] {
  const weights: MeasuredWeight[] = [];
  const say = (cause: CauseId, tenths: number, because: string, from: string) =>
    weights.push({ cause, tenths, because, from });
  const { inspection, intake, pack, machine, release } = job;
  for (const kind of CLUTCH_KINDS) weights.push(...(kind.weighJob?.(job) ?? []));
  // Such a machine can't engage by itself, however fast it idles.
  if (machine.layout !== 'unknown' && !engagesByItself(job))
    say('idleHigh', -25, 'No part of this clutch works by centrifugal force.', 'The machine');
  const dry =
    releasedBy(job) === 'pedal'
      ? 'The shift pedal opens the pack.'
      : release.type === 'cable'
        ? 'The release is by cable.'
        : undefined;
  if (dry)
    for (const cause of ['airInLine', 'fluidHot'] as const) say(cause, -40, dry, 'The machine');
  if (intake.oil === 'frictionModified')
    say('wrongOil', 35, 'The oil is friction-modified.', 'Oil at intake');
  if (intake.oil === 'wetClutch')
    say('wrongOil', -40, 'The oil is meant for wet clutches.', 'Oil at intake');
  const seen = (sights: readonly Sight[]) =>
    pack.plates.some((p) => p.seen?.some((s) => sights.includes(s)));
  if (seen(['burnt', 'glazed']))
    say('glazedDiscs', 32, 'Discs look burnt or glazed.', 'Damage seen on discs');
  if (seen(['blued']))
    say('warpedSteels', 8, 'Blued steels have been overheated.', 'Damage seen on steels');
  if (seen(['tangsWorn']))
    say('tangsBind', 12, 'Worn tangs catch in their slots.', 'Damage seen on plates');
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
      bad ? 'A spring is shorter than its limit.' : 'All springs are above their minimum length.',
      'Free length',
    );
  }
  if (job.setting.thumbTest) {
    const tilts = job.setting.thumbTest === 'tilts';
    const because = tilts
      ? 'The plate tilts with the springs out.'
      : 'The plate lifts evenly with the springs out.';
    say('tiltedPlate', tilts ? 28 : -10, because, 'Thumb test');
    say('mixedSprings', tilts ? -20 : 22, because, 'Thumb test');
  }
  for (const finding of job.findings ?? [])
    if (finding.cause)
      say(
        finding.cause,
        finding.against ? -FOUND : FOUND,
        finding.text || 'Found by the builder.',
        `Finding: ${PART_NAME[finding.part].toLowerCase()}`,
      );
  return weights;
}
