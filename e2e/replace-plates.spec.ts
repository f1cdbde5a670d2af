import { expect, ON_PHONE, test } from './bench';

test(
  'a plain replacement of plates is signed without torque, lift or break-in',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.newJob();
    await page.getByRole('textbox', { name: 'Machine', exact: true }).fill('Sedge 250');
    await shop.choose('Kind of job', 'Replace plates');
    await shop.choose('Clutch type', 'Plate pack');
    await expect(page.getByTestId('missing')).toHaveCount(0);
    // The rest of Intake is one tap away.
    await expect(page.getByRole('group', { name: 'Complaint' })).toHaveCount(0);
    await shop.unfold('More');
    await expect(page.getByRole('group', { name: 'Complaint' })).toBeVisible();

    await shop.stage('Specify');
    await page.getByRole('textbox', { name: 'Number of discs' }).fill('5');
    await page.getByRole('button', { name: 'Add 9 plates' }).click();
    await page.getByRole('button', { name: 'Mark all plates new' }).click();
    await expect(shop.verdict()).toContainText('Not required for this kind of job.');

    // Everything but the checks is ticked from its last step.
    for (const [stage, section, last] of [
      ['Build', 'Before the cover', 'Small parts counted back in'],
      ['Prove', 'On the stand', 'Oil for wet clutches'],
    ] as const) {
      await shop.stage(stage);
      await shop.section(section);
      await page
        .getByRole('button', { name: new RegExp(` skip: ${last}`) })
        .last()
        .click();
      await page.getByRole('button', { name: 'Done to here' }).click();
    }
    for (const check of await page.getByRole('radio', { name: 'OK', exact: true }).all())
      await check.click();
    await shop.tickAll('On the stand');
    await shop.tickAll('Running');
    // A step with a reading stays open until the reading is entered.
    await shop.stage('Set');
    await shop.section('Free play');
    await shop.type('release.freePlay', '3');
    await shop.tickAll('Free play');
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
