import type { Evaluation } from '../evaluate/evaluate';
import { readSentence } from '@/core/text/sentence';
import { meanText } from '@/core/evaluate/figures/stackFigures';
import { inspect } from '../inspect/inspect';
import { DECISION_NAME } from '../inspect/decisions';
import type { Job } from '../job/types';
import { readingsOf } from '../job/types';
import { summarizeReadings } from '../pack/stack';
import { partMissing } from '../signoff/partItems';
import type { UnitChoice } from '../units/format';
import { formatWithUnit } from '../units/format';
import { bothTorques } from '../worksheet/fasteners';
import type { PaperBlock } from './paper';
import { gaugeDecimals } from './paper';
import { LOCK_NAME } from '../job/words';
import { countOf } from '@/core/text/countOf';

/** The drawing, and beside it the plates as measured, with what becomes of each. */
export function packBlocks(job: Job, evaluation: Evaluation, units: UnitChoice): PaperBlock[] {
  const { layers } = evaluation.layout;
  if (layers.length === 0) return [];
  const read = layers.flatMap((l) => readingsOf(l.plate).map((r) => r.value));
  const decimals = (units.length ?? 'mm') === 'mm' ? gaugeDecimals(read) : undefined;
  const inspection = inspect(job, evaluation);
  const decided = new Map(
    inspection.parts.flatMap((p) => (p.plate ? [[p.plate.plate.id, p]] : [])),
  );
  return [
    { kind: 'heading', text: 'Pack, from the hub floor outward' },
    {
      kind: 'columns',
      columns: [
        [{ kind: 'section' }],
        [
          {
            kind: 'table',
            columns: [
              { title: 'No.', digits: true },
              { title: 'Plate' },
              { title: 'Thickness', digits: true },
              { title: 'Note' },
            ],
            rows: layers.map(({ number, kind, thickness, measured, plate }) => {
              const part = inspection.begun ? decided.get(plate.id) : undefined;
              const [reason] = part && part.decision !== 'keep' ? part.reasons : [];
              return [
                String(number),
                kind.name,
                thickness === undefined
                  ? '–'
                  : formatWithUnit(thickness, 'length', units, decimals),
                [
                  plate.isNew ? 'new' : '',
                  measured ? meanText(readingsOf(plate).length) : 'nominal',
                  plate.outOfFlat
                    ? `${formatWithUnit(plate.outOfFlat.value, 'length', units, 2)} out of flat`
                    : '',
                  plate.facing === 'outward' ? 'marked face out' : '',
                  plate.facing === 'inward' ? 'marked face in' : '',
                  kind.directional ? 'with the rotation' : '',
                  plate.judder ? 'judder pair in its bore' : '',
                  plate.offsetSlot ? 'offset slots' : '',
                  plate.shelfId ? 'from the shelf' : '',
                  part && part.decision !== 'keep' && part.decision !== 'open'
                    ? DECISION_NAME[part.decision].toLowerCase()
                    : '',
                  reason ? readSentence(reason.sentence, units) : '',
                ]
                  .filter(Boolean)
                  .join(', '),
              ];
            }),
          },
        ],
      ],
    },
  ];
}

/** The plates that came out, as they were measured, with the reason. */
export function replacedBlocks({ replaced = [] }: Job, units: UnitChoice): PaperBlock[] {
  if (replaced.length === 0) return [];
  const read = replaced.flatMap((r) => readingsOf(r.plate).map((e) => e.value));
  const decimals = (units.length ?? 'mm') === 'mm' ? gaugeDecimals(read) : undefined;
  return [
    {
      kind: 'table',
      columns: [{ title: 'Replaced' }, { title: 'Thinnest', digits: true }, { title: 'Reason' }],
      rows: replaced.map(({ name, plate, why }) => {
        const values = readingsOf(plate).map((e) => e.value);
        return [
          name,
          values.length === 0
            ? '–'
            : formatWithUnit(summarizeReadings(values).least, 'length', units, decimals),
          [
            plate.outOfFlat
              ? `${formatWithUnit(plate.outOfFlat.value, 'length', units, 2)} out of flat.`
              : '',
            why,
          ]
            .filter(Boolean)
            .join(' '),
        ];
      }),
    },
  ];
}

/** Torques as printed and as done, with the order of the bolts. */
export function torqueBlocks(job: Job, units: UnitChoice): PaperBlock[] {
  const { fasteners, stages } = job.build;
  if (fasteners.length === 0) return [];
  return [
    { kind: 'heading', text: 'Torques and locking' },
    {
      kind: 'columns',
      columns: [
        [
          {
            kind: 'table',
            columns: [
              { title: 'Fastener' },
              { title: 'Count', digits: true },
              { title: 'Manual', digits: true },
              { title: 'Actual', digits: true },
              { title: 'Lock' },
            ],
            rows: fasteners.map((f) => [
              f.name || '–',
              f.count ? String(f.count.value) : '–',
              f.torque ? bothTorques(f.torque, units) : 'not entered',
              f.applied ? bothTorques(f.applied, units) : '–',
              f.lock === 'none' ? '' : `${LOCK_NAME[f.lock]}${f.grade ? ` ${f.grade}` : ''}`,
            ]),
          },
        ],
        ...fasteners.flatMap((f): (readonly PaperBlock[])[] =>
          f.role !== 'cover' && f.count && f.count.value >= 3
            ? [[{ kind: 'circle', bolts: f.count.value, name: f.name }]]
            : [],
        ),
      ],
    },
    {
      kind: 'text',
      text: `Bolt circles: criss-cross from finger tight in ${countOf(stages, 'stage')}.`,
    },
  ];
}

/** Small parts out and in. */
export function partBlocks({ strip }: Job): PaperBlock[] {
  const counted = strip.parts.filter((p) => (p.out?.value ?? 0) > 0);
  if (counted.length === 0) return [];
  return [
    { kind: 'heading', text: 'Small parts' },
    {
      kind: 'table',
      halves: true,
      columns: [
        { title: 'Part' },
        { title: 'Removed', digits: true },
        { title: 'In', digits: true },
      ],
      rows: counted.map((p) => [
        partMissing(p) ? `${p.name}, some missing` : p.name,
        String(p.out?.value ?? ''),
        p.in ? String(p.in.value) : '–',
      ]),
    },
  ];
}
