import { useEditJob } from '@/state/jobs/editJob';
import { nanoid } from '@reduxjs/toolkit';
import { fillStack } from '@/core/job/edits/pack';
import { useState } from 'react';

import { MAX_PLATES } from '@/core/job/fields';
import type { PlateKind } from '@/core/job/types';
import { LooseField } from '@/features/entry/LooseField';
import { useJobPart } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { Panel } from '@/ui/Panel';
import { Words } from '@/ui/Words';

const MAX_DISCS = Math.floor((MAX_PLATES - 1) / 2);
const DISCS = { quantity: 'count', bounds: { min: 1, max: MAX_DISCS, integer: true } } as const;

/** Lays a plain pack at once: so many discs with steels between them. */
export function FillStack() {
  const kinds = useJobPart((job) => job.pack.kinds);
  const empty = useJobPart((job) => job.pack.plates.length === 0);
  const edit = useEditJob();
  const discKinds = kinds.filter((k) => k.lined !== 'none');
  const steelKinds = kinds.filter((k) => k.lined === 'none');
  const [discs, setDiscs] = useState<number>();
  const [first, setFirst] = useState<'friction' | 'steel'>('friction');
  const [discId, setDiscId] = useState<string>();
  const [steelId, setSteelId] = useState<string>();
  const disc = discKinds.find((k) => k.id === discId) ?? discKinds[0];
  const steel = steelKinds.find((k) => k.id === steelId) ?? steelKinds[0];
  const plates =
    discs === undefined ? undefined : first === 'friction' ? 2 * discs - 1 : 2 * discs + 1;
  if (!disc || !steel)
    return <Words soft>Add a disc type and a steel type to fill the stack.</Words>;
  return (
    <Panel title="Fill the stack" summary="Discs and steels, alternating" initiallyOpen={empty}>
      <FieldGrid>
        <LooseField label="Number of discs" spec={DISCS} onValue={setDiscs} />
      </FieldGrid>
      <Choice
        label="First and last"
        value={first}
        options={
          [
            { value: 'friction', label: 'Friction disc' },
            { value: 'steel', label: 'Steel' },
          ] as const
        }
        onChange={setFirst}
      />
      {discKinds.length > 1 ? (
        <PlateKindChoice label="Disc type" kinds={discKinds} value={disc.id} onChange={setDiscId} />
      ) : null}
      {steelKinds.length > 1 ? (
        <PlateKindChoice
          label="Steel type"
          kinds={steelKinds}
          value={steel.id}
          onChange={setSteelId}
        />
      ) : null}
      <Action
        main
        icon="layers-plus"
        blocked={discs === undefined ? 'Enter the number of discs first.' : undefined}
        onPress={() => {
          if (discs === undefined) return;
          const filling = { discs, first, frictionKind: disc.id, steelKind: steel.id };
          const id = nanoid(10);
          edit((job) => fillStack(job, filling, (n) => `${id}-${n}`));
        }}
      >
        {plates === undefined ? 'Add plates' : `Add ${plates} plates`}
      </Action>
    </Panel>
  );
}

interface KindChoiceProps {
  readonly label: string;
  readonly kinds: readonly PlateKind[];
  readonly value: string;
  readonly onChange: (id: string) => void;
}

export function PlateKindChoice({ label, kinds, value, onChange }: KindChoiceProps) {
  return (
    <Choice
      label={label}
      value={value}
      options={kinds.map((k) => ({ value: k.id, label: k.name || 'Plate' }))}
      onChange={onChange}
    />
  );
}
