import type { Sheet } from '../../evaluate/engine/sheet';
import type { StepMeasure } from '../../job/types';
import { bandsAt } from '../../pack/bands';
import type { Mm } from '../../units/quantity';
import { bandsOf } from './steps';

/** The measure that selects the step, with the steps that it and the other measure point to. */
export interface StepSelection {
  readonly by: StepMeasure;
  readonly measured: Mm;
  /** Identifiers; two on a shared edge, none outside all bands. */
  readonly steps: readonly string[];
  /** To the nearest edge with another step or with nothing; absent for a band without edges there. */
  readonly margin?: Mm;
  /** What the other measure gives, where it is known. */
  readonly other?: {
    readonly by: StepMeasure;
    readonly measured: Mm;
    readonly steps: readonly string[];
  };
  /** Both measures are known and do not agree on the step. */
  readonly disagrees: boolean;
}

/**
 * The step by the leaflet's own measure; undefined without bands, or while that measure is not known.
 * Source: `docs/mechanics.md` section 1. Never throws.
 * @example selectStep(workOut(quad).sheet).steps // ["two"]
 */
export function selectStep(sheet: Sheet): StepSelection | undefined {
  const { pack, springs } = sheet.job;
  const bands = bandsOf(sheet.job);
  const by = springs.diaphragm.stepBy ?? 'sum';
  const known = { sum: sheet.known('stack')?.value, caliper: pack.caliper?.value };
  const measured = known[by];
  if (measured === undefined || bands.length === 0) return undefined;
  const stepsAt = (height: Mm) => bandsAt(height, bands).map((b) => b.step);
  const steps = stepsAt(measured);
  const edges = bands
    .filter((b) => steps.includes(b.step))
    .flatMap((b) => [b.min, b.max].filter((edge) => edge > 0 && Number.isFinite(edge)))
    .map((edge) => Math.abs(edge - measured));
  const otherBy = by === 'sum' ? 'caliper' : 'sum';
  const second = known[otherBy];
  const other =
    second === undefined
      ? undefined
      : ({ by: otherBy, measured: second, steps: stepsAt(second) } as const);
  return {
    by,
    measured,
    steps,
    ...(edges.length > 0 ? { margin: Math.min(...edges) } : {}),
    ...(other ? { other } : {}),
    disagrees: other !== undefined && !other.steps.some((s) => steps.includes(s)),
  };
}
