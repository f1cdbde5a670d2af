import type { FieldPath } from '../job/fields';
import { fieldPath } from '../job/fields';
import type { Job } from '../job/types';
import { discsGrew, meterRanBack } from '../life/returns';
import { judderWithoutRoom } from './conditionVerdicts';
import type { State } from './figure';
import type { PackLayout } from './layers';
import { between, plateAt } from './layers';
import type { Sentence } from './sentence';
import { length, say, torque } from './sentence';
import type { Sheet } from './sheet';
import { isUnusual, usualTorque } from '../worksheet/fasteners';
import { RETAINED_SHARE, retainedShare } from '../release/retention';

/** Something wrong with one entry or one layer, to be shown where it is. */
export interface Problem {
  readonly path: FieldPath;
  /** The plate that shows it in the section. */
  readonly plateId?: string;
  readonly state: State;
  readonly sentence: Sentence;
}

/**
 * Entries that contradict each other, and layers that must not lie as they do.
 * @example findProblems(job, layout, sheet).length // 0
 */
export function findProblems(job: Job, layout: PackLayout, sheet: Sheet): Problem[] {
  const problems: Problem[] = [];
  for (const kind of job.pack.kinds) {
    const { outerRadius: ro, innerRadius: ri, minThickness: least, thickness } = kind;
    if (ro && ri && ri.value >= ro.value) {
      problems.push({
        path: fieldPath('pack.kinds.*.innerRadius', kind.id),
        state: 'stop',
        sentence: say`The inner diameter must be less than the outer, ${length(2 * ro.value)}.`,
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
  for (const f of job.build.fasteners) {
    for (const leaf of ['torque', 'applied'] as const) {
      const given = f[leaf];
      if (!given || !f.size || !isUnusual(given.value, f.size.value)) continue;
      problems.push({
        path: fieldPath(`build.fasteners.*.${leaf}`, f.id),
        state: 'watch',
        sentence: say`Far from usual for this thread, about ${torque(usualTorque(f.size.value))}: was it meant in another unit? The manual’s figure counts.`,
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
  return [
    ...problems,
    ...offTheSpline(layout, sheet),
    ...inWrongSlot(layout),
    ...turnedAgainst(layout),
    ...springsAtTheirEnd(job, sheet),
    ...meterRanBack(job),
    ...discsGrew(job),
  ];
}

/** Plates on the hub that lose their spline at full lift, each by itself. */
function offTheSpline(layout: PackLayout, sheet: Sheet): Problem[] {
  const spline = sheet.entry('pack.splineLength');
  if (!spline.known) return [];
  const lift = Math.max(0, sheet.known('liftHad')?.value ?? 0);
  return layout.layers.flatMap((layer): Problem[] => {
    const { bottom, thickness: t } = layer;
    if (layer.turnsWith !== 'hub' || bottom === undefined || t === undefined) return [];
    const share = retainedShare(spline.value, bottom, lift, t);
    if (share >= RETAINED_SHARE) return [];
    return [
      {
        path: 'pack.splineLength',
        plateId: layer.plate.id,
        state: share <= 0 ? 'stop' : 'watch',
        sentence:
          share <= 0
            ? say`At full lift this plate is off the spline by ${length(-share * t)}.`
            : say`At full lift only ${length(share * t)} of its ${length(t)} stays on the spline.`,
      },
    ];
  });
}

/** A disc in the basket's offset slots that is not the outermost one can't go home in them. */
function inWrongSlot(layout: PackLayout): Problem[] {
  const outermost = layout.layers.findLast((l) => l.turnsWith === 'basket');
  return layout.layers
    .filter((l) => l.plate.offsetSlot && l !== outermost)
    .map((l) => ({
      path: 'pack.plates',
      plateId: l.plate.id,
      state: 'stop',
      sentence: say`Only the outermost disc goes into the basket’s offset slots.`,
    }));
}

/** Directional plates of one kind that do not look the same way. */
function turnedAgainst(layout: PackLayout): Problem[] {
  const way = new Map<string, string>();
  return layout.layers.flatMap(({ plate, kind }): Problem[] => {
    if (!kind.directional || !plate.facing) return [];
    const first = way.get(kind.id);
    if (first === undefined) way.set(kind.id, plate.facing);
    if (first === undefined || first === plate.facing) return [];
    return [
      {
        path: 'pack.plates',
        plateId: plate.id,
        state: 'watch',
        sentence: say`This kind is directional, and the plates of it below look the other way.`,
      },
    ];
  });
}

/** Coils that touch before full lift, and a diaphragm pressed beyond what its shape or its points allow. */
function springsAtTheirEnd(job: Job, sheet: Sheet): Problem[] {
  if (job.springs.type !== 'diaphragm') {
    const room = sheet.known('coilClearance')?.value;
    return room !== undefined && room < 0
      ? [
          {
            path: 'springs.coil.groups',
            state: 'stop',
            sentence: say`The coils touch ${length(-room)} before full lift.`,
          },
        ]
      : [];
  }
  const cone = sheet.entry('springs.diaphragm.measuredCone');
  const free = cone.known ? cone : sheet.entry('springs.diaphragm.coneHeight');
  const deflection = sheet.known('deflection')?.value;
  if (job.springs.diaphragm.forceFrom !== 'geometry' || !free.known || deflection === undefined)
    return [];
  const most = 2 * free.value;
  const reached = deflection + (sheet.known('liftHad')?.value ?? 0);
  return reached <= most
    ? []
    : [
        {
          path: 'springs.diaphragm.referenceDeflection',
          state: 'stop',
          sentence: say`At full lift the diaphragm is pressed ${length(reached)}, beyond flat by more than its cone of ${length(free.value)}: it would snap through or crack.`,
        },
      ];
}
