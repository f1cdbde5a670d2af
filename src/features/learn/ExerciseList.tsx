import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Icon, TouchableRipple } from 'react-native-paper';

import type { ExerciseId, ExerciseKind } from '@/core/exercises/exercises';
import { EXERCISE_IDS, EXERCISES } from '@/core/exercises/exercises';
import { MISTAKES } from '@/core/exercises/model';
import type { PracticeProgress } from '@/state/practiceSlice';
import { useAppSelector } from '@/state/store';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useRuled, useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const WORK: Readonly<Record<ExerciseKind['work'], string>> = {
  measure: 'Measure',
  judge: 'Judge',
  specify: 'Specify',
  build: 'Build',
  set: 'Set and prove',
};

/**
 * All exercises in the order of the work, and how each went so far.
 * @param open the one beside the list, on a wide screen
 */
export function ExerciseList({ open }: { readonly open: ExerciseId | undefined }) {
  const progress = useAppSelector((state) => state.practice.exercises);
  const mastered = EXERCISE_IDS.filter((id) => (progress[id]?.right ?? 0) > 0).length;
  return (
    <View style={flow.sections}>
      <Words>
        Short cases with made-up parts and gauges. Each is about a common mistake at the bench, and
        can be repeated with new figures.
      </Words>
      <View testID="exercise-progress">
        <Words bold>{`${mastered} of ${EXERCISE_IDS.length} completed without a mistake.`}</Words>
      </View>
      {(Object.keys(WORK) as ExerciseKind['work'][]).map((work) => (
        <View key={work} style={flow.tight}>
          <Heading level={2}>{WORK[work]}</Heading>
          {EXERCISE_IDS.filter((id) => EXERCISES[id].work === work).map((id) => (
            <Row key={id} id={id} progress={progress[id]} open={open} />
          ))}
        </View>
      ))}
    </View>
  );
}

function Row({
  id,
  progress,
  open,
}: {
  readonly open: ExerciseId | undefined;
  readonly id: ExerciseId;
  readonly progress: PracticeProgress | undefined;
}) {
  const ruled = useRuled();
  const strata = useStrata();
  const { title, mistakes } = EXERCISES[id];
  const current = progressText(progress);
  return (
    <TouchableRipple
      role="link"
      aria-label={`${title}: ${current}`}
      aria-current={open === id ? 'true' : undefined}
      onPress={() =>
        open === undefined
          ? router.navigate({ pathname: '/exercise', params: { kind: id } })
          : router.setParams({ kind: id })
      }
      style={[ruled, styles.place, open === id && { backgroundColor: strata.raised }]}
    >
      <View style={styles.row}>
        <View style={styles.column}>
          {progress && progress.done > 0 ? (
            <StateMark state={progress.right > 0 ? 'good' : 'watch'} />
          ) : null}
        </View>
        <View style={flow.grow}>
          <Words bold>{title}</Words>
          <Words soft size={14}>
            {mistakes.map((m) => MISTAKES[m]).join('; ')}
          </Words>
          <Words size={14}>{current}</Words>
        </View>
        <Icon source="chevron-right" size={24} color={strata.slate} />
      </View>
    </TouchableRipple>
  );
}

function progressText(progress: PracticeProgress | undefined): string {
  if (!progress || progress.done === 0)
    return progress?.open ? 'Started, not checked' : 'Not tried';
  const { done, right, last } = progress;
  return `${right} of ${done} without a mistake, last score ${Math.round(last * 100)} %`;
}

const styles = StyleSheet.create({
  place: { minHeight: 64, justifyContent: 'center' },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap, paddingVertical: SPACE.gap },
  column: { width: 24 },
});
