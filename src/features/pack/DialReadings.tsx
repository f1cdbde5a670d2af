import { nanoid } from '@reduxjs/toolkit';

import { MAX_READINGS } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import { useFocusField } from '@/features/entry/askedFor';
import { EntryField } from '@/features/entry/EntryField';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { FieldGrid } from '@/ui/FieldGrid';
import { Heading } from '@/ui/Words';

/** Three readings 120° apart are usual and come together; further ones are added singly. */
const USUAL = [0, 120, 240];

/** Dial readings round the pressure plate, and the resulting tilt; optional heading. */
export function DialReadings({ bare = false }: { readonly bare?: boolean }) {
  const { release } = useJob();
  const change = useEditJob();
  const focusField = useFocusField();
  const none = release.liftReadings.length === 0;
  const add = () => {
    const fresh = none
      ? USUAL.map((angle) => ({ id: nanoid(10), angle: { value: angle } }))
      : [{ id: nanoid(10) }];
    change((j) => ({
      ...j,
      release: { ...j.release, liftReadings: [...j.release.liftReadings, ...fresh] },
    }));
    const [first] = fresh;
    if (first) focusField(fieldPath(`release.liftReadings.*.${none ? 'lift' : 'angle'}`, first.id));
  };
  return (
    <>
      {bare ? null : <Heading level={2}>Lift round the plate</Heading>}
      {release.liftReadings.map((r, i) => (
        <FieldGrid
          key={r.id}
          narrow
          name={`Dial reading ${i + 1}`}
          removeLabel={`Remove dial reading ${i + 1}`}
          onRemove={() =>
            change((j) => ({
              ...j,
              release: {
                ...j.release,
                liftReadings: j.release.liftReadings.filter((x) => x.id !== r.id),
              },
            }))
          }
        >
          <EntryField narrow label="Angle" path={fieldPath('release.liftReadings.*.angle', r.id)} />
          <EntryField narrow label="Lift" path={fieldPath('release.liftReadings.*.lift', r.id)} />
        </FieldGrid>
      ))}
      {release.liftReadings.length < MAX_READINGS ? (
        <Action icon="plus" onPress={add}>
          {none ? 'Add three dial readings' : 'Add dial reading'}
        </Action>
      ) : null}
      <VerdictLine id="even" />
    </>
  );
}
