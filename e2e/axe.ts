import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** The axe violations of a page, one line each. */
export async function brokenRules(page: Page, rules?: readonly string[]): Promise<string[]> {
  // There are no frames, and only violations are requested: a fifth of the time.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({
    resultTypes: ['violations'],
    ...(rules ? { runOnly: { type: 'rule', values: [...rules] } } : {}),
  });
  const { violations } = await axe.analyze();
  return violations.map((v) => `${v.id}, ${v.nodes.length} × ${v.nodes[0]?.html.slice(0, 160)}`);
}
