import { crag, scree } from '@/testing/jobs';
import { put } from '@/testing/packs';

import { chooseLayout } from '../edits/details';
import { addKind, changeKind, fillStack } from '../edits/pack';
import { addGroup, addStep } from '../edits/springs';
import { MAX_GROUPS, MAX_KINDS, MAX_PLATES } from '../fields';
import type { Job } from '../types';
import { withVariant, withVariantInUse } from '../variants';

const job = crag();
const times = (n: number, edit: (job: Job, i: number) => Job): Job =>
  Array.from({ length: n }).reduce<Job>((j, _, i) => edit(j, i), job);

describe('an edit of a pack', () => {
  it('fills no stack with more plates than a job takes', () => {
    const filled = (discs: number) =>
      fillStack(
        job,
        { discs, first: 'friction', frictionKind: 'disc', steelKind: 'steel' },
        (n) => `n${n}`,
      );
    const most = Math.floor((MAX_PLATES + 1) / 2);
    expect(filled(most).pack.plates).toHaveLength(2 * most - 1);
    expect(filled(most + 1)).toBe(job);
  });

  it('adds no more kinds of plate and of spring than a job takes', () => {
    const kinds = times(MAX_KINDS + 2, (j, i) => addKind(j, 'steel', `k${i}`));
    expect(kinds.pack.kinds).toHaveLength(MAX_KINDS);
    const groups = times(MAX_GROUPS + 2, (j, i) => addGroup(j, `g${i}`));
    expect(groups.springs.coil.groups).toHaveLength(MAX_GROUPS);
    expect(addGroup(groups, 'more')).toBe(groups);
  });

  it('changes only the given kind', () => {
    const [disc, steel] = changeKind(job, 'disc', { name: 'Cork disc' }).pack.kinds;
    expect([disc?.name, steel?.name]).toEqual(['Cork disc', 'Steel']);
  });

  it('puts the first step of a retainer in use, and leaves that to the next ones', () => {
    const two = addStep(addStep(job, 'one'), 'two').springs.diaphragm;
    expect(two.steps.map((s) => s.id)).toEqual(['one', 'two']);
    expect(two.stepId).toBe('one');
  });
});

describe('what takes a machine off', () => {
  const bare: Job = { ...job, release: { type: 'hydraulic', liftReadings: [] } };

  it('has a start clutch on record where there is one, and opens its pack by the pedal', () => {
    const quad = chooseLayout(bare, 'startAndPack');
    expect([quad.startClutch.place, quad.release.type]).toEqual(['crank', 'measured']);
    expect(chooseLayout(quad, 'pack').release.type).toBe('hydraulic');
    expect(chooseLayout(bare, 'pack').startClutch.place).toBe('none');
    expect(chooseLayout(bare, 'startAndBelt').release.type).toBe('hydraulic');
    const onInput: Job = { ...bare, startClutch: { place: 'input' } };
    expect(chooseLayout(onInput, 'startAndPack').startClutch.place).toBe('input');
  });

  it('leaves a release alone of which something is entered', () => {
    const entered = put(bare, { 'release.leverTravel': 60 });
    expect(chooseLayout(entered, 'startAndPack').release).toBe(entered.release);
  });
});

describe('a variant without fittings', () => {
  it('leaves none of the present pack behind', () => {
    const plain = withVariant(scree(), 'plain', 'Plain');
    const fitted: Job = { ...plain, fittings: { wedge: { type: 'in' } } };
    expect(withVariantInUse(fitted, 'plain')).not.toHaveProperty('fittings');
    expect(withVariantInUse(fitted, 'plain').variants[0]?.fittings).toEqual(fitted.fittings);
  });
});
