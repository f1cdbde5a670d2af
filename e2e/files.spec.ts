import { readFileSync } from 'node:fs';

import ICAL from 'ical.js';
import { strFromU8, unzipSync } from 'fflate';
import Papa from 'papaparse';

import { EMPTY_PORT } from '../playwright.config';
import { expect, ON_PHONE, ON_WIDE, test, Workshop } from './bench';

const workshopIn = (path: string): Record<string, unknown> => {
  const text = strFromU8(unzipSync(readFileSync(path))['workshop.json'] ?? new Uint8Array());
  // The times of the exports are all that may differ.
  return JSON.parse(text.replaceAll(/"exportedAt": "[^"]*"/g, '"exportedAt": ""')) as Record<
    string,
    unknown
  >;
};

test(
  'a backup restores a fresh browser to an equal workshop; it shows first what it would change, and undoes it',
  ON_WIDE,
  async ({ workshop, browser }, info) => {
    const { page } = workshop;
    // A draft and a photograph are included.
    await workshop.open('/job/demo-ur-0103?stage=intake');
    await page.getByTestId('engine.peakTorque').fill('about eighty');
    await workshop.stored();
    await page.goto('/files');
    const backUp = async (of: Workshop) => {
      const [download] = await Promise.all([
        of.page.waitForEvent('download'),
        of.page.getByRole('button', { name: 'Back up now' }).click(),
      ]);
      const path = info.outputPath(`${Date.now()}.zip`);
      await download.saveAs(path);
      return path;
    };
    const path = await backUp(workshop);
    await expect(page.getByRole('status', { name: 'Last backup' })).toContainText(
      'No job changed since',
    );

    // One part alone is a file of the same kind.
    const [part] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Spec sheets, as JSON' }).click(),
    ]);
    const limits = JSON.parse(readFileSync((await part.path()) ?? '', 'utf8')) as {
      jobs: unknown[];
      library: unknown[];
    };
    expect(limits.jobs).toEqual([]);
    expect(limits.library).toHaveLength(3);

    const context = await browser.newContext({ baseURL: `http://127.0.0.1:${EMPTY_PORT}` });
    const fresh = new Workshop(await context.newPage());
    await fresh.open('/files');
    const take = async (file: string) => {
      const [chooser] = await Promise.all([
        fresh.page.waitForEvent('filechooser'),
        fresh.page.getByRole('button', { name: 'Choose file' }).click(),
      ]);
      await chooser.setFiles(file);
    };
    await take(path);
    const plan = fresh.page.getByRole('status', { name: 'Changes from the file' });
    await expect(plan).toContainText(/\d+ new, 0 different, 0 identical/);
    await fresh.page.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(fresh.page.getByText('File imported.')).toBeVisible();
    await fresh.stored();
    await fresh.page.reload();
    const again = await backUp(fresh);
    expect(workshopIn(again)).toEqual(workshopIn(path));

    // The same file again: all identical, nothing to import.
    await take(path);
    await expect(plan).toContainText(/0 new, 0 different, \d+ identical/);
    await expect(fresh.page.getByRole('button', { name: 'Import', exact: true })).toBeDisabled();
    await fresh.page.getByRole('button', { name: 'Cancel' }).click();

    // A job that was edited here differs; both are kept, and that is undone.
    await fresh.open('/job/demo-ur-0106?stage=intake');
    await fresh.page.getByTestId('engine.peakTorque').fill('44');
    await fresh.stored();
    await fresh.open('/files');
    await take(path);
    await expect(plan).toContainText(/0 new, 1 different/);
    await fresh.page.getByRole('button', { name: 'Import', exact: true }).click();
    await fresh.page.getByRole('button', { name: 'Back to the jobs' }).click();
    await expect(fresh.page.getByRole('link', { name: /^UR-0106, from a file,/ })).toBeVisible();
    await fresh.page.getByRole('button', { name: 'Backup', exact: true }).click();
    await fresh.page.getByRole('button', { name: 'Undo' }).click();
    await fresh.page.getByRole('button', { name: 'Back to the jobs' }).click();
    await expect(fresh.page.getByRole('link', { name: /^UR-0106,/ })).toHaveCount(1);

    // Tables go out for a spreadsheet.
    await fresh.page.getByRole('button', { name: 'Backup', exact: true }).click();
    const [table] = await Promise.all([
      fresh.page.waitForEvent('download'),
      fresh.page.getByRole('button', { name: 'Measurements' }).click(),
    ]);
    const tablePath = info.outputPath('measurements.csv');
    await table.saveAs(tablePath);
    const { data } = Papa.parse<Record<string, string>>(readFileSync(tablePath, 'utf8'), {
      header: true,
      skipEmptyLines: true,
    });
    expect(
      data.filter((row) => row.job === 'UR-0101' && row.when === 'service visit'),
    ).toHaveLength(27);

    // A file that is not ours is refused in words and changes nothing.
    await take('package.json');
    await expect(
      fresh.page.getByText(/Not a workshop file of Under Ridge.*Nothing was changed/),
    ).toBeVisible();
    await context.close();
  },
);

test(
  'lists due dates in order and exports them to a calendar',
  ON_PHONE,
  async ({ workshop }, info) => {
    const { page } = workshop;
    await workshop.open();
    await page.getByRole('button', { name: 'Due', exact: true }).click();
    const rows = page
      .getByRole('list', { name: 'Due dates, earliest first' })
      .getByRole('listitem');
    await expect(rows.last()).toContainText('Tarn 450: inspect: stack below its limits');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export as calendar' }).click(),
    ]);
    const path = info.outputPath('due.ics');
    await download.saveAs(path);
    const events = new ICAL.Component(ICAL.parse(readFileSync(path, 'utf8')) as unknown[])
      .getAllSubcomponents('vevent')
      .map((c) => new ICAL.Event(c));
    expect(events).toHaveLength(await rows.count());
    expect(events.at(-1)?.uid).toBe('limit-demo-ur-0101@under-ridge.invalid');
    await rows.last().getByRole('link').click();
    await expect(page.getByTestId('first-limit')).toBeVisible();
  },
);
