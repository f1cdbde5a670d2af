import { useDeferredValue, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import type { TestId } from '@/core/causes/cause';
import { TESTS } from '@/core/causes/tests';
import type { RankedCause } from '@/core/causes/rank';
import { rankCauses } from '@/core/causes/rank';
import { useEditJob } from '@/state/jobs/editJob';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';
import { Choice } from '@/ui/Choice';
import { SPACE, useRuled, useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

const CAUSES_SHOWN = 5;
const TESTS_SHOWN = 3;
/** A cause less likely than this is not worth a line. */
const WORTH_SHOWING = 0.02;
const NOT_MADE = 'not done';

/** Likely causes with their reasons, updated live, and the checks that separate them. */
export function CausesPanel() {
  // Typing and ticking beside it have priority.
  const job = useDeferredValue(useJob());
  const evaluation = evaluationOf(job);
  const change = useEditJob();
  const { complaints, tests } = job.intake;
  const { causes, next } = rankCauses({ complaints, tests, evaluation, job });
  const made = (Object.keys(tests) as TestId[]).filter((id) => tests[id] !== undefined);
  const answer = (id: TestId, outcome: string) =>
    change((j) => {
      const { [id]: _old, ...others } = j.intake.tests;
      return {
        ...j,
        intake: {
          ...j.intake,
          tests: outcome === NOT_MADE ? others : { ...others, [id]: outcome },
        },
      };
    });
  if (complaints.length === 0 && made.length === 0) {
    return (
      <View style={flow.tight}>
        <Heading level={2}>Likely causes</Heading>
        <Words soft>Pick a complaint to see likely causes.</Words>
      </View>
    );
  }
  return (
    <View style={flow.sections} role="region" aria-label="Likely causes">
      <Heading level={2}>Likely causes</Heading>
      <View role="list" aria-label="Causes, most likely first" aria-live="polite">
        {causes
          .slice(0, CAUSES_SHOWN)
          .filter((c, i) => i === 0 || c.share >= WORTH_SHOWING)
          .map((cause) => (
            <CauseRow key={cause.id} cause={cause} />
          ))}
      </View>
      <Heading level={2}>Quickest checks</Heading>
      {next.slice(0, TESTS_SHOWN).map((test) => (
        <TestRow key={test.id} id={test.id} minutes={test.minutes} onAnswer={answer} />
      ))}
      {made.length > 0 ? (
        <>
          <Heading level={2}>Checks done</Heading>
          {made.map((id) => (
            <TestRow key={id} id={id} outcome={tests[id]} onAnswer={answer} />
          ))}
        </>
      ) : null}
    </View>
  );
}

function CauseRow({ cause }: { readonly cause: RankedCause }) {
  const ruled = useRuled();
  const strata = useStrata();
  const [open, setOpen] = useState(false);
  const percent = Math.round(100 * cause.share);
  const [first] = cause.reasons;
  return (
    <View role="listitem" style={ruled}>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${cause.name}, ${percent} in 100`}
        onPress={() => setOpen(!open)}
        style={styles.padded}
      >
        <View style={flow.line}>
          <View style={flow.grow}>
            <Words bold>{cause.name}</Words>
          </View>
          <Words soft size={15}>
            {`${percent}\u00a0%`}
          </Words>
          <Icon source={open ? 'chevron-up' : 'chevron-down'} size={22} color={strata.slate} />
        </View>
        <View style={[styles.room, { backgroundColor: strata.line }]}>
          <View style={[styles.room, { width: `${percent}%`, backgroundColor: strata.slate }]} />
        </View>
        {!open && first ? (
          <Words soft size={14}>
            {first.from}: {first.because}
          </Words>
        ) : null}
      </Pressable>
      {open ? (
        <View style={styles.causeRowPadded}>
          {cause.reasons.length === 0 ? (
            <Words soft size={15}>
              No evidence for or against yet; ranked by how common it is.
            </Words>
          ) : (
            cause.reasons.map((r) => (
              <Words key={`${r.from}${r.because}`} size={15}>
                {r.tenths > 0 ? 'For' : 'Against'}, {r.from}: {r.because} (
                {r.tenths > 0 ? '+' : '−'}
                {(Math.abs(r.tenths) / 10).toFixed(1)})
              </Words>
            ))
          )}
        </View>
      ) : null}
    </View>
  );
}

interface TestRowProps {
  readonly id: TestId;
  readonly minutes?: number;
  readonly outcome?: string | undefined;
  readonly onAnswer: (id: TestId, outcome: string) => void;
}

function TestRow({ id, minutes, outcome, onAnswer }: TestRowProps) {
  const test = TESTS[id];
  const label = minutes === undefined ? test.name : `${test.name}, ${countOf(minutes, 'minute')}`;
  return (
    <Choice
      label={label}
      value={outcome ?? NOT_MADE}
      options={[
        ...test.outcomes.map((o) => ({ value: o.id, label: o.label })),
        ...(outcome === undefined ? [] : [{ value: NOT_MADE, label: 'Not done' }]),
      ]}
      onChange={(next) => onAnswer(id, next)}
    />
  );
}

const styles = StyleSheet.create({
  padded: { minHeight: 52, paddingVertical: SPACE.gap, gap: SPACE.tight, justifyContent: 'center' },
  room: { height: 4 },
  causeRowPadded: { paddingBottom: SPACE.gap, gap: SPACE.tight },
});
