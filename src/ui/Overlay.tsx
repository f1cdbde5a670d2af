import type { ReactNode } from 'react';
import { useEffect, useEffectEvent } from 'react';
import { Platform, ScrollView, useWindowDimensions, View } from 'react-native';
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

/** Something that lies over the work for a while: from the foot on a phone, in the middle on a wide screen. */
export function Overlay({ visible, title, label = title, onClose, children }: Props) {
  const strata = useStrata();
  const wide = useWide();
  const { height } = useWindowDimensions();
  const maxHeight = height * 0.85;
  useEscape(visible, onClose);
  return (
    <Portal>
      <Modal
        visible={visible}
        onDismiss={onClose}
        style={{ justifyContent: wide ? 'center' : 'flex-end' }}
        contentContainerStyle={{
          backgroundColor: strata.raised,
          borderColor: strata.line,
          borderWidth: 1,
          borderRadius: 8,
          maxHeight,
          ...(wide
            ? { width: 560, alignSelf: 'center' }
            : { borderBottomLeftRadius: 0, borderBottomRightRadius: 0 }),
        }}
      >
        {visible ? (
          <View role="dialog" aria-modal aria-label={label} style={{ maxHeight }}>
            <View style={{ flexDirection: 'row', alignItems: 'center', paddingLeft: 16 }}>
              <View style={{ flexGrow: 1, flexShrink: 1 }}>
                <Heading level={2}>{title}</Heading>
              </View>
              <IconKey icon="close" label="Close" onPress={onClose} />
            </View>
            <ScrollView contentContainerStyle={{ padding: 16, paddingTop: 0, gap: 12 }}>
              {children}
            </ScrollView>
          </View>
        ) : null}
      </Modal>
    </Portal>
  );
}

/** What lies over the work, the topmost last. */
const lying: object[] = [];

/** Closes on Escape, as people expect of what lies on top; what lies under it stays. */
function useEscape(active: boolean, close: () => void): void {
  const latest = useEffectEvent(close);
  useEffect(() => {
    if (!active || Platform.OS !== 'web') return undefined;
    const own = {};
    lying.push(own);
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && lying.at(-1) === own) latest();
    };
    document.addEventListener('keydown', onKey);
    return () => {
      lying.splice(lying.indexOf(own), 1);
      document.removeEventListener('keydown', onKey);
    };
  }, [active]);
}
