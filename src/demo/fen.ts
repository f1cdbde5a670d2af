import { alternate, blankCoilGroup, blankJob, blankKind } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';

import { manual, measuredOn, read, stripped, testedOn } from './common';

/**
 * Road twin with a hub on assist-and-slip ramps: a light lever is wanted and no hop on overrun, and neutral is stiff on cold
 * mornings although the clearances are in order.
 */
export function stiffWhenCold(): Job {
  const job = blankJob('demo-ur-0107', 'UR-0107', '2026-11-20T09:30:00.000Z');
  const date = '2026-11-24';
  const at = measuredOn(date);
  const plates = alternate('disc', 'steel', 7, 'friction', (n) => `p${n}`);
  const thick = [2.98, 2.01, 2.98, 1.99, 2.97, 2, 2.98, 2.01, 2.98, 2, 2.97, 2, 2.98];
  const made: Job = {
    ...job,
    stage: 'specify',
    updatedAt: '2026-11-26T16:05:00.000Z',
    machine: { ...job.machine, name: 'Fen 800', use: 'road twin', layout: 'pack' },
    intake: {
      ...job.intake,
      complaints: ['coldOnly', 'neutral'],
      aims: ['lighter'],
      oil: 'wetClutch',
    },
    engine: {
      peakTorque: manual(66),
      peakTorqueRpm: manual(6500),
      idleRpm: manual(1250),
      primaryRatio: manual(1.9),
    },
    duty: { mass: entry(285), wheelRadius: entry(312), gearRatio: entry(9.4) },
    oil: { grade: 'sae10w40', coldest: entry(5) },
    pack: {
      ...job.pack,
      windowMin: manual(32.3),
      windowMax: manual(33.1),
      kinds: [
        {
          ...blankKind('disc', 'friction', 'Disc'),
          thickness: manual(3),
          minThickness: manual(2.85),
          outerRadius: manual(66),
          innerRadius: manual(53),
          tangRadius: entry(69),
        },
        {
          ...blankKind('steel', 'steel', 'Steel 2.0'),
          thickness: manual(2),
          tangRadius: entry(49),
        },
      ],
      plates: read(
        plates,
        thick.map((mm) => [mm]),
        date,
      ).map((p) => (p.kindId === 'steel' ? { ...p, outOfFlat: entry(0.02, at) } : p)),
    },
    springs: {
      ...job.springs,
      type: 'coil',
      coil: {
        ...job.springs.coil,
        seatDistance: entry(59.4, at),
        groups: [
          {
            ...blankCoilGroup('springs', 'Three springs'),
            count: entry(3),
            rate: entry(53, testedOn(date)),
            freeLength: entry(34.5, at),
            solidLength: entry(19.5, at),
          },
        ],
      },
    },
    fittings: {
      ramps: {
        type: 'ramps',
        radius: entry(33, at),
        driveAngle: entry(77, at),
        overrunAngle: entry(58, at),
        braking: entry(30, { kind: 'entered', note: 'made-up coast-down' }),
        wear: entry(0.03, at),
      },
    },
    release: {
      ...job.release,
      type: 'cable',
      leverTravel: entry(62, at),
      leverRatio: entry(5.2, at),
      cableSlack: entry(0.5, at),
      armLength: entry(36, at),
      lead: manual(35),
      freePlay: entry(2.5, at),
      pullMax: entry(60, { kind: 'entered', note: 'the rider’s own limit' }),
    },
    inspection: { ...job.inspection, steelWarpLimit: manual(0.1) },
    slips: [
      {
        id: 'dyno',
        date,
        kindId: 'disc',
        note: 'first slip on the dyno, third gear',
        torque: entry(88, at),
        rpm: entry(6200, at),
      },
    ],
    notes: 'Lever light, no hop wanted into corners. Neutral hides until the oil is warm.',
  };
  return stripped(made, date, { 'Cover bolts': 11, Springs: 3 });
}
