import { router, useLocalSearchParams } from 'expo-router';
import { useEffect } from 'react';
import { View } from 'react-native';

import { lowerFirst, readSentence } from '@/core/text/sentence';
import type { ExerciseId } from '@/core/exercises/exercises';
import { EXERCISES, isExercise } from '@/core/exercises/exercises';
import type { Answer } from '@/core/exercises/model';
import { MISTAKES } from '@/core/exercises/model';
import { isAnswered, score } from '@/core/exercises/score';
import { useUnits } from '@/features/display/useUnits';
import type { OpenCase } from '@/state/practiceSlice';
import { practiceActions } from '@/state/practiceSlice';
import { Termed } from '@/features/words/Termed';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { Page } from '@/features/page/Page';
import { Heading, Words } from '@/ui/Words';

import { BenchView } from './BenchView';
import { MarkView } from './MarkView';
import { QuestionView } from './QuestionView';
import { flow } from '@/ui/flow';

/** Seeds are short, so that they can be passed on. */
const SEEDS = 100_000;
const TO_EXERCISES = { to: '/learn', label: 'Back to the exercises' } as const;
const newSeed = (): number => Math.floor(Math.random() * SEEDS);

/** One exercise: the case that is open, or a new one. */
export function ExerciseScreen() {
  const { kind, seed } = useLocalSearchParams<{ kind?: string; seed?: string }>();
  if (!isExercise(kind))
    return (
      <Page title="Exercise not found">
        <Action main onPress={() => router.replace('/learn')}>
          To the exercises
        </Action>
      </Page>
    );
  return (
    <Page title={EXERCISES[kind].title} gap={16} back={TO_EXERCISES}>
      <OpenExercise key={kind} kind={kind} asked={seed} />
    </Page>
  );
}

/** The case of an exercise that is open, or a new one. */
export function OpenExercise({
  kind,
  asked,
}: {
  readonly kind: ExerciseId;
  readonly asked: string | undefined;
}) {
  const dispatch = useAppDispatch();
  const open = useAppSelector((state) => state.practice.exercises[kind]?.open);
  const wanted = asked !== undefined && /^\d{1,9}$/.test(asked) ? Number(asked) : undefined;
  const fits = open !== undefined && (wanted === undefined || open.seed === wanted);
  useEffect(() => {
    if (!fits) dispatch(practiceActions.caseOpened({ kind, seed: wanted ?? newSeed() }));
  }, [fits, wanted, kind, dispatch]);
  return fits ? <Case key={open.seed} kind={kind} open={open} /> : null;
}

function Case({ kind, open }: { readonly kind: ExerciseId; readonly open: OpenCase }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const { seed, answers, taken, checked } = open;
  const exercise = EXERCISES[kind].make(seed);
  const scored = checked ? score(exercise, answers, taken, units) : undefined;
  const missing = exercise.questions.filter((q) => !isAnswered(q, answers[q.id], units)).length;
  const answer = (question: string) => (given: Answer) =>
    dispatch(practiceActions.answered({ kind, question, answer: given }));
  const again = () => {
    router.setParams({ seed: undefined });
    dispatch(practiceActions.caseOpened({ kind, seed: newSeed() }));
  };
  return (
    <>
      {exercise.story.map((sentence, i) => (
        <Termed key={i}>{readSentence(sentence, units)}</Termed>
      ))}
      {exercise.bench ? (
        <BenchView
          bench={exercise.bench}
          taken={taken}
          disabled={checked}
          onMeasure={(spot) => dispatch(practiceActions.measured({ kind, spot }))}
        />
      ) : null}
      {scored?.marks.measuring ? <MarkView mark={scored.marks.measuring} /> : null}
      {exercise.questions.map((question, i) => (
        <View key={question.id} style={flow.stack} testID={`question-${question.id}`}>
          <Heading level={2}>{`${i + 1}. ${readSentence(question.ask, units)}`}</Heading>
          <QuestionView
            question={question}
            pack={exercise.pack}
            answer={answers[question.id]}
            disabled={checked}
            onAnswer={answer(question.id)}
          />
          {scored?.marks[question.id] ? <MarkView mark={scored.marks[question.id]} /> : null}
        </View>
      ))}
      <View aria-live="polite" style={flow.stack}>
        {scored ? (
          <>
            <Words bold size={18}>
              {scored.share >= 1 ? 'All correct.' : `${Math.round(scored.share * 100)} % correct.`}
            </Words>
            <Words soft>
              {EXERCISES[kind].mistakes
                .map((m) => `Common mistake: ${lowerFirst(MISTAKES[m])}.`)
                .join(' ')}
            </Words>
            <View style={flow.wrap}>
              <Action main icon="redo" onPress={again}>
                New case
              </Action>
              <Action icon="arrow-left" onPress={() => router.navigate('/learn')}>
                All exercises
              </Action>
            </View>
          </>
        ) : (
          <>
            <Action
              main
              icon="check"
              blocked={
                missing === 0
                  ? undefined
                  : missing === 1
                    ? '1 answer is missing.'
                    : `${missing} answers are missing.`
              }
              onPress={() =>
                dispatch(
                  practiceActions.caseChecked({
                    kind,
                    share: score(exercise, answers, taken, units).share,
                  }),
                )
              }
            >
              Check
            </Action>
            {missing > 0 ? (
              <Words soft size={15}>
                {missing === 1
                  ? 'One question is unanswered.'
                  : `${missing} questions are unanswered.`}
              </Words>
            ) : null}
          </>
        )}
      </View>
      <Words soft size={14}>
        {`Case ${seed}: the same number gives the same case. Figures are made up; on a machine its own manual counts.`}
      </Words>
    </>
  );
}
