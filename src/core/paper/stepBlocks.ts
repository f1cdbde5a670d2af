import { readSentence } from '@/core/text/sentence';
import type { Job } from '../job/types';
import type { WorkStage } from '../job/work';
import type { UnitChoice } from '../units/format';
import type { SheetStep } from '../worksheet/worksheet';
import { stepsOf } from '../worksheet/worksheet';
import type { PaperBlock, PaperStep } from './paper';
import { minute } from '../text/minute';
import { day } from './paper';
import { countOf } from '@/core/text/countOf';

const STAGE_TITLE: Readonly<Record<WorkStage, string>> = {
  build: 'Assembly',
  set: 'Setting',
  prove: 'Proving',
};

/** The steps of a stage, with who did them and when. */
export function stepBlocks(job: Job, stage: WorkStage, units: UnitChoice): PaperBlock[] {
  const steps = stepsOf(job, stage).filter((s) => s.state !== 'open' || !s.line.optional);
  return steps.length === 0
    ? []
    : [
        { kind: 'heading', text: STAGE_TITLE[stage] },
        ...whenDone(steps),
        { kind: 'steps', rows: steps.map((s) => paperStep(s, units)) },
      ];
}

/** Who did the steps, and from when to when: once for all of them. */
function whenDone(steps: readonly SheetStep[]): PaperBlock[] {
  const done = steps.flatMap((s) => s.record.done ?? []);
  const times = done.map((d) => d.at).toSorted();
  const [first] = times;
  const last = times.at(-1);
  if (first === undefined || last === undefined) return [];
  const by = [...new Set(done.flatMap((d) => d.by || []))].join(', ');
  const from = minute(first);
  const to = minute(last);
  const span = from === to ? from : `${from} to ${day(to) === day(from) ? to.slice(11) : to}`;
  return [
    {
      kind: 'text',
      text: `${done.length} of ${countOf(steps.length, 'step')} done${by ? ` by ${by}` : ''}, ${span}.`,
    },
  ];
}

function paperStep({ line, record, state }: SheetStep, units: UnitChoice): PaperStep {
  const other = line.method?.others.find((o) => o.id === record.otherwise);
  return {
    mark: state,
    text: readSentence(line.text, units),
    note: [
      state === 'changed' ? `changed since; before: ${record.done?.said ?? ''}` : '',
      state === 'failed' ? 'not passed' : '',
      record.skipped ? `skipped: ${record.skipped}` : '',
      other ? `done differently: ${other.text}` : '',
      record.note ?? '',
    ]
      .filter(Boolean)
      .join('; '),
  };
}
