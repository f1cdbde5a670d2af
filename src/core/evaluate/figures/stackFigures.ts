import { fieldPath } from '@/core/job/fieldPath';
import type { CaliperWay, PlateKind } from '@/core/job/types';
import { readingsOf } from '@/core/job/types';
import { checkCaliper } from '@/core/pack/bands';
import { checkLimits, stackHeight } from '@/core/pack/stack';
import type { WorkingInput } from '@/core/evaluate/engine/figure';
import type { PackLayer, PackLayout } from '@/core/evaluate/engine/layers';
import { thicknessPath } from '@/core/evaluate/engine/layers';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import type { Term } from '@/core/evaluate/engine/term';
import { collectTerms, missingTerm, term } from '@/core/evaluate/engine/term';
import { countOf } from '@/core/text/countOf';

/**
 * Stack height, friction faces, and the margin to the limits.
 * @example computeStack(sheet, layout), sheet.known('stack').value // 34.2
 */
export function computeStack(sheet: Sheet, layout: PackLayout): void {
  sheet.compute('stack', {
    label: 'Stack height',
    quantity: 'length',
    section: 1,
    formula: 'H = Σ t',
    from: { H: stackTerm(layout) },
    value: ({ H }) => H,
    notes: [stackNote(layout)],
  });
  const together = layout.faces.filter(
    (f) => f.kind === 'together' && f.below > 0 && f.above <= layout.layers.length,
  );
  sheet.compute('faces', {
    label: 'Friction faces',
    quantity: 'count',
    section: 2,
    formula: 'N = neighbours that turn with different members, lined on one side or both',
    from: {
      N:
        layout.layers.length === 0
          ? missingTerm('A plate', 'pack.plates')
          : { known: true, value: layout.slipping.length, inputs: [], estimated: false },
    },
    value: ({ N }) => N,
    notes: [
      `Counted from the plate order: ${countOf(layout.layers.length, 'plate')} between hub floor and pressure plate.`,
      ...(together.length > 0
        ? [
            `${together.length === 1 ? 'One pair of neighbours turns' : `${together.length} pairs of neighbours turn`} together and transmits nothing.`,
          ]
        : []),
    ],
  });
  const min = sheet.entry('pack.windowMin');
  const max = sheet.entry('pack.windowMax');
  // One limit alone is enough; with none, both are named as missing.
  const edges = [min, max].filter((edge) => edge.known || !(min.known || max.known));
  sheet.compute('stackMargin', {
    label: 'Margin to limit',
    quantity: 'length',
    section: 1,
    formula: 'minimum of H − H_min and H_max − H; both limits are allowed',
    from: {
      m: collectTerms([sheet.figure('stack', 'H'), ...edges], ([H = 0]) => {
        return checkLimits(H, known(min), known(max)).margin;
      }),
    },
    value: ({ m }) => m,
  });
  if (!sheet.job.pack.caliper) return;
  sheet.compute('caliperDifference', {
    label: 'Caliper minus sum of plates',
    quantity: 'length',
    section: 1,
    formula: 'H_c − H',
    from: {
      c: sheet.entry('pack.caliper'),
      H: sheet.figure('stack', 'H'),
    },
    value: ({ c, H }) => checkCaliper(H, c).difference,
    notes: [`Measured ${CALIPER_WAY[sheet.job.pack.caliperTaken]}.`],
  });
}

/** How a caliper was taken over the pack, in words. */
export const CALIPER_WAY: Readonly<Record<CaliperWay, string>> = {
  dryByHand: 'dry, squeezed by hand',
  dryClamped: 'dry, clamped',
  oiledByHand: 'oiled, squeezed by hand',
  oiledClamped: 'oiled, clamped',
};

/** Total out-of-flat, and the margin of the thinnest disc; only once measured. */
function computeInspection(sheet: Sheet, layout: PackLayout): void {
  const checked = layout.layers.filter((l) => l.plate.outOfFlat);
  if (checked.length > 0) {
    sheet.compute('warpSum', {
      label: 'Out-of-flat of all plates',
      quantity: 'length',
      section: 6,
      formula: 'Σ w',
      from: {
        w: collectTerms(
          checked.map((l) =>
            sheet.entry(
              fieldPath('pack.plates.*.outOfFlat', l.plate.id),
              undefined,
              `Plate ${l.number}, ${l.kind.name}`,
            ),
          ),
          (all) => all.reduce((a, b) => a + b, 0),
        ),
      },
      value: ({ w }) => w,
      notes: [`${checked.length} of ${countOf(layout.layers.length, 'plate')} checked.`],
    });
  }
  const spots = layout.layers.flatMap((l) => {
    const limit = l.kind.minThickness?.value;
    const [spot] = [...readingsOf(l.plate)].sort((one, two) => one.value - two.value);
    return spot && l.measured && l.lined !== 'none' && limit !== undefined
      ? [{ ...l, spot, left: spot.value - limit }]
      : [];
  });
  const [thinnest] = spots.sort((one, two) => one.left - two.left);
  if (!thinnest) return;
  const { kind, number, spot } = thinnest;
  sheet.compute('thinnestLeft', {
    label: 'Margin of the thinnest disc',
    quantity: 'length',
    section: 1,
    formula: 't − t_min, the minimum of all discs',
    from: {
      t: term({
        symbol: 't',
        label: `Plate ${number}, ${kind.name}, at its thinnest`,
        value: spot.value,
        quantity: 'length',
        source: spot.source ?? { kind: 'measured' },
      }),
      t_min: sheet.entry(
        fieldPath('pack.kinds.*.minThickness', kind.id),
        undefined,
        `Minimum thickness of ${kind.name}`,
      ),
    },
    value: ({ t, t_min }) => t - t_min,
    notes: [`The thinnest of ${spots.length} measured discs; below 0 it is worn past its limit.`],
  });
}

/**
 * Wear of the whole pack against new; only once a plate is measured.
 * @example computeWear(sheet, layout), sheet.known('packWear').value // 0.3
 */
export function computeWear(sheet: Sheet, layout: PackLayout): void {
  computeInspection(sheet, layout);
  const measured = layout.layers.filter((l) => l.measured);
  if (measured.length === 0) return;
  const missing = measured.find((l) => !l.kind.thickness);
  sheet.compute('packWear', {
    label: 'Wear of the pack',
    quantity: 'length',
    section: 1,
    formula: 'W = Σ (new − measured) over the measured plates',
    from: {
      W: missing
        ? missingTerm(`Thickness of ${missing.kind.name}`, thicknessPath(missing))
        : {
            known: true,
            value: measured.reduce(
              (sum, l) => sum + (l.kind.thickness?.value ?? 0) - (l.thickness ?? 0),
              0,
            ),
            inputs: [...new Set(measured.map((l) => l.kind))]
              .map((kind) => newInput(kind))
              .concat(measured.map(measuredInput)),
            estimated: false,
          },
    },
    value: ({ W }) => W,
    notes: [`${measured.length} of ${countOf(layout.layers.length, 'plate')} measured.`],
  });
}

function known(t: Term): number | undefined {
  return t.known ? t.value : undefined;
}

function stackTerm(layout: PackLayout): Term {
  if (layout.layers.length === 0) return missingTerm('A plate', 'pack.plates');
  const without = layout.layers.filter((l) => l.thickness === undefined);
  if (without.length > 0) {
    return {
      known: false,
      needs: [
        ...new Map(
          without.map((l) => [
            l.kind.id,
            {
              label: `Thickness of ${l.kind.name}`,
              path: thicknessPath(l),
            },
          ]),
        ).values(),
      ],
    };
  }
  const inputs: WorkingInput[] = [];
  const counted = new Set<string>();
  for (const layer of layout.layers) {
    if (layer.measured) inputs.push(measuredInput(layer));
    else if (!counted.has(layer.kind.id)) {
      counted.add(layer.kind.id);
      const n = layout.layers.filter((l) => l.kind === layer.kind && !l.measured).length;
      inputs.push({ ...newInput(layer.kind), symbol: `${n} ×`, label: layer.kind.name });
    }
  }
  return {
    known: true,
    value: stackHeight(layout.layers.map((l) => l.thickness ?? 0)),
    inputs,
    estimated: layout.layers.some(
      (l) => !l.measured && l.kind.thickness?.source?.kind === 'estimate',
    ),
  };
}

const measuredInput = ({ number, kind, plate, thickness }: PackLayer): WorkingInput => {
  const readings = readingsOf(plate);
  return {
    symbol: `t${number}`,
    value: thickness ?? 0,
    quantity: 'length',
    label: `Plate ${number}, ${kind.name}, ${meanText(readings.length)}`,
    source: readings[0]?.source ?? { kind: 'measured' },
  };
};

const newInput = (kind: PlateKind): WorkingInput => ({
  symbol: 't_new',
  value: kind.thickness?.value ?? 0,
  quantity: 'length',
  label: `${kind.name}, new`,
  source: kind.thickness?.source ?? { kind: 'entered' },
  path: thicknessPath({ kind }),
});

/**
 * The number of readings behind a thickness, in words.
 * @example meanText(3) // "mean of 3"
 */
export const meanText = (readings: number): string =>
  readings === 1 ? 'one reading' : `mean of ${readings}`;

function stackNote(layout: PackLayout): string {
  const measured = layout.layers.filter((l) => l.measured).length;
  return measured === 0
    ? 'All thicknesses as new: nothing measured yet.'
    : measured === layout.layers.length
      ? 'Every plate is measured; the mean of its readings is used.'
      : `${measured} of ${countOf(layout.layers.length, 'plate')} measured; the others are used as new.`;
}
