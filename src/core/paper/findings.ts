import type { Evaluation } from '../evaluate/evaluate';
import { findingText } from '../findings';
import { READING_KINDS } from '../job/record/findings';
import type { Job } from '../job/types';
import { compareSets, SET_NAME, setsOf } from '../readings/sets';
import type { UnitChoice } from '../units/quantity';
import { formatWithUnit } from '../units/quantity';
import type { PaperBlock } from './paper';

/* Findings and sets of readings, as both sheets print them. */

/**
 * The findings as a list under their heading; nothing where there are none.
 * @example findingBlocks(job) // []
 */
export const findingBlocks = ({ findings = [] }: Job, title = 'Findings on parts'): PaperBlock[] =>
  findings.length === 0
    ? []
    : [
        { kind: 'heading', text: title },
        { kind: 'list', items: findings.map(findingText) },
      ];

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
