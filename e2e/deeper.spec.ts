import { expect, ON_PHONE, test } from './bench';

/* Ramps, cold oil, certainty, slips and the trade map. */

test(
  'a hub on ramps, stiff when cold: judged, explained, and sure to a hundredth',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0107?stage=specify&tab=figures');
    await expect(page.getByText('Ramps OK on drive')).toBeVisible();
    await expect(page.getByText('Opens on overrun')).toBeVisible();
    await expect(page.getByText(/^Chance to hold: (over )?\d+\sin 100\./).first()).toBeVisible();
    await shop.open('/job/demo-ur-0107?stage=specify&tab=release');
    await shop.unfold('Cold oil');
    const drag = page.getByTestId('verdict-coldDrag');
    await expect(drag).toContainText('Stiff when cold');
    await page.getByTestId('oil.coldest').fill('90');
    await expect(drag).toContainText('Runs free when cold');
    await expect(page.getByRole('list', { name: 'Changes and their drag' })).toContainText(
      'SAE 5W-40',
    );
    // A ramp that locks is a stop, with the angle from which it would not.
    await shop.open('/job/demo-ur-0107?stage=specify&tab=machine');
    await page.getByTestId('fittings.ramps.driveAngle').fill('50');
    await expect(page.getByText('Ramps lock by themselves').first()).toBeVisible();
  },
);

test(
  'a slip gives the friction of the lining, and a later job uses it',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0106?stage=specify&tab=torque');
    await shop.unfold('Friction from a slip');
    await expect(page.getByText(/^Paper: 0\.1\d\d from 1 slip/)).toBeVisible();
    await page.getByRole('button', { name: 'Use for Disc', exact: true }).click();
    await shop.open('/job/demo-ur-0106?stage=specify&tab=pack');
    await shop.unfold('Disc');
    await shop.unfold('Friction and pressure');
    await expect(page.getByTestId('pack.kinds.disc.frictionTypical')).toHaveValue(/^0\.1\d+/);
  },
);

test(
  'the lever question is answered on the map in eight taps',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    test.slow();
    await shop.open('/');
    let taps = 0;
    const tap = async (name: RegExp | string, role: 'button' | 'link' | 'tab' = 'button') => {
      taps++;
      await page
        .getByRole(role, typeof name === 'string' ? { name, exact: true } : { name })
        .first()
        .click();
    };
    await tap(/UR-0101/, 'link');
    await tap(/^Specify,/, 'link');
    await tap('Compare', 'tab');
    await tap(/^Trade map/);
    await tap('Map every pack');
    const chart = page.getByRole('img', { name: /^Trade map: \d+ packs/ });
    await chart.waitFor({ timeout: 60_000 });
    const box = await chart.boundingBox();
    taps++;
    await chart.click({
      position: { x: (box?.width ?? 300) * 0.3, y: (box?.height ?? 200) * 0.5 },
    });
    await expect(
      page.getByRole('list', { name: 'Difference from the present pack' }),
    ).toContainText('Maximum lever pull');
    await expect(page.getByText(/^Along the map: .* less pull costs .* reserve\./)).toBeVisible();
    expect(taps).toBeLessThanOrEqual(8);
    // For those who would rather read.
    await page.getByRole('button', { name: 'Show all packs' }).click();
    await expect(page.getByText(/packs checked, [\d,]+ can be built/)).toBeVisible();
  },
);
