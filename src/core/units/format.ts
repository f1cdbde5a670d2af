import { UNITS, baseUnit, fromBase } from './quantity';
import type { Quantity, Unit, UnitId } from './quantity';

/** The chosen unit of each quantity; others show in the base unit. */
export type UnitChoice = Partial<Record<Quantity, UnitId>>;

/**
 * The unit to show for `quantity` under the builder's choice.
 * @example shownUnit('length', { length: 'thou' }).id // "thou"
 */
export function shownUnit(quantity: Quantity, choice: UnitChoice = {}): Unit {
  const id = choice[quantity];
  return UNITS[quantity].find((u) => u.id === id) ?? baseUnit(quantity);
}

/**
 * A value in the base unit as text in a unit, rounded to the gauge's resolution.
 * Rounding happens here only, never in storage.
 * @param decimals for the base unit, where its gauge's own are not meant
 * @example formatValue(2.9204, 'length', { length: 'in' }) // "0.1150"
 */
export function formatValue(
  value: number,
  quantity: Quantity,
  choice: UnitChoice = {},
  decimals?: number,
): string {
  const to = shownUnit(quantity, choice);
  // Decimals are given for the base unit; another unit has its own resolution.
  const places = to.factor === 1 ? (decimals ?? to.decimals) : to.decimals;
  const text = fromBase(value, to).toFixed(places);
  return /^-0(\.0*)?$/.test(text) ? text.slice(1) : text;
}

/**
 * Like {@link formatValue}, with the unit's symbol: "2.920 mm".
 * @example formatWithUnit(2.9204, 'length') // "2.920 mm"
 */
export function formatWithUnit(
  value: number,
  quantity: Quantity,
  choice: UnitChoice = {},
  decimals?: number,
): string {
  return withSymbol(
    formatValue(value, quantity, choice, decimals),
    shownUnit(quantity, choice).symbol,
  );
}

/**
 * A written number with its unit's symbol, as ISO 80000 spaces it.
 * @example withSymbol('45', '°') // "45°"
 */
export const withSymbol = (text: string, symbol: string): string =>
  symbol === '' || symbol === '°' ? `${text}${symbol}` : `${text} ${symbol}`;

/**
 * A written number without the zeros that only fill up a gauge's resolution, its unit kept. Never throws.
 * @example withoutZeros('2.900 mm') // "2.9 mm"
 */
export const withoutZeros = (text: string): string =>
  text.replace(/(\.\d*?)0+(?=$| )/, '$1').replace(/\.(?=$| )/, '');
