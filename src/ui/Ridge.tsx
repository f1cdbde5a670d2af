import { View } from 'react-native';
import { Circle, Path, Polyline, Svg } from 'react-native-svg';

import type { Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';

import { useStrata } from './theme';
import { Words } from './Words';

export const STAGE_NAME: Readonly<Record<Stage, string>> = {
  intake: 'Intake',
  strip: 'Strip',
  inspect: 'Inspect',
  specify: 'Specify',
  build: 'Build',
  set: 'Set',
  prove: 'Prove',
  log: 'Log',
};

/** Height of each stage's summit, of 1; the stage at which the job stands rises above them all. */
const SUMMIT = [0.28, 0.42, 0.55, 0.5, 0.38, 0.3, 0.4, 0.48] as const;

interface Props {
  readonly stage: Stage;
  readonly width: number;
}

/** The eight stages as a ridge line lying on its feet: passed, present, to come. For the phone. */
export function RidgeLine({ stage, width }: Props) {
  const strata = useStrata();
  const at = STAGES.indexOf(stage);
  const height = 44;
  const step = (width - 24) / STAGES.length;
  const x = (i: number) => 12 + step * (i + 0.5);
  const y = (i: number) => height - 4 - (height - 10) * (i === at ? 1 : (SUMMIT[i] ?? 0));
  const foot = (i: number) => 12 + step * i;
  const line = STAGES.flatMap((_, i) => [`${foot(i)},${height - 4}`, `${x(i)},${y(i)}`]).concat(
    `${width - 12},${height - 4}`,
  );
  const passed = STAGES.slice(0, at + 1).flatMap((_, i) => [
    `${foot(i)},${height - 4}`,
    `${x(i)},${y(i)}`,
  ]);
  return (
    <View role="img" aria-label={`Stage ${at + 1} of ${STAGES.length}: ${STAGE_NAME[stage]}`}>
      <Svg width={width} height={height} aria-hidden>
        <Polyline
          points={[...passed, `${x(at)},${height - 4}`].join(' ')}
          fill={strata.line}
          opacity={0.6}
        />
        <Polyline
          points={line.join(' ')}
          fill="none"
          stroke={strata.slate}
          strokeWidth={2}
          strokeLinejoin="round"
        />
        {STAGES.map((s, i) => (
          <Summit key={s} x={x(i)} y={y(i)} is={i < at ? 'passed' : i === at ? 'here' : 'coming'} />
        ))}
      </Svg>
      <View style={{ flexDirection: 'row', paddingHorizontal: 12 }} aria-hidden>
        {STAGES.map((s, i) => (
          <Words
            key={s}
            size={12}
            bold={i === at}
            soft={i !== at}
            numberOfLines={1}
            style={{ width: step, textAlign: 'center' }}
          >
            {STAGE_NAME[s]}
          </Words>
        ))}
      </View>
    </View>
  );
}

/** The same ridge standing at the left edge of a wide screen, with its names beside it. */
export function RidgeEdge({ stage, height }: { readonly stage: Stage; readonly height: number }) {
  const strata = useStrata();
  const at = STAGES.indexOf(stage);
  const step = Math.max(24, Math.min(76, height / STAGES.length));
  const total = step * STAGES.length;
  const y = (i: number) => step * (i + 0.5);
  const x = (i: number) => 8 + 62 * (i === at ? 1 : (SUMMIT[i] ?? 0) * 0.85);
  const line = STAGES.flatMap((_, i) => [`8,${step * i}`, `${x(i)},${y(i)}`]).concat(`8,${total}`);
  return (
    <View
      role="img"
      aria-label={`Stage ${at + 1} of ${STAGES.length}: ${STAGE_NAME[stage]}`}
      style={{ width: 168, height: total }}
    >
      <Svg width={168} height={total} aria-hidden>
        <Polyline
          points={[...line.slice(0, 2 * at + 2), `8,${y(at)}`].join(' ')}
          fill={strata.line}
          opacity={0.6}
        />
        <Polyline
          points={line.join(' ')}
          fill="none"
          stroke={strata.slate}
          strokeWidth={2}
          strokeLinejoin="round"
        />
        {STAGES.map((s, i) => (
          <Summit key={s} x={x(i)} y={y(i)} is={i < at ? 'passed' : i === at ? 'here' : 'coming'} />
        ))}
      </Svg>
      {STAGES.map((s, i) => (
        <Words
          key={s}
          aria-hidden
          bold={i === at}
          soft={i !== at}
          style={{ position: 'absolute', left: x(i) + 14, top: y(i) - 11 }}
        >
          {STAGE_NAME[s]}
        </Words>
      ))}
    </View>
  );
}

function Summit({
  x,
  y,
  is,
}: {
  readonly x: number;
  readonly y: number;
  readonly is: 'passed' | 'here' | 'coming';
}) {
  const strata = useStrata();
  if (is === 'here') return <Circle cx={x} cy={y} r={6.5} fill={strata.slate} />;
  if (is === 'coming')
    return (
      <Circle cx={x} cy={y} r={4} fill={strata.ground} stroke={strata.slate} strokeWidth={1.6} />
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
