import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { View } from 'react-native';

import type { FieldPattern } from '@/core/job/fieldPath';
import { FIELDS } from '@/core/job/fields';
import type { Limit } from '@/core/library/limitNames';
import { LIMIT_PATTERNS, ownerOf } from '@/core/library/limitNames';
import { Action } from '@/ui/Action';
import { flow } from '@/ui/flow';
import { SearchField } from '@/ui/SearchField';

const SINGLE = LIMIT_PATTERNS.filter((pattern) => ownerOf(pattern) === undefined);
/** Matches that are offered at once. */
const SHOWN = 8;

const nameOf = (pattern: FieldPattern): string => FIELDS[pattern].across ?? FIELDS[pattern].label;

/** Adds a value to a spec sheet, found by its name. */
export function AddLimit({ onAdd }: { readonly onAdd: (limit: Limit) => void }) {
  const [open, setOpen] = useState(false);
  const [search, setSearch] = useState('');
  const words = search.toLocaleLowerCase().split(/\s+/).filter(Boolean);
  const found = SINGLE.filter((p) => words.every((w) => nameOf(p).toLocaleLowerCase().includes(w)));
  if (!open)
    return (
      <Action icon="plus" onPress={() => setOpen(true)}>
        Add value
      </Action>
    );
  return (
    <View style={flow.stack}>
      <SearchField label="Which value?" value={search} onChangeText={setSearch} />
      <View style={flow.wrap}>
        {found.slice(0, SHOWN).map((pattern) => (
          <Action
            key={pattern}
            icon="plus"
            onPress={() => {
              setOpen(false);
              setSearch('');
              onAdd({ id: nanoid(10), pattern });
            }}
          >
            {nameOf(pattern)}
          </Action>
        ))}
      </View>
    </View>
  );
}
