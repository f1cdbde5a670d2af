import fc from 'fast-check';

import { demoJob } from '../src/demo/jobs';
import { writeJobFile } from '../src/files/jobFile';
import { spoiltJson, spoiltText } from '../src/testing/hostile';
import { expect, ON_PHONE, test } from './bench';

const NAME = '<img src=x onerror="window.hit=1">\u202Egnp.exe 👨‍🔧';
const FORMULA = '=HYPERLINK("http://elsewhere.example")';

test(
  'names and notes that hold script, formulas, other directions and no end are text everywhere',
  ON_PHONE,
  async ({ workshop, page }) => {
    const model = demoJob('UR-0106');
    const job = {
      ...model,
      id: 'hostile',
      number: FORMULA,
      machine: { ...model.machine, name: NAME, use: '"><script>window.hit=2</script>' },
      notes: `${'\u2067x'.repeat(5000)}<script>window.hit=3</script>`,
      pack: { ...model.pack, kinds: model.pack.kinds.map((kind) => ({ ...kind, name: NAME })) },
    };
    await workshop.open();
    const whole = await page.evaluate(() => document.documentElement.scrollWidth);
    await workshop.importFile({
      name: `${NAME.slice(0, 20)}.json`,
      mimeType: 'application/json',
      buffer: Buffer.from(writeJobFile(job, {}, '2026-11-26T08:00:00.000Z')),
    });
    const row = page.getByRole('link', { name: FORMULA });
    await expect(row).toContainText('<img src=x onerror="window.hit=1">');
    // What a name turns round ends with the name.
    // In its name, and in what is to be done next on it, which follows the verdict.
    const names = row.getByText('<img');
    await expect(names).toHaveCount(2);
    for (const name of await names.all()) {
      const way = await name.evaluate((node) => getComputedStyle(node).unicodeBidi);
      expect(['isolate', 'plaintext', 'isolate-override']).toContain(way);
    }

    await workshop.stored();

    const check = async (where: string) => {
      await expect(page.getByRole('heading').first()).toBeVisible();
      const seen = await page.evaluate(() => ({
        hit: (window as unknown as { hit?: number }).hit,
        images: document.querySelectorAll('img[src="x"]').length,
        scripts: [...document.scripts].filter((s) => s.text.includes('hit')).length,
        width: document.documentElement.scrollWidth,
      }));
      expect(seen, where).toEqual({ hit: undefined, images: 0, scripts: 0, width: whole });
    };
    await check('the list');
    for (const stage of ['intake', 'strip', 'inspect', 'specify', 'build', 'set', 'prove', 'log']) {
      await workshop.open(`/job/hostile?stage=${stage}`);
      await expect(page.getByRole('heading', { level: 1 })).toContainText('<img src=x');
      await check(stage);
    }
    for (const route of ['/shelf', '/library', '/due', '/files', '/code?job=hostile']) {
      await workshop.open(route);
      await check(route);
    }
    await workshop.open('/find');
    await page.getByRole('searchbox').fill('HYPERLINK');
    await expect(page.getByText('<img src=x').first()).toBeVisible();
    await check('find');
  },
);

test('a text longer than its field says that it is full', ON_PHONE, async ({ workshop, page }) => {
  await workshop.open('/job/demo-ur-0106?stage=intake');
  const machine = page.getByRole('textbox', { name: 'Machine', exact: true });
  await machine.fill('x'.repeat(100_000));
  await expect(page.getByText('Full: 120 characters fit')).toBeVisible();
  await workshop.stored();
});

// FUZZ=60 for a longer look.
const MUTANTS = Number(process.env.FUZZ ?? 6);

test(
  'a spoilt file is imported whole or refused in words, and the workshop goes on',
  ON_PHONE,
  async ({ workshop, page }) => {
    test.setTimeout(60_000 + MUTANTS * 5_000);
    const text = writeJobFile(demoJob('UR-0105'), {}, '2026-11-26T08:00:00.000Z');
    const mutants = fc.sample(fc.oneof(spoiltJson(JSON.parse(text)), spoiltText(text)), {
      numRuns: MUTANTS,
      seed: 27,
    });
    await workshop.open();
    const rows = page.getByRole('link', { name: /^UR-/ });
    await expect(rows).toHaveCount(7);
    let refused = 0;
    let kept = 7;
    for (const [i, mutant] of mutants.entries()) {
      await workshop.importFile({
        name: `mutant ${i}.json`,
        mimeType: 'application/json',
        buffer: Buffer.from(mutant),
      });
      const reported = page.getByRole('status', { name: 'Import' });
      await expect(reported).toContainText(
        /mutant \d+\.json: .{11,}|imported\.|added beside it|already here/,
      );
      if ((await reported.innerText()).includes(`mutant ${i}.json: `)) {
        refused += 1;
        await expect(rows).toHaveCount(kept);
      } else kept = await rows.count();
      await page.reload();
      // A list that is still being read is not the list.
      await expect(rows).toHaveCount(kept);
    }
    expect(refused).toBeGreaterThan(0);
    await workshop.stored();
  },
);
