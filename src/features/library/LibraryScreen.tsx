import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { View } from 'react-native';

import type { SpecSheet } from '@/core/library/limits';
import { WhenRead } from '@/features/jobs/WhenRead';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Page } from '@/features/page/Page';
import { Panel } from '@/ui/Panel';
import { UndoBar } from '@/ui/UndoBar';
import { Heading, Words } from '@/ui/Words';

import { AddLimit } from './AddLimit';
import { libraryActions, sheetsByName } from '@/state/librarySlice';
import { LimitRow } from './LimitRow';
import { AffectedJobs } from './AffectedJobs';
import { useNewJobWith } from './useNewJobWith';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

const MAX_SHEET_NAME = 120;
const MAX_SHEET_NOTE = 2000;

/** The limits library: spec sheets by machine or kit. */
export function LibraryScreen() {
  const { sheets, removed } = useAppSelector((state) => state.library);
  const dispatch = useAppDispatch();
  // Each keeps its place on the page: somebody may be typing its name.
  const [place] = useState(() => new Map(sheetsByName(sheets).map(({ id }, at) => [id, at])));
  const placeOf = ({ id }: SpecSheet) => place.get(id) ?? place.size;
  const [fresh, setFresh] = useState<string>();
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
    <Page title="Limits library">
      <View style={flow.wrapLine}>
        <View style={flow.growOnly}>
          <Heading level={2}>Limits, steps and torques</Heading>
        </View>
        <Action main icon="plus" onPress={add}>
          New spec sheet
        </Action>
      </View>
      <Words soft size={15}>
        One spec sheet per machine or kit, from its own manual. Apply it to a job at Inspect, or
        save a job’s limits into it. Each value lists the jobs that use it.
      </Words>
      {removed ? (
        <UndoBar
          text={`Spec sheet “${removed.name || 'unnamed'}” deleted.`}
          onUndo={() => dispatch(libraryActions.sheetRemovalUndone())}
          onForget={() => dispatch(libraryActions.sheetRemovalForgotten())}
        />
      ) : null}
      {sheets.length === 0 ? (
        <Words>No spec sheets yet. Create one here, or save a job’s limits at Inspect.</Words>
      ) : null}
      {sheets
        .toSorted((a, b) => placeOf(a) - placeOf(b))
        .map((sheet) => (
          <Panel
            key={sheet.id}
            level={2}
            title={sheet.name || 'Unnamed spec sheet'}
            summary={summaryOf(sheet)}
            initiallyOpen={sheet.id === fresh}
          >
            <Sheet sheet={sheet} />
          </Panel>
        ))}
    </Page>
  );
}

const summaryOf = ({ limits, note }: SpecSheet): string =>
  [countOf(limits.length, 'value'), note.split('\n', 1)[0]].filter(Boolean).join(', ');

function Sheet({ sheet }: { readonly sheet: SpecSheet }) {
  const dispatch = useAppDispatch();
  const newJob = useNewJobWith();
  const keep = (part: Partial<SpecSheet>) =>
    dispatch(libraryActions.sheetKept({ ...sheet, ...part, updatedAt: new Date().toISOString() }));
  return (
    <>
      <Field
        label="Machine or kit"
        value={sheet.name}
        maxLength={MAX_SHEET_NAME}
        onChangeText={(name) => keep({ name })}
      />
      <Field
        label="Years and manual"
        value={sheet.note}
        maxLength={MAX_SHEET_NOTE}
        onChangeText={(note) => keep({ note })}
      />
      {sheet.limits.length > 0 ? (
        <View role="list" aria-label={`Limits of ${sheet.name || 'the spec sheet'}`}>
          {sheet.limits.map((limit) => (
            <LimitRow
              key={limit.id}
              limit={limit}
              onChange={(next) =>
                keep({ limits: sheet.limits.map((l) => (l.id === limit.id ? next : l)) })
              }
              onRemove={() => keep({ limits: sheet.limits.filter((l) => l.id !== limit.id) })}
            />
          ))}
        </View>
      ) : null}
      <AddLimit onAdd={(limit) => keep({ limits: [...sheet.limits, limit] })} />
      <WhenRead>
        <AffectedJobs sheet={sheet} />
      </WhenRead>
      <View style={flow.wrap}>
        <Action icon="plus" onPress={() => newJob(sheet)}>
          New job from this
        </Action>
        <Action
          icon="delete-outline"
          onPress={() => dispatch(libraryActions.sheetRemoved(sheet.id))}
        >
          Delete spec sheet
        </Action>
      </View>
    </>
  );
}
