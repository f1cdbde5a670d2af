import { fittedKinds } from '../clutch/fitted';
import { COMPLAINTS } from '../causes/complaints';
import type { Evaluation } from '../evaluate/evaluate';
import { evaluate } from '../evaluate/evaluate';
import type { Verdict } from '../evaluate/engine/verdict';
import type { FigureId } from '@/core/evaluate/engine/figure';
import { figureText } from '@/core/text/figureText';
import { readSentence } from '@/core/text/sentence';
import { inspect } from '../inspect/inspect';
import { DECISION_NAME } from '../inspect/decisions';
import { summarize } from '../inspect/summary';
import { demandsOf, PURPOSE_NAME } from '../job/purpose';
import type { Job } from '../job/types';
import { WORK_STAGES } from '../job/work';
import { isFrozen } from '../job/signOff';
import { meterOf, runRead } from '../life/meter';
import { openItems } from '../signoff/openItems';
import { recheckFindings } from '../signoff/recheck';
import type { UnitChoice } from '../units/format';
import { formatWithUnit } from '../units/format';
import { causeBlocks, findingBlocks, setBlocks } from './findings';
import type { Paper, PaperBlock, SheetOptions } from './paper';
import { minute } from '../text/minute';
import { day, facts, titleOf } from './paper';
import { packBlocks, partBlocks, replacedBlocks, torqueBlocks } from './packBlocks';
import { settingBlocks } from './settings';
import { stepBlocks } from './stepBlocks';
import { AIM_NAME, CAUTIONS, OIL_NAME, STAGE_NAME } from '../job/words';

/** Figures on the sheet, where they apply. */
const ON_SHEET: readonly FigureId[] = [
  'stack',
  'stackMargin',
  'faces',
  'clamp',
  'torqueAtClutch',
  'capacityWithTangs',
  'reserveWithTangs',
  'leastCurveReserve',
  'liningPressure',
  'liftHad',
  'liftNeeded',
  'clearancePerFace',
  'liftLeast',
  'liftAcross',
  'liftTilt',
  'liftResidual',
  'overallRatio',
  'ownRatio',
  'leverPull',
  'pullLift',
  'leverPullFull',
  'plateGap',
  'springOffset',
  'retention',
  'basketRetention',
  'deflection',
  'packWear',
  'expandContact',
  'expandLockUp',
  'gapSet',
  'gapByLever',
  'startContact',
  'startHolding',
  'liftMeasured',
  'leverPullBack',
  'dragCold',
  'dragFreeFrom',
];

/**
 * The job sheet: job, machine, pack, figures with verdicts, torques, settings, every step, counted parts, open items or those
 * signed with a reason, cautions and a signature line.
 * @param job the record; never throws for one that passes the schema
 * Source: workshop practice; `docs/mechanics.md`, paper.
 * @example jobSheet(job).title // "T-1 Crag 400"
 */
export function jobSheet(job: Job, options: SheetOptions = {}): Paper {
  const { units = {}, unfinished = [], revision } = options;
  const evaluation = options.evaluation ?? evaluate(job);
  const signedAs = revision ?? (isFrozen(job) ? job.signOff.revisions.at(-1) : undefined);
  const items = openItems(job, unfinished, evaluation);
  const verdicts = verdictsAsked(job, evaluation);
  const standing = items.filter((i) => !i.override);
  return {
    title: titleOf(job),
    subtitle: signedAs
      ? `Job sheet, revision ${signedAs.number}, signed ${day(signedAs.signedAt)} by ${signedAs.by}`
      : `Job sheet, not signed: at ${STAGE_NAME[job.stage]}`,
    foot: signedAs
      ? `${job.number} · revision ${signedAs.number} · SHA-256 ${signedAs.digest}`
      : `${job.number} · not signed`,
    blocks: [
      ...headBlocks(job, units),
      ...verdictBlocks(verdicts, units),
      ...packBlocks(job, evaluation, units),
      ...figureBlocks(job, evaluation, units, verdicts.includes(evaluation.overall)),
      ...settingBlocks(job, units),
      ...torqueBlocks(job, units),
      ...inspectionBlocks(job, evaluation, units),
      ...findingBlocks(job),
      ...causeBlocks(job, evaluation),
      ...setBlocks(job, evaluation, units),
      ...partBlocks(job),
      ...WORK_STAGES.flatMap((stage) => stepBlocks(job, stage, units)),
      ...recheckBlocks(job, units),
      ...(standing.length > 0
        ? ([
            { kind: 'heading', text: signedAs ? 'Open when signed' : 'Still open' },
            {
              kind: 'list',
              items: standing.map((i) => `${i.title}. ${readSentence(i.sentence, units)}`),
            },
          ] satisfies PaperBlock[])
        : []),
      ...overrideBlocks(job, items, units),
      ...(job.notes.trim() ? noteBlocks('Notes', job.notes) : []),
      ...(signedAs?.why ? noteBlocks(`Reason for revision ${signedAs.number}`, signedAs.why) : []),
      { kind: 'heading', text: 'Cautions' },
      { kind: 'text', text: CAUTIONS.join(' ') },
      {
        kind: 'sign',
        lines: signedAs
          ? [`Signed ${minute(signedAs.signedAt)}: ${signedAs.by}`, 'Received by the rider']
          : ['Builder, date', 'Received by the rider, date'],
      },
    ],
  };
}

function noteBlocks(title: string, text: string): PaperBlock[] {
  return [
    { kind: 'heading', text: title },
    { kind: 'text', text },
  ];
}

/** The overall verdict first; what this kind of job does not demand is not printed as "not judged". */
function verdictsAsked(job: Job, { overall, verdicts }: Evaluation): Verdict[] {
  const demanded = demandsOf(job).verdicts;
  const asked = verdicts.filter(
    (v) => v.state !== 'unknown' || job.intake.purpose === undefined || demanded.includes(v.id),
  );
  return overall.state === 'unknown' && asked.every((v) => v.state !== 'unknown')
    ? asked
    : [overall, ...asked.filter((v) => v.title !== overall.title)];
}

function verdictBlocks(verdicts: readonly Verdict[], units: UnitChoice): PaperBlock[] {
  return verdicts.length === 0
    ? []
    : [
        { kind: 'heading', text: 'Verdict' },
        {
          kind: 'verdicts',
          rows: verdicts.map(({ state, title, sentence }) => ({
            state,
            title,
            text: readSentence(sentence, units),
          })),
        },
      ];
}

function headBlocks(job: Job, units: UnitChoice): PaperBlock[] {
  const { machine, intake, engine } = job;
  const meter = meterOf(job);
  const value = (
    entry: { readonly value: number } | undefined,
    quantity: Parameters<typeof formatWithUnit>[1],
  ) => (entry ? formatWithUnit(entry.value, quantity, units) : undefined);
  return facts([
    ['Machine', [machine.name, machine.use].filter(Boolean).join(', ')],
    ['Started', day(job.createdAt)],
    ['Due date', intake.due],
    [meter.name, value(runRead(job, intake), meter.quantity)],
    ['Kind of job', intake.purpose && PURPOSE_NAME[intake.purpose]],
    ['Complaint', intake.complaints.map((c) => COMPLAINTS[c]).join(', ')],
    ['Goal', intake.aims.map((a) => AIM_NAME[a]).join(', ')],
    ['Oil on arrival', OIL_NAME[intake.oil]],
    ['Engine torque, peak', value(engine.peakTorque, 'torque')],
    ['Primary ratio', value(engine.primaryRatio, 'ratio')],
    ['Bench', job.work.by],
  ]);
}

/** @param judged whether the job is judged as a whole; otherwise no figure with an assumed value is printed */
function figureBlocks(
  job: Job,
  { figures }: Evaluation,
  units: UnitChoice,
  judged: boolean,
): PaperBlock[] {
  const ofKinds = fittedKinds(job).flatMap((kind) => kind.shown ?? []);
  const rows = [...new Set([...ON_SHEET, ...ofKinds])].flatMap((id) => {
    const f = figures.get(id);
    if (f?.status !== 'known' || (f.estimated && !judged)) return [];
    const { value, range } = figureText(f, units);
    return [[`${f.label}${f.estimated ? ' *' : ''}`, range ? `${value} (${range})` : value]];
  });
  return rows.length === 0
    ? []
    : [
        { kind: 'heading', text: 'Figures' },
        {
          kind: 'table',
          halves: true,
          columns: [{ title: 'Figure' }, { title: 'Value', digits: true }],
          rows,
        },
        ...(judged
          ? [
              {
                kind: 'text' as const,
                text: '* Includes an assumed value. In brackets: low to high friction.',
              },
            ]
          : []),
      ];
}

function inspectionBlocks(job: Job, evaluation: Evaluation, units: UnitChoice): PaperBlock[] {
  const inspection = inspect(job, evaluation);
  if (!inspection.begun) return [];
  const summary = summarize(job, inspection, evaluation);
  // The plates have theirs in the table of the pack.
  const rows = inspection.parts.flatMap((part) => {
    const [reason] = part.reasons;
    return part.plate || (part.decision === 'keep' && !reason)
      ? []
      : [
          [
            part.name,
            DECISION_NAME[part.decision],
            reason ? readSentence(reason.sentence, units) : '',
          ],
        ];
  });
  return [
    { kind: 'heading', text: 'Inspection' },
    { kind: 'text', text: summary.shop.map((s) => readSentence(s, units)).join(' ') },
    ...(rows.length > 0
      ? [
          {
            kind: 'table',
            columns: [{ title: 'Part' }, { title: 'Decision' }, { title: 'Reason' }],
            rows,
          } satisfies PaperBlock,
        ]
      : []),
    ...replacedBlocks(job, units),
  ];
}

function recheckBlocks(job: Job, units: UnitChoice): PaperBlock[] {
  const { starts } = job.prove;
  const found = recheckFindings(job);
  const rows = starts.map(
    (s) =>
      `${s.name || 'Starts'}: ${s.done?.value ?? 0}${s.wanted ? ` of ${s.wanted.value}` : ''} break-in starts`,
  );
  const again = found.map((f) => readSentence(f.sentence, units));
  return rows.length + again.length === 0
    ? []
    : [
        { kind: 'heading', text: 'Break-in' },
        { kind: 'list', items: [...rows, ...again] },
      ];
}

function overrideBlocks(
  job: Job,
  items: ReturnType<typeof openItems>,
  units: UnitChoice,
): PaperBlock[] {
  const over = items.filter((i) => i.override);
  return over.length === 0
    ? []
    : [
        { kind: 'heading', text: 'Signed with a reason' },
        {
          kind: 'list',
          items: over.map(
            (i) =>
              `${i.title}. ${readSentence(i.sentence, units)} Reason: ${i.override?.reason ?? ''} (${i.override?.by ?? ''}, ${day(i.override?.at ?? job.updatedAt)})`,
          ),
        },
      ];
}
