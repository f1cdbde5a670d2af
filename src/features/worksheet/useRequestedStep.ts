import { useLocalSearchParams } from 'expo-router';
import { useEffect } from 'react';
import type { SheetStep } from '@/core/worksheet/worksheet';
import type { StepSection } from './sections';

/**
 * The section with the step given in the address, which is scrolled into view and gets the cursor.
 * @returns its name, undefined without one
 */
export function useRequestedStep(sections: readonly StepSection[]): string | undefined {
  const { step: wanted } = useLocalSearchParams<{ step?: string }>();
  const isWanted = ({ line }: SheetStep) =>
    wanted !== undefined && (line.key === wanted || line.tool === wanted);
  const section = sections.find((s) => s.steps.some(isWanted));
  const key = section?.steps.find(isWanted)?.line.key;
  useEffect(() => {
    if (key === undefined) return;
    const box = document.querySelector<HTMLElement>(`[data-testid="step-${CSS.escape(key)}"]`);
    box?.scrollIntoView({ block: 'center' });
    // The reading that is asked for, else the box itself.
    const row = box?.closest('[role="listitem"]');
    (row?.querySelector<HTMLElement>('input') ?? box)?.focus({ preventScroll: true });
  }, [key]);
  return section?.name;
}
