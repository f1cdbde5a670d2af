import { crag, jobsOfEachKind, knoll } from '@/testing/jobs';
import fc from 'fast-check';

import { arbitraryJob } from '@/testing/arbitraryJob';

import { evaluate } from '../../evaluate/evaluate';
import { copyOfJob, machinesOf, nextJobOf } from '../derive';

const NOW = '2026-12-01T08:00:00.000Z';

describe('a job from another', () => {
  it('of a known machine uses its record, and nothing that was measured or said last time', () => {
    const last = knoll();
    const next = nextJobOf(last, 'n', 'UR-0200', NOW);
    expect(next).toMatchObject({
      id: 'n',
      number: 'UR-0200',
      stage: 'intake',
      machine: last.machine,
    });
    expect(next.engine).toEqual(last.engine);
    expect(next.pack.kinds).toEqual(last.pack.kinds);
    expect(next.pack.plates.map((p) => p.kindId)).toEqual(last.pack.plates.map((p) => p.kindId));
    expect(next.pack.plates.some((p) => p.readings ?? p.outOfFlat ?? p.seen)).toBe(false);
    expect(next.intake.complaints).toEqual([]);
    expect(next.release.freePlay).toBeUndefined();
    expect(next.release.reducedEffort).toEqual(last.release.reducedEffort);
    expect(next.inspection.steelWarpLimit).toEqual(last.inspection.steelWarpLimit);
    expect(next.strip.steps.length).toBe(last.strip.steps.length);
    expect(next.strip.steps.some((s) => s.done)).toBe(false);
    expect(next.strip.parts.some((p) => p.out)).toBe(false);
    expect(evaluate(next).figures.get('packWear')).toBeUndefined();
    expect(JSON.stringify(next)).not.toContain('undefined');
  });

  it('of any known machine takes no reading of the pack that was in, and can be worked out', () => {
    // Readings of one pack at any stage: another pack needs its own.
    const read =
      /\.(readings|outOfFlat|tangClearance|seen|measuredLift|freePlay|air|stretch|pivotWear|gapMeasured|goSize|noGoSize|endFloat|chainSlack|turnsOut|marksOut|gapRead\d|caliper|measuredCone|headClearance|basketNotch|hubNotch|damperPlay|applied|out|in|recheckFreePlay|recheckLift|recheckGain)$/;
    const pathsOf = (value: unknown, path = ''): string[] =>
      typeof value === 'object' && value !== null && !('value' in value)
        ? Object.entries(value).flatMap(([key, v]) => pathsOf(v, `${path}.${key}`))
        : value === undefined
          ? []
          : [path];
    fc.assert(
      fc.property(arbitraryJob, (last) => {
        const { variants: _variants, ...next } = nextJobOf(last, 'n', 'UR-0200', NOW);
        expect(pathsOf(next).filter((path) => read.test(path))).toEqual([]);
        evaluate(nextJobOf(last, 'n', 'UR-0200', NOW));
      }),
      { numRuns: 100 },
    );
  });

  it('as a copy has every value but its own identity and photographs', () => {
    const job = { ...crag(), archived: true };
    const copy = copyOfJob(job, 'c', 'UR-0201', NOW);
    expect(copy).toEqual({
      ...job,
      id: 'c',
      number: 'UR-0201',
      createdAt: NOW,
      updatedAt: NOW,
      archived: false,
    });
  });

  it('finds the last job of every machine', () => {
    const old = knoll();
    const later = nextJobOf(old, 'n', 'UR-0200', NOW);
    const machines = machinesOf([...jobsOfEachKind(), later]);
    expect(machines).toHaveLength(5);
    expect(machines.find((j) => j.machine.id === old.machine.id)?.number).toBe('UR-0200');
  });
});
