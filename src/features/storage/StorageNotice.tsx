import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { SPACE, useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { clashText } from '@/state/saving/clashText';
import { forgetGone } from '@/storage/kept';
import { recordName } from './recordName';
import type { StorageState } from '@/state/storageSlice';
import { damageSeen } from '@/state/storageSlice';
import { flow } from '@/ui/flow';

/** Shown over every screen while entries are not saved, or records were damaged. */
export function StorageNotice() {
  const storage = useAppSelector((state) => state.storage);
  const units = useAppSelector((state) => state.display.units);
  const strata = useStrata();
  const dispatch = useAppDispatch();
  const lost = damageText(storage);
  const { clashes, damaged, gone } = storage;
  if (!lost && damaged.length + clashes.length === 0 && gone === undefined) return null;
  const putAway = () => {
    if (gone !== undefined) forgetGone(gone);
    dispatch(damageSeen());
  };
  return (
    <View
      role="region"
      aria-label="Storage"
      style={[styles.padded, { backgroundColor: strata.raised, borderColor: strata.stop }]}
    >
      <View role="alert" style={flow.tight}>
        {lost ? <Words size={15}>{lost}</Words> : null}
        {gone === undefined ? null : <Words size={15}>{GONE}</Words>}
        {damaged.map(({ key, fixed, number }) => (
          <Words size={15} key={key}>
            {`${recordName(key, number)} could not be read${fixed ? ': the version before is shown.' : '.'} The stored text is kept under Backup.`}
          </Words>
        ))}
        {clashes.map((clash, i) => (
          <Words size={15} key={i}>
            {clashText(clash, units)}
          </Words>
        ))}
      </View>
      <View style={flow.wrap}>
        {clashes.map((clash) =>
          clash.kind === 'job' ? (
            <Action
              key={clash.copyId}
              icon="chevron-right"
              onPress={() => router.navigate(`/job/${clash.copyId}`)}
            >
              {`Open ${clash.copyNumber}`}
            </Action>
          ) : null,
        )}
        <Action icon="download" onPress={() => router.navigate('/files')}>
          Go to Backup
        </Action>
        {storage.status === 'memory' ? (
          <Action onPress={() => location.reload()}>Open again</Action>
        ) : null}
        {lost ? null : (
          <Action icon="close" onPress={putAway}>
            Close
          </Action>
        )}
      </View>
    </View>
  );
}

const GONE =
  'The workshop on this device is gone: the browser deleted it, as it may when space is short or a page is not opened for a long time. This is a new, empty workshop. If you have a backup, import it.';

/** The reason why entries are not saved, and the remedy. */
function damageText({ status, full, reason }: StorageState): string | undefined {
  if (status === 'memory')
    return `The stored workshop could not be opened: ${reason}. It was not changed. New entries are kept only while this page is open: back up before you close it.`;
  if (status !== 'failed') return undefined;
  return full
    ? 'No storage space left in this browser. Entries are kept while this page is open, and saving is retried. Back up, then free some space on the device.'
    : `Entries could not be saved: ${reason}. They are kept while this page is open, and saving is retried. Back up; if the device is full, free some space.`;
}

const styles = StyleSheet.create({
  padded: { padding: SPACE.gap, gap: SPACE.gap, borderBottomWidth: 3 },
});
