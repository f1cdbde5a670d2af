import { writeFileSync } from 'node:fs';

import type { APIRequestContext, FileChooser, Page } from '@playwright/test';

import type { Workshop } from './bench';
import { expect, ON_PHONE, test } from './bench';
import { reading, title, typed } from './gauge';

/** Each project has its own bench, so that gauges do not interfere; all bench tests are in this file, one after another. */
const benchOf = (project: string) => (project === 'phone' ? 1 : 2);

async function press(request: APIRequestContext, bench: number, thickness: number): Promise<void> {
  const answer = await request.post(`/api/bench/${bench}/press`, { data: { thickness } });
  expect(answer.ok()).toBe(true);
}

async function intake(shop: Workshop): Promise<void> {
  const { page } = shop;
  await page.getByRole('textbox', { name: 'Machine', exact: true }).fill('Rush 300');
  await page.getByRole('button', { name: 'Not sure? Answer a few questions' }).click();
  await page.getByRole('button', { name: 'No', exact: true }).click();
  await page.getByRole('button', { name: 'No, a selector or nothing' }).click();
  await page.getByRole('button', { name: 'Only belt and sheaves' }).click();
  await expect(page.getByText('This machine has no wet clutch')).toBeVisible();
  await page.getByRole('button', { name: 'Use this' }).click();
  await expect(page.getByRole('alert')).toContainText('This machine has no wet clutch');
  await expect(page.getByText('Complaint and goal')).toHaveCount(0);
  await shop.choose('Clutch type', 'Plate pack');

  await page.getByRole('checkbox', { name: 'Slips', exact: true }).click();
  const causes = page.getByRole('list', { name: 'Causes, most likely first' });
  const first = () => causes.getByRole('listitem').first();
  await expect(first()).toContainText('Worn friction discs');
  await shop.choose('Read the oil grade on the can, 1 minute', 'Not for wet clutches');
  await expect(first()).toContainText('Oil not meant for wet clutches');
  await first().getByRole('button').click();
  await expect(causes).toContainText('Grade read on the can.');
  await shop.choose('Read the oil grade on the can', 'Not done');
  await expect(first()).toContainText('Worn friction discs');

  await shop.choose('Oil', 'Car oil, friction-modified');
  await expect(page.getByText('makes a wet clutch slip')).toBeVisible();
  await shop.choose('Oil', 'For wet clutches');
  await shop.type('intake.hours', '120');
}

async function torqueCurve(shop: Workshop): Promise<void> {
  const { page } = shop;
  const give = async (name: string, text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Import torque curve' }).click();
    await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  await give('bad.csv', 'rpm;Nm\n3000;12\nhello;13\n');
  await expect(page.getByText('bad.csv: Line 3: “hello” is not a number')).toBeVisible();
  await give('dyno.csv', 'Nm;rpm\n10,5;3000\n14,2;5000\n12;7000\n');
  await expect(page.getByText('3 speeds, peak 14.2 N·m at 5000 rpm')).toBeVisible();
  await expect(page.getByRole('img', { name: /Torque from 3000 to 7000 rpm/ })).toBeVisible();
  await page.getByRole('button', { name: 'Use curve and peak' }).click();
  await expect(shop.field('engine.peakTorque')).toHaveValue('14.2');
  await shop.type('engine.primaryRatio', '3');
}

async function strip(shop: Workshop): Promise<void> {
  const { page } = shop;
  // The lists follow from the answers above them.
  await expect(page.getByText('Say above which springs').first()).toBeVisible();
  await shop.choose('Springs', 'Coil springs under bolts');
  await shop.choose('Release', 'Hydraulics');
  await page.getByRole('button', { name: 'Create the checklist' }).click();
  const steps = page.getByRole('list', { name: 'Disassembly steps' });
  await steps.getByRole('checkbox').first().click();
  await expect(page.getByText(/^1 of \d+ done/)).toBeVisible();
  await page.getByRole('button', { name: 'Edit checklist' }).click();
  await page.getByRole('textbox', { name: 'Step 2' }).fill('Drain, and smell the oil');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(steps).toContainText('Drain, and smell the oil');

  await page.getByRole('button', { name: 'Start the count' }).click();
  for (let i = 0; i < 3; i++)
    await page.getByRole('button', { name: 'Drive pins: one more' }).click();
  const pins = page
    .getByRole('list', { name: 'Small parts' })
    .getByRole('listitem')
    .filter({ hasText: 'Drive pins' });
  await expect(pins.getByRole('textbox')).toHaveValue('3');

  // Three discs and two steels, the outermost first.
  for (const name of ['Disc', 'Steel', 'Disc', 'Steel', 'Disc'])
    await page.getByRole('button', { name: `Add ${name}` }).click();
  await shop.choose('Mark of plate 1', 'Mark out');
  await page.getByRole('button', { name: 'Use these 5 plates as the pack' }).click();
  await expect(page.getByText('The pack has this order.')).toBeVisible();
}

const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

/** A JPEG of over 20 MB, like a phone's camera: noise, which does not compress. */
async function bigPhotograph(page: Page): Promise<Buffer> {
  const text = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(5000, 3750);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas');
    const image = context.createImageData(5000, 3750);
    const words = new Uint32Array(image.data.buffer);
    let seed = 1;
    for (let i = 0; i < words.length; i++) {
      seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
      words[i] = seed | 0xff000000;
    }
    context.putImageData(image, 0, 0);
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.97 });
    return new Promise<string>((resolve) => {
      const reader = new FileReader();
      reader.onload = () => resolve(String(reader.result));
      reader.readAsDataURL(blob);
    });
  });
  const buffer = Buffer.from(text.slice(text.indexOf(',') + 1), 'base64');
  expect(buffer.length).toBeGreaterThan(20_000_000);
  return buffer;
}

async function photographs(shop: Workshop): Promise<void> {
  const { page } = shop;
  const pick = async (file: Parameters<FileChooser['setFiles']>[0]) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose file' }).click();
    await (await chooser).setFiles(file);
  };
  const give = (name: string, mimeType: string, buffer: Buffer) => pick({ name, mimeType, buffer });
  await give('plate.jpg', 'image/jpeg', Buffer.from('this is text'));
  await expect(page.getByText('plate.jpg: The file is not a picture')).toBeVisible();
  const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic0000mif1heic')]);
  await give('pack.heic', 'image/heic', heic);
  await expect(page.getByText('HEIC pictures can’t be read')).toBeVisible();
  // As a file on disk: handed over in memory it would take longer than everything else.
  const big = test.info().outputPath('big.jpg');
  writeFileSync(big, await bigPhotograph(page));
  await pick(big);
  await expect(page.getByRole('button', { name: 'Photograph 1' })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/^1 photograph here, 0\.\d+ MB/)).toBeVisible();
  await page.getByRole('button', { name: 'Remove photograph' }).click();
  await give('pack.png', 'image/png', PIXEL);
  await page.getByRole('textbox', { name: 'Caption' }).fill('The pack as it lay');
  await expect(
    page.getByRole('button', { name: 'Photograph 1, The pack as it lay' }),
  ).toBeVisible();
  await shop.stored();
  await page.reload();
  await page.getByRole('button', { name: 'Photograph 1, The pack as it lay' }).click();
  await expect(page.getByRole('img', { name: 'The pack as it lay' }).first()).toBeVisible();
}

test('a new job through intake, strip and inspection, with the simulated gauge', async ({
  workshop: shop,
  page,
  request,
}, info) => {
  const bench = benchOf(info.project.name);
  await shop.newJob();
  await intake(shop);
  await torqueCurve(shop);
  await page.getByRole('button', { name: 'Next: Strip' }).click();
  await strip(shop);
  await photographs(shop);
  await page.getByRole('button', { name: 'Next: Inspect' }).click();

  // New and minimum thickness are at Specify; limits have one place.
  await shop.stage('Specify');
  await shop.unfold('Disc');
  await shop.type('pack.kinds.disc.thickness', '2.9');
  await shop.unfold('Steel');
  await shop.type('pack.kinds.steel.thickness', '1.6');
  await shop.stage('Inspect');
  await shop.unfold('Limits of this machine');
  await shop.type('pack.kinds.disc.minThickness', '2.7');
  await shop.type('inspection.steelWarpLimit', '0.1');

  await page.getByRole('button', { name: `Connect bench ${bench}` }).click();
  await expect(page.getByTestId('bench-status')).toContainText('Gauge connected');
  await page.getByRole('button', { name: 'Measure: 16 readings' }).click();
  await expect(title(shop, 'Disc, plate 1')).toBeVisible();

  // The gauge's button moves the run on.
  await press(request, bench, 2.87);
  await expect(page.getByText('thickness, point 2 of 4')).toBeVisible();
  // The verdict on a part waits for its last point.
  await expect(page.getByTestId('so-far')).toHaveCount(0);
  // A unit switched by mistake is converted.
  await request.post(`/api/bench/${bench}/unit`, { data: {} });
  await press(request, bench, 2.86);
  await expect(page.getByText('thickness, point 3 of 4')).toBeVisible();
  await expect(page.getByTestId('bench-status')).toContainText(', in');
  await request.post(`/api/bench/${bench}/unit`, { data: {} });

  // The link drops mid-run: nothing is lost, typing continues, and the link reconnects.
  await request.post(`/api/bench/${bench}/lose`, { data: { seconds: 2 } });
  await expect(page.getByTestId('bench-status')).toContainText('Gauge disconnected');
  await typed(shop, '2.86', '2.85');
  await expect(title(shop, 'Disc, plate 3')).toBeVisible();
  await expect(page.getByTestId('bench-status')).toContainText('Gauge connected');
  await press(request, bench, 2.84);
  await expect(page.getByText('thickness, point 2 of 4')).toBeVisible();

  // Ten times nominal, another unit, and more than new are questioned.
  await typed(shop, '28.4');
  await expect(page.getByText('did you mean 2.840 mm')).toBeVisible();
  await page.getByRole('button', { name: '2.840 mm', exact: true }).click();
  await typed(shop, '.1118');
  await expect(page.getByText(/did you mean 0\.1118\sin/)).toBeVisible();
  await page.getByRole('button', { name: '0.1118 in', exact: true }).click();
  await typed(shop, '3.1');
  await expect(page.getByText('more than new')).toBeVisible();
  await typed(shop, '2.85');
  await expect(title(shop, 'Disc, plate 5')).toBeVisible();

  // Our keypad, a step back, and a correction.
  for (const key of ['2', '6', '9'])
    await page.getByRole('button', { name: key, exact: true }).click();
  await expect(reading(shop)).toContainText('2.69');
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(reading(shop)).toContainText('2.690');
  await typed(shop, '2.68', '2.69', '2.7', '2.71');

  // Steels: thickness, then flatness; one is skipped, one is warped.
  await expect(title(shop, 'Steel, plate 2')).toBeVisible();
  await typed(shop, '1.6', '0.02', '1.59');
  await expect(page.getByText('out-of-flat, largest gauge that passes under')).toBeVisible();
  await page.getByRole('button', { name: 'Skip', exact: true }).click();
  await expect(title(shop, 'All parts done')).toBeVisible();
  await expect(page.getByText('15 of 16 readings taken.')).toBeVisible();
  await page.getByRole('button', { name: /^Missing readings/ }).click();
  const likely = page.getByRole('group', { name: 'Likely readings' });
  await expect(likely.getByRole('button')).toHaveText(['None', '0.05', '0.1', '0.15']);
  await likely.getByRole('button', { name: '0.15' }).click();
  await page.getByRole('button', { name: 'Show verdicts' }).click();

  // Verdicts with reasons and limit sources, on parts and across them.
  const plates = page.getByRole('list', { name: 'Plate verdicts, outermost first' });
  await expect(plates.getByRole('listitem').first()).toContainText('Replace');
  await expect(plates.getByRole('listitem').first()).toContainText(
    'Thinnest point 2.680 mm, below its limit of 2.700 mm',
  );
  const rules = page.getByRole('list', { name: 'Rules across parts' });
  await expect(rules).toContainText('No new discs against warped steels');
  await expect(rules).toContainText('Replace discs with their warped steels');
  await expect(page.getByTestId('summary')).toContainText('Replace: plate 3, plate 4, plate 5.');
  await shop.choose('Summary for', 'Customer');
  await expect(page.getByTestId('summary')).toContainText('2 of 3 friction discs need replacing.');

  // Each reading keeps its gauge text.
  await plates.getByRole('button', { name: /^Disc, plate 3/ }).click();
  await expect(page.getByText('Entered as 0.1118 in')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Burnt' }).click();
  await expect(plates).toContainText('burnt lining has lost its friction');
  await shop.unfold('Cover');
  await page.getByRole('checkbox', { name: 'Grooved' }).last().click();
  await expect(rules).toContainText('bent shaft or a failed pilot bearing');

  await shop.stored();
  await page.reload();
  await expect(page.getByTestId('summary')).toContainText('Replace');
  await page.getByRole('button', { name: 'Next: Specify' }).click();
  await expect(page.getByRole('link', { name: 'Specify, current stage' })).toHaveAttribute(
    'aria-current',
    'step',
  );
});

test('jobs are found, filtered, derived, archived', ON_PHONE, async ({ workshop: shop, page }) => {
  await shop.open();
  const rows = page.getByRole('list', { name: 'Jobs' }).getByRole('listitem');
  await page.getByRole('searchbox', { name: 'Search jobs' }).fill('neutral');
  await expect(rows).toHaveCount(2);
  await page.getByRole('searchbox', { name: 'Search jobs' }).fill('nobody at all');
  await page.getByRole('button', { name: 'Show all jobs' }).click();
  await expect(rows).toHaveCount(7);
  await shop.choose('Show', 'Specify');
  await expect(rows).toHaveCount(2);
  await shop.choose('Show', 'All');

  await page.getByRole('button', { name: 'Copy from past job' }).click();
  await page.getByRole('button', { name: 'New job from Brae 1200, UR-0103' }).click();
  await expect(page.getByRole('textbox', { name: 'Machine', exact: true })).toHaveValue(
    'Brae 1200',
  );
  await expect(shop.field('engine.peakTorque')).toHaveValue('105');
  // It still counts distance, and needs a new reading.
  await expect(shop.field('intake.distance')).toHaveValue('');
  await shop.stage('Inspect');
  await expect(page.getByRole('button', { name: /^Measure: \d+ readings/ })).toBeVisible();
  await shop.jobMenu('Archive');
  await expect(rows).toHaveCount(7);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(rows).toHaveCount(8);
  await rows.first().getByRole('link').click();
  await shop.jobMenu('Archive');
  await expect(rows).toHaveCount(7);
  await shop.choose('Show', 'Archived');
  await expect(rows).toHaveCount(1);
  await rows.first().getByRole('link').click();
  await shop.jobMenu('Restore from archive');
});

test(
  'the share of packs in the window is worked out in a worker',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0106?tab=pack');
    await shop.unfold('Batch tolerance');
    const worker = page.waitForEvent('worker');
    await page.getByRole('button', { name: 'Simulate a million packs' }).click();
    expect((await worker).url()).toContain('/core-worker.js');
    await expect(page.getByText(/% of 1,000,000 packs are within the limits/)).toBeVisible({
      timeout: 30_000,
    });
    await expect(page.getByRole('img', { name: /^Pack heights/ })).toBeVisible();
  },
);

test('what was written for the other meter stays in sight, and is not counted', async ({
  workshop: shop,
  page,
}) => {
  await shop.open('/');
  await shop.newJob();
  await shop.choose('Clutch type', 'Plate pack');
  await shop.type('intake.hours', '12a');
  await shop.choose('Meter', 'Distance run');
  await shop.type('intake.distance', '4100');
  const hours = page.getByRole('textbox', { name: 'Machine hours, not used' });
  await expect(hours).toHaveValue('12a');
  // It stays while it is emptied, and is gone the next time.
  await hours.fill('');
  await hours.blur();
  await expect(hours).toBeVisible();
  await page.getByRole('link', { name: /^Strip/ }).click();
  await page.getByRole('link', { name: /^Intake/ }).click();
  await expect(page.getByRole('textbox', { name: 'Distance run', exact: true })).toHaveValue(
    '4100',
  );
  await expect(hours).toHaveCount(0);
  // A value that was taken is kept as well as one that was not.
  await shop.choose('Meter', 'Machine hours');
  await expect(page.getByRole('textbox', { name: 'Distance run, not used' })).toHaveValue('4100');
  await shop.stored();
});

test(
  'the ridge shows where something was left, until it is seen to',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/');
    await shop.newJob();
    await page.getByRole('textbox', { name: 'Machine', exact: true }).fill('Fell 300');
    await shop.choose('Clutch type', 'Plate pack');
    await page.getByRole('button', { name: 'Next: Strip' }).click();
    const intake = page.getByRole('link', { name: /^Intake, passed/ });
    await expect(intake).toHaveAccessibleName('Intake, passed, with open items');
    await intake.click();
    await expect(page.getByText('Open: complaint or goal, oil, engine torque.')).toBeVisible();
    await page.getByRole('checkbox', { name: 'Slips', exact: true }).click();
    await shop.choose('Oil', 'For wet clutches');
    await shop.type('engine.peakTorque', '30');
    await expect(intake).toHaveAccessibleName('Intake, passed');
    await shop.stored();
  },
);

test(
  'the bench page’s own buttons reach the run',
  ON_PHONE,
  async ({ workshop: shop, page, context }, info) => {
    const bench = benchOf(info.project.name);
    await shop.open('/job/demo-ur-0103');
    await page.getByRole('button', { name: `Connect bench ${bench}` }).click();
    await expect(page.getByTestId('bench-status')).toContainText('Gauge connected');
    await page.getByRole('button', { name: 'Continue (28 left)' }).click();
    const buttons = await context.newPage();
    await buttons.goto('/bench/');
    await buttons.getByLabel('Bench', { exact: true }).selectOption(String(bench));
    await buttons.getByLabel('Thickness, mm').fill('3.42');
    await buttons.getByRole('button', { name: 'Send reading' }).first().click();
    await expect(buttons.locator('#said')).toContainText('Received by 1');
    await buttons.close();
    await expect(page.getByText('thickness, point 4 of 4')).toBeVisible();
  },
);
