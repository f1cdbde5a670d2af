import type { Sheet } from '../../evaluate/engine/sheet';
import { looseSpringLength, plateGap } from '../../springs/loose';
import { groupModel } from '../coil/figures';

/** Length of springs between two plates, from the gap that the nuts leave. */
function betweenPlates(sheet: Sheet): void {
  sheet.compute('plateGap', {
    label: 'Plate gap',
    quantity: 'length',
    section: 4,
    formula: 'g = S − H',
    from: { S: sheet.entry('springs.loose.span'), H: sheet.figure('stack', 'H') },
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
