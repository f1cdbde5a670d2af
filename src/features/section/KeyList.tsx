import { View } from 'react-native';

import { Overlay } from '@/ui/Overlay';
import { Digits, Words } from '@/ui/Words';

import { LAYER_KEYS } from './useLayerKeys';

interface Props {
  readonly visible: boolean;
  readonly onClose: () => void;
}

/** The keys for everything that is done often. */
export function KeyList({ visible, onClose }: Props) {
  return (
    <Overlay visible={visible} title="Keys" onClose={onClose}>
      <Words soft size={15}>
        While a layer of the section has the focus; undo and redo from anywhere.
      </Words>
      <View role="list">
        {LAYER_KEYS.map(([keys, what]) => (
          <View
            key={keys}
            role="listitem"
            style={{ flexDirection: 'row', gap: 12, paddingVertical: 4 }}
          >
            <Digits bold size={15} style={{ width: 190 }}>
              {keys}
            </Digits>
            <Words size={15} style={{ flexShrink: 1 }}>
              {what}
            </Words>
          </View>
        ))}
      </View>
    </Overlay>
  );
}
