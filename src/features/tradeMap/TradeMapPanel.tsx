import { useState } from 'react';
import { View } from 'react-native';

import { engagesByItself, springsOf } from '@/core/clutch/fitted';
import type { Job } from '@/core/job/types';
import { springSetsOf, steelsOf } from '@/core/shelf/stock';
import { toggled } from '@/core/toggled';
import type { Measure } from '@/core/tradeMap/measures';
import { isLessBetter, MEASURES } from '@/core/tradeMap/measures';
import type { Varied } from '@/core/tradeMap/options';
import { VARIED } from '@/core/tradeMap/options';
import { MEASURE_SHORT } from '@/core/tradeMap/text';
import type { MapRequest, Priced } from '@/core/tradeMap/pack';
import type { TradeMap } from '@/core/tradeMap/tradeMap';
import { PRICED } from '@/core/tradeMap/pack';
import type { EntrySpec } from '@/core/units/entrySpec';
import { LooseField } from '@/features/entry/LooseField';
import { WhenRead } from '@/features/jobs/WhenRead';
import { useFreeStock } from '@/features/shelf/useShelf';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Toggles } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { Panel } from '@/ui/Panel';
import { ProgressLine } from '@/ui/ProgressLine';
import { Words } from '@/ui/Words';
import { useHeavy } from '@/workers/useHeavy';

import { MapView } from './MapView';

const VARY_NAME: Readonly<Record<Varied, string>> = {
  springs: 'Springs',
  step: 'Retainer step',
  shims: 'Shims',
  discs: 'Discs',
  steels: 'Steels',
  train: 'Release train',
};

const LIMIT_SPEC: Readonly<Record<Measure, EntrySpec>> = {
  pull: { quantity: 'force', bounds: { above: 0, max: 2000 }, plausible: [15, 400] },
  reserve: { quantity: 'ratio', bounds: { above: 0, max: 20 } },
  clearance: { quantity: 'length', bounds: { min: 0, max: 5 } },
  life: { quantity: 'length', bounds: { min: 0, max: 5 } },
  margin: { quantity: 'length', bounds: { min: 0, max: 5 } },
  newParts: { quantity: 'count', bounds: { min: 0, max: 60, integer: true } },
};

const PRICE: EntrySpec = { quantity: 'ratio', bounds: { min: 0, max: 100_000 } };
const PRICE_NAME: Readonly<Record<Priced, string>> = {
  steel: 'Price of a steel',
  disc: 'Price of a disc',
  train: 'Price, train part',
};

/** Every pack that the shop could build for this job, as a map. */
export function TradeMapPanel() {
  return (
    <Panel
      level={2}
      title="Trade map"
      summary="Every pack the shop could build, and those nothing beats"
    >
      <WhenRead>
        <Mapping />
      </WhenRead>
    </Panel>
  );
}

/** What may vary in a clutch of this kind. */
const varies = (job: Job): readonly Varied[] =>
  VARIED.filter((v) =>
    v === 'springs' || v === 'shims'
      ? springsOf(job).ofGroups === true
      : v === 'step'
        ? job.springs.type === 'diaphragm' && job.springs.diaphragm.steps.length > 1
        : v === 'train'
          ? job.release.type !== 'measured'
          : true,
  );

function Mapping() {
  const job = useJob();
  const stock = useFreeStock();
  const { run, start, stop } = useHeavy<TradeMap>(job);
  const found = run.state === 'done' ? run.result : run.state === 'running' ? run.soFar : undefined;
  const can = varies(job);
  const [vary, setVary] = useState<readonly Varied[]>(can);
  const [limits, setLimits] = useState<Readonly<Partial<Record<Measure, number>>>>({});
  const [prices, setPrices] = useState<Readonly<Partial<Record<Priced, number>>>>({});
  const [asked, setAsked] = useState<MapRequest>();
  const setLimit = (measure: Measure, value: number | undefined) =>
    setLimits(({ [measure]: _old, ...rest }) =>
      value === undefined ? rest : { ...rest, [measure]: value },
    );
  const map = () => {
    const request: MapRequest = {
      vary,
      steels: steelsOf(stock),
      springs: springSetsOf(stock, job),
      discs: stock.plates
        .filter((p) => p.sort === 'disc')
        .map(({ id, label, thickness, count, isNew, lining }) => ({
          id,
          label,
          thickness,
          count,
          isNew,
          ...(lining ? { lining } : {}),
        })),
      ...(Object.keys(limits).length > 0 ? { limits } : {}),
      ...(Object.keys(prices).length > 0 ? { prices } : {}),
    };
    setAsked(request);
    start((runs, progress) => runs.tradeMap(job, request, progress));
  };
  return (
    <>
      {run.state === 'running' ? (
        <ProgressLine share={run.share} label="Packs" onStop={stop} />
      ) : (
        <Action
          main
          icon="magnify"
          blocked={
            engagesByItself(job, 'inPack')
              ? 'Not for a pack with an expanding disc: its clamp goes by the gap.'
              : undefined
          }
          onPress={map}
        >
          Map every pack
        </Action>
      )}
      <View aria-live="polite">{run.state === 'refused' ? <Words>{run.why}</Words> : null}</View>
      {found && asked ? <MapView map={found} request={asked} /> : null}
      <Panel title="Conditions of the map" summary="What may vary, and what a pack must be">
        <Toggles<Varied>
          label="Vary"
          chosen={vary}
          options={can.map((value) => ({ value, label: VARY_NAME[value] }))}
          onToggle={(v) => setVary(toggled(VARIED, vary, v))}
        />
        <FieldGrid>
          {MEASURES.map((measure) => (
            <LooseField
              key={measure}
              label={`${MEASURE_SHORT[measure]}, at ${isLessBetter(measure) ? 'most' : 'least'}`}
              spec={LIMIT_SPEC[measure]}
              onValue={(value) => setLimit(measure, value)}
            />
          ))}
        </FieldGrid>
        <FieldGrid>
          {PRICED.map((part) => (
            <LooseField
              key={part}
              label={PRICE_NAME[part]}
              spec={PRICE}
              onValue={(value) =>
                setPrices(({ [part]: _old, ...rest }) =>
                  value === undefined ? rest : { ...rest, [part]: value },
                )
              }
            />
          ))}
        </FieldGrid>
      </Panel>
    </>
  );
}
