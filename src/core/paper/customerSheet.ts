import { engagesByItself } from '@/core/clutch/fitted';
import { hasPack } from '@/core/guide/layouts';
import { COMPLAINTS } from '@/core/causes/complaints';
import type { Evaluation } from '@/core/evaluate/evaluate';
import { evaluate } from '@/core/evaluate/evaluate';
import { readSentence, travel } from '@/core/text/sentence';
import { inspect } from '@/core/inspect/inspect';
import { summarize } from '@/core/inspect/summary';
import { isAssemblyBegun } from '@/core/job/purpose';
import type { Job } from '@/core/job/types';
import { AIM_NAME } from '@/core/job/words';
import { isFrozen } from '@/core/job/signOff';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit } from '@/core/units/format';
import { releasedBy } from '../release/way';
import { causeBlocks, findingBlocks } from './findings';
import type { Paper, PaperBlock, SheetOptions } from './paper';
import { facts, titleOf } from './paper';
import { openItems } from '../signoff/openItems';
import { nextService } from '../due/due';
import { countOf } from '@/core/text/countOf';

const some = (n: number, one: string): string => (n === 0 ? '' : countOf(n, one));

/**
 * The pack in words. Unfinished work of the shop is not shown to the rider; signed content is.
 * @returns nothing where the job was signed without a judgement, which it did not ask for
 */
function packText({ overall }: Evaluation, signed: boolean, units: UnitChoice): string {
  if (overall.state === 'good' || (signed && overall.state === 'watch'))
    return readSentence(overall.sentence, units);
  if (!signed) return 'The work is not finished yet.';
  return overall.state === 'stop'
    ? 'Some items are not as they should be: your builder has written why. Please ask.'
    : '';
}

/** What was not done as the manual asks, with the reason or the agreement. */
function deviationBlocks(job: Job, evaluation: Evaluation, units: UnitChoice): PaperBlock[] {
  const reasoned = openItems(job, [], evaluation).filter(
    (i) => i.override && (i.kind === 'deviation' || i.kind === 'part'),
  );
  return reasoned.length === 0
    ? []
    : [
        { kind: 'heading', text: 'Not as the manual asks' },
        {
          kind: 'list',
          items: reasoned.map(
            (i) => `${readSentence(i.sentence, units)} ${i.override?.reason ?? ''}`,
          ),
        },
      ];
}

/** When to come back, and why; what stays in is good until then. */
function serviceText(job: Job): string | undefined {
  const next = nextService(job, [job]);
  return next && `${next.day}: ${next.title}`;
}

/**
 * The customer sheet: findings, work done, settings, and advice.
 * @param job the record; never throws for one that passes the schema
 * @example customerSheet(job).title // "T-1 Crag 400"
 */
export function customerSheet(job: Job, options: SheetOptions = {}): Paper {
  const { units = {} } = options;
  const evaluation = options.evaluation ?? evaluate(job);
  const inspection = inspect(job, evaluation);
  const { setting, release, prove } = job;
  const auto = engagesByItself(job, 'inPack') !== undefined;
  const mm = (e: { readonly value: number } | undefined) =>
    e && formatWithUnit(e.value, 'length', units);
  // Read with a rule, at the lever.
  const atLever = (e: { readonly value: number } | undefined) =>
    e && readSentence([travel(e.value)], units);
  const fresh = evaluation.layout.layers.filter((l) => l.plate.isNew);
  const discs = fresh.filter((l) => l.lined !== 'none').length;
  const steels = fresh.length - discs;
  const assembled = isAssemblyBegun(job);
  const lever = hasPack(job.machine.layout) && releasedBy(job) !== 'pedal';
  const open = prove.starts.some((s) => (s.wanted?.value ?? 0) > (s.done?.value ?? 0));
  const signedAs = options.revision ?? (isFrozen(job) ? job.signOff.revisions.at(-1) : undefined);
  return {
    title: titleOf(job),
    large: true,
    subtitle: assembled ? 'Your clutch: work done and advice' : 'Your clutch: findings and advice',
    foot: signedAs ? `${job.number} · revision ${signedAs.number}` : `${job.number} · not signed`,
    blocks: [
      ...facts([
        ['Machine', [job.machine.name, job.machine.use].filter(Boolean).join(', ')],
        ['Goal', job.intake.aims.map((a) => AIM_NAME[a]).join(', ')],
        ['Complaint', job.intake.complaints.map((c) => COMPLAINTS[c]).join(', ')],
      ]),
      ...(inspection.begun
        ? ([
            { kind: 'heading', text: 'Findings' },
            {
              kind: 'list',
              items: summarize(job, inspection, evaluation).customer.map((s) =>
                readSentence(s, units),
              ),
            },
          ] satisfies PaperBlock[])
        : []),
      ...findingBlocks(job, 'Found on other parts'),
      ...causeBlocks(job, evaluation),
      {
        kind: 'heading',
        text: assembled ? 'Fitted now' : fresh.length > 0 ? 'Pack to be fitted' : 'Pack',
      },
      {
        kind: 'list',
        items: [
          // A belt machine has a start clutch and no plates.
          !hasPack(job.machine.layout)
            ? 'The start clutch: shoes, drum and one-way bearing.'
            : `${countOf(evaluation.layout.layers.length, 'plate')}${fresh.length > 0 ? `, of which new: ${[some(discs, 'disc'), some(steels, 'steel')].filter(Boolean).join(' and ')}` : ''}.`,
          packText(evaluation, signedAs !== undefined, units),
        ].filter((line) => line !== ''),
      },
      ...facts([
        ['Free play at the lever', atLever(prove.recheckFreePlay ?? release.freePlay)],
        ['Install gap', auto ? mm(setting.installGap) : undefined],
        [
          'Lever gain when revved',
          auto ? atLever(prove.recheckGain ?? setting.readings.at(-1)?.gain) : undefined,
        ],
        ['Next service', serviceText(job)],
        ['Oil', 'For wet clutches (JASO MA or MA2); never friction-modified car oil'],
      ]),
      ...deviationBlocks(job, evaluation, units),
      { kind: 'heading', text: 'Please note' },
      {
        kind: 'list',
        items: [
          `First ride slow, off the road, brakes tested: ${lever ? 'the lever may act' : 'it may pull away'} differently.`,
          ...(open
            ? [
                `Break-in: ${prove.starts.map((s) => `${s.wanted?.value ?? 0} starts in ${s.name.toLowerCase() || 'a gear'}`).join(', ')}, with cooling time between.`,
              ]
            : []),
          ...(!assembled ||
          prove.recheckFreePlay ||
          prove.recheckLift ||
          prove.recheckGain ||
          !hasPack(job.machine.layout)
            ? []
            : [
                `Bring it back after break-in: the discs bed in, and ${lever ? 'gap and free play' : 'the adjuster'} must be reset.`,
              ]),
          ...(engagesByItself(job)
            ? [
                `The machine can move ${lever ? 'with the lever out' : 'when it is revved'}: brake on, and in neutral when you get off.`,
              ]
            : []),
          'If it slips, drags or smells burnt, stop and bring it back.',
          'The maker’s manual and local rules take precedence over this sheet.',
        ],
      },
      { kind: 'sign', lines: ['Builder, date', 'Rider, date'] },
    ],
  };
}
