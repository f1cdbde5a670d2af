import type { ReactNode } from 'react';
import { useEffect, useEffectEvent, useRef } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { Modal, Portal } from 'react-native-paper';

import { IconKey } from './IconKey';
import { useStrata } from './theme';
import { useWide } from './useWide';
import { Heading } from './Words';

interface Props {
  readonly visible: boolean;
  /** Heading; `label` is read out in its place where it should say more. */
  readonly title: string;
  readonly label?: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/**
 * Something over the work for a while: from the foot on a phone, in the middle on a wide screen. Paper's Modal, with the
 * focus that the ARIA practices ask of a dialog, which Paper leaves to the device.
 */
export function Overlay({ visible, ...rest }: Props) {
  return <Portal>{visible ? <Open {...rest} /> : null}</Portal>;
}

function Open({ title, label = title, onClose, children }: Omit<Props, 'visible'>) {
  const strata = useStrata();
  const wide = useWide();
  const { height } = useWindowDimensions();
  const maxHeight = height * 0.85;
  const dialog = useDialogFocus(onClose);
  return (
    <Modal
      visible
      onDismiss={onClose}
      style={wide ? styles.middle : styles.foot}
      contentContainerStyle={[
        styles.box,
        wide ? styles.wide : styles.low,
        { backgroundColor: strata.raised, borderColor: strata.line, maxHeight },
      ]}
    >
      <View ref={dialog} role="dialog" aria-modal aria-label={label} style={{ maxHeight }}>
        <View style={styles.head}>
          <View style={styles.title}>
            <Heading level={2}>{title}</Heading>
          </View>
          <IconKey icon="close" label="Close" onPress={onClose} />
        </View>
        <ScrollView contentContainerStyle={styles.inside}>{children}</ScrollView>
      </View>
    </Modal>
  );
}

/** Dialogs that are open, the topmost last. */
const open: object[] = [];

const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), textarea:not(:disabled), [tabindex="0"]';

/** Takes the focus, keeps it inside, closes on Escape when it is on top, and gives the focus back. */
function useDialogFocus(onClose: () => void) {
  const ref = useRef<View>(null);
  const close = useEffectEvent(onClose);
  useEffect(() => {
    const dialog = ref.current as unknown as HTMLElement | null;
    if (typeof document === 'undefined' || !dialog) return undefined;
    const own = {};
    open.push(own);
    const before = document.activeElement;
    const inside = () =>
      [...dialog.querySelectorAll<HTMLElement>(FOCUSABLE)].filter((e) => e.offsetParent !== null);
    if (!dialog.contains(before)) (inside()[1] ?? inside()[0])?.focus({ preventScroll: true });
    const onKey = (event: KeyboardEvent) => {
      if (open.at(-1) !== own) return;
      if (event.key === 'Escape') close();
      if (event.key !== 'Tab') return;
      const all = inside();
      const [first, last] = [all[0], all.at(-1)];
      const leaves = event.shiftKey
        ? document.activeElement === first
        : document.activeElement === last;
      if (!leaves && dialog.contains(document.activeElement)) return;
      event.preventDefault();
      (event.shiftKey ? last : first)?.focus();
    };
    document.addEventListener('keydown', onKey);
    return () => {
      open.splice(open.indexOf(own), 1);
      document.removeEventListener('keydown', onKey);
      if (before instanceof HTMLElement && before.isConnected)
        before.focus({ preventScroll: true });
    };
  }, []);
  return ref;
}

const styles = StyleSheet.create({
  middle: { justifyContent: 'center' },
  foot: { justifyContent: 'flex-end' },
  box: { borderWidth: 1, borderRadius: 8 },
  wide: { width: 560, alignSelf: 'center' },
  low: { borderBottomLeftRadius: 0, borderBottomRightRadius: 0 },
  head: { flexDirection: 'row', alignItems: 'center', paddingLeft: 16 },
  title: { flexGrow: 1, flexShrink: 1 },
  inside: { padding: 16, paddingTop: 0, gap: 12 },
});
