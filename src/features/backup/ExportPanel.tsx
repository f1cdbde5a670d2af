import { useState } from 'react';
import { View } from 'react-native';

import { writeLogCsv, writeMeasurementsCsv, writeShelfCsv } from '@/files/csvFiles';
import { canShare, download, share } from '@/files/share';
import { reportFault } from '@/storage/faults';
import { useAppDispatch, useAppStore } from '@/state/store';
import { Action } from '@/ui/Action';
import { fileMoment } from '@/ui/dates';
import { Heading, Words } from '@/ui/Words';

import { backupActions } from '@/state/backupSlice';
import { useBackupText } from './useBackupText';
import type { BackupPart } from './workshop';
import { backUp, BACKUP_PARTS, partFile, workshopOf } from './workshop';
import { flow } from '@/ui/flow';

/** The whole workshop as one file. */
export function ExportPanel() {
  const dispatch = useAppDispatch();
  const { text } = useBackupText();
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string>();
  const make = async (
    hand: (name: string, content: Uint8Array, type: string) => Promise<void> | void,
  ) => {
    setBusy(true);
    setFailed(undefined);
    try {
      const bytes = await dispatch(backUp());
      const now = new Date();
      await hand(`under-ridge-${fileMoment(now)}.zip`, bytes, 'application/zip');
      dispatch(backupActions.backedUp(now.toISOString()));
    } catch (error) {
      setFailed(reportFault('The backup could not be made', error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <View style={flow.stack}>
      <Heading level={2}>Backup</Heading>
      <Words>
        One file with every job, its readings, signatures and photographs, the shelf, the spec
        sheets and the shop’s checklists. Keep a copy on another device.
      </Words>
      <View role="status" aria-label="Last backup">
        <Words soft>{text}</Words>
      </View>
      <View style={flow.wrap}>
        <Action main icon="download" busy={busy} onPress={() => void make(download)}>
          {busy ? 'Packing …' : 'Back up now'}
        </Action>
        {canShare() ? (
          <Action icon="export-variant" busy={busy} onPress={() => void make(share)}>
            Share backup
          </Action>
        ) : null}
      </View>
      <View aria-live="polite">{failed ? <Words>{failed}</Words> : null}</View>
    </View>
  );
}

const PART_NAME: Readonly<Record<BackupPart, string>> = {
  shelf: 'Shelf',
  library: 'Spec sheets',
  templates: 'Shop checklists',
};

/** One part alone, for another shop: imported like any other file. */
export function Parts() {
  const dispatch = useAppDispatch();
  const save = async (part: BackupPart) => {
    const name = PART_NAME[part].toLowerCase().replaceAll(' ', '-');
    download(`under-ridge-${name}.json`, await dispatch(partFile(part)));
  };
  return (
    <View style={flow.stack}>
      <Heading level={2}>Single parts</Heading>
      <Words>JSON files for another shop, imported there like a backup.</Words>
      <View style={flow.wrap}>
        {BACKUP_PARTS.map((part) => (
          <Action
            key={part}
            icon="download"
            accessibilityLabel={`${PART_NAME[part]}, as JSON`}
            onPress={() => void save(part)}
          >
            {PART_NAME[part]}
          </Action>
        ))}
      </View>
    </View>
  );
}

/** Exports as tables for a spreadsheet. */
const TABLES: readonly {
  readonly file: string;
  readonly label: string;
  readonly write: (workshop: ReturnType<typeof workshopOf>) => string;
}[] = [
  { file: 'measurements', label: 'Measurements', write: ({ jobs }) => writeMeasurementsCsv(jobs) },
  { file: 'log', label: 'Machine logs', write: ({ jobs }) => writeLogCsv(jobs) },
  { file: 'shelf', label: 'Shelf', write: ({ shelf, jobs }) => writeShelfCsv(shelf, jobs) },
];

/** Tables for a spreadsheet: they go out only. */
export function Tables() {
  const store = useAppStore();
  return (
    <View style={flow.stack}>
      <Heading level={2}>CSV tables</Heading>
      <Words>For a spreadsheet, in base units named in the header.</Words>
      <View style={flow.wrap}>
        {TABLES.map(({ file, label, write }) => (
          <Action
            key={file}
            icon="download"
            onPress={() =>
              download(`under-ridge-${file}.csv`, write(workshopOf(store.getState())), 'text/csv')
            }
          >
            {label}
          </Action>
        ))}
      </View>
    </View>
  );
}
