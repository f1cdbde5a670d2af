import type { Job, Source, TorqueCurve, TorquePoint } from '../job/types';

/**
 * Finds the maximum torque of a curve; 0 at 0 rpm for a curve without torque.
 * @example peakOf([{ rpm: 3000, torque: 30 }, { rpm: 5000, torque: 38 }, { rpm: 7000, torque: 33 }]).rpm // 5000
 */
export const peakOf = (points: readonly TorquePoint[]): TorquePoint =>
  points.reduce((best, p) => (p.torque > best.torque ? p : best), { rpm: 0, torque: 0 });

/**
 * The job with a torque curve and, with a source given, the peak of that curve.
 * @param peakSource where the peak torque and its speed come from; without it the job keeps those that it has
 * @example withCurve(job, { name: 'dyno', points: [{ rpm: 3000, torque: 30 }, { rpm: 5000, torque: 38 }] }, { kind: 'tested' }).engine.peakTorque.value // 38
 */
export function withCurve(job: Job, curve: TorqueCurve, peakSource?: Source): Job {
  const peak = peakOf(curve.points);
  return {
    ...job,
    engine: {
      ...job.engine,
      curve,
      ...(peakSource && peak.torque > 0
        ? {
            peakTorque: { value: peak.torque, source: peakSource },
            peakTorqueRpm: { value: peak.rpm, source: peakSource },
          }
        : {}),
    },
  };
}
