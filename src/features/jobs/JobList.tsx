import { router } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { JobRow } from '@/core/job/row';
import { STAGE_NAME } from '@/core/job/words';
import { useAppSelector } from '@/store/store';
import { Action } from '@/ui/Action';
import { StateMark } from '@/ui/StateMark';
import { useStrata } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { webLink } from '@/ui/webLink';
import { Digits, Words } from '@/ui/Words';

import { dueWords, isDue } from './due';
import { ALL_JOBS, findJobs } from './findJobs';
import { JobFilter } from './JobFilter';
import { selectRows } from './rows';
import { useVerdict } from './useVerdict';

/** Rows on a tall screen, rows that follow a frame later, and more at a press: thousands would take seconds to draw. */
const IN_SIGHT = 6;
const ROWS = 40;
const MORE = 100;

/** The jobs, as they are searched, filtered and ordered; by itself, so that a key of the search draws nothing else. */
export function JobList() {
  const all = useAppSelector(selectRows);
  const wide = useWide();
  const [query, setQuery] = useState(ALL_JOBS);
  const [today] = useState(() => new Date());
  const jobs = findJobs(all, query, today);
  const [page, setPage] = useState({ query, rows: ROWS });
  // Another search begins at its top again, and what lies below the screen follows what is on it.
  const rows = useDeferredValue(page.query === query ? page.rows : ROWS, IN_SIGHT);
  if (all.length === 0)
    return <Words>No jobs yet. Start a new one, or import a job from a file.</Words>;
  return (
    <>
      <JobFilter query={query} onChange={setQuery} />
      {jobs.length === 0 ? (
        <View style={{ gap: 8 }}>
          <Words>No job like that.</Words>
          <Action icon="undo" onPress={() => setQuery(ALL_JOBS)}>
            Show all jobs
          </Action>
        </View>
      ) : (
        <View role="list" aria-label="Jobs">
          {wide ? <ListHead /> : null}
          {jobs.slice(0, rows).map((job) => (
            <Row key={job.id} job={job} wide={wide} today={today} />
          ))}
        </View>
      )}
      {rows >= ROWS && jobs.length > rows ? (
        <View style={{ gap: 8 }}>
          <Words soft>{`${rows} of ${jobs.length} jobs are shown.`}</Words>
          <Action onPress={() => setPage({ query, rows: rows + MORE })}>
            {`Show ${Math.min(MORE, jobs.length - rows)} more`}
          </Action>
        </View>
      ) : null}
    </>
  );
}

const COLUMN = { number: 110, stage: 110, verdict: 280 } as const;

function ListHead() {
  return (
    <View aria-hidden style={{ flexDirection: 'row', gap: 16, paddingBottom: 6 }}>
      <Words soft size={14} style={{ width: COLUMN.number }}>
        Number
      </Words>
      <Words soft size={14} style={{ flexGrow: 1, flexBasis: 0 }}>
        Machine
      </Words>
      <Words soft size={14} style={{ width: COLUMN.stage }}>
        Stands at
      </Words>
      <Words soft size={14} style={{ width: COLUMN.verdict }}>
        Verdict on the pack
      </Words>
    </View>
  );
}

interface RowProps {
  readonly job: JobRow;
  readonly wide: boolean;
  readonly today: Date;
}

function Row({ job, wide, today }: RowProps) {
  const strata = useStrata();
  const overall = useVerdict(job);
  const name = job.name || 'New machine';
  const due = job.stage === 'log' ? undefined : job.due;
  const verdict = (
    <View
      style={{
        flexDirection: 'row',
        gap: 8,
        alignItems: 'center',
        ...(wide ? { width: COLUMN.verdict } : {}),
      }}
    >
      {overall ? <StateMark state={overall.state} /> : null}
      <Words size={15} style={{ flexShrink: 1 }}>
        {overall?.title ?? ' '}
      </Words>
    </View>
  );
  return (
    <View role="listitem" style={{ borderTopWidth: 1, borderColor: strata.line }}>
      <TouchableRipple
        role="link"
        aria-label={[
          job.number,
          name,
          job.use,
          `at ${STAGE_NAME[job.stage]}`,
          due && dueWords(due, today),
          overall?.title,
        ]
          .filter(Boolean)
          .join(', ')}
        {...webLink(`/job/${job.id}`, () =>
          router.navigate({ pathname: '/job/[id]', params: { id: job.id } }),
        )}
        style={{ minHeight: 72, justifyContent: 'center', paddingVertical: 10 }}
      >
        {wide ? (
          <View style={{ flexDirection: 'row', gap: 16, alignItems: 'center' }}>
            <Digits size={15} style={{ width: COLUMN.number }}>
              {job.number}
            </Digits>
            <View style={{ flexGrow: 1, flexBasis: 0 }}>
              <Words bold numberOfLines={1}>
                {name}
              </Words>
              <Words soft size={15} numberOfLines={1}>
                {job.use}
              </Words>
            </View>
            <View style={{ width: COLUMN.stage }}>
              <Words size={15}>{STAGE_NAME[job.stage]}</Words>
              {due ? (
                <Words soft={!isDue(job, today)} bold={isDue(job, today)} size={14}>
                  {dueWords(due, today)}
                </Words>
              ) : null}
            </View>
            {verdict}
          </View>
        ) : (
          <View style={{ gap: 3 }}>
            <View style={{ flexDirection: 'row', gap: 10, alignItems: 'baseline' }}>
              <Words bold size={18} numberOfLines={1} style={{ flexShrink: 1 }}>
                {name}
              </Words>
              <Digits soft size={14}>
                {job.number}
              </Digits>
            </View>
            <Words soft size={15} numberOfLines={1}>
              {[job.use, `at ${STAGE_NAME[job.stage]}`].filter(Boolean).join(' · ')}
              {due ? ' · ' : null}
              {due ? dueWords(due, today) : null}
            </Words>
            {verdict}
          </View>
        )}
      </TouchableRipple>
    </View>
  );
}
