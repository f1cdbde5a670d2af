import { Fragment } from 'react';

import type { ClutchKind } from '@/core/clutch/kind';
import { EntryField } from '@/features/entry/EntryField';
import { useJob } from '@/state/jobs/useJob';
import { FieldGrid } from '@/ui/FieldGrid';
import { Heading, Words } from '@/ui/Words';

/** The fields of a kind of clutch, as it groups them. */
export function KindForm({ kind }: { readonly kind: ClutchKind }) {
  const job = useJob();
  return (kind.form?.(job) ?? []).map(({ title, note, fields }) => (
    <Fragment key={fields[0]}>
      {title ? <Heading level={3}>{title}</Heading> : null}
      {note ? (
        <Words soft size={15}>
          {note}
        </Words>
      ) : null}
      <FieldGrid>
        {fields.map((path) => (
          <EntryField key={path} path={path} />
        ))}
      </FieldGrid>
    </Fragment>
  ));
}
