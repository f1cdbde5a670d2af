import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { ATTACHMENTS, SPRING_KINDS } from '@/core/clutch/fitted';
import { upperFirst } from '@/core/text/sentence';
import { releasedBy } from '@/core/release/way';
import { isForOtherClutch, withUpdatedLists } from '@/core/strip/updateLists';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { AttachmentChoice } from '@/features/pack/AttachmentFields';
import { ReleaseWay, SpringFamily } from '@/features/pack/BuildChoices';
import { Action } from '@/ui/Action';
import { Panel } from '@/ui/Panel';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const RELEASE_SHORT = {
  hydraulic: 'hydraulics',
  cable: 'cable',
  measured: 'lift by a dial',
  pedal: 'shift pedal',
};

/** The choices that the lists depend on, asked at Strip; closed once the lists exist. */
export function ThisClutch() {
  const change = useEditJob();
  const made = useJobPart(({ strip }) => strip.steps.length + strip.parts.length > 0);
  const ofAnother = useJobPart(isForOtherClutch);
  const summary = useJobPart((job) =>
    [
      ...SPRING_KINDS.filter((kind) => kind.isFitted(job)).map(({ name }) => upperFirst(name)),
      RELEASE_SHORT[releasedBy(job) === 'pedal' ? 'pedal' : job.release.type],
      ...ATTACHMENTS.filter((kind) => kind.takesUp === 'inPack' && kind.isFitted(job)).map(
        ({ name }) => name,
      ),
    ].join(', '),
  );
  const refit = () => change((job) => ({ ...job, strip: withUpdatedLists(job, () => nanoid(8)) }));
  const choices = (
    <>
      <SpringFamily label="Springs" />
      <ReleaseWay seen label="Release" />
      {ATTACHMENTS.filter((kind) => kind.takesUp === 'inPack').map((kind) => (
        <AttachmentChoice key={kind.id} kind={kind} label={upperFirst(kind.name)} />
      ))}
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
          <Words>The lists below were made for a different clutch.</Words>
          <Action icon="check" onPress={refit}>
            Update the lists
          </Action>
        </View>
      ) : null}
    </>
  );
}
