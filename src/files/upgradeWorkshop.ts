import { WORKSHOP_VERSION } from './schema/workshop';

/** The content of a workshop file, parsed and not yet looked at. */
export type WorkshopData = Readonly<Record<string, unknown>>;

interface Step {
  /** Data added by the upgrade, in words. */
  readonly adds: string;
  readonly take: (data: WorkshopData) => WorkshopData;
}

const isPlain = (value: unknown): value is WorkshopData =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** How a file of each earlier version becomes one of the next. */
const STEPS: Readonly<Record<number, Step>> = {
  1: {
    adds: 'a limits library, scrap and minimum stock, all empty',
    take: (data) => ({
      ...data,
      shelf: isPlain(data.shelf)
        ? { scrap: [], scrapSprings: [], wanted: [], ...data.shelf }
        : data.shelf,
      library: data.library ?? [],
    }),
  },
  2: {
    adds: 'oil, slips and hubs on ramps, none of them entered',
    take: (data) => data,
  },
};

/** Upgrades the content of an earlier file version step by step; malformed content stays for the schema to refuse. */
export function upgradeWorkshop(data: WorkshopData): {
  readonly data: WorkshopData;
  readonly upgraded?: string;
} {
  const from = data.version;
  if (typeof from !== 'number' || from >= WORKSHOP_VERSION || !(from in STEPS)) return { data };
  const added: string[] = [];
  let now = data;
  for (let version = from; version < WORKSHOP_VERSION; version++) {
    const step = STEPS[version];
    if (!step) return { data };
    now = { ...step.take(now), version: version + 1 };
    added.push(step.adds);
  }
  return {
    data: now,
    upgraded: `The file has version ${from} and was upgraded to version ${WORKSHOP_VERSION}: added ${added.join('; ')}.`,
  };
}
