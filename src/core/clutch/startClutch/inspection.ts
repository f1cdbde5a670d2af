import { EDGE } from '../../inspect/decisions';
import type { Reason } from '../../inspect/decisions';
import { limitSource } from '../../inspect/limitSource';
import type { RunStep } from '../../inspect/runStep';
import type { Job, OneWay } from '../../job/types';
import { length, say } from '../../text/sentence';

/* A start clutch at the bench: lining of the shoes, bore of the drum, and its one-way bearing. */

/**
 * The readings of a start clutch.
 * @example shoeReadings(farm).map((s) => s.path) // ["startClutch.shoeLining", "startClutch.drumBore"]
 */
export const shoeReadings = ({ startClutch: record }: Job): readonly RunStep[] => [
  {
    path: 'startClutch.shoeLining',
    part: 'start',
    fixture: 'shoes',
    title: 'Start clutch shoes',
    what: 'lining of the thinnest shoe',
    siblings: ['startClutch.shoeLining'],
    limit: record.shoeLiningMin?.value,
    limitIs: 'min',
    onlyWears: true,
  },
  {
    path: 'startClutch.drumBore',
    part: 'start',
    fixture: 'drum',
    title: 'Start clutch drum',
    what: 'bore at its widest',
    siblings: ['startClutch.drumBore'],
    nominal: record.drumRadius?.value,
    limit: record.drumBoreMax?.value,
    limitIs: 'max',
    onlyWears: false,
  },
];

export const ONE_WAY_NAME: Readonly<Record<OneWay, string>> = {
  locksOneWay: 'Locks one way, free the other',
  slips: 'Slips both ways',
  rough: 'Rough or sticks',
};

const ONE_WAY: Readonly<Record<OneWay, Reason>> = {
  locksOneWay: {
    on: 'oneWay',
    decision: 'keep',
    sentence: ['It locks one way and runs free the other.'],
  },
  slips: {
    on: 'oneWay',
    decision: 'change',
    sentence: ['It slips both ways: there is no engine braking, and the machine rolls on.'],
  },
  rough: { on: 'oneWay', decision: 'change', sentence: ['It runs rough or sticks.'] },
};

/**
 * Judges shoes, drum and one-way bearing by their readings; without a limit a reading is watched.
 * Source: workshop practice. Never throws.
 * @example judgeShoes(farm) // []
 */
export function judgeShoes(job: Job): readonly Reason[] {
  const { shoeLining, shoeLiningMin, drumBore, drumBoreMax, oneWay } = job.startClutch;
  const reasons: Reason[] = [];
  if (shoeLining)
    reasons.push({
      on: 'shoes',
      ...(shoeLiningMin
        ? { limitFrom: limitSource(job, 'startClutch.shoeLiningMin') }
        : { missing: 'startClutch.shoeLiningMin' as const }),
      decision: !shoeLiningMin
        ? 'watch'
        : shoeLining.value < shoeLiningMin.value - EDGE
          ? 'change'
          : 'keep',
      sentence: shoeLiningMin
        ? say`Thinnest lining ${length(shoeLining.value)}; minimum ${length(shoeLiningMin.value)}.`
        : say`Thinnest lining ${length(shoeLining.value)}; the manual’s minimum is needed to judge it.`,
    });
  if (drumBore)
    reasons.push({
      on: 'drum',
      ...(drumBoreMax
        ? { limitFrom: limitSource(job, 'startClutch.drumBoreMax') }
        : { missing: 'startClutch.drumBoreMax' as const }),
      decision: !drumBoreMax
        ? 'watch'
        : drumBore.value > drumBoreMax.value + EDGE
          ? 'change'
          : 'keep',
      sentence: drumBoreMax
        ? say`Drum bore ${length(2 * drumBore.value)}; maximum ${length(2 * drumBoreMax.value)}.`
        : say`Drum bore ${length(2 * drumBore.value)}; the manual’s maximum is needed to judge it.`,
    });
  if (oneWay) reasons.push(ONE_WAY[oneWay]);
  return reasons;
}
