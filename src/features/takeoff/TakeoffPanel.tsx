import { router } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';

import type { Way, WayId } from '@/core/takeoff/hands';
import { recordedWay, WAYS } from '@/core/takeoff/hands';
import type { PackTakeoff } from '@/core/takeoff/packs';
import { packsOf } from '@/core/takeoff/packs';
import { WARM_OIL } from '@/core/takeoff/setup';
import { useJob } from '@/state/jobs/useJob';
import { useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { Choice, Toggles } from '@/ui/Choice';
import { Panel } from '@/ui/Panel';
import { Words } from '@/ui/Words';
import { useHeavy } from '@/workers/useHeavy';

import { PacksCompared } from './PacksCompared';
import { TakeoffResultView } from './TakeoffResultView';
import { flow } from '@/ui/flow';

type WayChoice = WayId | 'recorded';

const READY = (Object.keys(WAYS) as WayId[]).map((value) => ({
  value,
  label: WAYS[value].name,
}));

/** A simulated start of this pack: speeds to lock-up, heat, and the steels over repeated starts. */
export function TakeoffPanel() {
  const job = useDeferredValue(useJob());
  const recorded = useAppSelector((state) => state.practice.hands);
  const [choice, setChoice] = useState<WayChoice>(recorded ? 'recorded' : 'gentle');
  const [others, setOthers] = useState<readonly string[]>([]);
  const { run, start } = useHeavy<readonly PackTakeoff[]>(job);
  const [shown, setShown] = useState<Way>();
  const own = recorded && recordedWay(recorded);
  const way = choice === 'recorded' ? (own ?? WAYS.gentle) : WAYS[choice];
  const packs = packsOf(job);
  const go = () => {
    setShown(way);
    const tried = packs.filter((p, i) => i === 0 || others.includes(p.name));
    start((runs) => runs.takeoff(tried, way, WARM_OIL));
  };
  return (
    <Panel title="Take-off" summary="Simulated start to lock-up, and heat over repeated starts">
      <Choice
        label="Type of start"
        value={choice}
        options={[...READY, ...(own ? [{ value: 'recorded' as const, label: own.name }] : [])]}
        onChange={setChoice}
      />
      <Words soft size={15}>
        {way.about}
      </Words>
      {packs.length > 1 ? (
        <Toggles
          label="Compare with"
          chosen={others}
          options={packs.slice(1).map(({ name }) => ({ value: name, label: name }))}
          onToggle={(name) =>
            setOthers(others.includes(name) ? others.filter((n) => n !== name) : [...others, name])
          }
        />
      ) : null}
      <View style={flow.wrap}>
        <Action main icon="play" busy={run.state === 'running'} onPress={go}>
          {run.state === 'running' ? 'Calculating …' : 'Start'}
        </Action>
        <Action
          icon="record-circle-outline"
          onPress={() => router.navigate({ pathname: '/cutaway', params: { job: job.id } })}
        >
          By hand, in the cutaway
        </Action>
      </View>
      <View aria-live="polite" style={flow.sections}>
        {run.state === 'refused' ? <Words>{run.why}</Words> : null}
        {run.state === 'done' && shown ? <Done packs={run.result} way={shown} /> : null}
      </View>
    </Panel>
  );
}

interface DoneProps {
  readonly packs: readonly PackTakeoff[];
  readonly way: Way;
}

function Done({ packs, way }: DoneProps) {
  const [present] = packs;
  if (!present) return null;
  return (
    <>
      <TakeoffResultView starts={present.starts} way={way} />
      {packs.length > 1 ? <PacksCompared packs={packs} /> : null}
      <Words soft size={14}>
        Two inertias and a slipping clutch. Break-away friction, idle, engine braking, oil cooling,
        fade and driveline damping are assumed values. The result compares packs; it does not say
        that a machine is safe.
      </Words>
    </>
  );
}
