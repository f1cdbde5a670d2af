import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { useJobId } from '@/state/jobs/useJob';
import { practiceActions } from '@/state/practiceSlice';
import { useAppDispatch } from '@/state/store';
import { Action } from '@/ui/Action';
import { Tool } from '@/ui/Tool';
import { Words } from '@/ui/Words';

import type { RideLoop } from './RideLoop';
import { useStatus } from './useRide';
import { flow } from '@/ui/flow';
import { SPACE } from '@/ui/theme';

/** Gaps between plates are a few hundredths: drawn to scale, or so many times as wide. */
export const ENLARGED = 6;

interface KeysProps {
  readonly ride: RideLoop;
  readonly rides: boolean;
  readonly enlarged: boolean;
  readonly onEnlarge: (enlarged: boolean) => void;
}

/** Running, stepping, starting again, recording, and how wide gaps are drawn. */
export function Keys({ ride, rides, enlarged, onEnlarge }: KeysProps) {
  const dispatch = useAppDispatch();
  const jobId = useJobId();
  const { running, recording } = useStatus(ride);
  const [kept, setKept] = useState(false);
  const record = () => {
    setKept(false);
    if (!recording) {
      ride.record();
      return;
    }
    const made = ride.stop();
    if (made.length < 2) return;
    dispatch(practiceActions.handsRecorded(made));
    setKept(true);
  };
  return (
    <>
      <View style={styles.row}>
        {rides ? (
          <>
            <Tool
              icon={running ? 'pause' : 'play'}
              word={running ? 'Pause' : 'Play'}
              label={running ? 'Pause' : 'Play'}
              width={56}
              onPress={running ? ride.pause : ride.run}
            />
            <Tool
              icon="skip-next"
              word="Step"
              label="Step forward 0.1 s"
              width={56}
              blocked={running ? 'only while stopped' : undefined}
              onPress={ride.step}
            />
            <Tool
              icon="undo"
              word="Restart"
              label="Restart from standstill"
              width={56}
              onPress={() => ride.restart()}
            />
            <Tool
              icon={recording ? 'check' : 'record-circle-outline'}
              word={recording ? 'Save' : 'Record'}
              label={recording ? 'Stop and save this recording' : 'Record a start from standstill'}
              width={60}
              on={recording}
              onPress={record}
            />
          </>
        ) : null}
        <Tool
          icon="magnify-plus-outline"
          word={enlarged ? `Gaps ×${ENLARGED}` : 'To scale'}
          label={
            enlarged
              ? `Gaps drawn ${ENLARGED} times as wide: draw to scale`
              : 'Gaps drawn to scale: enlarge'
          }
          width={72}
          on={enlarged}
          onPress={() => onEnlarge(!enlarged)}
        />
      </View>
      {kept ? (
        <View style={flow.stack}>
          <Words size={15} bold live>
            Recording saved.
          </Words>
          <Action
            onPress={() =>
              router.navigate({
                pathname: '/job/[id]',
                params: { id: jobId, stage: 'specify', tab: 'torque' },
              })
            }
          >
            Use it in a take-off
          </Action>
        </View>
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', justifyContent: 'space-around', gap: SPACE.tight },
});
