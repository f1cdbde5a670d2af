import fc from 'fast-check';

import type { ComplaintId } from '@/core/causes/complaints';
import { COMPLAINTS } from '@/core/causes/complaints';
import { TESTS } from '@/core/causes/tests';

import type { Job } from '@/core/job/types';
import {
  AIMS,
  PURPOSES,
  CALIPER_WAYS,
  FIXTURES,
  POINTS,
  SIGHTS,
  STAGES,
  THUMB_TESTS,
} from '@/core/job/types';
import { blankSignOff } from '@/core/job/signOff';

import { anyEntry, sparse, withId } from './arbitraryEntry';
import { arbitraryWork } from './arbitraryWork';

/** Arbitrary jobs as wide as the schema allows: for properties of every accepted file. */

const SEEN = fc.subarray([...SIGHTS]);

const KIND_IDS = ['k0', 'k1', 'k2'];

export const arbitraryJob: fc.Arbitrary<Job> = fc
  .record({
    stage: fc.constantFrom(...STAGES),
    name: fc.string({ maxLength: 30 }),
    engine: sparse({}, 'engine'),
    duty: sparse({}, 'duty'),
    release: sparse(
      {
        type: fc.constantFrom('measured', 'hydraulic', 'cable'),
        liftReadings: fc
          .array(sparse({}, 'release.liftReadings.*'), { maxLength: 6 })
          .map((readings) => withId([], readings)),
      },
      'release',
    ),
    curve: fc.option(
      fc
        .array(
          fc.record({
            rpm: fc.integer({ min: 0, max: 12000 }),
            torque: fc.double({ min: -5, max: 300, noNaN: true }),
          }),
          {
            minLength: 2,
            maxLength: 12,
          },
        )
        .map((points) => ({
          name: 'curve',
          points: [...new Map(points.map((p) => [p.rpm, p])).values()].sort(
            (a, b) => a.rpm - b.rpm,
          ),
        })),
      { nil: undefined },
    ),
    expanding: sparse({ fitted: fc.boolean() }, 'expanding'),
    setting: sparse(
      {
        readings: fc
          .array(sparse({}, 'setting.readings.*'), { maxLength: 4 })
          .map((readings) => withId([], readings)),
        separatePrimary: fc.boolean(),
        thumbTest: fc.constantFrom(...THUMB_TESTS),
      },
      'setting',
    ),
    inspection: sparse(
      {
        discPoints: fc.integer({ min: 1, max: 6 }),
        steelPoints: fc.integer({ min: 1, max: 6 }),
        springLengths: fc
          .array(sparse({ groupId: fc.constantFrom('x0', 'x1') }, 'inspection.springLengths.*'), {
            maxLength: 8,
          })
          .map((readings) => withId([], readings)),
        seen: fc.record(Object.fromEntries(FIXTURES.map((f) => [f, SEEN])), { requiredKeys: [] }),
      },
      'inspection',
    ),
    intake: sparse(
      {
        complaints: fc.subarray(Object.keys(COMPLAINTS) as ComplaintId[]),
        aims: fc.subarray([...AIMS]),
        purpose: fc.constantFrom(...PURPOSES),
        oil: fc.constantFrom('unknown', 'wetClutch', 'frictionModified'),
        tests: fc.record(
          Object.fromEntries(
            Object.entries(TESTS).map(([id, t]) => [
              id,
              fc.constantFrom(...t.outcomes.map((o) => o.id)),
            ]),
          ),
          { requiredKeys: [] },
        ),
      },
      'intake',
    ),
    layout: fc.constantFrom('unknown', 'pack', 'startAndPack', 'startAndBelt', 'belt'),
    visits: fc
      .array(
        sparse(
          {
            date: fc.constantFrom('2026-01-05', '2026-03-02', '2026-08-24'),
            readings: fc.dictionary(
              fc.constantFrom('x0', 'x1', 'x2', 'x3'),
              anyEntry('visits.*.readings.*'),
            ),
            note: fc.string({ maxLength: 10 }),
          },
          'visits.*',
        ),
        { maxLength: 5 },
      )
      .map((all) => withId([], all)),
    kinds: fc.array(
      sparse(
        {
          name: fc.string({ maxLength: 10 }),
          turnsWith: fc.constantFrom('basket', 'hub'),
          lined: fc.constantFrom('both', 'inner', 'outer', 'none'),
          lining: fc.constantFrom('paper', 'cork', 'aramid', 'sintered'),
          material: fc.constantFrom('steel', 'aluminium'),
          grindable: fc.boolean(),
        },
        'pack.kinds.*',
      ),
      { minLength: 3, maxLength: 3 },
    ),
    plates: fc.array(
      fc.record(
        {
          kindId: fc.constantFrom(...KIND_IDS),
          readings: fc.record(
            Object.fromEntries(POINTS.map((p) => [p, anyEntry('pack.plates.*.readings.*')])),
            { requiredKeys: [] },
          ),
          outOfFlat: anyEntry('pack.plates.*.outOfFlat'),
          tangClearance: anyEntry('pack.plates.*.tangClearance'),
          seen: SEEN,
          judder: fc.boolean(),
          offsetSlot: fc.boolean(),
          isNew: fc.boolean(),
          facing: fc.constantFrom('outward', 'inward'),
        },
        { requiredKeys: ['kindId'] },
      ),
      { maxLength: 60, size: 'medium' },
    ),
    pack: sparse(
      {
        floorTurnsWith: fc.constantFrom('basket', 'hub'),
        pressurePlateTurnsWith: fc.constantFrom('basket', 'hub'),
        radiusModel: fc.constantFrom('uniformWear', 'uniformPressure'),
        caliperTaken: fc.constantFrom(...CALIPER_WAYS),
      },
      'pack',
    ),
    groups: fc.array(
      sparse(
        {
          name: fc.string({ maxLength: 10 }),
          rateFrom: fc.constantFrom('rate', 'wire', 'tester'),
          testerPoints: fc
            .array(sparse({}, 'springs.coil.groups.*.testerPoints.*'), { maxLength: 5 })
            .map((points) => withId([], points)),
        },
        'springs.coil.groups.*',
      ),
      { maxLength: 4 },
    ),
    coil: sparse({}, 'springs.coil'),
    springType: fc.constantFrom('coil', 'diaphragm', 'loose'),
    ring: fc.array(fc.constantFrom('x0', 'x1'), { maxLength: 12 }),
    loose: sparse({}, 'springs.loose'),
    diaphragm: sparse(
      {
        forceFrom: fc.constantFrom('geometry', 'tester'),
        stepId: fc.constantFrom('x0', 'x1', 'gone'),
        steps: fc
          .array(sparse({ name: fc.string({ maxLength: 6 }) }, 'springs.diaphragm.steps.*'), {
            maxLength: 4,
          })
          .map((steps) => withId([], steps)),
        points: fc
          .array(sparse({}, 'springs.diaphragm.points.*'), { maxLength: 6 })
          .map((points) => withId([], points)),
      },
      'springs.diaphragm',
    ),
    assist: sparse({ type: fc.constantFrom('none', 'levers', 'balls') }, 'assist'),
    startClutch: sparse({ place: fc.constantFrom('none', 'crank', 'input') }, 'startClutch'),
    done: arbitraryWork,
  })
  .map(
    (j): Job =>
      ({
        id: 'generated',
        number: 'UR-9999',
        stage: j.stage,
        createdAt: '2026-01-01T00:00:00.000Z',
        updatedAt: '2026-01-01T00:00:00.000Z',
        archived: false,
        machine: { id: 'm', name: j.name, use: '', layout: j.layout },
        intake: j.intake,
        duty: j.duty,
        variants: [],
        engine: j.curve ? { ...j.engine, curve: j.curve } : j.engine,
        pack: { ...j.pack, kinds: withId(KIND_IDS, j.kinds), plates: withId([], j.plates) },
        springs: {
          type: j.springType,
          coil: {
            ...j.coil,
            groups: withId([], j.groups),
            ring: j.ring.filter((id) => Number(id.slice(1)) < j.groups.length),
          },
          diaphragm: j.diaphragm,
          loose: j.loose,
        },
        assist: j.assist,
        startClutch: j.startClutch,
        release: j.release,
        expanding: j.expanding,
        setting: j.setting,
        strip: { steps: [], parts: j.done.parts, found: [], notes: '' },
        work: j.done.work,
        build: j.done.build,
        prove: j.done.prove,
        signOff: blankSignOff(),
        visits: j.visits,
        inspection: {
          ...j.inspection,
          springLengths: (j.inspection.springLengths as { groupId: string }[]).filter(
            ({ groupId }) => Number(groupId.slice(1)) < j.groups.length,
          ),
        },
        photos: [],
        notes: '',
      }) as unknown as Job,
  );
