import type { Workshop } from './bench';

/*
 * A pack worked out by hand.
 *   4 discs of 3.0 and 3 steels of 1.6, friction first and last: stack 12 + 4.8 = 16.8 mm, 8 faces.
 *   Springs: 46.8 − 16.8 = 30 mm in place; 5 × 20 N/mm × (40 − 30) = 1000 N.
 *   Radius (58 + 46)/2 = 52 mm; without tang friction μ·1000·0.052·8 = 41.6, 49.92 and 58.24 N·m.
 *   Asked: 12 × 2.5 = 30 N·m; reserve 41.6/30 = 1.39 at the weakest, 1.66 typical.
 *   Lift 1.0 over 8 faces: 0.125 each; needed 0.8. Released: 5 × 20 × 11 = 1100 N; 1100/(60 · 0.8) = 22.9 N.
 */
export async function typePack(shop: Workshop): Promise<void> {
  const { page } = shop;
  await page.getByRole('textbox', { name: 'Machine', exact: true }).fill('Sedge 200');
  await page.getByRole('textbox', { name: 'Use' }).fill('farm quad');
  await shop.type('engine.peakTorque', '12 Nm');
  await shop.type('engine.primaryRatio', '2,5');

  await shop.stage('Specify');
  await shop.tab('Pack');
  await shop.unfold('Disc');
  await shop.type('pack.kinds.disc.thickness', '3.0');
  await shop.type('pack.kinds.disc.outerRadius', '116 dia');
  await shop.type('pack.kinds.disc.innerRadius', '46 rad');
  await shop.unfold('Steel');
  await shop.type('pack.kinds.steel.thickness', '1.6');
  await page.getByRole('textbox', { name: 'Number of discs' }).fill('4');
  await page.getByRole('button', { name: 'Add 7 plates' }).click();
  await shop.type('pack.windowMin', '16.5');
  await shop.type('pack.windowMax', '17');
  await shop.unfold('Friction faces');
  await shop.type('pack.tangFriction', '0');

  await shop.tab('Springs');
  await shop.type('springs.coil.seatDistance', '46.8');
  await shop.type('springs.coil.groups.spring.count', '5');
  await shop.type('springs.coil.groups.spring.freeLength', '40');
  await shop.type('springs.coil.groups.spring.rate', '20');
  await shop.type('springs.coil.groups.spring.solidLength', '22');

  await shop.tab('Release');
  await shop.choose('Release by', 'Dial only');
  await shop.type('release.measuredLift', '1.0');
  await shop.type('release.leverTravel', '60');
}
