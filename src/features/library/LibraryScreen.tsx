import { nanoid } from '@reduxjs/toolkit';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import type { SpecSheet } from '@/core/library/limits';
import { ImportPanel } from '@/features/backup/ImportPanel';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { Page } from '@/features/page/Page';
import { Panel } from '@/ui/Panel';
import { SearchField } from '@/ui/SearchField';
import { UndoBar } from '@/ui/UndoBar';
import { Heading, Words } from '@/ui/Words';

import { libraryActions, sheetsByName } from '@/state/librarySlice';
import { SheetEditor } from './SheetEditor';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

/** A list longer than this gets a search. */
const MANY = 10;

const matches = ({ name, note }: SpecSheet, search: string): boolean =>
  `${name} ${note}`.toLocaleLowerCase().includes(search.trim().toLocaleLowerCase());

/** The limits library: spec sheets by machine or kit. */
export function LibraryScreen() {
  const { sheets, removed } = useAppSelector((state) => state.library);
  const dispatch = useAppDispatch();
  // Each keeps its place on the page: somebody may be typing its name.
  const [place] = useState(() => new Map(sheetsByName(sheets).map(({ id }, at) => [id, at])));
  const placeOf = ({ id }: SpecSheet) => place.get(id) ?? place.size;
  const params = useLocalSearchParams<{ sheet?: string }>();
  const [fresh, setFresh] = useState(params.sheet);
  const [search, setSearch] = useState('');
  const [importing, setImporting] = useState(false);
  const add = () => {
    const id = nanoid(12);
    setFresh(id);
    dispatch(
      libraryActions.sheetKept({
        id,
        name: '',
        note: '',
        updatedAt: new Date().toISOString(),
        limits: [],
      }),
    );
  };
  return (
    <Page title="Spec sheets">
      <View style={flow.wrapLine}>
        <View style={flow.growOnly}>
          <Heading level={2}>Machines and kits</Heading>
        </View>
        <Action icon="import" onPress={() => setImporting(!importing)}>
          Import
        </Action>
        <Action main icon="plus" onPress={add}>
          New spec sheet
        </Action>
      </View>
      {importing ? <ImportPanel /> : null}
      <Words soft size={15}>
        One spec sheet per machine or kit: the whole leaflet, typed once as printed. Apply it to a
        job at Intake, or save a job into it there.
      </Words>
      {removed ? (
        <UndoBar
          text={`Spec sheet “${removed.name || 'unnamed'}” deleted.`}
          onUndo={() => dispatch(libraryActions.sheetRemovalUndone())}
          onForget={() => dispatch(libraryActions.sheetRemovalForgotten())}
        />
      ) : null}
      {sheets.length === 0 ? (
        <Words>No spec sheets yet. Create one here, or save a job as one at its Intake.</Words>
      ) : null}
      {sheets.length > MANY ? (
        <SearchField label="Search spec sheets" value={search} onChangeText={setSearch} />
      ) : null}
      {sheets
        .filter((s) => s.id === fresh || matches(s, search))
        .toSorted((a, b) => placeOf(a) - placeOf(b))
        .map((sheet) => (
          <Panel
            key={sheet.id}
            level={2}
            title={sheet.name || 'Unnamed spec sheet'}
            summary={summaryOf(sheet)}
            initiallyOpen={sheet.id === fresh}
          >
            <SheetEditor sheet={sheet} />
          </Panel>
        ))}
    </Page>
  );
}

const summaryOf = ({ limits, note, leaflet }: SpecSheet): string =>
  [
    countOf(limits.filter((l) => l.entry).length, 'value'),
    leaflet?.pack ? countOf(leaflet.pack.plates.length, 'plate') : '',
    note.split('\n', 1)[0],
  ]
    .filter(Boolean)
    .join(', ');
