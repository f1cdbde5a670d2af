import { StyleSheet, View } from 'react-native';

import type { Compared, ComparedFigure } from '@/core/advice/compare';
import type { Job } from '@/core/job/types';
import { useUnits } from '@/features/display/useUnits';
import { useEditJob } from '@/state/jobs/editJob';
import { Action } from '@/ui/Action';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useRuled } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

import { comparedText, differs } from './figureText';
import { flow } from '@/ui/flow';

/** A change that could be made, with the figures it comes to. */
export interface Change {
  readonly label: string;
  readonly job: Job;
  readonly figures: Compared;
  /** The result in one sentence. */
  readonly note?: string;
}

interface Props {
  readonly label: string;
  readonly now: Compared;
  readonly changes: readonly Change[];
  readonly shown: readonly ComparedFigure[];
}

/** Changes one below the other, each with its new figures beside the present ones before it is taken. */
export function ChangeList({ label, now, changes, shown }: Props) {
  const units = useUnits();
  const ruled = useRuled();
  const change = useEditJob();
  return (
    <View role="list" aria-label={label}>
      {changes.map((c) => {
        const changed = shown.filter((id) => differs(now, c.figures, id, units));
        return (
          <View key={c.label} role="listitem" style={[ruled, styles.item]}>
            <View style={styles.grow}>
              <View style={flow.line}>
                <View style={flow.rigid}>
                  <StateMark state={c.figures.overall.state} size={18} label />
                </View>
                <Words bold size={15} style={flow.shrink}>
                  {c.label}
                </Words>
              </View>
              {c.note ? <Words size={14}>{c.note}</Words> : null}
              {changed.map((id) => (
                <View key={id} style={flow.apart}>
                  <Words soft size={14} style={flow.shrink}>
                    {c.figures.labels[id] ?? now.labels[id] ?? ''}
                  </Words>
                  <Digits size={14}>
                    {`${comparedText(now, id, units)} → ${comparedText(c.figures, id, units)}`}
                  </Digits>
                </View>
              ))}
              {changed.length === 0 && !c.note ? (
                <Words soft size={14}>
                  No figure shown here changes.
                </Words>
              ) : null}
            </View>
            <Action accessibilityLabel={`Use: ${c.label}`} onPress={() => change(() => c.job)}>
              Use
            </Action>
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  item: { paddingVertical: SPACE.gap, flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 0, gap: SPACE.hair },
});
