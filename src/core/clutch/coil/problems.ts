import type { Problem } from '../../evaluate/engine/problem';
import type { Sheet } from '../../evaluate/engine/sheet';
import { fieldPath } from '../../job/fieldPath';
import type { CoilGroup } from '../../job/types';
import { count, length, say } from '../../text/sentence';
import { looseGroups } from './figures';

/**
 * Coil springs with contradicting entries, coil bind, loose springs, or a number that differs from their ring.
 * @example coilProblems(sheet).length // 0
 */
export const coilProblems = (sheet: Sheet): readonly Problem[] => [
  ...sheet.job.springs.coil.groups.flatMap(contradictions),
  ...coilBindProblems(sheet),
];

function contradictions(group: CoilGroup): Problem[] {
  const problems: Problem[] = [];
  const {
    wireDiameter: d,
    meanDiameter: D,
    activeCoils: na,
    totalCoils: nt,
    freeLength: L0,
    solidLength: Lc,
  } = group;
  if (d && D && d.value >= D.value) {
    problems.push({
      path: fieldPath('springs.coil.groups.*.wireDiameter', group.id),
      state: 'stop',
      sentence: say`The wire must be thinner than the coil’s mean diameter, ${length(D.value)}.`,
    });
  }
  if (na && nt && na.value > nt.value) {
    problems.push({
      path: fieldPath('springs.coil.groups.*.activeCoils', group.id),
      state: 'stop',
      sentence: say`Active coils can’t exceed the total coils, ${{ value: nt.value, quantity: 'ratio', decimals: 1 }}.`,
    });
  }
  if (L0 && Lc && Lc.value >= L0.value) {
    problems.push({
      path: fieldPath('springs.coil.groups.*.solidLength', group.id),
      state: 'stop',
      sentence: say`The solid length must be less than the free length, ${length(L0.value)}.`,
    });
  }
  return problems;
}

function coilBindProblems(sheet: Sheet): Problem[] {
  const { groups, ring } = sheet.job.springs.coil;
  const problems: Problem[] = looseGroups(sheet).map(({ id, by }) => ({
    path: fieldPath('springs.coil.groups.*.freeLength', id),
    state: 'stop',
    sentence: say`These springs are loose in their seats: fitted length ${length(by)} longer than free.`,
  }));
  const room = sheet.known('coilClearance')?.value;
  if (room !== undefined && room < 0)
    problems.push({
      path: 'springs.coil.groups',
      state: 'stop',
      sentence: say`Coil bind ${length(-room)} before full lift.`,
    });
  if (ring.length > 0)
    for (const { id, name, count: given } of groups) {
      const placed = ring.filter((groupId) => groupId === id).length;
      if (given && given.value !== placed)
        problems.push({
          path: fieldPath('springs.coil.groups.*.count', id),
          state: 'stop',
          sentence: say`The ring has ${count(placed)} of ${name || 'this type'}, but ${count(given.value)} are entered. Enter the number fitted, or place them all on the ring.`,
        });
    }
  return problems;
}
