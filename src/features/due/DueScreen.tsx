import { differenceInCalendarDays, parseISO } from 'date-fns';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { Due } from '@/core/due/due';
import { hasRealDates } from '@/core/due/days';
import { dueOf } from '@/core/due/due';
import { readSentence } from '@/core/text/sentence';
import type { Stage } from '@/core/job/types';
import { useUnits } from '@/features/display/useUnits';
import { jobSelectors } from '@/state/jobs/jobsSlice';
import { WhenRead } from '@/features/jobs/WhenRead';
import { download } from '@/files/share';
import { useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { dayText, nearMomentText } from '@/ui/dates';
import { JobPreview } from '@/features/jobs/JobPreview';
import { Beside } from '@/features/page/Beside';
import { Page } from '@/features/page/Page';
import { SPACE, useRuled, useStrata } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { webLink } from '@/ui/webLink';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

/** The stage to open for a due date. */
const STAGE: Readonly<Record<Due['kind'], Stage | undefined>> = {
  back: undefined,
  soak: 'build',
  recheck: 'prove',
  limit: 'log',
};

/** All that is due in the workshop, with its reason, and as a calendar to take along. */
export function DueScreen() {
  return (
    <Page title="Due" broad>
      <WhenRead>
        <DueList />
      </WhenRead>
    </Page>
  );
}

function DueList() {
  const jobs = useAppSelector(jobSelectors.selectAll);
  const now = new Date();
  const due = dueOf(jobs, now.toISOString());
  const [under, setUnder] = useState<string>();
  const wide = useWide();
  const undated = jobs.filter((job) => !job.archived && !hasRealDates(job));
  const takeAlong = async () => {
    const { writeCalendar } = await import('@/files/calendar');
    download('under-ridge-due.ics', writeCalendar(due, new Date()), 'text/calendar');
  };
  return (
    <Beside
      label="The job in short"
      beside={wide ? <JobPreview id={under ?? due[0]?.jobId} /> : null}
    >
      <View style={flow.wrapLine}>
        <View style={flow.growOnly}>
          <Heading level={2}>Due dates</Heading>
        </View>
        <Action
          icon="download"
          blocked={due.length === 0 ? 'No due dates to export.' : undefined}
          onPress={() => void takeAlong()}
        >
          Export as calendar
        </Action>
      </View>
      <Words soft size={15}>
        Due dates of jobs, linings in oil, measurements after break-in and estimated wear-limit
        dates. Import the file again to update the calendar.
      </Words>
      {undated.length > 0 ? (
        <View role="alert">
          <Words>
            {`Left out because the date does not exist: ${undated.map((job) => job.number).join(', ')}.`}
          </Words>
        </View>
      ) : null}
      {due.length === 0 ? (
        <>
          <Words>Nothing is due. Enter a due date at Intake of a job.</Words>
          <Action icon="arrow-left" onPress={() => router.navigate('/')}>
            Go to jobs
          </Action>
        </>
      ) : (
        <View role="list" aria-label="Due dates, earliest first">
          {due.map((d) => (
            <DueRow key={d.id} due={d} today={now} onReach={setUnder} />
          ))}
        </View>
      )}
    </Beside>
  );
}

function daysText(due: Due, today: Date): string {
  if (due.at) return nearMomentText(due.at);
  const days = differenceInCalendarDays(parseISO(due.day), today);
  const date = dayText(due.day);
  if (days < 0) return `${date}, ${days === -1 ? 'a day' : `${-days} days`} late`;
  if (days === 0) return `${date}, today`;
  return days <= 60 ? `${date}, in ${countOf(days, 'day')}` : date;
}

function DueRow({
  due,
  today,
  onReach,
}: {
  readonly due: Due;
  readonly today: Date;
  /** The pointer or the keyboard has come to it. */
  readonly onReach: (jobId: string) => void;
}) {
  const ruled = useRuled();
  const strata = useStrata();
  const units = useUnits();
  const stage = STAGE[due.kind];
  const late = !due.at && differenceInCalendarDays(parseISO(due.day), today) < 0;
  const when = daysText(due, today);
  const reason = readSentence(due.reason, units);
  return (
    <View role="listitem" style={ruled}>
      <TouchableRipple
        role="link"
        aria-label={`${when}: ${due.number} ${due.machine}, ${due.title}. ${reason}`}
        {...webLink(`/job/${due.jobId}${stage ? `?stage=${stage}` : ''}`, () =>
          router.navigate({
            pathname: '/job/[id]',
            params: { id: due.jobId, ...(stage ? { stage } : {}) },
          }),
        )}
        onHoverIn={() => onReach(due.jobId)}
        onFocus={() => onReach(due.jobId)}
        style={styles.padded}
      >
        <View style={flow.lines}>
          <Words size={15} bold={late} soft={!late} style={late ? { color: strata.stop } : {}}>
            {when}
          </Words>
          <Words bold>{`${due.machine}: ${due.title}`}</Words>
          <Words soft size={15}>{`${due.number}. ${reason}`}</Words>
        </View>
      </TouchableRipple>
    </View>
  );
}

const styles = StyleSheet.create({
  padded: { minHeight: 72, justifyContent: 'center', paddingVertical: SPACE.gap },
});
