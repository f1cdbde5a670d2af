import type { ComponentType } from 'react';

import type { ClutchKind } from '@/core/clutch/kind';
import { chooseAttachment } from '@/core/job/edits/details';
import { FigureRows } from '@/features/figures/FigureRows';
import { GainReadings } from '@/features/prove/GainReadings';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { Choice } from '@/ui/Choice';
import { Heading } from '@/ui/Words';

import { KindForm } from './KindForm';

/** Content below the fields of a kind, where it has more than fields. */
const BELOW: Readonly<Record<string, ComponentType>> = { expanding: GainReadings };

interface Props {
  readonly kind: ClutchKind;
  readonly label?: string;
}

/** Whether something is attached to the clutch, and how. */
export function AttachmentChoice({ kind, label }: Props) {
  const value = useJobPart((job) => kind.choice?.of(job));
  const edit = useEditJob();
  return kind.choice && value !== undefined ? (
    <Choice
      label={label ?? kind.choice.label}
      value={value}
      options={kind.choice.options}
      onChange={(next) => edit((job) => chooseAttachment(job, kind.id, next))}
    />
  ) : null;
}

/** Attachments of a clutch, with their fields and figures. */
export function AttachmentFields({ kind }: Pick<Props, 'kind'>) {
  const fitted = useJobPart(kind.isFitted);
  const Below = BELOW[kind.id];
  return (
    <>
      {kind.choice?.heading ? <Heading level={2}>{kind.choice.heading}</Heading> : null}
      <AttachmentChoice kind={kind} />
      {fitted ? (
        <>
          <KindForm kind={kind} />
          {Below ? <Below /> : null}
          <FigureRows ids={kind.shown ?? []} />
        </>
      ) : null}
    </>
  );
}
