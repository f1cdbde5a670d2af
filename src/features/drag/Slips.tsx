import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { fieldPath } from '@/core/job/fieldPath';
import type { Job, PlateKind, Slip } from '@/core/job/types';
import { MAX_SLIPS } from '@/core/job/types';
import { countOf } from '@/core/text/countOf';
import type { ShopFriction } from '@/core/torque/slipFriction';
import { frictionOfSlip, shopFrictions, withShopFriction } from '@/core/torque/slipFriction';
import { LINING_ESTIMATES } from '@/core/torque/linings';
import { EntryField } from '@/features/entry/EntryField';
import { WhenRead } from '@/features/jobs/WhenRead';
import { useEditJob } from '@/state/jobs/editJob';
import { jobSelectors } from '@/state/jobs/jobsSlice';
import { useJob } from '@/state/jobs/useJob';
import { useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { dayText, isoDay } from '@/ui/dates';
import { FieldGrid } from '@/ui/FieldGrid';
import { flow } from '@/ui/flow';
import { Panel } from '@/ui/Panel';
import { useRuled } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

const withSlips = (job: Job, change: (all: readonly Slip[]) => readonly Slip[]): Job => ({
  ...job,
  slips: change(job.slips ?? []),
});

/** Slips that were seen, the friction that each shows, and what this shop has found of its linings. */
export function Slips() {
  const job = useJob();
  const { slips = [] } = job;
  const edit = useEditJob();
  const discs = job.pack.kinds.filter((k) => k.lined !== 'none');
  const [first] = discs;
  return (
    <Panel
      title="Friction from a slip"
      summary={slips.length > 0 ? countOf(slips.length, 'slip') : 'Seen on the dyno or on the road'}
    >
      {slips.map((slip) => (
        <SlipFields key={slip.id} slip={slip} />
      ))}
      <Action
        icon="plus"
        blocked={
          !first
            ? 'Add a disc type first.'
            : slips.length >= MAX_SLIPS
              ? `A job holds at most ${MAX_SLIPS} slips.`
              : undefined
        }
        onPress={() => {
          if (first)
            edit((j) =>
              withSlips(j, (all) => [
                ...all,
                { id: nanoid(8), date: isoDay(), kindId: first.id, note: '' },
              ]),
            );
        }}
      >
        Add slip
      </Action>
      <WhenRead>
        <OfThisShop discs={discs} />
      </WhenRead>
    </Panel>
  );
}

function SlipFields({ slip }: { readonly slip: Slip }) {
  const job = useJob();
  const edit = useEditJob();
  const friction = frictionOfSlip(job, slip);
  return (
    <View style={flow.stack}>
      <Words bold size={15}>{`Slip of ${dayText(slip.date)}`}</Words>
      <FieldGrid>
        <EntryField path={fieldPath('slips.*.torque', slip.id)} />
        <EntryField path={fieldPath('slips.*.rpm', slip.id)} />
        <EntryField path={fieldPath('slips.*.gearRatio', slip.id)} />
        <EntryField path={fieldPath('slips.*.grade', slip.id)} />
      </FieldGrid>
      <View aria-live="polite">
        <Words bold>
          {friction === undefined
            ? 'Friction not known: enter the torque, or gear and grade; no friction from 0.01 to 0.6 fits otherwise.'
            : `Friction of the lining: ${friction.toFixed(3)}.`}
        </Words>
      </View>
      <Action
        icon="delete-outline"
        onPress={() => edit((j) => withSlips(j, (all) => all.filter((s) => s.id !== slip.id)))}
      >
        Remove slip
      </Action>
    </View>
  );
}

/** What all jobs of the shop say of these linings, to be used in this one. */
function OfThisShop({ discs }: { readonly discs: readonly PlateKind[] }) {
  const jobs = useAppSelector(jobSelectors.selectAll);
  const ruled = useRuled();
  const edit = useEditJob();
  const found = shopFrictions(jobs);
  if (found.length === 0) return null;
  const use = (kind: PlateKind, friction: ShopFriction) =>
    edit((j) => withShopFriction(j, kind.id, friction, isoDay()));
  return (
    <View style={flow.stack}>
      <Heading level={3}>Linings of this shop</Heading>
      {found.map((f) => (
        <View key={f.lining} style={[ruled, flow.stack]}>
          <Words size={15}>
            {`${LINING_ESTIMATES[f.lining].name}: ${f.mean.toFixed(3)} from ${countOf(f.count, 'slip')}${f.count > 1 ? `, ${f.low.toFixed(3)} to ${f.high.toFixed(3)}` : ''}.`}
          </Words>
          {discs
            .filter((kind) => kind.lining === f.lining)
            .map((kind) => (
              <Action key={kind.id} onPress={() => use(kind, f)}>
                {`Use for ${kind.name || 'this disc'}`}
              </Action>
            ))}
        </View>
      ))}
    </View>
  );
}
