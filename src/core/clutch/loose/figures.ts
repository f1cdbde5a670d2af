import type { Sheet } from '../../evaluate/engine/sheet';
import { collectTerms } from '../../evaluate/engine/term';
import { looseSpringLength, plateGap } from '../../springs/loose';
import { groupModel } from '../coil/figures';

/** Length of springs between two plates, from the gap that the nuts leave. */
function betweenPlates(sheet: Sheet): void {
  const measured = sheet.job.springs.loose.gapFitted !== undefined;
  sheet.compute('plateGap', {
    label: 'Plate gap',
    quantity: 'length',
    section: 4,
    formula: measured ? 'g = g_f + H_f − H' : 'g = S − H',
    from: {
      S: measured
        ? collectTerms(
            [sheet.entry('springs.loose.gapFitted'), sheet.entry('springs.loose.gapStack')],
            ([gap = 0, stack = 0]) => gap + stack,
          )
        : sheet.entry('springs.loose.span'),
      H: sheet.figure('stack', 'H'),
    },
    value: ({ S, H }) => plateGap(S, H),
    notes: [
      'The nuts tighten to a stop; a taller pack leaves a smaller gap and compresses the springs more.',
    ],
  });
  sheet.compute('installedLength', {
    label: 'Fitted spring length',
    quantity: 'length',
    section: 4,
    formula: 'L = g + d_1 + d_2',
    from: {
      g: sheet.figure('plateGap', 'g'),
      a: sheet.entry('springs.loose.pocketInner'),
      b: sheet.entry('springs.loose.pocketOuter'),
    },
    value: ({ g, a, b }) => looseSpringLength(g, a, b),
  });
}

export const LOOSE_MODEL = groupModel(betweenPlates);
