import type { Evaluation } from '../evaluate/evaluate';
import type { PackLayer } from '@/core/evaluate/engine/layers';
import { layOut } from '@/core/evaluate/engine/layers';
import type { Sentence } from '@/core/text/sentence';
import type { Job } from '../job/types';
import { FIXTURES } from '../job/types';
import { judgeFixture } from './fixtures';
import type { Decision, Reason } from './decisions';
import { gravest } from './decisions';
import type { PartVerdict } from './partVerdict';
import { judgePlate } from './plates';
import type { RuleFinding } from './rules';
import { findAcross, findMixedSet } from './rules';
import { FIXTURE_NAME } from './sights';

export interface Inspection {
  /** Plates from the hub floor outward, then the parts around them that were looked at. */
  readonly parts: readonly PartVerdict[];
  /** Rules across parts, and damage with causes elsewhere. */
  readonly across: readonly RuleFinding[];
  /** Plates and parts that stay, change, and so on. */
  readonly counts: Readonly<Record<Decision, number>>;
  /** Whether anything was measured or seen at all. */
  readonly begun: boolean;
}

/**
 * Judges every plate and every inspected part, then applies the rules across parts: no new discs against warped steels, no new
 * steels against discs worn to the old steels, and total pack wear in addition to the wear of each disc.
 * @param job the record
 * @param evaluation of the same record; its pack verdicts take part
 * Never throws for a job that passes the schema.
 * Source: workshop practice; limits from the job; `docs/mechanics.md`, inspection.
 * @example inspect(job, evaluate(job)).counts.keep // 15
 */
export function inspect(job: Job, evaluation: Evaluation): Inspection {
  const plates = evaluation.layout.layers.map((layer) => plateVerdict(job, layer));
  const around = FIXTURES.flatMap((fixture) => {
    const reasons = judgeFixture(job, fixture);
    return reasons.length > 0
      ? [verdictOf(fixture, FIXTURE_NAME[fixture], reasons, { fixture })]
      : [];
  });
  const alone = [...plates, ...around];
  const decided = findAcross(job, evaluation, alone);
  const withThose = (found: readonly RuleFinding[]) =>
    alone.map((part) => withFindings(part, found));
  // The rule on mixed sets also counts discs rejected by the other rules.
  const across = [...decided, ...findMixedSet(withThose(decided))];
  const parts = withThose(across);
  const counts = { keep: 0, open: 0, watch: 0, grind: 0, change: 0, scrap: 0 };
  for (const part of parts) counts[part.decision]++;
  return {
    parts,
    across,
    counts,
    begun:
      around.length > 0 ||
      evaluation.layout.layers.some(
        (l) => l.measured || l.plate.outOfFlat || (l.plate.seen ?? []).length > 0,
      ),
  };
}

/** A part with the findings of the rules across parts. */
function withFindings(part: PartVerdict, found: readonly RuleFinding[]): PartVerdict {
  const more = found.flatMap((f) =>
    f.decision && f.partIds.includes(part.id)
      ? [{ decision: f.decision, sentence: f.sentence }]
      : [],
  );
  return more.length > 0
    ? verdictOf(part.id, part.name, [...part.reasons, ...more], {
        plate: part.plate,
        fixture: part.fixture,
      })
    : part;
}

/**
 * Judges one plate alone, without the rules across parts: fast, for the moment after a reading.
 * @param plateId of a plate of the job; for any other there is nothing
 * Never throws. Source: as {@link inspect}.
 * @example inspectPlate(job, job.pack.plates[0].id).decision // "keep"
 */
export function inspectPlate(job: Job, plateId: string): PartVerdict | undefined {
  const layer = layOut(job).layers.find((l) => l.plate.id === plateId);
  return layer && plateVerdict(job, layer);
}

const plateVerdict = (job: Job, layer: PackLayer): PartVerdict =>
  verdictOf(
    layer.plate.id,
    `${layer.lined === 'none' ? 'Steel' : 'Disc'}, plate ${layer.number}`,
    judgePlate(job, layer),
    { plate: layer },
  );

function verdictOf(
  id: string,
  name: string,
  reasons: readonly Reason[],
  part: Pick<PartVerdict, 'plate' | 'fixture'>,
): PartVerdict {
  const decision = gravest(reasons);
  // The deciding reason comes first.
  const sorted = [...reasons].sort(
    (a, b) => Number(b.decision === decision) - Number(a.decision === decision),
  );
  return { id, name, decision, reasons: sorted, ...part };
}

/**
 * The first reason of a part, which decides.
 * @example mainReason({ id: 'a', name: 'Disc', decision: 'keep', reasons: [] }) // []
 */
export function mainReason(part: PartVerdict): Sentence {
  return part.reasons[0]?.sentence ?? [];
}
