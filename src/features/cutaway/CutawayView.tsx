import { router } from 'expo-router';
import { useMemo, useRef, useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';
import { ScrollView, View } from 'react-native';

import type { Cutaway } from '@/core/takeoff/cutaway';
import { cutawayOf } from '@/core/takeoff/cutaway';
import { WARM_OIL } from '@/core/takeoff/setup';
import { useUnits } from '@/features/display/useUnits';
import { useJobId, useJobLater } from '@/features/jobs/useJob';
import { practiceActions } from '@/features/practice/practiceSlice';
import { useAppDispatch } from '@/store/store';
import { Action } from '@/ui/Action';
import { useStrata } from '@/ui/theme';
import { Thumb } from '@/ui/Thumb';
import { Tool } from '@/ui/Tool';
import { TopBar } from '@/ui/TopBar';
import { useLying, useWide } from '@/ui/useWide';
import { Words } from '@/ui/Words';

import { Canvas } from './Canvas';
import { inWords, stateOf } from './inWords';
import { Readouts } from './Readouts';
import type { RideLoop } from './RideLoop';
import type { Scene } from './scene';
import { sceneOf } from './scene';
import { useReading, useRide, useStatus } from './useRide';

/** Gaps between plates are a few hundredths: drawn to scale, or so many times as wide. */
const ENLARGED = 6;
/** Width of the view from the front, px. */
const FRONT = { phone: 76, wide: 132 } as const;

/** The cutaway of the job on screen, with its thumbs, its figures and what it does in words. */
export function CutawayView() {
  const job = useJobLater();
  const cutaway = useMemo(() => cutawayOf(job, WARM_OIL), [job]);
  const [size, setSize] = useState<{ width: number; height: number }>();
  const onLayout = ({ nativeEvent: { layout } }: LayoutChangeEvent) =>
    setSize({ width: Math.round(layout.width), height: Math.round(layout.height) });
  const strata = useStrata();
  return (
    <View style={{ flex: 1, backgroundColor: strata.ground }}>
      <TopBar
        title="Cutaway"
        code={job.number}
        back={{ to: { pathname: '/job/[id]', params: { id: job.id } }, label: 'Back to the job' }}
      />
      <View role="main" style={{ flex: 1 }} onLayout={onLayout}>
        {cutaway.layout.layers.length === 0 ? (
          <View style={{ padding: 16, gap: 12 }}>
            <Words>There are no plates in this pack yet: nothing would move.</Words>
            <ToJob />
          </View>
        ) : size ? (
          <Working key={job.updatedAt} cutaway={cutaway} {...size} />
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
      To the pack
    </Action>
  );
}

interface WorkingProps {
  readonly cutaway: Cutaway;
  readonly width: number;
  readonly height: number;
}

function Working({ cutaway, width, height }: WorkingProps) {
  const wide = useWide();
  const low = useLying();
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
  const scene = useMemo(
    () => sceneOf(cutaway, drawnWidth, drawnHeight, enlarged ? ENLARGED : 1),
    [cutaway, drawnWidth, drawnHeight, enlarged],
  );
  const ride = useRide(cutaway, scene, frame);
  const rides = cutaway.ride !== undefined;
  return (
    <View ref={frame} style={{ flex: 1 }}>
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
        <Picture cutaway={cutaway} scene={scene} ride={ride} />
        <View style={beside ? { width: controls, gap: low ? 6 : 12 } : { gap: 8 }}>
          <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
            <Sentence ride={ride} />
            {rides && (low || !wide) ? <Canvas width={FRONT.phone} height={FRONT.phone} /> : null}
          </View>
          <View style={{ flexDirection: 'row', gap: 10, alignItems: 'flex-start' }}>
            <LeverThumb ride={ride} height={thumbs} />
            <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0, gap: 6, minWidth: 0 }}>
              <Readouts ride={ride} />
              {wide && !low && rides ? (
                <View style={{ alignSelf: 'center' }}>
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

interface KeysProps {
  readonly ride: RideLoop;
  readonly rides: boolean;
  readonly enlarged: boolean;
  readonly onEnlarge: (enlarged: boolean) => void;
}

/** Running, stepping, starting again, recording, and how wide gaps are drawn. */
function Keys({ ride, rides, enlarged, onEnlarge }: KeysProps) {
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
      <View style={{ flexDirection: 'row', justifyContent: 'space-around', gap: 4 }}>
        {rides ? (
          <>
            <Tool
              icon={running ? 'pause' : 'play'}
              word={running ? 'Pause' : 'Run'}
              label={running ? 'Pause' : 'Run'}
              width={56}
              onPress={running ? ride.pause : ride.run}
            />
            <Tool
              icon="skip-next"
              word="Step"
              label="Step on by a tenth of a second"
              width={56}
              disabled={running}
              onPress={ride.step}
            />
            <Tool
              icon="undo"
              word="Again"
              label="Start again from standing"
              width={56}
              onPress={() => ride.restart()}
            />
            <Tool
              icon={recording ? 'check' : 'record-circle-outline'}
              word={recording ? 'Keep' : 'Record'}
              label={recording ? 'Stop and keep these hands' : 'Record a start from standing'}
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
              ? `Gaps are drawn ${ENLARGED} times as wide: draw them to scale`
              : 'Gaps are drawn to scale: enlarge them'
          }
          width={72}
          on={enlarged}
          onPress={() => onEnlarge(!enlarged)}
        />
      </View>
      {kept ? (
        <View style={{ gap: 6 }}>
          <Words size={15} bold live>
            These hands are kept.
          </Words>
          <Action
            onPress={() =>
              router.navigate({
                pathname: '/job/[id]',
                params: { id: jobId, stage: 'specify', tab: 'torque' },
              })
            }
          >
            Follow them in the take-off
          </Action>
        </View>
      ) : null}
    </>
  );
}

function Notes({ cutaway }: { readonly cutaway: Cutaway }) {
  const { ride, needs, assumed, lever } = cutaway;
  const notes = [
    assumed.length > 0
      ? `The job does not say all of its machine; taken for it: ${assumed.join(', ')}.`
      : '',
    lever.estimated ? 'The lift is not known: 1.5 mm is taken.' : '',
    'Turning is slowed. What linings give before they part, idle and braking are design estimates. It shows how the parts work; it does not say that a machine is safe.',
  ];
  return (
    <>
      {ride ? null : (
        <Words size={15}>
          {`Only the lever works yet. For the rest it needs: ${needs.map((n) => n.label).join(', ')}.`}
        </Words>
      )}
      <Words soft size={13}>
        {notes.filter((text) => text !== '').join(' ')}
      </Words>
    </>
  );
}

/** What one sees, in words; read out when it becomes something else, not at each figure. */
function Sentence({ ride }: { readonly ride: RideLoop }) {
  const units = useUnits();
  const reading = useReading(ride);
  const words = inWords(reading, units);
  const state = stateOf(reading);
  return (
    <View
      style={{ minHeight: 44, flexGrow: 1, flexShrink: 1 }}
      testID="cutaway-state"
      {...{ dataSet: { state } }}
    >
      <Words size={15}>{words}</Words>
      <View aria-live="polite" style={HIDDEN}>
        <Said state={state} words={words} />
      </View>
    </View>
  );
}

interface PictureProps {
  readonly cutaway: Cutaway;
  readonly scene: Scene;
  readonly ride: RideLoop;
}

function Picture({ cutaway, scene, ride }: PictureProps) {
  const state = useStatus(ride);
  const { layers } = cutaway.layout;
  return (
    <View
      role="img"
      aria-label={`Section of the clutch, ${state.running ? 'moving' : 'still'}: ${layers.length} plates between the hub floor and the pressure plate, basket to the left, hub and rod to the right.`}
      style={{ width: scene.width, height: scene.height, alignSelf: 'center' }}
    >
      <Canvas width={scene.width} height={scene.height} />
      <Label text="basket" left={0} top={scene.floor + 24} />
      <Label text="hub and rod" left={scene.rod.x - 140} top={scene.floor + 34} />
      <Label text="springs" left={scene.hub.x - 4} top={8} />
    </View>
  );
}

const HIDDEN = {
  position: 'absolute',
  width: 1,
  height: 1,
  overflow: 'hidden',
  clipPath: 'inset(50%)',
} as object;

/** Read out when what is seen becomes something else, not at each figure. */
function Said({ state, words }: { readonly state: string; readonly words: string }) {
  const [said, setSaid] = useState({ state, words });
  if (said.state !== state) setSaid({ state, words });
  return <Words>{said.words}</Words>;
}

function Label({
  text,
  left,
  top,
}: {
  readonly text: string;
  readonly left: number;
  readonly top: number;
}) {
  const strata = useStrata();
  return (
    <Words aria-hidden size={13} style={{ position: 'absolute', left, top, color: strata.soft }}>
      {text}
    </Words>
  );
}
