import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import { STAGES } from '@/core/job/types';
import { STAGE_NAME } from '@/core/job/words';
import { SortMenu } from '@/features/page/SortMenu';
import { Choice } from '@/ui/Choice';
import { flow } from '@/ui/flow';
import { SearchField } from '@/ui/SearchField';

import type { JobQuery } from './findJobs';

const SORTS = [
  ['worked', 'Newest first'],
  ['due', 'Due date'],
  ['number', 'Number'],
  ['machine', 'Machine'],
  ['stage', 'Stage'],
  ['verdict', 'Verdict'],
] as const satisfies readonly (readonly [JobQuery['sort'], string])[];

const STAGE_OPTIONS: readonly { readonly value: JobQuery['stage']; readonly label: string }[] = [
  { value: 'all', label: 'All' },
  { value: 'due', label: 'Due' },
  ...STAGES.map((value) => ({ value, label: STAGE_NAME[value] })),
  { value: 'archived', label: 'Archived' },
];

interface Props {
  readonly query: JobQuery;
  readonly onChange: (query: JobQuery) => void;
  /** Beside the search: a new job. */
  readonly main: ReactNode;
  /** Beside the filter. */
  readonly end: ReactNode;
}

/** Searching, filtering by one tap, and ordering the jobs. */
export function JobFilter({ query, onChange, main, end }: Props) {
  return (
    <View style={flow.stack}>
      <View style={flow.line}>
        <View style={flow.share}>
          <SearchField
            label="Search jobs"
            value={query.search}
            onChangeText={(search) => onChange({ ...query, search })}
          />
        </View>
        {main}
      </View>
      <View style={flow.line}>
        <ScrollView
          horizontal
          showsHorizontalScrollIndicator={false}
          style={flow.share}
          contentContainerStyle={styles.chips}
        >
          <Choice
            bare
            line
            label="Show"
            value={query.stage}
            options={STAGE_OPTIONS}
            onChange={(stage) => onChange({ ...query, stage })}
          />
        </ScrollView>
        <SortMenu
          value={query.sort}
          names={SORTS}
          onChange={(sort) => onChange({ ...query, sort })}
        />
        {end}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({ chips: { paddingVertical: 2 } });
