import type { Page } from '@playwright/test';
import Papa from 'papaparse';

import { expect, ON_PHONE, ON_WIDE, test } from './bench';
import { downloaded } from './downloaded';
import { pdfText } from './pdfText';

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });

test(
  'finishes, sets, proves and signs a half-built job, reopens it and signs it again',
  ON_WIDE,
  async ({ workshop: shop, page }) => {
    // A pin is not back, so nothing can be signed.
    await shop.open('/job/demo-ur-0106?stage=log');
    await expect(page.getByText('Drive pins: 6 removed, 5 fitted.')).toBeVisible();
    await expect(page.getByTestId('sign')).toHaveAttribute('aria-disabled', 'true');

    await button(page, 'To Build').first().click();
    await expect(page.getByRole('link', { name: /^Build,/ })).toHaveAttribute(
      'aria-current',
      'step',
    );
    for (const section of ['Release', 'Springs', 'Before the cover']) await shop.tickAll(section);
    // Ticked or not, a count that is short stays open.
    await button(page, /to skip: Small parts counted/).click();
    await button(page, 'Drive pins: all 6 fitted').click();
    await expect(page.getByText('1 to fit')).toHaveCount(0);

    await shop.stage('Set');
    await shop.tickAll('Cable and arm');
    await shop.section('Free play');
    await shop.type('release.freePlay', '0');
    await shop.type('setting.freePlayMin', '0');
    await shop.type('setting.freePlayMax', '4');
    await expect(page.getByTestId('verdict-freePlay')).toContainText('within limits');
    await shop.tickAll('Free play');
    await shop.tickAll('Lift');

    await shop.stage('Prove');
    for (const section of ['On the stand', 'Running']) await shop.tickAll(section);
    await shop.section('Break-in');
    await button(page, 'Count starts in two gears').click();
    const wanted = page.locator('[data-testid$=".wanted"]');
    for (const i of [0, 1]) {
      await wanted.nth(i).fill('2');
      await wanted.nth(i).blur();
    }
    const pad = page.getByTestId('break-in-pad');
    for (const count of ['1 of 2', '2 of 2', '1 of 2', '2 of 2']) {
      await pad.click();
      await expect(page.getByRole('radio', { name: new RegExp(count) }).first()).toBeVisible();
    }
    await button(page, 'Undo one').click();
    await pad.click();
    await shop.type('prove.recheckFreePlay', '1');
    await shop.type('prove.recheckLift', '1.7');
    await shop.tickAll('Break-in');

    await shop.stage('Log');
    await expect(page.getByText('No open items.')).toBeVisible();
    await expect(page.getByTestId('sign')).not.toHaveAttribute('aria-disabled', 'true');
    await page.getByTestId('sign').click();
    const banner = page.getByRole('region', { name: 'Signed record' });
    await expect(banner).toContainText('Signed as revision 1');

    // Frozen: fields can't be typed in, and other edits are refused with a message.
    await shop.stage('Build');
    await shop.section('Soak');
    await page.getByTestId('step-soak').click();
    await expect(banner).toContainText('Nothing changed');
    await expect(page.getByTestId('step-soak')).toHaveAttribute('aria-checked', 'true');
    await button(page, 'Go to sign-off').click();

    // The sheet matches the screen.
    const reserve = /Reserve: (\S+),/.exec(
      (await shop.foot('reserveWithTangs').getAttribute('aria-label')) ?? '',
    )?.[1];
    const pull = /Pull: ([\d.]+ N)/.exec(
      (await shop.foot('leverPull').getAttribute('aria-label')) ?? '',
    )?.[1];
    const digest = await page.getByText(/^[0-9a-f ]{67}$/).innerText();
    const sheet = await downloaded(page, () => button(page, 'Job sheet (PDF)').click());
    expect(sheet.length).toBeLessThan(300_000);
    const text = await pdfText(sheet);
    expect(reserve).toBeDefined();
    for (const said of [
      'UR-0106 Tarn 450',
      'revision 1, signed',
      `${reserve} × peak torque at worst-case friction`,
      `Maximum lever pull ${pull}`,
      'Drive pins 6 6',
      'Spring bolts 6 8.5 Nm (75 in·lb)',
      'Plate 2: Steel 1.6, 1.598 mm measured, turns with the hub',
      'First gear: 2 of 2 break-in starts',
    ])
      expect(text).toContain(said);
    expect(text.replaceAll(' ', '')).toContain(digest.replaceAll(' ', ''));
    expect(text).not.toMatch(/\bis safe\b/i);

    // Opened again with a reason; the old revision stays readable beside the new one.
    await page
      .getByRole('textbox', { name: 'Reason for reopening' })
      .fill('rider wants more free play');
    await button(page, 'Reopen').click();
    await shop.stage('Set');
    await shop.section('Free play');
    await button(page, /to skip: Free play/).click();
    await shop.type('release.freePlay', '0.5');
    await shop.stage('Log');
    await page.getByTestId('sign').click();
    await expect(banner).toContainText('Signed as revision 2');
    await expect(page.getByText('Reopened: rider wants more free play')).toBeVisible();
    await button(page, 'Show revision 1').click();
    const old = page.getByRole('article');
    await expect(old).toContainText('Job sheet, revision 1, signed');
    await expect(old).toContainText('Free play at the lever 0.0 mm, 0.0 mm inside its limits');
    await page.reload();
    await expect(page.getByRole('article')).toContainText('revision 1');
  },
);

test(
  'a soak goes on over a reload, and the shop keeps its own sheet for a family',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0105?stage=build');
    await shop.type('build.soakPlan', '2 h');
    await button(page, 'Discs are in the oil').click();
    await expect(page.getByText(/^In oil since .*Minimum in 20\smin/)).toBeVisible();
    await shop.stored();
    await page.reload();
    await expect(page.getByText(/^In oil since /)).toBeVisible();

    // A step of the shop's own, moved to the front, kept for the family, and used on another job of it.
    await button(page, 'Edit checklist').click();
    await button(page, 'Add own step').click();
    const own = page.getByRole('textbox', { name: /^Step \d+$/ }).last();
    await own.fill('Photograph the oil');
    await button(page, /^Move step \d+ up$/)
      .last()
      .click();
    await button(page, 'Save as shop checklist').click();
    await expect(page.getByText(/Your shop has its own checklist/)).toBeVisible();
    await button(page, 'Done').click();
    await shop.stored();

    await shop.open('/job/demo-ur-0105?stage=build');
    await shop.section('Own step');
    await page.getByRole('checkbox', { name: 'Photograph the oil' }).click();
    await expect(page.getByRole('checkbox', { name: 'Photograph the oil' })).toHaveAttribute(
      'aria-checked',
      'true',
    );
  },
);

test('a gap is set by turns and marks and checked by the shop’s gauges; two readings teach the machine’s own ratio', async ({
  workshop: shop,
  page,
}) => {
  await shop.open('/job/demo-ur-0102?stage=set');
  await shop.section('Install gap');
  await expect(page.getByText(/From there out by 1 turn and 2 marks, for a gap of/)).toBeVisible();
  await button(page, /to skip: Gap checked by gauges/).click();
  await expect(
    page.getByText(/From your sets: 0.8\smm must pass, (1.1\smm|3\/64\sin) must not/),
  ).toBeVisible();
  await button(page, '0.8 mm passes').click();
  await button(page, /does not$/).click();
  await expect(button(page, /^Gap by gauges: 0\.9/)).toBeVisible();
  await expect(page.getByTestId('verdict-gapWays')).toContainText('agree');

  await shop.stage('Prove');
  await shop.section('Running');
  await expect(page.getByTestId('verdict-gain')).toContainText(
    'open the gap by 1 mark, by this machine’s own ratio',
  );
  await expect(button(page, /^This machine’s own ratio: 32\.00/)).toBeVisible();
  await expect(button(page, /^Gap by the lever: 0\.931/)).toBeVisible();
  await button(page, 'Turned out 1 mark: next reading').click();
  const turns = page.locator('[data-testid^="setting.readings."][data-testid$=".turns"]');
  const gains = page.locator('[data-testid^="setting.readings."][data-testid$=".gain"]');
  await expect(turns.last()).toHaveValue('1.375');
  await gains.last().fill('12.2');
  await gains.last().blur();
  await expect(page.getByTestId('verdict-gain')).toContainText('on target');

  // The adjuster's place went with it.
  await shop.stage('Set');
  await shop.section('Install gap');
  await button(page, /to skip: From there out/).click();
  await expect(shop.field('setting.marksOut')).toHaveValue('3');
  await expect(button(page, /^Gap by the adjuster: 1\.031 mm/)).toBeVisible();
});

test('a plate that lifts on one side is drawn, and the thumb test says why', async ({
  workshop: shop,
  page,
}) => {
  await shop.open('/job/demo-ur-0104?stage=set');
  await shop.section('Lift');
  await expect(page.getByRole('img', { name: /^Lift round the plate.*120° 1\.21/ })).toBeVisible();
  await expect(page.getByTestId('verdict-even')).toContainText('Lifts unevenly');
  await shop.choose('With springs removed', 'Lifts evenly');
  await expect(page.getByTestId('verdict-thumb')).toContainText('the springs differ');
  // Several pulls at one place say how well they repeat.
  await page.getByRole('button', { name: 'Add dial reading', exact: true }).click();
  const angles = page.locator('[data-testid$=".angle"]');
  const lifts = page.locator('[data-testid^="release.liftReadings."][data-testid$=".lift"]');
  await angles.last().fill('0');
  await lifts.last().fill('1.60');
  await lifts.last().blur();
  await expect(page.getByTestId('verdict-repeat')).toContainText('Lift readings not repeatable');
});

test(
  'what is open is signed over with a written reason, which the paper shows; the order list reads back',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0106?stage=log');
    const items = page.getByRole('list', { name: 'Open items' }).getByRole('listitem');
    const reason = 'Rider breaks it in, seen on Friday <script>';
    await expect(items.first()).toBeVisible();
    for (let i = await items.count(); i > 0; i--) {
      await items
        .nth(i - 1)
        .getByRole('button', { name: 'Sign with a reason' })
        .click();
      await items
        .nth(i - 1)
        .getByRole('textbox')
        .fill(reason);
    }
    await page.getByRole('textbox', { name: 'Signed by' }).fill('');
    await page.getByTestId('sign').click();
    await expect(page.getByText('Enter the name of the signer.')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Signed record' })).toHaveCount(0);
    await page.getByRole('textbox', { name: 'Signed by' }).fill('Bench 2');
    await page.getByTestId('sign').click();
    await expect(page.getByRole('region', { name: 'Signed record' })).toContainText('by Bench 2');
    const text = await pdfText(
      await downloaded(page, () => button(page, 'Job sheet (PDF)').click()),
    );
    expect(text).toContain('Signed with a reason');
    expect(text).toContain(`Reason: ${reason}`);

    await page.getByRole('radio', { name: 'Letter' }).click();
    const rider = await pdfText(
      await downloaded(page, () => button(page, 'Customer sheet (PDF)').click()),
    );
    expect(rider).toContain('First ride slow, off the road, brakes tested');
    const csv = await downloaded(page, () => button(page, 'Order list (CSV)').click());
    const { data, errors } = Papa.parse<Record<string, string>>(csv.toString('utf8'), {
      header: true,
      skipEmptyLines: true,
    });
    expect(errors).toEqual([]);
    expect(data.find((row) => row.part === 'Lock washer')).toMatchObject({
      job: 'UR-0106',
      specification: 'Hub nut',
      count: '1',
      from: 'order',
    });
  },
);

test(
  'the browser’s own print shows the work of a view and nothing to press',
  ON_WIDE,
  async ({ workshop: shop, page }) => {
    for (const [route, first, last] of [
      ['/', 'Tarn 450', 'Coppice 500'],
      ['/job/demo-ur-0105', 'Creeps at idle', 'Open: '],
      ['/job/demo-ur-0106?stage=inspect', 'Summary', 'Other parts'],
      ['/job/demo-ur-0104?tab=figures', 'Stack height', '12 friction faces'],
      ['/job/demo-ur-0106', 'Assembly', 'Open: '],
      [
        '/job/demo-ur-0101?stage=log&revision=1',
        'Job sheet, revision 1',
        'take precedence over this sheet',
      ],
      ['/shelf', 'Steels', 'Fell 14'],
    ] as const) {
      await shop.open(route);
      // Content below the first screen renders a frame later.
      for (const words of [first, last]) await expect(page.locator('body')).toContainText(words);
      const text = await pdfText(await page.pdf({ format: 'A4' }));
      expect([route, text.includes(first), text.includes(last)]).toEqual([route, true, true]);
      // Neither the ridge of stages nor the live figures, which are there to be pressed.
      expect([route, /Reserve \d/.test(text)]).toEqual([route, false]);
    }
  },
);

test(
  'two tabs on one job: each sees the other’s edits, and a signature in one freezes both',
  ON_WIDE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0106?stage=build');
    const second = await page.context().newPage();
    await second.goto('/job/demo-ur-0106?stage=build');
    await second.getByTestId('step-rod').click();
    await expect(second.getByTestId('step-rod')).toHaveAttribute('aria-checked', 'true');
    await expect(page.getByTestId('step-rod')).toHaveAttribute('aria-checked', 'true');

    await page.goto('/job/demo-ur-0101?stage=log');
    await second.goto('/job/demo-ur-0101?stage=log');
    await shop.openAgain('/job/demo-ur-0101');
    await expect(second.getByRole('region', { name: 'Signed record' })).toHaveCount(0);
    await second.getByTestId('sign').click();
    await expect(page.getByRole('region', { name: 'Signed record' })).toContainText('revision 2');
    await page.goto('/job/demo-ur-0101?stage=build');
    await shop.section('Soak');
    await page.getByTestId('step-soak').click();
    await expect(page.getByRole('region', { name: 'Signed record' })).toContainText(
      'Nothing changed',
    );
  },
);
