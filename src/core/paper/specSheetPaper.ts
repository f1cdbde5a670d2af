import { FIELDS } from '../job/fields';
import type { Entry } from '../job/types';
import { LEAFLET_PARTS } from '../job/types';
import { CAUTIONS, LEAFLET_NAME } from '../job/words';
import type { LeafletPlate } from '../library/leafletPack';
import { LEAFLET_KEYS, leafletName, leafletText } from '../library/leaflet';
import type { SpecSheet } from '../library/limits';
import { limitName } from '../library/limitNames';
import type { UnitChoice } from '../units/format';
import { formatWithUnit } from '../units/format';
import { upperFirst } from '../text/sentence';
import type { Paper, PaperBlock } from './paper';
import { day, facts } from './paper';

/**
 * A spec sheet on paper: what its leaflet says, the plate order, and every value with its source.
 * Never throws.
 * @example specSheetPaper(library[0]).title // "Crag 400"
 */
export function specSheetPaper(sheet: SpecSheet, units: UnitChoice = {}): Paper {
  const leaflet = sheet.leaflet ?? {};
  const plates = leaflet.pack?.plates ?? [];
  return {
    title: sheet.name || 'Spec sheet',
    subtitle: 'Spec sheet',
    foot: `Spec sheet · ${day(sheet.updatedAt)}`,
    blocks: [
      ...facts([
        ['Years and manual', sheet.note],
        ...LEAFLET_KEYS.filter((key) => key !== 'texts').map(
          (key) => [leafletName(key), upperFirst(leafletText(leaflet, key))] as const,
        ),
        ...LEAFLET_PARTS.map((part) => [LEAFLET_NAME[part], leaflet.texts?.[part]] as const),
      ]),
      ...(plates.length > 0
        ? ([
            { kind: 'heading', text: 'Plate order, from the hub floor outward' },
            {
              kind: 'table',
              columns: [{ title: 'Plate', digits: true }, { title: 'Type' }, { title: 'Notes' }],
              rows: plates.map((plate, i) => [
                String(i + 1),
                plate.of,
                plateNotes(plate).join(', '),
              ]),
            },
          ] satisfies PaperBlock[])
        : []),
      ...(sheet.limits.length > 0
        ? ([
            { kind: 'heading', text: 'Values' },
            {
              kind: 'table',
              columns: [{ title: 'Value' }, { title: '', digits: true }, { title: 'Source' }],
              rows: sheet.limits.flatMap((limit) =>
                limit.entry
                  ? [
                      [
                        limitName(limit),
                        printedText(limit.entry, FIELDS[limit.pattern].quantity, units),
                        limit.entry.source?.note ?? '',
                      ],
                    ]
                  : [],
              ),
            },
          ] satisfies PaperBlock[])
        : []),
      { kind: 'text', text: CAUTIONS.join(' ') },
    ],
  };
}

/**
 * Notes of a leaflet on a plate, besides its type.
 * @example plateNotes({ id: 'a', of: 'Disc', isNew: true, judder: true }) // ["new", "judder spring and seat"]
 */
export const plateNotes = (plate: LeafletPlate): string[] => [
  ...(plate.isNew === undefined ? [] : [plate.isNew ? 'new' : 'reused']),
  ...(plate.facing ? [plate.facing === 'outward' ? 'marked face out' : 'marked face in'] : []),
  ...(plate.judder ? ['judder spring and seat'] : []),
  ...(plate.offsetSlot ? ['offset slots'] : []),
];

/**
 * An entry as printed in its leaflet where it was typed with its unit or as a range, else in the units in use.
 * @example printedText({ value: 29.972, typed: '1.180 in' }, 'length') // "1.180 in"
 */
export function printedText(
  { value, typed, range }: Entry,
  quantity: Parameters<typeof formatWithUnit>[1],
  units: UnitChoice = {},
): string {
  if (typed && /[^\d.,\s]/.test(typed)) return typed;
  return range
    ? `${formatWithUnit(range.low, quantity, units)} to ${formatWithUnit(range.high, quantity, units)}`
    : formatWithUnit(value, quantity, units);
}
