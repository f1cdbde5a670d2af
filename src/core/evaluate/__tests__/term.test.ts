import { DomainError } from '../../errors';
import type { KnownTerm } from '@/core/evaluate/engine/term';
import {
  anyEstimated,
  findMissing,
  collectTerms,
  inputsOf,
  missingTerm,
  term,
} from '@/core/evaluate/engine/term';

const known = (symbol: string, value: number, estimated = false): KnownTerm =>
  term({
    symbol,
    label: symbol,
    value,
    quantity: 'length',
    source: { kind: estimated ? 'estimate' : 'entered' },
  });

describe('terms of a working', () => {
  it('become one, which shows each input once', () => {
    const [a, b] = [known('a', 2), known('b', 3)];
    const sum = collectTerms([a, b], ([x = 0, y = 0]) => x + y);
    const all = collectTerms([sum, a], ([x = 0, y = 0]) => x * y);
    expect(all).toMatchObject({ known: true, value: 10, estimated: false });
    expect(all.known && all.inputs.map((input) => input.symbol)).toEqual(['a', 'b']);
  });

  it('rest on an estimate where any of them does', () => {
    const sum = collectTerms([known('a', 2), known('b', 3, true)], ([x = 0, y = 0]) => x + y);
    expect(sum.known && sum.estimated).toBe(true);
    expect(anyEstimated([known('a', 2), missingTerm('A plate')])).toBe(false);
  });

  it('are not known while one is missing, and name all that is, once', () => {
    const missing = collectTerms(
      [missingTerm('A'), known('b', 3), missingTerm('C', 'pack.caliper'), missingTerm('A')],
      () => {
        throw new Error('is not asked');
      },
    );
    expect(missing).toEqual({
      known: false,
      needs: [{ label: 'A' }, { label: 'C', path: 'pack.caliper' }],
    });
    expect(inputsOf([missingTerm('A'), known('b', 3)]).map((input) => input.symbol)).toEqual(['b']);
  });

  it('say why a formula has no value; what is missing comes before a contradiction', () => {
    const outside = collectTerms([known('a', -1)], () => {
      throw new DomainError('a', 'above 0', -1);
    });
    expect(outside).toMatchObject({ known: false, needs: [] });
    expect(!outside.known && outside.cause).toContain('above 0');
    const infinite = collectTerms([known('a', 0)], ([x = 0]) => 1 / x);
    expect(!infinite.known && infinite.cause).toBeTruthy();
    expect(findMissing([outside, missingTerm('A')])).toEqual({
      known: false,
      needs: [{ label: 'A' }],
    });
    expect(findMissing([outside])).toBe(outside);
    expect(findMissing([known('a', 1)])).toBeUndefined();
  });

  it('let a fault of the program through', () => {
    expect(() =>
      collectTerms([known('a', 1)], () => {
        throw new TypeError('a fault');
      }),
    ).toThrow(TypeError);
  });
});
