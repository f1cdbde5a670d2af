/* The glossary of the screens: meaning, importance and related terms. */

import { CLUTCH_KINDS } from '../clutch/kinds';
import type { COIL_TERMS } from '../clutch/coil/words';
import type { DIAPHRAGM_TERMS } from '../clutch/diaphragm/words';
import type { LOOSE_TERMS } from '../clutch/loose/words';
import type { EXPANDING_TERMS } from '../clutch/expandingDisc/words';
import type { ASSIST_TERMS } from '../clutch/centrifugalAssist/words';
import type { START_TERMS } from '../clutch/startClutch/words';
import { byText } from '../order';
import type { GlossaryTerm } from './term';

const terms = {
  pack: {
    name: 'Pack',
    also: ['clutch pack'],
    text: 'Friction discs and steels in turn between the hub floor and the pressure plate. Clamped together they transmit the engine’s torque; released, the hub can stop while the basket turns.',
    drawing: 'pack',
    see: ['disc', 'steel', 'stack', 'face'],
  },
  disc: {
    name: 'Friction disc',
    also: ['disc', 'friction plate'],
    text: 'A plate with lining on its faces. Its outer tangs engage the basket’s fingers, so it turns with the engine.',
    drawing: 'disc',
    see: ['lining', 'basket', 'tang', 'taper'],
  },
  steel: {
    name: 'Steel',
    also: ['drive plate'],
    text: 'A plain plate between two discs. Its inner tangs slide on the hub’s splines. It absorbs the heat of slip; some are aluminium, which is lighter and heats faster.',
    drawing: 'steel',
    see: ['hub', 'warp', 'spline'],
  },
  lining: {
    name: 'Lining',
    text: 'The friction material: paper, cork, aramid or sintered metal on the faces of a disc. More area alone does not raise capacity; more faces, radius, clamp or friction do.',
    drawing: 'disc',
    see: ['friction', 'face', 'glaze'],
  },
  basket: {
    name: 'Basket',
    text: 'The outer drum, geared to the crankshaft by the primary drive: it turns at engine speed divided by the primary ratio. Its fingers drive the discs.',
    drawing: 'basket',
    see: ['primary', 'notch', 'disc'],
  },
  hub: {
    name: 'Hub',
    also: ['centre'],
    text: 'The inner part, splined to the gearbox input shaft. Steels slide on its splines; the pack sits on its floor.',
    drawing: 'hub',
    see: ['spline', 'thrustWasher', 'hubNut'],
  },
  pressurePlate: {
    name: 'Pressure plate',
    text: 'The plate through which the springs clamp the pack against the hub floor. The lever lifts it.',
    drawing: 'pressurePlate',
    see: ['lift', 'clamp', 'tilt'],
  },
  primary: {
    name: 'Primary ratio',
    also: ['primary drive'],
    text: 'Turns of the crankshaft per turn of the basket. Torque at the clutch is the engine’s times this ratio; centrifugal parts turn at engine speed divided by it.',
    drawing: 'basket',
    see: ['basket', 'torque'],
  },
  stack: {
    name: 'Stack height',
    also: ['stack'],
    text: 'The total height of all plates: the sum of the measured thicknesses, checked with a caliper over the whole pack. If the two differ, a plate is warped, burred or doubled.',
    drawing: 'window',
    see: ['window', 'taper', 'warp'],
  },
  window: {
    name: 'Stack height limits',
    text: 'The range of stack heights given by the maker, or the bands that select a retainer step. On the edge of two bands both steps are allowed.',
    drawing: 'window',
    see: ['stack', 'step'],
  },
  face: {
    name: 'Friction face',
    also: ['face'],
    text: 'A face between two neighbours that turn with different members, with lining on one side at least. Faces are counted from the plate order: two discs side by side have none between them.',
    drawing: 'faces',
    see: ['spacerPair', 'torque'],
  },
  spacerPair: {
    name: 'Spacer pair',
    text: 'Two discs side by side: they turn together, add height and transmit nothing between them. Used where a short hub would leave the last steel on the edge of its spline.',
    drawing: 'faces',
    see: ['retention', 'face'],
  },
  radius: {
    name: 'Effective radius',
    text: 'The radius at which a lining ring acts as a whole: the mean radius once run in, a little more when new.',
    drawing: 'radius',
    see: ['torque', 'lining'],
  },
  friction: {
    name: 'Friction',
    also: ['friction coefficient'],
    text: 'The share of the clamp that resists sliding at a face, in oil. It has a low, a typical and a high value; torque reserve is judged by the low one.',
    see: ['lining', 'reserve', 'oil'],
  },
  clamp: {
    name: 'Clamp',
    text: 'The force with which the springs press the plates together. More clamp raises the torque reserve and the lever pull, unless a diaphragm works past its peak.',
    drawing: 'pressurePlate',
    see: ['preload', 'leverPull', 'peak'],
  },
  preload: {
    name: 'Preload',
    text: 'Compression of a fitted spring. With coil springs more preload means more clamp and a heavier lever; with a diaphragm past its peak it means less of both.',
    drawing: 'coil',
    see: ['coil', 'diaphragm', 'peak', 'step'],
  },
  judder: {
    name: 'Judder spring',
    also: ['judder pair', 'judder seat'],
    text: 'A thin wavy or dished ring on a flat one, inside the bore of one disc, that takes the load first and softens engagement. The pair is not part of the stack height.',
    drawing: 'judder',
    see: ['chatter', 'stack'],
  },
  chatter: {
    name: 'Judder',
    also: ['chatter'],
    text: 'Vibration during engagement. Friction that falls with slip speed feeds it, from glazed plates or wrong oil; notches, tilt and a missing judder spring cause it too.',
    drawing: 'slip',
    see: ['judder', 'glaze', 'notch', 'tilt'],
  },
  torque: {
    name: 'Torque at the clutch',
    text: 'The torque the pack must transmit: the engine’s torque times the primary ratio.',
    drawing: 'basket',
    see: ['reserve', 'primary'],
  },
  reserve: {
    name: 'Torque reserve',
    text: 'Clutch capacity divided by engine torque at the clutch, at low friction (worst case). Below 1 the clutch slips; 1.1 leaves a margin for hot oil and wear.',
    see: ['torque', 'friction', 'clamp'],
  },
  tang: {
    name: 'Tang',
    text: 'The teeth of a plate that engage basket or hub. Under load their friction takes part of the clamp on its way down the pack.',
    drawing: 'tangs',
    see: ['notch', 'clamp'],
  },
  lift: {
    name: 'Lift',
    text: 'Movement of the pressure plate when the lever is pulled. Clearance per face and even lift all round matter most.',
    drawing: 'lift',
    see: ['clearance', 'tilt', 'train'],
  },
  clearance: {
    name: 'Clearance per face',
    also: ['clearance'],
    text: 'Lift minus the plates’ out-of-flat, divided by the friction faces. Too little, and the clutch drags.',
    drawing: 'lift',
    see: ['lift', 'warp', 'drag'],
  },
  drag: {
    name: 'Drag',
    also: ['drags'],
    text: 'Plates that do not separate: the machine creeps in gear with the lever in, and neutral is hard to find. More clamp does not help; more lift, flatter plates or less lost travel do.',
    drawing: 'lift',
    see: ['clearance', 'warp', 'freePlay'],
  },
  slip: {
    name: 'Slip',
    also: ['slips'],
    text: 'The basket turns faster than the hub. Normal at take-off; on a pull it burns the discs. More lift does not help; more clamp, faces or friction do.',
    drawing: 'slip',
    see: ['reserve', 'heat', 'freePlay'],
  },
  tilt: {
    name: 'Tilt',
    text: 'The plate lifts more on one side. The low side drags whatever the mean lift: the minimum local lift counts.',
    drawing: 'lift',
    see: ['ring', 'lift'],
  },
  train: {
    name: 'Release train',
    text: 'All parts between hand and plate: lever, cable or line, arm, worm, ramp or slave piston, pushrod and bearing.',
    drawing: 'train',
    see: ['ratio', 'freePlay', 'leverPull'],
  },
  ratio: {
    name: 'Overall ratio',
    text: 'Lever travel per millimetre of lift. A higher ratio pulls lighter and lifts less.',
    drawing: 'train',
    see: ['reducedEffort', 'leverPull'],
  },
  leverPull: {
    name: 'Lever pull',
    also: ['pull'],
    text: 'The force at the finger: spring force at full lift, divided by the ratio and the efficiency of the train.',
    drawing: 'train',
    see: ['ratio', 'preload'],
  },
  freePlay: {
    name: 'Free play',
    text: 'The first lever travel, in which nothing moves. With none the bearing is loaded and the pack slips; too much reduces lift.',
    drawing: 'train',
    see: ['drag', 'slip', 'lift'],
  },
  reducedEffort: {
    name: 'Reduced-effort part',
    text: 'A ramp or arm with a higher ratio: lighter, with less lift. Where lift is already low the clutch will drag.',
    drawing: 'train',
    see: ['ratio', 'clearance'],
  },
  pushrod: {
    name: 'Pushrod',
    text: 'Carries the push through hub or shaft to the pressure plate, with a ball or a small bearing at its end that is easily lost in the oil.',
    drawing: 'train',
    see: ['train'],
  },
  warp: {
    name: 'Out-of-flat',
    also: ['warp', 'warped'],
    text: 'Deviation of a plate from flat, by feeler gauges on a surface plate. The total of all plates reduces clearance; new discs are not fitted against warped steels.',
    drawing: 'warp',
    see: ['steel', 'clearance'],
  },
  taper: {
    name: 'Taper',
    text: 'Difference between the thickest and thinnest point of a disc, measured at three or four points: the mean goes into the stack, the minimum is compared with the limit.',
    drawing: 'taper',
    see: ['disc', 'stack'],
  },
  glaze: {
    name: 'Glazed',
    also: ['glazing'],
    text: 'Polished by slip: friction is lower and falls with speed. Hot spots alone are usually harmless; welded lining is removed.',
    drawing: 'steel',
    see: ['chatter', 'friction'],
  },
  notch: {
    name: 'Notch',
    also: ['notches', 'notched'],
    text: 'Marks worn by tangs into the basket’s fingers or the hub’s splines. Plates catch in them: engagement is grabby.',
    drawing: 'tangs',
    see: ['basket', 'chatter'],
  },
  spline: {
    name: 'Spline',
    text: 'The teeth of the hub on which steels slide. At full lift each steel must still engage its spline.',
    drawing: 'spline',
    see: ['retention', 'hub'],
  },
  retention: {
    name: 'Spline engagement',
    text: 'The share of a plate’s thickness still on its spline at full lift. Too little, and the plate comes off or damages the edge.',
    drawing: 'spline',
    see: ['spline', 'spacerPair'],
  },
  offsetSlot: {
    name: 'Offset slot',
    text: 'Slots of the basket half a pitch from the others, for the last friction disc. Fitted in the deep slots with the others it is wrong.',
    drawing: 'slot',
    see: ['basket', 'disc'],
  },
  thrustWasher: {
    name: 'Thrust washer',
    text: 'A washer behind the hub that sticks to it and falls off. If left out, the stack height is wrong.',
    drawing: 'hub',
    see: ['hub'],
  },
  drivePin: {
    name: 'Drive pin',
    text: 'Loose pins on some hubs, under the steels. A pin dropped into the cases means splitting the engine: count them out and in.',
    drawing: 'hub',
    see: ['hub'],
  },
  hubNut: {
    name: 'Hub nut',
    text: 'Holds the hub on its shaft. Too tight, the hub binds, drags and stalls; too loose, the nut comes off.',
    drawing: 'hub',
    see: ['star'],
  },
  star: {
    name: 'Criss-cross',
    also: ['across and across'],
    text: 'Bolts of a circle tightened from one to the opposite one, in stages to torque, so that the plate comes down square.',
    drawing: 'star',
    see: ['hubNut', 'ring'],
  },
  headClearance: {
    name: 'Head clearance',
    text: 'Clearance between the spring bolts’ heads and the cover. Bolts taller than the kit’s own damage the cover and shed metal into the oil.',
    drawing: 'gap',
    see: ['star'],
  },
  soak: {
    name: 'Soak',
    text: 'New discs absorb oil before they run. The longer of the two usual times is planned; the lining maker’s minimum is accepted.',
    see: ['lining', 'breakIn'],
  },
  breakIn: {
    name: 'Break-in',
    text: 'The starts given in the kit’s sheet, in which the discs bed in. Afterwards measure everything again: stack, gap and free play have changed.',
    see: ['stack', 'installGap', 'freePlay'],
  },
  oil: {
    name: 'Wet-clutch oil',
    also: ['JASO MA'],
    text: 'Oil for clutches that run in it (JASO MA, MA2). Friction-modified car oil removes about a third of the friction.',
    see: ['friction', 'slip'],
  },
  heat: {
    name: 'Heat of a start',
    text: 'The energy of slip, mostly absorbed by the steels. Thin steels make room for another disc and absorb less; aluminium absorbs more for its weight.',
    drawing: 'slip',
    see: ['slip', 'steel', 'lockUp'],
  },
  inertia: {
    name: 'Inertia',
    text: 'Resistance to a change of speed: of the pack on the hub, which the gearbox feels at each shift, and of the engine, which helps a start.',
    drawing: 'slip',
    see: ['heat', 'steel'],
  },
} as const satisfies Record<string, GlossaryTerm>;

export type TermId =
  | keyof typeof terms
  | keyof typeof COIL_TERMS
  | keyof typeof DIAPHRAGM_TERMS
  | keyof typeof LOOSE_TERMS
  | keyof typeof EXPANDING_TERMS
  | keyof typeof ASSIST_TERMS
  | keyof typeof START_TERMS;

export const GLOSSARY = Object.assign({}, terms, ...CLUTCH_KINDS.map((k) => k.terms)) as Readonly<
  Record<TermId, Omit<GlossaryTerm, 'see'> & { readonly see?: readonly TermId[] }>
>;
export const TERM_IDS = (Object.keys(GLOSSARY) as TermId[]).toSorted((a, b) =>
  byText(GLOSSARY[a].name.toLowerCase(), GLOSSARY[b].name.toLowerCase()),
);

/** The clutch types and attachments. */
export const FAMILIES = CLUTCH_KINDS.flatMap((kind) => kind.families);
