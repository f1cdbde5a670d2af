import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import type { ChecklistLine } from '@/core/worksheet/line';
import { minutesText, soakOf, soakState } from '@/core/worksheet/soak';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { ToolBox } from '@/features/worksheet/ToolBox';
import { Action } from '@/ui/Action';
import { nearMomentText } from '@/ui/dates';
import { ProgressLine } from '@/ui/ProgressLine';
import { StateMark } from '@/ui/StateMark';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { SPACE } from '@/ui/theme';

/** How long the linings have been in the oil; kept as the time they went in, so that a closed tab takes nothing. */
export function SoakTimer({ fields }: Pick<ChecklistLine, 'fields'>) {
  const job = useJob();
  const change = useEditJob();
  const { plan, least } = soakOf(job);
  const { soakStart } = job.build;
  const now = useNow(soakStart !== undefined);
  const soak = soakState(soakStart, plan, least, now);
  const start = (at: string | undefined) =>
    change((j) => {
      const { soakStart: _was, ...build } = j.build;
      return { ...j, build: at === undefined ? build : { ...build, soakStart: at } };
    });
  return (
    <View style={styles.padded} testID="soak">
      <ToolBox fields={fields} />
      {soakStart === undefined ? (
        <Action main icon="play" onPress={() => start(new Date().toISOString())}>
          Discs are in the oil
        </Action>
      ) : (
        <>
          <ProgressLine share={soak.share} label="Soaked" />
          <View style={flow.row} role="status">
            <StateMark state={soak.status === 'soaking' ? 'watch' : 'good'} />
            <Words size={15} style={flow.shrink}>
              {`In oil since ${nearMomentText(soakStart)}: ${minutesText(Math.floor(soak.soaked))}. ${soak.status === 'done' ? 'Soak complete.' : soak.status === 'least' ? `Minimum reached. Planned soak ends in ${minutesText(soak.toPlan)}, at ${nearMomentText(soak.endsAt ?? now)}.` : `Minimum in ${minutesText(soak.toLeast)}; planned end at ${nearMomentText(soak.endsAt ?? now)}.`}`}
            </Words>
          </View>
          <Action icon="undo" onPress={() => start(undefined)}>
            Restart soak
          </Action>
        </>
      )}
    </View>
  );
}

const TICK_MS = 10_000;

/** The time now, as ISO text, moving on while it matters. */
function useNow(running: boolean): string {
  const [now, setNow] = useState(() => new Date().toISOString());
  useEffect(() => {
    if (!running) return;
    const tick = () => setNow(new Date().toISOString());
    tick();
    const timer = setInterval(tick, TICK_MS);
    return () => clearInterval(timer);
  }, [running]);
  return now;
}

const styles = StyleSheet.create({
  padded: { gap: SPACE.gap, paddingLeft: SPACE.wide, paddingBottom: SPACE.gap },
});
