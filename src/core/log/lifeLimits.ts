import { engagesByItself } from '@/core/clutch/fitted';
import { packModel } from '../evaluate/states';
import type { Job } from '../job/types';
import type { MeterSpec, Run } from '../life/meter';
import type { LimitForecast, WearLine } from '../life/wear';
import { forecastLimits } from '../life/wear';
import type { Mm } from '../units/quantity';
import type { DiscLife } from './wearReadings';

export type LimitKind = 'disc' | 'pack' | 'stackLimits' | 'holds' | 'gap';

/** A limit with the reading of the meter at which wear will meet it, and the day where the machine's pace is known. */
export interface Foreseen extends LimitForecast {
  readonly kind: LimitKind;
  /** Hours or kilometres from the last reading. */
  readonly left: Run;
  readonly date?: string;
  readonly earliestDate?: string;
  readonly latestDate?: string;
}

const LIMIT_NAME: Readonly<Record<Exclude<LimitKind, 'disc'>, string>> = {
  stackLimits: 'stack below its limits',
  pack: 'pack at its wear limit',
  holds: 'slips at worst-case friction',
  gap: 'install gap outside its limits',
};

export type Named = LimitForecast & { readonly kind: LimitKind };

/** Limits of the whole pack; the model counts wear from the pack as it went in. */
export function packLimits(
  job: Job,
  worn: Mm,
  line: WearLine,
  { farthest }: MeterSpec,
): readonly Named[] {
  // Each disc has a line of its own.
  const limits: { readonly kind: Exclude<LimitKind, 'disc'>; readonly at: Mm }[] = packModel(job)
    .wearReserve()
    .flatMap(({ kind, wear }) => (kind === 'disc' ? [] : [{ kind, at: worn + wear }]));
  const { setting } = job;
  // The gap of an expanding disc grows by the wear of the discs.
  if (engagesByItself(job, 'inPack') && setting.gapMax && setting.installGap)
    limits.push({ kind: 'gap', at: worn + setting.gapMax.value - setting.installGap.value });
  return limits.flatMap(({ kind, at }) =>
    forecastLimits(line, [{ name: LIMIT_NAME[kind], at }], farthest).map((f) => ({
      ...f,
      kind,
    })),
  );
}

/** The disc that will be too thin before any other. */
export function firstDisc(discs: readonly DiscLife[], { farthest }: MeterSpec): readonly Named[] {
  return discs
    .flatMap(({ name, line, limit }) =>
      line && limit !== undefined && line.slope > 0
        ? forecastLimits(line, [{ name: `${name} too thin`, at: limit }], farthest)
        : [],
    )
    .map((f) => ({ ...f, kind: 'disc' as const }))
    .sort((a, b) => a.run - b.run)
    .slice(0, 1);
}
