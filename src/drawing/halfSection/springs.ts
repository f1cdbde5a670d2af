import { springsOf } from '@/core/clutch/fitted';
import type { CoilGroup } from '@/core/job/types';
import type { Mm } from '@/core/units/quantity';

import type { Measures, Subject } from './measures';
import { known } from './measures';
import type { Pen } from './shape';

/* Springs as they are: coils in their cups, a dished diaphragm under its retainer, coils between two plates. */

/** Of a spring that is not entered. */
const COIL = { mean: 14, wire: 2.4, coils: 7, length: 26 } as const;
const WASHER: Mm = 1.6;
const HEAD: Mm = 4.5;
const NUT: Mm = 5;
const RETAINER: Mm = 4;

/** The drawn springs: where they reach, the pressure plate's cup, and the measures to be written beside them. */
export interface SpringsDrawn {
  readonly top: Mm;
  readonly cup?: { readonly radius: Mm; readonly half: Mm; readonly floor: Mm };
  readonly sizes: readonly {
    readonly name: 'fitted' | 'gap';
    readonly radius: Mm;
    readonly low: Mm;
    readonly high: Mm;
    readonly value: Mm;
  }[];
  readonly note?: { readonly text: string; readonly radius: Mm; readonly height: Mm };
}

interface Rider {
  /** The rise of the pressure plate. */
  readonly plate: number;
}

export function drawSprings(pen: Pen, subject: Subject, m: Measures, rider: Rider): SpringsDrawn {
  if (subject.job.springs.undecided) return { top: m.stack + m.plate, sizes: [] };
  switch (subject.job.springs.type) {
    case 'coil':
      return coils(pen, subject, m, rider);
    case 'loose':
      return loose(pen, subject, m, rider);
    case 'diaphragm':
      return diaphragm(pen, subject, m, rider);
  }
}

const firstGroup = ({ job }: Subject): CoilGroup | undefined =>
  springsOf(job).ofGroups ? job.springs.coil.groups[0] : undefined;

/** Radius of the ring and of a spring, so that it is free inside the hub's wall. */
function ringOf(subject: Subject, m: Measures) {
  const group = firstGroup(subject);
  const mean = group?.meanDiameter?.value ?? COIL.mean * m.k;
  const wire = group?.wireDiameter?.value ?? COIL.wire * m.k;
  const half = (mean + wire) / 2 + 1;
  const radius =
    subject.job.springs.coil.ringRadius?.value ?? Math.max(m.boss + half, m.hubIn - half - 2);
  return { radius, mean, wire, half, coils: group?.totalCoils?.value ?? COIL.coils };
}

type Ring = ReturnType<typeof ringOf>;

/** A coil spring cut in half: the wire's sections at both sides, and the half turns behind. */
function coil(pen: Pen, ring: Ring, low: Mm, high: Mm, rides: number, faint: boolean): void {
  const { radius, mean, wire } = ring;
  const span = high - low;
  // The lower end moves with the plate, the upper one stays.
  const bend = (_: Mm, y: Mm) => (span > 0 ? Math.max(0, Math.min(1, (high - y) / span)) : 0);
  const turns = Math.max(2, Math.round(ring.coils));
  const pitch = (span - wire) / turns;
  const at = (i: number) => low + wire / 2 + pitch * i;
  const making = { rides, bend, faint };
  pen.paths(
    'wire',
    Array.from({ length: turns }, (_, i) => [
      [radius + mean / 2, at(i)] as const,
      [radius - mean / 2, at(i + 0.5)] as const,
    ]),
    { ...making, open: true },
  );
  for (let i = 0; i <= turns; i++) {
    pen.round('spring', [radius + mean / 2, at(i)], wire / 2, making);
    if (i < turns) pen.round('spring', [radius - mean / 2, at(i + 0.5)], wire / 2, making);
  }
}

/** Coils in the cups of the pressure plate, each held by a bolt on a post of the hub. */
function coils(pen: Pen, subject: Subject, m: Measures, { plate }: Rider): SpringsDrawn {
  const { coil: record } = subject.job.springs;
  const ring = ringOf(subject, m);
  const length = known(subject, 'installedLength');
  const floor = m.stack + (record.pressurePlate?.value ?? 0);
  const shim = record.shim?.value ?? 0;
  const low = floor + shim;
  const high = low + (length !== undefined && length > 0 ? length : COIL.length);
  const faint = length === undefined;
  const post = 3 * m.k;
  pen.box('hub', [ring.radius + post, ring.radius - post], [0, high], { faint });
  if (shim > 0)
    pen.box('bolt', [ring.radius + ring.half - 1, ring.radius - ring.half + 1], [floor, low], {
      rides: plate,
    });
  coil(pen, ring, low, high, plate, faint);
  pen.box('bolt', [ring.radius + ring.half, ring.radius - ring.half], [high, high + WASHER], {
    faint,
  });
  pen.box(
    'bolt',
    [ring.radius + post * 1.4, ring.radius - post * 1.4],
    [high + WASHER, high + WASHER + HEAD],
    {
      faint,
    },
  );
  return {
    top: high + WASHER + HEAD,
    cup: { radius: ring.radius, half: ring.half, floor },
    sizes:
      length === undefined
        ? []
        : [{ name: 'fitted', radius: ring.radius - ring.half - 3 * m.k, low, high, value: length }],
  };
}

/** Coils on pins between the pressure plate and an outer plate that nuts draw to a stop. */
function loose(pen: Pen, subject: Subject, m: Measures, { plate }: Rider): SpringsDrawn {
  const { loose: record } = subject.job.springs;
  const ring = ringOf(subject, m);
  const gap = known(subject, 'plateGap');
  const depth = record.pocketInner?.value ?? 0;
  const over = record.pocketOuter?.value ?? 0;
  const face = m.stack + m.plate;
  const outer = face + (gap !== undefined && gap > 0 ? gap : COIL.length / 2);
  const thick = over + 2.5;
  const faint = gap === undefined;
  const [low, high] = [face - depth, outer + over];
  const post = 2.6 * m.k;
  pen.box('hub', [ring.radius + post, ring.radius - post], [0, outer + thick + NUT + 2], { faint });
  const plates = pen.of('pressurePlate');
  plates.box('plate', [m.liningIn - 1, ring.radius + ring.half], [outer, outer + thick], { faint });
  plates.box('plate', [ring.radius - ring.half, m.boss], [outer, outer + thick], { faint });
  plates.box('plate', [ring.radius + ring.half, ring.radius - ring.half], [high, outer + thick], {
    faint,
  });
  coil(pen, ring, low, high, plate, faint);
  pen.box(
    'bolt',
    [ring.radius + post * 2, ring.radius - post * 2],
    [outer + thick, outer + thick + NUT],
    {
      faint,
    },
  );
  const length = known(subject, 'installedLength');
  return {
    top: outer + thick + NUT + 2,
    cup: { radius: ring.radius, half: ring.half, floor: low },
    sizes: [
      ...(gap === undefined
        ? []
        : [
            {
              name: 'gap' as const,
              radius: m.liningIn - 4 * m.k,
              low: face,
              high: outer,
              value: gap,
            },
          ]),
      ...(length === undefined
        ? []
        : [
            {
              name: 'fitted' as const,
              radius: ring.radius - ring.half - 3 * m.k,
              low,
              high,
              value: length,
            },
          ]),
    ],
  };
}

/** A dished ring: its outer edge presses the plate, its inner edge is held by the retainer, its fingers reach inward. */
function diaphragm(pen: Pen, subject: Subject, m: Measures, { plate }: Rider): SpringsDrawn {
  const { diaphragm: record } = subject.job.springs;
  const outer = (record.outerDiameter?.value ?? 2 * (m.liningOut - 3)) / 2;
  const inner = Math.min(
    outer - 4,
    (record.innerDiameter?.value ?? 2 * (m.liningOut - 3) * 0.75) / 2,
  );
  const thick = record.thickness?.value ?? 1.8;
  const cone = (record.measuredCone ?? record.coneHeight)?.value;
  const deflection = known(subject, 'deflection');
  const faint = deflection === undefined || cone === undefined;
  const dish = faint ? 1.2 : cone - deflection;
  const ratio = record.fingerRatio?.value ?? 1;
  const tip = Math.max(m.boss * 0.8, inner - Math.max(1, ratio) * (outer - inner) * 0.5);
  const edge = m.stack + m.plate + thick / 2 + 0.8;
  const slope = dish / (outer - inner);
  const at = (radius: Mm) => edge + slope * (outer - radius);
  const bend = (radius: Mm) => (radius - inner) / (outer - inner);
  const making = { rides: plate, bend, faint };
  const leaf = (from: Mm, to: Mm, half: Mm) =>
    [
      [from, at(from) - half],
      [from, at(from) + half],
      [to, at(to) + half],
      [to, at(to) - half],
    ] as const;
  pen.area('wire', leaf(inner, tip, thick * 0.3), making);
  pen.area('spring', leaf(outer, inner, thick / 2), making);
  // The ridge of the pressure plate on which the edge rests.
  pen
    .of('pressurePlate')
    .box('plate', [outer + 1, outer - 1.5], [m.stack + m.plate, edge - thick / 2], {
      rides: plate,
    });
  const retainer = pen.of('retainer', { faint });
  const seat = at(inner) + thick / 2;
  const step = record.steps.find((s) => s.id === record.stepId);
  const height = RETAINER + Math.max(0, Math.min(6, step?.offset?.value ?? 0));
  const post = Math.min(inner - 3, m.splineOut);
  retainer.box('hub', [post, post - 4], [m.splineTop, seat + height]);
  retainer.box(
    'hub',
    [inner + 3, Math.min(inner - 2, post - 4)],
    [seat + height - 2.5, seat + height],
  );
  retainer.box('hub', [inner + 2, inner - 1.5], [seat, seat + height]);
  retainer.box('bolt', [post - 0.6, post - 3.4], [seat + height, seat + height + 3]);
  return {
    top: seat + height + 3,
    sizes: [],
    ...(step?.name
      ? { note: { text: `step ${step.name}`, radius: inner + 5, height: seat + height - 1 } }
      : {}),
  };
}
