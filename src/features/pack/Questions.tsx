import { useState } from 'react';

import { ATTACHMENTS } from '@/core/clutch/fitted';
import { hasPack } from '@/core/guide/layouts';
import type { Job } from '@/core/job/types';
import { attachedCame, springsAsCame, springsCame } from '@/core/strip/asCame';
import { upperFirst } from '@/core/text/sentence';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob, useJobPart } from '@/state/jobs/useJob';
import { Choice } from '@/ui/Choice';

import { ReleaseWay, SPRING_OPTIONS, SpringFamily } from './BuildChoices';

/* Answers that several stages need: each is asked once, at the first stage that needs it. */

export type QuestionId =
  'springs' | 'design' | 'attached' | 'release' | 'hubStays' | 'separatePrimary';

const ANSWERED: Readonly<Record<QuestionId, (job: Job) => boolean>> = {
  springs: (job) => springsAsCame(job) !== undefined,
  design: ({ springs }) => !springs.undecided,
  attached: () => true,
  release: ({ release }) => !release.undecided,
  hubStays: ({ strip }) => strip.hubStays !== undefined,
  separatePrimary: ({ setting }) => setting.separatePrimary !== undefined,
};

const YES_NO = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
] as const;

/** The questions of a stage that nobody has answered when it opens; they stay in place once answered. */
export function OpenQuestions({ ids }: { readonly ids: readonly QuestionId[] }) {
  const job = useJob();
  const [open] = useState(() => ids.filter((id) => !ANSWERED[id](job)));
  return hasPack(job.machine.layout) ? open.map((id) => <Question key={id} id={id} />) : null;
}

/** One question about the clutch, with its answer. */
export function Question({ id }: { readonly id: QuestionId }) {
  switch (id) {
    case 'springs':
      return <SpringsAsCame />;
    case 'design':
      return <SpringFamily label="Springs" />;
    case 'attached':
      return <AttachedAsCame />;
    case 'release':
      return <ReleaseWay seen label="Release" />;
    case 'hubStays':
      return <HubStays />;
    case 'separatePrimary':
      return <SeparatePrimary />;
  }
}

function SpringsAsCame() {
  const value = useJobPart((job) => springsAsCame(job) ?? '');
  const change = useEditJob();
  return (
    <Choice
      label="Springs, as it came"
      value={value}
      options={SPRING_OPTIONS}
      onChange={(type) => {
        if (type !== '') change((j) => springsCame(j, type));
      }}
    />
  );
}

/** Attachments of a pack; the expanding disc is asked as the clutch type. */
function AttachedAsCame() {
  const job = useJob();
  const change = useEditJob();
  return ATTACHMENTS.filter((kind) => kind.takesUp === 'inPack' && kind.id !== 'expanding').map(
    ({ id, name, choice }) =>
      choice ? (
        <Choice
          key={id}
          label={upperFirst(name)}
          value={job.strip.came?.attached[id] ?? choice.of(job)}
          options={choice.options}
          onChange={(next) => change((j) => attachedCame(j, id, next))}
        />
      ) : null,
  );
}

function HubStays() {
  const stays = useJobPart(({ strip }) => strip.hubStays);
  const change = useEditJob();
  return (
    <Choice
      label="The hub"
      value={stays === undefined ? '' : stays ? 'stays' : 'off'}
      options={[
        { value: 'stays', label: 'Stays on' },
        { value: 'off', label: 'Comes off' },
      ]}
      onChange={(next) =>
        change((j) => ({ ...j, strip: { ...j.strip, hubStays: next === 'stays' } }))
      }
    />
  );
}

function SeparatePrimary() {
  const has = useJobPart(({ setting }) => setting.separatePrimary);
  const change = useEditJob();
  return (
    <Choice
      label="Separate primary with chain and end float"
      value={has === undefined ? '' : has ? 'yes' : 'no'}
      options={YES_NO}
      onChange={(next) =>
        change((j) => ({ ...j, setting: { ...j.setting, separatePrimary: next === 'yes' } }))
      }
    />
  );
}
