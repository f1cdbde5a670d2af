import { expect, ON_PHONE, test } from './bench';
import { reading, title, typed } from './gauge';

/* The measuring run: where it continues, and its display on small screens. */

test(
  'the demo jobs stand where they should, and a run goes on where it was left',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0105');
    await expect(page.getByRole('navigation', { name: 'Stage 1 of 8: Intake' })).toBeVisible();
    await expect(page.getByRole('list', { name: 'Causes, most likely first' })).toContainText(
      'Weak springs of the start clutch',
    );
    await expect(
      page.getByRole('button', { name: /^First contact of the start clutch: 1405 rpm/ }),
    ).toBeVisible();

    await shop.open('/job/demo-ur-0103');
    await expect(page.getByRole('navigation', { name: 'Stage 3 of 8: Inspect' })).toBeVisible();
    await page.getByRole('button', { name: 'Continue (28 left)' }).click();
    await expect(title(shop, 'Disc, plate 9')).toBeVisible();
    await expect(page.getByText('thickness, point 3 of 4')).toBeVisible();
    await page.keyboard.type('3,41');
    await page.keyboard.press('Enter');
    await expect(page.getByText('thickness, point 4 of 4')).toBeVisible();

    // The device's own keyboard: the field keeps the focus from one reading to the next.
    await page.getByRole('button', { name: 'Device keyboard' }).click();
    await expect(reading(shop)).toBeFocused();
    await typed(shop, '3.42');
    await expect(title(shop, 'Disc, plate 11')).toBeVisible();
    await expect(reading(shop)).toBeFocused();
    await typed(shop, '34.2');
    await expect(page.getByText('did you mean 3.420 mm')).toBeVisible();
    await typed(shop, '3.41');
    await expect(page.getByText('thickness, point 2 of 4')).toBeVisible();
    await page.getByRole('button', { name: 'Stop' }).click();
    await shop.stage('Specify');
    await shop.tab('Release');
    await expect(page.getByRole('table', { name: 'Lift losses' })).toContainText(
      'Reduced-effort part',
    );
  },
);

test(
  'what is measured already is passed over, unless it is gone over again',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0106?stage=inspect');
    const again = page.getByRole('button', { name: 'Measure again: 38 readings' });
    await expect(again).toBeVisible();
    await shop.unfold('Points per plate');
    await shop.choose('Per disc', '4');
    await page.getByRole('button', { name: 'Continue (8 left)' }).click();
    await expect(title(shop, 'Disc, plate 1')).toBeVisible();
    await expect(page.getByText('thickness, point 4 of 4')).toBeVisible();
    await page.keyboard.type('2.84');
    await page.keyboard.press('Enter');
    await expect(title(shop, 'Disc, plate 3')).toBeVisible();
    await expect(page.getByText('thickness, point 4 of 4')).toBeVisible();
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(page.getByRole('button', { name: 'Continue (7 left)' })).toBeVisible();

    await shop.unfold('Points per plate');
    await shop.choose('Per disc', '3');
    await again.click();
    await expect(title(shop, 'Disc, plate 1')).toBeVisible();
    await expect(page.getByText('thickness, point 1 of 3')).toBeVisible();
    // An existing value is kept by the key alone, and replaced by typing.
    await page.keyboard.press('Enter');
    await expect(page.getByText('thickness, point 2 of 3')).toBeVisible();
    await page.keyboard.type('2.83');
    await page.keyboard.press('Enter');
    await expect(page.getByText('thickness, point 3 of 3')).toBeVisible();
    await shop.stored();
  },
);

test(
  'the value in hand is in sight above or beside the keys on whatever screen',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0103?stage=inspect');
    await page.getByRole('button', { name: 'Continue (28 left)' }).click();
    for (const [width, height] of [
      [320, 568],
      [375, 640],
      [390, 664],
      [390, 844],
      [390, 420],
      [844, 390],
    ] as const) {
      await page.setViewportSize({ width, height });
      const hidden = () =>
        page.evaluate(() => {
          const value = document.querySelector('[data-testid=reading]')?.getBoundingClientRect();
          const keys = document.querySelector('[aria-label=Keys]')?.getBoundingClientRect();
          const title = document.querySelector('[role=main] h2')?.getBoundingClientRect();
          if (!value || !keys || !title) return 'not there';
          const beside = value.right <= keys.left + 1;
          if (value.height < 30 || (!beside && value.bottom > keys.top)) return 'under the keys';
          if (keys.bottom > innerHeight) return 'keys below the screen';
          return title.top < 0 ? 'no title' : '';
        });
      await expect.poll(hidden, { message: `${width} × ${height}` }).toBe('');
      // A question about the value is visible, and the value again after retyping.
      await page.keyboard.type('34.2');
      await page.keyboard.press('Enter');
      const asked = page.getByText(/did you mean 3\.420/);
      await expect(asked).toBeInViewport({ ratio: 0.9 });
      await page.getByRole('button', { name: 'Skip', exact: true }).click();
      await page.getByRole('button', { name: 'Back', exact: true }).click();
      await expect(asked).toHaveCount(0);
      await expect.poll(hidden, { message: `${width} × ${height}, again` }).toBe('');
    }
  },
);
