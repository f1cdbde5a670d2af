import type { Evaluation } from '@/core/evaluate/evaluate';
import type { PackLayer, PackLayout } from '@/core/evaluate/engine/layers';
import type { FigureId } from '@/core/evaluate/engine/figure';
import type { Job } from '@/core/job/types';
import type { Mm } from '@/core/units/quantity';

/** What is drawn: a job and what is known of it. */
export interface Subject {
  readonly job: Job;
  readonly evaluation: Pick<Evaluation, 'figures' | 'layout'>;
}

/** The value of a figure, if it is known. */
export function known({ evaluation }: Subject, id: FigureId): number | undefined {
  const figure = evaluation.figures.get(id);
  return figure?.status === 'known' ? figure.value : undefined;
}

/** Drawn for a plate whose thickness is not entered yet. */
export const PLACEHOLDER: Mm = 2;
/** Of a disc's thickness, each side; the record has no thickness of the core. */
export const LINING_SHARE = 0.3;
/** Radii drawn while none are entered; only their order matters. */
const OUTER: Mm = 60;
const LINING_WIDTH: Mm = 12;
/** Of the outer radius of a usual clutch, for the parts that are never measured. */
const USUAL: Mm = 62;
const PRESSURE_PLATE: Mm = 5;

/** Measures of the drawing, from the job or assumed, in mm from the axis and over the hub floor. */
export interface Measures {
  readonly layout: PackLayout;
  /** Size of the parts that nobody measures, against those of a usual clutch. */
  readonly k: number;
  readonly liningOut: Mm;
  readonly liningIn: Mm;
  /** End of a disc's tang, and the fingers between which it runs. */
  readonly tangTip: Mm;
  readonly fingerIn: Mm;
  readonly fingerOut: Mm;
  readonly fingerTop: Mm;
  /** The hub's spline: its teeth, the inner end of a steel's tang, and the wall behind. */
  readonly splineOut: Mm;
  readonly steelIn: Mm;
  readonly hubIn: Mm;
  readonly splineTop: Mm;
  readonly stack: Mm;
  /** Thickness of the pressure plate at its rim. */
  readonly plate: Mm;
  readonly boss: Mm;
  readonly shaft: Mm;
  readonly rod: Mm;
  readonly assumed: {
    readonly radii: boolean;
    readonly fingers: boolean;
    readonly spline: boolean;
  };
}

export const heightOf = (l: PackLayer): Mm => l.thickness ?? PLACEHOLDER;

/**
 * @param stack height of the closed pack as it is drawn
 * @param room for lift, which fingers and spline reach over where their length is assumed
 */
export function measuresOf(
  { job, evaluation: { layout } }: Subject,
  stack: Mm,
  room: Mm,
): Measures {
  const { layers } = layout;
  const { pack, inspection } = job;
  const lined = layers.filter((l) => l.lined !== 'none');
  const outers = lined.flatMap((l) => l.outerRadius ?? []);
  const liningOut = outers.length > 0 ? Math.max(...outers) : OUTER;
  const inners = lined.flatMap((l) => l.innerRadius ?? []);
  const liningIn = Math.min(
    inners.length > 0 ? Math.min(...inners) : Infinity,
    liningOut - (inners.length > 0 ? 2 : LINING_WIDTH),
  );
  const tangs = (member: 'basket' | 'hub') =>
    layers.flatMap((l) => (l.turnsWith === member ? (l.kind.tangRadius?.value ?? []) : []));
  const k = liningOut / USUAL;
  const tangTip = Math.max(liningOut + 1.5 * k, Math.max(0, ...tangs('basket')) + 1.5 * k);
  const steelTang = Math.min(liningIn - 1.5 * k, ...tangs('hub'));
  const steelIn = Math.max(steelTang - 1.5 * k, 24 * k);
  return {
    layout,
    k,
    liningOut,
    liningIn,
    tangTip: tangTip + (tangs('basket').length > 0 ? 0 : 2 * k),
    fingerIn: liningOut + 1,
    fingerOut: tangTip + 5 * k,
    fingerTop: pack.fingerLength?.value ?? Math.max(stack, 10) + 3 + room,
    splineOut: Math.min(steelTang + k, liningIn - 0.4),
    steelIn,
    hubIn: steelIn - 4 * k,
    splineTop: pack.splineLength?.value ?? Math.max(stack, 10) + 2 + room,
    stack,
    plate: inspection.pressurePlateThickness?.value ?? PRESSURE_PLATE,
    boss: 17 * k,
    shaft: 11 * k,
    rod: 4 * k,
    assumed: {
      radii: outers.length === 0 || inners.length === 0,
      fingers: pack.fingerLength === undefined,
      spline: pack.splineLength === undefined,
    },
  };
}
