import { upperFirst } from '@/core/text/sentence';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import type { MergeChoice, MergeItem } from '@/core/workshop/merge';
import { choiceFor, planMerge } from '@/core/workshop/merge';
import { FileRefused } from '@/files/refused';
import { pickFile } from '@/files/share';
import { reportFault } from '@/storage/faults';
import { unsavedText } from '@/state/storageSlice';
import { whenWritten } from '@/storage/current';
import { useAppDispatch, useAppSelector, useAppStore } from '@/state/store';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { ProgressLine } from '@/ui/ProgressLine';
import { useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { backupActions } from '@/state/backupSlice';
import type { ReadFile } from './workshop';
import { readBackup, undoImport, importWorkshop, workshopOf } from './workshop';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

type Reading =
  | { readonly state: 'none' }
  | { readonly state: 'reading'; readonly share: number }
  | { readonly state: 'refused'; readonly why: string }
  | { readonly state: 'read'; readonly file: ReadFile };

/** Imports a workshop file: read, shown as a plan, and applied on confirmation. */
export function ImportPanel() {
  const strata = useStrata();
  const dispatch = useAppDispatch();
  const undoable = useAppSelector((state) => state.backup.taken !== undefined);
  const [reading, setReading] = useState<Reading>({ state: 'none' });
  const unsaved = useAppSelector(unsavedText);
  const [kept, setKept] = useState<readonly string[]>([]);
  const pick = async () => {
    const file = await pickFile('.zip,.json,application/zip,application/json');
    if (!file) return;
    setReading({ state: 'reading', share: 0 });
    try {
      const read = await readBackup(file, (share) => setReading({ state: 'reading', share }));
      setReading({ state: 'read', file: read });
    } catch (error) {
      const why =
        error instanceof FileRefused ? error.message : reportFault('it could not be read', error);
      setReading({ state: 'refused', why: `${file.name}: ${why} Nothing was changed.` });
    }
  };
  return (
    <View style={flow.stack}>
      <Heading level={2}>Import</Heading>
      <Words>
        A backup, or a workshop from another device. The changes are shown before anything is
        imported.
      </Words>
      {undoable ? (
        <View role="status" style={flow.stack}>
          <Words>{unsaved ?? 'File imported.'}</Words>
          <View style={flow.wrap}>
            <Action icon="undo" onPress={() => setKept(dispatch(undoImport()))}>
              Undo
            </Action>
            <Action icon="close" onPress={() => dispatch(backupActions.takingForgotten())}>
              Close
            </Action>
          </View>
        </View>
      ) : null}
      <View aria-live="polite">
        {kept.length > 0 ? (
          <Words>{`Changed since the import, so not undone: ${kept.join(', ')}.`}</Words>
        ) : null}
        {reading.state === 'refused' ? (
          <Words style={{ color: strata.stop }}>{reading.why}</Words>
        ) : null}
        {reading.state === 'reading' ? (
          <ProgressLine share={reading.share} label="Jobs read" />
        ) : null}
      </View>
      {reading.state === 'read' ? (
        <Plan file={reading.file} onDone={() => setReading({ state: 'none' })} />
      ) : (
        <View style={flow.wrap}>
          <Action icon="import" busy={reading.state === 'reading'} onPress={() => void pick()}>
            Choose file
          </Action>
          <Action icon="qrcode" onPress={() => router.navigate('/code')}>
            Scan pack code
          </Action>
        </View>
      )}
    </View>
  );
}

const KIND_WORD = {
  job: 'job',
  plate: 'plate on the shelf',
  spring: 'springs on the shelf',
  template: 'checklist',
  limits: 'spec sheet',
} as const satisfies Record<MergeItem['kind'], string>;

const CHOICES = [
  { value: 'both', label: 'Keep both' },
  { value: 'here', label: 'Keep mine' },
  { value: 'file', label: 'Use the file’s' },
] as const satisfies readonly { value: MergeChoice; label: string }[];

/** So many things of one sort are named one by one. */
const NAMED = 40;

/** The import plan: new, different and identical items; nothing happens before confirmation. */
function Plan({ file, onDone }: { readonly file: ReadFile; readonly onDone: () => void }) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const items = planMerge(workshopOf(store.getState()), file.workshop);
  const [choices, setChoices] = useState<ReadonlyMap<string, MergeChoice>>(new Map());
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string>();
  const of = (status: MergeItem['status']) => items.filter((i) => i.status === status);
  const fresh = of('new');
  const apart = of('differs');
  const take = async () => {
    setBusy(true);
    try {
      await dispatch(importWorkshop(file, choices));
      await whenWritten();
      onDone();
    } catch (error) {
      // Photographs are stored first, so nothing else has changed.
      setFailed(`${reportFault('The file was not imported', error)} Nothing was changed.`);
      setBusy(false);
    }
  };
  return (
    <View style={flow.sections}>
      <View role="status" aria-label="Changes from the file" style={flow.tight}>
        <Words
          bold
        >{`${file.name}: ${fresh.length} new, ${apart.length} different, ${of('same').length} identical.`}</Words>
        {file.upgraded ? <Words size={15}>{file.upgraded}</Words> : null}
        {fresh.length > 0 ? (
          <Words soft size={15}>
            {`New: ${fresh
              .slice(0, NAMED)
              .map((i) => (i.kind === 'job' ? i.name : `${KIND_WORD[i.kind]} ${i.name}`))
              .join(', ')}${fresh.length > NAMED ? ` and ${fresh.length - NAMED} more` : ''}.`}
          </Words>
        ) : null}
      </View>
      {file.refused.length > 0 ? (
        <View role="alert" style={flow.tight}>
          <Words bold>{`${countOf(file.refused.length, 'job')} in the file can’t be read.`}</Words>
          {file.refused.slice(0, NAMED).map(({ name, why }) => (
            <Words key={name + why} size={15}>{`${name}: ${why}`}</Words>
          ))}
        </View>
      ) : null}
      {apart.slice(0, NAMED).map((item) => (
        <Choice
          key={item.key}
          label={`${upperFirst(KIND_WORD[item.kind])} ${item.name} already exists with different values`}
          value={choices.get(item.key) ?? choiceFor(item)}
          options={item.kind === 'template' ? CHOICES.slice(1) : CHOICES}
          onChange={(choice) => setChoices(new Map(choices).set(item.key, choice))}
        />
      ))}
      {apart.length > NAMED ? (
        <Words
          soft
        >{`${apart.length - NAMED} more with different values: both versions are kept.`}</Words>
      ) : null}
      <View aria-live="polite">{failed ? <Words>{failed}</Words> : null}</View>
      <View style={flow.wrap}>
        <Action
          main
          icon="import"
          busy={busy}
          blocked={
            fresh.length + apart.length === 0
              ? 'Everything in the file is here already.'
              : undefined
          }
          onPress={() => void take()}
        >
          {busy ? 'Importing …' : file.refused.length > 0 ? 'Import the rest' : 'Import'}
        </Action>
        <Action icon="close" busy={busy} onPress={onDone}>
          Cancel
        </Action>
      </View>
    </View>
  );
}
