import { crag, knoll } from '@/testing/jobs';
import { put } from '@/testing/packs';
import fc from 'fast-check';

import { blankJob } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import { fieldAt } from '@/core/job/fields';
import type { Fixture, Job } from '@/core/job/types';

import { readSentence } from '@/core/text/sentence';
import { judgeFixture } from '../fixtures';
import { omit } from '@/core/omit';

/* Parts around the plates at the edges of their limits, whatever those are. */

const job = crag();
const quad = knoll();
const { inspection } = blankJob('j', 'UR-0001', '2026-01-01T00:00:00.000Z');
const blank: Job = { ...job, inspection };
const decisions = (base: Job, fixture: Fixture) =>
  judgeFixture(base, fixture).map((r) => r.decision);
const words = (base: Job, fixture: Fixture) =>
  judgeFixture(base, fixture)
    .map((r) => readSentence(r.sentence))
    .join(' ');

const MOST = [
  ['basket', 'inspection.basketNotch', 'inspection.notchLimit'],
  ['hub', 'inspection.hubNotch', 'inspection.notchLimit'],
  ['hub', 'inspection.damperPlay', 'inspection.damperPlayLimit'],
  ['pressurePlate', 'inspection.pressurePlateFlatness', 'inspection.pressurePlateFlatnessLimit'],
  ['pressurePlate', 'inspection.seatSquareness', 'inspection.seatSquarenessLimit'],
] as const satisfies readonly (readonly [Fixture, string, string])[];

describe.each(MOST)('%s, %s', (fixture, path, limitPath) => {
  it('passes up to its limit, is watched on the way to it, and is changed above', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (limit, share) => {
          const value = share * limit;
          const said = decisions(put(blank, { [limitPath]: limit, [path]: value }), fixture);
          const expected = value > limit + 1e-6 ? 'change' : share > 0.6 ? 'watch' : 'keep';
          // At the very edges rounding may go either way.
          if (Math.abs(value - limit) > 2e-6 && Math.abs(share - 0.6) > 1e-9)
            expect(said).toEqual([expected]);
        },
      ),
    );
    expect(decisions(put(blank, { [limitPath]: 1, [path]: 1 }), fixture)).toEqual(['watch']);
    expect(decisions(put(blank, { [limitPath]: 0, [path]: 0 }), fixture)).toEqual(['keep']);
  });

  it('says nothing while it is not measured, and asks for a limit where there is none to go by', () => {
    expect(decisions(blank, fixture)).toEqual([]);
    const unlimited = put(blank, { [path]: 0.2 });
    if (fieldAt(limitPath).estimate === undefined) {
      expect(decisions(unlimited, fixture)).toEqual(['watch']);
      expect(words(unlimited, fixture)).toContain('a limit from the manual is needed');
    } else expect(words(unlimited, fixture)).not.toContain('is needed');
  });
});

describe('the pressure plate', () => {
  const bent = {
    'inspection.pressurePlateFlatness': 0.2,
    'inspection.pressurePlateFlatnessLimit': 0.1,
    'inspection.pressurePlateMinThickness': 4.8,
  };

  it('is ground where grinding it flat leaves its least thickness, and changed where it does not', () => {
    const thick = (t: number) =>
      decisions(put(blank, { ...bent, 'inspection.pressurePlateThickness': t }), 'pressurePlate');
    expect(thick(5.1)).toEqual(['grind']);
    expect(thick(4.99)).toEqual(['change']);
    // Already too thin: that is said beside it.
    expect(thick(4.7)).toEqual(['change', 'change']);
    // Without a thickness nobody knows what grinding would leave.
    expect(decisions(put(blank, bent), 'pressurePlate')).toEqual(['change']);
  });

  it('may be as thin as its least', () => {
    const at = (t: number) =>
      decisions(
        put(blank, {
          'inspection.pressurePlateMinThickness': 4.8,
          'inspection.pressurePlateThickness': t,
        }),
        'pressurePlate',
      );
    expect(at(4.8)).toEqual([]);
    expect(at(4.79)).toEqual(['change']);
  });
});

describe('the diaphragm', () => {
  const cone = (measured: number, least?: number): Job =>
    put(
      { ...quad, inspection },
      {
        'springs.diaphragm.measuredCone': measured,
        ...(least === undefined ? {} : { 'inspection.coneMin': least }),
      },
    );

  it('is changed once its cone is flatter than the least, and only then', () => {
    expect(decisions(cone(4.5, 4.5), 'springs')).toEqual(['keep']);
    expect(decisions(cone(4.49, 4.5), 'springs')).toEqual(['change']);
    expect(words(cone(4.49, 4.5), 'springs')).toContain('below 4.500 mm');
  });

  it('is watched against its new height where no least is known', () => {
    expect(decisions(cone(4.49), 'springs')).toEqual(['watch']);
    expect(words(cone(4.49), 'springs')).toContain('included in the clamp');
  });
});

describe('a set of coil springs', () => {
  const [group] = job.springs.coil.groups;
  const id = group?.id ?? '';
  const set = (lengths: readonly number[], least?: number): Job => ({
    ...blank,
    inspection: {
      ...blank.inspection,
      springLengths: lengths.map((length, i) => ({
        id: `s${i}`,
        groupId: id,
        length: entry(length),
      })),
    },
    springs: {
      ...job.springs,
      coil: {
        ...job.springs.coil,
        groups: job.springs.coil.groups.map((g) => ({
          ...omit(g, 'minFreeLength'),
          ...(least === undefined ? {} : { minFreeLength: entry(least) }),
        })),
      },
    },
  });

  it('is judged by its shortest, which may stand as short as the least', () => {
    expect(decisions(set([44, 43.5, 43.6], 43.5), 'springs')).toEqual(['keep']);
    expect(decisions(set([44, 43.49, 43.6], 43.5), 'springs')).toEqual(['change']);
    expect(words(set([44, 43.4, 43.6], 43.5), 'springs')).toContain('replace the whole set');
  });

  it('is watched where its springs differ by more than six tenths', () => {
    expect(decisions(set([44, 43.4], 43), 'springs')).not.toContain('change');
    expect(words(set([44, 43.4], 43), 'springs')).not.toContain('The set differs');
    expect(words(set([44, 43.39], 43), 'springs')).toContain('The set differs by 0.610 mm');
  });
});
