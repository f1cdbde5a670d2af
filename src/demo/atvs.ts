import { alternate, blankCoilGroup, blankJob, blankKind } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';

import { LIMITS_OF_HOLM, manual, measuredOn, read, stripped } from './common';
import { CURVES } from './curves';
import { countedIn, withTorques, worked } from './worked';

/**
 * Utility quad, hands-off starts wanted: an expanding disc on a diaphragm past its peak. The first lever gain was off target,
 * the second gave this machine's own ratio.
 */
export function handsOff(): Job {
  const job = blankJob('demo-ur-0102', 'UR-0102', '2026-10-02T10:15:00.000Z');
  const date = '2026-11-12';
  const made: Job = {
    ...job,
    stage: 'set',
    updatedAt: '2026-11-19T14:20:00.000Z',
    machine: {
      ...job.machine,
      name: 'Holm 700',
      use: 'utility quad',
      layout: 'pack',
      limitsId: LIMITS_OF_HOLM,
    },
    intake: {
      ...job.intake,
      aims: ['handsOff'],
      oil: 'wetClutch',
      hours: entry(640, measuredOn(date)),
      due: '2026-11-27',
    },
    engine: {
      peakTorque: manual(58),
      peakTorqueRpm: manual(5500),
      idleRpm: manual(1400),
      primaryRatio: manual(2.1),
      curve: CURVES.holm700,
    },
    pack: {
      ...job.pack,
      windowMin: manual(34.4),
      windowMax: manual(35.6),
      kinds: [
        {
          ...blankKind('disc', 'friction', 'Disc'),
          thickness: manual(3.2),
          minThickness: manual(2.95),
          outerRadius: manual(62),
          innerRadius: manual(50),
          tangRadius: entry(65),
        },
        {
          ...blankKind('steel', 'steel', 'Steel 2.0'),
          thickness: manual(2),
          tangRadius: entry(46),
        },
      ],
      plates: alternate('disc', 'steel', 7, 'friction', (n) => `p${n}`).map((p) => ({
        ...p,
        ...(p.kindId === 'disc'
          ? { isNew: true }
          : {
              readings: { '1': entry(2, measuredOn(date)) },
              outOfFlat: entry(0.03, measuredOn(date)),
            }),
      })),
    },
    springs: {
      ...job.springs,
      type: 'diaphragm',
      diaphragm: {
        forceFrom: 'geometry',
        points: [],
        outerDiameter: manual(118),
        innerDiameter: manual(88),
        thickness: manual(1.6),
        coneHeight: manual(3.4),
        referenceDeflection: manual(2.1),
        referenceStack: manual(34.4),
        fingerRatio: manual(1),
        stepId: 'step2',
        steps: [
          { id: 'step1', name: '1', offset: manual(0), bandMin: manual(34), bandMax: manual(34.4) },
          {
            id: 'step2',
            name: '2',
            offset: manual(0.2),
            bandMin: manual(34.4),
            bandMax: manual(34.9),
          },
          {
            id: 'step3',
            name: '3',
            offset: manual(0.4),
            bandMin: manual(34.9),
            bandMax: manual(35.6),
          },
        ],
      },
    },
    release: {
      ...job.release,
      type: 'cable',
      leverTravel: entry(62, measuredOn(date)),
      leverRatio: entry(5, measuredOn(date)),
      cableSlack: entry(1.5, measuredOn(date)),
      armLength: entry(33, measuredOn(date)),
      lead: manual(32),
    },
    expanding: {
      fitted: true,
      count: manual(8),
      mass: manual(0.018),
      radius: manual(55),
      advantage: manual(5),
      returnForce: manual(332),
      returnRate: manual(25),
      growth: manual(1.4),
    },
    setting: {
      installGap: entry(0.94, measuredOn(date)),
      gapMin: manual(0.8),
      gapMax: manual(1.1),
      pitch: manual(0.75),
      marksPerTurn: manual(8),
      turnsOut: entry(1, measuredOn('2026-11-19')),
      marksOut: entry(2, measuredOn('2026-11-19')),
      targetGain: manual(12),
      readings: [
        {
          id: 'g1',
          turns: entry(0.75, measuredOn('2026-11-18')),
          gain: entry(27, measuredOn('2026-11-18')),
        },
        {
          id: 'g2',
          turns: entry(1.25, measuredOn('2026-11-19')),
          gain: entry(15, measuredOn('2026-11-19')),
        },
      ],
    },
    notes: 'Rider has a weak left hand: hands-off starts and stops, lever kept for trials.',
  };
  const torqued = withTorques(stripped(made, date, { 'Drive pins': 6 }), {
    hubNut: [88, '64.9 ft-lb'],
    springs: [11.5, '101.8 in-lb'],
    cover: [12.5, '110.6 in-lb'],
    springCount: 8,
    coverCount: 12,
  });
  const built = worked(countedIn(torqued, '2026-11-17'), 'build', '2026-11-17T08:30:00.000Z');
  return worked(built, 'set', '2026-11-18T09:00:00.000Z', 'freePlay');
}

/** Farm quad that creeps at idle: its start clutch touches below idle, the small change pack is not to blame. */
export function creepsAtIdle(): Job {
  const job = blankJob('demo-ur-0105', 'UR-0105', '2026-11-21T09:40:00.000Z');
  const date = '2026-11-21';
  return {
    ...job,
    stage: 'intake',
    updatedAt: '2026-11-21T10:05:00.000Z',
    machine: { ...job.machine, name: 'Moss 250', use: 'farm quad', layout: 'startAndPack' },
    intake: {
      ...job.intake,
      complaints: ['creeps', 'clunks'],
      aims: ['restore'],
      oil: 'unknown',
      hours: entry(910, measuredOn(date)),
      due: '2026-12-05',
    },
    engine: {
      peakTorque: manual(19),
      peakTorqueRpm: manual(6000),
      idleRpm: entry(1500, measuredOn(date)),
      primaryRatio: manual(2.9),
    },
    startClutch: {
      place: 'crank',
      shoes: manual(4),
      mass: entry(0.11, measuredOn(date)),
      radius: manual(42),
      springPull: entry(100, measuredOn(date)),
      drumRadius: manual(57),
      friction: manual(0.12),
    },
    pack: {
      ...job.pack,
      kinds: [
        {
          ...blankKind('disc', 'friction', 'Disc'),
          thickness: manual(2.9),
          minThickness: manual(2.6),
          outerRadius: manual(52),
          innerRadius: manual(42),
        },
        { ...blankKind('steel', 'steel', 'Steel'), thickness: manual(1.5) },
      ],
      plates: read(
        alternate('disc', 'steel', 5, 'friction', (n) => `p${n}`),
        [],
        date,
      ),
    },
    springs: {
      ...job.springs,
      coil: {
        ring: [],
        seatDistance: manual(48),
        groups: [
          {
            ...blankCoilGroup('spring', 'Springs'),
            count: manual(4),
            rate: manual(30),
            freeLength: manual(38),
            solidLength: manual(20),
            minFreeLength: manual(36.5),
          },
        ],
      },
    },
    release: { ...job.release, type: 'measured' },
    notes: 'Pulls forward on level ground with the brake off. Worse when cold.',
  };
}
