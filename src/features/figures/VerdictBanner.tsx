import { memo } from 'react';
import { View } from 'react-native';

import type { Need } from '@/core/evaluate/figure';
import type { Verdict } from '@/core/evaluate/verdicts';
import { readSentence } from '@/core/evaluate/sentence';
import { AdvicePanel } from '@/features/advice/AdvicePanel';
import { useUnits } from '@/features/display/useUnits';
import { goToField } from '@/features/entry/askedFor';
import { useEvaluation } from '@/features/jobs/evaluations';
import { Termed } from '@/features/words/Termed';
import { Action } from '@/ui/Action';
import { StateMark } from '@/ui/StateMark';
import { Heading, Words } from '@/ui/Words';

/** The verdict on the pack, in a sentence with its reason. */
export function VerdictBanner() {
  const units = useUnits();
  const { overall, verdicts, figures } = useEvaluation();
  // Advice is for the verdict that the whole goes by.
  const gravest = verdicts.find(
    (v) => v.state === overall.state && (v.state === 'stop' || v.state === 'watch'),
  );
  const lacking = verdicts.find((v) => v.state === 'unknown')?.figures[0];
  const outcome = lacking && figures.get(lacking);
  const needs = outcome?.status === 'unknown' ? outcome.needs : [];
  return overall.state === 'unknown' && needs.some((n) => n.path) ? (
    <StillNeeded title={overall.title} needs={needs} />
  ) : (
    <Banner
      state={overall.state}
      title={overall.title}
      reason={readSentence(overall.sentence, units)}
      help={gravest?.id}
      helpTitle={gravest?.title}
    />
  );
}

interface BannerProps {
  readonly state: Verdict['state'];
  readonly title: string;
  readonly reason: string;
  /** The verdict that advice is offered for. */
  readonly help: Verdict['id'] | undefined;
  readonly helpTitle: string | undefined;
}

/** Drawn again only when it says something else: verdicts are made anew at each change. */
const Banner = memo(function Banner({ state, title, reason, help, helpTitle = '' }: BannerProps) {
  return (
    <View role="status" aria-label="Verdict" testID="verdict" style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
        <StateMark state={state} size={22} label />
        <View style={{ flexShrink: 1 }}>
          <Heading level={2}>{title}</Heading>
        </View>
      </View>
      <Termed size={15}>{reason}</Termed>
      {help && help !== 'overall' ? (
        <AdvicePanel key={help} verdict={help} title={helpTitle} />
      ) : null}
    </View>
  );
});

/** What is missing for a verdict, each the way to its field. */
function StillNeeded({
  title,
  needs,
}: {
  readonly title: string;
  readonly needs: readonly Need[];
}) {
  return (
    <View role="status" aria-label="Verdict" testID="verdict" style={{ gap: 6 }}>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
        <StateMark state="unknown" size={22} label />
        <View style={{ flexShrink: 1 }}>
          <Heading level={2}>{title}</Heading>
        </View>
      </View>
      <Words size={15}>Still needed to say whether it holds:</Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
        {needs.map(({ path, label }) =>
          path ? (
            <Action key={path} onPress={() => goToField(path)}>
              {label}
            </Action>
          ) : (
            <Words key={label} size={15}>
              {label}
            </Words>
          ),
        )}
      </View>
    </View>
  );
}
