import { View } from 'react-native';

import type { Need } from '@/core/evaluate/engine/figure';
import { needsOf } from '@/core/evaluate/engine/needs';
import type { Verdict } from '@/core/evaluate/engine/verdict';
import { firstOpen } from '@/core/evaluate/verdicts/judge';
import { missingText } from '@/core/text/reasons';
import { readSentence } from '@/core/text/sentence';
import { AdvicePanel } from '@/features/advice/AdvicePanel';
import { useUnits } from '@/features/display/useUnits';
import type { FieldPath } from '@/core/job/fieldPath';
import { fieldAt, rankOf } from '@/core/job/fields';
import { demandsOf } from '@/core/job/purpose';
import { hasPlace, placeOf, useGoToField } from '@/features/entry/askedFor';
import { useEvaluation } from '@/state/jobs/evaluations';
import { useJobPart } from '@/state/jobs/useJob';
import { Termed } from '@/features/words/Termed';
import { Action } from '@/ui/Action';
import { StateMark } from '@/ui/StateMark';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

/** The verdict on the pack, in a sentence with its reason. */
export function VerdictBanner() {
  const units = useUnits();
  const { overall, verdicts, figures, problems } = useEvaluation();
  const demanded = useJobPart((job) => demandsOf(job).verdicts);
  // Fixes are offered for the verdict that decides the overall one.
  const gravest = verdicts.find(
    (v) => v.state === overall.state && (v.state === 'stop' || v.state === 'watch'),
  );
  // Without a verdict of its own it is a value that is wrong.
  const wrong =
    overall.state === 'stop' && !gravest
      ? problems.find((p) => p.state === 'stop')?.path
      : undefined;
  // Bad verdicts do not block the missing inputs.
  const open = firstOpen(verdicts);
  const optional = open !== undefined && !demanded.includes(open.id);
  const missing = open && !optional ? needsOf(open, figures) : [];
  const needs = missing.some((n) => n.path) ? byWork(missing) : [];
  const none = overall.state === 'unknown' && needs.length > 0;
  return (
    <View role="status" aria-label="Verdict" testID="verdict" style={flow.stack}>
      {none ? (
        <Head state="unknown" title={overall.title} />
      ) : (
        <Banner
          state={overall.state}
          title={overall.title}
          reason={readSentence(overall.sentence, units)}
          help={gravest?.id}
          helpTitle={gravest?.title}
        />
      )}
      {needs.length > 0 ? <Termed size={15}>{missingText(needs)}</Termed> : null}
      {none
        ? verdicts
            .filter((v) => v.state !== 'unknown' && v.id !== 'order')
            .slice(0, ANNOUNCED)
            .map((v) => (
              <Termed key={v.id} size={15}>
                {readSentence(v.sentence, units)}
              </Termed>
            ))
        : null}
      {optional && overall.state === 'unknown' ? (
        <Words soft size={15}>
          Not required for this kind of job.
        </Words>
      ) : null}
      {wrong && hasPlace(wrong) ? <GoToWrong path={wrong} /> : <GoToMissing need={needs[0]} />}
    </View>
  );
}

/** The way to the value that nothing can be built with. */
function GoToWrong({ path }: { readonly path: FieldPath }) {
  const kind = useJobPart(({ pack }) =>
    pack.kinds.find((k) => path.startsWith(`pack.kinds.${k.id}.`)),
  );
  const { across, label } = fieldAt(path);
  const name = across ?? label;
  return <GoToMissing need={{ path, label: kind ? `${name} of ${kind.name}` : name }} />;
}

/** Only the decisive verdicts, to keep the missing inputs in sight. */
const ANNOUNCED = 2;

/** The way to the first thing needed, in the order of the work. */
export function GoToMissing({ need }: { readonly need: Need | undefined }) {
  const goToField = useGoToField();
  const place = need?.path && hasPlace(need.path) ? need.path : undefined;
  return need && place ? (
    <Action icon="chevron-right" onPress={() => goToField(place)}>
      {`Go to ${need.label}`}
    </Action>
  ) : null;
}

interface BannerProps {
  readonly state: Verdict['state'];
  readonly title: string;
  readonly reason: string;
  /** The verdict that advice is offered for. */
  readonly help: Verdict['id'] | undefined;
  readonly helpTitle: string | undefined;
}

/** The state of the whole, with its word. */
function Head({ state, title }: Pick<Verdict, 'state' | 'title'>) {
  return (
    <View style={flow.line}>
      <StateMark state={state} size={22} label />
      <View style={flow.shrink}>
        <Heading level={2}>{title}</Heading>
      </View>
    </View>
  );
}

/** Redrawn only when its text changes: verdicts are recalculated at every change. */
function Banner({ state, title, reason, help, helpTitle = '' }: BannerProps) {
  return (
    <View style={flow.tight}>
      <Head state={state} title={title} />
      <Termed size={15}>{reason}</Termed>
      {help && help !== 'overall' ? (
        <AdvicePanel key={help} verdict={help} title={helpTitle} />
      ) : null}
    </View>
  );
}

const LAST = 99;
const partOf = ({ path }: Need): number => (path && hasPlace(path) ? placeOf(path) : LAST);
const parentOf = ({ path }: Need): string => path?.slice(0, path.lastIndexOf('.')) ?? '';

/** Sorted like the fields of Specify, tab by tab, so that one pass fills them. */
function byWork(needs: readonly Need[]): Need[] {
  const groups = [...new Set(needs.map(parentOf))];
  const place = (n: Need): readonly number[] => [
    partOf(n),
    groups.indexOf(parentOf(n)),
    n.path ? rankOf(n.path) : 0,
  ];
  return [...needs].sort((a, b) => {
    const [one, other] = [place(a), place(b)];
    const at = one.findIndex((rank, i) => rank !== other[i]);
    return at < 0 ? 0 : (one[at] ?? 0) - (other[at] ?? 0);
  });
}
