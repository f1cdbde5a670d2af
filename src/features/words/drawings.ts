import type { DrawingId } from '@/core/words/term';
import type { Strata } from '@/drawing/palette';

type Tone = Extract<
  keyof Strata,
  | 'ink'
  | 'slate'
  | 'ochre'
  | 'ochreDeep'
  | 'steel'
  | 'groove'
  | 'soft'
  | 'stop'
  | 'floor'
  | 'ground'
>;

/** A path of a small drawing: filled, or as a line of some width. */
export interface DrawingPart {
  readonly tone: Tone;
  readonly d: string;
  readonly line?: number;
}

export interface Drawing {
  /** Description of the drawing. */
  readonly label: string;
  readonly parts: readonly DrawingPart[];
}

/** Size of every drawing. */
export const FIELD = { width: 160, height: 100 } as const;

const fill = (tone: Tone, d: string): DrawingPart => ({ tone, d });
const line = (tone: Tone, d: string, width = 2.5): DrawingPart => ({ tone, d, line: width });
const box = (x: number, y: number, w: number, h: number) => `M${x} ${y}h${w}v${h}h${-w}z`;
const ring = (cx: number, cy: number, r: number) =>
  `M${cx - r} ${cy}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
const at = (cx: number, cy: number, r: number, degrees: number): readonly [number, number] => [
  Math.round((cx + r * Math.cos((degrees * Math.PI) / 180)) * 10) / 10,
  Math.round((cy + r * Math.sin((degrees * Math.PI) / 180)) * 10) / 10,
];
/** Short strokes from one radius to another, `n` of them round a centre. */
const spokes = (cx: number, cy: number, from: number, to: number, n: number, turn = 0) =>
  Array.from({ length: n }, (_, i) => {
    const a = (360 * i) / n + turn;
    return `M${at(cx, cy, from, a).join(' ')}L${at(cx, cy, to, a).join(' ')}`;
  }).join('');
const arrow = (x1: number, y1: number, x2: number, y2: number) => {
  const a = (Math.atan2(y2 - y1, x2 - x1) * 180) / Math.PI;
  return `M${x1} ${y1}L${x2} ${y2}M${at(x2, y2, 7, a + 150).join(' ')}L${x2} ${y2}L${at(x2, y2, 7, a - 150).join(' ')}`;
};
const zigzag = (x: number, y: number, w: number, h: number, coils: number) => {
  const step = h / coils;
  return Array.from(
    { length: coils },
    (_, i) =>
      `${i === 0 ? `M${x} ${y}` : ''}L${x + w} ${y + (i + 0.5) * step}L${x} ${y + (i + 1) * step}`,
  ).join('');
};

/** Discs from the left, steels from the right, as in the section. */
const layers = (tops: readonly number[], from = 20): DrawingPart[] =>
  tops.flatMap((y, i) =>
    i % 2 === 0
      ? [
          fill('ochreDeep', box(from, y, 92, 12)),
          fill('ochre', box(from + 22, y, 70, 3.5)),
          fill('ochre', box(from + 22, y + 8.5, 70, 3.5)),
        ]
      : [fill('steel', box(from + 18, y + 1, 102, 8))],
  );
const ridge = (y: number) => fill('slate', `M20 ${y}v-8l16 -14l16 10l18 -16l18 18l18 -12l14 8v14z`);

export const DRAWINGS: Readonly<Record<DrawingId, Drawing>> = {
  pack: {
    label: 'Discs and steels in turn under the ridge of springs',
    parts: [
      ridge(32),
      fill('slate', box(20, 34, 102, 6)),
      ...layers([42, 54, 64, 76]),
      fill('floor', box(14, 90, 132, 8)),
    ],
  },
  disc: {
    label: 'A disc from the front, lined, with its tangs outside',
    parts: [
      line('ochreDeep', ring(80, 50, 40), 5),
      line('ochreDeep', spokes(80, 50, 40, 47, 12), 7),
      line('ochre', ring(80, 50, 31), 12),
      line('groove', spokes(80, 50, 25, 37, 16), 1.5),
    ],
  },
  steel: {
    label: 'A steel from the front, plain, with its tangs inside',
    parts: [line('steel', ring(80, 50, 34), 18), line('steel', spokes(80, 50, 18, 26, 12), 5)],
  },
  basket: {
    label: 'The basket with its fingers, and the gear of the crank beside it',
    parts: [
      line('ochreDeep', ring(62, 52, 34), 4),
      line('ochreDeep', spokes(62, 52, 34, 44, 10), 8),
      line('steel', ring(126, 34, 18), 4),
      line('steel', spokes(126, 34, 18, 23, 12), 4),
      line('ink', arrow(50, 52, 74, 52), 2),
      line('ink', arrow(132, 34, 120, 34), 2),
    ],
  },
  hub: {
    label: 'The hub from the front with its splines and its nut',
    parts: [
      line('steel', ring(80, 50, 30), 14),
      line('steel', spokes(80, 50, 36, 44, 14), 6),
      fill(
        'ink',
        `M${[0, 60, 120, 180, 240, 300].map((a) => at(80, 50, 13, a).join(' ')).join('L')}z`,
      ),
    ],
  },
  ramps: {
    label: 'The two halves of a hub with ramps between them, drawn together on drive',
    parts: [
      fill('steel', 'M20 20H140V38L112 52L98 38H70L42 52L28 38H20z'),
      fill('slate', 'M20 84H140V48L112 62L98 48H70L42 62L28 48H20z'),
      line('ink', arrow(30, 12, 60, 12), 2),
      line('ink', arrow(130, 92, 100, 92), 2),
    ],
  },
  pressurePlate: {
    label: 'Springs pressing on the plate, and the plate on the pack',
    parts: [
      line('ink', arrow(48, 6, 48, 36)),
      line('ink', arrow(80, 6, 80, 36)),
      line('ink', arrow(112, 6, 112, 36)),
      fill('slate', box(26, 40, 108, 12)),
      ...layers([56, 68, 78], 26),
    ],
  },
  coil: {
    label: 'A coil spring: free, in place, and pressed with the lever in',
    parts: [
      line('slate', zigzag(22, 12, 18, 76, 7)),
      line('slate', zigzag(70, 30, 18, 58, 7)),
      line('slate', zigzag(118, 42, 18, 46, 7)),
      line('soft', 'M10 90H150', 2),
      line('soft', 'M62 28H98M110 40H146', 2),
    ],
  },
  diaphragm: {
    label: 'A dished spring under its retainer',
    parts: [
      line('slate', 'M20 70L70 34M140 70L90 34', 7),
      line('soft', 'M80 12V96', 1),
      fill('floor', box(10, 74, 26, 10)),
      fill('floor', box(124, 74, 26, 10)),
      line('ink', arrow(80, 8, 80, 26)),
    ],
  },
  diaphragmCurve: {
    label: 'Force over deflection: up to a peak, down, and up again; a dot past the peak',
    parts: [
      line('soft', 'M16 8V88H150', 1.5),
      line('slate', 'M16 88C34 20 48 14 62 18C84 24 96 58 112 60C124 62 136 50 148 36', 3),
      fill('stop', ring(84, 34, 5)),
      line('ink', arrow(90, 24, 108, 44), 2),
    ],
  },
  loose: {
    label: 'Springs between two plates that nuts draw together',
    parts: [
      fill('slate', box(20, 16, 120, 8)),
      fill('slate', box(20, 76, 120, 8)),
      line('steel', zigzag(36, 26, 16, 48, 5)),
      line('steel', zigzag(72, 26, 16, 48, 5)),
      line('steel', zigzag(108, 26, 16, 48, 5)),
      line('ink', 'M60 8V92M98 8V92', 3),
      fill('ink', box(54, 6, 12, 8)),
      fill('ink', box(92, 6, 12, 8)),
    ],
  },
  judder: {
    label: 'A wavy ring on its flat seat in the bore of a disc',
    parts: [
      fill('ochreDeep', box(16, 38, 78, 26)),
      fill('ochre', box(30, 38, 64, 7)),
      fill('ochre', box(30, 57, 64, 7)),
      line('ink', 'M100 46q6 -8 12 0t12 0t12 0', 3),
      line('ink', 'M100 60H138', 4),
      fill('steel', box(16, 68, 130, 12)),
    ],
  },
  expanding: {
    label: 'A disc with weights that move out and spread it, and the gap above',
    parts: [
      fill('ochreDeep', box(20, 54, 110, 9)),
      fill('ochreDeep', box(20, 80, 110, 9)),
      fill('ink', 'M52 71l12 -7l12 7l-12 7z'),
      fill('ink', 'M88 71l12 -7l12 7l-12 7z'),
      line('ink', arrow(46, 71, 28, 71), 2),
      fill('slate', box(20, 24, 110, 10)),
      line('stop', arrow(142, 44, 142, 34), 2),
      line('stop', arrow(142, 44, 142, 54), 2),
    ],
  },
  shoes: {
    label: 'Shoes that swing out into a drum',
    parts: [
      line('steel', ring(80, 50, 42), 5),
      line('ochre', 'M54 38A30 30 0 0 1 76 20', 9),
      line('ochre', 'M106 38A30 30 0 0 0 84 20', 9),
      line('ochre', 'M54 62A30 30 0 0 0 76 80', 9),
      line('ochre', 'M106 62A30 30 0 0 1 84 80', 9),
      line('ink', arrow(58, 28, 48, 18), 2),
      line('ink', arrow(102, 72, 112, 82), 2),
    ],
  },
  belt: {
    label: 'Two sheaves with a belt round them',
    parts: [
      line('steel', ring(46, 50, 26), 4),
      line('steel', ring(120, 50, 32), 4),
      line('ink', 'M44 36L122 20M44 64L122 80', 5),
    ],
  },
  levers: {
    label: 'A weighted lever that swings out and presses on the plate',
    parts: [
      fill('slate', box(20, 76, 110, 10)),
      line('steel', 'M84 70L84 42L128 26', 6),
      fill('ink', ring(84, 44, 5)),
      fill('ochre', ring(130, 24, 12)),
      line('ink', arrow(142, 30, 154, 34), 2),
      line('ink', arrow(84, 60, 84, 74), 2),
    ],
  },
  balls: {
    label: 'A ball between two plates that runs up a ramp as it moves out',
    parts: [
      fill('slate', 'M14 30H146V42L14 22z'),
      fill('slate', box(14, 70, 132, 10)),
      fill('ochre', ring(88, 56, 13)),
      line('ink', arrow(106, 56, 128, 56), 2),
      line('ink', arrow(50, 26, 50, 10), 2),
    ],
  },
  train: {
    label: 'From the lever by its line to the arm, the rod and the plate',
    parts: [
      line('ink', 'M14 18L58 26', 6),
      fill('ink', ring(58, 26, 5)),
      line('soft', 'M58 26C74 40 74 64 92 70', 2),
      line('steel', 'M92 70L112 84', 6),
      fill('ink', ring(112, 84, 5)),
      line('steel', 'M112 78V38', 5),
      fill('slate', box(84, 26, 58, 9)),
      line('ink', arrow(130, 24, 130, 8), 2),
    ],
  },
  lift: {
    label: 'The lifted plate and a small clearance at each face',
    parts: [
      fill('slate', box(26, 12, 102, 8)),
      ...layers([28, 46, 60, 78], 26),
      line('stop', arrow(142, 30, 142, 14), 2),
    ],
  },
  gap: {
    label: 'A screw with marks, and the gap it sets',
    parts: [
      fill('steel', box(20, 66, 120, 10)),
      fill('slate', box(20, 34, 120, 10)),
      line('ink', 'M80 8V34', 8),
      line('ink', 'M60 12H100', 4),
      line('soft', 'M62 18v4M72 18v4M88 18v4M98 18v4', 1.5),
      line('stop', arrow(40, 55, 40, 46), 2),
      line('stop', arrow(40, 55, 40, 64), 2),
    ],
  },
  warp: {
    label: 'A bent plate on a surface plate, a blade under its edge',
    parts: [
      fill('floor', box(10, 72, 140, 14)),
      line('steel', 'M16 66Q80 28 144 66', 9),
      line('ink', 'M84 66H152', 3),
    ],
  },
  taper: {
    label: 'A disc that is thinner on one side, measured at four places',
    parts: [
      fill('ochre', 'M18 34L142 44V64L18 72z'),
      line('ink', arrow(30, 14, 30, 30), 2),
      line('ink', arrow(30, 92, 30, 76), 2),
      line('ink', arrow(130, 24, 130, 40), 2),
      line('ink', arrow(130, 86, 130, 68), 2),
    ],
  },
  faces: {
    label: 'Two discs side by side make no face between them; disc and steel do',
    parts: [
      ...layers([12, 24], 24),
      fill('ochreDeep', box(24, 46, 92, 12)),
      fill('ochre', box(46, 46, 70, 3.5)),
      fill('ochreDeep', box(24, 60, 92, 12)),
      fill('ochre', box(46, 68.5, 70, 3.5)),
      fill('steel', box(42, 74, 102, 8)),
      line('stop', 'M36 59H126', 2),
    ],
  },
  radius: {
    label: 'A ring of lining and the radius in its middle',
    parts: [
      line('ochre', ring(80, 50, 34), 16),
      line('ink', ring(80, 50, 34), 1),
      line('ink', arrow(80, 50, 114, 50), 2),
    ],
  },
  star: {
    label: 'Bolts of a circle and the way across and across',
    parts: [
      line('soft', ring(80, 50, 38), 1.5),
      line(
        'slate',
        `M${[270, 90, 330, 150, 30, 210].map((a) => at(80, 50, 34, a).join(' ')).join('L')}`,
        2,
      ),
      fill('ink', [0, 1, 2, 3, 4, 5].map((i) => ring(...at(80, 50, 38, 60 * i + 30), 6)).join('')),
    ],
  },
  spline: {
    label: 'The last steel at the end of its spline',
    parts: [
      fill('steel', box(116, 26, 14, 66)),
      ...layers([48, 62, 74], 14),
      fill('steel', box(32, 20, 94, 9)),
      line('stop', 'M104 26H150', 2),
    ],
  },
  slot: {
    label: 'Fingers of the basket with a shallow slot half a pitch on',
    parts: [
      fill('ochreDeep', 'M12 90V20h20v40h20V20h20v70z'),
      fill('ochreDeep', 'M78 90V20h14v24h16V20h14v40h16V20h10v70z'),
      fill('ochre', box(34, 46, 16, 12)),
      fill('ochre', box(93, 32, 14, 10)),
      line('stop', arrow(100, 12, 100, 28), 2),
    ],
  },
  tangs: {
    label: 'A tang in a finger, and the notch worn by it',
    parts: [
      fill('ochreDeep', 'M30 8h26v30q8 6 0 14v40h-26z'),
      fill('ochreDeep', box(106, 8, 26, 84)),
      fill('ochre', box(60, 34, 44, 22)),
      line('stop', 'M54 36q10 9 0 18', 2.5),
    ],
  },
  slip: {
    label: 'Engine and hub reach one speed',
    parts: [
      line('soft', 'M16 8V88H150', 1.5),
      line('slate', 'M16 22L66 22Q90 24 104 44L150 34', 3),
      line('ochre', 'M16 88H44Q72 86 104 44', 3),
      fill('ink', ring(104, 44, 4)),
    ],
  },
  window: {
    label: 'A stack beside its limits',
    parts: [
      ...layers([34, 46, 56, 68, 78], 14),
      fill('steel', box(138, 24, 12, 20)),
      line('ink', 'M14 33H150', 1.5),
      line('soft', 'M132 24h24M132 44h24', 2),
    ],
  },
};
