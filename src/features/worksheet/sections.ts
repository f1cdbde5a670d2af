import type { SheetStep } from '@/core/worksheet/worksheet';

/** Optional steps count only once done. */
export const isRequired = (step: SheetStep): boolean =>
  !step.line.optional || step.state !== 'open';

/** Ticked without the required reading or count. */
export const isReadingMissing = ({ line, state }: SheetStep): boolean =>
  line.unread === true && state === 'done';

export interface StepSection {
  readonly name: string;
  readonly steps: readonly SheetStep[];
  /** Steps before it. */
  readonly from: number;
}

/** Steps under their headings, in order; a heading that comes again later is a section of its own. */
export function sectionsOf(steps: readonly SheetStep[]): StepSection[] {
  const sections: { name: string; steps: SheetStep[]; from: number }[] = [];
  steps.forEach((step, i) => {
    const last = sections.at(-1);
    const again = sections.filter((s) => s.steps[0]?.line.section === step.line.section).length;
    if (last && last.steps[0]?.line.section === step.line.section) last.steps.push(step);
    else
      sections.push({
        name: again > 0 ? `${step.line.section}, ${again + 1}` : step.line.section,
        steps: [step],
        from: i,
      });
  });
  return sections;
}
