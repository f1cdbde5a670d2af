import { Portal, Snackbar } from 'react-native-paper';

interface Props {
  readonly text: string;
  readonly onUndo: () => void;
  readonly onForget: () => void;
}

/** Undo for a removed item: Paper's snackbar, which stays until used or closed. */
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
