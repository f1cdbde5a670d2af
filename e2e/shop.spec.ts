// cspell:ignore copice
import { readFileSync } from 'node:fs';

import { XMLParser, XMLValidator } from 'fast-xml-parser';

import { demoJob } from '../src/demo/jobs';

import { expect, ON_PHONE, ON_WIDE, test } from './bench';

test(
  'a sheet of limits is typed, serves a new job, and a changed limit is brought to the job that it touches',
  ON_PHONE,
  async ({ workshop }) => {
    const { page } = workshop;
    await workshop.open('/library');
    await page.getByRole('button', { name: 'Tarn 450', exact: true }).click();
    // The signed job is unchanged.
    await expect(page.getByRole('list', { name: 'Jobs with another value' })).toContainText(
      'Signed: not changed.',
    );
    await page.getByRole('button', { name: 'Change Maximum stack' }).click();
    const value = page.getByRole('textbox', { name: 'Value, mm' });
    await value.fill('thirty-four');
    await expect(page.getByText('missing')).toBeVisible();
    await value.fill('34.6');
    await page.getByRole('textbox', { name: 'Page of the manual, or person' }).fill('page 12');
    await expect(page.getByText(/^manual \d+ \w+ \d{4}, page 12$/)).toBeVisible();
    const touched = page.getByRole('list', { name: 'Jobs with another value' });
    await expect(touched).toContainText(
      'Maximum stack: 34.500 mm in the job, 34.600 mm on the sheet',
    );
    await page.getByRole('button', { name: 'Update UR-0106 Tarn 450' }).click();
    await expect(touched).not.toContainText('UR-0106');
    await workshop.stored();

    await page.reload();
    await page.getByRole('button', { name: 'Tarn 450', exact: true }).click();
    await page.getByRole('button', { name: 'New job from this' }).click();
    await workshop.stage('Specify');
    await workshop.tab('Pack');
    await expect(workshop.field('pack.windowMax')).toHaveValue('34.6');
    await workshop.type('pack.windowMax', '35');
    await workshop.stage('Intake');
    await workshop.unfold('Spec sheet');
    await expect(page.getByRole('list', { name: 'Job and spec sheet differ' })).toContainText(
      'Maximum stack: 35.000 mm in the job, 34.600 mm on the sheet',
    );
    await page.getByRole('button', { name: 'Use the spec sheet’s' }).click();
    await expect(page.getByText('Everything of “Tarn 450” is in this job.')).toBeVisible();
  },
);

test(
  'a worn disc goes to the scrap and a good steel to the shelf, with what they measured, and both come back by undo',
  ON_PHONE,
  async ({ workshop }) => {
    const { page } = workshop;
    await workshop.open('/job/demo-ur-0106?stage=inspect');
    const plates = page.getByRole('list', { name: 'Plate verdicts, outermost first' });
    const steel = plates
      .getByRole('listitem')
      .filter({ hasText: /^Steel/ })
      .first();
    await steel.getByRole('button').first().click();
    const thickness = steel.getByRole('textbox', { name: 'Thickness', exact: true });
    const measured = await thickness.inputValue();
    await steel.getByRole('button', { name: /: to shelf$/ }).click();
    await expect(steel).toContainText(/on the shelf/);
    await expect(thickness).toHaveValue('');
    await steel.getByRole('button', { name: 'Undo' }).click();
    await expect(thickness).toHaveValue(measured);

    const disc = plates.getByRole('listitem').filter({ hasText: /^Disc/ }).first();
    await disc.getByRole('button').first().click();
    await disc.getByRole('button', { name: /: to scrap$/ }).click();
    await expect(disc).toContainText(/is scrap, as D\d+\. Replaced by a new part/);
    await workshop.stored();

    await workshop.open('/shelf');
    await page.getByRole('button', { name: 'Scrap', exact: true }).click();
    await expect(page.getByRole('list', { name: 'Scrap' })).toContainText(
      /from UR-0106, plate \d+/,
    );
    await expect(page.getByRole('list', { name: 'To order' })).toContainText('Steel 1.60 mm');

    // A plate is measured again, and springs get another count.
    await page.getByRole('button', { name: 'Change S1', exact: true }).click();
    await page.getByRole('textbox', { name: 'Measured, mm' }).fill('1.121');
    await page.getByRole('button', { name: 'Close S1', exact: true }).click();
    await page.getByRole('button', { name: 'Change Fell 17' }).click();
    await page.getByRole('textbox', { name: 'Pieces' }).fill('18');
    await workshop.stored();
    await page.reload();
    await expect(page.getByRole('list', { name: 'Steels' })).toContainText('1.121 mm');
    await expect(page.getByRole('list', { name: 'Coil springs' })).toContainText('18 of 18 free');
  },
);

test(
  'one search finds a job, a torque, a limit and a plate, misspelt too',
  ON_PHONE,
  async ({ workshop }) => {
    const { page } = workshop;
    await workshop.open('/find');
    const field = page.getByRole('searchbox', { name: /^Find a job/ });
    const of = (kind: string) => page.getByRole('list', { name: kind, exact: true });
    await field.fill('neutral');
    await expect(of('Jobs')).toContainText('UR-0103 Brae 1200');
    await field.fill('copice');
    await expect(of('Machines')).toContainText('Coppice 500');
    await field.fill('tarn hub nut');
    await expect(of('Settings and torques').or(of('Spec sheets')).first()).toContainText(
      /torque: \d+/,
    );
    await field.fill('S12');
    await expect(of('Shelf')).toContainText('S12: Steel 1.20 mm');
    await field.fill('backup');
    await of('Other').getByRole('link').first().click();
    await expect(page).toHaveURL(/\/files$/);
    await page.goto('/find');
    await field.fill('zzzz');
    await expect(page.getByText('No match for “zzzz”.')).toBeVisible();

    // A word of the trade leads into the glossary.
    await field.fill('free play');
    await of('Glossary')
      .getByRole('link', { name: /^Free play/ })
      .click();
    await expect(page.getByRole('textbox', { name: 'Search the glossary' })).toHaveValue(
      'Free play',
    );
    await expect(page.getByRole('list', { name: 'Glossary' })).toContainText('Free play');
  },
);

test('the section leaves as SVG that an XML parser reads', ON_WIDE, async ({ workshop }) => {
  const { page } = workshop;
  await workshop.open('/job/demo-ur-0106');
  await page.getByRole('button', { name: 'Job menu' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export section (SVG)' }).click(),
  ]);
  const text = readFileSync((await file.path()) ?? '', 'utf8');
  expect(XMLValidator.validate(text)).toBe(true);
  const { svg } = new XMLParser({ ignoreAttributes: false }).parse(text) as {
    svg: { text: unknown[]; '@_xmlns': string };
  };
  expect(svg['@_xmlns']).toBe('http://www.w3.org/2000/svg');
  expect(svg.text.length).toBeGreaterThanOrEqual(demoJob('UR-0106').pack.plates.length);
});

test(
  'a pack goes to another device as a code, read from a picture file',
  ON_PHONE,
  async ({ workshop }, info) => {
    const { page } = workshop;
    await workshop.open('/job/demo-ur-0102');
    await page.getByRole('button', { name: 'Job menu' }).click();
    await page.getByRole('menuitem', { name: 'Show pack code' }).click();
    await expect(page.getByRole('img', { name: 'Pack code of UR-0102 Holm 700' })).toBeVisible();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save picture' }).click(),
    ]);
    const picture = info.outputPath('code.png');
    await download.saveAs(picture);
    await workshop.open('/code');
    const pick = async (
      file: string | { name: string; mimeType: string; buffer: Buffer },
    ): Promise<void> => {
      const [chooser] = await Promise.all([
        page.waitForEvent('filechooser'),
        page.getByRole('button', { name: 'Choose picture' }).click(),
      ]);
      await chooser.setFiles(file);
    };
    await pick({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('not a picture') });
    await expect(page.getByText('no.png: The file is not a picture.')).toBeVisible();
    await pick(picture);
    const read = page.getByRole('status', { name: 'Content of the code' });
    await expect(read).toContainText('Holm 700');
    await page.getByRole('button', { name: 'Create job' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Holm 700');
    const made = await page.evaluate(() => location.pathname);
    await workshop.stored();
    await workshop.open(`${made}?stage=specify`);
    await workshop.tab('Pack');
    await expect(workshop.field('pack.windowMin')).toHaveValue('34.4');
  },
);

test(
  'a leaflet with overlapping bands is asked about at its row, then applied, copied, exported and printed',
  ON_PHONE,
  async ({ workshop, page }) => {
    await workshop.open('/library?sheet=kit-tarn-ring');
    await workshop.unfold('Steps and springs');
    const from = page.getByRole('textbox', { name: /^From/ }).nth(1);
    await expect(from).toHaveValue('1.345 in');
    await from.fill('1.342 in');
    await expect(
      page.getByText('Overlaps the band of step 1. Should it begin at 1.3450 in?').first(),
    ).toBeVisible();
    const use = page.getByRole('button', { name: 'New job from this' });
    await expect(use).toBeDisabled();
    await expect(page.getByText(/^Step 2, stack from: overlaps the band/)).toBeVisible();
    await from.fill('1.345 in');
    await expect(use).toBeEnabled();

    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export', exact: true }).click(),
    ]);
    expect(file.suggestedFilename()).toBe('spec sheet Ring kit for the Tarn 450.json');
    const [paper] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Print (PDF)' }).click(),
    ]);
    expect(paper.suggestedFilename()).toBe('spec sheet Ring kit for the Tarn 450.pdf');
    await page.getByRole('button', { name: 'Duplicate' }).click();
    await expect(
      page.getByRole('button', { name: 'Ring kit for the Tarn 450, copy', exact: true }),
    ).toBeVisible();

    await use.first().click();
    await workshop.stage('Specify');
    await workshop.tab('Springs');
    await expect(page.getByTestId('which-step')).toContainText('enter the stack by caliper');
    // Digit by digit, as a hand types: the field stays though the first digit is a value already.
    await workshop.field('pack.caliper').pressSequentially('1.352 in', { delay: 150 });
    await page.keyboard.press('Tab');
    await expect(workshop.field('pack.caliper')).toHaveValue('1.352 in');
    await expect(page.getByTestId('which-step')).toContainText('Step 2: 34.341 mm by caliper');
    await expect(page.getByTestId('which-step')).toContainText('it would be step 3');
    await page.getByRole('button', { name: 'Use step 2' }).click();
    await expect(page.getByRole('radio', { name: '2', exact: true, checked: true })).toBeVisible();
  },
);
