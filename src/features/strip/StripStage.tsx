import { nanoid } from '@reduxjs/toolkit';

import { MAX_NOTES } from '@/core/job/fields';
import type { Job } from '@/core/job/types';
import { refitted } from '@/core/strip/refit';
import { smallParts, stripLines } from '@/core/strip/stripList';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import { useChangeJob } from '@/features/jobs/changeJob';
import { useJob } from '@/features/jobs/useJob';
import { PhotoPanel } from '@/features/photos/PhotoPanel';
import { Later } from '@/ui/Later';
import { LineField } from '@/ui/LineField';

import { FoundOrder } from './FoundOrder';
import { withWhatWasFound } from './packAsFound';
import { PartsOut } from './PartsOut';
import { StripList } from './StripList';
import { ThisClutch } from './ThisClutch';

/** Strip: what comes off in which order, what is counted, and how the plates lay. */
export function StripStage() {
  const job = useJob();
  const change = useChangeJob();
  const { strip } = job;
  const setStrip = (part: (strip: Job['strip']) => Partial<Job['strip']>) =>
    change((j) => ({ ...j, strip: { ...j.strip, ...part(j.strip) } }));
  return (
    <StagePage>
      <ThisClutch job={job} onRefit={() => setStrip(() => refitted(job, () => nanoid(8)))} />
      <StripList
        steps={strip.steps}
        onChange={(next) => setStrip((s) => ({ steps: next(s.steps) }))}
        onMake={() =>
          change((j) => ({
            ...j,
            strip: {
              ...j.strip,
              steps: stripLines(j).map((l) => ({ ...l, id: nanoid(8), done: false })),
            },
          }))
        }
      />
      <Later>
        <PartsOut
          parts={strip.parts}
          onChange={(next) => setStrip((s) => ({ parts: next(s.parts) }))}
          onMake={() =>
            change((j) => ({
              ...j,
              strip: { ...j.strip, parts: smallParts(j).map((p) => ({ ...p, id: nanoid(8) })) },
            }))
          }
        />
        <FoundOrder />
        <LineField
          label="Notes while stripping"
          value={strip.notes}
          maxLength={MAX_NOTES}
          multiline
          onChangeText={(notes) => setStrip(() => ({ notes }))}
        />
        <PhotoPanel />
        <StageDone stage="strip" alsoDone={withWhatWasFound} />
      </Later>
    </StagePage>
  );
}
