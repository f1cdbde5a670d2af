import type { Aim, LeafletPart, OilKind, Rotation, Stage } from './types';
import type { Lock } from './work';

/* Names on screen and on sheets. */

export const AIM_NAME: Readonly<Record<Aim, string>> = {
  restore: 'Restore it',
  hold: 'More torque capacity',
  lighter: 'Lighter lever',
  handsOff: 'Hands-off starts',
  feel: 'More feel',
  inertia: 'Less rotating weight',
};

export const OIL_NAME: Readonly<Record<OilKind, string>> = {
  unknown: 'Not known',
  wetClutch: 'For wet clutches',
  frictionModified: 'Car oil, friction-modified',
};

export const LOCK_NAME: Readonly<Record<Lock, string>> = {
  none: 'None',
  threadlocker: 'Threadlocker',
  lockWasher: 'Lock washer',
  selfLocking: 'Self-locking',
};

export const STAGE_NAME: Readonly<Record<Stage, string>> = {
  intake: 'Intake',
  strip: 'Strip',
  inspect: 'Inspect',
  specify: 'Specify',
  build: 'Build',
  set: 'Set',
  prove: 'Prove',
  log: 'Log',
};

/** The purpose of each stage, as its first line on screen. */
export const STAGE_PURPOSE: Readonly<Record<Stage, string>> = {
  intake: 'Record the machine, the complaint and the engine torque.',
  strip: 'Take the clutch apart in order, and count the small parts.',
  inspect: 'Measure every part, and decide which to replace.',
  specify: 'Specify the clutch until every verdict is OK.',
  build: 'Assemble the clutch step by step.',
  set: 'Adjust the clutch, and measure it.',
  prove: 'Test on the stand, run in, and measure again.',
  log: 'Sign the job, print its sheets, and record service visits.',
};

/** The usual cautions, on every sheet. */
export const CAUTIONS: readonly string[] = [
  'Hot oil and exhaust burn. Springs are loaded: release and tighten evenly, wear eye protection; wire rings fly.',
  'Old linings may contain asbestos: wet wipe, do not blow.',
  'Keep fingers out of a turning clutch: cover on before the engine runs, engine off before hands go in.',
  'Machine on a stand, wheel clear, brake within reach; an auto-clutch can move the machine with the lever out.',
  'Check drain bolts, and wipe oil off the tyre. Used oil goes to the collection point.',
  'First ride slow, off the road, brakes tested: the lever may act differently.',
  'The maker’s manual, local rules and a licensed mechanic take precedence over this sheet.',
];

export const LEAFLET_NAME: Readonly<Record<LeafletPart, string>> = {
  alwaysNew: 'Parts always new',
  leftOut: 'Parts left out',
  screws: 'Screws of the kit',
  pattern: 'Tightening pattern',
  contact: 'Where contact is felt',
  recheck: 'Recheck',
  cautions: 'Cautions',
};

export const ROTATION_NAME: Readonly<Record<Rotation, string>> = {
  clockwise: 'clockwise, seen from the cover',
  counterclockwise: 'counter-clockwise, seen from the cover',
};
