import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Menu } from 'react-native-paper';

import { STAGES } from '@/core/job/types';
import { STAGE_NAME } from '@/core/job/words';
import { Choice } from '@/ui/Choice';
import { DropMenu } from '@/ui/DropMenu';
import { flow } from '@/ui/flow';
import { IconKey } from '@/ui/IconKey';
import { SearchField } from '@/ui/SearchField';

import type { JobQuery, Sort } from './findJobs';

const SORT_NAME: Readonly<Record<Sort, string>> = {
  worked: 'Newest first',
  due: 'Due date',
  number: 'Number',
  machine: 'Machine',
  stage: 'Stage',
  verdict: 'Verdict',
};

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
        <DropMenu
          anchor={(open) => (
            <IconKey icon="sort" label={`Sort by: ${SORT_NAME[query.sort]}`} onPress={open} />
          )}
        >
          {(close) =>
            (Object.keys(SORT_NAME) as Sort[]).map((sort) => (
              <Menu.Item
                key={sort}
                title={SORT_NAME[sort]}
                {...(sort === query.sort ? { leadingIcon: 'check' } : {})}
                onPress={() => {
                  close();
                  onChange({ ...query, sort });
                }}
              />
            ))
          }
        </DropMenu>
        {end}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({ chips: { paddingVertical: 2 } });
