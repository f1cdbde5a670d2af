import { alternate, blankCoilGroup, blankJob, blankKind } from '../job/blank';
import { entry } from '../job/entry';
import type { Job } from '../job/types';
import type { Dice } from './dice';

const NOW = '2026-01-01T00:00:00.000Z';

/** Data of an invented pack. */
export interface Kit {
  readonly discs: number;
  readonly disc: number;
  readonly steel: number;
  readonly outer: number;
  readonly inner: number;
}

/**
 * Measures of a pack as packs are.
 * @example kitOf(dice).discs // 5
 */
export function kitOf(dice: Dice): Kit {
  const outer = dice.real(54, 64, 0.5);
  return {
    discs: dice.whole(5, 8),
    disc: dice.pick([2.8, 2.9, 3, 3.2]),
    steel: dice.pick([1.5, 1.6, 2]),
    outer,
    inner: outer - dice.real(10, 13, 0.5),
  };
}

/**
 * An invented, complete job with six coil springs and a hydraulic lever, used to make cases.
 * @example benchJob(kitOf(dice)).springs.type // "coil"
 */
export function benchJob(kit: Kit): Job {
  const job = blankJob('exercise', 'Exercise', NOW);
  const plates = alternate('disc', 'steel', kit.discs, 'friction', (n) => `p${n}`);
  const stack = kit.discs * kit.disc + (kit.discs - 1) * kit.steel;
  return {
    ...job,
    intake: { ...job.intake, oil: 'wetClutch' },
    engine: {
      peakTorque: entry(40),
      peakTorqueRpm: entry(6500),
      idleRpm: entry(1500),
      primaryRatio: entry(2.6),
    },
    pack: {
      ...job.pack,
      kinds: [
        {
          ...blankKind('disc', 'friction', 'Disc'),
          thickness: entry(kit.disc),
          minThickness: entry(kit.disc - 0.2),
          outerRadius: entry(kit.outer),
          innerRadius: entry(kit.inner),
        },
        { ...blankKind('steel', 'steel', 'Steel'), thickness: entry(kit.steel) },
      ],
      plates,
    },
    springs: {
      ...job.springs,
      coil: {
        ring: [],
        seatDistance: entry(stack + 22),
        groups: [
          {
            ...blankCoilGroup('spring', 'Springs'),
            count: entry(6),
            rate: entry(22),
            freeLength: entry(33),
            solidLength: entry(15),
          },
        ],
      },
    },
    release: {
      ...job.release,
      leverTravel: entry(62),
      leverRatio: entry(5.2),
      lostTravel: entry(0.4),
      masterDiameter: entry(10),
      slaveDiameter: entry(27),
    },
  };
}
