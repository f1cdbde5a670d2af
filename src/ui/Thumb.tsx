import { createElement, useState } from 'react';
import { View } from 'react-native';

import { useStrata } from './theme';
import { Words } from './Words';

interface Props {
  readonly label: string;
  /** Where it stands at first, from 0 to 1; pushed up is 1. From then on it keeps its own place. */
  readonly start: number;
  readonly height: number;
  /** What stands at the ends: of 1 above, of 0 below. */
  readonly ends: readonly [string, string];
  /** The value in words, read out. */
  readonly say: (value: number) => string;
  readonly onChange: (value: number) => void;
}

const WIDTH = 76;
const GRIP = 56;
const STEP = 0.05;
const PAGE = 0.25;
const KEYS: Readonly<Record<string, (value: number) => number>> = {
  ArrowUp: (v) => v + STEP,
  ArrowRight: (v) => v + STEP,
  ArrowDown: (v) => v - STEP,
  ArrowLeft: (v) => v - STEP,
  PageUp: (v) => v + PAGE,
  PageDown: (v) => v - PAGE,
  Home: () => 0,
  End: () => 1,
};
const within = (value: number) => Math.min(1, Math.max(0, Math.round(value * 1000) / 1000));

/** Pointer and key as the browser tells of them; one finger to each thumb, so that two work at once. */
interface Press {
  readonly clientY: number;
  readonly pointerId: number;
  readonly currentTarget: HTMLElement;
}
interface Key {
  readonly key: string;
  preventDefault(): void;
}

/** An upright lever for one thumb, wide enough for a glove; it stays where it is left. */
export function Thumb({ label, start, height, ends, say, onChange }: Props) {
  const strata = useStrata();
  const [shown, setShown] = useState(start);
  const travel = height - GRIP;
  const to = (next: number) => {
    setShown(within(next));
    onChange(within(next));
  };
  const follow = ({ clientY, currentTarget }: Press) => {
    const { top } = currentTarget.getBoundingClientRect();
    to(1 - (clientY - top - GRIP / 2) / travel);
  };
  const box = {
    role: 'slider',
    tabIndex: 0,
    'aria-label': label,
    'aria-orientation': 'vertical',
    'aria-valuemin': 0,
    'aria-valuemax': 100,
    'aria-valuenow': Math.round(shown * 100),
    'aria-valuetext': say(shown),
    onPointerDown: (event: Press) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      follow(event);
    },
    onPointerMove: (event: Press) => {
      if (event.currentTarget.hasPointerCapture(event.pointerId)) follow(event);
    },
    onKeyDown: (event: Key) => {
      const next = KEYS[event.key];
      if (!next) return;
      event.preventDefault();
      to(next(shown));
    },
    style: {
      position: 'relative',
      width: WIDTH,
      height,
      touchAction: 'none',
      cursor: 'ns-resize',
      borderRadius: 8,
      border: `2px solid ${strata.line}`,
      boxSizing: 'border-box',
      backgroundColor: strata.raised,
      userSelect: 'none',
    },
  };
  const end = (text: string, where: object) => (
    <View
      aria-hidden
      style={{ position: 'absolute', left: 0, right: 0, alignItems: 'center', ...where }}
    >
      <Words soft size={13}>
        {text}
      </Words>
    </View>
  );
  return (
    <View style={{ alignItems: 'center', gap: 4 }}>
      {createElement(
        'div',
        box,
        end(ends[0], { top: 6 }),
        end(ends[1], { bottom: 6 }),
        <View
          style={{
            position: 'absolute',
            left: 4,
            right: 4,
            top: (1 - shown) * travel,
            height: GRIP - 4,
            borderRadius: 6,
            backgroundColor: strata.slate,
            alignItems: 'center',
            justifyContent: 'center',
            pointerEvents: 'none',
          }}
        >
          <Words bold size={14} style={{ color: strata.onSlate }} aria-hidden>
            {`${Math.round(shown * 100)} %`}
          </Words>
        </View>,
      )}
      <Words size={14} aria-hidden>
        {label}
      </Words>
    </View>
  );
}
