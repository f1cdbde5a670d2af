import { router } from 'expo-router';
import { springsOf } from '@/core/clutch/fitted';
import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import type { Job } from '@/core/job/types';
import type { ShelfAnswer, ShelfMiss, ShelfSet } from '@/core/shelf/solver';
import type { Stock } from '@/core/shelf/stock';
import { springSetsOf, steelsOf } from '@/core/shelf/stock';
import { withShelfSet } from '@/core/shelf/shelfSet';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { LooseField } from '@/features/entry/LooseField';
import { FieldGrid } from '@/ui/FieldGrid';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { WhenRead } from '@/features/jobs/WhenRead';
import { Action } from '@/ui/Action';
import { isoDay } from '@/ui/dates';
import { Panel } from '@/ui/Panel';
import { ProgressLine } from '@/ui/ProgressLine';
import { SPACE, useRuled } from '@/ui/theme';
import { toggled } from '@/core/toggled';
import { Toggles } from '@/ui/Choice';
import { Digits, Words } from '@/ui/Words';
import { useHeavy } from '@/workers/useHeavy';

import { useFreeStock } from './useShelf';
import { flow } from '@/ui/flow';

const ANSWERS = 10;
const PULL = {
  quantity: 'force',
  bounds: { above: 0, max: 2000 },
  plausible: [15, 400],
} as const;
const MAY = ['springs', 'step'] as const;
type May = (typeof MAY)[number];

/** The best packs from the shelf for this job, under the given conditions. */
export function ShelfPanel() {
  return (
    <Panel title="From the shelf" summary="Best set of steels, springs and step in stock">
      <WhenRead>
        <Search />
      </WhenRead>
    </Panel>
  );
}

function Search() {
  const job = useJob();
  const stock = useFreeStock();
  const units = useUnits();
  const [may, setMay] = useState<readonly May[]>([]);
  const [maxPull, setMaxPull] = useState<number>();
  // A result belongs to the job as it was at the start.
  const { run, start, stop } = useHeavy<ShelfAnswer>(job);
  const steels = steelsOf(stock);
  const pieces = steels.reduce((sum, s) => sum + s.count, 0);
  const hasGroups = springsOf(job).ofGroups === true;

  const search = () => {
    const request = {
      plates: steels,
      springs: may.includes('springs') ? springSetsOf(stock, job) : [],
      anyStep: may.includes('step'),
      ...(maxPull === undefined ? {} : { maxPull }),
      best: ANSWERS,
    };
    start((runs, progress) => runs.shelf(job, request, progress));
  };

  return (
    <>
      <Words soft size={15}>
        {pieces === 0
          ? 'No free steels on the shelf. Add plates first.'
          : `Discs stay; steels are chosen from ${pieces} on the shelf, closest to the middle of the limits first.`}
      </Words>
      <Toggles<May>
        label="Also vary"
        chosen={may}
        options={[
          ...(hasGroups
            ? [{ value: 'springs' as const, label: 'Springs from the shelf' }]
            : [{ value: 'step' as const, label: 'Retainer step' }]),
        ]}
        onToggle={(m) => setMay(toggled(MAY, may, m))}
      />
      <FieldGrid>
        <LooseField label="Maximum lever pull" spec={PULL} onValue={setMaxPull} />
      </FieldGrid>
      {run.state === 'running' ? (
        <ProgressLine share={run.share} label="Sets checked" onStop={stop} />
      ) : (
        <>
          <Action
            main
            icon="magnify"
            blocked={pieces === 0 ? 'The shelf has no parts yet.' : undefined}
            onPress={search}
          >
            Find the ten best
          </Action>
          {pieces === 0 ? (
            <Action icon="chevron-right" onPress={() => router.navigate('/shelf')}>
              Go to shelf
            </Action>
          ) : null}
        </>
      )}
      <View aria-live="polite">
        {run.state === 'refused' ? <Words>{run.why}</Words> : null}
        {run.state === 'done' && run.result.sets.length === 0 ? (
          <NoSetFound job={job} misses={run.result.misses} units={units} />
        ) : null}
      </View>
      {run.state === 'done' && run.result.sets.length > 0 ? (
        <View role="list" aria-label="Sets from the shelf, best first">
          {run.result.sets.map((set, i) => (
            <SetRow key={i} set={set} place={i + 1} stock={stock} />
          ))}
        </View>
      ) : null}
    </>
  );
}

interface RowProps {
  readonly set: ShelfSet;
  readonly place: number;
  readonly stock: Stock;
}

function SetRow({ set, place, stock }: RowProps) {
  const job = useJob();
  const units = useUnits();
  const ruled = useRuled();
  const change = useEditJob();
  const labelOf = (id: string) => stock.plates.find((p) => p.id === id)?.label ?? id;
  const picks = set.picks
    .map((p) => (p.count > 1 ? `${p.count} × ${labelOf(p.id)}` : labelOf(p.id)))
    .join(', ');
  return (
    <View role="listitem" style={[ruled, styles.item]}>
      <View style={styles.grow}>
        <Digits bold size={15}>
          {`${place}. ${formatWithUnit(set.height, 'length', units)}`}
        </Digits>
        <Words size={14}>
          {[
            set.off === 0
              ? 'at the middle of the limits'
              : `${formatWithUnit(Math.abs(set.off), 'length', units)} ${set.off < 0 ? 'under' : 'over'} the middle`,
            `reserve ${set.reserve.toFixed(2)} worst case`,
            set.newParts === 0 ? 'no new parts' : `${set.newParts} new`,
            set.outOfFlat
              ? `total out-of-flat ${formatWithUnit(set.outOfFlat, 'length', units, 2)}`
              : undefined,
            optionName(job, set.option, stock),
          ]
            .filter(Boolean)
            .join(', ')}
        </Words>
        <Words soft size={14}>
          {picks}
        </Words>
      </View>
      <Action
        accessibilityLabel={`Use set ${place}`}
        onPress={() =>
          change((j) =>
            withShelfSet(
              j,
              set,
              stock,
              { kind: 'measured', date: isoDay(), note: 'from the shelf' },
              () => nanoid(10),
            ),
          )
        }
      >
        Use
      </Action>
    </View>
  );
}

function optionName(job: Job, option: string, stock: Stock): string {
  const [kind, id = ''] = option.split(/:(.*)/s);
  if (kind === 'step')
    return `step ${job.springs.diaphragm.steps.find((s) => s.id === id)?.name ?? id}`;
  if (kind === 'springs')
    return `springs ${stock.springs.find((s) => s.id === id)?.group.name ?? id}`;
  return '';
}

/** The reasons that no set was found, with remedies. */
function NoSetFound({
  job,
  misses,
  units,
}: {
  readonly job: Job;
  readonly misses: readonly ShelfMiss[];
  readonly units: UnitChoice;
}) {
  return (
    <View style={flow.tight}>
      <Words bold>Nothing on the shelf fits.</Words>
      {misses.map((miss) => (
        <Words key={miss.condition} size={15}>
          {nearMissText(job, miss, units)}
        </Words>
      ))}
    </View>
  );
}

/** The missing amount, with enough decimals to be above 0; empty without a measure. */
const shortBy = (by: number): string =>
  by <= 0 ? '' : by < 0.005 ? by.toPrecision(1) : by.toFixed(2);

function nearMissText(job: Job, { condition, by }: ShelfMiss, units: UnitChoice): string {
  const mm = formatWithUnit(by, 'length', units);
  const steels = job.pack.plates.filter(
    (p) => job.pack.kinds.find((k) => k.id === p.kindId)?.lined === 'none',
  ).length;
  switch (condition) {
    case 'stackLimits':
      return `The closest choice of ${steels} steels is ${mm} outside the limits. Order steels of another thickness, or widen the limits.`;
    case 'plates on the shelf':
      return `Not enough steels on the shelf: ${steels} needed.`;
    case 'holds':
      return `No set holds the engine torque${shortBy(by) && `; the best is ${shortBy(by)} short`}. Also vary springs or step, or order stronger springs.`;
    case 'releases':
      return `Lift of the best set is ${mm} too small. Use fewer faces, flatter steels, or more lift.`;
    case 'coils':
      return `Coil bind in the best set, by ${mm}. Order springs with a shorter solid length, or lower the stack.`;
    case 'gap':
      return `The best set misses the plate gap by ${mm}.`;
    case 'basketRetention':
      return 'In the best set a disc is off the basket’s fingers. Use fewer or thinner plates.';
    case 'retention':
      return `In the best set a plate is off its spline. Use fewer or thinner plates, or a spacer pair.`;
    case 'step':
      return 'The step in use does not suit this stack. Also vary the step.';
    case 'pull':
      return `The best set pulls ${formatWithUnit(by, 'force', units, 0)} more than allowed. Allow more, or order lighter springs.`;
    default:
      return `Fails on: ${condition}.`;
  }
}

const styles = StyleSheet.create({
  item: { paddingVertical: SPACE.gap, flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 0, gap: SPACE.hair },
});
