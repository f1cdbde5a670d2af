import type { FigureId } from '@/core/evaluate/engine/figure';
import type { Quantity, UnitChoice } from '@/core/units/quantity';
import { formatWithUnit } from '@/core/units/quantity';

import type { RideReading } from './RideLoop';

/** A figure that is read off the cutaway. */
export interface Line {
  readonly name: string;
  readonly text: string;
  /** How it is worked out at this moment, in a sentence. */
  readonly how: string;
  /** The figure of the job that it follows from. */
  readonly figure?: FigureId;
}

/** Everything that is read off the cutaway, each with its unit and how it comes about. */
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
      'Engine torque less clutch torque, over the inertia of the engine side.',
    ),
    ...line(
      'Hub, as engine',
      speeds?.hub,
      ['speed', 0],
      'Speed of the hub × primary ratio: what the engine would turn with the clutch locked.',
    ),
    ...line(
      'Torque',
      motion && Math.abs(motion.torque),
      ['torque', 0],
      'Slipping, all that the clutch can carry; locked, what passes between engine and hub.',
      'torqueAtClutch',
    ),
    ...line(
      'Can carry',
      motion?.capacity,
      ['torque', 0],
      `Capacity of the pack with tang friction at typical friction and this engine speed × the ${share} of the clamp that presses; friction falls to its low end as the steels pass 150 to 250 °C. Behind a start clutch, the lesser of shoes and pack.`,
      'capacityWithTangs',
    ),
    ...line(
      'Clamp on plates',
      look.clamp,
      ['force', 0],
      `Springs and weights at this engine speed × the ${share} that the lever lets press.`,
      'clamp',
    ),
    ...line(
      'Lift',
      look.lift,
      ['length', 2],
      'The release train with the lever here, losses taken off.',
      'liftHad',
    ),
    ...line(
      'At each face',
      look.clearance,
      ['length'],
      'Lift less the out-of-flat of the plates, ÷ the friction faces.',
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
          'Disc grown',
          look.growth,
          ['length', 2],
          'Where weights, return springs and clutch springs balance.',
          'expandContact',
        )
      : []),
    ...(look.gain > 0
      ? line(
          'Lever gained',
          look.gain,
          ['length', 1],
          'Ratio × (growth − install gap).',
          'leverGain',
        )
      : []),
    ...line(
      'Steels',
      motion?.steel,
      ['temperature', 0],
      'Slip heat over the heat capacity of the steels, less what the oil takes.',
      'steelRise',
    ),
    ...line(
      'Heat',
      motion?.heat,
      ['energy', 0],
      'Torque × slip speed, added up since the start.',
      'startHeat',
    ),
  ];
}
