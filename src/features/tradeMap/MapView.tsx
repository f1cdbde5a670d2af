import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { chanceText } from '@/core/sure/text';
import { readSentence } from '@/core/text/sentence';
import type { Measure, Measured } from '@/core/tradeMap/measures';
import { frontOf, isLessBetter, MEASURES } from '@/core/tradeMap/measures';
import type { PackChance } from '@/core/tradeMap/surePacks';
import { amountOf, MEASURE_NAME, stepText } from '@/core/tradeMap/text';
import type { BuildCondition } from '@/core/tradeMap/build';
import type { MapAnswer } from '@/core/tradeMap/asked';
import type { MapPack, MapRequest } from '@/core/tradeMap/pack';
import type { TradeMap } from '@/core/tradeMap/tradeMap';
import { BUILD_CONDITIONS } from '@/core/tradeMap/build';
import { fromBase, toBase } from '@/core/units/quantity';
import { shownUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { flow } from '@/ui/flow';
import { Panel } from '@/ui/Panel';
import { ProgressLine } from '@/ui/ProgressLine';
import { Words } from '@/ui/Words';
import { useHeavy } from '@/workers/useHeavy';

import { ChosenPack } from './ChosenPack';
import { MapChart } from './MapChart';
import { PackTable } from './PackTable';

const CONDITION: Readonly<Record<BuildCondition, string>> = {
  stack: 'stack limits',
  holds: 'torque reserve',
  releases: 'release',
  coils: 'coil bind',
  gap: 'plate gap',
  step: 'retainer step',
  retention: 'plates on spline and fingers',
};

/** Share of the whole spread between two neighbours. */
const NOTICED = 0.08;

const AXES = MEASURES.map((value) => ({ value, label: MEASURE_NAME[value] }));
const ROBUST = [
  { value: 'all', label: 'All' },
  { value: '0.9', label: '90 in 100' },
  { value: '0.98', label: '98 in 100' },
] as const;
type Robust = (typeof ROBUST)[number]['value'];

const grouped = (count: number): string => count.toLocaleString('en-GB');

const isSame = (a: MapPack, b: MapPack): boolean =>
  a.name === b.name && MEASURES.every((m) => a.measured[m] === b.measured[m]);

interface Props {
  readonly map: TradeMap;
  readonly request: MapRequest;
}

const inLimits = (of: Measured, limits: Readonly<Partial<Record<Measure, number>>>): boolean =>
  MEASURES.every((m) => {
    const limit = limits[m];
    return limit === undefined || (isLessBetter(m) ? of[m] <= limit : of[m] >= limit);
  });

/** The packs that nothing beats in two measures: points, the present pack, limits, and the pack that is tapped. */
export function MapView({ map, request }: Props) {
  const units = useUnits();
  const job = useJob();
  const [first, setFirst] = useState<Measure>('pull');
  const [second, setSecond] = useState<Measure>('reserve');
  const [limits, setLimits] = useState<Readonly<Partial<Record<Measure, number>>>>(
    request.limits ?? {},
  );
  const [chosen, setChosen] = useState<MapPack>();
  const [robust, setRobust] = useState<Robust>('all');
  const whole = frontOf(map.packs, (p) => p.measured, first, second);
  const { run, start, stop } = useHeavy<readonly PackChance[]>(`${first} ${second}`);
  const chances = run.state === 'done' ? run.result : undefined;
  const chanceOf = (pack: MapPack): PackChance | undefined => chances?.[whole.indexOf(pack)];
  const least = robust === 'all' ? 0 : Number(robust);
  const front = whole.filter((pack) => {
    const chance = chanceOf(pack);
    const sure = Math.min(chance?.holds ?? 1, chance?.releases ?? 1);
    return inLimits(pack.measured, limits) && sure >= least;
  });
  const ask = (next: Robust) => {
    setRobust(next);
    if (next !== 'all' && run.state !== 'done')
      start((runs, progress) => runs.surePacks(job, request, whole, progress));
  };
  const unitOf = (m: Measure) => shownUnit(amountOf(m, 0).quantity, units);
  const shown = (of: Measured) => ({
    x: fromBase(of[first], unitOf(first)),
    y: fromBase(of[second], unitOf(second)),
  });
  const limitAt = (m: Measure) => {
    const limit = limits[m];
    return limit === undefined ? undefined : fromBase(limit, unitOf(m));
  };
  const axis = (m: Measure) => [MEASURE_NAME[m], unitOf(m).symbol].filter(Boolean).join(', ');
  const text = (m: Measure, value: number) => readSentence([amountOf(m, value)], units);
  // Results that come while the map is made bring each pack again.
  const index = chosen ? front.findIndex((p) => isSame(p, chosen)) : -1;
  // The next one that a builder would notice: many differ by a thousandth of a steel.
  const spread = Math.abs((front.at(-1)?.measured[first] ?? 0) - (front[0]?.measured[first] ?? 0));
  const next =
    chosen &&
    front
      .slice(index + 1)
      .find((p) => Math.abs(p.measured[first] - chosen.measured[first]) >= NOTICED * spread);
  const [worst] = [...BUILD_CONDITIONS].sort((a, b) => map.fails[b] - map.fails[a]);
  const middle = (m: Measure): number => {
    const values = whole.map((p) => p.measured[m]);
    return isLessBetter(m) ? Math.max(...values) : Math.min(...values);
  };
  return (
    <View style={flow.stack}>
      <Words>
        {`${grouped(map.looked)} packs checked, ${grouped(map.buildable)} can be built${map.cancelled ? ', stopped before the end' : ''}. ${worst && map.fails[worst] > 0 ? `Most are ruled out by ${CONDITION[worst]}.` : ''}`}
      </Words>
      {map.answer ? <Answered answer={map.answer} onShow={setChosen} /> : null}
      {whole.length === 0 ? (
        <Words bold>No pack can be built under these conditions. Let more vary.</Words>
      ) : (
        <>
          <Words soft size={14}>
            {axis(second)}
          </Words>
          <MapChart
            points={front.map((p) => shown(p.measured))}
            chosen={index < 0 ? undefined : index}
            present={map.present && shown(map.present)}
            limits={{ x: limitAt(first), y: limitAt(second) }}
            label={`Trade map: ${front.length} packs by ${MEASURE_NAME[first].toLowerCase()} and ${MEASURE_NAME[second].toLowerCase()}`}
            onChoose={(i) => setChosen(front[i])}
            onLimit={(axis, value) => {
              const m = axis === 'x' ? first : second;
              setLimits({ ...limits, [m]: toBase(value, unitOf(m)) });
            }}
          />
          <Words soft size={14} style={styles.across}>
            {axis(first)}
          </Words>
          <Words soft size={14}>
            Tap a point to see its pack; the diamond is the present one.
          </Words>
          {chosen && index >= 0 ? (
            <>
              {next ? (
                <Words size={15}>
                  {`Along the map: ${readSentence(stepText(chosen.measured, next.measured, first, second), units)}`}
                </Words>
              ) : null}
              <ChosenPack pack={chosen} request={request} present={map.present} />
            </>
          ) : null}
          <Panel
            title="Measures and limits"
            summary={`${MEASURE_NAME[first]}; ${MEASURE_NAME[second].toLowerCase()}`}
          >
            <Choice
              label="Across"
              value={first}
              options={AXES.filter((a) => a.value !== second)}
              onChange={setFirst}
            />
            <Choice
              label="Upward"
              value={second}
              options={AXES.filter((a) => a.value !== first)}
              onChange={setSecond}
            />
            <View style={flow.wrap}>
              {[first, second].map((m) =>
                limits[m] === undefined ? (
                  <Action key={m} onPress={() => setLimits({ ...limits, [m]: middle(m) })}>
                    {`Limit: ${MEASURE_NAME[m].toLowerCase()}`}
                  </Action>
                ) : (
                  <Action
                    key={m}
                    icon="close"
                    onPress={() => setLimits(({ [m]: _old, ...rest }) => rest)}
                  >
                    {`${isLessBetter(m) ? 'At most' : 'At least'} ${text(m, limits[m])}`}
                  </Action>
                ),
              )}
            </View>
            <Choice label="Robust only" value={robust} options={ROBUST} onChange={ask} />
            {run.state === 'running' ? (
              <ProgressLine share={run.share} label="Certainty" onStop={stop} />
            ) : null}
          </Panel>
          <PackTable
            packs={front}
            columns={[first, second]}
            chosen={chosen}
            onChoose={setChosen}
            chanceText={(pack) => {
              const chance = chanceOf(pack);
              return chance
                ? chanceText(Math.min(chance.holds ?? 1, chance.releases ?? 1))
                : undefined;
            }}
          />
        </>
      )}
    </View>
  );
}

/** The answer to what was asked, or the nearest pack and what costs most. */
function Answered({
  answer,
  onShow,
}: {
  readonly answer: MapAnswer;
  readonly onShow: (p: MapPack) => void;
}) {
  const units = useUnits();
  const { pack, meets, misses, costsMost } = answer;
  const missing = (Object.entries(misses) as [Measure, number][]).map(
    ([m, by]) => `${MEASURE_NAME[m].toLowerCase()} by ${readSentence([amountOf(m, by)], units)}`,
  );
  return (
    <View style={flow.tight}>
      <Words bold>
        {meets
          ? `These conditions are met, at a lever pull of ${readSentence([amountOf('pull', pack.measured.pull)], units)}: ${pack.name || 'the present parts'}.`
          : `No pack meets these conditions. The nearest misses ${missing.join(', ')}: ${pack.name || 'the present parts'}.`}
      </Words>
      {costsMost ? (
        <Words>{`The condition that costs most: ${MEASURE_NAME[costsMost].toLowerCase()}.`}</Words>
      ) : null}
      <Action onPress={() => onShow(pack)}>Show this pack</Action>
    </View>
  );
}

const styles = StyleSheet.create({ across: { textAlign: 'right' } });
