import { DomainError } from '../errors';
import { fieldPath } from '../job/fields';
import type { DiscSpring, Side } from '../springs/diaphragm';
import { discSpringForce, sideOf, turningPoints, workingDeflection } from '../springs/diaphragm';
import type { Curve } from '../springs/monotoneCurve';
import { monotoneCurve } from '../springs/monotoneCurve';
import type { Mm, Newton } from '../units/quantity';
import type { Sheet } from './sheet';
import type { Term } from './term';
import { gather, lack } from './term';

/**
 * Deflection and clamp of a diaphragm spring, from its geometry or from tester points.
 * @example computeDiaphragm(sheet), sheet.outcomes.has('deflection') // true
 */
export function computeDiaphragm(sheet: Sheet): void {
  const { diaphragm } = sheet.job.springs;
  const step = diaphragm.steps.find((s) => s.id === diaphragm.stepId);
  const offset = step
    ? sheet.entry(fieldPath('springs.diaphragm.steps.*.offset', step.id))
    : undefined;
  sheet.compute('deflection', {
    label: 'Spring deflection',
    quantity: 'length',
    section: 5,
    formula: offset ? 's = s_ref + (H − H_ref) + Δs' : 's = s_ref + (H − H_ref)',
    from: {
      s: gather(
        [
          sheet.entry('springs.diaphragm.referenceDeflection'),
          sheet.figure('stack', 'H'),
          sheet.entry('springs.diaphragm.referenceStack'),
          ...(offset ? [offset] : []),
        ],
        ([ref = 0, H = 0, H0 = 0, Δ = 0]) => workingDeflection(ref, H, H0, Δ),
      ),
    },
    value: ({ s }) => s,
    notes: step
      ? [`On step ${step.name}. Wear lowers the deflection, lift raises it.`]
      : ['Wear lowers the deflection, lift raises it.'],
  });
  const spring = springTerm(sheet);
  const side = sideAt(sheet, spring.force);
  sheet.compute('clamp', {
    label: 'Clamp',
    quantity: 'force',
    section: 5,
    formula: spring.formula,
    from: {
      F: gather([sheet.figure('deflection', 's'), spring.inputs], ([s = 0]) => spring.at(s)),
    },
    value: ({ F }) => F,
    notes: side ? [SIDE_NOTE[side]] : [],
  });
}

/**
 * Force of the diaphragm on the pack at any stack and lift. @throws {DomainError} beyond its geometry or points
 * @example diaphragmForceAt(workOut(quad).sheet, 34.4)(34.4, 0) // 2091.91
 */
export function diaphragmForceAt(
  sheet: Sheet,
  stack: Mm,
): ((height: Mm, lift: Mm) => Newton) | undefined {
  const deflection = sheet.known('deflection');
  if (!deflection) return undefined;
  const { at } = springTerm(sheet);
  return (height, lift) => at(Math.max(0, deflection.value + height - stack + lift));
}

/**
 * Force at the finger tips at full lift. Never throws; what lacks makes the figure unknown.
 * @example liftDiaphragm(workOut(quad).sheet) // the release force stands on the sheet
 */
export function liftDiaphragm(sheet: Sheet): void {
  const spring = springTerm(sheet);
  sheet.compute('releaseForce', {
    label: 'Release force, full lift',
    quantity: 'force',
    section: 7,
    formula: 'F_r = F(s + x)/i_f',
    from: {
      F: gather(
        [
          sheet.figure('deflection', 's'),
          sheet.figure('liftHad', 'x'),
          sheet.entry('springs.diaphragm.fingerRatio'),
          spring.inputs,
        ],
        ([s = 0, x = 0, ratio = 1]) => spring.at(s + x) / ratio,
      ),
    },
    value: ({ F }) => F,
  });
}

const SIDE_NOTE: Readonly<Record<Side, string>> = {
  rising: 'Before the peak: more preload clamps more and pulls heavier; wear takes clamp away.',
  falling:
    'Past the peak: more preload clamps less and pulls lighter, until wear brings the clamp back.',
  'rising again': 'Past the dip: more preload clamps more again.',
};

/**
 * Which side of its peak the spring works on; unknown for a spring without a peak or a deflection.
 * @example sideAt(sheet, undefined) // — undefined: no curve, no side
 */
export function sideAt(sheet: Sheet, force: DiscSpring | undefined): Side | undefined {
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

function springTerm(sheet: Sheet): SpringTerm {
  return sheet.job.springs.diaphragm.forceFrom === 'tester'
    ? fromPoints(sheet)
    : fromGeometry(sheet);
}

function fromGeometry(sheet: Sheet): SpringTerm {
  const measured = sheet.entry('springs.diaphragm.measuredCone');
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
  return {
    formula: 'F = 4E/(1−ν²)·t/(K_1·D_e²)·s·[(h_0−s)(h_0−s/2) + t²]',
    inputs: gather(parts, () => 1),
    at: (s) => (force ? discSpringForce(force, s) : Number.NaN),
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
        ? lack('Two tester points of the diaphragm', 'springs.diaphragm.points')
        : gather(parts, () => 1),
    at: (s) => {
      curve ??= monotoneCurve(
        measured.map((p) => ({ x: p.deflection?.value ?? 0, y: p.force?.value ?? 0 })),
      );
      return curve.value(s);
    },
  };
}
