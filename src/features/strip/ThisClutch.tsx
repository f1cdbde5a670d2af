import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { releasedBy } from '@/core/release/way';
import { isOfAnotherClutch, refitted } from '@/core/strip/refit';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { ExpandingFitted, ReleaseWay, SpringFamily } from '@/features/pack/BuildChoices';
import { Action } from '@/ui/Action';
import { Panel } from '@/ui/Panel';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const FAMILY_SHORT = { coil: 'Coil springs', diaphragm: 'Diaphragm', loose: 'Loose springs' };
const RELEASE_SHORT = {
  hydraulic: 'hydraulics',
  cable: 'cable',
  measured: 'lift by a dial',
  pedal: 'shift pedal',
};

/** What the lists are made from, asked where it is first seen; folded once they are made. */
export function ThisClutch() {
  const change = useEditJob();
  const made = useJobPart(({ strip }) => strip.steps.length + strip.parts.length > 0);
  const ofAnother = useJobPart(isOfAnotherClutch);
  const summary = useJobPart((job) =>
    [
      FAMILY_SHORT[job.springs.type],
      RELEASE_SHORT[releasedBy(job) === 'pedal' ? 'pedal' : job.release.type],
      ...(job.expanding.fitted ? ['expanding disc'] : []),
    ].join(', '),
  );
  const refit = () => change((job) => ({ ...job, strip: refitted(job, () => nanoid(8)) }));
  const choices = (
    <>
      <SpringFamily label="Its springs" />
      <ReleaseWay seen label="Worked by" />
      <ExpandingFitted label="Expanding disc" />
    </>
  );
  if (!made) {
    return (
      <View style={flow.stack}>
        <Heading level={2}>This clutch</Heading>
        {choices}
      </View>
    );
  }
  return (
    <>
      <Panel title="This clutch" level={2} summary={summary}>
        {choices}
      </Panel>
      {ofAnother ? (
        <View role="status" style={flow.stack}>
          <Words>The lists below were made for another clutch than this.</Words>
          <Action icon="check" onPress={refit}>
            Bring the lists to this clutch
          </Action>
        </View>
      ) : null}
    </>
  );
}
