import { Portal, Snackbar } from 'react-native-paper';

interface Props {
  readonly text: string;
  readonly onUndo: () => void;
  readonly onForget: () => void;
}

/** What is gone from a list can be had back: Paper's snackbar, which stays until it is used or closed. */
export function UndoBar({ text, onUndo, onForget }: Props) {
  return (
    <Portal>
      <Snackbar
        visible
        duration={Number.POSITIVE_INFINITY}
        onDismiss={onForget}
        action={{ label: 'Undo', onPress: onUndo }}
        icon="close"
        iconAccessibilityLabel="Close"
        onIconPress={onForget}
      >
        {text}
      </Snackbar>
    </Portal>
  );
}
