import { alternate, blankCoilGroup, blankJob, blankKind } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import type { Job, Plate, PlateKind, Visit } from '@/core/job/types';

import { signed } from '@/core/signoff/revisions';
import { digestOf } from '@/files/digest';

import { LIMITS_OF_TARN, manual, measuredOn, read, stripped } from './common';
import { CURVES } from './curves';
import { BENCH, countedIn, withTorques, worked } from './worked';

/** Common data of both Tarn 450. */
const TARN_DISC: PlateKind = {
  ...blankKind('disc', 'friction', 'Disc'),
  thickness: manual(2.9),
  minThickness: manual(2.7),
  outerRadius: manual(58.5),
  innerRadius: manual(46.5),
  tangRadius: entry(61),
};
const TARN_FIRST_DISC: PlateKind = {
  ...TARN_DISC,
  id: 'disc-bore',
  name: 'Disc, large bore',
  innerRadius: manual(50.5),
};
const TARN_STEEL: PlateKind = {
  ...blankKind('steel', 'steel', 'Steel 1.6'),
  thickness: manual(1.6),
  tangRadius: entry(43),
};

function tarn(id: string, number: string, at: string): Job {
  const job = blankJob(id, number, at);
  return {
    ...job,
    duty: {
      mass: entry(186),
      wheelRadius: entry(322),
      gearRatio: entry(8.9),
      startRpm: entry(4200),
    },
    engine: {
      peakTorque: manual(41),
      peakTorqueRpm: manual(7000),
      idleRpm: manual(1700),
      primaryRatio: manual(2.55),
      curve: CURVES.tarn450,
    },
    intake: { ...job.intake, oil: 'wetClutch' },
    inspection: { ...job.inspection, discPoints: 3 },
    pack: {
      ...job.pack,
      kinds: [TARN_DISC, TARN_FIRST_DISC, TARN_STEEL],
      windowMin: manual(33.9),
      windowMax: manual(34.7),
    },
  };
}

/** Lays discs and steels in turn, the innermost disc with the large bore for the judder spring. */
function lay(discs: number, steel: string): Plate[] {
  return alternate('disc', steel, discs, 'friction', (n) => `p${n}`).map((p, i) =>
    i === 0 ? { ...p, kindId: 'disc-bore' } : p,
  );
}

/**
 * Trail single, lighter lever wanted: a ninth disc on thin steels allows softer springs. Its variants: the original pack, and
 * the softer springs alone, which slip.
 */
export function lighterLever(): Job {
  const job = nineDiscs();
  const { springs } = slipping();
  const eight = {
    ...job.pack,
    kinds: [TARN_DISC, TARN_FIRST_DISC, TARN_STEEL],
    plates: lay(8, 'steel'),
  };
  const { assist, startClutch, release, expanding, setting } = job;
  const rest = { assist, startClutch, release, expanding, setting };
  return {
    ...job,
    variantName: 'Nine discs, soft springs',
    variants: [
      { id: 'as-it-came', name: 'As it came', pack: eight, springs, ...rest },
      { id: 'soft-alone', name: 'Soft springs alone', pack: eight, springs: job.springs, ...rest },
    ],
  };
}

/** The same, built, set, proved, broken in and measured again, and signed. */
export function signedLighterLever(): Job {
  const job = withTorques(
    stripped(lighterLever(), '2026-02-16', { ...OUT_0106, 'Pushrod ball or bearing': 1 }),
    TARN_TORQUES,
  );
  const set: Job = {
    ...countedIn(job, '2026-03-09'),
    build: { ...job.build, soakStart: '2026-03-08T17:00:00.000Z' },
    setting: { ...job.setting, freePlayMin: manual(2), freePlayMax: manual(6) },
    release: {
      ...job.release,
      leverTravel: entry(64, measuredOn('2026-03-09')),
      freePlay: entry(2.5, measuredOn('2026-03-09')),
      liftReadings: [
        [0, 1.85],
        [120, 1.83],
        [240, 1.86],
      ].map(([angle = 0, lift = 0], i) => ({
        id: `d${i}`,
        angle: entry(angle),
        lift: entry(lift, measuredOn('2026-03-09')),
      })),
    },
    prove: {
      ...job.prove,
      starts: [
        { id: 'first', name: 'First gear', wanted: manual(10), done: entry(10) },
        { id: 'second', name: 'Second gear', wanted: manual(10), done: entry(10) },
      ],
      recheckFreePlay: entry(2.2, measuredOn('2026-03-09')),
      recheckLift: entry(1.84, measuredOn('2026-03-09')),
    },
  };
  const built = worked(set, 'build', '2026-03-09T08:00:00.000Z');
  const done = worked(
    worked(built, 'set', '2026-03-09T11:10:00.000Z'),
    'prove',
    '2026-03-09T13:00:00.000Z',
  );
  const sealed = signed(done, BENCH, '2026-03-09T15:40:00.000Z', digestOf);
  return { ...sealed, visits: returnsOf(sealed), updatedAt: '2026-11-16T10:20:00.000Z' };
}

/** Wear of each disc at each visit, in thousandths of a millimetre, innermost first. */
const LOST = [
  { date: '2026-05-11', hours: 230, lost: [6, 7, 7, 6, 7, 7, 6, 7, 7], play: 2.4 },
  { date: '2026-08-03', hours: 253, lost: [16, 17, 17, 16, 17, 17, 16, 17, 17], play: 2.6 },
  { date: '2026-11-16', hours: 278, lost: [25, 26, 25, 26, 25, 26, 25, 26, 26], play: 2.7 },
] as const;

/** Three returns on which every disc was measured by micrometer. */
function returnsOf(job: Job): Visit[] {
  const discs = job.pack.plates.filter((p) => p.kindId !== 'steel-thin');
  return LOST.map(({ date, hours, lost, play }, n) => ({
    id: `return-${n + 1}`,
    date,
    hours: entry(hours),
    freePlay: entry(play, measuredOn(date)),
    readings: Object.fromEntries(
      discs.map((disc, i) => {
        const built = Math.min(...Object.values(disc.readings ?? {}).map((r) => r.value));
        const now = Math.round(1000 * built - (lost[i] ?? 0)) / 1000;
        return [disc.id, entry(now, measuredOn(date))] as const;
      }),
    ),
    note: n === 2 ? 'Oil changed, lever still light.' : '',
  }));
}

function nineDiscs(): Job {
  const job = tarn('demo-ur-0101', 'UR-0101', '2026-02-16T09:20:00.000Z');
  const date = '2026-03-09';
  const thin: PlateKind = {
    ...TARN_STEEL,
    id: 'steel-thin',
    name: 'Steel 1.0',
    thickness: entry(1, measuredOn('2026-02-16')),
  };
  return {
    ...job,
    stage: 'log',
    intake: {
      ...job.intake,
      complaints: ['heavy'],
      aims: ['lighter'],
      hours: entry(212, measuredOn(date)),
    },
    updatedAt: '2026-03-09T15:40:00.000Z',
    machine: {
      ...job.machine,
      name: 'Tarn 450',
      use: 'trail single',
      layout: 'pack',
      limitsId: LIMITS_OF_TARN,
    },
    pack: {
      ...job.pack,
      kinds: [TARN_DISC, TARN_FIRST_DISC, thin],
      // Thin steels leave the springs more travel: the limits reach lower than the maker's.
      windowMin: manual(33.5),
      plates: read(
        lay(9, 'steel-thin'),
        [
          [2.89, 2.88, 2.89],
          [1.001],
          [2.88, 2.89, 2.88],
          [0.999],
          [2.89, 2.89, 2.88],
          [1.0],
          [2.88, 2.88, 2.89],
          [1.002],
          [2.89, 2.88, 2.88],
          [0.998],
          [2.88, 2.88, 2.88],
          [1.001],
          [2.87, 2.88, 2.88],
          [1.0],
          [2.88, 2.87, 2.88],
          [0.999],
          [2.87, 2.87, 2.88],
        ],
        date,
      ).map((p) =>
        p.kindId === 'steel-thin' ? { ...p, outOfFlat: entry(0, measuredOn(date)) } : p,
      ),
    },
    springs: {
      ...job.springs,
      coil: {
        ring: [],
        seatDistance: manual(70.3),
        pressurePlate: entry(4, measuredOn('2026-02-16')),
        groups: [
          {
            ...blankCoilGroup('soft', 'Soft set'),
            count: entry(6),
            rateFrom: 'wire',
            wireDiameter: entry(2.7, measuredOn('2026-02-16')),
            meanDiameter: entry(15.5, measuredOn('2026-02-16')),
            activeCoils: entry(6),
            totalCoils: entry(7.5),
            freeLength: entry(42, measuredOn(date)),
          },
        ],
      },
    },
    release: {
      ...job.release,
      type: 'hydraulic',
      leverTravel: entry(62, measuredOn('2026-02-16')),
      leverRatio: entry(5.2, measuredOn('2026-02-16')),
      lostTravel: entry(0.4, measuredOn(date)),
      masterDiameter: manual(11),
      slaveDiameter: manual(27.5),
    },
    notes: 'Wanted a lighter lever and no slip. Soft springs alone slipped on the test hill.',
  };
}

/** Small parts counted in UR-0106; 1 for all others. */
const OUT_0106: Readonly<Record<string, number>> = {
  'Cover bolts': 9,
  Dowels: 2,
  'Spring bolts and washers': 6,
  Springs: 6,
  'Drive pins': 6,
};

/** The made-up manual's torques for both Tarn 450, as it gives them. */
const TARN_TORQUES = {
  hubNut: [74, '74 Nm'],
  springs: [8.5, '8.5 Nm'],
  cover: [11, '11 Nm'],
  springCount: 6,
  coverCount: 9,
} as const;

/**
 * Another frame, slips when hot: used discs kept, steels picked from the box. Half put together, a drive pin still to be
 * counted in.
 */
export function slipsWhenHot(): Job {
  const out = withTorques(stripped(slipping(), '2026-11-17', OUT_0106), TARN_TORQUES);
  const soaking: Job = {
    ...out,
    build: { ...out.build, soakStart: '2026-11-19T16:40:00.000Z' },
  };
  const counted = countedIn(soaking, '2026-11-20', ['Drive pins']);
  return worked(counted, 'build', '2026-11-20T13:40:00.000Z', 'rod');
}

function slipping(): Job {
  const job = tarn('demo-ur-0106', 'UR-0106', '2026-11-17T08:05:00.000Z');
  const date = '2026-11-18';
  const plates = read(
    lay(8, 'steel'),
    [
      [2.84, 2.85, 2.84],
      [1.598],
      [2.85, 2.84, 2.85],
      [1.602],
      [2.83, 2.84, 2.84],
      [1.601],
      [2.84, 2.84, 2.83],
      [1.597],
      [2.84, 2.85, 2.85],
      [1.6],
      [2.83, 2.83, 2.84],
      [1.603],
      [2.84, 2.83, 2.84],
      [1.599],
      [2.83, 2.82, 2.83],
    ],
    date,
  );
  return {
    ...job,
    stage: 'build',
    intake: {
      ...job.intake,
      complaints: ['slips', 'burnt'],
      aims: ['restore'],
      hours: entry(148, measuredOn(date)),
      due: '2026-11-28',
    },
    updatedAt: '2026-11-20T16:30:00.000Z',
    machine: {
      ...job.machine,
      name: 'Tarn 450',
      use: 'trail single, second frame',
      layout: 'pack',
      limitsId: LIMITS_OF_TARN,
    },
    pack: {
      ...job.pack,
      windowMin: manual(33.7),
      windowMax: manual(34.5),
      plates: plates.map((p, i) =>
        p.kindId === 'steel'
          ? { ...p, outOfFlat: entry(i % 4 === 1 ? 0.01 : 0, measuredOn(date)) }
          : p,
      ),
    },
    springs: {
      ...job.springs,
      coil: {
        ring: [],
        seatDistance: manual(70.3),
        pressurePlate: entry(4, measuredOn(date)),
        groups: [
          {
            ...blankCoilGroup('stock', 'New set'),
            count: entry(6),
            rateFrom: 'tester',
            solidLength: entry(20.8, measuredOn(date)),
            testerPoints: [
              {
                id: 't1',
                length: entry(36, measuredOn(date)),
                force: entry(163, { kind: 'tested', date }),
              },
              {
                id: 't2',
                length: entry(32, measuredOn(date)),
                force: entry(265, { kind: 'tested', date }),
              },
              {
                id: 't3',
                length: entry(30, measuredOn(date)),
                force: entry(314, { kind: 'tested', date }),
              },
            ],
          },
        ],
      },
    },
    release: {
      ...job.release,
      type: 'cable',
      leverTravel: entry(64, measuredOn(date)),
      leverRatio: entry(5, measuredOn(date)),
      cableSlack: entry(1.5, measuredOn(date)),
      armLength: entry(32, measuredOn(date)),
      lead: manual(30),
    },
    notes:
      'Slipped on long climbs once warm. Discs within limits, springs were short: new set fitted.',
  };
}
