import { useDeferredValue } from 'react';
import { View } from 'react-native';

import type { ToleranceRun } from '@/core/pack/tolerance';
import { layOut } from '@/core/evaluate/engine/layers';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { Panel } from '@/ui/Panel';
import { ProgressLine } from '@/ui/ProgressLine';
import { Words } from '@/ui/Words';
import { useHeavy } from '@/workers/useHeavy';

import { Histogram } from './Histogram';
import { flow } from '@/ui/flow';

const PACKS = 1_000_000;
const SEED = 1;

/** The share of packs of new plates within the limits, calculated in a worker. */
export function TolerancePanel() {
  const job = useDeferredValue(useJob());
  // A result belongs to its own pack.
  const { run, start, stop } = useHeavy<ToleranceRun>(job.pack);
  return (
    <Panel title="Batch tolerance" summary="Share of new packs within the limits">
      {run.state === 'running' ? (
        <ProgressLine share={run.share} label="Packs simulated" onStop={stop} />
      ) : (
        <Action
          onPress={() => start((runs, progress) => runs.tolerance(job, PACKS, SEED, progress))}
        >
          Simulate a million packs
        </Action>
      )}
      <View aria-live="polite">
        {run.state === 'refused' ? <Words>{run.why}</Words> : null}
        {run.state === 'done' ? <Result run={run.result} /> : null}
      </View>
    </Panel>
  );
}

function Result({ run }: { readonly run: ToleranceRun }) {
  const units = useUnits();
  const job = useDeferredValue(useJob());
  const { windowMin, windowMax } = job.pack;
  const mm = (value: number) => formatWithUnit(value, 'length', units);
  const percent = (share: number) =>
    `${(100 * share).toFixed(share > 0.999 && share < 1 ? 2 : 1)} %`;
  const most = run.variance.reduce((best, v, i, all) => (v > (all[best] ?? 0) ? i : best), 0);
  const layer = layOut(job).layers[most];
  const share = run.variance[most] ?? 0;
  return (
    <View style={flow.stack}>
      <Words bold>
        {percent(run.shareInLimits)} of {run.packs.toLocaleString('en')} packs are within the
        limits, {percent(run.shareBelow)} below, {percent(run.shareAbove)} above.
      </Words>
      <Histogram run={run} min={windowMin?.value} max={windowMax?.value} />
      <Words>
        Mean {mm(run.mean)}, standard deviation {mm(run.sigma)}, from {mm(run.least)} to{' '}
        {mm(run.maximum)}.
      </Words>
      {layer && share > 0 ? (
        <Words>
          {layer.kind.name || 'A plate'} has the largest effect: each of these plates adds{' '}
          {percent(share)} of the variance.
        </Words>
      ) : null}
      <Words soft size={14}>
        New plates within their tolerance, normal distribution, three standard deviations to the
        limit. Same seed each time.
      </Words>
    </View>
  );
}
