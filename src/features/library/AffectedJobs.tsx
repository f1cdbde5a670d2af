import { nanoid } from '@reduxjs/toolkit';
import { StyleSheet, View } from 'react-native';

import type { SpecSheet } from '@/core/library/limits';
import type { AffectedJob } from '@/core/library/applySpecSheet';
import { affectedJobs, changesBySheet, withSpecSheet } from '@/core/library/applySpecSheet';
import { useUnits } from '@/features/display/useUnits';
import { editJob } from '@/state/jobs/editJob';
import { jobSelectors } from '@/state/jobs/jobsSlice';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { SPACE, useRuled } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { differenceText, partText } from './words';

/** Jobs that use a sheet with a different value: the effect of a changed limit. */
export function AffectedJobs({ sheet }: { readonly sheet: SpecSheet }) {
  const jobs = useAppSelector(jobSelectors.selectAll);
  const users = jobs.filter((job) => job.machine.limitsId === sheet.id && !job.archived).length;
  const touched = affectedJobs(sheet, jobs);
  if (users === 0)
    return (
      <Words soft size={15}>
        No job uses this spec sheet yet.
      </Words>
    );
  if (touched.length === 0)
    return (
      <Words soft size={15}>
        {users === 1 ? 'The job that uses' : `All ${users} jobs that use`} this spec sheet{' '}
        {users === 1 ? 'has' : 'have'} the same values.
      </Words>
    );
  return (
    <View role="list" aria-label="Jobs with another value">
      {touched.map((one) => (
        <AffectedJobRow key={one.job.id} sheet={sheet} touched={one} />
      ))}
    </View>
  );
}

interface RowProps {
  readonly sheet: SpecSheet;
  readonly touched: AffectedJob;
}

function AffectedJobRow({ sheet, touched: { job, differs, parts, signed } }: RowProps) {
  const units = useUnits();
  const ruled = useRuled();
  const dispatch = useAppDispatch();
  const name = [job.number, job.machine.name].filter(Boolean).join(' ');
  return (
    <View role="listitem" style={[ruled, styles.item]}>
      <Words bold size={15}>
        {name}
      </Words>
      {differs.map((d) => (
        <Words key={d.limit.id} size={14}>
          {differenceText(d, units)}
        </Words>
      ))}
      {parts.map((part) => (
        <Words key={part.key} size={14}>
          {partText(part, sheet)}
        </Words>
      ))}
      {signed ? (
        <Words soft size={14}>
          Signed: not changed.
        </Words>
      ) : (
        <Action
          accessibilityLabel={`Update ${name}`}
          onPress={() =>
            dispatch(
              editJob(job.id, (j) =>
                withSpecSheet(j, sheet, changesBySheet(sheet, j), () => nanoid(10)),
              ),
            )
          }
        >
          Update this job
        </Action>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  item: { paddingVertical: SPACE.gap, gap: SPACE.gap },
});
