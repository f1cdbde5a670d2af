import { nanoid } from '@reduxjs/toolkit';

import { MAX_READINGS } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import { useFocusField } from '@/features/entry/askedFor';
import { useHeads } from '@/features/entry/useHeads';
import { EntryField } from '@/features/entry/EntryField';
import { VerdictLine } from '@/features/figures/VerdictLine';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { FieldRow, FieldTable } from '@/ui/FieldTable';

/** Three readings 120° apart are usual and come together; further ones are added singly. */
const USUAL = [0, 120, 240];

/** Dial readings round the pressure plate, and the resulting tilt. */
export function DialReadings() {
  const { release } = useJob();
  const change = useEditJob();
  const focusField = useFocusField();
  const heads = useHeads([
    ['Angle', 'release.liftReadings.any.angle'],
    ['Lift', 'release.liftReadings.any.lift'],
  ]);
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
      {none ? null : (
        <FieldTable label="Dial readings" heads={heads}>
          {release.liftReadings.map((r, i) => (
            <FieldRow
              key={r.id}
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
              <EntryField
                cell
                label="Angle"
                path={fieldPath('release.liftReadings.*.angle', r.id)}
              />
              <EntryField cell label="Lift" path={fieldPath('release.liftReadings.*.lift', r.id)} />
            </FieldRow>
          ))}
        </FieldTable>
      )}
      {release.liftReadings.length < MAX_READINGS ? (
        <Action icon="plus" onPress={add}>
          {none ? 'Add three dial readings' : 'Add dial reading'}
        </Action>
      ) : null}
      <VerdictLine id="even" />
    </>
  );
}
