import { nanoid } from '@reduxjs/toolkit';
import type { ReactNode } from 'react';
import { useCallback, useState } from 'react';
import { View } from 'react-native';

import { MAX_OWN_STEPS, MAX_NAME } from '@/core/job/fields';
import type { WorkStage } from '@/core/job/work';
import type { SheetLine } from '@/core/worksheet/line';
import {
  familyOf,
  isOpen,
  ownStepAdded,
  stepMarked,
  stepsOf,
  templateApplied,
  templateOf,
} from '@/core/worksheet/worksheet';
import { useChangeJob } from '@/features/jobs/changeJob';
import { useJob } from '@/features/jobs/useJob';
import { useAppDispatch, useAppSelector } from '@/store/store';
import { Action } from '@/ui/Action';
import { LineField } from '@/ui/LineField';
import { Heading, Words } from '@/ui/Words';

import { EditRow } from './EditRow';
import { StepRow } from './StepRow';
import { templateActions, templateKey } from './templatesSlice';

interface Props {
  readonly stage: WorkStage;
  readonly title: string;
  /** What stands at a line besides its words. */
  readonly tool: (line: SheetLine) => ReactNode;
  /** Called with the plate that comes next, so that the section shows it. */
  readonly onPlate?: (plateId: string) => void;
}

/** The worksheet of a stage: every step with its box, in the order of the work; changed and kept as the shop's own. */
export function StepList({ stage, title, tool, onPlate }: Props) {
  const job = useJob();
  const change = useChangeJob();
  const [editing, setEditing] = useState(false);
  const steps = stepsOf(job, stage);
  const done = steps.filter((s) => !isOpen(s)).length;
  const toggle = useCallback(
    (key: string, wasDone: boolean) => {
      change((j) => stepMarked(j, stage, key, !wasDone, new Date().toISOString()));
      if (!onPlate || wasDone) return;
      const at = steps.findIndex((s) => s.line.key === key);
      const next = steps.slice(at + 1).find((s) => s.line.plateId !== undefined);
      if (next?.line.plateId !== undefined && steps[at]?.line.plateId !== undefined)
        onPlate(next.line.plateId);
    },
    [change, stage, steps, onPlate],
  );
  return (
    <View style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8, flexWrap: 'wrap' }}>
        <View style={{ flexGrow: 1, flexShrink: 1, minWidth: 120 }}>
          <Heading level={2}>{title}</Heading>
          <Words soft size={14}>
            {String(done)} of {String(steps.length)} settled
          </Words>
        </View>
        <Action icon={editing ? 'check' : 'pencil-outline'} onPress={() => setEditing(!editing)}>
          {editing ? 'Done changing' : 'Change the sheet'}
        </Action>
      </View>
      <LineField
        label="At the bench"
        value={job.work.by}
        maxLength={MAX_NAME}
        onChangeText={(by) => change((j) => ({ ...j, work: { ...j.work, by } }), 'work.by')}
      />
      {editing ? <Templates stage={stage} /> : null}
      <View role="list" aria-label={`Steps: ${title}`}>
        {steps.map((step, i) => {
          const heading = step.line.section !== steps[i - 1]?.line.section;
          return (
            <View key={step.line.key} role="listitem">
              {heading ? (
                <Heading level={3} style={{ marginTop: i === 0 ? 4 : 18, marginBottom: 4 }}>
                  {step.line.section}
                </Heading>
              ) : null}
              {editing ? (
                <EditRow step={step} stage={stage} number={i + 1} />
              ) : (
                <StepRow step={step} stage={stage} onToggle={toggle} tool={tool(step.line)} />
              )}
            </View>
          );
        })}
      </View>
      {editing && job.work[stage].own.length < MAX_OWN_STEPS ? (
        <Action
          icon="plus"
          onPress={() => change((j) => ownStepAdded(j, stage, { id: nanoid(8), text: '' }))}
        >
          A step of our own
        </Action>
      ) : null}
    </View>
  );
}

/** Keeping this sheet as the shop's own for its family, and taking that up. */
function Templates({ stage }: { readonly stage: WorkStage }) {
  const job = useJob();
  const change = useChangeJob();
  const dispatch = useAppDispatch();
  const key = templateKey(familyOf(job), stage);
  const template = useAppSelector((state) => state.templates[key]);
  return (
    <View style={{ gap: 8 }}>
      <Words soft size={15}>
        Steps of the core can be moved and left out with a reason; your own can be added anywhere.
        {template ? ' Your shop has a sheet of its own for this family of clutch.' : ''}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Action
          icon="content-save-outline"
          onPress={() =>
            dispatch(templateActions.templateKept({ key, template: templateOf(job.work[stage]) }))
          }
        >
          {template ? 'Keep this one in its place' : 'Keep for this family'}
        </Action>
        {template ? (
          <>
            <Action
              icon="download"
              onPress={() => change((j) => templateApplied(j, stage, template))}
            >
              Use our own sheet
            </Action>
            <Action icon="close" onPress={() => dispatch(templateActions.templateDropped(key))}>
              Forget it
            </Action>
          </>
        ) : null}
      </View>
    </View>
  );
}
