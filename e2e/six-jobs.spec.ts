import type { Workshop } from './bench';
import { atOneSize, expect, test } from './bench';

/* Six jobs from nothing to the signature, one for each kind of clutch, as a builder goes through them on the phone. */

interface Walk {
  readonly machine: string;
  /** Answers of the few questions, else which clutch it has. */
  readonly guide?: readonly string[];
  readonly complaint: string;
  readonly aim: string;
  readonly intake: Readonly<Record<string, string>>;
  /** What is answered at strip of what the clutch is made like. */
  readonly clutch: readonly (readonly [string, string])[];
  /** What is found on the list for taking it apart, and what is not. */
  readonly listed: RegExp;
  readonly notListed: RegExp;
  readonly plates: number;
  readonly begins: 'Disc' | 'Steel';
  readonly springs: number;
  /** Typed by a gauge that is a keyboard, by what is measured. */
  readonly gauge: Readonly<Record<'Disc' | 'Steel' | 'flat' | 'Spring' | 'Diaphragm', string>>;
  readonly leastThickness: string;
  /** Typed where the verdict asks for it, by the end of the field's path. */
  readonly needed: Readonly<Record<string, string>>;
  /** Typed besides, by the part of Specify. */
  readonly besides: readonly (readonly [string, string, string])[];
  readonly torques: readonly (readonly [string, string])[];
  readonly lifts: readonly string[];
  readonly setting: Readonly<Record<string, string>>;
  readonly gain?: string;
}

const COIL: Omit<Walk, 'machine' | 'clutch' | 'listed' | 'notListed'> = {
  complaint: 'Slips',
  aim: 'More holding',
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
    ['9', '6'],
    ['10', '9'],
  ],
  lifts: ['2.01', '1.98', '2.02'],
  setting: { 'release.freePlay': '2.5' },
};

const WALKS: readonly Walk[] = [
  {
    ...COIL,
    machine: 'Fell 400, trail single',
    clutch: [
      ['Its springs', 'Coil springs under bolts'],
      ['Worked by', 'Hydraulics'],
    ],
    listed: /slave cylinder/,
    notListed: /Slacken the cable/,
  },
  {
    ...COIL,
    machine: 'Fell 400, second frame',
    complaint: 'Won’t release when hot',
    clutch: [['Worked by', 'Cable']],
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
      ['Its springs', 'Diaphragm'],
      ['Worked by', 'Cable'],
      ['Expanding disc', 'Fitted'],
    ],
    listed: /Write down where the adjuster stands/,
    notListed: /Springs out in their order/,
    plates: 11,
    gauge: { Disc: '2.97', Steel: '1.6', flat: '0.05', Spring: '', Diaphragm: '3.2' },
    leastThickness: '2.75',
    needed: {
      'disc.outerRadius': '126',
      'disc.innerRadius': '102',
      outerDiameter: '112',
      innerDiameter: '84',
      'diaphragm.thickness': '1.45',
      coneHeight: '3.3',
      referenceStack: '25.9',
      referenceDeflection: '2.6',
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
      ['70', ''],
      ['9', '5'],
      ['10', '9'],
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
    intake: {
      'engine.peakTorque': '86 ft-lb',
      'engine.peakTorqueRpm': '3400',
      'engine.primaryRatio': '46/34',
      'intake.hours': '610',
    },
    clutch: [
      ['Its springs', 'Diaphragm'],
      ['Worked by', 'Cable'],
    ],
    listed: /retainer’s step/,
    notListed: /Write down where the adjuster stands/,
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
      ['70 ft-lb', ''],
      ['96 in-lb', '6'],
      ['10', '10'],
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
      ['Its springs', 'Loose, between two plates'],
      ['Worked by', 'Cable'],
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
    torques: [
      ['60', ''],
      ['4', '12'],
      ['9', '8'],
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
    clutch: [],
    listed: /release lever to the shift shaft/,
    notListed: /Slacken the cable|slave cylinder/,
    plates: 5,
    springs: 4,
    gauge: { Disc: '2.78', Steel: '1.6', flat: '0.05', Spring: '28.6', Diaphragm: '' },
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
      ['9', '9'],
    ],
    lifts: ['1.12', '1.10', '1.13'],
    setting: {},
  },
];

async function takenIn(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  await shop.newJob();
  await page.getByRole('textbox', { name: 'Machine', exact: true }).fill(walk.machine);
  if (walk.guide) {
    await page.getByRole('button', { name: 'Not sure? A few questions' }).click();
    for (const answer of walk.guide)
      await page.getByRole('button', { name: answer, exact: true }).click();
    await page.getByRole('button', { name: 'Take this' }).click();
  } else await shop.choose('Which clutch it has', 'A plate pack');
  await page.getByRole('checkbox', { name: walk.complaint, exact: true }).click();
  await page.getByRole('checkbox', { name: walk.aim, exact: true }).click();
  await shop.choose('Oil in it', 'For wet clutches');
  for (const [path, text] of Object.entries(walk.intake)) await shop.type(path, text);
  await page.getByRole('button', { name: 'Intake is done: on to Strip' }).click();
}

async function stripped(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  for (const [group, option] of walk.clutch) await shop.choose(group, option);
  await page.getByRole('button', { name: 'Make the list for this clutch' }).click();
  await page.getByRole('button', { name: 'Start the count for this clutch' }).click();
  const list = page.getByRole('list', { name: 'Steps of taking it apart' });
  await expect(list).toContainText(walk.listed);
  await expect(list).not.toContainText(walk.notListed);
  const boxes = list.getByRole('checkbox', { checked: false });
  for (let left = await boxes.count(); left > 0; left--) {
    await boxes.first().click();
    await expect(boxes).toHaveCount(left - 1);
  }
  const outs = page.getByRole('textbox', { name: /: out$/ });
  for (const out of await outs.all()) {
    const springs = /^Springs:/.test((await out.getAttribute('aria-label')) ?? '');
    await out.fill(String(springs ? walk.springs : 2));
  }
  const other = walk.begins === 'Disc' ? 'Steel' : 'Disc';
  for (let i = 0; i < walk.plates; i++) {
    const sort = i % 2 === 0 ? walk.begins : other;
    await page.getByRole('button', { name: `${sort} came out` }).click();
  }
  await expect(page.getByText('Still open')).toHaveCount(0);
  await page.getByRole('button', { name: 'Strip is done: on to Inspect' }).click();
}

async function measured(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  await page.getByRole('checkbox', { name: 'Springs', exact: true }).click();
  await shop.unfold('Points on each plate');
  await shop.choose('On a disc', '2');
  await page.getByRole('button', { name: /^Measure: \d+ readings/ }).click();
  const title = page.getByRole('main').getByRole('heading').first();
  const reading = page.getByTestId('reading');
  for (;;) {
    await expect(reading.or(page.getByText('All gone over'))).toBeVisible();
    const name = await title.innerText();
    if (name === 'All gone over') break;
    const said = (await reading.getAttribute('aria-label')) ?? '';
    const what = said.includes('out-of-flat')
      ? 'flat'
      : (Object.keys(walk.gauge) as (keyof Walk['gauge'])[]).find((k) => name.startsWith(k));
    await page.keyboard.type(walk.gauge[what ?? 'Disc']);
    await page.keyboard.press('Enter');
    await expect(reading.and(page.getByLabel(said, { exact: true }))).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'To the verdicts' }).click();
  // A limit that verdicts wait for is one key away.
  await page.getByRole('button', { name: 'Enter the least thickness of Disc' }).click();
  await expect(shop.field('pack.kinds.disc.minThickness')).toBeFocused();
  await page.keyboard.insertText(walk.leastThickness);
  await expect(page.getByText('Still open')).toHaveCount(0);
  await page.getByRole('button', { name: 'Inspect is done: on to Specify' }).click();
}

async function specified(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  const focused = page.locator('input:focus');
  const goOn = shop.verdict().getByRole('button', { name: /^Go to what is needed/ });
  await expect(goOn).toBeVisible();
  while ((await goOn.count()) > 0) {
    const key = (await goOn.getAttribute('aria-label')) ?? '';
    await goOn.click();
    await expect(focused).toHaveCount(1);
    const path = (await focused.getAttribute('data-testid')) ?? '';
    const end = Object.keys(walk.needed).find((k) => path.endsWith(k));
    expect(end, `${key} leads to ${path}`).toBeDefined();
    await page.keyboard.insertText(walk.needed[end ?? ''] ?? '');
    await expect(goOn.and(page.getByLabel(key, { exact: true }))).toHaveCount(0);
  }
  for (const [tab, path, text] of walk.besides) {
    await shop.tab(tab);
    await shop.type(path, text);
  }
  await expect(shop.verdict()).toContainText('Holds and releases');
  await page.getByRole('button', { name: 'Specify is done: on to Build' }).click();
}

async function ticked(shop: Workshop): Promise<void> {
  const heads = shop.page.getByRole('button', { name: /: \d+ of \d+ open$/ });
  await expect(heads.first()).toBeVisible();
  while ((await heads.count()) > 0) {
    const name = (await heads.first().getAttribute('aria-label')) ?? '';
    await shop.tickAll(name.slice(0, name.lastIndexOf(':')));
  }
}

async function built(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  await page.getByRole('button', { name: 'Those of this clutch' }).click();
  for (const [i, [torque, many]] of walk.torques.entries()) {
    await page
      .getByRole('textbox', { name: 'Torque by the manual', exact: true })
      .nth(i)
      .fill(torque);
    if (many) await page.getByRole('textbox', { name: 'How many', exact: true }).nth(i).fill(many);
  }
  await ticked(shop);
  // Ticked, but not counted: it says so, and the places to count stay.
  await expect(page.getByText('Ticked, but what it asks for is not written.')).toBeVisible();
  for (const all of await page.getByRole('button', { name: /: all \d+ in$/ }).all())
    await all.click();
  await expect(page.getByText('Still open')).toHaveCount(0);
  await page.getByRole('button', { name: 'Build is done: on to Set' }).click();
}

async function setUp(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  await ticked(shop);
  for (const [path, text] of Object.entries(walk.setting)) await shop.type(path, text);
  for (const lift of walk.lifts) {
    await page.getByRole('button', { name: 'Dial reading', exact: true }).click();
    // The first three stand a third of a turn apart by themselves: what is left to type is the lift.
    await expect(page.locator('input:focus')).toHaveAttribute('data-testid', /\.lift$/);
    await expect(page.locator('input:focus')).toHaveValue('');
    await page.keyboard.insertText(lift);
  }
  await expect(page.getByText('Lifts evenly enough')).toBeVisible();
  await expect(page.getByText('Ticked, but what it asks for is not written.')).toHaveCount(0);
  await page.getByRole('button', { name: 'Set is done: on to Prove' }).click();
}

async function proved(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  await ticked(shop);
  for (const passed of await page.getByRole('radio', { name: 'In order', exact: true }).all())
    await passed.click();
  if (walk.gain) {
    await page.getByRole('button', { name: 'Gain reading', exact: true }).click();
    await page.getByRole('textbox', { name: 'At, turns' }).fill('0.6');
    await page.getByRole('textbox', { name: 'Gain', exact: true }).fill(walk.gain);
    await expect(page.getByText('Lever gain on target')).toBeVisible();
  }
  await page.getByRole('button', { name: 'Prove is done: on to Log' }).click();
}

for (const walk of WALKS) {
  test(`from nothing to the signature: ${walk.machine}`, async ({ workshop }) => {
    atOneSize('phone');
    const { page } = workshop;
    await takenIn(workshop, walk);
    await stripped(workshop, walk);
    await measured(workshop, walk);
    await specified(workshop, walk);
    await built(workshop, walk);
    await setUp(workshop, walk);
    await proved(workshop, walk);
    await expect(page.getByText('Nothing is open.')).toBeVisible();
    await page.getByRole('button', { name: 'Bench 1' }).click();
    await page.getByRole('button', { name: 'Sign revision 1' }).click();
    await expect(page.getByText(/^Revision 1, .*Bench 1$/)).toBeVisible();
    await workshop.stored();
  });
}
