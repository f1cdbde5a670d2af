import { count, length, readSentence, say, times, torque } from '@/core/text/sentence';

describe('sentences of the core', () => {
  it('show their amounts in the unit that is chosen', () => {
    const sentence = say`The stack of ${length(34.5)} takes ${count(16)} faces and ${torque(100)}, ${times(1.2)} times ${'enough'}.`;
    expect(readSentence(sentence)).toBe(
      'The stack of 34.500 mm takes 16 faces and 100.0 N·m, 1.20 times enough.',
    );
    expect(readSentence(sentence, { length: 'in', torque: 'ftlb' })).toBe(
      'The stack of 1.3583 in takes 16 faces and 73.8 ft·lb, 1.20 times enough.',
    );
  });

  it('keep words apart from amounts, without empty parts', () => {
    expect(say`${length(1)}`).toEqual([length(1)]);
    expect(say`plain`).toEqual(['plain']);
  });
});
