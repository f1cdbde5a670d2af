import { expect, test } from '@playwright/test';

test('a working follows the chosen units, in inches to four decimals @phone', async ({ page }) => {
  await page.goto('/job/demo-ur-0102?stage=specify&tab=release');
  await page.getByText('mm', { exact: true }).first().click();
  await page.getByRole('menuitem', { name: 'Lengths in inches' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Maximum lever pull.*Show the working/ }).click();
  const working = page.getByLabel('Working: Maximum lever pull');
  await expect(working.getByText('Highest at a lift of 0.0000 in.')).toBeVisible();
  await expect(working.getByText('4.6457 in')).toBeVisible();
  await expect(working.getByText(/\d mm$/)).toHaveCount(0);
});
