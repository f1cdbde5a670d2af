import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { Menu } from 'react-native-paper';

import type { FieldPattern } from '@/core/job/fields';
import { FIELDS } from '@/core/job/fields';
import type { Limit } from '@/core/library/limits';
import { LIMIT_PATTERNS, OWNER_NAME, ownerOf } from '@/core/library/limits';
import { useTyped } from '@/features/entry/useTyped';
import { Action } from '@/ui/Action';
import { DropMenu } from '@/ui/DropMenu';
import { Field } from '@/ui/Field';

/** Puts another limit on a sheet: which one, and of what where it belongs to something with a name. */
export function AddLimit({ onAdd }: { readonly onAdd: (limit: Limit) => void }) {
  const [pattern, setPattern] = useState<FieldPattern>();
  const [of, setOf] = useTyped('library.addLimit.of');
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
            Add a value
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
        <>
          <Field
            label={`${FIELDS[pattern].label}: name of the ${OWNER_NAME[owner]}, as jobs call it`}
            value={of}
            maxLength={120}
            onChangeText={setOf}
          />
          <Action
            icon="check"
            disabled={of.trim() === ''}
            onPress={() => {
              onAdd({ id: nanoid(10), pattern, of: of.trim() });
              setPattern(undefined);
              setOf('');
            }}
          >
            Add it
          </Action>
        </>
      ) : null}
    </>
  );
}

function titleOf(pattern: FieldPattern): string {
  const owner = ownerOf(pattern);
  return owner ? `${FIELDS[pattern].label}, of a ${OWNER_NAME[owner]}` : FIELDS[pattern].label;
}
