import { router } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { JobRow } from '@/core/job/row';
import { STAGE_NAME } from '@/core/job/words';
import { useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useRuled } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { webLink } from '@/ui/webLink';
import { Digits, Words } from '@/ui/Words';

import { dueText, isDue } from './due';
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

/** The jobs after search, filter and sort; separate, so that a search key redraws nothing else. */
export function JobList() {
  const all = useAppSelector(selectRows);
  const wide = useWide();
  const [query, setQuery] = useState(ALL_JOBS);
  const [today] = useState(() => new Date());
  const jobs = findJobs(all, query, today);
  const [page, setPage] = useState({ query, rows: ROWS });
  // A new search starts at the top; rows below the fold render later.
  const rows = useDeferredValue(page.query === query ? page.rows : ROWS, IN_SIGHT);
  if (all.length === 0) return <Words>No jobs yet. Create a job, or import one from a file.</Words>;
  return (
    <>
      <JobFilter query={query} onChange={setQuery} />
      {jobs.length === 0 ? (
        <View style={flow.stack}>
          <Words>No matching job.</Words>
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
        <View style={flow.stack}>
          <Words soft>{`${rows} of ${countOf(jobs.length, 'job')} shown.`}</Words>
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
    <View aria-hidden style={styles.row}>
      <Words soft size={14} style={styles.text}>
        Number
      </Words>
      <Words soft size={14} style={styles.listHeadText}>
        Machine
      </Words>
      <Words soft size={14} style={styles.listHeadTextSized}>
        Stage
      </Words>
      <Words soft size={14} style={styles.listHeadTextSized2}>
        Pack verdict
      </Words>
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
}

function Row({ job, wide, today }: RowProps) {
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
              <Words bold size={18} numberOfLines={1} style={flow.shrink}>
                {name}
              </Words>
              <Digits soft size={14}>
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
  row: { flexDirection: 'row', gap: SPACE.margin, paddingBottom: SPACE.gap },
  text: { width: COLUMN.number },
  listHeadText: { flexGrow: 1, flexBasis: 0 },
  listHeadTextSized: { width: COLUMN.stage },
  listHeadTextSized2: { width: COLUMN.verdict },
  padded: { minHeight: 72, justifyContent: 'center', paddingVertical: SPACE.gap },
  rowRow: { flexDirection: 'row', gap: SPACE.margin, alignItems: 'center' },
  rowRowAligned: { flexDirection: 'row', gap: SPACE.gap, alignItems: 'baseline' },
});
