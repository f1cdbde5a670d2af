import { View } from 'react-native';
import { createSelector } from '@reduxjs/toolkit';

import { MAX_NAME } from '@/core/job/fields';
import { byText } from '@/core/order';
import type { RootState } from '@/state/store';
import { useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { flow } from '@/ui/flow';

const MOST = 3;

/** Who has worked at the benches of this shop, the last one first. */
const benchNames = createSelector([(state: RootState) => state.jobs.entities], (entities) => {
  const jobs = Object.values(entities).sort((a, b) => byText(b.updatedAt, a.updatedAt));
  return [...new Set(jobs.map((j) => j.work.by.trim()))].filter(Boolean).slice(0, MOST);
});

interface Props {
  readonly label: string;
  readonly value: string;
  readonly message?: string | undefined;
  readonly onChange: (name: string) => void;
}

/** Who does the work or signs it: typed once, and one key from then on. */
export function BenchName({ label, value, message, onChange }: Props) {
  const known = useAppSelector(benchNames);
  return (
    <View style={flow.stack}>
      <Field
        alone
        label={label}
        value={value}
        message={message}
        maxLength={MAX_NAME}
        onChangeText={onChange}
      />
      {value.trim() === '' && known.length > 0 ? (
        <View role="group" aria-label={`${label}, shop names`} style={flow.wrap}>
          {known.map((name) => (
            <Action key={name} onPress={() => onChange(name)}>
              {name}
            </Action>
          ))}
        </View>
      ) : null}
    </View>
  );
}
