import type { FieldPath } from '../job/fields';
import { fieldPath } from '../job/fields';
import type { Job } from '../job/types';
import { judderWithoutRoom } from './conditionVerdicts';
import type { State } from './figure';
import type { PackLayout } from './layers';
import { between, plateAt } from './layers';
import type { Sentence } from './sentence';
import { length, say } from './sentence';

/** Something wrong with one entry or one layer, to be shown where it is. */
export interface Problem {
  readonly path: FieldPath;
  /** The plate that shows it in the section. */
  readonly plateId?: string;
  readonly state: State;
  readonly sentence: Sentence;
}

/** Entries that contradict each other, and layers that must not lie as they do. */
export function findProblems(job: Job, layout: PackLayout): Problem[] {
  const problems: Problem[] = [];
  for (const kind of job.pack.kinds) {
    const { outerRadius: ro, innerRadius: ri, minThickness: least, thickness } = kind;
    if (ro && ri && ri.value >= ro.value) {
      problems.push({
        path: fieldPath('pack.kinds.*.innerRadius', kind.id),
        state: 'stop',
        sentence: say`The inner radius must be less than the outer, ${length(ro.value)}.`,
      });
    }
    if (least && thickness && least.value > thickness.value) {
      problems.push({
        path: fieldPath('pack.kinds.*.minThickness', kind.id),
        state: 'stop',
        sentence: say`The least thickness can’t exceed that of a new plate, ${length(thickness.value)}.`,
      });
    }
    const { frictionLow: lo, frictionTypical: mid, frictionHigh: hi } = kind;
    if (
      (lo && mid && lo.value > mid.value) ||
      (mid && hi && mid.value > hi.value) ||
      (lo && hi && lo.value > hi.value)
    ) {
      problems.push({
        path: fieldPath('pack.kinds.*.frictionTypical', kind.id),
        state: 'watch',
        sentence: say`Friction should rise from low over typical to high; the least and the greatest of the three are used as the range.`,
      });
    }
  }
  for (const layer of judderWithoutRoom(layout)) {
    problems.push({
      path: fieldPath('pack.kinds.*.innerRadius', layer.kind.id),
      plateId: layer.plate.id,
      state: 'stop',
      sentence: say`No room here for a judder spring: its disc needs a larger bore than the others.`,
    });
  }
  const { windowMin: min, windowMax: max } = job.pack;
  if (min && max && min.value > max.value) {
    problems.push({
      path: 'pack.windowMax',
      state: 'stop',
      sentence: say`The greatest stack must not be less than the least, ${length(min.value)}.`,
    });
  }
  for (const group of job.springs.coil.groups) {
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
        sentence: say`There can’t be more active coils than coils in all, ${{ value: nt.value, quantity: 'ratio', decimals: 1 }}.`,
      });
    }
    if (L0 && Lc && Lc.value >= L0.value) {
      problems.push({
        path: fieldPath('springs.coil.groups.*.solidLength', group.id),
        state: 'stop',
        sentence: say`The solid length must be less than the free length, ${length(L0.value)}.`,
      });
    }
  }
  for (const face of layout.faces) {
    if (face.kind !== 'metal') continue;
    for (const index of [face.below, face.above]) {
      const layer = plateAt(layout, index);
      if (layer) {
        problems.push({
          path: 'pack.plates',
          plateId: layer.plate.id,
          state: 'stop',
          sentence: say`${between(layout, face.below, face.above)} slip without lining between them.`,
        });
      }
    }
  }
  return problems;
}
