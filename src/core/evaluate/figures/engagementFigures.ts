import type { Evenness } from '@/core/release/evenness';
import { evenness, repeatability } from '@/core/release/evenness';
import { retainedShare } from '@/core/release/retention';
import type { PackLayout } from '@/core/evaluate/engine/layers';
import { dialTerms, fromDial } from './liftTerm';
import { count, say } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';

/**
 * Engagement of the outermost plates with the hub's spline and the basket's fingers at full lift; each only where its length is
 * known.
 * @example computeRetention(sheet, layout), sheet.outcomes.has('retention') // false
 */
export function computeRetention(sheet: Sheet, layout: PackLayout): void {
  for (const [id, path, member, words] of [
    ['retention', 'pack.splineLength', 'hub', 'spline at full lift'],
    ['basketRetention', 'pack.fingerLength', 'basket', 'basket’s fingers at full lift'],
  ] as const) {
    const room = sheet.entry(path);
    if (!room.known) continue;
    const plates = layout.layers.filter((l) => l.turnsWith === member);
    sheet.compute(id, {
      label: `Minimum engagement on the ${words}`,
      quantity: 'share',
      section: 6,
      formula: '(L_s − height below − x)/t, the minimum over all plates',
      from: { L: room, x: sheet.figure('liftHad', 'x'), H: sheet.figure('stack', 'H') },
      value: ({ L, x }) =>
        plates.reduce(
          (least, l) =>
            Math.min(least, retainedShare(L, l.bottom ?? 0, x, l.thickness ?? Number.NaN)),
          1,
        ),
      notes: ['At full lift a plate may move out as far as the lift allows.'],
    });
  }
}

/**
 * Tilt of the plate, its least local lift, how well the readings lie in a plane and how well pulls repeat; only where dial
 * readings round it are entered.
 * @example computeEvenness(sheet), sheet.outcomes.has('liftTilt') // true
 */
export function computeEvenness(sheet: Sheet): void {
  const dial = dialTerms(sheet);
  if (dial.length === 0) return;
  const of = (pick: (e: Evenness) => number) => fromDial(dial, (r) => pick(evenness(r)));
  const readings = [
    say`${count(dial.length / 2)} readings round the plate; at least three angles are needed.`,
  ];
  sheet.compute('liftTilt', {
    label: 'Tilt, amplitude',
    quantity: 'length',
    section: 6,
    formula: 'a = √(A² + B²) of x(θ) = x̄ + A·cos θ + B·sin θ, least squares',
    from: { a: of((e) => e.tilt) },
    value: ({ a }) => a,
    notes: readings,
  });
  sheet.compute('liftAcross', {
    label: 'Tilt across the plate',
    quantity: 'length',
    section: 6,
    formula: '2·a: dial difference between the low and the high side',
    from: { a: sheet.figure('liftTilt', 'a') },
    value: ({ a }) => 2 * a,
  });
  const angles = new Set(
    sheet.job.release.liftReadings.flatMap((r) =>
      r.angle && r.lift ? [((r.angle.value % 360) + 360) % 360] : [],
    ),
  );
  if (angles.size > 3)
    sheet.compute('liftResidual', {
      label: 'Deviation of the readings from a plane',
      quantity: 'length',
      section: 6,
      formula: 'root mean square of x − x(θ)',
      from: { r: of((e) => e.residual) },
      value: ({ r }) => r,
      notes: ['More than the tilt: the plate is bent rather than tilted.'],
    });
  sheet.compute('liftLeast', {
    label: 'Minimum local lift',
    quantity: 'length',
    section: 6,
    formula: 'x̄ − a',
    from: { x: of((e) => e.least) },
    value: ({ x }) => x,
  });
  const whole = sheet.job.release.liftReadings.flatMap((r) => (r.angle && r.lift ? r.angle : []));
  if (new Set(whole.map((angle) => angle.value % 360)).size === whole.length) return;
  sheet.compute('liftRepeat', {
    label: 'Spread of readings at one place',
    quantity: 'length',
    section: 6,
    formula: 'maximum x − minimum x at one angle',
    from: { d: fromDial(dial, repeatability) },
    value: ({ d }) => d,
  });
}
