/* The field's words as the screens use them: what each means, why it matters, and what belongs to it. */

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
    text: 'Friction discs and steels in turn between the floor of the hub and the pressure plate. Pressed together they carry the engine’s torque; parted they let the hub stand while the basket turns.',
    drawing: 'pack',
    see: ['disc', 'steel', 'stack', 'face'],
  },
  disc: {
    name: 'Friction disc',
    also: ['disc', 'friction plate'],
    text: 'A plate with lining on its faces. Its outer tangs hang in the fingers of the basket, so it turns with the engine.',
    drawing: 'disc',
    see: ['lining', 'basket', 'tang', 'taper'],
  },
  steel: {
    name: 'Steel',
    also: ['drive plate'],
    text: 'A plain plate between two discs. Its inner tangs ride the splines of the hub. It takes up the heat of slip; some are of aluminium, which is lighter and heats sooner.',
    drawing: 'steel',
    see: ['hub', 'warp', 'spline'],
  },
  lining: {
    name: 'Lining',
    text: 'What rubs: paper, cork, aramid or sintered metal on the faces of a disc. More area by itself does not hold more; more faces, more radius, more clamp or more friction do.',
    drawing: 'disc',
    see: ['friction', 'face', 'glaze'],
  },
  basket: {
    name: 'Basket',
    text: 'The outer drum, geared to the crank by the primary drive: it turns at engine speed divided by the primary ratio. Its fingers carry the discs.',
    drawing: 'basket',
    see: ['primary', 'notch', 'disc'],
  },
  hub: {
    name: 'Hub',
    also: ['centre'],
    text: 'The inner part, splined on the input shaft of the gearbox. Steels ride its splines; the pack lies on its floor.',
    drawing: 'hub',
    see: ['spline', 'thrustWasher', 'hubNut'],
  },
  pressurePlate: {
    name: 'Pressure plate',
    text: 'The plate by which the springs squeeze the pack against the floor of the hub. The lever lifts it off.',
    drawing: 'pressurePlate',
    see: ['lift', 'clamp', 'tilt'],
  },
  primary: {
    name: 'Primary ratio',
    also: ['primary drive'],
    text: 'Turns of the crank for one turn of the basket. Torque at the clutch is the engine’s times this ratio; whatever is centrifugal in the clutch turns at engine speed divided by it.',
    drawing: 'basket',
    see: ['basket', 'torque'],
  },
  stack: {
    name: 'Stack height',
    also: ['stack'],
    text: 'The height of all plates together: added up from what each measures, and checked with a caliper over the whole pack. When the two disagree, a plate is warped, burred or doubled.',
    drawing: 'window',
    see: ['window', 'taper', 'warp'],
  },
  window: {
    name: 'Window',
    text: 'The band of heights that the maker gives for the stack, or the bands that choose a step of the retainer. On the edge of two bands both steps are allowed.',
    drawing: 'window',
    see: ['stack', 'step'],
  },
  face: {
    name: 'Slipping face',
    also: ['face'],
    text: 'Where two neighbours turn with different members and one of them is lined. Faces are counted from the order of the plates, not from a rule: two discs side by side make none between them.',
    drawing: 'faces',
    see: ['spacerPair', 'torque'],
  },
  spacerPair: {
    name: 'Spacer pair',
    text: 'Two discs side by side: they turn together, fill room and carry nothing between them. Used on purpose where a short hub would leave the last steel on the edge of its spline.',
    drawing: 'faces',
    see: ['retention', 'face'],
  },
  radius: {
    name: 'Effective radius',
    text: 'The radius at which a ring of lining acts as a whole: the middle of the ring once it is run in, a little more while it is new.',
    drawing: 'radius',
    see: ['torque', 'lining'],
  },
  friction: {
    name: 'Friction',
    also: ['friction coefficient'],
    text: 'The share of the clamp with which a face resists sliding, in oil. It has a low, a usual and a high end; what must hold is judged by the low one.',
    see: ['lining', 'reserve', 'oil'],
  },
  clamp: {
    name: 'Clamp',
    text: 'The force with which the springs press the plates together. More clamp holds more and is paid for at the lever, unless a diaphragm works past its peak.',
    drawing: 'pressurePlate',
    see: ['preload', 'leverPull', 'peak'],
  },
  preload: {
    name: 'Preload',
    text: 'How far a spring is pressed in place. With coil springs more preload is more clamp and a heavier lever; with a diaphragm past its peak it is less of both.',
    drawing: 'coil',
    see: ['coil', 'diaphragm', 'peak', 'step'],
  },
  judder: {
    name: 'Judder spring',
    also: ['judder pair', 'judder seat'],
    text: 'A thin wavy or dished ring on a flat one, inside the bore of one disc, that takes the load first and softens the start. The pair has no share in the height of the stack.',
    drawing: 'judder',
    see: ['chatter', 'stack'],
  },
  chatter: {
    name: 'Judder',
    also: ['chatter'],
    text: 'A shaking at the take-off. Friction that falls with slip speed feeds it, from glazed plates or wrong oil; notches, tilt and a missing judder spring bring it too.',
    drawing: 'slip',
    see: ['judder', 'glaze', 'notch', 'tilt'],
  },
  torque: {
    name: 'Torque at the clutch',
    text: 'What the pack must carry: the engine’s torque times the primary ratio.',
    drawing: 'basket',
    see: ['reserve', 'primary'],
  },
  reserve: {
    name: 'Reserve',
    text: 'What the pack holds as a multiple of what is asked of it, at the low end of its friction. Below 1 it slips; a tenth above is kept for hot oil and wear.',
    see: ['torque', 'friction', 'clamp'],
  },
  tang: {
    name: 'Tang',
    text: 'The teeth of a plate that hang in the basket or ride the hub. Under load their friction keeps back part of the clamp on its way down the pack.',
    drawing: 'tangs',
    see: ['notch', 'clamp'],
  },
  lift: {
    name: 'Lift',
    text: 'How far the lever raises the pressure plate. What matters is what it leaves at each face, and that it is even all round.',
    drawing: 'lift',
    see: ['clearance', 'tilt', 'train'],
  },
  clearance: {
    name: 'Clearance per face',
    also: ['clearance'],
    text: 'The lift less the warp of the plates, shared by all slipping faces. Too little, and the clutch drags.',
    drawing: 'lift',
    see: ['lift', 'warp', 'drag'],
  },
  drag: {
    name: 'Drag',
    also: ['drags'],
    text: 'Plates that do not part: it creeps in gear with the lever in, and neutral is hard to find. More clamp does not help; more lift, flatter plates or less lost travel do.',
    drawing: 'lift',
    see: ['clearance', 'warp', 'freePlay'],
  },
  slip: {
    name: 'Slip',
    also: ['slips'],
    text: 'The basket runs ahead of the hub. Wanted at the take-off; unwanted on a pull, where it burns the linings. More lift does not help; more clamp, faces or friction do.',
    drawing: 'slip',
    see: ['reserve', 'heat', 'freePlay'],
  },
  tilt: {
    name: 'Tilt',
    text: 'The plate lifts more on one side. It drags there however much it lifts on average: the least local lift counts.',
    drawing: 'lift',
    see: ['ring', 'lift'],
  },
  train: {
    name: 'Release train',
    text: 'Everything between the hand and the plate: lever, cable or line, arm, worm or ramp or slave piston, pushrod and bearing.',
    drawing: 'train',
    see: ['ratio', 'freePlay', 'leverPull'],
  },
  ratio: {
    name: 'Overall ratio',
    text: 'Travel of the lever for a millimetre of lift. A greater one pulls lighter and lifts less: there is no gift in it.',
    drawing: 'train',
    see: ['reducedEffort', 'leverPull'],
  },
  leverPull: {
    name: 'Lever pull',
    also: ['pull'],
    text: 'The force at the finger: that of the springs at full lift, divided by the ratio and by what the train wastes.',
    drawing: 'train',
    see: ['ratio', 'preload'],
  },
  freePlay: {
    name: 'Free play',
    text: 'The first travel of the lever, in which nothing moves. None of it, and the bearing is loaded and the pack slips; too much costs lift.',
    drawing: 'train',
    see: ['drag', 'slip', 'lift'],
  },
  reducedEffort: {
    name: 'Reduced-effort part',
    text: 'A ramp or arm with a greater ratio: lighter, and with less lift. Fitted where lift was scarce already it makes the clutch drag.',
    drawing: 'train',
    see: ['ratio', 'clearance'],
  },
  pushrod: {
    name: 'Pushrod',
    text: 'It carries the push through the hub or the shaft to the pressure plate, with a ball or a small bearing at its end that is easily lost in the oil.',
    drawing: 'train',
    see: ['train'],
  },
  warp: {
    name: 'Out-of-flat',
    also: ['warp', 'warped'],
    text: 'How far a plate is from flat, by feeler blades on a surface plate. The warp of all plates eats lift; new discs are not fitted against warped steels.',
    drawing: 'warp',
    see: ['steel', 'clearance'],
  },
  taper: {
    name: 'Taper',
    text: 'The spread of thickness round one disc. It is measured at three or four places: the mean goes into the stack, the least against the limit.',
    drawing: 'taper',
    see: ['disc', 'stack'],
  },
  glaze: {
    name: 'Glazed',
    also: ['glazing'],
    text: 'Polished by slip: the friction is lower and falls with speed. Hot spots alone are usually harmless; lining that has welded on is removed.',
    drawing: 'steel',
    see: ['chatter', 'friction'],
  },
  notch: {
    name: 'Notch',
    also: ['notches', 'notched'],
    text: 'Marks that tangs have beaten into the fingers of the basket or the splines of the hub. Plates hang in them: the take-up is grabby.',
    drawing: 'tangs',
    see: ['basket', 'chatter'],
  },
  spline: {
    name: 'Spline',
    text: 'The teeth of the hub on which steels ride. At full lift each must still hold its spline.',
    drawing: 'spline',
    see: ['retention', 'hub'],
  },
  retention: {
    name: 'Hold on the spline',
    text: 'The share of a plate’s thickness that still sits on its spline at full lift. Too little, and it comes off or chews the edge.',
    drawing: 'spline',
    see: ['spline', 'spacerPair'],
  },
  offsetSlot: {
    name: 'Offset slot',
    text: 'The last friction hangs in slots of the basket that stand half a pitch on. Laid in the deep slots with the others it is wrong.',
    drawing: 'slot',
    see: ['basket', 'disc'],
  },
  thrustWasher: {
    name: 'Thrust washer',
    text: 'It lies behind the hub, sticks to it, and falls off. Left out, the stack sits wrong.',
    drawing: 'hub',
    see: ['hub'],
  },
  drivePin: {
    name: 'Drive pin',
    text: 'Loose pins on some hubs over which the steels sit. One dropped into the cases means splitting the engine: they are counted out and in.',
    drawing: 'hub',
    see: ['hub'],
  },
  hubNut: {
    name: 'Hub nut',
    text: 'It holds the hub on its shaft. Over-tightened, the hub binds, drags and stalls; under-tightened, it comes loose.',
    drawing: 'hub',
    see: ['star'],
  },
  star: {
    name: 'Criss-cross',
    also: ['across and across'],
    text: 'Bolts of a circle drawn up from one to the one across, in stages to torque, so that the plate comes down square.',
    drawing: 'star',
    see: ['hubNut', 'ring'],
  },
  headClearance: {
    name: 'Head clearance',
    text: 'Room between the heads of the spring bolts and the cover. Bolts taller than the kit’s own chew the cover up and feed swarf into the oil.',
    drawing: 'gap',
    see: ['star'],
  },
  soak: {
    name: 'Soak',
    text: 'New linings drink oil before they are run. The longer of the two schools is planned, and the lining maker’s least time accepted.',
    see: ['lining', 'breakIn'],
  },
  breakIn: {
    name: 'Break-in',
    text: 'So many starts by the kit’s sheet, in which the linings bed in. Then everything is measured again: stack, gap and free play have moved.',
    see: ['stack', 'installGap', 'freePlay'],
  },
  oil: {
    name: 'Wet-clutch oil',
    also: ['JASO MA'],
    text: 'Oil meant for clutches that run in it (JASO MA, MA2). Friction-modified car oil takes about a third of the friction away.',
    see: ['friction', 'slip'],
  },
  heat: {
    name: 'Heat of a start',
    text: 'What slip turns into, mostly in the steels. Thin steels buy room for another disc and take less of it; aluminium takes more for its weight.',
    drawing: 'slip',
    see: ['slip', 'steel', 'lockUp'],
  },
  inertia: {
    name: 'Inertia',
    text: 'What resists a change of speed: of the pack on the hub, which the gearbox feels at each change, and of the engine, which carries a start.',
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

/** The families of clutch, and of what is attached to one. */
export const FAMILIES = CLUTCH_KINDS.flatMap((kind) => kind.families);
