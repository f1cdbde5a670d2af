// cspell:ignore cuont
import { readFileSync } from 'node:fs';

import type { Page } from '@playwright/test';

import { evaluate } from '../src/core/evaluate/evaluate';
import type { Job } from '../src/core/job/types';
import { seededRandom } from '../src/core/random/random';
import { brokenRules } from './axe';
import { expect, holdWrites, ON_PHONE, ON_WIDE, test } from './bench';
import { putRecord, putText, recordOf, textOf } from './stored';

test(
  'a damaged record gives way to the version before, its text can be saved, and all else opens',
  ON_PHONE,
  async ({ workshop, page }) => {
    await workshop.open('/job/demo-ur-0106?stage=intake');
    for (const torque of ['41', '42']) {
      await workshop.type('engine.peakTorque', torque);
      await workshop.stored();
    }
    const [job, shelf] = [await textOf(page, 'job:demo-ur-0106'), await textOf(page, 'shelf')];
    await putText(page, 'job:demo-ur-0106', job.slice(0, -200));
    await putText(page, 'shelf', shelf.replace('"count":', '"cuont":'));

    await workshop.open('/job/demo-ur-0106?stage=intake');
    await expect(workshop.field('engine.peakTorque')).toHaveValue('41');
    const notice = page.getByRole('region', { name: 'Storage' });
    await expect(notice).toContainText(
      'Job UR-0106 could not be read: the version before is shown.',
    );
    await expect(notice).toContainText('The shelf could not be read.');
    expect(await brokenRules(page)).toEqual([]);
    await notice.getByRole('button', { name: 'Go to Backup' }).click();
    const aside = page.getByRole('list', { name: 'Damaged records' }).getByRole('listitem');
    await expect(aside).toHaveCount(2);
    expect(await brokenRules(page)).toEqual([]);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save text: Job UR-0106' }).click(),
    ]);
    expect(readFileSync((await download.path()) ?? '', 'utf8')).toBe(job.slice(0, -200));
    await page.getByRole('button', { name: 'Delete: Job UR-0106' }).click();
    await expect(aside).toHaveCount(2);
    await page.getByRole('button', { name: 'Confirm deletion: Job UR-0106' }).click();
    await expect(aside).toHaveCount(1);
    // Again: the repair is complete, and no further message appears.
    await workshop.open('/files');
    await expect(notice).toHaveCount(0);
    await expect(aside).toHaveCount(1);
  },
);

/** The browser's storage refuses as it does when its quota is reached; this Chromium lets no quota be set by hand. */
const fill = (page: Page, full: boolean) =>
  page.evaluate((full) => {
    const { prototype } = IDBObjectStore as unknown as {
      prototype: { put: IDBObjectStore['put']; kept?: IDBObjectStore['put'] };
    };
    prototype.kept ??= prototype.put;
    prototype.put = full
      ? () => {
          throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
        }
      : prototype.kept;
  }, full);

test(
  'without room work goes on in memory, says so, and is stored as soon as there is room',
  ON_PHONE,
  async ({ workshop, page }) => {
    await workshop.open('/job/demo-ur-0106?stage=intake');
    await workshop.stored();
    await fill(page, true);
    await workshop.type('engine.peakTorque', '43');
    const notice = page.getByRole('region', { name: 'Storage' });
    await expect(notice).toContainText('No storage space left in this browser');
    // Work continues: another field, another stage, and the export is one press away.
    await workshop.type('engine.idleRpm', '1500');
    await workshop.stage('Specify');
    await expect(notice.getByRole('button', { name: 'Go to Backup' })).toBeVisible();
    await fill(page, false);
    await workshop.stored();
    await expect(notice).toHaveCount(0);
    await workshop.open('/job/demo-ur-0106?stage=intake');
    await expect(workshop.field('engine.peakTorque')).toHaveValue('43');
    await expect(workshop.field('engine.idleRpm')).toHaveValue('1500');
  },
);

test(
  'a workshop that the browser has thrown away is missed, a first visit is not',
  ON_PHONE,
  async ({ workshop, page, baseURL }) => {
    const notice = page.getByRole('region', { name: 'Storage' });
    const thrownAway = async () => {
      const client = await page.context().newCDPSession(page);
      await client.send('Storage.clearDataForOrigin', {
        origin: baseURL ?? '',
        storageTypes: 'indexeddb,local_storage,cache_storage,websql,file_systems',
      });
    };
    // Nothing was entered: only the demo is gone, which is fetched again.
    await workshop.open();
    await workshop.stored();
    await page.goto('about:blank');
    await thrownAway();
    await workshop.open();
    await expect(notice).toHaveCount(0);

    await workshop.open('/job/demo-ur-0106?stage=intake');
    await workshop.type('engine.peakTorque', '43');
    await workshop.stored();
    await workshop.open();
    await expect(notice).toHaveCount(0);
    await page.goto('about:blank');
    await thrownAway();
    await workshop.open();
    await expect(notice).toContainText('The workshop on this device is gone');
    await workshop.open('/job/demo-ur-0106?stage=intake');
    await expect(workshop.field('engine.peakTorque')).not.toHaveValue('43');
    // It stays over every screen until it was read.
    await expect(notice.getByRole('button', { name: 'Go to Backup' })).toBeVisible();
    await notice.getByRole('button', { name: 'Close' }).click();
    await expect(notice).toHaveCount(0);
    await workshop.open();
    await expect(notice).toHaveCount(0);
  },
);

test('records of a newer version are left alone', ON_PHONE, async ({ workshop, page }) => {
  await workshop.open();
  await workshop.stored();
  const newer = 'ur9 00000000 {"of":"a newer version"}';
  await putText(page, 'job:demo-ur-0106', newer);
  await workshop.open();
  await expect(page.getByRole('region', { name: 'Storage' })).toContainText(
    'written by a newer version of Under Ridge',
  );
  await page.getByRole('button', { name: 'New job' }).click();
  await workshop.type('engine.peakTorque', '50');
  await expect(page.getByTestId('save-mark')).toHaveAttribute('data-status', 'memory');
  expect(await textOf(page, 'job:demo-ur-0106')).toBe(newer);
});

test(
  'two tabs see each other’s changes, and an edit of the same job in both is kept twice',
  ON_WIDE,
  async ({ workshop, page }) => {
    await workshop.open('/job/demo-ur-0106?stage=intake');
    const other = await page.context().newPage();
    await other.goto('/job/demo-ur-0106?stage=intake');
    const theirs = other.getByTestId('engine.peakTorque');
    await workshop.type('engine.peakTorque', '44');
    await expect(theirs).toHaveValue('44');
    // Both before either has saved: a third tab delays both.
    const release = await holdWrites(page);
    await workshop.type('engine.peakTorque', '45');
    await theirs.fill('46');
    await expect(page.getByTestId('save-mark')).toHaveAttribute('data-status', 'saving');
    await release();
    await workshop.stored();
    await expect(other.getByTestId('save-mark')).toHaveAttribute('data-status', 'saved');
    await page.bringToFront();
    await workshop.open();
    const rows = page.getByRole('link', { name: /^UR-0106/ });
    await expect(rows).toHaveCount(2);
    await expect(page.getByRole('link', { name: /^UR-0106, edited in another tab/ })).toHaveCount(
      1,
    );
    await other.close();
  },
);

interface Stored {
  [key: string]: unknown;
}

/** A record with one part in it gone or of another kind, wherever that is. */
function spoilt(
  record: Stored,
  random: () => number,
): { readonly job: Stored; readonly at: string } {
  const job = structuredClone(record);
  const paths: string[][] = [];
  const walk = (value: unknown, path: string[]) => {
    if (typeof value !== 'object' || value === null) return;
    for (const key of Object.keys(value)) {
      // Its key in list and storage.
      if (path.length === 0 && ['id', 'number', 'stage'].includes(key)) continue;
      paths.push([...path, key]);
      if (path.length < 1) walk((value as Stored)[key], [...path, key]);
    }
  };
  walk(job, []);
  const path = paths[Math.floor(random() * paths.length)] ?? [];
  const values = [null, 7, 'text', [], {}, [null], { value: 'no number' }];
  const value = values[Math.floor(random() * values.length)];
  const last = path.at(-1) ?? '';
  let place = job;
  for (const key of path.slice(0, -1)) place = place[key] as Stored;
  place[last] = value;
  return { job, at: `${path.join('.')} = ${JSON.stringify(value)}` };
}

test(
  'no stored state makes a white screen: the faulty part says so, the rest goes on',
  ON_PHONE,
  async ({ page }) => {
    // This test expects faults.
    await page.goto('/');
    await expect(page.getByTestId('save-mark')).toHaveAttribute('data-status', 'saved');
    const random = seededRandom(8);
    const whole = await recordOf<Stored>(page, 'job:demo-ur-0106');
    const views = ['intake', 'strip', 'inspect', 'specify', 'build', 'set', 'prove', 'log'];
    let faults = 0;
    for (let round = 0; round < 24; round++) {
      const { job, at } = spoilt(whole, random);
      await putRecord(page, 'job:demo-ur-0106', job);
      await page.goto(`/job/demo-ur-0106?stage=${views[round % views.length]}`);
      const seen = page.getByRole('heading').or(page.getByRole('alert')).first();
      await expect(seen, at).toBeVisible();
      try {
        evaluate(job as unknown as Job);
      } catch {
        faults++;
      }
    }
    // The rounds do hit something, or this would prove nothing.
    expect(faults).toBeGreaterThan(3);

    await putRecord(page, 'job:demo-ur-0106', whole);
    // The other records: invalid ones are moved aside, and the list works.
    const odd = [
      ['display', { theme: 7, units: null }],
      ['display', { theme: 'peat', units: { length: 'furlong' } }],
      ['shelf', { plates: [null], springs: [] }],
      ['library', [{ id: 'x' }]],
      ['templates', { a: 7 }],
      ['backup', { since: 'the day before', made: true }],
      ['typed', { a: 7 }],
      ['drafts:demo-ur-0106', { 'engine.peakTorque': 7 }],
    ] as const;
    for (const [key, value] of odd) {
      await putRecord(page, key, value);
      await page.goto('/');
      await expect(page.getByRole('link', { name: /^UR-0106,/ }), key).toBeVisible();
    }
    await page.goto('/job/demo-ur-0106?stage=intake');
    await expect(page.getByRole('heading').or(page.getByRole('alert')).first()).toBeVisible();

    // A stage that can't be shown leaves the others, and gives the data away.
    const broken = { ...whole, setting: { ...(whole.setting as Stored), readings: 7 }, work: 7 };
    await putRecord(page, 'job:demo-ur-0106', broken);
    await page.goto('/job/demo-ur-0106?stage=set');
    const alert = page.getByRole('alert').filter({ hasText: 'Set of this job can’t be shown' });
    await expect(alert).toBeVisible();
    expect(await brokenRules(page)).toEqual([]);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      alert.getByRole('button', { name: 'Save job data' }).click(),
    ]);
    const saved = JSON.parse(readFileSync((await download.path()) ?? '', 'utf8')) as {
      job: Stored;
    };
    expect(saved.job.setting).toEqual(broken.setting);
    await page.getByRole('link', { name: /^Intake,/ }).click();
    await page.getByTestId('engine.peakTorque').fill('47');
    await expect(page.getByTestId('save-mark')).toHaveAttribute('data-status', 'saved');
    expect((await recordOf<{ setting: unknown }>(page, 'job:demo-ur-0106')).setting).toEqual(
      broken.setting,
    );
    await page.goto('/');
    await expect(page.getByRole('link', { name: /^UR-0106,/ })).toBeVisible();
  },
);

test(
  'a number half typed on the shelf, and a form half filled, are there again after the page was gone',
  ON_PHONE,
  async ({ workshop, page }) => {
    await workshop.open('/shelf');
    await page.getByRole('button', { name: 'Change S1', exact: true }).click();
    const measured = page.getByRole('textbox', { name: /^Measured/ }).first();
    await measured.fill('one and a half');
    await page.getByRole('button', { name: /^Add plate to shelf/ }).click();
    const soldAs = page.getByRole('textbox', { name: /^Nominal/ });
    await page.getByRole('button', { name: 'Add to shelf' }).click();
    await expect(page.getByText('Enter the thickness as sold.')).toBeVisible();
    await expect(soldAs).toBeFocused();
    await soldAs.fill('2.0');
    await expect(page.getByText('Enter the thickness as sold.')).toBeHidden();
    await workshop.stored();
    await workshop.open('/shelf');
    await page.getByRole('button', { name: /^Add plate to shelf/ }).click();
    await expect(soldAs).toHaveValue('2.0');
    await page.getByRole('button', { name: 'Add to shelf' }).click();
    // The next one is alike: only its reading is typed.
    await expect(page.getByRole('textbox', { name: /^Measured/ }).last()).toBeFocused();
    await expect(soldAs).toHaveValue('2.0');
    await workshop.stored();
    await workshop.open('/shelf');
    await page.getByRole('button', { name: 'Change S1', exact: true }).click();
    await expect(measured).toHaveValue('one and a half');
    await measured.fill('1.52');
    await workshop.stored();
    await workshop.open('/shelf');
    await page.getByRole('button', { name: 'Change S1', exact: true }).click();
    await expect(measured).toHaveValue('1.520');
  },
);
