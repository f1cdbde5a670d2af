import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import type { FieldPath } from '@/core/job/fieldPath';
import { EntryField } from '@/features/entry/EntryField';
import { FieldGrid } from '@/ui/FieldGrid';
import { SPACE } from '@/ui/theme';

interface Props {
  readonly fields?: readonly FieldPath[] | undefined;
  readonly children?: ReactNode;
}

/** The readings of a step: fields, with their results below. */
export function ToolBox({ fields, children }: Props) {
  return (
    <View style={styles.padded}>
      {fields ? (
        <FieldGrid>
          {fields.map((path) => (
            <EntryField key={path} path={path} />
          ))}
        </FieldGrid>
      ) : null}
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  padded: { gap: SPACE.gap, paddingBottom: SPACE.gap },
});
