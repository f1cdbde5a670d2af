import { fieldPath } from '@/core/job/fieldPath';
import type { Job } from '@/core/job/types';
import { discsGrew, meterRanBack } from '@/core/life/visits';
import { misplacedJudder } from './conditionVerdicts';
import type { PackLayout } from '@/core/evaluate/engine/layers';
import { between, plateAt } from '@/core/evaluate/engine/layers';
import type { Problem } from '@/core/evaluate/engine/problem';
import { reversed } from '@/core/evaluate/engine/problem';
import { count, length, say, times, torque } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import { bothTorques, isUnusual, torqueOff, usualTorque } from '@/core/worksheet/fasteners';
import { RETAINED_SHARE, retainedShare } from '@/core/release/retention';
import { OIL_FIELDS } from '@/core/job/specs/oil';
import { unusualEntries } from './unusual';
import { fittedKinds } from '@/core/clutch/fitted';

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
        sentence: say`The minimum thickness can’t exceed that of a new plate, ${length(thickness.value)}.`,
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
        sentence: say`Friction should rise from low over typical to high; the lowest and the highest are used as the range.`,
      });
    }
  }
  if (job.oil) problems.push(...unusualEntries(sheet, OIL_FIELDS));
  for (const f of job.build.fasteners) {
    const off = f.torque && f.applied && torqueOff(f.torque, f.applied.value);
    if (off)
      problems.push({
        path: fieldPath('build.fasteners.*.applied', f.id),
        state: 'watch',
        sentence: say`${off === 'below' ? 'Below' : 'Above'} its torque of ${bothTorques(f.torque ?? { value: 0 })}.`,
      });
    for (const leaf of ['torque', 'applied'] as const) {
      const given = f[leaf];
      if (!given || !f.size || !isUnusual(given.value, f.size.value)) continue;
      problems.push({
        path: fieldPath(`build.fasteners.*.${leaf}`, f.id),
        state: 'watch',
        sentence: say`Unusual for this thread, about ${torque(usualTorque(f.size.value))}: another unit? The manual’s value counts.`,
      });
    }
  }
  for (const layer of misplacedJudder(layout)) {
    problems.push({
      path: fieldPath('pack.kinds.*.innerRadius', layer.kind.id),
      plateId: layer.plate.id,
      state: 'stop',
      sentence: say`No room for a judder spring: its disc needs a larger bore than the others.`,
    });
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
    ...disengagedPlates(layout, sheet),
    ...inWrongSlot(layout),
    ...wrongDirection(layout),
    ...fittedKinds(job).flatMap((kind) => kind.problems?.(sheet) ?? []),
    ...reversedLimits(job),
    ...implausible(job, layout),
    ...meterRanBack(job),
    ...discsGrew(job),
  ];
}

/** Plates off the hub's spline or the basket's fingers at full lift, one problem each. */
function disengagedPlates(layout: PackLayout, sheet: Sheet): Problem[] {
  const lift = Math.max(0, sheet.known('liftHad')?.value ?? 0);
  return layout.layers.flatMap((layer): Problem[] => {
    const { bottom, thickness: t } = layer;
    const onHub = layer.turnsWith === 'hub';
    const path = onHub ? 'pack.splineLength' : 'pack.fingerLength';
    const room = sheet.entry(path);
    if (!room.known || bottom === undefined || t === undefined) return [];
    const share = retainedShare(room.value, bottom, lift, t);
    if (share >= RETAINED_SHARE) return [];
    const name = onHub ? 'spline' : 'basket’s fingers';
    const held = room.value - bottom - lift;
    return [
      {
        path,
        plateId: layer.plate.id,
        state: held <= 0 ? 'stop' : 'watch',
        sentence:
          held <= 0
            ? say`At full lift this plate is off the ${name} by ${length(-held)}.`
            : say`At full lift only ${length(held)} of its ${length(t)} stays on the ${name}.`,
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
function wrongDirection(layout: PackLayout): Problem[] {
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
        sentence: say`This type is directional, and its plates below face the other way.`,
      },
    ];
  });
}

/** Reversed limits of the pack and of its settings. */
const reversedLimits = ({ pack, setting, inspection }: Job): readonly Problem[] => [
  ...reversed('pack.windowMax', pack.windowMin, pack.windowMax),
  ...reversed('setting.freePlayMax', setting.freePlayMin, setting.freePlayMax),
  ...reversed('setting.chainSlackMax', setting.chainSlackMin, setting.chainSlackMax),
  ...reversed(
    'inspection.tangClearanceMax',
    inspection.tangClearanceMin,
    inspection.tangClearanceMax,
  ),
];

/** Implausible entries: questioned, or stopped where no figure from them can be true. */
function implausible(job: Job, layout: PackLayout): Problem[] {
  const { engine } = job;
  const problems: Problem[] = [];
  const ratio = engine.primaryRatio?.value;
  if (ratio !== undefined && ratio < 1)
    problems.push({
      path: 'engine.primaryRatio',
      state: 'watch',
      sentence: say`With ${times(ratio)} the clutch turns faster than the engine. Did you mean ${times(1 / ratio)}, basket teeth ÷ crank teeth?`,
    });
  return [...problems, ...tangsInsideLining(layout), ...discsAlone(layout)];
}

/** Tangs of a disc lie outside its lining, those of a steel inside the linings that it rubs on. */
function tangsInsideLining({ layers }: PackLayout): Problem[] {
  const outer = Math.max(...layers.map((l) => (l.lined === 'none' ? 0 : (l.outerRadius ?? 0))));
  const inner = Math.min(
    ...layers.map((l) => (l.lined === 'none' ? Infinity : (l.innerRadius ?? Infinity))),
  );
  return [...new Set(layers.map((l) => l.kind))].flatMap((kind): Problem[] => {
    const tang = kind.tangRadius?.value;
    if (tang === undefined) return [];
    const ofBasket = kind.turnsWith === 'basket';
    const edge = ofBasket ? (kind.outerRadius?.value ?? outer) : inner;
    if (!Number.isFinite(edge) || edge === 0 || (ofBasket ? tang >= edge : tang <= edge)) return [];
    return [
      {
        path: fieldPath('pack.kinds.*.tangRadius', kind.id),
        state: 'stop',
        sentence: ofBasket
          ? say`The tangs reach into the basket, so their diameter must be at least that of the lining, ${length(2 * edge)}.`
          : say`The tangs reach into the hub, so their diameter must be at most the inner diameter of the lining, ${length(2 * edge)}.`,
      },
    ];
  });
}

/** Discs turn together: without steels only the outermost faces transmit torque. */
function discsAlone({ layers, slipping }: PackLayout): Problem[] {
  const second = layers[1];
  if (!second || layers.some((l) => l.lined === 'none')) return [];
  return [
    {
      path: 'pack.plates',
      plateId: second.plate.id,
      state: 'watch',
      sentence: say`This pack has no steels: its ${count(layers.length)} discs turn together and only ${count(slipping.length)} faces transmit torque. Add the steels.`,
    },
  ];
}
