import { formatWithUnit } from '@/core/units/format';
import type { UnitChoice } from '@/core/units/format';
import { countOf } from '@/core/text/countOf';
import type { FieldPath } from '@/core/job/fieldPath';
import { entryAt } from '@/core/job/entryAt';
import { fieldPath } from '@/core/job/fieldPath';
import { coilGroups } from '@/core/clutch/fitted';

import type { HalfSection } from './halfSection';
import type { Subject } from './measures';
import { known } from './measures';
import type { Box, PartId } from './shape';
import { boxAround } from './shape';

/** A part of the drawing besides the plates: in words, where it is, and what it asks for. */
export interface DrawnPart {
  readonly id: PartId;
  readonly name: string;
  /** With its figures: "Springs: 6, fitted length 32.66 mm". */
  readonly text: string;
  readonly box: Box;
  /** The field that is missing, where part of it is assumed. */
  readonly asks?: FieldPath;
}

interface Said {
  readonly name: string;
  readonly facts: readonly (string | undefined)[];
  readonly asks?: FieldPath | undefined;
}

/** The parts of the drawing in the order from basket to rod. */
export function partsOf(
  subject: Subject,
  drawing: HalfSection,
  units: UnitChoice,
): readonly DrawnPart[] {
  return PARTS.flatMap(([id, describe]) => {
    const shapes = drawing.shapes.filter((s) => s.part === id && s.look !== 'axis');
    if (shapes.length === 0) return [];
    const { name, facts, asks } = describe(subject, units);
    const said = facts.filter((f) => f !== undefined);
    const text = said.length > 0 ? `${name}: ${said.join(', ')}` : name;
    return [{ id, name, text, box: boxAround(shapes), ...(asks ? { asks } : {}) }];
  });
}

const mm = (value: number | undefined, units: UnitChoice, what: string): string | undefined =>
  value === undefined ? undefined : `${what} ${formatWithUnit(value, 'length', units)}`;

const measured = (
  path: FieldPath,
  value: number | undefined,
  units: UnitChoice,
  what: string,
): { readonly fact: string; readonly asks?: FieldPath } =>
  value === undefined
    ? { fact: `${what} missing, drawn assumed`, asks: path }
    : { fact: `${what} ${formatWithUnit(value, 'length', units)}` };

const PARTS: readonly (readonly [PartId, (subject: Subject, units: UnitChoice) => Said])[] = [
  [
    'basket',
    ({ job: { pack, inspection } }, units) => {
      const fingers = measured('pack.fingerLength', pack.fingerLength?.value, units, 'fingers');
      return {
        name: 'Basket',
        facts: [
          fingers.fact,
          mm(inspection.basketNotch?.value, units, 'notches'),
          pack.rotation && `turns ${pack.rotation} seen from the cover`,
        ],
        asks: fingers.asks,
      };
    },
  ],
  [
    'hub',
    ({ job: { pack, inspection } }, units) => {
      const spline = measured('pack.splineLength', pack.splineLength?.value, units, 'spline');
      return {
        name: 'Hub',
        facts: [spline.fact, mm(inspection.hubNotch?.value, units, 'notches')],
        asks: spline.asks,
      };
    },
  ],
  [
    'pressurePlate',
    (subject, units) => ({
      name: 'Pressure plate',
      facts: [
        mm(subject.job.inspection.pressurePlateThickness?.value, units, 'thickness'),
        mm(known(subject, 'liftHad'), units, 'lift'),
      ],
    }),
  ],
  ['springs', springs],
  [
    'retainer',
    ({ job }) => {
      const { steps, stepId } = job.springs.diaphragm;
      const step = steps.find((s) => s.id === stepId);
      return { name: 'Retainer', facts: [step ? `step ${step.name}` : undefined] };
    },
  ],
  [
    'assist',
    ({ job: { assist } }, units) => ({
      name: 'Weights',
      facts: [
        assist.count && String(assist.count.value),
        mm(assist.radius?.value, units, 'at a radius of'),
      ],
      asks: assist.radius ? undefined : 'assist.radius',
    }),
  ],
  [
    'ramps',
    ({ job }, units) => {
      const angle = entryAt(job, 'fittings.ramps.driveAngle');
      const size = measured(
        'fittings.ramps.radius',
        entryAt(job, 'fittings.ramps.radius')?.value,
        units,
        'at a radius of',
      );
      return {
        name: 'Ramps',
        facts: [size.fact, angle && `drive ${formatWithUnit(angle.value, 'angle', units)}`],
        asks: size.asks,
      };
    },
  ],
  [
    'release',
    (subject, units) => {
      const { release } = subject.job;
      const rod = 'pushrod with lifter and bearing';
      if (release.undecided)
        return { name: 'Release', facts: [rod, 'cable or hydraulics missing'] };
      if (release.type === 'measured')
        return { name: 'Release', facts: [rod, mm(release.measuredLift?.value, units, 'lift')] };
      const hydraulic = release.type === 'hydraulic';
      const size = hydraulic
        ? measured('release.slaveDiameter', release.slaveDiameter?.value, units, 'slave piston')
        : measured('release.armLength', release.armLength?.value, units, 'arm');
      return {
        name: 'Release',
        facts: [rod, size.fact, mm(known(subject, 'liftHad'), units, 'lift')],
        asks: size.asks,
      };
    },
  ],
  [
    'startClutch',
    ({ job: { startClutch } }, units) => {
      const drum = measured(
        'startClutch.drumRadius',
        (startClutch.drumBore ?? startClutch.drumRadius)?.value,
        units,
        'drum radius',
      );
      return {
        name: 'Start clutch',
        facts: [
          startClutch.shoes && countOf(startClutch.shoes.value, 'shoe'),
          mm(startClutch.shoeLining?.value, units, 'lining'),
          drum.fact,
        ],
        asks: drum.asks,
      };
    },
  ],
];

function springs(subject: Subject, units: UnitChoice): Said {
  const { job } = subject;
  const clamp = known(subject, 'clamp');
  const force =
    clamp === undefined ? undefined : `clamp ${formatWithUnit(clamp, 'force', units, 0)}`;
  if (job.springs.type === 'diaphragm') {
    const { diaphragm } = job.springs;
    const deflection = known(subject, 'deflection');
    return {
      name: 'Diaphragm spring',
      facts: [
        mm(diaphragm.thickness?.value, units, 'thickness'),
        mm(deflection, units, 'deflection'),
        force,
      ],
      asks:
        deflection !== undefined
          ? undefined
          : diaphragm.coneHeight
            ? 'springs.diaphragm.referenceDeflection'
            : 'springs.diaphragm.coneHeight',
    };
  }
  const groups = coilGroups(job);
  const fitted = known(subject, 'installedLength');
  const [first] = groups;
  return {
    name: 'Springs',
    facts: [
      groups
        .map((g) => [g.count?.value, g.name].filter((t) => t !== undefined && t !== '').join(' '))
        .join(' and '),
      fitted === undefined
        ? 'fitted length missing, drawn assumed'
        : mm(fitted, units, 'fitted length'),
      job.springs.type === 'loose' ? mm(known(subject, 'plateGap'), units, 'plate gap') : undefined,
      force,
    ],
    asks:
      fitted !== undefined
        ? undefined
        : job.springs.type === 'loose'
          ? 'springs.loose.span'
          : first && !first.freeLength && job.springs.coil.seatDistance
            ? fieldPath('springs.coil.groups.*.freeLength', first.id)
            : 'springs.coil.seatDistance',
  };
}
