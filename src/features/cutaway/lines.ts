import type { FigureId } from '@/core/evaluate/engine/figure';
import type { Quantity } from '@/core/units/quantity';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit } from '@/core/units/format';

import type { RideReading } from './RideLoop';

/** A figure that is read off the cutaway. */
export interface Line {
  readonly name: string;
  readonly text: string;
  /** Its present working, in one sentence. */
  readonly how: string;
  /** The figure of the job that it follows from. */
  readonly figure?: FigureId;
}

/** Every readout of the cutaway with its unit and working. */
export function linesOf(reading: RideReading, units: UnitChoice): readonly Line[] {
  const { look, motion, speeds } = reading;
  const line = (
    name: string,
    value: number | undefined,
    [quantity, decimals]: readonly [Quantity, number?],
    how: string,
    figure?: FigureId,
  ): readonly Line[] =>
    value === undefined
      ? []
      : [
          {
            name,
            text: formatWithUnit(value, quantity, units, decimals),
            how,
            ...(figure ? { figure } : {}),
          },
        ];
  const share = `${Math.round(100 * look.pressed)} %`;
  return [
    ...line(
      'Engine',
      speeds?.engine,
      ['speed', 0],
      'Engine torque minus clutch torque, divided by the inertia of the engine side.',
    ),
    ...line(
      'Hub at engine',
      speeds?.hub,
      ['speed', 0],
      'Hub speed × primary ratio: the engine speed with the clutch locked.',
    ),
    ...line(
      'Torque',
      motion && Math.abs(motion.torque),
      ['torque', 0],
      'While slipping, the clutch capacity; when locked, the torque between engine and hub.',
      'torqueAtClutch',
    ),
    ...line(
      'Capacity',
      motion?.capacity,
      ['torque', 0],
      `Capacity of the pack with tang friction, at typical friction and this engine speed × the clamp share ${share}. Friction drops to its lower limit as the steels pass 150 to 250 °C. With a start clutch, the smaller of shoes and pack.`,
      'capacityWithTangs',
    ),
    ...line(
      'Clamp on plates',
      look.clamp,
      ['force', 0],
      `Springs and weights at this engine speed × the share ${share} not held off by the lever.`,
      'clamp',
    ),
    ...line(
      'Lift',
      look.lift,
      ['length', 2],
      'The release train at this lever position, losses subtracted.',
      'liftHad',
    ),
    ...line(
      'Clearance per face',
      look.clearance,
      ['length'],
      'Lift minus the plates’ out-of-flat, ÷ the friction faces.',
      'clearancePerFace',
    ),
    ...line(
      'Lever pull',
      look.pull,
      ['force', 0],
      'Springs at this lift ÷ (ratio × efficiency).',
      'leverPull',
    ),
    ...(look.growth > 0
      ? line(
          'Disc growth',
          look.growth,
          ['length', 2],
          'Balance of weights, return springs and clutch springs.',
          'expandContact',
        )
      : []),
    ...(look.gain > 0
      ? line('Lever gain', look.gain, ['length', 1], 'Ratio × (growth − install gap).', 'leverGain')
      : []),
    ...line(
      'Steels',
      motion?.steel,
      ['temperature', 0],
      'Slip heat divided by the heat capacity of the steels, minus the heat carried off by the oil.',
      'steelRise',
    ),
    ...line(
      'Heat',
      motion?.heat,
      ['energy', 0],
      'Torque × slip speed, summed since the start.',
      'startHeat',
    ),
  ];
}
