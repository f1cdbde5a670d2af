import type { Evaluation } from '../evaluate/evaluate';
import { attempt } from '../errors';
import { evaluate } from '../evaluate/evaluate';
import { packModel } from '../evaluate/states';
import type { FigureId } from '@/core/evaluate/engine/figure';
import type { Verdict } from '@/core/evaluate/engine/verdict';
import type { Job } from '../job/types';
import type { Quantity } from '../units/quantity';

/** Figures by which two packs are weighed against each other, in the order of a builder's questions. */
export const COMPARED = [
  'stack',
  'faces',
  'clamp',
  'clampWorn',
  'clampAtPeak',
  'reserveWithTangs',
  'overallRatio',
  'liftHad',
  'clearancePerFace',
  'leverPull',
  'leverGain',
  'coilClearance',
  'plateGap',
  'packMass',
  'packInertia',
  'startHeat',
  'steelRise',
] as const satisfies readonly (FigureId | 'clampWorn')[];
export type ComparedFigure = (typeof COMPARED)[number];

export interface Compared {
  readonly overall: Verdict;
  /** The figures that are known; a reserve counts at its weakest lining. */
  readonly values: Readonly<Partial<Record<ComparedFigure, number>>>;
  readonly labels: Readonly<Partial<Record<ComparedFigure, string>>>;
  readonly quantities: Readonly<Partial<Record<ComparedFigure, Quantity>>>;
  readonly decimals: Readonly<Partial<Record<ComparedFigure, number>>>;
}

/**
 * The figures used to compare packs.
 * @param evaluation of the job, where it is at hand
 * Never throws for a job that passes the schema. Source: {@link evaluate}.
 * @example figuresToCompare(job).values.stack // 34.2
 */
export function figuresToCompare(job: Job, evaluation: Evaluation = evaluate(job)): Compared {
  const values: Partial<Record<ComparedFigure, number>> = {};
  const labels: Partial<Record<ComparedFigure, string>> = {};
  const quantities: Partial<Record<ComparedFigure, Quantity>> = {};
  const decimals: Partial<Record<ComparedFigure, number>> = {};
  for (const id of COMPARED) {
    if (id === 'clampWorn') continue;
    const figure = evaluation.figures.get(id);
    if (figure?.status !== 'known') continue;
    values[id] = figure.range?.low ?? figure.value;
    labels[id] = id === 'reserveWithTangs' ? 'Torque reserve, worst case' : figure.label;
    quantities[id] = figure.quantity;
    if (figure.decimals !== undefined) decimals[id] = figure.decimals;
  }
  return { overall: evaluation.overall, values, labels, quantities, decimals };
}

/**
 * The figures used to compare packs, with the clamp that is left once the first limit of wear is reached.
 * Never throws for a job that passes the schema. Source: `docs/mechanics.md` section 12.
 * @example figuresOverLife(job).labels.clampWorn // "Clamp, worn to the limit"
 */
export function figuresOverLife(job: Job, evaluation: Evaluation = evaluate(job)): Compared {
  const now = figuresToCompare(job, evaluation);
  const model = packModel(job);
  const wear = model.wearReserve().find((l) => l.kind !== 'stackLimits')?.wear;
  const clamp = wear === undefined ? undefined : attempt(() => model.at({ wear }).clamp);
  return clamp === undefined
    ? now
    : {
        ...now,
        values: { ...now.values, clampWorn: clamp },
        labels: { ...now.labels, clampWorn: 'Clamp, worn to the limit' },
        quantities: { ...now.quantities, clampWorn: 'force' },
        decimals: { ...now.decimals, clampWorn: 0 },
      };
}
