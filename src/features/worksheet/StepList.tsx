import { nanoid } from '@reduxjs/toolkit';
import { useLocalSearchParams } from 'expo-router';
import type { ReactNode } from 'react';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon, TouchableRipple } from 'react-native-paper';

import { MAX_OWN_STEPS } from '@/core/job/fields';
import type { WorkStage } from '@/core/job/work';
import { lowerFirst } from '@/core/text/sentence';
import type { ChecklistLine } from '@/core/worksheet/line';
import type { SheetStep } from '@/core/worksheet/worksheet';
import {
  familyOf,
  isOpen,
  ownStepAdded,
  stepMarked,
  isWaiting,
  stepsMarkedTo,
  stepsOf,
  templateApplied,
  templateOf,
} from '@/core/worksheet/worksheet';
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

interface DoneProps {
  readonly stage: WorkStage;
  /** Ends with the last step to mark. */
  readonly steps: readonly SheetStep[];
  readonly words: string;
  /** The list it belongs to, for the screen reader. */
  readonly of: string;
}

/** Everything up to a step as done; a reading waits for its value, a check for its outcome unless all were passed. */
function DoneToHere({ stage, steps, words, of }: DoneProps) {
  const change = useEditJob();
  const last = steps.at(-1)?.line.key ?? '';
  const mark = (checks: boolean) =>
    change((j) => stepsMarkedTo(j, stage, last, new Date().toISOString(), checks));
  const open = steps.filter(isWaiting);
  return (
    <View style={flow.wrap}>
      {open.some((s) => !s.line.test) ? (
        <Action icon="check" accessibilityLabel={`${words}: ${of}`} onPress={() => mark(false)}>
          {words}
        </Action>
      ) : null}
      {open.some((s) => s.line.test) ? (
        <Action
          icon="check"
          accessibilityLabel={`${words}, all checks OK: ${of}`}
          onPress={() => mark(true)}
        >
          {`${words}, all checks OK`}
        </Action>
      ) : null}
    </View>
  );
}

/**
 * The section with the step given in the address, which is scrolled into view and gets the cursor.
 * @returns its name, undefined without one
 */
function useRequestedStep(sections: readonly StepSection[]): string | undefined {
  const { step: wanted } = useLocalSearchParams<{ step?: string }>();
  const isWanted = ({ line }: SheetStep) =>
    wanted !== undefined && (line.key === wanted || line.tool === wanted);
  const section = sections.find((s) => s.steps.some(isWanted));
  const key = section?.steps.find(isWanted)?.line.key;
  useEffect(() => {
    if (key === undefined) return;
    const box = document.querySelector<HTMLElement>(`[data-testid="step-${CSS.escape(key)}"]`);
    box?.scrollIntoView({ block: 'center' });
    // The reading that is asked for, else the box itself.
    const row = box?.closest('[role="listitem"]');
    (row?.querySelector<HTMLElement>('input') ?? box)?.focus({ preventScroll: true });
  }, [key]);
  return section?.name;
}

/** Optional steps count only once done. */
const isRequired = (step: SheetStep): boolean => !step.line.optional || step.state !== 'open';

/** Ticked without the required reading or count. */
const isReadingMissing = ({ line, state }: SheetStep): boolean =>
  line.unread === true && state === 'done';

interface StepSection {
  readonly name: string;
  readonly steps: readonly SheetStep[];
  /** Steps before it. */
  readonly from: number;
}

/** Steps under their headings, in order; a heading that comes again later is a section of its own. */
function sectionsOf(steps: readonly SheetStep[]): StepSection[] {
  const sections: { name: string; steps: SheetStep[]; from: number }[] = [];
  steps.forEach((step, i) => {
    const last = sections.at(-1);
    const again = sections.filter((s) => s.steps[0]?.line.section === step.line.section).length;
    if (last && last.steps[0]?.line.section === step.line.section) last.steps.push(step);
    else
      sections.push({
        name: again > 0 ? `${step.line.section}, ${again + 1}` : step.line.section,
        steps: [step],
        from: i,
      });
  });
  return sections;
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
