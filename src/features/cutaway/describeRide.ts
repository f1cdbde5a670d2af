import { upperFirst } from '@/core/text/sentence';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit } from '@/core/units/format';

import type { RideReading } from './RideLoop';

/** Hub speed below which it counts as stopped, rpm. */
const STOPPED_RPM = 5;

/** Description of the picture in one sentence with its figures. */
export function describeRide({ look, motion, speeds }: RideReading, units: UnitChoice): string {
  const force = (value: number) => formatWithUnit(value, 'force', units, 0);
  const torque = (value: number) => formatWithUnit(value, 'torque', units, 0);
  const open =
    look.clearance > 0
      ? `clearance per face ${formatWithUnit(look.clearance, 'length', units)}`
      : 'the plates are closed';
  if (!motion || !speeds) return `${upperFirst(open)}.`;
  if (motion.state === 'stalled') return 'Stalled: the engine has stopped.';
  if (motion.state === 'locked')
    return `Locked: basket and hub turn together; ${torque(Math.abs(motion.torque))} of a capacity of ${torque(motion.capacity)} transmitted.`;
  if (motion.capacity <= 0)
    return `Open: ${open}; the basket turns, the hub ${speeds.hub < STOPPED_RPM ? 'stops' : 'keeps turning'}.`;
  const apart = Math.abs(speeds.engine - speeds.hub);
  if (motion.atShoes)
    return `The shoes slip: ${torque(Math.abs(motion.torque))} transmitted, ${apart.toFixed(0)} rpm difference; the pack is closed.`;
  return `Slipping: ${torque(Math.abs(motion.torque))} transmitted${look.clamp === undefined ? '' : ` at ${force(look.clamp)} clamp`}, ${apart.toFixed(0)} rpm difference.`;
}

/** The kind of state shown, announced only when it changes. */
export const stateOf = ({ motion, look }: RideReading): string =>
  !motion
    ? look.clearance > 0
      ? 'open'
      : 'closed'
    : motion.state !== 'slipping'
      ? motion.state
      : motion.capacity > 0
        ? 'slipping'
        : 'open';
