import type { TorquePoint } from '@/core/job/types';

/** Where torque is greatest. */
export const peakOf = (points: readonly TorquePoint[]): TorquePoint =>
  points.reduce((best, p) => (p.torque > best.torque ? p : best), { rpm: 0, torque: 0 });
