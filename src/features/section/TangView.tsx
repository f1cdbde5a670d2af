import { View } from 'react-native';
import { Path, Svg } from 'react-native-svg';

import type { Member } from '@/core/job/types';
import { formatWithUnit } from '@/core/units/format';
import { painted } from '@/drawing/halfSection/looks';
import { drawTangDetail } from '@/drawing/halfSection/tangDetail';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/state/jobs/useJob';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const WIDTH = 250;

/** Across one finger, or one tooth of the spline: slot clearance and notches, with their measures. */
export function TangView({ member }: { readonly member: Member }) {
  const units = useUnits();
  const strata = useStrata();
  const { shapes, height, clearance, notch, lines } = drawTangDetail(useJob(), member, WIDTH);
  if (clearance === undefined && notch === undefined) return null;
  const mm = (value: number | undefined) =>
    value === undefined ? 'not measured' : formatWithUnit(value, 'length', units);
  const text = `${member === 'basket' ? 'Finger and tang' : 'Spline and tang'}, seen from the cover: clearance ${mm(clearance)}, notch ${mm(notch)}.`;
  return (
    <View role="img" aria-label={text} style={flow.tight}>
      <Svg width={WIDTH} height={height} aria-hidden>
        {painted(shapes, strata).map(({ key, d, fill, opacity }) => (
          <Path key={key} d={d} fill={fill} opacity={opacity} />
        ))}
        {lines.map(({ name, from, to }) => (
          <Path
            key={name}
            d={`M${from[0]} ${from[1] - 6}v12M${from[0]} ${from[1]}H${to[0]}M${to[0]} ${to[1] - 6}v12`}
            stroke={strata.stop}
            strokeWidth={2}
          />
        ))}
      </Svg>
      <Words soft size={14} aria-hidden>
        {text}
      </Words>
    </View>
  );
}
