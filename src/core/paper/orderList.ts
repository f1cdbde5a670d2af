import { coilGroups, engagesByItself } from '../clutch/fitted';
import type { Evaluation } from '../evaluate/evaluate';
import { evaluate } from '../evaluate/evaluate';
import { readSentence } from '@/core/text/sentence';
import { PART_NAME } from '../findings';
import { inspect, mainReason } from '../inspect/inspect';
import type { Job } from '../job/types';
import type { Fastener, Lock } from '../job/work';
import type { UnitChoice } from '../units/format';
import { formatWithUnit } from '../units/format';
import { usualFasteners } from '../worksheet/fasteners';

/** One line of a job's order list. */
export interface OrderLine {
  readonly what: string;
  /** Size, material, grade. */
  readonly spec: string;
  readonly count: number;
  /** `shelf`: in stock; `order`: to be ordered. */
  readonly from: 'shelf' | 'order';
  readonly why: string;
}

/** Consumables of each kind of lock; per fastener, or once for all. */
const SINGLE_USE: Partial<Record<Lock, { what: string; each: boolean; why: string }>> = {
  lockWasher: { what: 'Lock washer', each: true, why: 'never reused' },
  selfLocking: { what: 'Self-locking nut', each: true, why: 'new if the manual requires it' },
  threadlocker: { what: 'Threadlocker', each: false, why: '' },
};

/** The listed fasteners; if none are listed, a hub nut is assumed. */
function fastenersToOrder(job: Job): readonly Fastener[] {
  const { fasteners } = job.build;
  if (fasteners.length > 0 || job.pack.plates.length === 0) return fasteners;
  return usualFasteners(job, () => '').filter((f) => f.role === 'hubNut');
}

/**
 * The parts a job needs: new plates as specified, replacements for rejected parts, springs from the shelf, and consumables
 * (lock washers, threadlocker, gasket, oil).
 * @param job the record; never throws for one that passes the schema
 * Source: workshop practice; `docs/mechanics.md`, paper.
 * @example orderList(half).length // 3
 */
export function orderList(
  job: Job,
  units: UnitChoice = {},
  evaluation: Evaluation = evaluate(job),
): OrderLine[] {
  const lines: OrderLine[] = [];
  const add = (line: OrderLine) => {
    const same = lines.findIndex(
      (l) =>
        l.what === line.what && l.spec === line.spec && l.from === line.from && l.why === line.why,
    );
    const before = lines[same];
    if (before) lines[same] = { ...before, count: before.count + line.count };
    else lines.push(line);
  };
  const expands =
    engagesByItself(job, 'inPack') === undefined ? undefined : evaluation.layout.layers.at(-1);
  for (const layer of evaluation.layout.layers) {
    const { plate, kind, thickness } = layer;
    if (!plate.isNew && plate.shelfId === undefined) continue;
    const size = thickness === undefined ? '' : formatWithUnit(thickness, 'length', units);
    add({
      what:
        layer === expands
          ? 'Expanding disc'
          : kind.name || (kind.lined === 'none' ? 'Steel' : 'Disc'),
      spec: [size, kind.lined === 'none' ? kind.material : kind.lining].filter(Boolean).join(', '),
      count: 1,
      from: plate.shelfId === undefined ? 'order' : 'shelf',
      why: plate.shelfId === undefined ? 'new in this pack' : 'chosen for this pack',
    });
  }
  for (const part of inspect(job, evaluation).parts) {
    if (part.decision !== 'change' && part.decision !== 'scrap') continue;
    const kind = part.plate?.kind;
    add({
      what: kind ? kind.name || 'Plate' : part.name,
      spec: kind?.thickness ? formatWithUnit(kind.thickness.value, 'length', units) : '',
      count: 1,
      from: 'order',
      why: part.plate
        ? part.decision === 'scrap'
          ? 'old part scrapped'
          : 'old part worn'
        : readSentence(mainReason(part), units),
    });
  }
  for (const finding of job.findings ?? [])
    if (finding.decision === 'replace' || finding.decision === 'ordered')
      add({
        what: PART_NAME[finding.part],
        spec: finding.agreed,
        count: 1,
        from: 'order',
        why: finding.decision === 'ordered' ? `ordered; ${finding.text}` : finding.text,
      });
  for (const group of coilGroups(job))
    if (group.shelfId !== undefined && group.count)
      add({
        what: group.name || 'Springs',
        spec: group.freeLength
          ? `free ${formatWithUnit(group.freeLength.value, 'length', units)}`
          : '',
        count: group.count.value,
        from: 'shelf',
        why: 'chosen for this pack',
      });
  for (const f of fastenersToOrder(job)) {
    const used = SINGLE_USE[f.lock];
    if (!used) continue;
    add({
      what: used.what,
      spec: f.lock === 'threadlocker' ? f.grade || 'grade from the manual' : f.name,
      count: used.each ? (f.count?.value ?? 1) : 1,
      from: 'order',
      why: used.why || f.name,
    });
  }
  if (job.pack.plates.length > 0) {
    add({ what: 'Cover gasket', spec: '', count: 1, from: 'order', why: 'disturbed' });
    add({
      what: 'Oil for wet clutches',
      spec: 'JASO MA or MA2',
      count: 1,
      from: 'order',
      why: 'for soaking and filling',
    });
  }
  return lines;
}
