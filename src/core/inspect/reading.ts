import type { FieldPath } from '../job/fieldPath';
import { fieldAt } from '../job/fields';
import type { ParsedEntry, Reading } from '../units/entrySpec';
import { parseEntry } from '../units/parseEntry';
import type { Unit } from '../units/quantity';
import type { UnitChoice } from '../units/format';
import { baseUnit, UNITS } from '../units/quantity';
import { formatWithUnit } from '../units/format';
import type { RunStep } from './runStep';

/** A reading further from nominal than this share is probably a typing error. Assumed value. */
const FAR = 0.35;
/** Excess thickness over new, mm, above which a reading is questioned: batches vary, but less than this. Assumed value. */
const THICKER: number = 0.06;

/**
 * Reads a gauge value for the current part. Like a bare field, but questions a value ten times nominal, one that fits only in
 * another unit, and one thicker than new.
 * @param text as typed or sent by a gauge, in the unit now shown unless it says another
 * @returns as {@link parseEntry}; the readings of a question are sorted by likelihood, as typed last
 * Never throws. Source: `docs/mechanics.md`, inspection.
 * @example readGauge('29.0', { nominal: 2.9, … }) // a question: 2.900 mm, or 29.000 mm as typed
 */
export function readGauge(
  text: string,
  step: Pick<RunStep, 'path' | 'nominal' | 'onlyWears'>,
  choice: UnitChoice = {},
): ParsedEntry {
  const field = fieldAt(step.path);
  const parsed = parseEntry(text, field, choice);
  const { nominal } = step;
  if (nominal === undefined || nominal <= 0 || parsed.kind === 'empty') return parsed;
  const near = (value: number) => Math.abs(value - nominal) <= FAR * nominal;
  const shownNominal = formatWithUnit(nominal, field.quantity, choice);
  if (parsed.kind === 'refused' || parsed.kind === 'question') {
    // A value out of range may be one key away from the current part.
    const given = bareNumber(text);
    const meant = given === undefined ? [] : likely(step.path, given, near, choice);
    return meant.length > 0 && given !== undefined
      ? {
          kind: 'question',
          message: `New is ${shownNominal}: did you mean ${meant.map((r) => r.text).join(' or ')}?`,
          readings: meant,
        }
      : parsed;
  }
  const { value, unit } = parsed;
  if (!near(value)) {
    const meant = likely(
      step.path,
      (value - (unit.offset ?? 0)) / unit.factor,
      near,
      choice,
    ).filter((r) => Math.abs(r.value - value) > 1e-9);
    return {
      kind: 'question',
      message:
        meant.length > 0
          ? `${parsed.text}, where new is ${shownNominal}: did you mean ${meant.map((r) => r.text).join(' or ')}?`
          : `${parsed.text} is far from new, ${shownNominal}. Is it correct?`,
      readings: [...meant, parsed],
    };
  }
  if (step.onlyWears && value > nominal + THICKER) {
    return {
      kind: 'question',
      message: `${parsed.text} is more than new, ${shownNominal}: dirt under the gauge, a different part, or another unit? Measure again, or keep it.`,
      readings: [parsed],
    };
  }
  return parsed;
}

/** The same digits in another unit, or with the point moved by one place. */
function likely(
  path: FieldPath,
  digits: number,
  near: (value: number) => boolean,
  choice: UnitChoice,
): Reading[] {
  const { quantity } = fieldAt(path);
  const found: Reading[] = [];
  const add = (value: number, unit: Unit) => {
    if (!near(value) || found.some((r) => Math.abs(r.value - value) < 1e-9)) return;
    found.push({
      value,
      unit,
      text: formatWithUnit(value, quantity, { ...choice, [quantity]: unit.id }),
    });
  };
  for (const unit of UNITS[quantity]) add(digits * unit.factor, unit);
  const shown = UNITS[quantity].find((u) => u.id === choice[quantity]) ?? baseUnit(quantity);
  for (const shift of [0.1, 10, 0.01, 100, 0.001, 1000]) add(digits * shift * shown.factor, shown);
  return found;
}

/** The number in a text without its unit, for a second look at it. */
function bareNumber(text: string): number | undefined {
  const match = /^\s*(\d*[.,]?\d+)/.exec(text);
  const value = Number(match?.[1]?.replace(',', '.'));
  return match && Number.isFinite(value) ? value : undefined;
}
