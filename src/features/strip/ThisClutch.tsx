import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { ATTACHMENTS, SPRING_KINDS } from '@/core/clutch/fitted';
import { hasPack } from '@/core/guide/layouts';
import { releasedBy } from '@/core/release/way';
import { asCame } from '@/core/strip/asCame';
import { isForOtherClutch, withUpdatedLists } from '@/core/strip/updateLists';
import { upperFirst } from '@/core/text/sentence';
import type { QuestionId } from '@/features/pack/Questions';
import { Question } from '@/features/pack/Questions';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { flow } from '@/ui/flow';
import { Panel } from '@/ui/Panel';
import { Heading, Words } from '@/ui/Words';

const RELEASE_SHORT = {
  hydraulic: 'hydraulics',
  cable: 'cable',
  measured: 'lift by a dial',
  pedal: 'shift pedal',
};

const ASKED: readonly QuestionId[] = [
  'springs',
  'release',
  'hubStays',
  'separatePrimary',
  'attached',
];

/** The clutch that is on the machine, as the lists need it; closed once the lists exist. */
export function ThisClutch() {
  const change = useEditJob();
  const pack = useJobPart((job) => hasPack(job.machine.layout));
  const made = useJobPart(({ strip }) => strip.steps.length + strip.parts.length > 0);
  const ofAnother = useJobPart(isForOtherClutch);
  const summary = useJobPart((job) => {
    const came = asCame(job);
    return [
      ...SPRING_KINDS.filter((kind) => kind.isFitted(came)).map(({ name }) => upperFirst(name)),
      job.release.undecided
        ? 'release not known'
        : RELEASE_SHORT[releasedBy(job) === 'pedal' ? 'pedal' : job.release.type],
      ...ATTACHMENTS.filter((kind) => kind.takesUp === 'inPack' && kind.isFitted(came)).map(
        ({ name }) => name,
      ),
      ...(job.strip.hubStays ? ['hub stays on'] : []),
    ].join(', ');
  });
  const refit = () => change((job) => ({ ...job, strip: withUpdatedLists(job, () => nanoid(8)) }));
  if (!pack) return null;
  const choices = ASKED.map((id) => <Question key={id} id={id} />);
  if (!made) {
    return (
      <View style={flow.stack}>
        <Heading level={2}>The clutch as it came</Heading>
        {choices}
      </View>
    );
  }
  return (
    <>
      <Panel title="The clutch as it came" level={2} summary={summary}>
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
