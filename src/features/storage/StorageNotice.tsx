import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { SPACE, useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { clashWords } from '@/state/saving/clashWords';
import { forgetGone } from '@/storage/kept';
import { keyWords } from './keyWords';
import type { StorageState } from '@/state/storageSlice';
import { damageSeen } from '@/state/storageSlice';
import { flow } from '@/ui/flow';

/** Over every screen, while what is typed does not reach the browser's storage, or something in it could not be read. */
export function StorageNotice() {
  const storage = useAppSelector((state) => state.storage);
  const units = useAppSelector((state) => state.display.units);
  const strata = useStrata();
  const dispatch = useAppDispatch();
  const lost = lostWords(storage);
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
        {damaged.map(({ key, mended, number }) => (
          <Words size={15} key={key}>
            {`${keyWords(key, number)} could not be read${
              mended ? ': the version before is shown.' : '.'
            } The text that was stored is set aside under Backup.`}
          </Words>
        ))}
        {clashes.map((clash, i) => (
          <Words size={15} key={i}>
            {clashWords(clash, units)}
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
          To the backup
        </Action>
        {storage.status === 'memory' ? (
          <Action onPress={() => location.reload()}>Open it again</Action>
        ) : null}
        {lost ? null : (
          <Action icon="close" onPress={putAway}>
            Put away
          </Action>
        )}
      </View>
    </View>
  );
}

const GONE =
  'The workshop that was kept in this browser is gone: the browser has thrown it away, as it does when a device is short of room or a page is not opened for long. What stands here is a new beginning. If you have a backup, take it in.';

/** Why what is typed is not stored, and what to do. */
function lostWords({ status, full, reason }: StorageState): string | undefined {
  if (status === 'memory')
    return `The stored workshop could not be opened: ${reason}. Nothing of it was touched. What you enter now is kept only while this page is open: take a backup before you close it.`;
  if (status !== 'failed') return undefined;
  return full
    ? 'This browser has no room left. What you type is kept while this page is open, and storing it is tried again and again. Take a backup, then free some room on the device.'
    : `What you type could not be stored: ${reason}. It is kept while this page is open, and storing it is tried again and again. Make a backup; if the device is full, free some room.`;
}

const styles = StyleSheet.create({
  padded: { padding: SPACE.gap, gap: SPACE.gap, borderBottomWidth: 3 },
});
