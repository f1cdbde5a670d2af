import type { FieldPath } from '../job/fields';
import { fieldPath } from '../job/fields';
import { DomainError } from '../errors';
import type { Entry, Job } from '../job/types';
import { discsGrew, meterRanBack } from '../life/returns';
import { judderWithoutRoom } from './conditionVerdicts';
import type { PackLayout } from './layers';
import { between, plateAt } from './layers';
import type { Problem } from './problem';
import { count, length, say, times, torque } from './sentence';
import type { Sheet } from './sheet';
import { isUnusual, usualTorque } from '../worksheet/fasteners';
import { RETAINED_SHARE, retainedShare } from '../release/retention';
import type { Mm } from '../units/quantity';
import { diaphragmTurns } from './diaphragmFigures';
import { looseGroups, springForceAt } from './springFigures';

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
    ...offTheirHold(layout, sheet),
    ...inWrongSlot(layout),
    ...turnedAgainst(layout),
    ...springsOutOfReach(job, sheet),
    ...reversedLimits(job),
    ...implausible(job, layout),
    ...meterRanBack(job),
    ...discsGrew(job),
  ];
}

/** Plates that lose their hold in the hub's spline or the basket's fingers at full lift, each by itself. */
function offTheirHold(layout: PackLayout, sheet: Sheet): Problem[] {
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

/** Springs that touch, stand loose, turn through, or contradict the ring they stand in. */
function springsOutOfReach(job: Job, sheet: Sheet): Problem[] {
  return job.springs.type === 'diaphragm'
    ? diaphragmAtItsEnd(job, sheet)
    : coilsAtTheirEnd(job, sheet);
}

function coilsAtTheirEnd(job: Job, sheet: Sheet): Problem[] {
  const { groups, ring } = job.springs.coil;
  const problems: Problem[] = looseGroups(sheet).map(({ id, by }) => ({
    path: fieldPath('springs.coil.groups.*.freeLength', id),
    state: 'stop',
    sentence: say`These springs stand loose in their seats: in place they are ${length(by)} longer than free.`,
  }));
  const room = sheet.known('coilClearance')?.value;
  if (room !== undefined && room < 0)
    problems.push({
      path: 'springs.coil.groups',
      state: 'stop',
      sentence: say`The coils touch ${length(-room)} before full lift.`,
    });
  if (ring.length > 0)
    for (const { id, name, count: given } of groups) {
      const placed = ring.filter((groupId) => groupId === id).length;
      if (given && given.value !== placed)
        problems.push({
          path: fieldPath('springs.coil.groups.*.count', id),
          state: 'stop',
          sentence: say`The ring holds ${count(placed)} of ${name || 'this kind'}, and ${count(given.value)} are entered. Enter the count that is fitted, or place them all on the ring.`,
        });
    }
  return problems;
}

/** A diaphragm pressed beyond what its cone takes, or whose force turns round on the way to full lift. */
function diaphragmAtItsEnd(job: Job, sheet: Sheet): Problem[] {
  const path = 'springs.diaphragm.referenceDeflection';
  const deflection = sheet.known('deflection')?.value;
  if (deflection === undefined) return [];
  const reached = deflection + (sheet.known('liftHad')?.value ?? 0);
  const { measuredCone, coneHeight, forceFrom } = job.springs.diaphragm;
  const problems: Problem[] = [];
  if (measuredCone && coneHeight && measuredCone.value > coneHeight.value)
    problems.push({
      path: 'springs.diaphragm.measuredCone',
      state: 'watch',
      sentence: say`No spring gains cone, and this is taller than new by ${length(measuredCone.value - coneHeight.value)}: one of the two is wrong.`,
    });
  const cone = measuredCone ?? coneHeight;
  if (forceFrom === 'geometry' && cone && reached > 2 * cone.value)
    return [
      ...problems,
      {
        path,
        state: 'stop',
        sentence: say`At full lift the diaphragm is pressed ${length(reached)}, more than its cone of ${length(cone.value)} can take (${length(2 * cone.value)}): it would snap through or crack.`,
      },
    ];
  const turns = turnsThrough(sheet, deflection, reached);
  if (turns !== undefined)
    problems.push({
      path,
      state: 'stop',
      sentence: say`The diaphragm turns through: at a deflection of ${length(turns)}, on the way to full lift, it no longer presses back.`,
    });
  return problems;
}

/** Deflection from rest to full lift at which the spring does not press back, mm. */
function turnsThrough(sheet: Sheet, from: Mm, to: Mm): Mm | undefined {
  const force = springForceAt(sheet);
  const stack = sheet.known('stack')?.value;
  if (!force || stack === undefined || from <= 0) return undefined;
  // Between its ends a curve is least where it turns.
  const turning = diaphragmTurns(sheet).filter((s) => s > from && s < to);
  return [from, ...turning, to].find((s) => {
    try {
      return force(stack, s - from) <= 0;
    } catch (error) {
      if (error instanceof DomainError) return false;
      throw error;
    }
  });
}

/** Limits whose least is above their greatest. */
function reversedLimits(job: Job): Problem[] {
  const { pack, setting, springs, inspection } = job;
  const pairs: readonly (readonly [FieldPath, Entry | undefined, Entry | undefined])[] = [
    ['pack.windowMax', pack.windowMin, pack.windowMax],
    ['setting.gapMax', setting.gapMin, setting.gapMax],
    ['setting.freePlayMax', setting.freePlayMin, setting.freePlayMax],
    ['setting.chainSlackMax', setting.chainSlackMin, setting.chainSlackMax],
    ['springs.loose.gapMax', springs.loose.gapMin, springs.loose.gapMax],
    ['inspection.tangClearanceMax', inspection.tangClearanceMin, inspection.tangClearanceMax],
    ...springs.diaphragm.steps.map(
      (s) => [fieldPath('springs.diaphragm.steps.*.bandMax', s.id), s.bandMin, s.bandMax] as const,
    ),
  ];
  return pairs.flatMap(([path, min, max]): Problem[] =>
    min && max && min.value > max.value
      ? [
          {
            path,
            state: 'stop',
            sentence: say`The limits are reversed: the greatest must not be less than the least, ${length(min.value)}.`,
          },
        ]
      : [],
  );
}

/** Entries that a machine can hardly have: asked about, or stopped where no figure from them can be true. */
function implausible(job: Job, layout: PackLayout): Problem[] {
  const { engine, startClutch, assist } = job;
  const problems: Problem[] = [];
  const ratio = engine.primaryRatio?.value;
  if (ratio !== undefined && ratio < 1)
    problems.push({
      path: 'engine.primaryRatio',
      state: 'watch',
      sentence: say`With ${times(ratio)} the clutch turns faster than the engine. Was ${times(1 / ratio)} meant, basket teeth ÷ crank teeth?`,
    });
  const { radius, drumRadius, place } = startClutch;
  if (place !== 'none' && radius && drumRadius && drumRadius.value <= radius.value)
    problems.push({
      path: 'startClutch.drumRadius',
      state: 'stop',
      sentence: say`A shoe’s centre of mass, at a radius of ${length(radius.value)}, must lie inside the drum.`,
    });
  const angle = assist.rampAngle?.value;
  if (assist.type === 'balls' && angle !== undefined && (angle < RAMP.least || angle > RAMP.most))
    problems.push({
      path: 'assist.rampAngle',
      state: 'stop',
      sentence: say`A ramp from the plane of the plate has ${degrees(RAMP.least)} to ${degrees(RAMP.most)}; balls on one of ${degrees(angle)} would not roll or not press.`,
    });
  return [...problems, ...tangsInsideLining(layout), ...discsAlone(layout)];
}

/** What ramps for balls are made with, degrees. Design estimate. */
const RAMP = { least: 5, most: 80 } as const;
const degrees = (value: number) => ({ value, quantity: 'angle' }) as const;

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
          ? say`The tangs reach into the basket, so their diameter can’t be less than that of the lining, ${length(2 * edge)}.`
          : say`The tangs reach into the hub, so their diameter can’t be more than the inner one of the lining, ${length(2 * edge)}.`,
      },
    ];
  });
}

/** Discs turn together: without steels between them only the outermost faces hold. */
function discsAlone({ layers, slipping }: PackLayout): Problem[] {
  const second = layers[1];
  if (!second || layers.some((l) => l.lined === 'none')) return [];
  return [
    {
      path: 'pack.plates',
      plateId: second.plate.id,
      state: 'watch',
      sentence: say`There is no steel in this pack: its ${count(layers.length)} discs turn together and only ${count(slipping.length)} faces hold. Add the steels.`,
    },
  ];
}
