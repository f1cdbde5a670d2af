import { rankCauses } from '../causes/rank';
import type { Evaluation } from '../evaluate/evaluate';
import { findingText, PART_NAME } from '../findings';
import { READING_KINDS } from '../job/record/findings';
import type { Job } from '../job/types';
import { compareSets, SET_NAME, setsOf } from '../readings/sets';
import { lowerFirst } from '../text/sentence';
import type { UnitChoice } from '../units/format';
import { formatWithUnit } from '../units/format';
import type { PaperBlock } from './paper';

/* Findings, likely causes and sets of readings, as both sheets print them. */

/**
 * The findings as a list under their heading; nothing where there are none.
 * @example findingBlocks(job) // []
 */
export function findingBlocks(
  { findings = [], photos }: Job,
  title = 'Findings on parts',
): PaperBlock[] {
  if (findings.length === 0) return [];
  const pictures = findings.flatMap((f) =>
    f.photoIds.flatMap((id) => {
      const photo = photos.find((p) => p.id === id);
      return photo ? [{ id, caption: photo.caption || PART_NAME[f.part] }] : [];
    }),
  );
  return [
    { kind: 'heading', text: title },
    { kind: 'list', items: findings.map(findingText) },
    ...(pictures.length > 0 ? [{ kind: 'pictures', pictures } satisfies PaperBlock] : []),
  ];
}

/** A cause less likely than this is not printed, nor more causes than this. Assumed values. */
const LEAST_SHARE = 0.15;
const MOST_CAUSES = 3;

/**
 * The likely causes of the complaints, each with its strongest reason, where a fault is looked for.
 * @example causeBlocks(job, evaluate(job)) // []
 */
export function causeBlocks(job: Job, evaluation: Evaluation): PaperBlock[] {
  const { complaints, purpose, tests } = job.intake;
  if (purpose !== 'findFault' || complaints.length === 0) return [];
  const items = rankCauses({ complaints, tests, job, evaluation })
    .causes.filter((c) => c.share >= LEAST_SHARE)
    .slice(0, MOST_CAUSES)
    .map(({ name, share, reasons: [reason] }) =>
      [
        `${name}, ${(share * 100).toFixed(0)} in 100.`,
        reason && `${reason.from}: ${lowerFirst(reason.because)}`,
      ]
        .filter(Boolean)
        .join(' '),
    );
  return items.length === 0
    ? []
    : [
        { kind: 'heading', text: 'Likely causes' },
        { kind: 'list', items },
      ];
}

/**
 * Readings before and after work, a table for each kind that was taken more than once.
 * @example setBlocks(job, evaluate(job), {}) // []
 */
export function setBlocks(job: Job, evaluation: Evaluation, units: UnitChoice): PaperBlock[] {
  const mm = (value: number) => formatWithUnit(value, 'length', units);
  const tables = READING_KINDS.flatMap((kind): PaperBlock[] => {
    const sets = setsOf(job, kind);
    if (sets.length === 0) return [];
    return [
      { kind: 'text', text: SET_NAME[kind], strong: true },
      {
        kind: 'table',
        columns: [
          { title: 'Reading' },
          ...sets.map((s) => ({ title: s.date, digits: true })),
          { title: 'Last', digits: true },
          { title: 'Change', digits: true },
        ],
        rows: compareSets(job, kind, evaluation).map(({ name, cells, change }) => [
          name,
          ...cells.map((c) => c?.text ?? (c?.value === undefined ? '–' : mm(c.value))),
          change === undefined ? '' : `${change < 0 ? '−' : '+'}${mm(Math.abs(change))}`,
        ]),
      },
      {
        kind: 'text',
        text: sets
          .map((s) => `${s.date}${s.machine ? ` (${s.machine})` : ''}, then: ${s.then}.`)
          .join(' '),
      },
    ];
  });
  return tables.length === 0 ? [] : [{ kind: 'heading', text: 'Before and after' }, ...tables];
}
