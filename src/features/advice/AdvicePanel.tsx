import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';

import type { Advice } from '@/core/advice/advise';
import { figuresToCompare } from '@/core/advice/compare';
import type { Place } from '@/core/advice/manualFix';
import { manualFix } from '@/core/advice/manualFix';
import { lowerFirst, readSentence } from '@/core/text/sentence';
import type { Verdict, VerdictId } from '@/core/evaluate/engine/verdict';
import type { Job } from '@/core/job/types';
import { STAGE_NAME } from '@/core/job/words';
import type { UnitChoice } from '@/core/units/format';
import { ChangeList } from '@/features/compare/ChangeList';
import { useUnits } from '@/features/display/useUnits';
import { useEvaluation } from '@/state/jobs/evaluations';
import { useJob, useJobPart } from '@/state/jobs/useJob';
import { WhenRead } from '@/features/jobs/WhenRead';
import { viewedStage } from '@/features/job/stages';
import { useShelfAtHand } from '@/features/shelf/useShelf';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { useHeavy } from '@/workers/useHeavy';
import { flow } from '@/ui/flow';

const SHOWN = [
  'stack',
  'faces',
  'clamp',
  'reserveWithTangs',
  'liftHad',
  'clearancePerFace',
  'leverPull',
] as const;

/** The resulting verdict, with its figures where they are not shown beside it. */
function fixedText({ title, sentence, figures }: Verdict, units: UnitChoice): string {
  const shown = figures.some((id) => SHOWN.some((s) => s === id));
  return shown || sentence.length === 0 ? `${title}.` : readSentence(sentence, units);
}

interface Props {
  readonly verdict: VerdictId;
  readonly title: string;
}

/** Fixes of a verdict: evaluated parts and settings, or the stage to fix it by hand. */
export function AdvicePanel(props: Props) {
  const remedy = useJobPart((job) => manualFix(job, props.verdict));
  return remedy ? <ByHand {...remedy} title={props.title} /> : <ByParts {...props} />;
}

function ByHand({ stage, step, title }: Place & { readonly title: string }) {
  const params = useLocalSearchParams<{ stage?: string; tab?: string }>();
  const currentStage = useJobPart((job) => job.stage);
  // At the stage itself the step already says it.
  if (viewedStage(params.stage, params.tab, currentStage) === stage) return null;
  const words = `Fix in ${STAGE_NAME[stage]}`;
  return (
    <Action
      icon="chevron-right"
      accessibilityLabel={`${words}: ${title}`}
      onPress={() => router.setParams({ stage, step, tab: undefined })}
    >
      {words}
    </Action>
  );
}

/** Loaded by one tap; each with its figures. */
function ByParts({ verdict, title }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <View style={flow.tight}>
      <Action
        icon="help-circle-outline"
        accessibilityLabel={`${open ? 'Hide' : 'Show'} fixes: ${title}`}
        onPress={() => setOpen(!open)}
      >
        {open ? 'Hide the fixes' : 'Show fixes'}
      </Action>
      {open ? (
        <WhenRead>
          <Advices verdict={verdict} />
        </WhenRead>
      ) : null}
    </View>
  );
}

function Advices({ verdict }: { readonly verdict: VerdictId }) {
  const job = useJob();
  const now = figuresToCompare(job, useEvaluation());
  const atHand = useShelfAtHand();
  const units = useUnits();
  const { run, start } = useHeavy<Advice[]>(job);
  const asked = useRef<Job>(undefined);
  useEffect(() => {
    // Recalculated when the job changes: hundreds of packs are evaluated, so in a worker.
    if (asked.current === job) return;
    asked.current = job;
    start((runs) => runs.advice(job, verdict, atHand));
  }, [job, verdict, atHand, start]);
  if (run.state === 'refused') return <Words>{run.why}</Words>;
  if (run.state !== 'done')
    return (
      <Words soft size={15}>
        Trying possible changes …
      </Words>
    );
  return run.result.length === 0 ? (
    <Words size={15}>
      No single change and no pair of changes fixes this without a new fault. Tried: new, different,
      more and fewer discs and steels, the linings, shims and springs on the shelf, the gap, the oil
      and the lost travel.
    </Words>
  ) : (
    <ChangeList
      label="Fixes"
      now={now}
      changes={run.result.map((a) => ({
        label: a.moves.map((move) => readSentence(move, units)).join('; then: '),
        job: a.job,
        figures: figuresToCompare(a.job),
        note: `${fixedText(a.fixed, units)} Whole pack: ${lowerFirst(a.overall.title)}.`,
      }))}
      shown={SHOWN}
    />
  );
}
