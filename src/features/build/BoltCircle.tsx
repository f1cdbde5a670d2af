import { View } from 'react-native';
import { Circle, Line, Svg, Text as SvgText } from 'react-native-svg';

import { crissCross } from '@/core/worksheet/boltCircle';
import { useJobPart } from '@/features/jobs/useJob';
import { FONT, useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

const SIZE = 220;
const RING = 82;
const HEAD = 15;

/** The bolts of a circle with the order in which they are tightened, the first at the top. */
export function BoltCircle({ fastenerId }: { readonly fastenerId: string }) {
  const strata = useStrata();
  const fastener = useJobPart((j) => j.build.fasteners.find((f) => f.id === fastenerId));
  const n = fastener?.count?.value ?? 0;
  if (n < 3) return null;
  const order = crissCross(n);
  const head = n > 16 ? 10 : HEAD;
  const place = (bolt: number) => {
    const angle = (2 * Math.PI * (bolt - 1)) / n - Math.PI / 2;
    return { x: SIZE / 2 + RING * Math.cos(angle), y: SIZE / 2 + RING * Math.sin(angle) };
  };
  return (
    <View style={{ paddingLeft: 40, gap: 4 }}>
      <Svg
        width={SIZE}
        height={SIZE}
        role="img"
        aria-label={`Circle of ${n} bolts, tightened in the order ${order.join(', ')}, numbered clockwise from the top`}
      >
        <Circle
          cx={SIZE / 2}
          cy={SIZE / 2}
          r={RING}
          fill="none"
          stroke={strata.line}
          strokeWidth={2}
        />
        {order.slice(1).map((bolt, i) => {
          const from = place(order[i] ?? bolt);
          const to = place(bolt);
          return (
            <Line
              key={bolt}
              x1={from.x}
              y1={from.y}
              x2={to.x}
              y2={to.y}
              stroke={strata.slate}
              strokeWidth={1}
              strokeDasharray={i % 2 === 0 ? undefined : '3 4'}
              opacity={0.55}
            />
          );
        })}
        {order.map((bolt, i) => {
          const { x, y } = place(bolt);
          return (
            <Circle
              key={bolt}
              cx={x}
              cy={y}
              r={head}
              fill={i === 0 ? strata.slate : strata.raised}
              stroke={strata.slate}
              strokeWidth={2}
            />
          );
        })}
        {order.map((bolt, i) => {
          const { x, y } = place(bolt);
          return (
            <SvgText
              key={bolt}
              x={x}
              y={y + head * 0.36}
              textAnchor="middle"
              fontFamily={FONT.monoBold}
              fontSize={head}
              fill={i === 0 ? strata.ground : strata.ink}
            >
              {String(i + 1)}
            </SvgText>
          );
        })}
      </Svg>
      <Words soft size={14}>
        The numbers are the order, in every stage; the first bolt anywhere.
      </Words>
    </View>
  );
}
