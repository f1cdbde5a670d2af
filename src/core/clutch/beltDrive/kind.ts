import type { CauseId } from '../../causes/cause';
import { hasPack, LAYOUTS } from '../../guide/layouts';
import type { ClutchKind } from '../kind';
import { BELT_FAMILIES } from './words';

/** Causes that only plates, their springs and their release can have. */
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

/** Sheaves and a belt in place of gearbox and pack. */
export const beltDrive: ClutchKind = {
  id: 'belt',
  name: 'belt drive',
  isFitted: ({ machine }) => LAYOUTS[machine.layout].belt,
  example: (job) => ({ ...job, machine: { ...job.machine, layout: 'belt' } }),
  families: BELT_FAMILIES,
  fields: {},
  weighJob: ({ machine }) =>
    hasPack(machine.layout)
      ? []
      : OF_A_PACK.map((cause) => ({
          cause,
          tenths: -40,
          because: 'This machine has no plate pack.',
          from: 'The machine',
        })),
};
