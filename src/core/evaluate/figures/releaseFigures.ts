import { clearancePerFace, liftNeeded } from '@/core/release/clearance';
import type { PackLayout } from '@/core/evaluate/engine/layers';
import { warpOf } from '@/core/evaluate/engine/layers';
import { fingerTerm, LEVER_LOSSES, liftTerm, measuredTerm } from './liftTerm';
import { length, say } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import type { Term } from '@/core/evaluate/engine/term';
import { collectTerms, term } from '@/core/evaluate/engine/term';
import { countOf } from '@/core/text/countOf';

function liftFormula(sheet: Sheet): string {
  const { release } = sheet.job;
  const { type } = release;
  if (type === 'measured') {
    return release.liftReadings.length > 0
      ? 'x = mean of the plane through the dial readings'
      : 'x as measured at the pressure plate';
  }
  const lever = LEVER_LOSSES.some(({ leaf }) => release[leaf]) ? '(s_L − Σ s_v)' : 's_L';
  const ratio = fingerTerm(sheet);
  const fingers = ratio.known && ratio.value !== 1 ? '/i_f' : '';
  const eased = `${release.reducedEffort ? '/q' : ''}${fingers}`;
  if (type === 'hydraulic') return `x = (${lever}/i_L − s_0)·(d_m/d_s)²${eased}`;
  return release.armStart
    ? `x = (arcsin(sin φ_0 + (${lever}/i_L − s_0)/r_a) − φ_0)·p/2π${eased}`
    : `x = (${lever}/i_L − s_0)/r_a · p/2π${eased}`;
}

/**
 * Lift available and required, and clearance per face.
 * @example computeLift(sheet, layout), sheet.known('liftHad').value // 1.5696
 */
export function computeLift(sheet: Sheet, layout: PackLayout): void {
  sheet.compute('liftHad', {
    label: 'Lift',
    quantity: 'length',
    section: sheet.job.release.type === 'measured' ? 6 : 7,
    formula: liftFormula(sheet),
    from: { x: liftTerm(sheet) },
    value: ({ x }) => x,
  });
  computeMeasured(sheet);
  const warp = warpTerm(layout);
  const asked = sheet.entry('release.requiredLift');
  const perFace = sheet.entry('release.faceClearance');
  const byFaces = collectTerms(
    [sheet.figure('faces', 'N'), perFace, warp],
    ([n = 0, c = 0, w = 0]) => liftNeeded(n, c, w),
  );
  // A clearance that is only assumed does not outweigh the manual's lift, nor wait for a pack.
  const entered = perFace.known && !perFace.estimated && byFaces.known;
  sheet.compute('liftNeeded', {
    label: 'Lift required',
    quantity: 'length',
    section: 6,
    formula: !asked.known
      ? 'x_req = N·c_min + Σ w'
      : entered
        ? 'the greater of x_req and N·c_min + Σ w'
        : 'x_req by the manual',
    from: {
      x: !asked.known
        ? byFaces
        : entered
          ? collectTerms([asked, byFaces], (all) => Math.max(...all))
          : asked,
    },
    value: ({ x }) => x,
    notes:
      asked.known && !entered && byFaces.known
        ? [
            say`The entered lift goes before ${length(byFaces.value)} by the assumed clearance per face.`,
          ]
        : [],
  });
  sheet.compute('clearancePerFace', {
    label: 'Clearance per face',
    quantity: 'length',
    section: 6,
    formula: 'c = (x − Σ w)/N',
    from: { x: sheet.figure(liftAtPlate(sheet), 'x'), w: warp, N: sheet.figure('faces', 'N') },
    value: ({ x, w, N }) => clearancePerFace(x, N, w),
  });
}

/**
 * The figure of the lift that the plate really has: measured, or where nothing was measured, of the train.
 * @example liftAtPlate(sheet) // "liftMeasured"
 */
export const liftAtPlate = (sheet: Sheet): 'liftMeasured' | 'liftHad' =>
  sheet.known('liftMeasured') ? 'liftMeasured' : 'liftHad';

/** A dial beside a train: what it shows, what of it the train does not explain, and the lift without the reduced-effort part. */
function computeMeasured(sheet: Sheet): void {
  const { type, reducedEffort, measuredLift, liftReadings } = sheet.job.release;
  const isRead = type !== 'measured' && (measuredLift !== undefined || liftReadings.length > 0);
  const measured = isRead ? measuredTerm(sheet) : undefined;
  if (measured?.known) {
    sheet.compute('liftMeasured', {
      label: 'Measured lift',
      quantity: 'length',
      section: 6,
      formula: 'x as measured at the pressure plate',
      from: { x: measured },
      value: ({ x }) => x,
    });
    if (sheet.known('liftHad'))
      sheet.compute('liftUnexplained', {
        label: 'Lift not accounted for',
        quantity: 'length',
        section: 7,
        formula: 'x of the train − x measured',
        from: { t: sheet.figure('liftHad', 'x_t'), x: sheet.figure('liftMeasured', 'x') },
        value: ({ t, x }) => t - x,
      });
  }
  if (reducedEffort)
    sheet.compute('liftBare', {
      label: 'Lift without the reduced-effort part',
      quantity: 'length',
      section: 7,
      formula: 'x·q',
      from: {
        x: sheet.figure(liftAtPlate(sheet), 'x'),
        q: sheet.entry('release.reducedEffort'),
      },
      value: ({ x, q }) => x * q,
    });
}

function warpTerm(layout: PackLayout): Term {
  const measured = layout.layers.filter((l) => l.plate.outOfFlat);
  const total = warpOf(layout);
  return term({
    value: total,
    symbol: 'Σ w',
    quantity: 'length',
    label:
      measured.length === 0
        ? 'Out-of-flat of the plates'
        : `Out-of-flat of ${countOf(measured.length, 'plate')}`,
    source:
      measured.length === 0
        ? { kind: 'estimate', note: 'no plate checked for flatness; assumed flat' }
        : (measured[0]?.plate.outOfFlat?.source ?? { kind: 'measured' }),
    // Worked out after the lift, for the inspection; the same sum.
    ...(measured.length === 0 ? {} : { figure: 'warpSum' }),
  });
}
