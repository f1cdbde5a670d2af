import { upperFirst } from '@/core/text/sentence';
import type { UnitChoice } from '@/core/units/quantity';
import { formatWithUnit } from '@/core/units/quantity';

import type { RideReading } from './RideLoop';

/** Nearer than this a hub stands, rpm. */
const STANDS = 5;

/** What one sees, in a sentence with its figures. */
export function inWords({ look, motion, speeds }: RideReading, units: UnitChoice): string {
  const force = (value: number) => formatWithUnit(value, 'force', units, 0);
  const torque = (value: number) => formatWithUnit(value, 'torque', units, 0);
  const open =
    look.clearance > 0
      ? `the plates are ${formatWithUnit(look.clearance, 'length', units)} apart at each face`
      : 'the plates lie together';
  if (!motion || !speeds) return `${upperFirst(open)}.`;
  if (motion.state === 'stalled') return 'Stalled: the engine stands.';
  if (motion.state === 'locked')
    return `Locked: basket and hub turn as one; ${torque(Math.abs(motion.torque))} pass of the ${torque(motion.capacity)} that it can carry.`;
  if (motion.capacity <= 0)
    return `Open: ${open}, the basket turns and the hub ${speeds.hub < STANDS ? 'stands' : 'runs on'}.`;
  const apart = Math.abs(speeds.engine - speeds.hub);
  if (motion.atShoes)
    return `Slipping at the shoes: ${torque(Math.abs(motion.torque))} pass, ${apart.toFixed(0)} rpm apart; the pack itself is closed.`;
  return `Slipping: ${torque(Math.abs(motion.torque))} pass${look.clamp === undefined ? '' : ` under ${force(look.clamp)} of clamp`}, ${apart.toFixed(0)} rpm apart.`;
}

/** The kind of thing that is seen, for what is read out only when it changes. */
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
