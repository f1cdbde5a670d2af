import { alternate, blankCoilGroup, blankJob, blankKind } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';

import { manual, measuredOn, read, stripped } from './common';
import { CURVES } from './curves';

/**
 * Big twin, neutral hard to find: a reduced-effort part was fitted where lift was already scarce. Half way through its
 * measuring run.
 */
export function hardToFindNeutral(): Job {
  const job = blankJob('demo-ur-0103', 'UR-0103', '2026-11-16T13:30:00.000Z');
  const date = '2026-11-20';
  const made: Job = {
    ...job,
    stage: 'inspect',
    updatedAt: '2026-11-20T11:45:00.000Z',
    machine: {
      ...job.machine,
      name: 'Brae 1200',
      use: 'big twin',
      layout: 'pack',
      meter: 'distance',
    },
    intake: {
      ...job.intake,
      complaints: ['neutral', 'drags'],
      aims: ['restore', 'lighter'],
      oil: 'wetClutch',
      distance: entry(46800, measuredOn('2026-11-16')),
      due: '2026-11-30',
      tests: { coldHot: 'good', freePlay: 'good' },
    },
    engine: {
      peakTorque: manual(105),
      peakTorqueRpm: manual(3500),
      idleRpm: manual(950),
      primaryRatio: manual(1.6),
      curve: CURVES.brae1200,
    },
    pack: {
      ...job.pack,
      windowMin: manual(41.2),
      windowMax: manual(42.6),
      maxWear: manual(1.2),
      kinds: [
        {
          ...blankKind('disc', 'friction', 'Disc'),
          thickness: manual(3.5),
          minThickness: manual(3.3),
          outerRadius: manual(70),
          innerRadius: manual(58),
          tangRadius: entry(73),
        },
        {
          ...blankKind('steel', 'steel', 'Steel 2.0'),
          thickness: manual(2),
          minThickness: manual(1.9),
          tangRadius: entry(54),
          grindable: false,
        },
      ],
      plates: read(
        alternate('disc', 'steel', 8, 'friction', (n) => `p${n}`),
        [
          [3.42, 3.43, 3.42, 3.42],
          [],
          [3.41, 3.42, 3.43, 3.42],
          [],
          [3.4, 3.41, 3.41, 3.42],
          [],
          [3.41, 3.42, 3.42, 3.41],
          [],
          [3.42, 3.42],
        ],
        date,
      ).map((p) => (p.id === 'p2' ? { ...p, seen: ['hotSpots'] as const } : p)),
    },
    springs: {
      ...job.springs,
      type: 'diaphragm',
      diaphragm: {
        forceFrom: 'geometry',
        points: [],
        steps: [],
        outerDiameter: manual(130),
        innerDiameter: manual(100),
        thickness: manual(1.6),
        coneHeight: manual(3.2),
        referenceDeflection: manual(2),
        referenceStack: manual(42),
        fingerRatio: manual(1),
      },
    },
    release: {
      ...job.release,
      type: 'cable',
      leverTravel: entry(64, measuredOn('2026-11-16')),
      leverRatio: entry(5, measuredOn('2026-11-16')),
      cableSlack: entry(0.6, measuredOn('2026-11-16')),
      armLength: entry(34, measuredOn('2026-11-16')),
      lead: manual(40),
      freePlay: entry(3, measuredOn('2026-11-16')),
      stretch: entry(2, measuredOn('2026-11-16')),
      reducedEffort: entry(1.25, { kind: 'entered', note: 'as its box says' }),
      requiredLift: manual(1.9),
    },
    inspection: { ...job.inspection, steelWarpLimit: manual(0.15), taperLimit: manual(0.1) },
    notes: 'A reduced-effort ramp was put in last winter; neutral has been hard to find since.',
  };
  return stripped(
    made,
    date,
    { 'Cover bolts': 10, 'Retainer bolts': 6 },
    'Cover gasket in one piece. Adjuster locknut was loose.',
  );
}

/** Restoration: loose springs between two plates, mixed and unevenly fitted, on a hub too narrow for the pack. */
export function narrowHub(): Job {
  const job = blankJob('demo-ur-0104', 'UR-0104', '2026-11-10T15:00:00.000Z');
  const date = '2026-11-15';
  const own = { kind: 'entered', note: 'own rule of the shop, no manual' } as const;
  const made: Job = {
    ...job,
    stage: 'specify',
    updatedAt: '2026-11-18T17:10:00.000Z',
    machine: { ...job.machine, name: 'Coppice 500', use: 'restoration', layout: 'pack' },
    intake: {
      ...job.intake,
      complaints: ['chatters', 'drags'],
      aims: ['restore', 'feel'],
      oil: 'wetClutch',
    },
    engine: {
      peakTorque: manual(34),
      peakTorqueRpm: manual(4500),
      idleRpm: manual(900),
      primaryRatio: manual(2.3),
    },
    pack: {
      ...job.pack,
      splineLength: entry(35.4, measuredOn(date)),
      windowMin: manual(35),
      windowMax: manual(36.2),
      kinds: [
        {
          ...blankKind('disc', 'friction', 'Disc'),
          lining: 'cork',
          thickness: entry(3.6, measuredOn(date)),
          minThickness: entry(3.4, own),
          outerRadius: entry(66, measuredOn(date)),
          innerRadius: entry(52, measuredOn(date)),
        },
        { ...blankKind('steel', 'steel', 'Steel 2.0'), thickness: entry(2, measuredOn(date)) },
      ],
      plates: read(
        alternate('disc', 'steel', 6, 'steel', (n) => `p${n}`),
        Array.from({ length: 13 }, (_, i) => (i % 2 === 0 ? [2] : [3.61, 3.6, 3.59, 3.6])),
        date,
      ).map((p, i) =>
        i % 2 === 0
          ? {
              ...p,
              outOfFlat: entry([0.01, 0.02, 0, 0.02, 0.01, 0.02, 0][i / 2] ?? 0, measuredOn(date)),
            }
          : p,
      ),
    },
    springs: {
      ...job.springs,
      type: 'loose',
      loose: {
        span: entry(48.4, measuredOn(date)),
        pocketInner: entry(6, measuredOn(date)),
        pocketOuter: entry(6, measuredOn(date)),
        gapMin: manual(12.2),
        gapMax: manual(13),
      },
      coil: {
        ringRadius: entry(40, measuredOn(date)),
        ring: [
          'long',
          'long',
          'long',
          'long',
          'short',
          'short',
          'short',
          'long',
          'short',
          'long',
          'short',
          'short',
        ],
        groups: [
          {
            ...blankCoilGroup('long', 'Long springs'),
            count: entry(6),
            rate: entry(8.5, { kind: 'tested', date }),
            freeLength: entry(40, measuredOn(date)),
            solidLength: entry(18, measuredOn(date)),
          },
          {
            ...blankCoilGroup('short', 'Short springs'),
            count: entry(6),
            rate: entry(8.5, { kind: 'tested', date }),
            freeLength: entry(37.6, measuredOn(date)),
            solidLength: entry(18, measuredOn(date)),
          },
        ],
      },
    },
    release: {
      ...job.release,
      type: 'measured',
      leverTravel: entry(58, measuredOn(date)),
      liftReadings: [
        [0, 1.72],
        [120, 1.21],
        [240, 1.49],
      ].map(([angle = 0, lift = 0], i) => ({
        id: `d${i}`,
        angle: entry(angle),
        lift: entry(lift, measuredOn(date)),
      })),
    },
    inspection: { ...job.inspection, steelWarpLimit: entry(0.1, own) },
    notes: 'No manual to be had. Springs came in two lengths, mixed in a drawer for years.',
  };
  return stripped(
    made,
    date,
    { 'Cover bolts': 8, Dowels: 2, 'Nuts of the spring plate': 4, Springs: 12, 'Drive pins': 6 },
    'Corks new from the last owner, never run in. Springs were fitted in no order.',
  );
}
