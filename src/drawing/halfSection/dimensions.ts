import type { Mm } from '@/core/units/quantity';

import type { HalfSection } from './halfSection';

/** A dimension as it is written: a line with end strokes, and its text. */
export interface WrittenDimension {
  readonly name: string;
  readonly line: string;
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'end';
}

const TICK = 4;
const WORD = { stack: 'Stack', gap: 'gap', fitted: '', lift: 'Lift' } as const;
/** Over the first label, where there is room for it whatever the pack. */
const HEADING = 14;

/**
 * The dimensions of a drawing. While the plate is lifted its lift takes the place of the stack.
 * @param say a measure in the units in use
 */
export function dimensionsAt(
  drawing: HalfSection,
  rises: readonly number[],
  lift: Mm,
  say: (value: Mm) => string,
): readonly WrittenDimension[] {
  const plate = rises[drawing.layers.length + 1] ?? 0;
  return drawing.dimensions.map((d) => {
    const lifted = d.name === 'stack' && lift > 0;
    const name = lifted ? 'lift' : d.name;
    const top = lifted ? d.top - plate : d.top;
    // The lower end of springs and gap moves with the plate.
    const bottom = lifted ? d.top : d.name === 'stack' ? d.bottom : d.bottom - plate;
    const value = lifted ? lift : d.name === 'stack' ? d.value : d.value - lift;
    const beside = d.name !== 'stack';
    return {
      name,
      line: `M${d.x - TICK} ${top}h${2 * TICK}M${d.x} ${top}V${bottom}M${d.x - TICK} ${bottom}h${2 * TICK}`,
      text: lifted
        ? `${WORD.lift} ${say(lift)}, ${say(Math.max(0, drawing.clearance(lift)))} per face`
        : `${WORD[name]} ${say(value)}`.trim(),
      x: d.name === 'gap' ? d.x - TICK - 2 : beside ? d.x + TICK + 2 : 0,
      y: beside ? (top + bottom) / 2 + 4 : HEADING,
      anchor: d.name === 'gap' ? ('end' as const) : ('start' as const),
    };
  });
}
