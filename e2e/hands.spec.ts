import { Hands } from '../bench/hand';
import { PATHS } from '../bench/paths';
import { expect, ON_PHONE, test } from './bench';

/* Whole jobs from nothing on a phone, in no more taps and keys than a builder has patience for. */

for (const { name, walk, taps, keys } of PATHS)
  test(
    `${name} takes at most ${taps} taps and ${keys} keys`,
    ON_PHONE,
    async ({ workshop: shop, page }) => {
      await shop.open();
      const hands = new Hands(page);
      await walk(hands);
      expect(hands.taps + hands.scrolls).toBeLessThanOrEqual(taps);
      expect(hands.keys).toBeLessThanOrEqual(keys);
    },
  );
