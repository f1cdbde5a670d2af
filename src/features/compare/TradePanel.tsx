import { router } from 'expo-router';
import { useState } from 'react';

import { figuresToCompare } from '@/core/advice/compare';
import { trades } from '@/core/advice/trade';
import { readSentence } from '@/core/text/sentence';
import { useUnits } from '@/features/display/useUnits';
import { useEvaluation } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';
import { useShelfAtHand } from '@/features/shelf/useShelf';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Panel } from '@/ui/Panel';
import { Words } from '@/ui/Words';

import { ChangeList } from './ChangeList';

const SHOWN = ['leverPull', 'liftHad', 'clearancePerFace', 'clamp', 'reserveWithTangs'] as const;
const ORDERS = [
  { value: 'pull', label: 'Lowest pull' },
  { value: 'lift', label: 'Most lift' },
  { value: 'hold', label: 'Highest reserve' },
] as const;
type Order = (typeof ORDERS)[number]['value'];
const KEY = { pull: 'leverPull', lift: 'liftHad', hold: 'reserveWithTangs' } as const;

/** Effects of a change of springs, step, ratio or reduced-effort part on pull, lift and clamp. */
export function TradeOffPanel() {
  return (
    <Panel
      title="Pull, lift and clamp trade-offs"
      summary="Springs, steps, ratios, a reduced-effort part"
    >
      <Trades />
    </Panel>
  );
}

function Trades() {
  const job = useJob();
  const now = figuresToCompare(job, useEvaluation());
  const atHand = useShelfAtHand();
  const [order, setOrder] = useState<Order>('pull');
  const sign = order === 'pull' ? 1 : -1;
  const value = (v: number | undefined) => (v === undefined ? Infinity : sign * v);
  const units = useUnits();
  const found = [...trades(job, atHand)].sort(
    (a, b) => value(a.figures.values[KEY[order]]) - value(b.figures.values[KEY[order]]),
  );
  return found.length === 0 ? (
    <>
      <Words soft>No trade-offs yet. Enter springs and release first.</Words>
      <Action
        icon="chevron-right"
        onPress={() => router.setParams({ stage: 'specify', tab: 'springs' })}
      >
        Go to Springs
      </Action>
    </>
  ) : (
    <>
      <Choice label="Sort by" bare value={order} options={ORDERS} onChange={setOrder} />
      <ChangeList
        label="Possible changes"
        now={now}
        changes={found.map((trade) => ({ ...trade, label: readSentence(trade.label, units) }))}
        shown={SHOWN}
      />
    </>
  );
}
