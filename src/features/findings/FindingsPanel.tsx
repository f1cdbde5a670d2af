import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { CAUSES } from '@/core/causes/knowledge';
import type { CauseId } from '@/core/causes/cause';
import {
  DECISION_WORD,
  decisionText,
  PART_NAME,
  READY_FINDINGS,
  withFinding,
  withoutFinding,
} from '@/core/findings';
import { MAX_LINES } from '@/core/job/fields';
import type { Finding } from '@/core/job/record/findings';
import { omit } from '@/core/omit';
import { countOf } from '@/core/text/countOf';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice, optionsOf, Toggles } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { flow } from '@/ui/flow';
import { Panel } from '@/ui/Panel';
import { Words } from '@/ui/Words';

const MAX_TEXT = 400;
const NONE: readonly Finding[] = [];

/** What was found on any part, in free words, with photographs and a decision. At the foot of every stage. */
export function FindingsPanel() {
  const findings = useJobPart((job) => job.findings) ?? NONE;
  const change = useEditJob();
  const add = (part: Pick<Finding, 'part' | 'text' | 'cause'>) =>
    change((j) =>
      withFinding(j, { id: nanoid(8), decision: 'watch', agreed: '', photoIds: [], ...part }),
    );
  return (
    <Panel
      level={2}
      title="Findings"
      summary={
        findings.length === 0
          ? 'On any part, in your own words'
          : countOf(findings.length, 'finding')
      }
    >
      {findings.map((f) => (
        <FindingFields key={f.id} finding={f} />
      ))}
      {findings.length < MAX_LINES ? (
        <View style={flow.wrap}>
          <Action icon="plus" onPress={() => add({ part: 'other', text: '' })}>
            Add finding
          </Action>
          {READY_FINDINGS.map((ready) => (
            <Action key={`${ready.part}${ready.text}`} onPress={() => add(ready)}>
              {`${PART_NAME[ready.part]}: ${ready.text.split(':')[0]?.toLowerCase() ?? ''}`}
            </Action>
          ))}
        </View>
      ) : null}
    </Panel>
  );
}

const CAUSE_NAMES = Object.entries(CAUSES).map(([value, { name }]) => ({
  value: value as CauseId,
  label: name,
}));

function FindingFields({ finding: f }: { readonly finding: Finding }) {
  const change = useEditJob();
  const photos = useJobPart((job) => job.photos);
  const set = (part: Partial<Finding>, typing?: string) =>
    change((j) => withFinding(j, { ...f, ...part }), { typing });
  return (
    <Panel title={PART_NAME[f.part]} summary={decisionText(f)} initiallyOpen={f.text === ''}>
      <Choice
        label="Part"
        value={f.part}
        options={optionsOf(PART_NAME)}
        onChange={(part) => set({ part })}
      />
      <Field
        label="Finding"
        autoFocus={f.text === ''}
        value={f.text}
        maxLength={MAX_TEXT}
        onChangeText={(text) => set({ text }, `finding.${f.id}.text`)}
      />
      <Choice
        label="Decision"
        value={f.decision}
        options={optionsOf(DECISION_WORD)}
        onChange={(decision) => set({ decision })}
      />
      <Field
        label="Cost or agreement"
        value={f.agreed}
        maxLength={MAX_TEXT}
        onChangeText={(agreed) => set({ agreed }, `finding.${f.id}.agreed`)}
      />
      {photos.length > 0 ? (
        <Toggles
          label="Photographs"
          chosen={f.photoIds}
          options={photos.map((p, i) => ({ value: p.id, label: p.caption || `Photo ${i + 1}` }))}
          onToggle={(id) =>
            set({
              photoIds: f.photoIds.includes(id)
                ? f.photoIds.filter((x) => x !== id)
                : [...f.photoIds, id],
            })
          }
        />
      ) : (
        <Words soft size={14}>
          Photographs are taken at Strip, and chosen here.
        </Words>
      )}
      <Panel
        title="Weight for the causes"
        summary={
          f.cause ? `${f.against ? 'Against' : 'For'}: ${CAUSES[f.cause].name}` : 'None given'
        }
      >
        <Choice
          label="Cause"
          value={f.cause ?? ''}
          options={CAUSE_NAMES}
          onChange={(cause) => {
            if (cause !== '') set({ cause });
          }}
        />
        <Choice
          label="Evidence"
          value={f.against ? 'against' : 'for'}
          options={[
            { value: 'for', label: 'For the cause' },
            { value: 'against', label: 'Against the cause' },
          ]}
          onChange={(side) => set({ against: side === 'against' })}
        />
        {f.cause ? (
          <Action onPress={() => change((j) => withFinding(j, omit(f, 'cause')))}>
            Take the weight back
          </Action>
        ) : null}
      </Panel>
      <Action icon="close" onPress={() => change((j) => withoutFinding(j, f.id))}>
        Remove finding
      </Action>
    </Panel>
  );
}
