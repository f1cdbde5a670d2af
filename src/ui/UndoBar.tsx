import { View } from 'react-native';

import { Action } from './Action';
import { useStrata } from './theme';
import { Words } from './Words';

interface Props {
  readonly text: string;
  readonly onUndo: () => void;
  readonly onForget: () => void;
}

/** Stays until it is used or put away: what is gone from the list is not gone with a glance aside. */
export function UndoBar({ text, onUndo, onForget }: Props) {
  const strata = useStrata();
  return (
    <View
      role="status"
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
      <Words style={{ flexGrow: 1, flexShrink: 1 }}>{text}</Words>
      <Action icon="undo" onPress={onUndo}>
        Undo
      </Action>
      <Action icon="close" onPress={onForget}>
        Put away
      </Action>
    </View>
  );
}
