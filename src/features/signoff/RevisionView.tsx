import { View } from 'react-native';

import type { Revision } from '@/core/job/types';
import { jobSheet } from '@/core/paper/jobSheet';
import { jobOfRevision } from '@/core/signoff/revisions';
import { useUnits } from '@/features/display/useUnits';
import { Action } from '@/ui/Action';

import { SheetView } from './SheetView';
import { flow } from '@/ui/flow';

interface Props {
  readonly revision: Revision;
  readonly onClose: () => void;
}

/** A signed revision as it was signed, whatever the job has become since. */
export function RevisionView({ revision, onClose }: Props) {
  const units = useUnits();
  const job = jobOfRevision(revision);
  const paper = jobSheet(job, { units, revision });
  return (
    <View style={flow.sections}>
      <View style={flow.inline}>
        <Action icon="arrow-left" onPress={onClose}>
          Back to sign-off
        </Action>
      </View>
      <SheetView paper={paper} job={job} />
    </View>
  );
}
