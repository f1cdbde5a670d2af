import { expect, ON_PHONE, test } from './bench';

test(
  'a plain replacement of plates is signed without torque, lift or break-in',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.newJob();
    await page.getByRole('textbox', { name: 'Machine', exact: true }).fill('Sedge 250');
    await shop.choose('Kind of job', 'Replace plates');
    await shop.choose('New plates', 'All');
    await shop.choose('Clutch type', 'Plate pack');
    await expect(page.getByTestId('missing')).toHaveCount(0);
    // The rest of Intake is one tap away.
    await expect(page.getByRole('group', { name: 'Complaint' })).toHaveCount(0);
    await shop.unfold('More');
    await expect(page.getByRole('group', { name: 'Complaint' })).toBeVisible();

    await shop.stage('Specify');
    await page.getByRole('textbox', { name: 'Number of discs' }).fill('5');
    await page.getByRole('button', { name: 'Add 9 plates' }).click();
    await expect(shop.verdict()).toContainText('Not required for this kind of job.');

    // Everything but checks and readings is ticked at once; the checks have a key of their own.
    await shop.stage('Build');
    await page.getByRole('button', { name: 'Mark all done: Assembly' }).click();
    await shop.stage('Prove');
    await page.getByRole('button', { name: 'Mark all done: Prove', exact: true }).click();
    await expect(page.getByRole('radio', { name: 'OK', exact: true, checked: true })).toHaveCount(
      0,
    );
    await page.getByRole('button', { name: 'Mark all done, all checks OK: Prove' }).click();
    await expect(page.getByRole('radio', { name: 'OK', exact: true, checked: false })).toHaveCount(
      0,
    );
    // A step with a reading stays open until the reading is entered, which ticks it.
    await shop.stage('Set');
    await shop.section('Free play');
    await shop.type('release.freePlay', '3');
    await expect(page.getByTestId('step-freePlay')).toHaveAttribute('aria-checked', 'true');
    await shop.stage('Log');
    await expect(page.getByRole('list', { name: 'Open items' }).getByRole('listitem')).toHaveText(
      [],
    );
    await expect(page.getByText('No open items.')).toBeVisible();
    await page.getByRole('textbox', { name: 'Signed by' }).fill('Bench 2');
    await page.getByTestId('sign').click();
    await expect(page.getByRole('region', { name: 'Signed record' })).toContainText('revision 1');

    await shop.stored();
    await page.getByRole('button', { name: 'Back to the jobs' }).click();
    await expect(page.getByRole('link', { name: /Sedge 250, signed, revision 1/ })).toBeVisible();
  },
);
