import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { View } from 'react-native';
import { IconButton } from 'react-native-paper';

import { fieldPath, MAX_LINES, MAX_NOTES } from '@/core/job/fields';
import type { Job, SmallPart, StripStep } from '@/core/job/types';
import { releasedBy } from '@/core/release/way';
import { isOfAnotherClutch, refitted } from '@/core/strip/refit';
import { smallParts, stripLines } from '@/core/strip/stripList';
import { CountField } from '@/features/entry/CountField';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import { useChangeJob } from '@/features/jobs/changeJob';
import { useJob } from '@/features/jobs/useJob';
import { ExpandingFitted, ReleaseWay, SpringFamily } from '@/features/pack/BuildChoices';
import { PhotoPanel } from '@/features/photos/PhotoPanel';
import { Action } from '@/ui/Action';
import { CheckRow } from '@/ui/CheckRow';
import { Later } from '@/ui/Later';
import { LineField } from '@/ui/LineField';
import { Panel } from '@/ui/Panel';
import { useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { FoundOrder } from './FoundOrder';
import { withWhatWasFound } from './packAsFound';

/** Strip: what comes off in which order, what is counted, and how the plates lay. */
export function StripStage() {
  const job = useJob();
  const change = useChangeJob();
  const { strip } = job;
  const setStrip = (part: (strip: Job['strip']) => Partial<Job['strip']>) =>
    change((j) => ({ ...j, strip: { ...j.strip, ...part(j.strip) } }));
  return (
    <StagePage>
      <ThisClutch job={job} onRefit={() => setStrip(() => refitted(job, () => nanoid(8)))} />
      <StripList
        steps={strip.steps}
        onChange={(next) => setStrip((s) => ({ steps: next(s.steps) }))}
        onMake={() =>
          change((j) => ({
            ...j,
            strip: {
              ...j.strip,
              steps: stripLines(j).map((l) => ({ ...l, id: nanoid(8), done: false })),
            },
          }))
        }
      />
      <Later>
        <PartsOut
          parts={strip.parts}
          onChange={(next) => setStrip((s) => ({ parts: next(s.parts) }))}
          onMake={() =>
            change((j) => ({
              ...j,
              strip: { ...j.strip, parts: smallParts(j).map((p) => ({ ...p, id: nanoid(8) })) },
            }))
          }
        />
        <FoundOrder />
        <LineField
          label="Notes while stripping"
          value={strip.notes}
          maxLength={MAX_NOTES}
          multiline
          onChangeText={(notes) => setStrip(() => ({ notes }))}
        />
        <PhotoPanel />
        <StageDone stage="strip" alsoDone={withWhatWasFound} />
      </Later>
    </StagePage>
  );
}

const FAMILY_SHORT = { coil: 'Coil springs', diaphragm: 'Diaphragm', loose: 'Loose springs' };
const RELEASE_SHORT = {
  hydraulic: 'hydraulics',
  cable: 'cable',
  measured: 'lift by a dial',
  pedal: 'shift pedal',
};

interface ThisClutchProps {
  readonly job: Job;
  readonly onRefit: () => void;
}

/** What the lists are made from, asked where it is first seen; folded once they are made. */
function ThisClutch({ job, onRefit }: ThisClutchProps) {
  const choices = (
    <>
      <SpringFamily label="Its springs" />
      <ReleaseWay seen label="Worked by" />
      <ExpandingFitted label="Expanding disc" />
    </>
  );
  const { springs, release, expanding, strip } = job;
  if (strip.steps.length + strip.parts.length === 0) {
    return (
      <View style={{ gap: 8 }}>
        <Heading level={2}>This clutch</Heading>
        {choices}
      </View>
    );
  }
  return (
    <>
      <Panel
        title="This clutch"
        level={2}
        summary={[
          FAMILY_SHORT[springs.type],
          RELEASE_SHORT[releasedBy(job) === 'pedal' ? 'pedal' : release.type],
          ...(expanding.fitted ? ['expanding disc'] : []),
        ].join(', ')}
      >
        {choices}
      </Panel>
      {isOfAnotherClutch(job) ? (
        <View role="status" style={{ gap: 8 }}>
          <Words>The lists below were made for another clutch than this.</Words>
          <Action icon="check" onPress={onRefit}>
            Bring the lists to this clutch
          </Action>
        </View>
      ) : null}
    </>
  );
}

interface StepsProps {
  readonly steps: readonly StripStep[];
  readonly onChange: (change: (steps: readonly StripStep[]) => readonly StripStep[]) => void;
  readonly onMake: () => void;
}

function StripList({ steps, onChange, onMake }: StepsProps) {
  const [editing, setEditing] = useState(false);
  const done = steps.filter((s) => s.done).length;
  if (steps.length === 0) {
    return (
      <View style={{ gap: 8 }}>
        <Heading level={2}>Taking it apart</Heading>
        <Words soft>
          A list made from this clutch: its springs, its release, what turns with it. Change it as
          you like.
        </Words>
        <Action main icon="plus" onPress={onMake}>
          Make the list for this clutch
        </Action>
      </View>
    );
  }
  const move = (index: number, by: number) =>
    onChange((all) => {
      const next = [...all];
      const [step] = next.splice(index, 1);
      if (step) next.splice(index + by, 0, step);
      return next;
    });
  return (
    <View style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <View style={{ flexGrow: 1, flexShrink: 1 }}>
          <Heading level={2}>Taking it apart</Heading>
          <Words soft size={14}>
            {String(done)} of {String(steps.length)} done
          </Words>
        </View>
        <Action icon={editing ? 'check' : 'pencil-outline'} onPress={() => setEditing(!editing)}>
          {editing ? 'Done changing' : 'Change the list'}
        </Action>
      </View>
      <View role="list" aria-label="Steps of taking it apart">
        {steps.map((step, i) =>
          editing ? (
            <View
              key={step.id}
              role="listitem"
              style={{ flexDirection: 'row', alignItems: 'flex-end' }}
            >
              <View style={{ flexGrow: 1, flexShrink: 1 }}>
                <LineField
                  label={`Step ${i + 1}`}
                  value={step.text}
                  maxLength={400}
                  onChangeText={(text) =>
                    onChange((all) => all.map((s) => (s.id === step.id ? { ...s, text } : s)))
                  }
                />
              </View>
              <IconButton
                icon="arrow-up"
                aria-label={`Move step ${i + 1} up`}
                disabled={i === 0}
                style={{ width: 44, height: 48, margin: 0 }}
                onPress={() => move(i, -1)}
              />
              <IconButton
                icon="close"
                aria-label={`Take step ${i + 1} out`}
                style={{ width: 44, height: 48, margin: 0 }}
                onPress={() => onChange((all) => all.filter((s) => s.id !== step.id))}
              />
            </View>
          ) : (
            <StepRow
              key={step.id}
              step={step}
              onToggle={() =>
                onChange((all) => all.map((s) => (s.id === step.id ? { ...s, done: !s.done } : s)))
              }
            />
          ),
        )}
      </View>
      {editing && steps.length < MAX_LINES ? (
        <Action
          icon="plus"
          onPress={() => onChange((all) => [...all, { id: nanoid(8), text: '', done: false }])}
        >
          Another step
        </Action>
      ) : null}
    </View>
  );
}

function StepRow({ step, onToggle }: { readonly step: StripStep; readonly onToggle: () => void }) {
  const strata = useStrata();
  return (
    <View role="listitem" style={{ borderTopWidth: 1, borderColor: strata.line }}>
      <CheckRow text={step.text} watch={step.watch} done={step.done} onToggle={onToggle} />
    </View>
  );
}

interface PartsProps {
  readonly parts: readonly SmallPart[];
  readonly onChange: (change: (parts: readonly SmallPart[]) => readonly SmallPart[]) => void;
  readonly onMake: () => void;
}

function PartsOut({ parts, onChange, onMake }: PartsProps) {
  return (
    <View style={{ gap: 8 }}>
      <Heading level={2}>Small parts, counted out</Heading>
      {parts.length === 0 ? (
        <>
          <Words soft>
            What is counted out is counted back in: a pin left in the cases means splitting the
            engine.
          </Words>
          <Action main icon="plus" onPress={onMake}>
            Start the count for this clutch
          </Action>
        </>
      ) : (
        <>
          <View role="list" aria-label="Small parts" style={{ gap: 6 }}>
            {parts.map((part) => (
              <PartRow
                key={part.id}
                part={part}
                onRename={(name) =>
                  onChange((all) => all.map((p) => (p.id === part.id ? { ...p, name } : p)))
                }
                onRemove={() => onChange((all) => all.filter((p) => p.id !== part.id))}
              />
            ))}
          </View>
          {parts.length < MAX_LINES ? (
            <Action
              icon="plus"
              onPress={() => onChange((all) => [...all, { id: nanoid(8), name: '', note: '' }])}
            >
              Another part
            </Action>
          ) : null}
        </>
      )}
    </View>
  );
}

interface PartRowProps {
  readonly part: SmallPart;
  readonly onRename: (name: string) => void;
  readonly onRemove: () => void;
}

/** A part and how many came out; one tap counts one more. */
function PartRow({ part, onRename, onRemove }: PartRowProps) {
  const strata = useStrata();
  const label = part.name || 'Part';
  // A new part stays a field for as long as it is named.
  const [naming] = useState(part.name === '');
  return (
    <View
      role="listitem"
      style={{ borderTopWidth: 1, borderColor: strata.line, paddingTop: 6, gap: 4 }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: 4, flexWrap: 'wrap' }}>
        <View style={{ flexGrow: 2, flexBasis: 150 }}>
          {naming ? (
            <LineField
              alone
              label="Part"
              value={part.name}
              maxLength={120}
              onChangeText={onRename}
            />
          ) : (
            <>
              <Words bold>{part.name}</Words>
              {part.note ? (
                <Words soft size={14}>
                  {part.note}
                </Words>
              ) : null}
            </>
          )}
        </View>
        <View style={{ flexDirection: 'row', alignItems: 'flex-start' }}>
          <CountField path={fieldPath('strip.parts.*.out', part.id)} label="Out" of={label} />
          <IconButton
            icon="close"
            aria-label={`Take ${label} off the list`}
            style={{ width: 44, height: 48, margin: 0, marginTop: 26 }}
            onPress={onRemove}
          />
        </View>
      </View>
    </View>
  );
}
