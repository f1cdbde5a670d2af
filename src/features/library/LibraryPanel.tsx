import { nanoid } from '@reduxjs/toolkit';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import type { ComparedLimit, SpecSheet } from '@/core/library/limits';
import { compareSpecSheet, limitsOf, specSheetFromJob, withSpecSheet } from '@/core/library/limits';
import { useUnits } from '@/features/display/useUnits';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { Panel } from '@/ui/Panel';
import { SPACE, useRuled } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { libraryActions, sheetsByName } from '@/state/librarySlice';
import { differenceText } from './words';
import { flow } from '@/ui/flow';

/** The shop's library at a job: take its limits, or give it this job's. */
export function LibraryPanel() {
  const job = useJob();
  const sheets = useAppSelector((state) => state.library.sheets);
  const used = sheets.find((s) => s.id === job.machine.limitsId);
  const apart = used
    ? compareSpecSheet(used, job).filter(
        (c) => c.standing === 'differs' || c.standing === 'missing',
      )
    : [];
  return (
    <Panel
      title="Limits library"
      summary={
        used
          ? apart.length === 0
            ? `Matches “${used.name}”`
            : `“${used.name}” has different values: ${apart.length}`
          : sheets.length === 0
            ? 'Save these limits as a spec sheet'
            : 'Apply a spec sheet'
      }
    >
      {used ? <UsedSheet sheet={used} apart={apart} /> : <ChooseSheet sheets={sheets} />}
    </Panel>
  );
}

function UsedSheet({
  sheet,
  apart,
}: {
  readonly sheet: SpecSheet;
  readonly apart: readonly ComparedLimit[];
}) {
  const units = useUnits();
  const change = useEditJob();
  const dispatch = useAppDispatch();
  const job = useJob();
  const take = () =>
    change((j) => withSpecSheet(j, sheet, new Set(apart.map((c) => c.limit.id)), () => nanoid(10)));
  const give = () =>
    dispatch(
      libraryActions.sheetKept(
        specSheetFromJob(sheet, job, () => nanoid(10), new Date().toISOString()),
      ),
    );
  const more = limitsOf(job, () => nanoid(10)).length > 0;
  return (
    <>
      {apart.length === 0 ? (
        <Words size={15}>{`Every value of “${sheet.name}” is in this job.`}</Words>
      ) : (
        <View role="list" aria-label="Job and spec sheet differ" style={flow.tight}>
          {apart.map((c) => (
            <View role="listitem" key={c.limit.id}>
              <Words size={15}>{differenceText(c, units)}</Words>
            </View>
          ))}
        </View>
      )}
      <View style={flow.wrap}>
        {apart.length > 0 ? (
          <Action main icon="import" onPress={take}>
            Use the spec sheet’s
          </Action>
        ) : null}
        {more ? (
          <Action icon="upload" onPress={give}>
            Update the spec sheet
          </Action>
        ) : null}
        <Action icon="ruler" onPress={() => router.navigate('/library')}>
          Open limits library
        </Action>
      </View>
    </>
  );
}

function ChooseSheet({ sheets }: { readonly sheets: readonly SpecSheet[] }) {
  const job = useJob();
  const change = useEditJob();
  const dispatch = useAppDispatch();
  const ruled = useRuled();
  const has = limitsOf(job, () => nanoid(10)).length;
  // Spec sheets of the same machine come first.
  const fits = (sheet: SpecSheet) => sheet.name === job.machine.name;
  const keep = () => {
    const id = nanoid(12);
    const now = new Date().toISOString();
    const empty = { id, name: job.machine.name, note: '', updatedAt: now, limits: [] };
    dispatch(libraryActions.sheetKept(specSheetFromJob(empty, job, () => nanoid(10), now)));
    change((j) => ({ ...j, machine: { ...j.machine, limitsId: id } }));
  };
  return (
    <>
      {sheetsByName(sheets)
        .toSorted((a, b) => Number(fits(b)) - Number(fits(a)))
        .map((sheet) => {
          const lines = compareSpecSheet(sheet, job);
          const of = (standing: ComparedLimit['standing']) =>
            lines.filter((c) => c.standing === standing);
          const taking = [...of('missing'), ...of('differs')];
          return (
            <View key={sheet.id} style={[ruled, styles.padded]}>
              <Words bold>{sheet.name || 'Unnamed spec sheet'}</Words>
              <Words soft size={14}>
                {[
                  `${of('missing').length} new`,
                  `${of('differs').length} replaced`,
                  `${of('same').length} the same`,
                  of('noPlace').length > 0
                    ? `${of('noPlace').length} for plates or springs not in this job`
                    : '',
                ]
                  .filter(Boolean)
                  .join(', ')}
              </Words>
              <View style={flow.wrap}>
                <Action
                  accessibilityLabel={`Apply all limits of ${sheet.name}`}
                  onPress={() =>
                    change((j) =>
                      withSpecSheet(j, sheet, new Set(taking.map((c) => c.limit.id)), () =>
                        nanoid(10),
                      ),
                    )
                  }
                >
                  Apply all
                </Action>
                {of('differs').length > 0 && of('missing').length > 0 ? (
                  <Action
                    accessibilityLabel={`Apply only new limits of ${sheet.name}`}
                    onPress={() =>
                      change((j) =>
                        withSpecSheet(j, sheet, new Set(of('missing').map((c) => c.limit.id)), () =>
                          nanoid(10),
                        ),
                      )
                    }
                  >
                    New only
                  </Action>
                ) : null}
              </View>
            </View>
          );
        })}
      <Action
        icon="upload"
        blocked={has === 0 ? 'This job has no limits yet.' : undefined}
        onPress={keep}
      >
        {has === 1 ? 'Save this limit as a spec sheet' : 'Save these limits as a spec sheet'}
      </Action>
    </>
  );
}

const styles = StyleSheet.create({
  padded: { paddingVertical: SPACE.gap, gap: SPACE.gap },
});
