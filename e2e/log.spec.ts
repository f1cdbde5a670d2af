import { packLife } from '../src/core/log/packLife';
import { demoJob } from '../src/demo/jobs';

import { expect, ON_PHONE, test } from './bench';

const DEMO = '/job/demo-ur-0101';

test(
  'the log names the first limit as the core does, and a return that is added moves it',
  ON_PHONE,
  async ({ workshop }) => {
    const { page } = workshop;
    const [first] = packLife(demoJob('UR-0101')).foreseen;
    await workshop.open(`${DEMO}?stage=log`);
    const status = page.getByTestId('first-limit');
    await expect(status).toContainText('First limit: stack below its limits');
    expect(first?.name).toBe('stack below its limits');
    await expect(status).toContainText(`at ${first?.run.toFixed(0)} h`);
    await expect(
      page.getByRole('img', { name: /^Pack wear over hours: .*at 278 h; the trend is/ }),
    ).toBeVisible();

    // A signature does not cover returns: the record stays signed while one is added.
    await page.getByRole('button', { name: 'Add service visit' }).click();
    const hours = page.getByRole('textbox', { name: 'Machine hours' }).last();
    await hours.fill('300');
    await page.getByRole('button', { name: 'Measure 9 discs' }).last().click();
    for (let disc = 1; disc <= 9; disc++) {
      await expect(page.getByText(`${disc} of 9`)).toBeVisible();
      await page.keyboard.type('2.81');
      await page.keyboard.press('Enter');
    }
    await page.getByRole('button', { name: 'Back to the visit' }).click();
    await expect(page.getByText(/^Spread between the discs: 0\.0/)).toBeVisible();
    await expect(page.getByRole('region', { name: 'Signed record' })).toContainText('Signed as');
    await expect(status).toContainText('Reached');

    // A typing error is reported at its field and in the prediction.
    await hours.fill('30');
    await expect(page.getByText(/^The meter read 278\sh before/)).toBeVisible();
    await expect(page.getByText(/^No prediction: the meter reading was higher/)).toBeVisible();
    await hours.fill('300');
    await expect(page.getByText(/^The meter read/)).toHaveCount(0);
    await workshop.stored();

    await page.reload();
    await expect(status).toContainText('Reached');
    await page.getByRole('button', { name: 'Machine log' }).click();
    await expect(page.getByRole('list', { name: 'Machine log' }).getByRole('listitem')).toHaveCount(
      5,
    );
    await page.getByRole('button', { name: 'Linings and machines of this workshop' }).click();
    const rates = page.getByRole('list', { name: 'Wear by lining and use' }).getByRole('listitem');
    await expect(rates.filter({ hasText: 'trail single' }).first()).toContainText(/100\sh/);
    // A road machine counts distance, and is never mixed with hours.
    await expect(rates.filter({ hasText: 'big twin' })).toContainText(/5000\skm.*over 46800\skm/s);

    // Unknown values are reported, not guessed.
    const again = page.getByRole('button', { name: /^Visit of/ });
    while ((await again.count()) > 0) {
      const left = await again.count();
      const take = page.getByRole('button', { name: 'Remove visit' });
      if ((await take.count()) === 0) await again.first().click();
      await take.first().click();
      await expect(again).toHaveCount(left - 1);
    }
    await expect(page.getByText(/rate assumes that these discs were fitted new/)).toBeVisible();
    await expect(page.getByRole('region', { name: 'Signed record' })).toContainText('Signed as');
  },
);
