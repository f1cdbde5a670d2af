import { router } from 'expo-router';
import { useState } from 'react';
import { useController } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import type { FieldPath } from '@/core/job/fieldPath';
import { STAGE_NAME } from '@/core/job/words';
import type { OpenItem } from '@/core/signoff/openItem';
import { openItems } from '@/core/signoff/openItems';
import { withReason, signed } from '@/core/signoff/revisions';
import { useUnits } from '@/features/display/useUnits';
import { hasPlace, useFocusField, useGoToField } from '@/features/entry/askedFor';
import { useKeptForm } from '@/features/entry/useKeptForm';
import type { SchemaParts } from '@/files/formSchema';
import { useEditJob } from '@/state/jobs/editJob';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useDrafts, useJob } from '@/state/jobs/useJob';
import { reportFault } from '@/storage/faults';
import { BenchName } from '@/features/worksheet/BenchName';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useRuled } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

const signature = ({ Joi, nameText }: SchemaParts) =>
  Joi.object<{ by: string }>({ by: nameText('Enter the name of the signer.') });

/** Items that block the signature, each with its fix or a written reason, and the signature. */
export function SignPanel() {
  const job = useJob();
  const drafts = useDrafts();
  const change = useEditJob();
  const { control, submit } = useKeptForm(`${job.id}.sign`, { by: job.work.by }, signature);
  const { field, fieldState } = useController({ control, name: 'by' });
  const [refused, setRefused] = useState<string>();
  const unfinished = Object.keys(drafts) as FieldPath[];
  const items = openItems(job, unfinished, evaluationOf(job));
  const open = items.filter((i) => !i.override).length;
  const number = (job.signOff.revisions.at(-1)?.number ?? 0) + 1;
  const sign = submit(async ({ by }) => {
    const { digestOf } = await import('@/files/jsonFiles');
    try {
      change((j) => signed(j, by, new Date().toISOString(), digestOf, unfinished));
    } catch (error) {
      setRefused(reportFault('The job was not signed', error));
    }
  });
  return (
    <View style={flow.sections}>
      <View style={flow.lines}>
        <Heading level={2}>Sign-off</Heading>
        <Words soft size={15}>
          {items.length === 0
            ? 'No open items.'
            : open === 0
              ? `No open items except those signed with a reason (${items.length}).`
              : `${countOf(open, 'open item')}. ${open === 1 ? 'Fix it' : 'Fix each'}, or sign with a reason. The reason is printed.`}
        </Words>
        {job.signOff.reopened === undefined ? null : (
          <Words size={15}>{`Reopened: ${job.signOff.reopened}`}</Words>
        )}
      </View>
      <View role="list" aria-label="Open items">
        {items.map((item) => (
          <ItemRow key={item.id} item={item} />
        ))}
      </View>
      <BenchName
        label="Signed by"
        value={field.value ?? ''}
        message={fieldState.error?.message}
        onChange={field.onChange}
      />
      <Action
        main
        icon="check"
        blocked={open > 0 ? 'Fix each open item, or give a reason.' : undefined}
        testID="sign"
        onPress={() => void sign()}
      >
        {`Sign revision ${number}`}
      </Action>
      <View role="alert">{refused ? <Words>{refused}</Words> : null}</View>
      <Words soft size={14}>
        A signature freezes this record. It does not say that the machine is safe: the maker’s
        manual, local rules and a licensed mechanic take precedence.
      </Words>
    </View>
  );
}

/** The reason that is most often given. */
const AGREED = 'Agreed with the customer.';

/** One open item: its stage, and the reason to sign anyway. */
function ItemRow({ item }: { readonly item: OpenItem }) {
  const ruled = useRuled();
  const units = useUnits();
  const change = useEditJob();
  const [writing, setWriting] = useState(false);
  const goToField = useGoToField();
  const focusField = useFocusField();
  const by = useJob().work.by;
  const reason = item.override?.reason ?? '';
  const said = readSentence(item.sentence);
  return (
    <View role="listitem" style={[ruled, styles.item]}>
      <View style={flow.row}>
        <StateMark state={item.override ? 'watch' : item.kind === 'measure' ? 'unknown' : 'stop'} />
        <View style={flow.shrink}>
          <Words bold>{item.title}</Words>
          <Words size={15}>{readSentence(item.sentence, units)}</Words>
        </View>
      </View>
      {writing || item.override ? (
        <Field
          alone
          label="Reason for signing"
          value={reason}
          maxLength={400}
          onChangeText={(text) =>
            change(
              (j) =>
                withReason(j, {
                  itemId: item.id,
                  said,
                  reason: text,
                  by,
                  at: new Date().toISOString(),
                }),
              { typing: `override.${item.id}` },
            )
          }
        />
      ) : null}
      <View style={flow.wrap}>
        <Action
          icon="chevron-right"
          onPress={() => {
            if (item.path && hasPlace(item.path)) goToField(item.path);
            else {
              router.setParams({ stage: item.stage, step: item.step, tab: undefined });
              if (item.path) focusField(item.path);
            }
          }}
        >
          {`Go to ${STAGE_NAME[item.stage]}`}
        </Action>
        {writing || item.override ? null : (
          <>
            <Action icon="pencil-outline" onPress={() => setWriting(true)}>
              Sign with a reason
            </Action>
            {/* What is simply not done yet is no matter of agreement. */}
            {item.kind === 'step' || item.kind === 'measure' ? null : (
              <Action
                icon="check"
                accessibilityLabel={`Agreed with the customer: ${item.title}`}
                onPress={() =>
                  change((j) =>
                    withReason(j, {
                      itemId: item.id,
                      said,
                      reason: AGREED,
                      by,
                      at: new Date().toISOString(),
                    }),
                  )
                }
              >
                Agreed with the customer
              </Action>
            )}
          </>
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  item: { paddingVertical: SPACE.gap, gap: SPACE.gap },
});
