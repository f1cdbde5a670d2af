import { readFileSync } from 'node:fs';
import path from 'node:path';

import type { Strata } from '../palette';
import { LIMESTONE, PEAT } from '../palette';

/** Relative luminance, WCAG 2.2. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const share = parseInt(hex.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return ((light ?? 0) + 0.05) / ((dark ?? 0) + 0.05);
}

const THEMES: readonly (readonly [string, Strata])[] = [
  ['limestone', LIMESTONE],
  ['peat', PEAT],
];

describe.each(THEMES)('%s', (_name, strata) => {
  const { ground, raised } = strata;

  it('is read in bad light: ink far above what the standard asks for, soft words above it', () => {
    for (const under of [ground, raised]) {
      expect(contrast(strata.ink, under)).toBeGreaterThanOrEqual(12);
      expect(contrast(strata.soft, under)).toBeGreaterThanOrEqual(5.5);
    }
  });

  it.each(['good', 'watch', 'stop', 'slate'] as const)(
    '%s is distinguishable from its background',
    (id) => {
      for (const under of [ground, raised])
        expect(contrast(strata[id], under)).toBeGreaterThanOrEqual(4.5);
    },
  );

  it('is readable on keys, and its layers are distinguishable in the section', () => {
    expect(contrast(strata.onSlate, strata.slate)).toBeGreaterThanOrEqual(7);
    // A layer is among others and is labelled: it needs less contrast than text.
    for (const layer of [strata.ochreDeep, strata.floor] as const)
      expect(contrast(layer, ground)).toBeGreaterThanOrEqual(2);
    expect(contrast(strata.ochre, strata.steel)).toBeGreaterThan(1.1);
  });
});

describe('the page before its script', () => {
  const page = readFileSync(path.join(__dirname, '../../../public/index.html'), 'utf8');
  const [light = '', dark = ''] = page.split('@media (prefers-color-scheme: dark)');

  it.each([
    ['light', light, LIMESTONE],
    ['dark', dark, PEAT],
  ] as const)('has the ground of the %s theme, so that nothing flashes', (scheme, css, strata) => {
    expect(css).toContain(`background: ${strata.ground.toLowerCase()};`);
    expect(css).toContain(`color: ${strata.soft.toLowerCase()};`);
    expect(page).toContain(`media="(prefers-color-scheme: ${scheme})" content="${strata.ground}"`);
  });
});
