import type { Hands } from './hand';

/** A whole job on a phone, with what it may cost. */
interface Path {
  readonly name: string;
  readonly walk: (hands: Hands) => Promise<void>;
  readonly taps: number;
  readonly keys: number;
  /** Where the hand begins, if not at the list. */
  readonly from?: string;
}

async function begin(hands: Hands, machine: string, purpose: string): Promise<void> {
  await hands.tap(hands.button('New job'));
  await hands.page.getByRole('textbox', { name: 'Machine', exact: true }).waitFor();
  // The cursor is there.
  await hands.write(machine);
  await hands.choose('Kind of job', purpose);
}

/** The rest of a job once its clutch is entered: assembly, free play, checks, signature. */
async function finish(hands: Hands): Promise<void> {
  await hands.tap(hands.button('Mark all done: Assembly'));
  await hands.stage('Set');
  await hands.type(hands.field('release.freePlay'), '3 mm');
  await hands.stage('Prove');
  await hands.tap(hands.button('Mark all done, all checks OK: Prove'));
  await hands.sign('AB');
}

/** Torques of the spring bolts and of the cover bolts. */
async function addFasteners(hands: Hands, torque: string): Promise<void> {
  await hands.tap(hands.button('Add this clutch’s fasteners'));
  await hands.type(hands.page.getByRole('textbox', { name: /tightening torque$/ }).first(), torque);
  await hands.write('', '11 Nm');
}

async function replacePlates(hands: Hands): Promise<void> {
  const { page } = hands;
  await begin(hands, 'Sedge 250', 'Replace plates');
  await hands.choose('New plates', 'All');
  await hands.choose(/^Clutch type/, 'Plate pack');
  await hands.stage('Specify');
  await hands.type(page.getByRole('textbox', { name: 'Number of discs' }), '5');
  await hands.tap(hands.button('Add 9 plates'));
  await hands.stage('Build');
  await hands.choose(/^Springs/, 'Coil springs under bolts');
  await hands.choose('The hub', 'Stays on');
  await addFasteners(hands, '8.5 Nm');
  await finish(hands);
}

async function replaceBySheet(hands: Hands): Promise<void> {
  await begin(hands, 'Tarn 450', 'Replace plates');
  await hands.choose('New plates', 'All');
  await hands.open('Spec sheet');
  await hands.tap(hands.button('Apply Tarn 450'));
  await hands.stage('Build');
  await finish(hands);
}

/** Small parts out: six springs' bolts, nine cover bolts, two dowels, one ball; no others. */
async function strip(hands: Hands): Promise<void> {
  const { page } = hands;
  await hands.tap(hands.button('Start the count'));
  await hands.type(page.getByRole('textbox', { name: 'Cover bolts: out' }), '9');
  await hands.write('', '2', '6', '6');
  await hands.tap(hands.button(/^None of the other/));
}

/** The small parts of {@link strip} counted in, and every step of Assembly done. */
async function assemble(hands: Hands): Promise<void> {
  await hands.open(/^Before the cover: /);
  await hands.type(hands.page.getByRole('textbox', { name: 'Cover bolts: fitted' }), '9');
  await hands.write('', '2', '6', '6');
  await hands.tap(hands.button('Mark all done: Assembly'));
}

/** Counted in, dial, free play, checks, ten starts in two gears, measured again, signed. */
async function finishKit(hands: Hands): Promise<void> {
  await assemble(hands);
  await hands.stage('Set');
  await hands.tap(hands.button('Mark all done: Set'));
  await hands.type(hands.field('release.freePlay'), '3 mm');
  await hands.tap(hands.button('Add three dial readings'));
  await hands.write('2.12', '2.11', '2.12');
  await hands.stage('Prove');
  await hands.open(/^Break-in: /);
  await hands.type(hands.field('prove.recheckFreePlay'), '3.4');
  await hands.write('', '1.8');
  await hands.tap(hands.button('Mark all done, all checks OK: Prove'));
  await hands.sign('AB');
}

async function kitByHand(hands: Hands): Promise<void> {
  const { page } = hands;
  await begin(hands, 'Rigg 450', 'Install a kit');
  await hands.choose(/^Clutch type/, 'Plate pack');
  await hands.choose('As it goes', 'Plate pack');
  await hands.stage('Strip');
  await hands.choose(/^Springs/, 'Coil springs under bolts');
  await hands.choose('Release', 'Hydraulics');
  await hands.choose('The hub', 'Stays on');
  await hands.choose(/^Separate primary/, 'No');
  await strip(hands);
  await hands.stage('Specify');
  await hands.type(hands.field('pack.kinds.disc.thickness'), '2.92');
  await hands.type(hands.field('pack.kinds.steel.thickness'), '1.6');
  await hands.type(page.getByRole('textbox', { name: 'Number of discs' }), '8');
  await hands.tap(hands.button('Add 15 plates'));
  await hands.tap(hands.button('Mark all plates new'));
  await hands.tab('Springs');
  await hands.choose('Spring type', 'Diaphragm');
  for (const [height, from, to] of [
    ['.190 in', '1.330 in', '1.345 in'],
    ['.175 in', '1.345 in', '1.360 in'],
    ['.160 in', '1.360 in', ''],
  ] as const) {
    await hands.tap(hands.button('Add retainer step'));
    await hands.write(height, from, to);
  }
  await hands.choose(/selects the step/, 'Caliper over the pack');
  await hands.choose(/^More height/, 'Further');
  await hands.type(hands.field('pack.caliper'), '1.352 in');
  await hands.tap(hands.button('Use step 2'));
  await hands.tab('Release');
  await hands.type(hands.field('release.leverTravel'), '64');
  await hands.write('', '6.1', '11', '28');
  await hands.stage('Build');
  await addFasteners(hands, '8–9 Nm');
  await finishKit(hands);
}

async function kitBySheet(hands: Hands): Promise<void> {
  await begin(hands, 'Tarn 450', 'Install a kit');
  await hands.open('Spec sheet');
  await hands.tap(hands.button('Apply Ring kit for the Tarn 450'));
  await hands.stage('Strip');
  await hands.choose(/^Springs/, 'Coil springs under bolts');
  await strip(hands);
  await hands.stage('Specify');
  await hands.tap(hands.button('Mark all plates new'));
  await hands.tab('Springs');
  await hands.type(hands.field('pack.caliper'), '1.352 in');
  await hands.tap(hands.button('Use step 2'));
  await hands.tab('Release');
  await hands.type(hands.field('release.leverTravel'), '64');
  await hands.write('', '6.1', '11', '28');
  await hands.stage('Build');
  await finishKit(hands);
}

async function autoClutch(hands: Hands): Promise<void> {
  const { page } = hands;
  await begin(hands, 'Holm 700', 'Install a kit');
  await hands.open('Spec sheet');
  await hands.tap(hands.button('Apply Auto-clutch kit for the Holm 700'));
  await hands.stage('Strip');
  await hands.choose(/^Springs/, 'Diaphragm');
  await strip(hands);
  // Reused steels, measured once each with the gauge's keypad, and tried for flatness.
  await hands.stage('Inspect');
  await hands.open('Points per plate');
  await hands.choose('Per disc', '1');
  await hands.tap(hands.button(/^Measure: /));
  const title = page.getByTestId('reading');
  await title.waitFor();
  for (let i = 0; i < 40; i++) {
    if (!(await title.isVisible())) break;
    const next = /flat/.test((await title.getAttribute('aria-label')) ?? '') ? 'None' : undefined;
    if (next) await hands.tap(page.getByRole('button', { name: 'No blade fits' }));
    else if (await page.getByRole('button', { name: /^Same as last/ }).isVisible())
      await hands.tap(page.getByRole('button', { name: /^Same as last/ }));
    else {
      await hands.write(
        /Steel/.test((await title.getAttribute('aria-label')) ?? '') ? '2.00' : '3.2',
      );
      await hands.tap(page.getByRole('button', { name: 'Next', exact: true }));
    }
  }
  await hands.tap(hands.button('Show verdicts'));
  await hands.stage('Specify');
  await hands.tab('Release');
  await hands.type(hands.field('release.leverTravel'), '62');
  await hands.write('', '5', '33', '', '1.5');
  await hands.stage('Build');
  await assemble(hands);
  await hands.stage('Set');
  await hands.open(/^Install gap: /);
  await hands.type(hands.field('setting.turnsOut'), '1 turn');
  await hands.type(hands.field('setting.gapMeasured'), '0.75');
  await hands.tap(hands.button('Mark all done: Set'));
  await hands.type(hands.field('release.freePlay'), '3');
  await hands.tap(hands.button('Add three dial readings'));
  await hands.write('2.12', '2.11', '2.12');
  await hands.stage('Prove');
  await hands.open(/^Running: /);
  await hands.tap(hands.button('Add gain reading'));
  await hands.write('20.8');
  await hands.tap(hands.button(/next reading$/));
  await hands.write('11.8');
  await hands.open(/^Break-in: /);
  for (let i = 0; i < 20; i++) await hands.tap(page.getByTestId('break-in-pad'));
  await hands.type(hands.field('prove.recheckFreePlay'), '3.4');
  await hands.write('', '1.8', '12');
  await hands.tap(hands.button('Mark all done, all checks OK: Prove'));
  await hands.sign('AB');
}

async function oneSided(hands: Hands): Promise<void> {
  const { page } = hands;
  await begin(hands, 'Brae 1200', 'Find a fault');
  await hands.choose(/^Clutch type/, 'Plate pack');
  await hands.toggle('Complaint', 'Neutral hard to find');
  await hands.stage('Set');
  await hands.choose('Release', 'Cable');
  await hands.open(/^Lift: (all|done|\d|not)/);
  await hands.tap(hands.button('Add three dial readings'));
  await hands.write('1.9', '1.1', '1.2');
  await hands.stage('Intake');
  await hands.tap(page.getByRole('button', { name: /^Pressure plate lifts/ }));
}

async function shortLift(hands: Hands): Promise<void> {
  await begin(hands, 'Brae 1200', 'Find a fault');
  await hands.stage('Specify');
  await hands.tab('Release');
  await hands.choose('Release by', 'Cable');
  await hands.type(hands.field('release.leverTravel'), '64');
  await hands.write('', '6', '33', '32', '1');
  await hands.type(hands.field('release.reducedEffort'), '1.3');
  await hands.type(hands.field('release.requiredLift'), '1.6');
  await hands.page.getByRole('table', { name: 'Lift losses' }).waitFor();
}

export const PATHS: readonly Path[] = [
  { name: 'plates like for like', walk: replacePlates, taps: 30, keys: 60 },
  { name: 'the same with a spec sheet', walk: replaceBySheet, taps: 20, keys: 30 },
  { name: 'kit with bands, first time', walk: kitByHand, taps: 130, keys: 350 },
  { name: 'kit with its spec sheet', walk: kitBySheet, taps: 70, keys: 120 },
  { name: 'auto-clutch, two gain readings', walk: autoClutch, taps: 130, keys: 200 },
  { name: 'one-sided lift', walk: oneSided, taps: 20, keys: 50 },
  { name: 'short lift', walk: shortLift, taps: 12, keys: 30 },
];
