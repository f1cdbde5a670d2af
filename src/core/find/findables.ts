import type { FieldPath, FieldPattern } from '../job/fieldPath';
import { machinesOf } from '../job/derive';
import { fieldAt, FIELDS } from '../job/fields';
import { fieldPath } from '../job/fieldPath';
import { entryAt } from '../job/entryAt';
import { rowOf } from '../job/row';
import type { Job } from '../job/types';
import { STAGE_NAME } from '../job/words';
import { limitField } from '../library/limits';
import { limitName } from '../library/limitNames';
import type { SpecSheet } from '../library/limits';
import type { Stock, StockPlate } from '../shelf/stock';
import { LINING_ESTIMATES } from '../torque/linings';
import type { UnitChoice } from '../units/format';
import { formatWithUnit } from '../units/format';
import { countOf } from '@/core/text/countOf';
import { GLOSSARY, TERM_IDS } from '@/core/words/glossary';

export const FOUND_KINDS = [
  'job',
  'machine',
  'setting',
  'limits',
  'shelf',
  'place',
  'word',
] as const;
export type FoundKind = (typeof FOUND_KINDS)[number];

/** Something that a search over the whole workshop can find. */
export interface Findable {
  readonly id: string;
  readonly kind: FoundKind;
  readonly title: string;
  /** Text below the title. */
  readonly about: string;
  /** All words by which it is found. */
  readonly words: string;
  /** Where it is in the application. */
  readonly href: string;
}

/** Settings of a machine that a builder looks up. */
const SETTINGS = [
  'pack.windowMin',
  'pack.windowMax',
  'setting.installGap',
  'setting.gapMin',
  'setting.gapMax',
  'setting.turnsOut',
  'setting.targetGain',
  'setting.freePlayMin',
  'setting.freePlayMax',
  'setting.pushrodClearance',
  'setting.endFloatWanted',
  'setting.chainSlackMin',
  'setting.chainSlackMax',
  'release.freePlay',
  'release.measuredLift',
  'springs.coil.shim',
  'engine.primaryRatio',
] as const satisfies readonly FieldPattern[];

/** Parts of the application besides the jobs. */
const PLACES: readonly Findable[] = [
  ['due', 'Due', 'due dates: calendar, recheck, soak', '/due'],
  ['shelf', 'Shelf', 'plates, springs, gauges, scrap, what to order', '/shelf'],
  ['library', 'Spec sheets', 'limits, steps, plates and torques by machine or kit', '/library'],
  ['files', 'Files and backup', 'backup, restore, import, export, tables, CSV', '/files'],
  ['code', 'Scan pack code', 'QR code of a pack, camera, picture', '/code'],
  [
    'units',
    'Units and theme',
    'menu at the top right: mm, inch, N, lbf, dark, light, peat, limestone',
    '/',
  ],
].map(([id = '', title = '', about = '', href = '/']) => ({
  id: `place:${id}`,
  kind: 'place' as const,
  title,
  about,
  words: `${title} ${about}`,
  href,
}));

/** Every term of the glossary. */
const TERMS: readonly Findable[] = TERM_IDS.map((id) => {
  const { name, also = [], text } = GLOSSARY[id];
  return {
    id: `word:${id}`,
    kind: 'word',
    title: name,
    about: text,
    words: [name, ...also].join(' '),
    href: `/learn?part=words&word=${id}`,
  };
});

/**
 * Everything of a workshop that can be found: jobs, machines, the settings and torques of each machine by its last job, limits,
 * the shelf, the parts of the application, and the glossary.
 * Never throws for records that pass the schema.
 * @example findablesOf([job], stock, []).filter((f) => f.kind === 'job').length // 1
 */
export function findablesOf(
  jobs: readonly Job[],
  shelf: Stock,
  library: readonly SpecSheet[],
  units: UnitChoice = {},
): readonly Findable[] {
  const machines = machinesOf(jobs);
  const count = new Map<string, number>();
  for (const { machine } of jobs) count.set(machine.id, (count.get(machine.id) ?? 0) + 1);
  return [
    ...jobs.map(jobFound),
    ...machines.map((job) => machineFound(job, count.get(job.machine.id) ?? 1)),
    ...machines.flatMap((job) => settingsFound(job, units)),
    ...library.flatMap((sheet) => limitsFound(sheet, units)),
    ...shelfFound(shelf, units),
    ...PLACES,
    ...TERMS,
  ];
}

function jobFound(job: Job): Findable {
  const { machine, stage, number, id, archived } = job;
  return {
    id: `job:${id}`,
    kind: 'job',
    title: [number, machine.name].filter(Boolean).join(' ') || 'New job',
    about: [machine.use, archived ? 'archived' : `at ${STAGE_NAME[stage]}`]
      .filter(Boolean)
      .join(', '),
    words: rowOf(job).words,
    href: `/job/${id}`,
  };
}

function machineFound({ machine, id, number }: Job, jobs: number): Findable {
  return {
    id: `machine:${machine.id}`,
    kind: 'machine',
    title: machine.name || 'New machine',
    about: [machine.use, countOf(jobs, 'job'), `last ${number}`].filter(Boolean).join(', '),
    words: `${machine.name} ${machine.use}`,
    href: `/job/${id}?stage=log`,
  };
}

function settingsFound(job: Job, units: UnitChoice): Findable[] {
  const whose = [job.machine.name, job.number].filter(Boolean).join(', ');
  const found = (path: FieldPath, label: string): Findable[] => {
    const entry = entryAt(job, path);
    if (!entry) return [];
    const value = formatWithUnit(entry.value, fieldAt(path).quantity, units);
    return [
      {
        id: `setting:${job.id}:${path}`,
        kind: 'setting',
        title: `${label}: ${value}`,
        about: whose,
        words: `${label} ${value} ${job.machine.name} ${job.number}`,
        href: `/job/${job.id}`,
      },
    ];
  };
  return [
    ...SETTINGS.flatMap((pattern) => found(pattern, FIELDS[pattern].label)),
    ...job.build.fasteners.flatMap((f) =>
      found(fieldPath('build.fasteners.*.torque', f.id), `${f.name || 'Fastener'}, torque`),
    ),
  ];
}

const limitsFound = (sheet: SpecSheet, units: UnitChoice): Findable[] =>
  sheet.limits.flatMap((limit): Findable[] => {
    if (!limit.entry) return [];
    const value = formatWithUnit(limit.entry.value, limitField(limit.pattern).quantity, units);
    const name = limitName(limit);
    return [
      {
        id: `limits:${sheet.id}:${limit.id}`,
        kind: 'limits',
        title: `${name}: ${value}`,
        about: sheet.name,
        words: `${name} ${value} ${sheet.name} ${sheet.note}`,
        href: '/library',
      },
    ];
  });

function shelfFound(
  { plates, springs, scrap, scrapSprings }: Stock,
  units: UnitChoice,
): Findable[] {
  const size = (mm: number, decimals?: number) => formatWithUnit(mm, 'length', units, decimals);
  const of = (list: readonly (StockPlate & { readonly why?: string })[], where: string) =>
    list.map((p): Findable => {
      const sort = p.sort === 'steel' ? 'Steel' : 'Disc';
      const title = `${p.label}: ${sort} ${size(p.nominal, 2)}`;
      const about = [
        where,
        `measured ${size(p.thickness)}`,
        p.lining ? LINING_ESTIMATES[p.lining].name.toLowerCase() : '',
        p.isNew ? 'new' : 'used',
        p.from ? `from ${p.from}` : '',
        p.why ?? '',
      ]
        .filter(Boolean)
        .join(', ');
      return {
        id: `shelf:${p.id}`,
        kind: 'shelf',
        title,
        about,
        words: `${title} ${about}`,
        href: '/shelf',
      };
    });
  return [
    ...of(
      plates.filter((p) => p.count > 0),
      'on the shelf',
    ),
    ...of(scrap, 'scrap'),
    ...springs.map((s): Findable => ({
      id: `shelf:${s.id}`,
      kind: 'shelf',
      title: s.group.name || 'Springs',
      about: `springs on the shelf, ${s.count}`,
      words: `${s.group.name} springs shelf`,
      href: '/shelf',
    })),
    ...scrapSprings.map((s): Findable => ({
      id: `shelf:${s.id}`,
      kind: 'shelf',
      title: s.name || 'Springs',
      about: [`scrap, ${s.count}`, s.from ? `from ${s.from}` : '', s.why]
        .filter(Boolean)
        .join(', '),
      words: `${s.name} springs scrap ${s.from ?? ''} ${s.why}`,
      href: '/shelf',
    })),
  ];
}
