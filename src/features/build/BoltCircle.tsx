import { StyleSheet, View } from 'react-native';
import { Circle, G, Line, Svg, Text as SvgText } from 'react-native-svg';

import { shapeCircle } from '@/drawing/boltCircle';
import { useJobPart } from '@/state/jobs/useJob';
import { FONT, SPACE, useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { countOf } from '@/core/text/countOf';

const SIZE = 220;

/** The bolts of a circle with the order in which they are tightened, the first at the top. */
export function BoltCircle({ fastenerId }: { readonly fastenerId: string }) {
  const fastener = useJobPart((j) => j.build.fasteners.find((f) => f.id === fastenerId));
  const n = fastener?.count?.value ?? 0;
  if (n < 3) return null;
  return (
    <View style={styles.padded}>
      <BoltDrawing bolts={n} />
      <Words soft size={14}>
        The numbers show the tightening order, the same at every stage. Start at any bolt.
      </Words>
    </View>
  );
}

/** The drawing alone. */
export function BoltDrawing({ bolts: n }: { readonly bolts: number }) {
  const strata = useStrata();
  const { bolts, centre, radius, head } = shapeCircle(n, SIZE);
  return (
    <Svg
      width={SIZE}
      height={SIZE}
      role="img"
      aria-label={`Circle of ${countOf(n, 'bolt')}, tightening order ${bolts.map((p) => p.bolt).join(', ')}, numbered clockwise from the top`}
    >
      <Circle cx={centre} cy={centre} r={radius} fill="none" stroke={strata.line} strokeWidth={2} />
      {bolts.slice(1).map(({ bolt, x, y }, i) => (
        <Line
          key={bolt}
          x1={bolts[i]?.x ?? x}
          y1={bolts[i]?.y ?? y}
          x2={x}
          y2={y}
          stroke={strata.slate}
          strokeWidth={1}
          {...(i % 2 === 0 ? {} : { strokeDasharray: '3 4' })}
          opacity={0.55}
        />
      ))}
      {bolts.map(({ bolt, turn, x, y }) => (
        <G key={bolt}>
          <Circle
            cx={x}
            cy={y}
            r={head}
            fill={turn === 1 ? strata.slate : strata.raised}
            stroke={strata.slate}
            strokeWidth={2}
          />
          <SvgText
            x={x}
            y={y + head * 0.36}
            textAnchor="middle"
            fontFamily={FONT.monoBold}
            fontSize={head}
            fill={turn === 1 ? strata.ground : strata.ink}
          >
            {String(turn)}
          </SvgText>
        </G>
      ))}
    </Svg>
  );
}

const styles = StyleSheet.create({
  padded: { paddingLeft: SPACE.wide, gap: SPACE.tight },
});
