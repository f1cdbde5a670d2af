import { StyleSheet, View } from 'react-native';

import { releaseBudget } from '@/core/evaluate/figures/lossFigures';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { useEvaluation } from '@/state/jobs/evaluations';
import { useJob, useJobPart } from '@/state/jobs/useJob';
import { FieldGrid } from '@/ui/FieldGrid';
import { SPACE, useStrata } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

/** Losses between lever and plate, and the lift budget. */
export function LossFields({ bare = false }: { readonly bare?: boolean }) {
  // Air only applies to a hydraulic line; text typed before switching to cable stays visible.
  const line = useJobPart((job) => job.release.type !== 'cable' || job.release.air !== undefined);
  return (
    <>
      {bare ? null : <Heading level={2}>Lost travel</Heading>}
      <FieldGrid>
        {bare ? null : <EntryField path="release.freePlay" />}
        <EntryField path="release.stretch" />
        <EntryField path="release.pivotWear" />
        {line ? <EntryField path="release.air" /> : null}
        <EntryField path="release.reducedEffort" />
      </FieldGrid>
      <LossBudgetTable />
    </>
  );
}

function LossBudgetTable() {
  const job = useJob();
  const units = useUnits();
  const strata = useStrata();
  const needed = useEvaluation().figures.get('liftNeeded');
  const budget = releaseBudget(job, needed?.status === 'known' ? needed.value : undefined);
  if (!budget || budget.lines.length === 0) return null;
  const mm = (v: number) => formatWithUnit(v, 'length', units);
  return (
    <View role="table" aria-label="Lift losses" style={flow.lines}>
      <Line name="Lift without loss" value={mm(budget.whole)} share={1} />
      {budget.lines.map((l) => (
        <Line
          key={l.name}
          name={l.atLever === undefined ? l.name : `${l.name}, ${mm(l.atLever)} at the lever`}
          value={`${l.liftLost < 0 ? '+' : '−'} ${mm(Math.abs(l.liftLost))}`}
          share={l.liftLost / budget.whole}
          lost
        />
      ))}
      <View style={[styles.place, { borderColor: strata.slate }]}>
        <Line name="Remaining lift" value={mm(budget.left)} share={budget.left / budget.whole} />
      </View>
      {budget.first ? (
        <Words bold size={15}>
          {`First: ${budget.first.repair.what}; it gains ${mm(budget.first.repair.gains)}.`}
        </Words>
      ) : null}
    </View>
  );
}

interface LineProps {
  readonly name: string;
  readonly value: string;
  readonly share: number;
  readonly lost?: boolean;
}

function Line({ name, value, share, lost = false }: LineProps) {
  const strata = useStrata();
  return (
    <View role="row" style={styles.row}>
      <View style={flow.apart}>
        <View role="cell" style={flow.shrink}>
          <Words size={15} bold={!lost}>
            {name}
          </Words>
        </View>
        <View role="cell">
          <Digits size={15} bold={!lost}>
            {value}
          </Digits>
        </View>
      </View>
      <View aria-hidden style={[styles.room, { backgroundColor: strata.line }]}>
        <View
          style={[
            styles.room,
            {
              width: `${Math.max(0, Math.min(100, 100 * share))}%`,
              backgroundColor: lost ? strata.stop : strata.slate,
            },
          ]}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  place: { borderTopWidth: 2 },
  row: { paddingVertical: SPACE.tight, gap: SPACE.hair },
  room: { height: 5 },
});
