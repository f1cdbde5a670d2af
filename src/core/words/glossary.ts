/* The field's words as the screens use them: what each means, why it matters, and what belongs to it. */

import { byText } from '../order';

export type DrawingId =
  | 'pack'
  | 'disc'
  | 'steel'
  | 'basket'
  | 'hub'
  | 'pressurePlate'
  | 'coil'
  | 'diaphragm'
  | 'diaphragmCurve'
  | 'loose'
  | 'judder'
  | 'expanding'
  | 'shoes'
  | 'belt'
  | 'levers'
  | 'balls'
  | 'train'
  | 'lift'
  | 'gap'
  | 'warp'
  | 'taper'
  | 'faces'
  | 'radius'
  | 'star'
  | 'spline'
  | 'slot'
  | 'tangs'
  | 'slip'
  | 'window';

export interface Term {
  readonly name: string;
  /** Other ways in which it is written; plurals are known by themselves. */
  readonly also?: readonly string[];
  readonly text: string;
  readonly drawing?: DrawingId;
  readonly see?: readonly TermId[];
}

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
  coil: {
    name: 'Coil spring',
    text: 'Springs under bolts round the pressure plate. Their force grows with every millimetre; as the pack wears, each millimetre is given back.',
    drawing: 'coil',
    see: ['rate', 'bind', 'freeLength', 'ring'],
  },
  rate: {
    name: 'Rate',
    also: ['spring rate'],
    text: 'What a spring gains for each millimetre that it is pressed, from a tester or from its wire.',
    drawing: 'coil',
    see: ['coil', 'preload'],
  },
  freeLength: {
    name: 'Free length',
    text: 'The length of a spring that nothing presses. Below its least it has set, and clamps less.',
    drawing: 'coil',
    see: ['coil', 'clamp'],
  },
  bind: {
    name: 'Coil bind',
    text: 'The coils touch: the spring is solid, the plate lifts no further, and something gives. A margin must be left at full lift.',
    drawing: 'coil',
    see: ['lift', 'coil'],
  },
  ring: {
    name: 'Resultant',
    text: 'Where all springs together press. Two kinds fitted unevenly press off centre, and the plate lifts on one side.',
    drawing: 'star',
    see: ['tilt', 'coil'],
  },
  diaphragm: {
    name: 'Diaphragm',
    also: ['diaphragm spring', 'disc spring'],
    text: 'One dished spring held down by a retainer. Its force rises to a peak, falls, and rises again: it works where a little wear changes little.',
    drawing: 'diaphragm',
    see: ['peak', 'step', 'cone'],
  },
  peak: {
    name: 'Peak of a diaphragm',
    also: ['past the peak', 'past its peak'],
    text: 'Where a diaphragm presses hardest. Past it more preload means less clamp and a lighter lever, until wear brings it back. Nothing in the trade is misunderstood more often.',
    drawing: 'diaphragmCurve',
    see: ['diaphragm', 'step', 'preload'],
  },
  step: {
    name: 'Step of the retainer',
    also: ['retainer step', 'step', 'retainer'],
    text: 'The ring that holds a diaphragm down may have numbered steps, each for another preload. The height of the stack chooses the step.',
    drawing: 'diaphragm',
    see: ['peak', 'window'],
  },
  cone: {
    name: 'Cone height',
    text: 'The free height of a diaphragm. One that has gone flat clamps less, whatever the step.',
    drawing: 'diaphragm',
    see: ['diaphragm'],
  },
  loose: {
    name: 'Loose springs',
    text: 'Free springs on pins between two plates that nuts draw together. The gap that is left between the plates tells the preload.',
    drawing: 'loose',
    see: ['coil', 'preload'],
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
  expanding: {
    name: 'Expanding disc',
    also: ['auto-clutch'],
    text: 'It takes the place of the outermost disc. Its weights move out with rpm and it grows in thickness: the clutch takes up by itself as the gap closes, and the lever moves in by what is left.',
    drawing: 'expanding',
    see: ['installGap', 'leverGain', 'firstContact'],
  },
  installGap: {
    name: 'Install gap',
    also: ['gap'],
    text: 'The room that an expanding disc closes before it touches. Too small, and it creeps at idle; too large, and it never locks. It is counted in turns and marks from the first firm contact.',
    drawing: 'gap',
    see: ['expanding', 'marks', 'leverGain'],
  },
  marks: {
    name: 'Turns and marks',
    text: 'How an adjuster is counted. The start is only right with slack in the cable, so that the plate rises off the nut and not off the bearing.',
    drawing: 'gap',
    see: ['installGap'],
  },
  leverGain: {
    name: 'Lever gain',
    text: 'How far the lever moves in at a blip of the throttle, warm and in neutral: by the ratio of the train times what the disc has grown beyond its gap.',
    drawing: 'train',
    see: ['installGap', 'ratio'],
  },
  firstContact: {
    name: 'First contact',
    text: 'The engine speed at which a centrifugal clutch first touches. It must stand above idle by a margin, or the machine creeps.',
    drawing: 'shoes',
    see: ['expanding', 'startClutch', 'lockUp'],
  },
  lockUp: {
    name: 'Lock-up',
    text: 'Basket and hub have come to one speed. Until then the clutch slips and makes heat.',
    drawing: 'slip',
    see: ['slip', 'heat'],
  },
  assist: {
    name: 'Centrifugal assist',
    text: 'Weighted levers, or balls on a ramp, that add clamp with rpm. Lighter springs can then be used, and the lever is light at standstill.',
    drawing: 'levers',
    see: ['clamp', 'primary'],
  },
  startClutch: {
    name: 'Start clutch',
    text: 'Shoes that swing out into a drum. On many quads it takes the machine off, and the pack behind it only serves the change of gear.',
    drawing: 'shoes',
    see: ['firstContact', 'pack'],
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
} as const satisfies Record<string, Omit<Term, 'see'> & { readonly see?: readonly string[] }>;

export type TermId = keyof typeof terms;

export const GLOSSARY: Readonly<Record<TermId, Term>> = terms;
export const TERM_IDS = (Object.keys(terms) as TermId[]).toSorted((a, b) =>
  byText(GLOSSARY[a].name.toLowerCase(), GLOSSARY[b].name.toLowerCase()),
);
