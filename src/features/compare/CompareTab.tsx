import { fittedKinds } from '@/core/clutch/fitted';
import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import type { Compared } from '@/core/advice/compare';
import { COMPARED, figuresOverLife } from '@/core/advice/compare';
import { readSentence } from '@/core/text/sentence';
import { MAX_NAME } from '@/core/job/fields';
import type { Job } from '@/core/job/types';
import {
  withoutVariant,
  jobWith,
  MAX_VARIANTS,
  currentVariantName,
  withVariant,
  withVariantName,
  withVariantInUse,
} from '@/core/job/variants';
import { useUnits } from '@/features/display/useUnits';
import { useEditJob } from '@/state/jobs/editJob';
import { useEvaluation } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';
import { TradeMapPanel } from '@/features/tradeMap/TradeMapPanel';
import { ClampOverWear } from '@/features/springs/ClampOverWear';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { STATE_WORD, StateMark } from '@/ui/StateMark';
import { SPACE, useStrata } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { Digits, Heading, Words } from '@/ui/Words';

import { comparedText, differenceText } from './figureText';
import { flow } from '@/ui/flow';

/** A pack in a few words. */
const familyOf = (job: Job): string =>
  fittedKinds(job)
    .map(({ name }) => name)
    .join(', ');

interface Column {
  /** Id of a variant; the current pack has none. */
  readonly id?: string;
  readonly name: string;
  readonly job: Job;
  readonly figures: Compared;
}

/** Up to four packs for one job side by side; one of them is the one being worked on, and none is ever lost. */
export function CompareTab() {
  const job = useJob();
  const evaluation = useEvaluation();
  const change = useEditJob();
  const wide = useWide();
  const columns: readonly Column[] = [
    { name: currentVariantName(job), job, figures: figuresOverLife(job, evaluation) },
    ...job.variants.map((v) => {
      const other = jobWith(job, v);
      return { id: v.id, name: v.name, job: other, figures: figuresOverLife(other) };
    }),
  ];
  const room = columns.length < MAX_VARIANTS;
  const usual = `Variant ${String.fromCharCode(65 + job.variants.length)}`;
  const [copy, setCopy] = useState<string>();
  return (
    <View style={flow.sections}>
      <TradeMapPanel />
      <Heading level={2}>Pack variants</Heading>
      <Words soft size={15}>
        Save the pack as a variant, change it freely, even to another spring type, and use whichever
        is better. Switching to a variant keeps the current pack.
      </Words>
      <Field
        label="Name of the copy"
        value={copy ?? usual}
        maxLength={MAX_NAME}
        onChangeText={setCopy}
      />
      <Action
        icon="plus"
        blocked={room ? undefined : `At most ${MAX_VARIANTS} packs, the current one included.`}
        onPress={() => {
          change((j) => withVariant(j, nanoid(10), copy?.trim() ? copy : usual));
          setCopy(undefined);
        }}
      >
        Save as variant
      </Action>
      <Field
        label="Name of the current pack"
        value={currentVariantName(job)}
        maxLength={MAX_NAME}
        onChangeText={(name) =>
          change((j) => withVariantName(j, undefined, name), { typing: 'variantName' })
        }
      />
      {columns.length > 1 ? (
        <>
          <ScrollView
            horizontal
            // Keys scroll as a finger does.
            tabIndex={0}
            aria-label="Compare variants"
            contentContainerStyle={flow.growOnly}
          >
            <Table columns={columns} wide={wide} />
          </ScrollView>
          <Heading level={2}>Clamp over wear</Heading>
          <ClampOverWear packs={columns} />
        </>
      ) : null}
    </View>
  );
}

function Table({ columns, wide }: { readonly columns: readonly Column[]; readonly wide: boolean }) {
  const units = useUnits();
  const strata = useStrata();
  const change = useEditJob();
  const [present] = columns;
  const width = wide ? 148 : 96;
  const labels = wide ? 132 : 86;
  if (!present) return null;
  const ids = COMPARED.filter((id) => columns.some((c) => c.figures.values[id] !== undefined));
  const cell = { width, paddingVertical: 6, paddingHorizontal: 4 } as const;
  const line = { flexDirection: 'row', borderTopWidth: 1, borderColor: strata.line } as const;
  return (
    <View role="table" aria-label="Variant figures">
      <View role="row" style={flow.inline}>
        <View role="columnheader" style={{ width: labels }}>
          <Words soft size={13}>
            Pack
          </Words>
        </View>
        {columns.map((c) => (
          <View key={c.id ?? 'present'} role="columnheader" style={cell}>
            <Words bold size={15}>
              {c.name || 'No name'}
            </Words>
            <Words soft size={13}>
              {c.id ? familyOf(c.job) : `current; ${familyOf(c.job)}`}
            </Words>
          </View>
        ))}
      </View>
      <View role="row" style={line}>
        <View role="rowheader" style={[styles.cell, { width: labels }]}>
          <Words size={14}>Verdict</Words>
        </View>
        {columns.map((c) => (
          <View key={c.id ?? 'present'} role="cell" style={{ ...cell, gap: 2 }}>
            <View style={flow.row}>
              <StateMark state={c.figures.overall.state} />
              <Words bold size={14}>
                {STATE_WORD[c.figures.overall.state]}
              </Words>
            </View>
            <Words size={13}>
              {wide ? readSentence(c.figures.overall.sentence, units) : c.figures.overall.title}
            </Words>
          </View>
        ))}
      </View>
      {ids.map((id) => (
        <View key={id} role="row" style={line}>
          <View role="rowheader" style={[styles.cell, { width: labels }]}>
            <Words size={14}>{columns.map((c) => c.figures.labels[id]).find(Boolean) ?? ''}</Words>
          </View>
          {columns.map((c) => {
            const other =
              c === present ? '' : differenceText(present.figures, c.figures, id, units);
            return (
              <View key={c.id ?? 'present'} role="cell" style={cell}>
                <Digits size={14}>{comparedText(c.figures, id, units)}</Digits>
                {other ? (
                  <Digits bold size={14}>
                    {other}
                  </Digits>
                ) : null}
              </View>
            );
          })}
        </View>
      ))}
      <View role="row" style={line}>
        <View role="rowheader" style={[styles.cell, { width: labels }]}>
          <Words size={14}>Choose</Words>
        </View>
        {columns.map((c) => (
          <View key={c.id ?? 'present'} role="cell" style={{ ...cell, gap: 6 }}>
            {c.id === undefined ? null : (
              <>
                <Action
                  main
                  accessibilityLabel={`Use ${c.name}`}
                  onPress={() => change((j) => withVariantInUse(j, c.id ?? ''))}
                >
                  Use
                </Action>
                <Action
                  accessibilityLabel={`Remove ${c.name}`}
                  onPress={() => change((j) => withoutVariant(j, c.id ?? ''))}
                >
                  Remove
                </Action>
              </>
            )}
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  cell: { paddingVertical: SPACE.gap },
});
