import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { MAX_READINGS } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import type { Job } from '@/core/job/types';
import { turningText } from '@/core/setting/adjuster';
import { gainAdvice, adjusterPosition, turnedBy } from '@/core/setting/plans';
import { useFocusField } from '@/features/entry/askedFor';
import { useHeads } from '@/features/entry/useHeads';
import { ReadingSets } from '@/features/readings/ReadingSets';
import { EntryField } from '@/features/entry/EntryField';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { useEditJob } from '@/state/jobs/editJob';
import { useEvaluation } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { FieldRow, FieldTable } from '@/ui/FieldTable';
import { Heading } from '@/ui/Words';
import { flow } from '@/ui/flow';

const withReading = (job: Job, id: string, turns: number | undefined): Job => ({
  ...job,
  setting: {
    ...job.setting,
    readings: [
      ...job.setting.readings,
      { id, ...(turns === undefined ? {} : { turns: { value: turns } }) },
    ],
  },
});

/** The next field gets the focus: the adjuster position, unless known. */
const nextField = (id: string, turns: number | undefined) =>
  fieldPath(`setting.readings.*.${turns === undefined ? 'turns' : 'gain'}`, id);

const ENGINE = [
  { value: 'warm', label: 'Warm' },
  { value: 'cold', label: 'Cold' },
] as const;

/** Lever gain as it was read at each setting of the adjuster, and how far to turn from the last. */
export function GainReadings() {
  const job = useJob();
  const { readings } = job.setting;
  const { figures } = useEvaluation();
  const change = useEditJob();
  const focusField = useFocusField();
  const heads = useHeads([
    ['Turns', 'setting.readings.any.turns'],
    ['Gain', 'setting.readings.any.gain'],
  ]);
  const ratio = figures.get('overallRatio');
  const advice = gainAdvice(job, ratio?.status === 'known' ? ratio.value : undefined);
  const last = readings.at(-1)?.turns?.value;
  const turned =
    advice && advice.turning.direction !== 'leave' && last !== undefined ? advice : undefined;
  return (
    <>
      <Heading level={3}>Lever gain readings</Heading>
      {readings.length > 0 ? (
        <FieldTable label="Gain readings" heads={[...heads, 'Engine']}>
          {readings.map((r, i) => (
            <FieldRow
              key={r.id}
              name={`Gain reading ${i + 1}`}
              removeLabel={`Remove reading ${i + 1}`}
              onRemove={() =>
                change((j) => ({
                  ...j,
                  setting: {
                    ...j.setting,
                    readings: j.setting.readings.filter((x) => x.id !== r.id),
                  },
                }))
              }
            >
              <EntryField
                cell
                label="Adjuster, turns"
                path={fieldPath('setting.readings.*.turns', r.id)}
              />
              <EntryField cell label="Gain" path={fieldPath('setting.readings.*.gain', r.id)} />
              <Choice
                bare
                label={`Engine at reading ${i + 1}`}
                value={r.engine ?? 'warm'}
                options={ENGINE}
                onChange={(engine) =>
                  change((j) => ({
                    ...j,
                    setting: {
                      ...j.setting,
                      readings: j.setting.readings.map((x) =>
                        x.id === r.id ? { ...x, engine } : x,
                      ),
                    },
                  }))
                }
              />
            </FieldRow>
          ))}
        </FieldTable>
      ) : null}
      <ReadingSets kind="gain" />
      <VerdictLine id="gain" />
      {readings.length < MAX_READINGS ? (
        <View style={flow.wrap}>
          {turned ? (
            <Action
              main
              icon="check"
              onPress={() => {
                const id = nanoid(10);
                change((j) => withReading(turnedBy(j, turned.turning), id, turned.turns));
                focusField(nextField(id, turned.turns));
              }}
            >
              {`Turned ${turned.turning.direction === 'open' ? 'out' : 'in'} ${turningText(turned.turning)}: next reading`}
            </Action>
          ) : null}
          <Action
            icon="plus"
            onPress={() => {
              const at = adjusterPosition(job);
              const id = nanoid(10);
              change((j) => withReading(j, id, at));
              focusField(nextField(id, at));
            }}
          >
            Add gain reading
          </Action>
        </View>
      ) : null}
    </>
  );
}
