import { attempt } from '../../errors';
import { workOut } from '../../evaluate/evaluate';
import type { PackModel } from '../../evaluate/states';
import { packModel } from '../../evaluate/states';
import type { Job, StepMeasure } from '../../job/types';
import type { Sentence } from '../../text/sentence';
import { length, say } from '../../text/sentence';
import type { Mm, Newton } from '../../units/quantity';
import type { StepSelection } from './selection';
import { selectStep } from './selection';
import { bandsOf, onStep } from './steps';

/* The answer to "which step?", by the leaflet's own measure. */

const MEASURE_NAME: Readonly<Record<StepMeasure, string>> = {
  sum: 'sum of the plates',
  caliper: 'caliper',
};

/** Clamp and maximum lever pull on one step, new and worn to the first limit. */
export interface StepFigures {
  readonly id: string;
  readonly name: string;
  readonly inUse: boolean;
  readonly clamp?: Newton;
  readonly clampWorn?: Newton;
  readonly pull?: Newton;
  readonly pullWorn?: Newton;
}

export interface StepAnswer {
  readonly selection?: StepSelection;
  /** The whole answer in one line. */
  readonly sentence: Sentence;
  /** Sum and caliper disagree on the step. */
  readonly warning?: Sentence;
  /** The measure by which the leaflet selects; absent while it has no bands. */
  readonly by?: StepMeasure;
  /** The step answered, or the one in use, and its neighbours. */
  readonly steps: readonly StepFigures[];
  /** Wear of the worn figures. */
  readonly worn?: Mm;
}

const LIFT_SAMPLES = 21;

/**
 * The step that the leaflet selects, its margin, and what its neighbours would change; undefined without retainer steps.
 * Source: `docs/mechanics.md` sections 1 and 5. Never throws for a job that passes the schema.
 * @example whichStep(quad).selection.steps // ["two"]
 */
export function whichStep(job: Job): StepAnswer | undefined {
  const { steps, stepId, stepBy = 'sum' } = job.springs.diaphragm;
  if (job.springs.type !== 'diaphragm' || steps.length === 0) return undefined;
  const { sheet } = workOut(job);
  const selection = selectStep(sheet);
  const nameOf = (id: string) => steps.find((s) => s.id === id)?.name || 'unnamed';
  const names = (ids: readonly string[]) => ids.map(nameOf).join(' or ');
  // On an edge both steps are right: the one in use stays in the middle.
  const right = selection?.steps.find((id) => id === stepId) ?? selection?.steps[0] ?? stepId;
  const middle = steps.findIndex((s) => s.id === right);
  const shown = steps.slice(Math.max(0, middle - 1), Math.max(0, middle) + 2);
  const worn = packModel(job)
    .wearReserve()
    .find((l) => l.kind !== 'stackLimits')?.wear;
  const base = {
    steps: shown.map((step) => stepFigures(job, step.id, nameOf(step.id), worn)),
    ...(worn === undefined ? {} : { worn }),
  };
  if (!selection)
    return bandsOf(job).length === 0
      ? { ...base, sentence: ['Enter the bands of the leaflet to select the step.'] }
      : {
          ...base,
          by: stepBy,
          sentence: [
            stepBy === 'sum'
              ? 'The step goes by the sum of the plates: a thickness is missing.'
              : 'The step goes by the caliper: enter the stack by caliper.',
          ],
        };
  const { by, measured, steps: found, margin, other, disagrees } = selection;
  const sentence =
    found.length === 0
      ? say`No step covers ${length(measured)} by ${MEASURE_NAME[by]}.`
      : found.length > 1
        ? say`Step ${names(found)}: ${length(measured)} by ${MEASURE_NAME[by]} is exactly on the edge.`
        : margin === undefined
          ? say`Step ${names(found)}: ${length(measured)} by ${MEASURE_NAME[by]}.`
          : say`Step ${names(found)}: ${length(measured)} by ${MEASURE_NAME[by]}, ${length(margin)} from the edge of its band.`;
  return {
    ...base,
    by,
    selection,
    sentence,
    ...(disagrees && other
      ? {
          warning: say`By ${MEASURE_NAME[other.by]} (${length(other.measured)}) it would be ${other.steps.length > 0 ? `step ${names(other.steps)}` : 'no step at all'}: measure both again. The leaflet goes by ${MEASURE_NAME[by]}.`,
        }
      : {}),
  };
}

function stepFigures(job: Job, id: string, name: string, worn: Mm | undefined): StepFigures {
  const variant = onStep(job, id);
  const model = packModel(variant);
  const lift = workOut(variant).sheet.known('liftHad')?.value ?? 0;
  const figuresAt = (wear: Mm) => ({
    clamp: attempt(() => model.at({ wear }))?.clamp,
    pull: maxPull(model, wear, lift),
  });
  const now = figuresAt(0);
  const then = worn === undefined ? undefined : figuresAt(worn);
  return {
    id,
    name,
    inUse: id === job.springs.diaphragm.stepId,
    ...(now.clamp === undefined ? {} : { clamp: now.clamp }),
    ...(then?.clamp === undefined ? {} : { clampWorn: then.clamp }),
    ...(now.pull === undefined ? {} : { pull: now.pull }),
    ...(then?.pull === undefined ? {} : { pullWorn: then.pull }),
  };
}

/**
 * The maximum pull at the lever between rest and full lift; undefined while spring or train are not known.
 * Source: `docs/mechanics.md` section 7. Never throws.
 * @example maxPull(model, 0, 2) // — the pull at the lever, N
 */
export function maxPull(model: PackModel, wear: Mm, lift: Mm): Newton | undefined {
  let most: Newton | undefined;
  for (let i = 0; i < LIFT_SAMPLES; i++) {
    const at = attempt(() => model.at({ wear, lift: (lift * i) / (LIFT_SAMPLES - 1) }));
    if (at?.leverPull !== undefined) most = Math.max(most ?? 0, at.leverPull);
  }
  return most;
}
