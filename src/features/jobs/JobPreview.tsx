import { router } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import type { FigureId } from '@/core/evaluate/engine/figure';
import type { Job } from '@/core/job/types';
import { readSentence } from '@/core/text/sentence';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { Section } from '@/features/section/Section';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { flow } from '@/ui/flow';
import { StateMark } from '@/ui/StateMark';
import { SPACE } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';

const SHOWN: readonly FigureId[] = ['stack', 'reserveWithTangs', 'liftHad', 'leverPull'];
const DRAWING = 380;
const NOTHING: readonly string[] = [];
const nothing = () => undefined;

/** The job under the pointer or the keyboard's focus, beside the list of a wide screen. */
export function JobPreview({ id }: { readonly id: string | undefined }) {
  const job = useDeferredValue(useAppSelector(({ jobs }) => (id ? jobs.entities[id] : undefined)));
  return job ? <Preview key={job.id} job={job} /> : null;
}

function Preview({ job }: { readonly job: Job }) {
  const units = useUnits();
  const [width, setWidth] = useState(0);
  const evaluation = evaluationOf(job);
  const { overall, figures } = evaluation;
  return (
    <View
      style={flow.sections}
      onLayout={({ nativeEvent }) => setWidth(Math.round(nativeEvent.layout.width))}
    >
      <View style={flow.line}>
        <View style={flow.share}>
          <Heading level={2}>{job.machine.name || 'New machine'}</Heading>
          <Digits soft size={14}>
            {job.number}
          </Digits>
        </View>
        <Action
          main
          icon="chevron-right"
          onPress={() => router.navigate({ pathname: '/job/[id]', params: { id: job.id } })}
        >
          Open
        </Action>
      </View>
      <View style={flow.line}>
        <StateMark state={overall.state} label />
        <Words style={flow.shrink}>{readSentence(overall.sentence, units)}</Words>
      </View>
      <View style={styles.figures}>
        {SHOWN.map((figure) => {
          const found = figures.get(figure);
          return found?.status === 'known' ? (
            <View key={figure}>
              <Words soft size={13}>
                {found.label}
              </Words>
              <Digits bold>
                {formatWithUnit(
                  found.range?.low ?? found.value,
                  found.quantity,
                  units,
                  found.decimals,
                )}
              </Digits>
            </View>
          ) : null;
        })}
      </View>
      {width > 0 && job.pack.plates.length > 0 ? (
        <Section
          job={job}
          evaluation={evaluation}
          problems={evaluation.problems}
          width={width}
          height={DRAWING}
          labelled
          selected={NOTHING}
          onSelect={nothing}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  figures: { flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.wide, rowGap: SPACE.gap },
});
