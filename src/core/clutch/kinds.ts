import { assistSlip } from './assistSlip/kind';
import { beltDrive } from './beltDrive/kind';
import { centrifugalAssist } from './centrifugalAssist/kind';
import { coil } from './coil/kind';
import { diaphragm } from './diaphragm/kind';
import { expandingDisc } from './expandingDisc/kind';
import type { ClutchKind } from './kind';
import { loose } from './loose/kind';
import { startClutch } from './startClutch/kind';

/** All kinds of springs and attachments, in the order of the work. */
export const CLUTCH_KINDS: readonly ClutchKind[] = [
  coil,
  diaphragm,
  loose,
  assistSlip,
  centrifugalAssist,
  expandingDisc,
  startClutch,
  beltDrive,
];
