import type { StyleProp, ViewStyle } from 'react-native';
import { Pressable, StyleSheet, View } from 'react-native';
import { Circle, Path, Polyline, Svg } from 'react-native-svg';

import type { Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';
import { STAGE_NAME } from '@/core/job/words';

import { SPACE, useStrata } from '@/ui/theme';
import { useShortScreen } from '@/ui/useWide';
import { webLink } from '@/ui/webLink';
import { Words } from '@/ui/Words';

/** Relative height of each stage's summit; the current stage rises above all. */
const SUMMIT = [0.28, 0.42, 0.55, 0.5, 0.38, 0.3, 0.4, 0.48] as const;

/** Width of a stage that has room for its mark beside its name, px. */
const MARKED = 76;

/** Width below which a stage that is not viewed has room for its mark only, px. */
const NAMED = 34;

interface Props {
  /** Position of the current stage. */
  readonly stage: Stage;
  /** The stage on screen. */
  readonly viewed?: Stage;
  /** Stages that were passed with something left at them. */
  readonly left?: readonly Stage[];
  /** Stages that open when they are tapped. */
  readonly openable?: readonly Stage[];
  readonly onOpen?: (stage: Stage) => void;
}

type Place = 'passed' | 'left' | 'here' | 'coming';

function placeOf(stage: Stage, { stage: stands, left }: Props): Place {
  const ahead = STAGES.indexOf(stage) - STAGES.indexOf(stands);
  if (ahead < 0) return left?.includes(stage) ? 'left' : 'passed';
  return ahead === 0 ? 'here' : 'coming';
}
const PLACE_TEXT: Readonly<Record<Place, string>> = {
  passed: 'passed',
  left: 'passed, with open items',
  here: 'current stage',
  coming: 'not started',
};

/** A stage to tap, or its name where there is nothing to open. */
function StageName({
  stage,
  props,
  children,
  style,
  inner,
}: {
  readonly stage: Stage;
  readonly props: Props;
  readonly children?: React.ReactNode;
  readonly style: StyleProp<ViewStyle>;
  /** Placement of the name in its target. */
  readonly inner?: ViewStyle;
}) {
  const opens = props.openable?.includes(stage) === true;
  const label = `${STAGE_NAME[stage]}, ${PLACE_TEXT[placeOf(stage, props)]}`;
  return (
    <View role="listitem" aria-label={opens ? undefined : label} style={style}>
      {opens ? (
        <Pressable
          role="link"
          aria-label={label}
          aria-current={props.viewed === stage ? 'step' : undefined}
          {...webLink(`?stage=${stage}`, () => props.onOpen?.(stage))}
          style={[styles.grow, inner]}
        >
          {children}
        </Pressable>
      ) : (
        children
      )}
    </View>
  );
}

const isUpright = (stage: Stage) =>
  `Stage ${STAGES.indexOf(stage) + 1} of ${STAGES.length}: ${STAGE_NAME[stage]}`;

interface DrawingProps {
  readonly width: number;
  readonly height: number;
  /** Points of the passed part, and of the whole line. */
  readonly passed: readonly string[];
  readonly line: readonly string[];
  readonly place: (stage: Stage) => Place;
  readonly summit: (stage: number) => readonly [x: number, y: number];
}

/** The ridge line: passed stages shaded, each stage a summit. */
function Drawing({ width, height, passed, line, place, summit }: DrawingProps) {
  const strata = useStrata();
  return (
    <Svg width={width} height={height} aria-hidden>
      <Polyline points={passed.join(' ')} fill={strata.line} opacity={0.6} />
      <Polyline
        points={line.join(' ')}
        fill="none"
        stroke={strata.slate}
        strokeWidth={2}
        strokeLinejoin="round"
      />
      {STAGES.map((s, i) => {
        const [x, y] = summit(i);
        return <Summit key={s} x={x} y={y} is={place(s)} />;
      })}
    </Svg>
  );
}

/** The eight stages as a horizontal ridge: passed, current, open. For the phone. */
export function RidgeLine(props: Props & { readonly width: number }) {
  const short = useShortScreen();
  const { stage, viewed = stage, width } = props;
  const strata = useStrata();
  const at = STAGES.indexOf(stage);
  const height = 44;
  const step = (width - 24) / STAGES.length;
  const x = (i: number) => 12 + step * (i + 0.5);
  const y = (i: number) => height - 4 - (height - 12) * (i === at ? 1 : (SUMMIT[i] ?? 0));
  const foot = (i: number) => 12 + step * i;
  const unnamed = (s: Stage) => step < NAMED && s !== viewed;
  const line = STAGES.flatMap((_, i) => [`${foot(i)},${height - 4}`, `${x(i)},${y(i)}`]).concat(
    `${width - 12},${height - 4}`,
  );
  const passed = STAGES.slice(0, at + 1).flatMap((_, i) => [
    `${foot(i)},${height - 4}`,
    `${x(i)},${y(i)}`,
  ]);
  return (
    <View role="navigation" aria-label={isUpright(stage)}>
      {short ? null : (
        <Drawing
          width={width}
          height={height}
          passed={[...passed, `${x(at)},${height - 4}`]}
          line={line}
          place={(s) => placeOf(s, props)}
          summit={(i) => [x(i), y(i)]}
        />
      )}
      <View role="list" style={[styles.list, { marginTop: short ? 0 : -44 }]}>
        {STAGES.map((s) => (
          <StageName
            key={s}
            stage={s}
            props={{ ...props, viewed }}
            style={[styles.place, { width: step, height: short ? 44 : 64 }]}
            inner={{ alignItems: 'center' }}
          >
            <View style={styles.row}>
              {/* Where there is no room for the ridge, its marks stand before the names. */}
              {(short && step >= MARKED) || unnamed(s) ? (
                <Svg width={14} height={14} aria-hidden>
                  <Summit x={7} y={7} is={placeOf(s, props)} />
                </Svg>
              ) : null}
              {unnamed(s) ? null : (
                <Words
                  size={step < 42 ? 10 : 12}
                  bold={s === viewed}
                  soft={s !== viewed}
                  numberOfLines={1}
                >
                  {STAGE_NAME[s]}
                </Words>
              )}
            </View>
            <View
              style={[
                styles.room,
                { width: step - 8, backgroundColor: s === viewed ? strata.slate : 'transparent' },
              ]}
            />
          </StageName>
        ))}
      </View>
    </View>
  );
}

/** The same ridge, vertical at the left edge of a wide screen, with names. */
export function RidgeEdge(props: Props & { readonly height: number }) {
  const { stage, viewed = stage, height } = props;
  const strata = useStrata();
  const at = STAGES.indexOf(stage);
  const step = Math.max(48, Math.min(76, height / STAGES.length));
  const total = step * STAGES.length;
  const y = (i: number) => step * (i + 0.5);
  const x = (i: number) => 8 + 62 * (i === at ? 1 : (SUMMIT[i] ?? 0) * 0.85);
  const line = STAGES.flatMap((_, i) => [`8,${step * i}`, `${x(i)},${y(i)}`]).concat(`8,${total}`);
  return (
    <View
      role="navigation"
      aria-label={isUpright(stage)}
      style={[styles.column, { height: total }]}
    >
      <Drawing
        width={168}
        height={total}
        passed={[...line.slice(0, 2 * at + 2), `8,${y(at)}`]}
        line={line}
        place={(s) => placeOf(s, props)}
        summit={(i) => [x(i), y(i)]}
      />
      <View role="list" style={[styles.ridgeEdgeList, { height: total }]}>
        {STAGES.map((s, i) => (
          <StageName
            key={s}
            stage={s}
            props={{ ...props, viewed }}
            style={[styles.over, { top: y(i) - 24, paddingLeft: x(i) + 14 }]}
            inner={{ justifyContent: 'center' }}
          >
            <View
              style={[
                styles.ridgeEdgePlace,
                { borderColor: s === viewed ? strata.slate : 'transparent' },
              ]}
            >
              <Words bold={s === viewed} soft={s !== viewed}>
                {STAGE_NAME[s]}
              </Words>
            </View>
          </StageName>
        ))}
      </View>
    </View>
  );
}

function Summit({ x, y, is }: { readonly x: number; readonly y: number; readonly is: Place }) {
  const strata = useStrata();
  if (is === 'here') return <Circle cx={x} cy={y} r={6.5} fill={strata.slate} />;
  if (is === 'coming')
    return (
      <Circle cx={x} cy={y} r={4} fill={strata.ground} stroke={strata.slate} strokeWidth={1.6} />
    );
  if (is === 'left')
    return (
      <>
        <Circle cx={x} cy={y} r={5} fill={strata.ground} stroke={strata.soft} strokeWidth={1.6} />
        <Path d={`M${x - 2.4} ${y}h4.8`} stroke={strata.soft} strokeWidth={1.6} />
      </>
    );
  return (
    <>
      <Circle cx={x} cy={y} r={5} fill={strata.good} />
      <Path
        d={`M${x - 2.4} ${y}l1.8 1.8l3-3.6`}
        fill="none"
        stroke={strata.ground}
        strokeWidth={1.5}
      />
    </>
  );
}

const styles = StyleSheet.create({
  grow: { flexGrow: 1, alignSelf: 'stretch', justifyContent: 'flex-end' },
  list: { flexDirection: 'row', marginHorizontal: SPACE.room },
  place: { justifyContent: 'flex-end', alignItems: 'center' },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.tight },
  room: { height: 3 },
  column: { width: 168 },
  ridgeEdgeList: { position: 'absolute', left: 0, right: 0, top: 0 },
  over: { position: 'absolute', left: 0, right: 0, height: 48, justifyContent: 'center' },
  ridgeEdgePlace: { borderBottomWidth: 2, alignSelf: 'flex-start' },
});
