import { nanoid } from '@reduxjs/toolkit';
import { router } from 'expo-router';
import { memo, startTransition, useEffect, useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { JobRow } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import { useBackupWords } from '@/features/backup/useBackupWords';
import { UpdateNotice } from '@/features/offline/UpdateNotice';
import { pickFile } from '@/files/share';
import { useAppDispatch, useAppSelector } from '@/store/store';
import { Action } from '@/ui/Action';
import { STAGE_NAME } from '@/core/job/words';
import { StateMark } from '@/ui/StateMark';
import { useStrata } from '@/ui/theme';
import { afterPaint } from '@/ui/useLater';
import { Tool } from '@/ui/Tool';
import { TopBar } from '@/ui/TopBar';
import { UndoBar } from '@/ui/UndoBar';
import { useWide } from '@/ui/useWide';
import { webLink } from '@/ui/webLink';
import { Digits, Heading, Words } from '@/ui/Words';

import { ALL_JOBS, daysLeft, findJobs, isDue } from './findJobs';
import { FromPanel } from './FromPanel';
import { importJob } from './importJob';
import { JobFilter } from './JobFilter';
import { jobActions } from './jobsSlice';
import { selectRows } from './rows';
import { useVerdict } from './useVerdict';
import { WhenRead } from './WhenRead';

/** Rows on a tall screen, rows that follow a frame later, and more at a press: thousands would take seconds to draw. */
const IN_SIGHT = 6;
const ROWS = 40;
const MORE = 100;

/** All jobs of the workshop, the one last worked on first. */
export function JobListScreen() {
  const [from, setFrom] = useState(false);
  const empty = useAppSelector((state) => selectRows(state).length === 0);
  const strata = useStrata();
  const wide = useWide();
  const dispatch = useAppDispatch();
  const [told, setTold] = useState<{ readonly text: string; readonly bad: boolean }>();

  const start = () => {
    const id = nanoid(12);
    dispatch(jobActions.jobStarted({ id }));
    router.navigate({ pathname: '/job/[id]', params: { id } });
  };
  const derive = (job: Job, how: 'machine' | 'copy') => {
    const id = nanoid(12);
    dispatch(jobActions.jobDerived({ id, fromId: job.id, how }));
    router.navigate({ pathname: '/job/[id]', params: { id } });
  };
  const take = async () => {
    const file = await pickFile('.json,application/json');
    if (file) setTold(await dispatch(importJob(file)));
  };

  const ways: readonly WayProps[] = [
    { icon: 'magnify', word: 'Find', label: 'Find', onPress: () => router.navigate('/find') },
    { icon: 'calendar-clock', word: 'Due', label: 'Due', onPress: () => router.navigate('/due') },
    {
      icon: 'layers-outline',
      word: 'Shelf',
      label: 'Shelf',
      onPress: () => router.navigate('/shelf'),
    },
    {
      icon: 'ruler',
      word: 'Limits',
      label: 'Limits',
      onPress: () => router.navigate('/library'),
    },
    {
      icon: 'school-outline',
      word: 'Learn',
      label: 'Learn',
      onPress: () => router.navigate('/learn'),
    },
    { icon: 'import', word: 'Import', label: 'Import', onPress: () => void take() },
    { icon: 'download', word: 'Backup', label: 'Backup', onPress: () => router.navigate('/files') },
  ];

  return (
    <View style={{ flex: 1, backgroundColor: strata.ground }}>
      <TopBar title="Under Ridge" />
      <ScrollView
        role="main"
        contentContainerStyle={{
          padding: 16,
          gap: 16,
          maxWidth: 960,
          width: '100%',
          alignSelf: 'center',
        }}
      >
        <View style={{ flexDirection: 'row', gap: 10, flexWrap: 'wrap', alignItems: 'center' }}>
          <View style={{ flexGrow: 1 }}>
            <Heading level={2}>Jobs</Heading>
          </View>
          {empty ? null : (
            <Action
              icon="content-copy"
              accessibilityLabel="From a known machine"
              onPress={() => setFrom(!from)}
            >
              {wide ? 'From a known machine' : 'Known'}
            </Action>
          )}
          <Action main icon="plus" onPress={start}>
            New job
          </Action>
        </View>
        <View
          style={{
            flexDirection: 'row',
            flexWrap: 'wrap',
            ...(wide ? { gap: 8 } : { justifyContent: 'space-between' }),
          }}
        >
          {ways.map((way) => (
            <Way key={way.label} {...way} wide={wide} />
          ))}
        </View>
        {from ? (
          <WhenRead>
            <FromPanel onTake={derive} onClose={() => setFrom(false)} />
          </WhenRead>
        ) : null}
        <View aria-live="polite">
          {told ? (
            <Words style={{ color: told.bad ? strata.stop : strata.ink }}>{told.text}</Words>
          ) : null}
        </View>
        <UpdateNotice />
        <BackupReminder />
        <UndoBars />
        <JobList />
      </ScrollView>
    </View>
  );
}

/** The jobs, as they are searched, filtered and ordered; by itself, so that a key of the search draws nothing else. */
function JobList() {
  const all = useAppSelector(selectRows);
  const wide = useWide();
  const [query, setQuery] = useState(ALL_JOBS);
  const [today] = useState(() => new Date());
  const jobs = useMemo(() => findJobs(all, query, today), [all, query, today]);
  const [page, setPage] = useState({ query, rows: IN_SIGHT });
  // Another search begins at its top again, and what lies below the screen follows what is on it.
  const rows = page.query === query ? page.rows : IN_SIGHT;
  useEffect(() => {
    if (page.query !== query || page.rows < ROWS)
      afterPaint(() => startTransition(() => setPage({ query, rows: ROWS })));
  }, [page, query]);
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

interface WayProps {
  readonly icon: string;
  /** Under the sign, where there is no room for the label. */
  readonly word: string;
  readonly label: string;
  readonly onPress: () => void;
}

/** A way from the list to somewhere else: a small key on a phone, so that the jobs stay in sight. */
function Way({ icon, word, label, onPress, wide }: WayProps & { readonly wide: boolean }) {
  return wide ? (
    <Action icon={icon} onPress={onPress}>
      {label}
    </Action>
  ) : (
    <Tool icon={icon} word={word} label={label} width={50} onPress={onPress} />
  );
}

/** So many jobs changed since the last backup are worth a word. */
const MANY_CHANGED = 5;

function BackupReminder() {
  const { text, changed } = useBackupWords();
  if (changed < MANY_CHANGED) return null;
  return (
    <View role="status" aria-label="Backup">
      <Words soft>{`${text} A lost phone would take them along: back up.`}</Words>
    </View>
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

/** When a job is wanted back, in words. */
function dueWords(job: JobRow, today: Date): string | undefined {
  const days = job.stage === 'log' ? undefined : daysLeft(job, today);
  if (days === undefined) return undefined;
  if (days < 0) return days === -1 ? 'due yesterday' : `${-days} days late`;
  return days === 0 ? 'due today' : days === 1 ? 'due tomorrow' : `due in ${days} days`;
}

const Row = memo(function Row({ job, wide, today }: RowProps) {
  const strata = useStrata();
  const overall = useVerdict(job);
  const name = job.name || 'New machine';
  const due = dueWords(job, today);
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
        aria-label={[job.number, name, job.use, `at ${STAGE_NAME[job.stage]}`, due, overall?.title]
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
                  {due}
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
              {[job.use, `at ${STAGE_NAME[job.stage]}`, due].filter(Boolean).join(' · ')}
            </Words>
            {verdict}
          </View>
        )}
      </TouchableRipple>
    </View>
  );
});

/** What was last deleted or archived, with the way back. */
function UndoBars() {
  const removed = useAppSelector((state) => state.jobs.removed);
  const archived = useAppSelector((state) =>
    state.jobs.archivedId ? state.jobs.entities[state.jobs.archivedId] : undefined,
  );
  const dispatch = useAppDispatch();
  return (
    <>
      {removed ? (
        <UndoBar
          text={`${removed.job.number} ${removed.job.machine.name} is deleted.`}
          onUndo={() => dispatch(jobActions.removalUndone())}
          onForget={() => dispatch(jobActions.removalForgotten())}
        />
      ) : null}
      {archived ? (
        <UndoBar
          text={`${archived.number} ${archived.machine.name} is in the archive.`}
          onUndo={() => dispatch(jobActions.jobArchived({ jobId: archived.id, archived: false }))}
          onForget={() => dispatch(jobActions.archivingForgotten())}
        />
      ) : null}
    </>
  );
}
