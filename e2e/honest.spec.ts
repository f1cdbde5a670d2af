import { expect, ON_PHONE, test } from './bench';

/* What a record must not hide: readings that were taken again, deviations, findings. */

test(
  'a second set of dial readings keeps the first, with what was done in between',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0104?stage=set');
    await shop.section('Lift');
    const lifts = page.locator('[data-testid^="release.liftReadings."][data-testid$=".lift"]');
    const first = await lifts.first().inputValue();
    await page.getByRole('button', { name: 'New set: Lift by dial' }).click();
    await page.getByRole('textbox', { name: 'Work done since' }).fill('seat machined');
    await page.getByRole('button', { name: 'Begin the new set' }).click();
    await expect(lifts.first()).toHaveValue('');
    await lifts.first().fill('1.44');
    await lifts.first().blur();
    const table = page.getByRole('table', { name: 'Lift by dial, before and after' });
    await expect(table).toContainText(first);
    await expect(table).toContainText('1.440');
    await expect(page.getByText(/then: seat machined\./)).toBeVisible();
    await page.reload();
    await shop.section('Lift');
    await expect(table).toContainText(first);
  },
);

test(
  'an impact gun at half the torque is asked about at the signature, and a finding is printed',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0106?stage=build');
    await shop.section('Springs');
    await page.getByRole('radio', { name: 'Impact gun' }).first().click();
    await shop.unfold('Findings');
    await page.getByRole('button', { name: 'Worm or screw: soft worm' }).click();
    await shop.stage('Log');
    const open = page.getByRole('list', { name: 'Open items' });
    await expect(open).toContainText('no torque wrench');
    await open
      .getByRole('button', { name: /^Agreed with the customer: .*no torque wrench/ })
      .click();
    await expect(open.getByRole('textbox', { name: 'Reason for signing' }).last()).toHaveValue(
      'Agreed with the customer.',
    );
  },
);

test(
  'a plate that goes to scrap leaves its readings and the reason with the job',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0107?stage=inspect');
    const plates = page.getByRole('list', { name: 'Plate verdicts, outermost first' });
    await plates.getByRole('button').first().click();
    await page.getByRole('button', { name: /^Disc, plate 13: to scrap/ }).click();
    const said = page.getByText(/Replaced by new: disc, plate 13\./);
    await expect(said).toBeVisible();
    await page.reload();
    await expect(said).toBeVisible();
  },
);

test(
  'a value that nothing can be built with is one tap away from its verdict',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0107?stage=specify&tab=pack');
    const tang = page.getByTestId(/^pack\.kinds\..*\.tangRadius$/).last();
    await shop.unfold('Steel 2.0');
    await tang.fill('150');
    await tang.blur();
    await page.getByRole('tab', { name: 'Springs', exact: true }).click();
    await expect(page.getByTestId('verdict')).toContainText('Do not build');
    await page.getByRole('button', { name: /^Go to Tang diameter of / }).click();
    await expect(tang).toBeFocused();
  },
);
