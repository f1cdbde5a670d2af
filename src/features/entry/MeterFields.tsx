import { useState } from 'react';

import type { FieldPath } from '@/core/job/fieldPath';
import { entryAt } from '@/core/job/entryAt';
import type { Meter } from '@/core/job/types';
import { METERS } from '@/core/job/types';
import { METER, meterOf } from '@/core/life/meter';
import { useDrafts, useJobPart } from '@/state/jobs/useJob';

import { EntryField } from './EntryField';

interface Props {
  /** Where the reading of a meter is kept. */
  readonly at: (meter: Meter) => FieldPath;
}

/** The reading of the meter that counts for this machine; beside it that of the other, while anything is written there. */
export function MeterFields({ at }: Props) {
  const counts = useJobPart((job) => meterOf(job).meter);
  const drafts = useDrafts();
  const other = METERS.find((m) => m !== counts) ?? counts;
  const written = useJobPart((job) => entryAt(job, at(other)) !== undefined);
  const current = written || drafts[at(other)] !== undefined;
  // It must not go from under the finger that empties it to write something else.
  const [seen, setSeen] = useState<Meter>();
  if (current && seen !== other) setSeen(other);
  return (
    <>
      <EntryField path={at(counts)} />
      {current || seen === other ? (
        <EntryField path={at(other)} label={`${METER[other].name}, not used`} />
      ) : null}
    </>
  );
}
