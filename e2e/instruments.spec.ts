import { EMPTY_PORT } from '../playwright.config';
import { expect, ON_PHONE, test } from './bench';

/** Alone on its bench: others lose its link while they measure. */
const SERVER = `http://127.0.0.1:${EMPTY_PORT}`;
const ENGINE = { peakTorque: 38, peakRpm: 6500, from: 2400, to: 9000 };

test(
  'an engine is pulled on the dyno: a pull that breaks off is left out, and the wheel’s loss is made good',
  ON_PHONE,
  async ({ workshop: shop, page, request }) => {
    const pull = (seconds: number) =>
      expect
        .poll(async () =>
          (
            await request.post(`${SERVER}/api/bench/1/dyno`, { data: { ...ENGINE, seconds } })
          ).status(),
        )
        .toBe(200);
    const status = page.getByTestId('bench-status');
    const pulls = page.getByRole('list', { name: 'Dyno pulls' }).getByRole('listitem');
    const peak = async () => {
      const said = await page.getByText(/^\d+ speeds, peak/).innerText();
      return Number(/peak ([\d.]+)/.exec(said)?.[1]);
    };

    await shop.open(`${SERVER}/`);
    await page.getByRole('button', { name: 'New job' }).first().click();
    await page.getByRole('checkbox', { name: 'Slips', exact: true }).click();
    await page.getByRole('button', { name: 'Read torque curve from the dyno' }).click();
    await page.getByRole('button', { name: 'Connect bench 1' }).click();
    await expect(status).toContainText('Dyno connected');

    await pull(0.6);
    await expect(pulls).toHaveText([/^Pull 1: 2[34]\d\d\srpm to [89]\d\d\d\srpm, peak 3[78]\.\d/]);
    await expect(page.getByText('One pull does not show repeatability')).toBeVisible();
    await expect(page.getByText('A slipping clutch limits the dyno reading')).toBeVisible();

    // The link drops during a pull: an incomplete pull gives no curve.
    await pull(3);
    await expect(pulls.nth(1)).toHaveText(/^Pull 2: /);
    await request.post(`${SERVER}/api/bench/1/lose`, { data: { seconds: 1 } });
    await expect(pulls.nth(1)).toHaveText(/^Pull 2 stopped early, at \d+\srpm\. Not used\./);
    await expect(status).toContainText('Dyno connected');
    await pull(0.6);
    await expect(pulls.nth(2)).toHaveText(/^Pull 3: .*peak/);
    await expect(page.getByText(/^The pulls agree within \d\.\d\s% of the peak\.$/)).toBeVisible();

    // A phone that throws the page away meanwhile throws no pull away.
    await shop.stored();
    await page.reload();
    await expect(pulls).toHaveText([/^Pull 1: .*peak/, /^Pull 2 stopped early/, /^Pull 3: .*peak/]);

    const there = await peak();
    expect(there).toBeGreaterThan(37);
    expect(there).toBeLessThan(39);
    await page
      .getByRole('radiogroup', { name: 'Measured' })
      .getByRole('radio', { name: 'At the rear wheel' })
      .click();
    await expect.poll(peak).toBeCloseTo(there / 0.88, 0);
    await page.getByRole('textbox', { name: /^Share of the torque/ }).fill('200');
    await expect(page.getByRole('button', { name: 'Use curve and peak' })).toHaveCount(0);
    await page.getByRole('textbox', { name: /^Share of the torque/ }).fill('80');
    await expect.poll(peak).toBeCloseTo(there / 0.8, 0);
    await page.getByRole('button', { name: 'Use curve and peak' }).click();

    await expect(pulls).toHaveCount(0);
    await expect(page.getByText(/from Dyno, 2 pulls, .*, at the wheel, 80\s%\.$/)).toBeVisible();
    expect(Number(await shop.field('engine.peakTorque').inputValue())).toBeCloseTo(there / 0.8, 0);
    await shop.stored();
    await page.reload();
    await expect(page.getByText(/from Dyno, 2 pulls, /)).toBeVisible();
  },
);

test(
  'a diaphragm is pressed on the tester, counted from where it was touched first',
  ON_PHONE,
  async ({ workshop: shop, page, request }) => {
    const press = (length: number) =>
      request.post(`${SERVER}/api/bench/2/press`, { data: { onTester: 'diaphragm', length } });
    await shop.open(`${SERVER}/`);
    await page.getByRole('button', { name: 'New job' }).first().click();
    await shop.stage('Specify');
    await shop.tab('Springs');
    await shop.choose('Spring type', 'Diaphragm');
    await shop.choose('Force from', 'A tester');
    await page.getByRole('button', { name: 'Read points from the spring tester' }).click();
    await page.getByRole('button', { name: 'Connect bench 2' }).click();
    await expect(page.getByTestId('bench-status')).toContainText('Spring tester connected');

    const deflections = page.getByRole('textbox', { name: /^Point \d, deflection$/ });
    // Under force already, with nothing to count from: no point.
    await press(4);
    await expect(page.getByText('Touch the spring with the tester at zero force')).toBeVisible();
    await press(5.2);
    await expect(deflections).toHaveCount(1);
    await expect(page.getByRole('textbox', { name: /^Tester where it first touches/ })).toHaveValue(
      /^5\.\d\d mm$/,
    );
    for (const [i, length] of [4.2, 3.1, 1.8, 0.5].entries()) {
      await press(length);
      await expect(deflections).toHaveCount(i + 2);
    }
    expect(Number(await deflections.nth(4).inputValue())).toBeCloseTo(4.7, 0);
    const forces = await page
      .getByRole('textbox', { name: /^Point \d, force$/ })
      .evaluateAll((all) => all.map((f) => Number((f as HTMLInputElement).value)));
    expect(forces.indexOf(Math.max(...forces))).toBe(2);
    await shop.stored();
  },
);

test(
  'a curve that a signed record refuses is not lost',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0101?stage=intake');
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Another torque curve' }).click(),
    ]);
    await chooser.setFiles({
      name: 'dyno.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('rpm,kW\n4000,14\n7000,30\n9000,34\n'),
    });
    const take = page.getByRole('button', { name: 'Use curve and peak' });
    await take.click();
    await expect(page.getByText('Nothing changed: this record is signed.')).toBeVisible();
    await expect(take).toBeVisible();
    await expect(page.getByText(/^3 speeds, peak 40\.9\s/)).toBeVisible();
  },
);
