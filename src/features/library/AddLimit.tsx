import { nanoid } from '@reduxjs/toolkit';
import Joi from 'joi';
import { useState } from 'react';
import { Menu } from 'react-native-paper';

import type { FieldPattern } from '@/core/job/fieldPath';
import { FIELDS } from '@/core/job/fields';
import type { Limit } from '@/core/library/limits';
import { LIMIT_PATTERNS, OWNER_NAME, ownerOf } from '@/core/library/limits';
import { FormText } from '@/features/entry/FormFields';
import { nameText } from '@/features/entry/formSchema';
import { useKeptForm } from '@/features/entry/useKeptForm';
import { Action } from '@/ui/Action';
import { DropMenu } from '@/ui/DropMenu';

/** Adds a value to a spec sheet: the limit, and its owner where it has one. */
export function AddLimit({ onAdd }: { readonly onAdd: (limit: Limit) => void }) {
  const [pattern, setPattern] = useState<FieldPattern>();
  const owner = pattern && ownerOf(pattern);
  const choose = (next: FieldPattern) => {
    if (ownerOf(next) === undefined) {
      onAdd({ id: nanoid(10), pattern: next });
      setPattern(undefined);
    } else setPattern(next);
  };
  return (
    <>
      <DropMenu
        anchor={(open) => (
          <Action icon="plus" onPress={open}>
            Add value
          </Action>
        )}
      >
        {(close) =>
          LIMIT_PATTERNS.map((p) => (
            <Menu.Item
              key={p}
              title={titleOf(p)}
              onPress={() => {
                close();
                choose(p);
              }}
            />
          ))
        }
      </DropMenu>
      {pattern && owner ? (
        <OwnerName
          label={`${FIELDS[pattern].label}: name of the ${OWNER_NAME[owner]}, as in the jobs`}
          onName={(of) => {
            onAdd({ id: nanoid(10), pattern, of });
            setPattern(undefined);
          }}
        />
      ) : null}
    </>
  );
}

const OWNER = Joi.object<{ of: string }>({ of: nameText('Enter the name, as in the jobs.') });

/** Owner of a limit that belongs to a named part. */
function OwnerName({ label, onName }: OwnerProps) {
  const { control, submit } = useKeptForm('library.addLimit', { of: '' }, OWNER);
  const add = submit(({ of }) => onName(of));
  return (
    <>
      <FormText control={control} name="of" label={label} maxLength={120} />
      <Action icon="check" onPress={() => void add()}>
        Add
      </Action>
    </>
  );
}

interface OwnerProps {
  readonly label: string;
  readonly onName: (name: string) => void;
}

function titleOf(pattern: FieldPattern): string {
  const owner = ownerOf(pattern);
  return owner ? `${FIELDS[pattern].label}, of a ${OWNER_NAME[owner]}` : FIELDS[pattern].label;
}
