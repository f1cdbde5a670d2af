import { Hands } from './hand';
import { line } from './measure';
import { withServed } from './served';
import { PATHS } from './paths';

/** What a hand does for a whole job on a phone: taps with the scrolls before them, and keys. */
const root = process.env.UNDER_RIDGE_ROOT ?? '.';
const only = process.env.UNDER_RIDGE_PATH;

void withServed(root, async (base, browser) => {
  for (const { name, walk, taps, keys, from } of PATHS) {
    if (only && !name.includes(only)) continue;
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const page = await context.newPage();
    page.setDefaultTimeout(8000);
    await page.goto(base + (from ?? '/'));
    const hands = new Hands(page);
    await walk(hands);
    const all = hands.taps + hands.scrolls;
    line(
      name,
      `${hands.taps} taps + ${hands.scrolls} scrolls = ${all}, ${hands.keys} keys`,
      `${taps}, ${keys}`,
    );
    if (only) console.log(hands.trace.join('\n'));
    await context.close();
  }
});
