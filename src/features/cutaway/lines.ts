import type { Quantity, UnitChoice } from '@/core/units/quantity';
import { formatWithUnit } from '@/core/units/quantity';

import type { Reading } from './RideLoop';

interface Line {
  readonly name: string;
  readonly text: string;
}

/** Everything that is read off the cutaway, each with its unit. */
export function linesOf(reading: Reading, units: UnitChoice): readonly Line[] {
  const { look, motion, speeds } = reading;
  const line = (name: string, value: number | undefined, quantity: Quantity, decimals?: number) =>
    value === undefined ? [] : [{ name, text: formatWithUnit(value, quantity, units, decimals) }];
  return [
    ...line('Engine', speeds?.engine, 'speed', 0),
    ...line('Hub, as engine', speeds?.hub, 'speed', 0),
    ...line('Torque', motion && Math.abs(motion.torque), 'torque', 0),
    ...line('Can carry', motion?.capacity, 'torque', 0),
    ...line('Clamp on plates', look.clamp, 'force', 0),
    ...line('Lift', look.lift, 'length', 2),
    ...line('At each face', look.clearance, 'length'),
    ...line('Lever pull', look.pull, 'force', 0),
    ...(look.growth > 0 ? line('Disc grown', look.growth, 'length', 2) : []),
    ...(look.gain > 0 ? line('Lever gained', look.gain, 'length', 1) : []),
    ...line('Steels', motion?.steel, 'temperature', 0),
    ...line('Heat', motion?.heat, 'energy', 0),
  ];
}
