import { Path, Svg } from 'react-native-svg';

import type { State } from '@/core/evaluate/engine/figure';

import { useStrata } from './theme';

export const STATE_WORD: Readonly<Record<State | 'unknown', string>> = {
  good: 'OK',
  watch: 'Watch',
  stop: 'Stop',
  unknown: 'Not judged',
};

const SHAPE: Readonly<Record<State | 'unknown', string>> = {
  good: 'M12 2a10 10 0 1 0 0 20a10 10 0 1 0 0-20z',
  watch: 'M12 1L23 12L12 23L1 12z',
  stop: 'M7.9 2h8.2L22 7.9v8.2L16.1 22H7.9L2 16.1V7.9z',
  unknown: 'M12 2a10 10 0 1 0 0 20a10 10 0 1 0 0-20z',
};

const SIGN: Readonly<Record<State | 'unknown', string>> = {
  good: 'M7 12.5l3.5 3.5L17 8.5',
  watch: 'M12 6.5v7M12 16.6v.8',
  stop: 'M8 8l8 8M16 8l-8 8',
  unknown: 'M8 12h8',
};

interface Props {
  readonly state: State | 'unknown';
  readonly size?: number;
  /** Required without a word beside the mark. */
  readonly label?: boolean;
}

/** Beside long words it keeps its size. */
const KEEP = { flexShrink: 0 } as const;

/** OK, watch or stop by shape and sign as well as by colour; a word is beside it or its label. */
export function StateMark({ state, size = 18, label = false }: Props) {
  const strata = useStrata();
  const color = state === 'unknown' ? strata.soft : strata[state];
  return (
    <Svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      style={KEEP}
      {...(label ? { role: 'img', 'aria-label': STATE_WORD[state] } : { 'aria-hidden': true })}
    >
      <Path
        d={SHAPE[state]}
        fill={state === 'unknown' ? 'none' : color}
        stroke={color}
        strokeWidth={1.6}
      />
      <Path
        d={SIGN[state]}
        fill="none"
        stroke={state === 'unknown' ? color : strata.ground}
        strokeWidth={2.6}
        strokeLinecap="round"
      />
    </Svg>
  );
}
