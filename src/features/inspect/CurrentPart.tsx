import type { FieldPath } from '@/core/job/fieldPath';
import { useDeferredValue } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import { staysIn } from '@/core/inspect/decisions';
import { inspectPlate } from '@/core/inspect/inspect';
import type { RunStep } from '@/core/inspect/runStep';
import { fieldAt } from '@/core/job/fields';
import { entryAt } from '@/core/job/entryAt';
import type { Job } from '@/core/job/types';
import { formatValue } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/state/jobs/useJob';
import { SPACE, useStrata } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

import { DecisionMark } from './DecisionMark';
import { inspectionOf } from './useInspection';
import { flow } from '@/ui/flow';

/**
 * The verdict on the current part from its readings so far: the plate alone at once, effects of other plates after the full
 * inspection.
 */
export function ReadingsSoFar({ step }: { readonly step: RunStep }) {
  const job = useJob();
  const units = useUnits();
  const caughtUp = useDeferredValue(job) === job;
  const part =
    step.plateId && !caughtUp
      ? inspectPlate(job, step.plateId)
      : inspectionOf(job).parts.find((p) =>
          step.plateId ? p.id === step.plateId : step.fixture && p.fixture === step.fixture,
        );
  const taken = step.siblings.filter((path) => entryAt(job, path)).length;
  // Until its last point only what sends the part away is worth reading.
  const judged = part && (taken === step.siblings.length || !staysIn(part.decision));
  if (!judged || taken === 0) return <View style={styles.room} />;
  const [first] = part.reasons;
  return (
    <View style={flow.lines} aria-live="polite" testID="so-far">
      <DecisionMark decision={part.decision} />
      {first ? <Words size={15}>{readSentence(first.sentence, units)}</Words> : null}
    </View>
  );
}

interface SiblingsProps {
  readonly step: RunStep;
  readonly onGo: (path: string) => void;
}

/** All points of the current part, for going back. Rendered a frame after the display. */
export function Siblings({ step, onGo }: SiblingsProps) {
  const job = useDeferredValue(useJob());
  const units = useUnits();
  if (step.siblings.length < 2 || step.siblings.length > 6) return null;
  return (
    <View style={flow.wrap}>
      {step.siblings.map((path, i) => (
        <SiblingKey
          key={i}
          path={path}
          ordinal={i + 1}
          text={shownReading(job, path, units)}
          here={path === step.path}
          onGo={onGo}
        />
      ))}
    </View>
  );
}

interface SiblingProps {
  readonly path: string;
  readonly ordinal: number;
  readonly text: string;
  readonly here: boolean;
  readonly onGo: (path: string) => void;
}

/** One point of the current part; redrawn only on change. */
function SiblingKey({ path, ordinal, text, here, onGo }: SiblingProps) {
  const strata = useStrata();
  return (
    <Pressable
      role="button"
      aria-label={`Point ${ordinal}: ${text || 'not taken'}`}
      onPress={() => onGo(path)}
      style={[
        styles.padded,
        { borderWidth: here ? 2 : 1, borderColor: here ? strata.slate : strata.line },
      ]}
    >
      <Digits size={15} soft={!text}>
        {text || String(ordinal)}
      </Digits>
    </Pressable>
  );
}

function shownReading(job: Job, path: FieldPath, units: ReturnType<typeof useUnits>): string {
  const entry = entryAt(job, path);
  return entry ? formatValue(entry.value, fieldAt(path).quantity, units) : '';
}

const styles = StyleSheet.create({
  room: { height: 24 },
  padded: {
    minHeight: 48,
    minWidth: 62,
    paddingHorizontal: SPACE.gap,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 6,
  },
});
