import { router } from 'expo-router';
import { useDeferredValue, useRef, useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';
import { ScrollView, StyleSheet, View } from 'react-native';

import type { Cutaway } from '@/core/takeoff/cutaway';
import { cutawayOf } from '@/core/takeoff/cutaway';
import { WARM_OIL } from '@/core/takeoff/setup';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJob, useJobId } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { SPACE, useStrata } from '@/ui/theme';
import { Thumb } from './Thumb';
import { TopBar } from '@/features/page/TopBar';
import { useLandscape, useWide } from '@/ui/useWide';
import { Words } from '@/ui/Words';

import type { Subject } from '@/drawing/halfSection/measures';

import { Canvas } from './Canvas';
import { ENLARGED, Keys } from './Keys';
import { Picture } from './Picture';
import { Readouts } from './Readouts';
import type { RideLoop } from './RideLoop';
import { sceneOf } from './scene';
import { readSentence } from '@/core/text/sentence';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { SentenceLine } from './SentenceText';
import { useRide, useStatus } from './useRide';
import { flow } from '@/ui/flow';

/** Width of the view from the front, px. */
const FRONT = { phone: 76, wide: 132 } as const;

/** The cutaway of the job on screen, with its levers, figures and description. */
export function CutawayView() {
  const job = useDeferredValue(useJob());
  const subject = { job, evaluation: evaluationOf(job) };
  const cutaway = cutawayOf(job, WARM_OIL);
  const [size, setSize] = useState<{ width: number; height: number }>();
  const onLayout = ({ nativeEvent: { layout } }: LayoutChangeEvent) =>
    setSize({ width: Math.round(layout.width), height: Math.round(layout.height) });
  const strata = useStrata();
  return (
    <View style={[flow.fill, { backgroundColor: strata.ground }]}>
      <TopBar
        title="Cutaway"
        code={job.number}
        back={{ to: { pathname: '/job/[id]', params: { id: job.id } }, label: 'Back to the job' }}
      />
      <View role="main" style={flow.fill} onLayout={onLayout}>
        {cutaway.layout.layers.length === 0 ? (
          <View style={styles.padded}>
            <Words>This pack has no plates yet. Add plates to see them move.</Words>
            <ToJob />
          </View>
        ) : size ? (
          <Working key={job.updatedAt} subject={subject} cutaway={cutaway} {...size} />
        ) : null}
      </View>
    </View>
  );
}

function ToJob() {
  const id = useJobId();
  return (
    <Action
      icon="arrow-left"
      onPress={() =>
        router.navigate({ pathname: '/job/[id]', params: { id, stage: 'specify', tab: 'pack' } })
      }
    >
      Go to Pack
    </Action>
  );
}

interface WorkingProps {
  readonly subject: Subject;
  readonly cutaway: Cutaway;
  readonly width: number;
  readonly height: number;
}

function Working({ subject, cutaway, width, height }: WorkingProps) {
  const wide = useWide();
  const low = useLandscape();
  // On its side a phone has room for the thumbs beside the picture, not below it.
  const beside = wide || low;
  const frame = useRef<View>(null);
  const [enlarged, setEnlarged] = useState(true);
  const controls = low ? Math.min(420, width * 0.52) : wide ? 380 : width;
  const thumbs = low
    ? Math.max(140, height - 172)
    : wide
      ? 260
      : Math.max(150, Math.min(236, height * 0.3));
  const drawnWidth = Math.min(560, beside ? width - controls - (low ? 24 : 48) : width - 16);
  const drawnHeight = Math.max(220, beside ? height - (low ? 16 : 32) : height - thumbs - 208);
  const scene = sceneOf(subject, cutaway, drawnWidth, drawnHeight, enlarged ? ENLARGED : 1);
  const ride = useRide(cutaway, scene, frame);
  const rides = cutaway.ride !== undefined;
  return (
    <View ref={frame} style={flow.fill}>
      <ScrollView
        contentContainerStyle={
          beside
            ? {
                flexDirection: 'row',
                padding: low ? 8 : 16,
                gap: low ? 8 : 24,
                justifyContent: 'center',
              }
            : { padding: 8, gap: 8 }
        }
      >
        <Picture subject={subject} cutaway={cutaway} scene={scene} ride={ride} />
        <View style={beside ? { width: controls, gap: low ? 6 : 12 } : { gap: 8 }}>
          <View style={flow.line}>
            <SentenceLine ride={ride} />
            {rides && (low || !wide) ? <Canvas width={FRONT.phone} height={FRONT.phone} /> : null}
          </View>
          <View style={flow.topRow}>
            <LeverThumb ride={ride} height={thumbs} />
            <View style={styles.grow}>
              <Readouts ride={ride} />
              {wide && !low && rides ? (
                <View style={styles.place}>
                  <Canvas width={FRONT.wide} height={FRONT.wide} />
                </View>
              ) : null}
            </View>
            {rides ? <ThrottleThumb ride={ride} height={thumbs} /> : null}
          </View>
          <Keys ride={ride} rides={rides} enlarged={enlarged} onEnlarge={setEnlarged} />
          <Notes cutaway={cutaway} />
        </View>
      </ScrollView>
    </View>
  );
}

interface ThumbProps {
  readonly ride: RideLoop;
  readonly height: number;
}

function LeverThumb({ ride, height }: ThumbProps) {
  const { begun } = useStatus(ride);
  return (
    <Thumb
      key={begun}
      label="Lever"
      start={ride.held().lever}
      height={height}
      ends={['pulled', 'out']}
      say={(v) => `${Math.round(v * 100)} % pulled`}
      onChange={(lever) => ride.hold({ lever })}
    />
  );
}

function ThrottleThumb({ ride, height }: ThumbProps) {
  const { begun } = useStatus(ride);
  return (
    <Thumb
      key={begun}
      label="Throttle"
      start={ride.held().throttle}
      height={height}
      ends={['open', 'shut']}
      say={(v) => `${Math.round(v * 100)} % open`}
      onChange={(throttle) => ride.hold({ throttle })}
    />
  );
}

function Notes({ cutaway }: { readonly cutaway: Cutaway }) {
  const { ride, needs, assumed, lever } = cutaway;
  const units = useUnits();
  const notes = [
    assumed.length > 0 ? `Assumed: ${assumed.map((a) => readSentence(a, units)).join(', ')}.` : '',
    lever.estimated
      ? `Lift unknown; ${formatWithUnit(lever.fullLift, 'length', units, 1)} assumed.`
      : '',
    'Motion is slowed down. Break-away friction, idle and engine braking are assumed values. The view shows how the parts work; it does not say that a machine is safe.',
  ];
  return (
    <>
      {ride ? null : (
        <Words size={15}>
          {`Only the lever moves so far. Missing: ${needs.map((n) => n.label).join(', ')}.`}
        </Words>
      )}
      <Words soft size={13}>
        {notes.filter((text) => text !== '').join(' ')}
      </Words>
    </>
  );
}

const styles = StyleSheet.create({
  padded: { padding: SPACE.margin, gap: SPACE.room },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 0, gap: SPACE.gap, minWidth: 0 },
  place: { alignSelf: 'center' },
});
