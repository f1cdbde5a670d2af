/* Six clutches with their data, typed on the way from nothing to the signature. */

/** One job as a builder types it, from the new job to the signature. */
export interface Walk {
  readonly machine: string;
  /** Answers of the few questions, else which clutch it has. */
  readonly guide?: readonly string[];
  readonly complaint: string;
  readonly aim: string;
  /** The meter, if not hours. */
  readonly counts?: string;
  readonly intake: Readonly<Record<string, string>>;
  /** Answers at Strip about the clutch's construction. */
  readonly clutch: readonly (readonly [string, string])[];
  /** Clutch type, where it is not a plain pack. */
  readonly type?: string;
  /** Expected and unexpected lines of the strip list. */
  readonly listed: RegExp;
  readonly notListed: RegExp;
  readonly plates: number;
  readonly begins: 'Disc' | 'Steel';
  readonly springs: number;
  /** Typed by a keyboard gauge, by measurement. */
  readonly gauge: Readonly<
    Record<'Disc' | 'Steel' | 'flat' | 'Spring' | 'Diaphragm', string> &
      Partial<Record<'Start clutch shoes' | 'Start clutch drum', string>>
  >;
  readonly leastThickness: string;
  /** Further limits that verdicts wait for, by the key that leads to each. */
  readonly limits?: readonly (readonly [RegExp, string])[];
  /** Typed where a verdict needs it, by the end of the field's path. */
  readonly needed: Readonly<Record<string, string>>;
  /** Typed besides, by the part of Specify. */
  readonly besides: readonly (readonly [string, string, string])[];
  /** Read while it is put together. */
  readonly built?: Readonly<Record<string, string>>;
  readonly torques: readonly (readonly [string, string])[];
  readonly lifts: readonly string[];
  readonly setting: Readonly<Record<string, string>>;
  readonly gain?: string;
}

const COIL: Omit<Walk, 'machine' | 'clutch' | 'listed' | 'notListed'> = {
  complaint: 'Slips',
  aim: 'More torque capacity',
  intake: {
    'engine.peakTorque': '38',
    'engine.peakTorqueRpm': '7000',
    'engine.primaryRatio': '62/21',
  },
  plates: 15,
  begins: 'Disc',
  springs: 6,
  gauge: { Disc: '2.96', Steel: '1.51', flat: '0.05', Spring: '43.8', Diaphragm: '' },
  leastThickness: '2.7',
  needed: {
    'disc.outerRadius': '117',
    'disc.innerRadius': '93',
    seatDistance: '68.7',
    rate: '29',
    freeLength: '44',
    leverTravel: '40',
    leverRatio: '6.1',
    masterDiameter: '14',
    slaveDiameter: '24',
  },
  besides: [
    ['Pack', 'pack.windowMin', '33.4'],
    ['Pack', 'pack.windowMax', '34.6'],
    ['Springs', 'springs.coil.groups.spring.solidLength', '24'],
  ],
  torques: [
    ['68', ''],
    ['8.5', '6'],
    ['11', '9'],
  ],
  lifts: ['2.01', '1.98', '2.02'],
  setting: { 'release.freePlay': '2.5' },
};

/** One for each kind of clutch. */
export const WALKS: readonly Walk[] = [
  {
    ...COIL,
    machine: 'Fell 400, trail single',
    clutch: [
      ['Springs', 'Coil springs under bolts'],
      ['Release', 'Hydraulics'],
    ],
    listed: /slave cylinder/,
    notListed: /Slacken the cable/,
  },
  {
    ...COIL,
    machine: 'Fell 400, second frame',
    complaint: 'Won’t release when hot',
    clutch: [
      ['Springs', 'Coil springs under bolts'],
      ['Release', 'Cable'],
    ],
    listed: /Slacken the cable/,
    notListed: /slave cylinder/,
    needed: { ...COIL.needed, leverRatio: '4', armLength: '34', lead: '44' },
  },
  {
    ...COIL,
    machine: 'Fallow 650, utility quad',
    complaint: 'Creeps at idle',
    aim: 'Hands-off starts',
    intake: {
      'engine.peakTorque': '52',
      'engine.peakTorqueRpm': '5600',
      'engine.primaryRatio': '68/31',
      'engine.idleRpm': '1400',
    },
    clutch: [
      ['Springs', 'Diaphragm'],
      ['Release', 'Cable'],
    ],
    type: 'Auto-clutch: plate pack with an expanding disc',
    listed: /Write down the adjuster position/,
    notListed: /Springs out in their order/,
    plates: 11,
    gauge: { Disc: '2.97', Steel: '1.6', flat: '0.05', Spring: '', Diaphragm: '3.2' },
    leastThickness: '2.75',
    needed: {
      'disc.outerRadius': '126',
      'disc.innerRadius': '102',
      outerDiameter: '112',
      innerDiameter: '84',
      'diaphragm.thickness': '1.65',
      coneHeight: '3.3',
      referenceStack: '25.9',
      referenceDeflection: '2.6',
      'expanding.growth': '1.08',
      leverTravel: '42',
      leverRatio: '150/38',
      armLength: '24',
      lead: '22',
    },
    besides: [
      ['Pack', 'pack.windowMin', '25.4'],
      ['Pack', 'pack.windowMax', '26.3'],
      ['Machine', 'setting.gapMin', '0.6'],
      ['Machine', 'setting.gapMax', '0.9'],
      ['Machine', 'setting.pitch', '1.25'],
      ['Machine', 'setting.marksPerTurn', '8'],
      ['Machine', 'setting.targetGain', '9'],
    ],
    torques: [
      ['74', ''],
      ['8.5', '5'],
      ['11', '9'],
    ],
    lifts: ['1.51', '1.49', '1.53'],
    setting: { 'setting.goSize': '0.7', 'setting.noGoSize': '0.8', 'release.freePlay': '2' },
    gain: '9',
  },
  {
    ...COIL,
    machine: 'Ridgeway 1300, big twin',
    complaint: 'Neutral hard to find',
    aim: 'Lighter lever',
    counts: 'Distance run',
    intake: {
      'engine.peakTorque': '86 ft-lb',
      'engine.peakTorqueRpm': '3400',
      'engine.primaryRatio': '46/34',
      'intake.distance': '25600 mi',
    },
    clutch: [
      ['Springs', 'Diaphragm'],
      ['Release', 'Cable'],
    ],
    listed: /retainer’s step/,
    notListed: /Write down the adjuster position/,
    gauge: { Disc: '3.71', Steel: '1.57', flat: '0.05', Spring: '', Diaphragm: '3.5' },
    leastThickness: '3.5',
    needed: {
      'disc.outerRadius': '152',
      'disc.innerRadius': '121',
      outerDiameter: '134',
      innerDiameter: '104',
      'diaphragm.thickness': '2.0',
      coneHeight: '3.6',
      referenceStack: '40.6',
      referenceDeflection: '2.5',
      leverTravel: '52',
      leverRatio: '4.2',
      armLength: '30',
      lead: '34',
    },
    besides: [
      ['Pack', 'pack.windowMin', '40'],
      ['Pack', 'pack.windowMax', '41.2'],
      ['Release', 'release.stretch', '2'],
    ],
    torques: [
      ['64.9 ft-lb', ''],
      ['101.8 in-lb', '6'],
      ['12.5', '10'],
    ],
  },
  {
    ...COIL,
    machine: 'Heath 500, restoration',
    complaint: 'Chatters on take-off',
    aim: 'Restore it',
    intake: {
      'engine.peakTorque': '38',
      'engine.peakTorqueRpm': '4800',
      'engine.primaryRatio': '2.1',
    },
    clutch: [
      ['Springs', 'Loose, between two plates'],
      ['Release', 'Cable'],
    ],
    listed: /Measure the gap between the plates/,
    notListed: /Spring bolts a little at a time/,
    plates: 11,
    begins: 'Steel',
    springs: 12,
    gauge: { Disc: '3.45', Steel: '1.52', flat: '0.05', Spring: '35.7', Diaphragm: '' },
    leastThickness: '3.2',
    needed: {
      'disc.outerRadius': '131',
      'disc.innerRadius': '104',
      'loose.span': '54.4',
      rate: '19',
      freeLength: '36',
      leverTravel: '48',
      leverRatio: '4.1',
      armLength: '45',
      lead: '33',
    },
    besides: [
      ['Pack', 'pack.splineLength', '28'],
      ['Springs', 'springs.loose.gapMin', '27.8'],
      ['Springs', 'springs.loose.gapMax', '28.4'],
    ],
    built: {
      'springs.loose.gapRead1': '28.02',
      'springs.loose.gapRead2': '28.05',
      'springs.loose.gapRead3': '28',
    },
    torques: [
      ['60', ''],
      ['4', '12'],
      ['8.5', '8'],
    ],
    lifts: ['1.36', '1.34', '1.38'],
  },
  {
    ...COIL,
    machine: 'Sedge 250, farm quad',
    guide: ['No', 'Yes, single gears'],
    complaint: 'Creeps at idle',
    aim: 'Restore it',
    intake: {
      'engine.peakTorque': '19',
      'engine.peakTorqueRpm': '5000',
      'engine.primaryRatio': '2.6',
      'engine.idleRpm': '1400',
      'startClutch.shoes': '3',
      'startClutch.mass': '95',
      'startClutch.radius': '46',
      'startClutch.springPull': '150',
      'startClutch.drumRadius': '116',
    },
    clutch: [
      ['Springs', 'Coil springs under bolts'],
      ['Release', 'Shift pedal, no hand lever'],
    ],
    listed: /release lever to the shift shaft/,
    notListed: /Slacken the cable|slave cylinder/,
    plates: 5,
    springs: 4,
    gauge: {
      Disc: '2.78',
      Steel: '1.6',
      flat: '0.05',
      Spring: '28.6',
      Diaphragm: '',
      'Start clutch shoes': '2.4',
      'Start clutch drum': '116.1',
    },
    limits: [
      [/^Enter the limit “shoe lining/, '1.5'],
      [/^Enter the limit “drum bore/, '117'],
    ],
    leastThickness: '2.6',
    needed: {
      'disc.outerRadius': '92',
      'disc.innerRadius': '74',
      seatDistance: '30',
      rate: '70',
      freeLength: '28.6',
      measuredLift: '1.1',
    },
    besides: [
      ['Pack', 'pack.windowMin', '11.2'],
      ['Pack', 'pack.windowMax', '11.9'],
    ],
    torques: [
      ['40', ''],
      ['8', '4'],
      ['8.5', '9'],
    ],
    lifts: ['1.12', '1.10', '1.13'],
    setting: {},
  },
];
