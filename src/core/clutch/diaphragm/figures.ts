import { DomainError } from '../../errors';
import type { Sheet, SpringModel } from '../../evaluate/engine/sheet';
import type { Term } from '../../evaluate/engine/term';
import { collectTerms, missingTerm } from '../../evaluate/engine/term';
import { fieldPath } from '../../job/fieldPath';
import type { DiscSpring, Side } from '../../springs/diaphragm';
import {
  discSpringForces,
  sideOf,
  turningPoints,
  workingDeflection,
} from '../../springs/diaphragm';
import type { Curve } from '../../springs/monotoneCurve';
import { monotoneCurve } from '../../springs/monotoneCurve';
import { say } from '../../text/sentence';
import type { Mm, Newton } from '../../units/quantity';
import { stepOffset } from './steps';

/** Deflection and clamp, from the geometry or from tester points. */
function fitted(sheet: Sheet): void {
  const { diaphragm } = sheet.job.springs;
  const step = diaphragm.steps.find((s) => s.id === diaphragm.stepId);
  const sagged = lostCone(sheet);
  const offset = step ? stepOffset(sheet, step) : undefined;
  sheet.compute('deflection', {
    label: 'Spring deflection',
    quantity: 'length',
    section: 5,
    formula: `s = s_ref + (H − H_ref)${offset ? ' + Δs' : ''}${sagged ? ' − (h_0 − h_0′)' : ''}`,
    from: {
      s: collectTerms(
        [
          sheet.entry('springs.diaphragm.referenceDeflection'),
          sheet.figure('stack', 'H'),
          sheet.entry('springs.diaphragm.referenceStack'),
          offset ?? NO_OFFSET,
          ...(sagged ?? []),
        ],
        ([ref = 0, H = 0, H0 = 0, Δ = 0, cone = 0, measured = cone]) =>
          workingDeflection(ref, H, H0, Δ) - (cone - measured),
      ),
    },
    value: ({ s }) => s,
    notes: [
      ...(step
        ? [`On step ${step.name}. Wear lowers the deflection, lift raises it.`]
        : [WEAR_LOWERS]),
      ...(sagged
        ? [
            'The spring has lost cone height and is fitted at the same height, so its deflection is smaller.',
          ]
        : []),
    ],
  });
  const spring = springTerm(sheet);
  const side = sideAt(sheet, spring.force);
  sheet.compute('clamp', {
    label: 'Clamp',
    quantity: 'force',
    section: 5,
    formula: spring.formula,
    from: {
      F: collectTerms([sheet.figure('deflection', 's'), spring.inputs], ([s = 0]) => spring.at(s)),
    },
    value: ({ F }) => F,
    notes: side ? [SIDE_NOTE[side]] : [],
  });
}

/** @throws {DomainError} beyond the geometry or the points */
function forceAt(sheet: Sheet, stack: Mm): ((height: Mm, lift: Mm) => Newton) | undefined {
  const deflection = sheet.known('deflection');
  if (!deflection) return undefined;
  const { at } = springTerm(sheet);
  return (height, lift) => at(Math.max(0, deflection.value + height - stack + lift));
}

const WEAR_LOWERS = 'Wear lowers the deflection, lift raises it.';
const NO_OFFSET: Term = { known: true, value: 0, inputs: [], estimated: false };

/** The cone of the spring new and as measured, where both are known and its force follows from them. */
function lostCone(sheet: Sheet): readonly [Term, Term] | undefined {
  if (sheet.job.springs.diaphragm.forceFrom !== 'geometry') return undefined;
  const measured = sheet.entry('springs.diaphragm.measuredCone', 'h_0′');
  const cone = sheet.entry('springs.diaphragm.coneHeight');
  return measured.known && cone.known ? [cone, measured] : undefined;
}

const terms = (sheet: Sheet): readonly Term[] => [
  sheet.figure('deflection', 's'),
  springTerm(sheet).inputs,
];

/** The peak and the dip of the curve, or the tester’s points. */
function turningPointsOf(sheet: Sheet): readonly Mm[] {
  const { force } = springTerm(sheet);
  if (force) {
    const points = turningPoints(force);
    return points ? [points.peak.deflection, points.dip.deflection] : [];
  }
  return sheet.job.springs.diaphragm.points.flatMap((p) => p.deflection?.value ?? []);
}

/** Force at the load edge at full lift; the fingers are in the ratio of the train. */
function lifted(sheet: Sheet): void {
  const spring = springTerm(sheet);
  sheet.compute('releaseForce', {
    label: 'Release force at full lift',
    quantity: 'force',
    section: 7,
    formula: 'F_r = F(s + x)',
    from: {
      F: collectTerms(
        [sheet.figure('deflection', 's'), sheet.figure('liftHad', 'x'), spring.inputs],
        ([s = 0, x = 0]) => spring.at(s + x),
      ),
    },
    value: ({ F }) => F,
  });
}

const SIDE_NOTE: Readonly<Record<Side, string>> = {
  rising: 'Before the peak: more preload gives more clamp and a heavier lever; wear lowers clamp.',
  falling:
    'Past the peak: more preload gives less clamp and a lighter lever, until wear restores the clamp.',
  'rising again': 'Past the dip: more preload gives more clamp again.',
};

/** Which side of its peak the spring works on; unknown for one without a peak or a deflection. */
function sideAt(sheet: Sheet, force: DiscSpring | undefined): Side | undefined {
  const s = sheet.known('deflection');
  if (!s || !force) return undefined;
  try {
    const points = turningPoints(force);
    return points ? sideOf(s.value, points) : undefined;
  } catch (error) {
    if (error instanceof DomainError) return undefined;
    throw error;
  }
}

interface SpringTerm {
  readonly formula: string;
  /** Known once the spring is; carries its inputs for the working. */
  readonly inputs: Term;
  /** @throws {DomainError} outside the geometry or the measured points */
  readonly at: (deflection: Mm) => Newton;
  readonly force?: DiscSpring;
}

const springTerm = (sheet: Sheet): SpringTerm =>
  sheet.once('diaphragm', () =>
    sheet.job.springs.diaphragm.forceFrom === 'tester' ? fromPoints(sheet) : fromGeometry(sheet),
  );

function fromGeometry(sheet: Sheet): SpringTerm {
  const measured = sheet.entry('springs.diaphragm.measuredCone', 'h_0′');
  const parts = [
    sheet.entry('springs.diaphragm.outerDiameter'),
    sheet.entry('springs.diaphragm.innerDiameter'),
    sheet.entry('springs.diaphragm.thickness'),
    // A spring that lost cone clamps by the height it has, not the one it had.
    measured.known ? measured : sheet.entry('springs.diaphragm.coneHeight'),
  ];
  const [De, Di, t, h] = parts.map((p) => (p.known ? p.value : Number.NaN));
  const force = parts.every((p) => p.known)
    ? { outerDiameter: De ?? 0, innerDiameter: Di ?? 0, thickness: t ?? 0, coneHeight: h ?? 0 }
    : undefined;
  let forces: ((deflection: Mm) => Newton) | undefined;
  return {
    formula: 'F = 4E/(1−ν²)·t/(K_1·D_e²)·s·[(h_0−s)(h_0−s/2) + t²]',
    inputs: collectTerms(parts, () => 1),
    at: (s) => {
      if (!force) return Number.NaN;
      forces ??= discSpringForces(force);
      return forces(s);
    },
    ...(force ? { force } : {}),
  };
}

function fromPoints(sheet: Sheet): SpringTerm {
  const measured = sheet.job.springs.diaphragm.points.filter((p) => p.deflection && p.force);
  const parts = measured.flatMap((p, i) => [
    sheet.entry(fieldPath('springs.diaphragm.points.*.deflection', p.id), `s_${i + 1}`),
    sheet.entry(fieldPath('springs.diaphragm.points.*.force', p.id), `F_${i + 1}`),
  ]);
  let curve: Curve | undefined;
  return {
    formula: 'F(s) by a monotone cubic through the tester’s points',
    inputs:
      measured.length < 2
        ? missingTerm('Two tester points of the diaphragm', 'springs.diaphragm.points')
        : collectTerms(parts, () => 1),
    at: (s) => {
      curve ??= monotoneCurve(
        measured.map((p) => ({ x: p.deflection?.value ?? 0, y: p.force?.value ?? 0 })),
      );
      return curve.value(s);
    },
  };
}

export const DIAPHRAGM_MODEL: SpringModel = {
  fitted,
  lifted,
  forceAt,
  terms,
  turns: turningPointsOf,
  ratio: (sheet) => sheet.entry('springs.diaphragm.fingerRatio'),
  unpressed: () => say`The spring is not compressed at this stack height.`,
};
