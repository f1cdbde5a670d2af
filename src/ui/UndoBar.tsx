import { Action } from './Action';
import { NoticeBar } from './NoticeBar';

interface Props {
  readonly text: string;
  readonly onUndo: () => void;
  readonly onForget: () => void;
}

/** What is gone from a list is not gone with a glance aside. */
export function UndoBar({ text, onUndo, onForget }: Props) {
  return (
    <NoticeBar text={text}>
      <Action icon="undo" onPress={onUndo}>
        Undo
      </Action>
      <Action icon="close" onPress={onForget}>
        Put away
      </Action>
    </NoticeBar>
  );
}
