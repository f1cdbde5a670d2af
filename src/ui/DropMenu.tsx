import type { ReactNode } from 'react';
import { useState } from 'react';
import { View } from 'react-native';
import { Menu } from 'react-native-paper';

import { useRoving } from './useRoving';

interface Props {
  readonly anchor: (open: () => void) => ReactNode;
  readonly children: (close: () => void) => ReactNode;
}

interface Spot {
  readonly x: number;
  readonly y: number;
}

/**
 * A menu anchored to its handle. Paper's menu takes the focus when mounted, and one reopened while closing may stay closed; so
 * each opening mounts a new menu at the handle's position.
 */
export function DropMenu({ anchor, children }: Props) {
  const [handle, setHandle] = useState<View | null>(null);
  const [spot, setSpot] = useState<Spot | null>(null);
  const keys = useRoving('menuitem');
  const open = () =>
    handle?.measureInWindow((x, y, _width, height) => setSpot({ x, y: y + height }));
  const close = () => {
    setSpot(null);
    // On the web the view is an element; the focus returns to its button.
    const element = handle as unknown as HTMLElement | null;
    element?.querySelector<HTMLElement>('button, [role="button"]')?.focus({ preventScroll: true });
  };
  return (
    <View ref={setHandle}>
      {anchor(open)}
      {spot && (
        <Menu visible onDismiss={close} anchor={spot}>
          <View ref={keys}>{children(close)}</View>
        </Menu>
      )}
    </View>
  );
}
