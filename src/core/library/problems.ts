import { length, lowerFirst, readSentence, say } from '../text/sentence';
import type { UnitChoice } from '../units/format';
import type { FieldPattern } from '../job/fieldPath';
import { FIELDS } from '../job/fields';
import { unitWritten } from '../units/written';
import type { Limit } from './limitNames';
import type { SpecSheet } from './limits';
import { limitName } from './limitNames';

/** Something on a sheet that can't be right, at the row where it is asked about. */
export interface SheetProblem {
  /** The limit at whose row it is shown. */
  readonly limitId: string;
  readonly text: string;
}

const BAND_MIN = 'springs.diaphragm.steps.*.bandMin';
const BAND_MAX = 'springs.diaphragm.steps.*.bandMax';

/** Bands that share an edge may differ by a rounding of inches, mm. */
const EDGE = 0.002;

/** Minimum and maximum of one value. */
const PAIRS: readonly (readonly [FieldPattern, FieldPattern])[] = [
  ['pack.windowMin', 'pack.windowMax'],
  ['springs.loose.gapMin', 'springs.loose.gapMax'],
  ['setting.gapMin', 'setting.gapMax'],
  ['setting.freePlayMin', 'setting.freePlayMax'],
  ['setting.chainSlackMin', 'setting.chainSlackMax'],
  ['inspection.tangClearanceMin', 'inspection.tangClearanceMax'],
];

interface SheetBand {
  readonly name: string;
  readonly min?: Limit | undefined;
  readonly max?: Limit | undefined;
}

const low = (band: SheetBand): number => band.min?.entry?.value ?? 0;
const high = (band: SheetBand): number => band.max?.entry?.value ?? Infinity;

/**
 * What on a sheet contradicts itself: bands that overlap or leave a hole, a step without a height, limits the wrong way round.
 * A sheet with a problem is not applied. Never throws.
 * Source: `docs/mechanics.md` section 1.
 * @example sheetProblems(library[0]) // []
 */
export function sheetProblems({ limits }: SpecSheet, units: UnitChoice = {}): SheetProblem[] {
  return [
    ...bandProblems(limits, printedUnits(limits, units)),
    ...stepProblems(limits),
    ...pairProblems(limits),
  ];
}

function bandsOf(limits: readonly Limit[]): readonly SheetBand[] {
  const ofSteps = limits.filter((l) => l.entry && [BAND_MIN, BAND_MAX].includes(l.pattern));
  const names = [...new Set(ofSteps.map((l) => l.of ?? ''))];
  return names
    .map((name): SheetBand => {
      const at = (pattern: string) => ofSteps.find((l) => l.of === name && l.pattern === pattern);
      return { name, min: at(BAND_MIN), max: at(BAND_MAX) };
    })
    .sort((a, b) => low(a) - low(b));
}

function bandProblems(limits: readonly Limit[], units: UnitChoice): SheetProblem[] {
  const bands = bandsOf(limits);
  return bands.flatMap((band, i): SheetProblem[] => {
    const row = band.min ?? band.max;
    if (!row) return [];
    const at = (text: string) => [{ limitId: row.id, text }];
    if (low(band) > high(band)) return at(`The band of step ${band.name} runs backwards.`);
    const before = bands[i - 1];
    if (!before) return [];
    const gap = low(band) - high(before);
    if (gap < -EDGE)
      return at(
        high(before) === Infinity
          ? `Step ${before.name} has no upper edge: enter it.`
          : `Overlaps the band of step ${before.name}. Should it begin at ${lengthText(high(before), units)}?`,
      );
    return gap > EDGE
      ? at(
          `Between step ${before.name} and this one nothing is selected from ${lengthText(high(before), units)} to ${lengthText(low(band), units)}. Should it begin at ${lengthText(high(before), units)}?`,
        )
      : [];
  });
}

const lengthText = (value: number, units: UnitChoice): string =>
  readSentence(say`${length(value)}`, units);

/** The unit in which the leaflet prints its bands, else the units in use. */
function printedUnits(limits: readonly Limit[], units: UnitChoice): UnitChoice {
  const typed = limits.find((l) => [BAND_MIN, BAND_MAX].includes(l.pattern))?.entry?.typed ?? '';
  const unit = unitWritten(typed, 'length');
  return unit ? { ...units, length: unit.id } : units;
}

/**
 * The first problem of a sheet with the name of its row, as the reason why it can't be applied.
 * @example applyProblem(library[0]) // — undefined: it can be applied
 */
export function applyProblem(sheet: SpecSheet, units: UnitChoice = {}): string | undefined {
  const [first] = sheetProblems(sheet, units);
  const row = sheet.limits.find((l) => l.id === first?.limitId);
  return first && row ? `${limitName(row)}: ${lowerFirst(first.text)}` : undefined;
}

/** With heights or offsets at all, every step with a band needs its own. */
function stepProblems(limits: readonly Limit[]): SheetProblem[] {
  const sized = new Set(
    limits
      .filter((l) => l.entry && /steps\.\*\.(height|offset)$/.test(l.pattern))
      .map((l) => l.of ?? ''),
  );
  const bands = bandsOf(limits);
  if (bands.length < 2) return [];
  return bands.flatMap(({ name, min, max }) => {
    const row = min ?? max;
    return sized.has(name) || !row
      ? []
      : [{ limitId: row.id, text: `Step ${name} has no height: add it, as printed on the ring.` }];
  });
}

function pairProblems(limits: readonly Limit[]): SheetProblem[] {
  return PAIRS.flatMap(([min, max]) => {
    const least = limits.find((l) => l.pattern === min)?.entry;
    const most = limits.find((l) => l.pattern === max);
    return least && most?.entry && most.entry.value < least.value
      ? [{ limitId: most.id, text: `Below the ${lowerFirst(FIELDS[min].label)}.` }]
      : [];
  });
}
