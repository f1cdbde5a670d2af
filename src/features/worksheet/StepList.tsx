import { nanoid } from '@reduxjs/toolkit';
import type { ReactNode } from 'react';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon, TouchableRipple } from 'react-native-paper';
import { MAX_OWN_STEPS } from '@/core/job/fields';
import type { WorkStage } from '@/core/job/work';
import { lowerFirst } from '@/core/text/sentence';
import type { ChecklistLine } from '@/core/worksheet/line';
import { familyOf, ownStepAdded, templateApplied, templateOf } from '@/core/worksheet/edits';
import { isOpen, stepMarked, stepsOf } from '@/core/worksheet/worksheet';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { StateMark } from '@/ui/StateMark';
import { useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';
import { BenchName } from './BenchName';
import { StepEdit } from './StepEdit';
import { StepRow } from './StepRow';
import { templateActions, templateKey } from '@/state/templatesSlice';
import { flow } from '@/ui/flow';
import { DoneToHere } from './DoneToHere';
import { isReadingMissing, isRequired, sectionsOf } from './sections';
import type { StepSection } from './sections';
import { useRequestedStep } from './useRequestedStep';

interface Props {
  readonly stage: WorkStage;
  readonly title: string;
  /** Tool shown at a step. */
  readonly tool: (line: ChecklistLine) => ReactNode;
  /** Called with the plate that comes next, so that the section shows it. */
  readonly onPlate?: (plateId: string) => void;
}

/** The worksheet of a stage: every step with its box, in the order of the work; changed and kept as the shop's own. */
export function StepList({ stage, title, tool, onPlate }: Props) {
  const job = useJob();
  const change = useEditJob();
  const [editing, setEditing] = useState(false);
  // The worker's name is asked once, then a line until the checklist is edited.
  const [named] = useState(job.work.by.trim() === '');
  const steps = stepsOf(job, stage);
  const needed = steps.filter(isRequired);
  const done = needed.filter((s) => !isOpen(s)).length;
  const sections = sectionsOf(steps);
  const current =
    sections.find((s) => s.steps.some(isOpen))?.name ??
    sections.find((s) => s.steps.some(isReadingMissing))?.name ??
    '';
  // Sections without a required step come last; while editing the order is that of the checklist.
  const needsWork = ({ steps: those }: StepSection) => those.some(isRequired);
  const shown = editing
    ? sections
    : [...sections.filter(needsWork), ...sections.filter((s) => !needsWork(s))];
  // The current section opens automatically; an open one closes only by hand.
  const [opened, setOpened] = useState<Readonly<Record<string, boolean>>>({ [current]: true });
  if (opened[current] === undefined) setOpened({ ...opened, [current]: true });
  const sent = useRequestedStep(sections);
  if (sent !== undefined && opened[sent] === undefined) setOpened({ ...opened, [sent]: true });
  // The steps as they were drawn last, for a function that stays the same.
  const drawn = useRef(steps);
  useEffect(() => {
    drawn.current = steps;
  });
  const toggle = (key: string, wasDone: boolean) => {
    change((j) => stepMarked(j, stage, key, !wasDone, new Date().toISOString()));
    const at = drawn.current.findIndex((s) => s.line.key === key);
    if (wasDone || drawn.current[at]?.line.plateId === undefined) return;
    const next = drawn.current.slice(at + 1).find((s) => s.line.plateId !== undefined);
    if (next?.line.plateId !== undefined) onPlate?.(next.line.plateId);
  };
  return (
    <View style={flow.stack}>
      <View style={flow.wrapLine}>
        <View style={styles.grow}>
          <Heading level={2}>{title}</Heading>
          <Words soft size={14}>
            {steps.length === 0
              ? 'Nothing to do on this clutch'
              : needed.length === 0
                ? 'Nothing required'
                : `${String(done)} of ${String(needed.length)} done`}
          </Words>
        </View>
        <Action icon={editing ? 'check' : 'pencil-outline'} onPress={() => setEditing(!editing)}>
          {editing ? 'Done' : 'Edit checklist'}
        </Action>
      </View>
      {editing || named ? (
        <BenchName
          label="Bench"
          value={job.work.by}
          onChange={(by) =>
            change((j) => ({ ...j, work: { ...j.work, by } }), { typing: 'work.by' })
          }
        />
      ) : (
        <Words soft size={14}>
          Bench: {job.work.by}
        </Words>
      )}
      {editing ? <Templates stage={stage} /> : null}
      {shown.map(({ name, steps: those, from }) => {
        const left = those.filter(isOpen).length;
        const open = editing || opened[name] === true;
        return (
          <View key={name}>
            <SectionHead
              name={name}
              open={open}
              left={left}
              unwritten={those.some(isReadingMissing)}
              count={those.filter(isRequired).length}
              onPress={() => setOpened((all) => ({ ...all, [name]: !open }))}
            />
            {open ? (
              <View role="list" aria-label={`${title}: ${name}`}>
                {those.map((step, i) => (
                  <View key={step.line.key} role="listitem">
                    {editing ? (
                      <StepEdit step={step} stage={stage} number={from + i + 1} />
                    ) : (
                      <StepRow step={step} stage={stage} onToggle={toggle} tool={tool(step.line)} />
                    )}
                  </View>
                ))}
              </View>
            ) : null}
            {open && !editing && left > 0 ? (
              <DoneToHere stage={stage} steps={those} words="Done to here" of={name} />
            ) : null}
          </View>
        );
      })}
      {!editing && steps.filter(isOpen).length > 1 ? (
        <DoneToHere stage={stage} steps={needed} words="Mark all done" of={title} />
      ) : null}
      {editing && job.work[stage].own.length < MAX_OWN_STEPS ? (
        <Action
          icon="plus"
          onPress={() => change((j) => ownStepAdded(j, stage, { id: nanoid(8), text: '' }))}
        >
          Add own step
        </Action>
      ) : null}
    </View>
  );
}

interface HeadProps {
  readonly name: string;
  readonly open: boolean;
  readonly left: number;
  /** All is ticked, but not all written. */
  readonly unwritten: boolean;
  readonly count: number;
  readonly onPress: () => void;
}

/** A heading of the sheet with how far it has come; opens and shuts its steps. */
function SectionHead({ name, open, left, unwritten, count, onPress }: HeadProps) {
  const strata = useStrata();
  const status =
    count === 0
      ? 'Not required'
      : left > 0
        ? `${left} of ${count} open`
        : unwritten
          ? 'Reading missing'
          : count === 1
            ? 'Done'
            : `All ${count} done`;
  return (
    <TouchableRipple
      role="button"
      aria-expanded={open}
      aria-label={`${name}: ${lowerFirst(status)}`}
      onPress={onPress}
      style={[styles.place, { borderColor: strata.line }]}
    >
      <View style={flow.line}>
        <StateMark
          state={left > 0 || count === 0 ? 'unknown' : unwritten ? 'watch' : 'good'}
          size={20}
        />
        <View style={flow.grow}>
          <Heading level={3}>{name}</Heading>
          <Words soft size={14}>
            {status}
          </Words>
        </View>
        <Icon source={open ? 'chevron-up' : 'chevron-down'} size={24} color={strata.slate} />
      </View>
    </TouchableRipple>
  );
}

/** Keeping this sheet as the shop's own for its family, and taking that up. */
function Templates({ stage }: { readonly stage: WorkStage }) {
  const job = useJob();
  const change = useEditJob();
  const dispatch = useAppDispatch();
  const key = templateKey(familyOf(job), stage);
  const template = useAppSelector((state) => state.templates[key]);
  return (
    <View style={flow.stack}>
      <Words soft size={15}>
        Standard steps can be moved, or skipped with a reason. Your own steps can be added anywhere.
        {template ? ' Your shop has its own checklist for this clutch type.' : ''}
      </Words>
      <View style={flow.wrap}>
        <Action
          icon="tray-arrow-down"
          onPress={() =>
            dispatch(templateActions.templateKept({ key, template: templateOf(job.work[stage]) }))
          }
        >
          {template ? 'Replace it with this one' : 'Save as shop checklist'}
        </Action>
        {template ? (
          <>
            <Action
              icon="download"
              onPress={() => change((j) => templateApplied(j, stage, template))}
            >
              Use shop checklist
            </Action>
            <Action icon="close" onPress={() => dispatch(templateActions.templateDropped(key))}>
              Delete shop checklist
            </Action>
          </>
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  grow: { flexGrow: 1, flexShrink: 1, minWidth: 120 },
  place: { minHeight: 56, justifyContent: 'center', borderTopWidth: 2 },
});
