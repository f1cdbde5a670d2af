import { StyleSheet, View } from 'react-native';

import type { FieldPath } from '@/core/job/fieldPath';
import { withEntry } from '@/core/job/paths';
import { entryAt } from '@/core/job/entryAt';
import { stepsAnswered } from '@/core/worksheet/worksheet';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { IconKey } from '@/ui/IconKey';

import { EntryField } from './EntryField';

interface Props {
  readonly path: FieldPath;
  readonly label: string;
  /** Counted part, for the keys: "Dowels: one more". */
  readonly of: string;
  /** How many there should be: one key for all of them. */
  readonly all?: number;
}

const MOST = 200;

/** A count that is typed, or counted by a thumb: one less, one more, all. */
export function CountField({ path, label, of, all }: Props) {
  const change = useEditJob();
  const count = useJobPart((job) => entryAt(job, path)?.value) ?? 0;
  const set = (value: number) =>
    change((j) =>
      stepsAnswered(
        withEntry(j, path, { value: Math.max(0, Math.min(MOST, value)) }),
        path,
        new Date().toISOString(),
      ),
    );
  return (
    <View style={styles.row}>
      <IconKey
        atBox
        icon="minus"
        outlined
        label={`${of}: one less ${label.toLowerCase()}`}
        blocked={count <= 0 ? 'none to take away' : undefined}
        onPress={() => set(count - 1)}
      />
      <View style={styles.column}>
        <EntryField narrow path={path} label={label} of={of} />
      </View>
      <IconKey
        atBox
        icon="plus"
        outlined
        label={`${of}: one more ${label.toLowerCase()}`}
        onPress={() => set(count + 1)}
      />
      {all === undefined ? null : (
        <IconKey
          atBox
          icon="check"
          outlined
          label={`${of}: all ${all} ${label.toLowerCase()}`}
          onPress={() => set(all)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'flex-start' },
  column: { width: 62 },
});
