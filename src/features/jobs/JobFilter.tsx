import { View } from 'react-native';

import { STAGES } from '@/core/job/types';
import { Choice } from '@/ui/Choice';
import { Panel } from '@/ui/Panel';
import { SearchField } from '@/ui/SearchField';
import { STAGE_NAME } from '@/core/job/words';

import type { JobQuery, Sort } from './findJobs';
import { flow } from '@/ui/flow';

const SORT_OPTIONS: readonly { readonly value: Sort; readonly label: string }[] = [
  { value: 'worked', label: 'Newest first' },
  { value: 'due', label: 'Due date' },
  { value: 'number', label: 'Number' },
  { value: 'machine', label: 'Machine' },
];

const STAGE_OPTIONS: readonly { readonly value: JobQuery['stage']; readonly label: string }[] = [
  { value: 'all', label: 'All' },
  { value: 'due', label: 'Due' },
  ...STAGES.map((value) => ({ value, label: STAGE_NAME[value] })),
  { value: 'archived', label: 'Archived' },
];

interface Props {
  readonly query: JobQuery;
  readonly onChange: (query: JobQuery) => void;
}

/** Searching, filtering and ordering the jobs. */
export function JobFilter({ query, onChange }: Props) {
  const stage = STAGE_OPTIONS.find((o) => o.value === query.stage)?.label;
  const sort = SORT_OPTIONS.find((o) => o.value === query.sort)?.label;
  return (
    <View style={flow.stack}>
      <SearchField
        label="Search jobs"
        value={query.search}
        onChangeText={(search) => onChange({ ...query, search })}
      />
      <Panel title="Filter and sort" summary={`${stage}, ${sort?.toLowerCase()}`}>
        <Choice
          label="Show"
          value={query.stage}
          options={STAGE_OPTIONS}
          onChange={(next) => onChange({ ...query, stage: next })}
        />
        <Choice
          label="Sort by"
          value={query.sort}
          options={SORT_OPTIONS}
          onChange={(next) => onChange({ ...query, sort: next })}
        />
      </Panel>
    </View>
  );
}
