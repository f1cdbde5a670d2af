import { DomainError } from '../errors';
import { evaluate } from '../evaluate/evaluate';
import { layOut } from '../evaluate/layers';
import type { VerdictId } from '../evaluate/verdicts';
import { entry } from '../job/blank';
import type { Job } from '../job/types';
import type { Mm } from '../units/quantity';
import type { Judgement, ShelfAnswer, ShelfPlate } from './solver';
import { solveShelf } from './solver';

/** Conditions besides the window that a set must not break. */
const CONDITIONS: readonly VerdictId[] = ['holds', 'releases', 'coils', 'gap', 'step'];

/**
 * Chooses the steels of a job from a shelf: its unlined plates are replaced, everything else stays. The target is the
 * middle of the stack window, and every set must hold, release and keep its springs open.
 * @throws {DomainError} when the job has no window, no steel to replace, or a plate without thickness that stays
 * Source: `docs/mechanics.md` section 12.
 */
export function chooseSteels(
  job: Job,
  plates: readonly ShelfPlate[],
  best = 10,
  onProgress?: (share: number) => boolean,
): ShelfAnswer {
  const { windowMin, windowMax } = job.pack;
  if (!windowMin || !windowMax)
    throw new DomainError('pack.windowMin', 'a stack window with both edges', undefined);
  const { layers } = layOut(job);
  const steels = layers.filter((l) => l.lined === 'none');
  if (steels.length === 0) throw new DomainError('pack.plates', 'a pack with steels to choose', 0);
  const fixedHeight = layers.reduce((sum, l) => {
    if (l.lined === 'none') return sum;
    if (l.thickness === undefined)
      throw new DomainError(
        'pack.kinds.*.thickness',
        'a thickness for every plate that stays',
        undefined,
      );
    return sum + l.thickness;
  }, 0);
  const option = {
    id: 'steels',
    choose: steels.length,
    fixedHeight,
    target: (windowMin.value + windowMax.value) / 2,
    min: windowMin.value,
    max: windowMax.value,
  };
  const known = new Map<Mm, Judgement>();
  const judge = (_option: unknown, height: Mm): Judgement => {
    const made = known.get(height) ?? judgeAt(job, (height - fixedHeight) / steels.length);
    known.set(height, made);
    return made;
  };
  return solveShelf({ plates, options: [option], best }, judge, onProgress);
}

/** The job's verdicts with every steel of one thickness: the stack is what the verdicts depend on. */
function judgeAt(job: Job, steel: Mm): Judgement {
  const lined = new Set(job.pack.kinds.filter((k) => k.lined !== 'none').map((k) => k.id));
  const { verdicts, figures } = evaluate({
    ...job,
    pack: {
      ...job.pack,
      plates: job.pack.plates.map((p) =>
        lined.has(p.kindId) ? p : { ...p, readings: { '1': entry(steel) } },
      ),
    },
  });
  const reserve = figures.get('reserveWithTangs');
  const value = reserve?.status === 'known' ? (reserve.range?.low ?? reserve.value) : 0;
  const fails = verdicts
    .filter((v) => CONDITIONS.includes(v.id as VerdictId) && v.state === 'stop')
    .map((v) => ({ condition: v.id, by: v.id === 'holds' ? Math.max(0, 1 - value) : 0 }));
  return { reserve: value, fails };
}
