import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { LAYER_KEYS } from '@/features/section/useLayerKeys';
import { Overlay } from '@/ui/Overlay';
import { useKeys } from '@/ui/useKeys';
import { Digits, Heading, Words } from '@/ui/Words';

const GROUPS = [
  {
    name: 'Everywhere',
    keys: [
      ['?', 'Key list'],
      ['Escape', 'Close, clear a search'],
      ['Enter', 'In a field: the next field'],
    ],
  },
  {
    name: 'A job',
    keys: [
      ['Alt 1 to Alt 8', 'Stages, from Intake to Log'],
      ['Ctrl Z', 'Undo'],
      ['Ctrl Y', 'Redo'],
    ],
  },
  {
    name: 'The measuring run',
    keys: [
      ['Digits', 'The reading'],
      ['Enter', 'Save the reading'],
      ['Backspace', 'Delete a digit'],
      ['Page Down, Page Up', 'Skip, or go back'],
    ],
  },
  { name: 'A focused layer of the section', keys: LAYER_KEYS },
] as const;

/** The keys for everything that is done often, under `?` on every screen. */
export function KeyHelp() {
  const [open, setOpen] = useState(false);
  useKeys((event) => {
    if (event.key !== '?') return false;
    setOpen(true);
    return true;
  });
  return (
    <Overlay visible={open} title="Keys" onClose={() => setOpen(false)}>
      {GROUPS.map(({ name, keys }) => (
        <View key={name}>
          <Heading level={3}>{name}</Heading>
          <View role="list" aria-label={name}>
            {keys.map(([key, what]) => (
              <View key={key} role="listitem" style={styles.row}>
                <Digits bold size={15} style={styles.key}>
                  {key}
                </Digits>
                <Words size={15} style={styles.what}>
                  {what}
                </Words>
              </View>
            ))}
          </View>
        </View>
      ))}
    </Overlay>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 12, paddingVertical: 4 },
  key: { width: 190 },
  what: { flexShrink: 1 },
});
