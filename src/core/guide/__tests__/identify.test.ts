import type { ClutchLayout } from '../../job/types';
import type { GuideAnswer, QuestionId } from '../identify';
import { FIRST_QUESTION, GUIDE } from '../identify';
import { hasPack, LAYOUTS } from '../layouts';

/** What one ends at by the answers of these labels, from the first question. */
function follow(...labels: readonly string[]): GuideAnswer['to'] {
  let to: GuideAnswer['to'] = { question: FIRST_QUESTION };
  for (const label of labels) {
    if (!('question' in to)) throw new Error(`There is nothing to ask after ${label}.`);
    const answer: GuideAnswer | undefined = GUIDE[to.question].answers.find(
      (a) => a.label === label,
    );
    if (!answer) throw new Error(`No answer ${label}.`);
    to = answer.to;
  }
  return to;
}

const layout = (...labels: readonly string[]): ClutchLayout => {
  const to = follow(...labels);
  if (!('layout' in to)) throw new Error('It ends at a question.');
  return to.layout;
};

describe('which clutch an unknown machine has', () => {
  it('is identified from appearance and behaviour', () => {
    expect(layout('Yes', 'It stalls or pulls')).toBe('pack');
    expect(layout('Yes', 'It idles without moving', 'Only a pack')).toBe('pack');
    expect(layout('Yes', 'It idles without moving', 'Yes, a drum and a pack')).toBe('startAndPack');
    expect(layout('No', 'Yes, single gears')).toBe('startAndPack');
    expect(layout('No', 'No, a selector or nothing', 'A wet start clutch before the belt')).toBe(
      'startAndBelt',
    );
    expect(layout('No', 'No, a selector or nothing', 'Only belt and sheaves')).toBe('belt');
  });

  it('is identified by four questions or fewer, each reachable and each with an end', () => {
    const reached = new Set<QuestionId>();
    const deepest = (id: QuestionId, before: readonly QuestionId[]): number => {
      expect(before).not.toContain(id);
      reached.add(id);
      const { text, help, answers } = GUIDE[id];
      expect(text.endsWith('?')).toBe(true);
      expect(help.length).toBeGreaterThan(10);
      expect(answers.length).toBeGreaterThan(1);
      return (
        1 +
        Math.max(
          ...answers.map(({ to }) =>
            'question' in to ? deepest(to.question, [...before, id]) : 0,
          ),
        )
      );
    };
    expect(deepest(FIRST_QUESTION, [])).toBeLessThanOrEqual(4);
    expect([...reached].sort()).toEqual(Object.keys(GUIDE).sort());
  });

  it('says why, and what it means for the work here', () => {
    const ends = Object.values(GUIDE).flatMap(({ answers }) =>
      answers.flatMap(({ to }) => ('layout' in to ? [to] : [])),
    );
    expect(ends.length).toBeGreaterThan(4);
    for (const { because, layout } of ends) {
      expect(because.endsWith('.')).toBe(true);
      expect(LAYOUTS[layout].name.length).toBeGreaterThan(3);
      expect(LAYOUTS[layout].means.endsWith('.')).toBe(true);
    }
  });

  it('leaves plates to be specified to machines that have them', () => {
    expect((Object.keys(LAYOUTS) as ClutchLayout[]).filter(hasPack).sort()).toEqual([
      'pack',
      'startAndPack',
      'unknown',
    ]);
  });
});
