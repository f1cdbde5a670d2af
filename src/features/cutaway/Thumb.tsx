import { createElement, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { FONT, SPACE, useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

interface Props {
  readonly label: string;
  /** Initial position, 0 to 1; 1 is up. Afterwards it keeps its own position. */
  readonly start: number;
  readonly height: number;
  /** Labels of the ends: 1 above, 0 below. */
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

/** Pointer and key events; one finger per lever, so that both work at once. */
interface Press {
  readonly clientY: number;
  readonly pointerId: number;
  readonly currentTarget: HTMLElement;
}
interface Key {
  readonly key: string;
  preventDefault(): void;
}

/** Position in words and as layout; equal when drawn and when moved. */
const at = (value: number, travel: number) => ({
  percent: `${Math.round(value * 100)} %`,
  now: String(Math.round(value * 100)),
  // Moved by the compositor: the page need not be laid out again in each frame of a pull.
  transform: `translateY(${(1 - value) * travel}px)`,
});

/** The position of a lever, moved without a React update. */
class Place {
  private whole: HTMLElement | null = null;
  private grip: HTMLElement | null = null;

  constructor(private value: number) {}

  readonly holdsWhole = (node: HTMLElement | null): void => void (this.whole = node);
  readonly holdsThumb = (node: HTMLElement | null): void => void (this.grip = node);
  readonly now = (): number => this.value;

  move(next: number, travel: number, say: Props['say']): number {
    this.value = within(next);
    const { percent, now, transform } = at(this.value, travel);
    this.whole?.setAttribute('aria-valuenow', now);
    this.whole?.setAttribute('aria-valuetext', say(this.value));
    if (this.grip) {
      this.grip.style.transform = transform;
      this.grip.textContent = percent;
    }
    return this.value;
  }
}

/**
 * A vertical lever, wide enough for a glove; it stays where it is released. Dragging moves its grip directly instead of through
 * React.
 */
export function Thumb({ label, start, height, ends, say, onChange }: Props) {
  const strata = useStrata();
  const [place] = useState(() => new Place(start));
  const travel = height - GRIP;
  const to = (next: number) => onChange(place.move(next, travel, say));
  const follow = ({ clientY, currentTarget }: Press) => {
    const { top } = currentTarget.getBoundingClientRect();
    to(1 - (clientY - top - GRIP / 2) / travel);
  };
  const drawn = at(place.now(), travel);
  const box = {
    ref: place.holdsWhole,
    role: 'slider',
    tabIndex: 0,
    'aria-label': label,
    'aria-orientation': 'vertical',
    'aria-valuemin': 0,
    'aria-valuemax': 100,
    'aria-valuenow': drawn.now,
    'aria-valuetext': say(place.now()),
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
      to(next(place.now()));
    },
    style: {
      position: 'relative',
      width: WIDTH,
      height,
      touchAction: 'none',
      // Its text changes in each frame of a pull; nothing around it need be laid out for that.
      contain: 'strict',
      cursor: 'ns-resize',
      borderRadius: 8,
      border: `2px solid ${strata.line}`,
      boxSizing: 'border-box',
      backgroundColor: strata.raised,
      userSelect: 'none',
    },
  };
  const handle = {
    key: 'grip',
    ref: place.holdsThumb,
    'aria-hidden': true,
    style: {
      position: 'absolute',
      left: 4,
      right: 4,
      top: 0,
      transform: drawn.transform,
      height: GRIP - 4,
      lineHeight: `${GRIP - 4}px`,
      borderRadius: 6,
      backgroundColor: strata.slate,
      color: strata.onSlate,
      fontFamily: FONT.textBold,
      fontSize: 14,
      textAlign: 'center',
      pointerEvents: 'none',
    },
  };
  return (
    <View style={styles.stack}>
      {createElement(
        'div',
        box,
        <End key="above" text={ends[0]} above />,
        <End key="below" text={ends[1]} />,
        createElement('div', handle, drawn.percent),
      )}
      <Name label={label} />
    </View>
  );
}

/** Label of an end; constant. */
function End({ text, above = false }: { text: string; above?: boolean }) {
  return (
    <View aria-hidden style={[END, above ? ABOVE : BELOW]}>
      <Words soft size={13}>
        {text}
      </Words>
    </View>
  );
}

const END = { position: 'absolute', left: 0, right: 0, alignItems: 'center' } as const;
const ABOVE = { top: 6 } as const;
const BELOW = { bottom: 6 } as const;

function Name({ label }: { label: string }) {
  return (
    <Words size={14} aria-hidden>
      {label}
    </Words>
  );
}

const styles = StyleSheet.create({
  stack: { alignItems: 'center', gap: SPACE.tight },
});
