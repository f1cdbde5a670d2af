import { packModel } from '@/core/evaluate/states';
import type { Job } from '@/core/job/types';
import { formatWithUnit, shownUnit } from '@/core/units/format';
import { fromBase } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import type { ChartLine } from '@/ui/chart/model';
import { Chart } from '@/ui/chart/Chart';
import { Words } from '@/ui/Words';

const POINTS = 31;
const TONES = ['slate', 'ochre', 'steel', 'stop'] as const;

interface Props {
  readonly packs: readonly { readonly name: string; readonly job: Job }[];
}

/** Clamp over wear, of one pack or of several in one chart. */
export function ClampOverWear({ packs }: Props) {
  const units = useUnits();
  const mm = shownUnit('length', units);
  const newton = shownUnit('force', units);
  const models = packs.map(({ name, job }) => ({ name, model: packModel(job) }));
  const most = Math.max(
    0.5,
    ...models.map(({ model }) => (model.wearReserve()[0]?.wear ?? 0) * 1.25),
  );
  const lines = models.flatMap(({ name, model }, i): ChartLine[] => {
    const points = Array.from({ length: POINTS }, (_, k) => (most * k) / (POINTS - 1)).flatMap(
      (wear) => {
        const clamp = clampAt(model, wear);
        return clamp === undefined ? [] : [{ x: fromBase(wear, mm), y: fromBase(clamp, newton) }];
      },
    );
    return points.length > 1
      ? [{ name, points, tone: TONES[i % TONES.length], dashed: i > 0 }]
      : [];
  });
  if (lines.length === 0)
    return (
      <Words soft size={15}>
        Clamp over wear appears once stack and springs are known.
      </Words>
    );
  const [present] = models;
  const limit = present?.model.wearReserve()[0];
  const marks = [
    { wear: 0, label: 'now' },
    ...(limit ? [{ wear: limit.wear, label: limit.name }] : []),
  ].flatMap(({ wear, label }) => {
    const clamp = present && clampAt(present.model, wear);
    return clamp === undefined
      ? []
      : [{ x: fromBase(wear, mm), y: fromBase(clamp, newton), label }];
  });
  const first = models.flatMap(({ name, model }) => {
    const limit = model.wearReserve()[0];
    return limit
      ? [
          `${packs.length > 1 ? `${name}: ` : ''}${limit.name} after ${formatWithUnit(limit.wear, 'length', units, 2)} of wear`,
        ]
      : [];
  });
  return (
    <>
      <Chart
        lines={lines}
        xLabel={`Wear of the whole pack, ${mm.symbol}`}
        yLabel={`Clamp, ${newton.symbol}`}
        marks={marks}
        description={lines
          .map((l) => {
            const [start, end] = [l.points[0], l.points.at(-1)];
            return `${l.name}: clamp from ${start?.y.toFixed(0) ?? ''} to ${end?.y.toFixed(0) ?? ''} ${newton.symbol} over ${end?.x.toFixed(2) ?? ''} ${mm.symbol} of wear`;
          })
          .join('. ')}
      />
      {first.length > 0 ? <Words size={15}>{`First limit: ${first.join('; ')}.`}</Words> : null}
    </>
  );
}

function clampAt(model: ReturnType<typeof packModel>, wear: number): number | undefined {
  try {
    return model.at({ wear }).clamp;
  } catch {
    // More wear than there is pack: the line ends there.
    return undefined;
  }
}
