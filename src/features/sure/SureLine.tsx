import type { Sureness } from '@/core/sure/simulate';
import { chanceText, doubtText } from '@/core/sure/text';
import { Words } from '@/ui/Words';

const SAID = {
  holds: ['Chance to hold', 'the torque reserve'],
  releases: ['Chance to release', 'the release'],
  stack: ['Chance within limits', 'the stack'],
  step: ['Chance of this step', 'the step'],
} as const;

/** The chance of a verdict, and what would make it surer; nothing for a verdict that is not simulated. */
export function SureLine({ id, sure }: { readonly id: string; readonly sure: Sureness }) {
  const [best] = sure.steps;
  const chance =
    id === 'step'
      ? // The step goes by the stack, and so does its doubt.
        best && sure.chances.stack
        ? { ...sure.chances.stack, share: best.share }
        : undefined
      : sure.chances[id as 'holds' | 'releases' | 'stack'];
  if (!chance) return null;
  const [name, about] = SAID[id as keyof typeof SAID];
  const doubt = doubtText(chance, about);
  return (
    <Words size={14}>
      {[`${name}: ${chanceText(chance.share)}.`, doubt].filter(Boolean).join(' ')}
    </Words>
  );
}
