import { router, useLocalSearchParams } from 'expo-router';

import { ClutchTypes } from '@/features/words/ClutchTypes';
import { Glossary } from '@/features/words/Glossary';
import { Methods } from '@/features/words/Methods';
import { Choice } from '@/ui/Choice';
import { Beside } from '@/features/page/Beside';
import { Page } from '@/features/page/Page';

import { EXERCISE_IDS, EXERCISES, isExercise } from '@/core/exercises/exercises';
import { Heading } from '@/ui/Words';
import { useWide } from '@/ui/useWide';

import { ExerciseList } from './ExerciseList';
import { OpenExercise } from './ExerciseScreen';

const PARTS = [
  { value: 'exercises', label: 'Exercises' },
  { value: 'words', label: 'Glossary' },
  { value: 'families', label: 'Clutch types' },
  { value: 'methods', label: 'Methods' },
] as const;
type Part = (typeof PARTS)[number]['value'];

/** To learn by: exercises, the words of the field, the families of clutches, and where builders differ. */
export function LearnScreen() {
  const params = useLocalSearchParams<{ part?: string; word?: string; kind?: string }>();
  const wide = useWide();
  const kind = isExercise(params.kind) ? params.kind : EXERCISE_IDS[0];
  const part: Part = PARTS.find((p) => p.value === params.part)?.value ?? 'exercises';
  return (
    <Page title="Learn" gap={16} broad>
      <Choice
        bare
        label="Topics"
        value={part}
        options={PARTS}
        onChange={(next) => router.setParams({ part: next })}
      />
      {part === 'exercises' ? (
        <Beside
          label="The exercise"
          beside={
            wide && kind ? (
              <>
                <Heading level={2}>{EXERCISES[kind].title}</Heading>
                <OpenExercise key={kind} kind={kind} asked={undefined} />
              </>
            ) : null
          }
        >
          <ExerciseList open={wide ? kind : undefined} />
        </Beside>
      ) : null}
      {part === 'words' ? <Glossary key={params.word} word={params.word} /> : null}
      {part === 'families' ? <ClutchTypes /> : null}
      {part === 'methods' ? <Methods /> : null}
    </Page>
  );
}
