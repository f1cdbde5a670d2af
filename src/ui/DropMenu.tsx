import type { ReactNode } from 'react';
import { useState } from 'react';
import { Menu } from 'react-native-paper';

interface Props {
  readonly anchor: (open: () => void) => ReactNode;
  readonly children: (close: () => void) => ReactNode;
}

/**
 * A menu that hangs from its anchor. Paper's menu takes the focus as soon as it is mounted, open or not, so it is
 * mounted at its first opening only.
 */
export function DropMenu({ anchor, children }: Props) {
  const [state, setState] = useState<'fresh' | 'open' | 'shut'>('fresh');
  const handle = anchor(() => setState('open'));
  if (state === 'fresh') return handle;
  return (
    <Menu
      visible={state === 'open'}
      onDismiss={() => setState('shut')}
      anchorPosition="bottom"
      anchor={handle}
    >
      {children(() => setState('shut'))}
    </Menu>
  );
}
