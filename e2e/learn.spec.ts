import type { Locator, Page } from '@playwright/test';

import { readSentence } from '../src/core/text/sentence';
import type { ExerciseId } from '../src/core/exercises/exercises';
import { EXERCISE_IDS, EXERCISES } from '../src/core/exercises/exercises';
import type { Exercise, Question } from '../src/core/exercises/model';
import { cutawayOf } from '../src/core/takeoff/cutaway';
import type { HandMoment } from '../src/core/takeoff/hands';
import { recordedWay } from '../src/core/takeoff/hands';
import { speedsOf } from '../src/core/takeoff/motion';
import { takeoffOf } from '../src/core/takeoff/setup';
import { takeoffBy } from '../src/core/takeoff/takeoff';
import { demoJob } from '../src/demo/jobs';
import { linesOf } from '../src/features/cutaway/lines';
import { brokenRules } from './axe';
import { expect, ON_PHONE, test } from './bench';
import { recordOf } from './stored';

const OIL = 90;

/** The core's result for a demo machine after some 0.1 s steps with these hands. */
function afterSteps(number: string, hands: Omit<HandMoment, 't'>, steps: number) {
  const cut = cutawayOf(demoJob(number), OIL);
  const { ride } = cut;
  if (!ride) throw new Error(`${number} can be ridden`);
  let motion = ride.begin();
  for (let i = 0; i < steps; i++) motion = ride.advance(motion, hands, 0.1);
  const speeds = speedsOf(ride, motion);
  return linesOf({ look: cut.at(hands.lever, speeds.engine), motion, speeds }, {});
}

const thumb = (page: Page, name: string): Locator => page.getByRole('slider', { name });
const pixels = (page: Page): Promise<string> =>
  page.evaluate(() => [...document.querySelectorAll('canvas')].map((c) => c.toDataURL()).join());

test(
  'the cutaway shows what the core computes, step by step, for a pack, an auto-clutch and a start clutch',
  ON_PHONE,
  async ({ workshop, page }) => {
    // With reduced motion it waits for steps, so that results are comparable.
    await page.emulateMedia({ reducedMotion: 'reduce' });
    for (const [id, lever, throttle, steps] of [
      ['demo-ur-0106', 0.25, 0.5, 3],
      ['demo-ur-0102', 0, 0.5, 9],
      ['demo-ur-0105', 0, 0.25, 12],
    ] as const) {
      const number = id.replace('demo-ur', 'UR');
      await workshop.open(`/cutaway?job=${id}`);
      await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
      if (lever > 0) {
        await thumb(page, 'Lever').press('Home');
        for (let i = 0; i < lever * 4; i++) await page.keyboard.press('PageUp');
      }
      await thumb(page, 'Throttle').focus();
      for (let i = 0; i < throttle * 4; i++) await page.keyboard.press('PageUp');
      const step = page.getByRole('button', { name: 'Step forward 0.1 s' });
      const still = await pixels(page);
      for (let i = 0; i < steps; i++) await step.click();
      await expect(page.getByTestId('cutaway-figures').getByRole('listitem')).toHaveText(
        afterSteps(number, { lever, throttle }, steps).map(({ name, text }) => name + text),
      );
      await expect(page.getByTestId('cutaway-state')).toHaveAttribute('data-state', 'slipping');
      expect(await pixels(page)).not.toBe(still);
    }
    expect(await brokenRules(page)).toEqual([]);
  },
);

test(
  'two thumbs take a machine off; the hands are kept and followed by the take-off',
  ON_PHONE,
  async ({ workshop, page }) => {
    await workshop.open('/job/demo-ur-0106');
    await workshop.jobMenu('Cutaway');
    const state = page.getByTestId('cutaway-state');
    await expect(state).toHaveAttribute('data-state', 'open');
    // It runs by itself, and stops when paused.
    const before = await pixels(page);
    await expect.poll(() => pixels(page)).not.toBe(before);
    await page.getByRole('button', { name: 'Pause' }).click();
    const paused = await pixels(page);
    await page.evaluate(
      () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),
    );
    expect(await pixels(page)).toBe(paused);

    await page.getByRole('button', { name: 'Record a start from standstill' }).click();
    await thumb(page, 'Throttle').press('PageUp');
    const lever = thumb(page, 'Lever');
    await lever.scrollIntoViewIfNeeded();
    const box = await lever.boundingBox();
    if (!box) throw new Error('the lever is in sight');
    const x = box.x + box.width / 2;
    await page.mouse.move(x, box.y + 20);
    await page.mouse.down();
    for (let i = 1; i <= 12; i++) {
      await page.mouse.move(x, box.y + 20 + (i * (box.height - 30)) / 12);
      await page.evaluate(() => new Promise((done) => setTimeout(done, 60)));
    }
    await page.mouse.up();
    await expect(lever).toHaveAttribute('aria-valuenow', '0');
    await expect(state).toHaveAttribute('data-state', 'locked');
    await page.getByRole('button', { name: 'Stop and save this recording' }).click();
    await expect(page.getByText('Recording saved.')).toBeVisible();
    await workshop.stored();

    const hands = (await recordOf<{ hands: readonly HandMoment[] }>(page, 'practice')).hands;
    expect(hands.length).toBeGreaterThan(4);
    const setup = takeoffOf(demoJob('UR-0106'));
    if ('needs' in setup) throw new Error('the demo job describes a start');
    const [first] = takeoffBy(setup, recordedWay(hands), OIL);
    await page.getByRole('button', { name: 'Use it in a take-off' }).click();
    await page.getByRole('button', { name: 'Take-off', exact: true }).click();
    await expect(page.getByRole('radio', { name: 'Your own hands' })).toBeChecked();
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await expect(page.getByTestId('takeoff')).toContainText(
      `Locked at ${first?.start.lockRpm.toFixed(0)} rpm after ${first?.start.slipTime.toFixed(2)} s of slip`,
    );
    await expect(page.getByTestId('judder')).toContainText('No judder');
  },
);

test('packs are compared with the same hands', ON_PHONE, async ({ workshop, page }) => {
  await workshop.open('/job/demo-ur-0101?stage=specify&tab=torque');
  await page.getByRole('button', { name: 'Take-off', exact: true }).click();
  await workshop.choose('Type of start', 'Race start');
  await page.getByRole('checkbox', { name: 'As it came' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  const table = page.getByTestId('packs-compared');
  await expect(table.getByRole('columnheader')).toHaveText([
    '',
    'Nine discs, soft springs',
    'As it came',
  ]);
  await expect(table.getByRole('row').filter({ hasText: 'Judder' }).getByRole('cell')).toHaveCount(
    2,
  );
});

/** Answers a question by its solution, as a hand would. */
async function solve(page: Page, exercise: Exercise, question: Question): Promise<void> {
  const here = page.getByTestId(`question-${question.id}`);
  const { solution } = question;
  const list = typeof solution === 'string' ? [solution] : solution;
  switch (question.kind) {
    case 'number':
      await here.getByRole('textbox').fill(String(solution));
      return;
    case 'one':
    case 'many':
      for (const id of list) {
        const label = readSentence(question.options.find((o) => o.id === id)?.label ?? []);
        if (question.kind === 'many' && question.of === 'layers')
          await here.getByTestId(`layer-${id}`).click();
        else
          await here
            .getByRole(question.kind === 'one' ? 'radio' : 'checkbox', { name: label, exact: true })
            .click();
      }
      return;
    case 'order':
      for (const bolt of list)
        await here.getByRole('button', { name: `Bolt ${bolt}`, exact: true }).click();
      return;
    case 'ring':
      for (const [i, kind] of list.entries()) {
        const key = here.getByRole('button', { name: new RegExp(`^Position ${i + 1},`) });
        for (let n = 0; n <= question.kinds.findIndex((k) => k.id === kind); n++) await key.click();
      }
  }
}

/** One for each way of answering; all others are solved on the wide screen. */
const EACH_WAY: readonly ExerciseId[] = [
  'measureDisc',
  'layPack',
  'unevenSprings',
  'tighten',
  'countIn',
];

test(
  'exercises can be solved at the bench, and progress is kept',
  ON_PHONE,
  async ({ workshop, page }, info) => {
    const tried = info.project.name === 'phone' ? EACH_WAY : EXERCISE_IDS;
    for (const id of tried) {
      await workshop.open(`/exercise?kind=${id}&seed=7`);
      const exercise = EXERCISES[id].make(7);
      const bench = page.getByTestId('bench');
      if (id === 'measureDisc')
        for (const hour of ['12', '4:30', '9'])
          await bench
            .getByRole('button', { name: `Measure at ${hour} o’clock`, exact: true })
            .click();
      else if (exercise.bench) await bench.getByRole('button').first().click();
      await expect(page.getByRole('button', { name: 'Check', exact: true })).toBeDisabled();
      for (const question of exercise.questions) await solve(page, exercise, question);
      await page.getByRole('button', { name: 'Check', exact: true }).click();
      await expect(page.getByText('All correct.')).toBeVisible();
      await workshop.stored();
    }
    await page.getByRole('button', { name: 'New case' }).click();
    await expect(page.getByText('Case 7:')).toHaveCount(0);
    await workshop.stored();
    await workshop.open('/learn');
    await expect(page.getByTestId('exercise-progress')).toHaveText(
      `${tried.length} of ${EXERCISE_IDS.length} completed without a mistake.`,
    );
  },
);

test(
  'names a known mistake and keeps an exercise that was begun',
  ON_PHONE,
  async ({ workshop, page }) => {
    await workshop.open('/exercise?kind=basketSpeed&seed=11');
    const exercise = EXERCISES.basketSpeed.make(11);
    const speed = exercise.questions[0];
    const rpm = /at (\d+) rpm of the engine/.exec(readSentence(speed?.ask ?? []))?.[1] ?? '';
    const first = page.getByTestId('question-speed');
    await first.getByRole('textbox').fill('fast');
    await expect(first).toContainText('is not a number');
    await first.getByRole('textbox').fill(rpm);
    await workshop.stored();
    await page.reload();
    await expect(first.getByRole('textbox')).toHaveValue(rpm);
    for (const q of exercise.questions.slice(1)) await solve(page, exercise, q);
    await page.getByRole('button', { name: 'Check', exact: true }).click();
    await expect(first).toContainText(
      'Wrong. That is the engine: the primary drive is in between.',
    );
    await expect(page.getByText('67 % correct.')).toBeVisible();
    expect(await brokenRules(page)).toEqual([]);
  },
);

test('explains a word in place and finds it in the glossary', async ({ workshop, page }, info) => {
  await workshop.open('/job/demo-ur-0102?stage=specify&tab=release');
  await page.getByRole('button', { name: 'Explain: clearance per face' }).first().click();
  await expect(page.getByRole('dialog', { name: 'Term: Clearance per face' })).toBeVisible();
  await page.keyboard.press('Escape');
  await workshop.tab('Figures');
  await page
    .getByRole('button', { name: /^Overall ratio: .* Show the working/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Explain: overall ratio' }).click();
  const word = page.getByRole('dialog', { name: 'Term: Overall ratio' });
  await expect(word).toContainText('pulls lighter and lifts less');
  await word.getByRole('button', { name: 'Reduced-effort part' }).click();
  await expect(page.getByRole('dialog', { name: 'Term: Reduced-effort part' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: /^Word/ })).toHaveCount(0);
  // The layer below the term stays until closed.
  await expect(page.getByRole('dialog', { name: 'Working: Overall ratio' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);

  await workshop.open('/learn');
  for (const part of info.project.name === 'phone' ? ['Glossary', 'Clutch types', 'Methods'] : []) {
    await workshop.choose('Topics', part);
    expect(await brokenRules(page)).toEqual([]);
  }
  await workshop.choose('Topics', 'Glossary');
  await page.getByRole('textbox', { name: 'Search the glossary' }).fill('washer');
  await page.getByRole('button', { name: 'Thrust washer' }).click();
  // Beside the list where the screen is wide.
  const phone = info.project.name === 'phone';
  await expect(
    phone
      ? page.getByRole('dialog', { name: 'Term: Thrust washer' })
      : page.getByRole('complementary', { name: 'The term' }),
  ).toContainText('falls off');
  if (phone) await page.keyboard.press('Escape');
  await page.getByRole('textbox', { name: 'Search the glossary' }).fill('zzz');
  await expect(page.getByText('No match for “zzz”.')).toBeVisible();
  await workshop.choose('Topics', 'Clutch types');
  await page.getByRole('button', { name: 'Find the clutch type of a machine' }).click();
  await expect(page.getByRole('group', { name: 'Which clutch type?' })).toBeVisible();
});
