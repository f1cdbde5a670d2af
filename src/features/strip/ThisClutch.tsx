import { View } from 'react-native';

import type { Job } from '@/core/job/types';
import { releasedBy } from '@/core/release/way';
import { isOfAnotherClutch } from '@/core/strip/refit';
import { ExpandingFitted, ReleaseWay, SpringFamily } from '@/features/pack/BuildChoices';
import { Action } from '@/ui/Action';
import { Panel } from '@/ui/Panel';
import { Heading, Words } from '@/ui/Words';

const FAMILY_SHORT = { coil: 'Coil springs', diaphragm: 'Diaphragm', loose: 'Loose springs' };
const RELEASE_SHORT = {
  hydraulic: 'hydraulics',
  cable: 'cable',
  measured: 'lift by a dial',
  pedal: 'shift pedal',
};

interface ThisClutchProps {
  readonly job: Job;
  readonly onRefit: () => void;
}

/** What the lists are made from, asked where it is first seen; folded once they are made. */
export function ThisClutch({ job, onRefit }: ThisClutchProps) {
  const choices = (
    <>
      <SpringFamily label="Its springs" />
      <ReleaseWay seen label="Worked by" />
      <ExpandingFitted label="Expanding disc" />
    </>
  );
  const { springs, release, expanding, strip } = job;
  if (strip.steps.length + strip.parts.length === 0) {
    return (
      <View style={{ gap: 8 }}>
        <Heading level={2}>This clutch</Heading>
        {choices}
      </View>
    );
  }
  return (
    <>
      <Panel
        title="This clutch"
        level={2}
        summary={[
          FAMILY_SHORT[springs.type],
          RELEASE_SHORT[releasedBy(job) === 'pedal' ? 'pedal' : release.type],
          ...(expanding.fitted ? ['expanding disc'] : []),
        ].join(', ')}
      >
        {choices}
      </Panel>
      {isOfAnotherClutch(job) ? (
        <View role="status" style={{ gap: 8 }}>
          <Words>The lists below were made for another clutch than this.</Words>
          <Action icon="check" onPress={onRefit}>
            Bring the lists to this clutch
          </Action>
        </View>
      ) : null}
    </>
  );
}
