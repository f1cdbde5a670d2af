import { DomainError } from '../../errors';
import type { Problem } from '../../evaluate/engine/problem';
import { reversed } from '../../evaluate/engine/problem';
import type { Sheet } from '../../evaluate/engine/sheet';
import { springForceAt } from '../../evaluate/engine/springs';
import { fieldPath } from '../../job/fieldPath';
import { length, say } from '../../text/sentence';
import type { Mm } from '../../units/quantity';

/**
 * A diaphragm with too much deflection, an impossible cone, and reversed step bands.
 * @example diaphragmProblems(workOut(quad).sheet).length // 0
 */
export const diaphragmProblems = (sheet: Sheet): readonly Problem[] => [
  ...overDeflected(sheet),
  ...sheet.job.springs.diaphragm.steps.flatMap(({ id, bandMin, bandMax }) =>
    reversed(fieldPath('springs.diaphragm.steps.*.bandMax', id), bandMin, bandMax),
  ),
];

/** A diaphragm deflected beyond its cone, or whose force reverses before full lift. */
function overDeflected(sheet: Sheet): Problem[] {
  const path = 'springs.diaphragm.referenceDeflection';
  const deflection = sheet.known('deflection')?.value;
  if (deflection === undefined) return [];
  const reached = deflection + (sheet.known('liftHad')?.value ?? 0);
  const { measuredCone, coneHeight, forceFrom } = sheet.job.springs.diaphragm;
  const problems: Problem[] = [];
  if (measuredCone && coneHeight && measuredCone.value > coneHeight.value)
    problems.push({
      path: 'springs.diaphragm.measuredCone',
      state: 'watch',
      sentence: say`A spring can’t gain cone height, but this is ${length(measuredCone.value - coneHeight.value)} taller than new: check both values.`,
    });
  const cone = measuredCone ?? coneHeight;
  if (forceFrom === 'geometry' && cone && reached > 2 * cone.value)
    return [
      ...problems,
      {
        path,
        state: 'stop',
        sentence: say`At full lift the diaphragm is deflected by ${length(reached)}, more than its cone of ${length(cone.value)} allows (${length(2 * cone.value)}): it would snap through or crack.`,
      },
    ];
  const turns = snapThroughAt(sheet, deflection, reached);
  if (turns !== undefined)
    problems.push({
      path,
      state: 'stop',
      sentence: say`The diaphragm snaps through: at ${length(turns)} of deflection, before full lift, its force drops to zero.`,
    });
  return problems;
}

/** Deflection from rest to full lift at which the spring does not press back, mm. */
function snapThroughAt(sheet: Sheet, from: Mm, to: Mm): Mm | undefined {
  const force = springForceAt(sheet);
  const stack = sheet.known('stack')?.value;
  if (!force || stack === undefined || from <= 0) return undefined;
  // Between its ends a curve is least where it turns.
  const turning = (sheet.springs.turns?.(sheet) ?? []).filter((s) => s > from && s < to);
  return [from, ...turning, to].find((s) => {
    try {
      return force(stack, s - from) <= 0;
    } catch (error) {
      if (error instanceof DomainError) return false;
      throw error;
    }
  });
}
