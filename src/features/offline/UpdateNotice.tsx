import { useState } from 'react';
import { View } from 'react-native';

import { Action } from '@/ui/Action';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { useUpdate } from './useUpdate';

/** Offers a newer version, between jobs: on the list. */
export function UpdateNotice() {
  const strata = useStrata();
  const update = useUpdate();
  const [later, setLater] = useState(false);
  const [others, setOthers] = useState(0);
  if (!update || later) return null;
  return (
    <View
      role="status"
      aria-label="Newer version"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        flexWrap: 'wrap',
        gap: 8,
        padding: 10,
        borderWidth: 1,
        borderColor: strata.line,
        borderRadius: 6,
        backgroundColor: strata.raised,
      }}
    >
      <Words style={{ flexGrow: 1, flexShrink: 1 }}>
        {others > 0
          ? `Close the other ${others === 1 ? 'tab' : `${others} tabs`} of Under Ridge first: they would go on with the old version.`
          : 'A newer version is here. Changing over takes a second; all you typed is stored first.'}
      </Words>
      <Action onPress={() => void update.take().then(setOthers)}>Change over</Action>
      <Action icon="close" onPress={() => setLater(true)}>
        Later
      </Action>
    </View>
  );
}
