import { View } from 'react-native';
import { Line, Path, Svg } from 'react-native-svg';
import { useState } from 'react';

import type { RunStep } from '@/core/inspect/runStep';
import { fieldAt } from '@/core/job/fields';
import { entryAt } from '@/core/job/entryAt';
import { parseEntry } from '@/core/units/parseEntry';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/state/jobs/useJob';
import { useStrata } from '@/ui/theme';
import { Digits } from '@/ui/Words';
import { flow } from '@/ui/flow';

const HEIGHT = 26;
/** How far the bar reaches past limit and new, of the way between them. */
const BEYOND = 0.5;

/** Nominal and limit with the current value between them. */
export function LimitBar({ step, text }: { readonly step: RunStep; readonly text: string }) {
  const strata = useStrata();
  const units = useUnits();
  const job = useJob();
  const [width, setWidth] = useState(0);
  const field = fieldAt(step.path);
  const { nominal, limit, limitIs } = step;
  const show = (v: number) => formatWithUnit(v, field.quantity, units);
  const parsed = parseEntry(text, field, units);
  const value =
    parsed.kind === 'value'
      ? parsed.value
      : text === ''
        ? entryAt(job, step.path)?.value
        : undefined;
  const words = [
    nominal === undefined ? '' : `New ${show(nominal)}`,
    limit === undefined ? 'no limit entered' : `${limitIs} ${show(limit)}`,
  ].filter(Boolean);
  const from = limit ?? nominal;
  const to = nominal ?? limit;
  const drawn = width > 0 && from !== undefined && to !== undefined && from !== to;
  const span = drawn ? Math.abs(to - from) : 1;
  const low = drawn ? Math.min(from, to) - BEYOND * span : 0;
  const high = drawn ? Math.max(from, to) + BEYOND * span : 1;
  const x = (v: number) => Math.max(6, Math.min(width - 6, ((v - low) / (high - low)) * width));
  const goodFrom = limitIs === 'min' ? (limit ?? low) : low;
  const goodTo = limitIs === 'min' ? high : (limit ?? high);
  return (
    <View style={flow.lines}>
      <View
        aria-hidden
        style={{ height: drawn ? HEIGHT : 0 }}
        onLayout={({ nativeEvent }) => setWidth(Math.round(nativeEvent.layout.width))}
      >
        {drawn ? (
          <Svg width={width} height={HEIGHT}>
            <Line x1={0} x2={width} y1={19} y2={19} stroke={strata.line} strokeWidth={6} />
            <Line
              x1={x(goodFrom)}
              x2={x(goodTo)}
              y1={19}
              y2={19}
              stroke={strata.good}
              strokeWidth={6}
            />
            {limit === undefined ? null : (
              <Line
                x1={x(limit)}
                x2={x(limit)}
                y1={11}
                y2={26}
                stroke={strata.stop}
                strokeWidth={3}
              />
            )}
            {value === undefined ? null : (
              <Path
                d={`M${x(value)} 13l-7-11h14z`}
                fill={
                  (limitIs === 'min' ? value < (limit ?? value) : value > (limit ?? value))
                    ? strata.stop
                    : strata.ink
                }
              />
            )}
          </Svg>
        ) : null}
      </View>
      <Digits soft size={14}>
        {words.join(', ')}
      </Digits>
    </View>
  );
}
