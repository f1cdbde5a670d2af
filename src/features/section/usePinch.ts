import { useState } from 'react';
import type { GestureResponderEvent, ViewProps } from 'react-native';

function fingersApart({ nativeEvent: { touches } }: GestureResponderEvent): number | undefined {
  const [a, b] = touches ?? [];
  return a && b ? Math.max(1, Math.hypot(a.pageX - b.pageX, a.pageY - b.pageY)) : undefined;
}

type Touches = Pick<ViewProps, 'onTouchMove' | 'onTouchEnd' | 'onTouchCancel'>;

/**
 * Two fingers that spread over a drawing.
 * @param onPinch called with the factor since both came down, and whether they have ended
 */
export function usePinch(onPinch: ((factor: number, ended: boolean) => void) | undefined): {
  readonly pinching: boolean;
  readonly touches: Touches;
} {
  const [spread, setSpread] = useState<{ readonly from: number; readonly to: number }>();
  if (!onPinch) return { pinching: false, touches: {} };
  const end = () => {
    if (spread) onPinch(spread.to / spread.from, true);
    setSpread(undefined);
  };
  return {
    pinching: spread !== undefined,
    touches: {
      onTouchMove: (event) => {
        const now = fingersApart(event);
        if (now === undefined) return;
        const from = spread?.from ?? now;
        setSpread({ from, to: now });
        onPinch(now / from, false);
      },
      onTouchEnd: end,
      onTouchCancel: end,
    },
  };
}
