import { useState } from 'react';

import { Action } from '@/ui/Action';
import { NoticeBar } from '@/ui/NoticeBar';

import { useUpdate } from './useUpdate';

/** Offers a newer version, between jobs: on the list. */
export function UpdateNotice() {
  const update = useUpdate();
  const [later, setLater] = useState(false);
  const [others, setOthers] = useState(0);
  if (!update || later) return null;
  return (
    <NoticeBar
      label="Newer version"
      text={
        others > 0
          ? `Close the other ${others === 1 ? 'tab' : `${others} tabs`} of Under Ridge first. ${others === 1 ? 'It still uses' : 'They still use'} the old version.`
          : 'A newer version is ready. Updating takes a second; everything you typed is saved first.'
      }
    >
      <Action onPress={() => void update.take().then(setOthers)}>Update</Action>
      <Action icon="close" onPress={() => setLater(true)}>
        Later
      </Action>
    </NoticeBar>
  );
}
