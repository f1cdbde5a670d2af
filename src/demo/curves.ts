import type { TorqueCurve } from '@/core/job/types';

/*
 * Torque curves of the invented engines, by a formula: a parabola through the peak. Also written as CSV files in public/demo-
 * curves by `npm run demo-curves`.
 */

interface MadeUp {
  readonly name: string;
  readonly peak: number;
  readonly peakRpm: number;
  readonly from: number;
  readonly to: number;
  readonly step: number;
  /** Share of the peak that is lost at the far end of the curve. */
  readonly drop: number;
}

function madeUp({ name, peak, peakRpm, from, to, step, drop }: MadeUp): TorqueCurve {
  const reach = Math.max(peakRpm - from, to - peakRpm);
  const points = Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => {
    const rpm = from + i * step;
    const off = (rpm - peakRpm) / reach;
    return { rpm, torque: Math.round(10 * peak * (1 - drop * off * off)) / 10 };
  });
  return { name, points };
}

export const CURVES = {
  tarn450: madeUp({
    name: 'tarn-450-made-up.csv',
    peak: 41,
    peakRpm: 7000,
    from: 3000,
    to: 9500,
    step: 500,
    drop: 0.32,
  }),
  holm700: madeUp({
    name: 'holm-700-made-up.csv',
    peak: 58,
    peakRpm: 5500,
    from: 1500,
    to: 7000,
    step: 500,
    drop: 0.4,
  }),
  brae1200: madeUp({
    name: 'brae-1200-made-up.csv',
    peak: 105,
    peakRpm: 3500,
    from: 1500,
    to: 5500,
    step: 250,
    drop: 0.25,
  }),
} as const satisfies Readonly<Record<string, TorqueCurve>>;

/** A curve as the text of its CSV file. */
export function curveCsv({ points }: TorqueCurve): string {
  return [
    '# Made up by a formula for the demo workshop; no real engine',
    'rpm,torque (N·m)',
    ...points.map((p) => `${p.rpm},${p.torque}`),
    '',
  ].join('\r\n');
}
