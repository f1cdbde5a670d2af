import { useState } from 'react';
import { View } from 'react-native';

import { advise } from '@/core/advice/advise';
import { figuresToCompare } from '@/core/advice/compare';
import type { VerdictId } from '@/core/evaluate/verdicts';
import { ChangeList } from '@/features/compare/ChangeList';
import { useEvaluation, useJob } from '@/features/jobs/useJob';
import { useShelfAtHand } from '@/features/shelf/useShelf';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';

const SHOWN = [
  'stack',
  'faces',
  'clamp',
  'reserveWithTangs',
  'liftHad',
  'clearancePerFace',
  'leverPull',
] as const;

/** What would cure a verdict, asked for by one tap; each with its figures before it is taken. */
export function AdvicePanel({
  verdict,
  title,
}: {
  readonly verdict: VerdictId;
  readonly title: string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <View style={{ gap: 4 }}>
      <Action
        icon="help-circle-outline"
        accessibilityLabel={`${open ? 'Hide' : 'Show'} what would help: ${title}`}
        onPress={() => setOpen(!open)}
      >
        {open ? 'Hide the advice' : 'What would help'}
      </Action>
      {open ? <Advices verdict={verdict} /> : null}
    </View>
  );
}

function Advices({ verdict }: { readonly verdict: VerdictId }) {
  const job = useJob();
  const now = figuresToCompare(job, useEvaluation());
  const atHand = useShelfAtHand();
  const found = advise(job, verdict, { atHand });
  return found.length === 0 ? (
    <Words size={15}>
      No single change and no two together cure this without harm elsewhere: other springs or other
      discs are needed than those on the shelf.
    </Words>
  ) : (
    <ChangeList
      label="Advice"
      now={now}
      changes={found.map((a) => ({
        label: a.moves.join('; then '),
        job: a.job,
        figures: figuresToCompare(a.job),
      }))}
      shown={SHOWN}
    />
  );
}
