import { readJobFile, writeJobFile } from '@/files/jobFile';

import { rankCauses } from '../../causes/rank';
import { evaluate } from '../../evaluate/evaluate';
import { blankJob } from '../../job/blank';
import { chooseAttachment, readField } from '../../job/edits/details';
import { fieldAt } from '../../job/fields';
import { withEntry } from '../../job/paths';
import { withVariant, withVariantInUse } from '../../job/variants';
import { settingBlocks } from '../../paper/settings';
import { withUpdatedLists } from '@/core/strip/updateLists';
import { smallParts, stripLines } from '../../strip/stripList';
import { FAMILIES, GLOSSARY } from '../../words/glossary';
import { buildLines } from '../../worksheet/buildLines';
import type * as Kinds from '../kinds';
import type * as Stub from './stub/kind';

// A kind is added by its folder and this one line.
jest.mock('../kinds', () => {
  const { CLUTCH_KINDS } = jest.requireActual<typeof Kinds>('../kinds');
  const { stub } = jest.requireActual<typeof Stub>('./stub/kind');
  return { CLUTCH_KINDS: [...CLUTCH_KINDS, stub] };
});

const NOW = '2026-11-28T10:00:00.000Z';
const blank = blankJob('one', 'UR-1', NOW);
const fitted = chooseAttachment(blank, 'stub', 'wedge');
const measured = withEntry(fitted, 'fittings.stub.height', { value: 4.5 });

describe('a kind of clutch that is one folder and one line', () => {
  it('is chosen, and its fields are fields', () => {
    expect(fitted.fittings).toEqual({ stub: { type: 'wedge' } });
    expect(fieldAt('fittings.stub.height').label).toBe('Wedge height');
    const read = readField(fitted, 'fittings.stub.height', '7', {});
    expect(read).toMatchObject({ isDraft: true });
    expect(chooseAttachment(fitted, 'stub', 'anvil')).toBe(fitted);
  });

  it('has figures, verdicts and problems where it is fitted, and none elsewhere', () => {
    const { figures, verdicts, problems } = evaluate(measured);
    expect(figures.get('stub:room')).toMatchObject({ status: 'known', value: 0.5 });
    expect(verdicts.at(-1)).toMatchObject({ id: 'stub:room', state: 'stop' });
    expect(problems.some((p) => p.path.startsWith('fittings'))).toBe(false);
    expect(evaluate(fitted).problems.map((p) => p.path)).toContain('fittings.stub.height');
    expect(evaluate(fitted).figures.get('stub:room')).toMatchObject({
      status: 'unknown',
      needs: [{ path: 'fittings.stub.height' }],
    });
    expect(evaluate(blank).figures.has('stub:room')).toBe(false);
  });

  it('has its lines when a clutch is taken apart and put together', () => {
    const texts = (job: typeof blank) => stripLines(job).map((l) => l.text);
    expect(texts(fitted).filter((t) => !texts(blank).includes(t))).toEqual(['Wedge out']);
    expect(smallParts(fitted).map((p) => p.name)).toContain('Wedge screws');
    expect(buildLines(fitted).map((l) => l.key)).toContain('stub');
    const made = withUpdatedLists(fitted, () => 'id');
    const plain = withUpdatedLists({ ...blank, strip: made }, () => 'id');
    expect(made.steps.map((s) => s.text)).toContain('Wedge out');
    expect(plain.steps.map((s) => s.text)).not.toContain('Wedge out');
  });

  it('is among the causes, the words and the printed settings', () => {
    expect(rankCauses({ complaints: ['drags'] }).causes[0]).toMatchObject({ id: 'wedged' });
    expect(Object.values(GLOSSARY).map((t) => t.name)).toContain('Wedgelet');
    expect(FAMILIES.map((f) => f.name)).toContain('Wedge');
    expect(settingBlocks(fitted, {})).toContainEqual({ kind: 'facts', rows: [['Wedge', 'in']] });
  });

  it('is kept in files and with its variant', () => {
    const { job } = readJobFile(writeJobFile(measured, {}, NOW));
    expect(job.fittings).toEqual(measured.fittings);
    expect(() =>
      readJobFile(writeJobFile({ ...measured, fittings: { stub: { type: 'anvil' } } }, {}, NOW)),
    ).toThrow(/fittings\.stub\.type/);
    const other = chooseAttachment(withVariant(measured, 'v', 'With wedge'), 'stub', 'none');
    expect(withVariantInUse(other, 'v').fittings).toEqual(measured.fittings);
    expect(withVariantInUse(withVariant(blank, 'v', 'Bare'), 'v')).not.toHaveProperty('fittings');
  });
});
