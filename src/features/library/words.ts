import type { ComparedPart } from '@/core/library/leaflet';
import { leafletName, leafletText } from '@/core/library/leaflet';
import type { ComparedLimit } from '@/core/library/compareSpecSheet';
import type { SpecSheet } from '@/core/library/limits';
import { limitField } from '@/core/library/limits';
import { limitName } from '@/core/library/limitNames';
import type { UnitChoice } from '@/core/units/format';
import { printedText } from '@/core/paper/specSheetPaper';

/** A difference between job and library in words: "Least stack: 33.500 mm in the job, 33.800 mm here". */
export function differenceText({ limit, here }: ComparedLimit, units: UnitChoice): string {
  const { quantity } = limitField(limit.pattern);
  const ours = limit.entry ? printedText(limit.entry, quantity, units) : 'no value';
  const theirs = here ? printedText(here, quantity, units) : 'none';
  return `${limitName(limit)}: ${theirs} in the job, ${ours} on the sheet`;
}

/** The same for a part of the leaflet: "Plate order: 13 plates in the job, 15 plates on the sheet". */
export const partText = ({ key, here }: ComparedPart, { leaflet = {} }: SpecSheet): string =>
  `${leafletName(key)}: ${here || 'nothing'} in the job, ${leafletText(leaflet, key)} on the sheet`;
