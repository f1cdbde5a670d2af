import { router } from 'expo-router';
import type { ReactNode } from 'react';
import { Suspense, useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { JobRow } from '@/core/job/row';
import { later } from '@/features/later';
import { Beside } from '@/features/page/Beside';
import { STAGE_NAME } from '@/core/job/words';
import { useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useRuled } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { webLink } from '@/ui/webLink';
import { Digits, Words } from '@/ui/Words';

import { dueText, isDue } from './due';
import type { Sort } from './findJobs';
import { ALL_JOBS, findJobs } from './findJobs';
import { JobFilter } from './JobFilter';
import { selectRows } from '@/state/jobs/rows';
import { useVerdict } from '@/state/jobs/useVerdict';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';
import { upperFirst } from '@/core/text/sentence';

/** Rows on a tall screen, rows that follow a frame later, and more at a press: thousands would take seconds to draw. */
const IN_SIGHT = 6;
const ROWS = 40;
const MORE = 100;

const JobPreview = later('JobPreview');

interface Props {
  /** Beside the search: a new job. */
  readonly main: ReactNode;
  readonly end: ReactNode;
}

/** The jobs after search, filter and sort; separate, so that a search key redraws nothing else. */
export function JobList({ main, end }: Props) {
  const all = useAppSelector(selectRows);
  const wide = useWide();
  const [query, setQuery] = useState(ALL_JOBS);
  const [today] = useState(() => new Date());
  const jobs = findJobs(all, query, today);
  const [under, setUnder] = useState<string>();
  const [page, setPage] = useState({ query, rows: ROWS });
  // A new search starts at the top; rows below the fold render later.
  const asked = query.search.trim();
  const rows = useDeferredValue(page.query === query ? page.rows : ROWS, IN_SIGHT);
  if (all.length === 0)
    return (
      <View style={flow.stack}>
        <Words>No jobs yet. Create a job, or import one from a file.</Words>
        {main}
      </View>
    );
  const list = (
    <>
      <JobFilter query={query} onChange={setQuery} main={main} end={end} />
      {jobs.length === 0 ? (
        <View style={flow.stack}>
          <Words>No matching job.</Words>
          <Action icon="undo" onPress={() => setQuery(ALL_JOBS)}>
            Show all jobs
          </Action>
        </View>
      ) : (
        <View role="list" aria-label="Jobs">
          {wide ? (
            <ListHead sort={query.sort} onSort={(sort) => setQuery({ ...query, sort })} />
          ) : null}
          {jobs.slice(0, rows).map((job) => (
            <Row key={job.id} job={job} wide={wide} today={today} onReach={setUnder} />
          ))}
        </View>
      )}
      {rows >= ROWS && jobs.length > rows ? (
        <View style={flow.stack}>
          <Words soft>{`${rows} of ${countOf(jobs.length, 'job')} shown.`}</Words>
          <Action onPress={() => setPage({ query, rows: rows + MORE })}>
            {`Show ${Math.min(MORE, jobs.length - rows)} more`}
          </Action>
        </View>
      ) : null}
      {asked ? (
        <Action
          icon="magnify"
          onPress={() => router.navigate({ pathname: '/find', params: { text: asked } })}
        >
          {`Find “${asked}” everywhere`}
        </Action>
      ) : null}
    </>
  );
  const shown = jobs.some((j) => j.id === under) ? under : jobs[0]?.id;
  return (
    <Beside
      label="The job in short"
      beside={
        wide ? (
          <Suspense>
            <JobPreview id={shown} />
          </Suspense>
        ) : null
      }
    >
      {list}
    </Beside>
  );
}

const COLUMN = { number: 92, stage: 110, verdict: 170 } as const;

const HEADS: readonly (readonly [Sort, string, object])[] = [
  ['number', 'Number', { width: COLUMN.number }],
  ['machine', 'Machine', { flexGrow: 1, flexBasis: 0 }],
  ['stage', 'Stage', { width: COLUMN.stage }],
  ['verdict', 'Pack verdict', { width: COLUMN.verdict }],
];

/** The columns' names; a press sorts by one. */
function ListHead({
  sort,
  onSort,
}: {
  readonly sort: Sort;
  readonly onSort: (sort: Sort) => void;
}) {
  return (
    <View style={styles.row}>
      {HEADS.map(([by, name, place]) => (
        <View key={by} style={place}>
          <TouchableRipple
            role="button"
            aria-label={`Sort by ${name.toLowerCase()}`}
            aria-pressed={sort === by}
            onPress={() => onSort(by)}
            style={styles.head}
          >
            <Words soft={sort !== by} bold={sort === by} size={14}>
              {name}
            </Words>
          </TouchableRipple>
        </View>
      ))}
    </View>
  );
}

/** The stage of a job, or its signed revision. */
const whereText = ({ revision, stage }: JobRow): string =>
  revision === undefined ? `at ${STAGE_NAME[stage]}` : `signed, revision ${revision}`;

interface RowProps {
  readonly job: JobRow;
  readonly wide: boolean;
  readonly today: Date;
  /** The pointer or the keyboard has come to it. */
  readonly onReach: (id: string) => void;
}

function Row({ job, wide, today, onReach }: RowProps) {
  const ruled = useRuled();
  const overall = useVerdict(job);
  const name = job.name || 'New machine';
  const due = job.stage === 'log' ? undefined : job.due;
  const verdict = (
    <View style={[flow.line, { ...(wide ? { width: COLUMN.verdict } : {}) }]}>
      {overall ? <StateMark state={overall.state} /> : null}
      <Words size={15} style={flow.shrink}>
        {overall?.title ?? ' '}
      </Words>
    </View>
  );
  const next = overall?.next ? (
    <Words soft size={14} numberOfLines={1}>
      {`Next: ${overall.next}`}
    </Words>
  ) : null;
  return (
    <View role="listitem" style={ruled}>
      <TouchableRipple
        role="link"
        aria-label={[
          job.number,
          name,
          job.use,
          whereText(job),
          due && dueText(due, today),
          overall?.title,
          overall?.next && `next: ${overall.next}`,
        ]
          .filter(Boolean)
          .join(', ')}
        {...webLink(`/job/${job.id}`, () =>
          router.navigate({ pathname: '/job/[id]', params: { id: job.id } }),
        )}
        {...(wide ? { onHoverIn: () => onReach(job.id), onFocus: () => onReach(job.id) } : {})}
        style={styles.padded}
      >
        {wide ? (
          <View style={styles.rowRow}>
            <Digits size={15} style={styles.text}>
              {job.number}
            </Digits>
            <View style={styles.listHeadText}>
              <Words bold numberOfLines={1}>
                {name}
              </Words>
              <Words soft size={15} numberOfLines={1}>
                {job.use}
              </Words>
              {next}
            </View>
            <View style={styles.listHeadTextSized}>
              <Words size={15}>{upperFirst(whereText(job).replace(/^at /, ''))}</Words>
              {due ? (
                <Words soft={!isDue(job, today)} bold={isDue(job, today)} size={14}>
                  {dueText(due, today)}
                </Words>
              ) : null}
            </View>
            {verdict}
          </View>
        ) : (
          <View style={flow.lines}>
            <View style={styles.rowRowAligned}>
              <Words bold size={18} numberOfLines={2} style={flow.shrink}>
                {name}
              </Words>
              <Digits soft size={14} style={flow.rigid}>
                {job.number}
              </Digits>
            </View>
            <Words soft size={15} numberOfLines={1}>
              {[job.use, whereText(job)].filter(Boolean).join(' · ')}
              {due ? ' · ' : null}
              {due ? dueText(due, today) : null}
            </Words>
            {verdict}
            {next}
          </View>
        )}
      </TouchableRipple>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.margin },
  text: { width: COLUMN.number },
  listHeadText: { flexGrow: 1, flexBasis: 0 },
  listHeadTextSized: { width: COLUMN.stage },
  head: { minHeight: 48, justifyContent: 'center' },
  padded: { minHeight: 72, justifyContent: 'center', paddingVertical: SPACE.gap },
  rowRow: { flexDirection: 'row', gap: SPACE.margin, alignItems: 'center' },
  rowRowAligned: { flexDirection: 'row', gap: SPACE.gap, alignItems: 'baseline' },
});
