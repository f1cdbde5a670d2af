import { router, useLocalSearchParams } from 'expo-router';

import { ClutchTypes } from '@/features/words/ClutchTypes';
import { Glossary } from '@/features/words/Glossary';
import { Methods } from '@/features/words/Methods';
import { Choice } from '@/ui/Choice';
import { Page } from '@/features/page/Page';

import { ExerciseList } from './ExerciseList';

const PARTS = [
  { value: 'exercises', label: 'Exercises' },
  { value: 'words', label: 'Glossary' },
  { value: 'families', label: 'Clutch types' },
  { value: 'methods', label: 'Methods' },
] as const;
type Part = (typeof PARTS)[number]['value'];

/** To learn by: exercises, the words of the field, the families of clutches, and where builders differ. */
export function LearnScreen() {
  const params = useLocalSearchParams<{ part?: string; word?: string }>();
  const part: Part = PARTS.find((p) => p.value === params.part)?.value ?? 'exercises';
  return (
    <Page title="Learn" gap={16}>
      <Choice
        bare
        label="Topics"
        value={part}
        options={PARTS}
        onChange={(next) => router.setParams({ part: next })}
      />
      {part === 'exercises' ? <ExerciseList /> : null}
      {part === 'words' ? <Glossary key={params.word} word={params.word} /> : null}
      {part === 'families' ? <ClutchTypes /> : null}
      {part === 'methods' ? <Methods /> : null}
    </Page>
  );
}
