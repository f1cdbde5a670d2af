import { fieldPath } from '@/core/job/fieldPath';
import type { FieldPattern } from '@/core/job/fieldPath';
import { FIELDS } from '@/core/job/fields';
import type { Job } from '@/core/job/types';
import { limitTyped, rowChanged } from '@/core/library/edits';
import type { Leaflet, LeafletPlate } from '@/core/library/leafletPack';
import type { FastenerSort } from '@/core/library/limitNames';
import type { SpecSheet } from '@/core/library/limits';
import { specSheetFromJob } from '@/core/library/limits';
import { parseEntry } from '@/core/units/parseEntry';

import { handsOff } from './atvs';
import { LIMITS_OF_HOLM, LIMITS_OF_TARN } from './common';
import { slipsWhenHot } from './tarn';

/* The spec sheets of the invented workshop: a machine by its made-up manual, and two kits from made-up leaflets. */

const AT = '2026-09-14T08:00:00.000Z';

/** Identifiers in the order of the sheet. */
function counter(of: string): () => string {
  let n = 0;
  return () => `${of}-${++n}`;
}

/** The sheet that a job's own values make. */
function sheetOf(job: Job, id: string, name: string, note: string): SpecSheet {
  const empty = { id, name, note, updatedAt: '', limits: [] };
  return specSheetFromJob(empty, job, counter(id), AT);
}

type Row = readonly [pattern: FieldPattern, of: string | undefined, text: string, page: string];

/** A sheet with values typed as they are printed. */
function typed(sheet: SpecSheet, rows: readonly Row[]): SpecSheet {
  const newId = counter(`${sheet.id}-t`);
  return rows.reduce((made, [pattern, of, text, page]) => {
    const read = parseEntry(text, FIELDS[pattern]);
    if (read.kind !== 'value') throw new Error(`${fieldPath(pattern, of ?? '')}: ${text}`);
    const { value, range } = read;
    return limitTyped(made, pattern, of, { value, text, range }, page, newId);
  }, sheet);
}

const fastened = (sheet: SpecSheet, name: string, fastener: FastenerSort): SpecSheet =>
  rowChanged(sheet, 'fasteners', name, { fastener });

/** Discs and steels in turn; the discs are new, the steels reused. */
const order = (discs: number, disc: string, steel: string): LeafletPlate[] =>
  Array.from({ length: 2 * discs - 1 }, (_, i) => ({
    id: `o${i + 1}`,
    of: i % 2 === 0 ? disc : steel,
    isNew: i % 2 === 0,
  }));

const disc = (name: string) =>
  ({ name, turnsWith: 'basket', lined: 'both', lining: 'paper', material: 'steel' }) as const;
const steel = (name: string) =>
  ({ name, turnsWith: 'hub', lined: 'none', lining: 'paper', material: 'steel' }) as const;

const RING_KIT: Leaflet = {
  clutch: 'pack',
  springs: 'diaphragm',
  release: 'hydraulic',
  hubStays: true,
  separatePrimary: false,
  pack: {
    kinds: [disc('Kit disc'), disc('First disc'), steel('Steel 1.6')],
    plates: order(8, 'Kit disc', 'Steel 1.6').map((plate, i, all) => ({
      ...plate,
      ...(i === 0 ? { of: 'First disc', judder: true } : {}),
      ...(i === all.length - 1 ? { offsetSlot: true } : {}),
    })),
  },
  rotation: 'counterclockwise',
  measure: { stepBy: 'caliper', taken: 'dryByHand' },
  heightActs: 'further',
  stages: 2,
  texts: {
    alwaysNew: 'gasket of the cover, O-ring of the slave cylinder',
    leftOut: 'the six coil springs with their bolts and cups',
    screws: 'the kit’s own low-head screws; the old ones touch the cover',
    pattern: 'criss-cross, the ring drawn down evenly',
    recheck: 'stack and step again after the first oil change',
    cautions: 'The ring is under load until its last screw is out: a turn each, eye protection on.',
  },
};

const ringKit = (): SpecSheet =>
  [
    ['Ring screws', { role: 'springs', lock: 'threadlocker', grade: 'medium', ownScrews: true }],
    ['Cover bolts', { role: 'cover', lock: 'none', grade: '' }],
  ].reduce(
    (sheet, [name, sort]) => fastened(sheet, name as string, sort as FastenerSort),
    typed(
      {
        id: 'kit-tarn-ring',
        name: 'Ring kit for the Tarn 450',
        note: 'From a made-up leaflet of four pages.',
        updatedAt: AT,
        limits: [],
        leaflet: RING_KIT,
      },
      [
        ['pack.kinds.*.thickness', 'Kit disc', '2.92 mm', '1'],
        ['pack.kinds.*.minThickness', 'Kit disc', '2.72 mm', '1'],
        ['pack.kinds.*.outerRadius', 'Kit disc', '117 mm dia', '1'],
        ['pack.kinds.*.innerRadius', 'Kit disc', '95 mm dia', '1'],
        ['pack.kinds.*.thickness', 'First disc', '2.92 mm', '1'],
        ['pack.kinds.*.minThickness', 'First disc', '2.72 mm', '1'],
        ['pack.kinds.*.outerRadius', 'First disc', '117 mm dia', '1'],
        ['pack.kinds.*.innerRadius', 'First disc', '103 mm dia', '1'],
        ['pack.kinds.*.thickness', 'Steel 1.6', '1.6 mm', '1'],
        ['springs.diaphragm.steps.*.height', '1', '.190 in', '2'],
        ['springs.diaphragm.steps.*.bandMin', '1', '1.330 in', '2'],
        ['springs.diaphragm.steps.*.bandMax', '1', '1.345 in', '2'],
        ['springs.diaphragm.steps.*.height', '2', '.175 in', '2'],
        ['springs.diaphragm.steps.*.bandMin', '2', '1.345 in', '2'],
        ['springs.diaphragm.steps.*.bandMax', '2', '1.360 in', '2'],
        ['springs.diaphragm.steps.*.height', '3', '.160 in', '2'],
        ['springs.diaphragm.steps.*.bandMin', '3', '1.360 in', '2'],
        ['springs.diaphragm.outerDiameter', undefined, '112 mm', '2'],
        ['springs.diaphragm.innerDiameter', undefined, '84 mm', '2'],
        ['springs.diaphragm.thickness', undefined, '1.6 mm', '2'],
        ['springs.diaphragm.coneHeight', undefined, '3.3 mm', '2'],
        ['springs.diaphragm.referenceStack', undefined, '1.345 in', '2'],
        ['springs.diaphragm.referenceDeflection', undefined, '.083 in', '2'],
        ['build.fasteners.*.count', 'Ring screws', '6', '3'],
        ['build.fasteners.*.torque', 'Ring screws', '8–9 Nm', '3'],
        ['build.fasteners.*.count', 'Cover bolts', '9', '3'],
        ['build.fasteners.*.torque', 'Cover bolts', '10.5–11.5 Nm', '3'],
        ['build.headClearanceMin', undefined, '1 mm', '3'],
        ['build.soakPlan', undefined, '30', '3'],
        ['setting.freePlayMin', undefined, '2 mm', '4'],
        ['setting.freePlayMax', undefined, '4 mm', '4'],
      ] as const,
    ),
  );

/** The kit that makes the quad hands-off, with what its leaflet says beyond the demo job. */
function autoKit(): SpecSheet {
  const sheet = sheetOf(
    handsOff(),
    LIMITS_OF_HOLM,
    'Auto-clutch kit for the Holm 700',
    'From a made-up leaflet of six pages.',
  );
  const pack = sheet.leaflet?.pack;
  return {
    ...sheet,
    leaflet: {
      ...sheet.leaflet,
      clutch: 'auto',
      hubStays: false,
      ...(pack
        ? { pack: { ...pack, plates: pack.plates.map((p) => ({ ...p, isNew: false })) } }
        : {}),
      starts: [
        { id: 'b1', name: 'First gear', wanted: 10 },
        { id: 'b2', name: 'Second gear', wanted: 10 },
      ],
      texts: {
        alwaysNew: 'lock washer, gasket of the cover',
        leftOut: 'the outermost friction disc: the expanding disc takes its place',
        contact: 'at the adjuster nut, cable slack, not at the bearing',
        recheck: 'gap and free play after the break-in starts',
        cautions: 'The quad can move with the lever out: brake on, in neutral when you get off.',
      },
    },
  };
}

export function demoLibrary(): SpecSheet[] {
  return [
    autoKit(),
    sheetOf(slipsWhenHot(), LIMITS_OF_TARN, 'Tarn 450', 'Made-up manual, both frames.'),
    ringKit(),
  ];
}
