import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { View } from 'react-native';

import { evaluate } from '@/core/evaluate/evaluate';
import { MAX_VARIANTS, withVariant } from '@/core/job/variants';
import { readSentence } from '@/core/text/sentence';
import type { Measured } from '@/core/tradeMap/measures';
import { MEASURES } from '@/core/tradeMap/measures';
import { amountOf, MEASURE_NAME } from '@/core/tradeMap/text';
import type { MapPack, MapRequest } from '@/core/tradeMap/pack';
import { jobOfPack } from '@/core/tradeMap/pack';
import { useUnits } from '@/features/display/useUnits';
import { Section } from '@/features/section/Section';
import { useFreeStock } from '@/features/shelf/useShelf';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { flow } from '@/ui/flow';
import { useRuled } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

interface Props {
  readonly pack: MapPack;
  readonly request: MapRequest;
  readonly present: Measured | undefined;
}

const NOTHING: readonly string[] = [];
const nothing = () => undefined;
const HEIGHT = 300;

/** A pack of the map: its parts, its section, how it differs from the present one, and a way to keep it. */
export function ChosenPack({ pack, request, present }: Props) {
  const units = useUnits();
  const ruled = useRuled();
  const job = useJob();
  const stock = useFreeStock();
  const edit = useEditJob();
  const [width, setWidth] = useState(0);
  const [kept, setKept] = useState<MapPack>();
  const made = jobOfPack(job, request, pack);
  const labels = pack.steels.picks.map((id) => stock.plates.find((p) => p.id === id)?.label ?? id);
  const full = job.variants.length + 1 >= MAX_VARIANTS;
  const name = pack.name || 'Other steels';
  const keep = () => {
    edit((j) => ({
      ...j,
      variants: withVariant(
        jobOfPack(j, request, pack, () => nanoid(10)),
        nanoid(8),
        name,
      ).variants,
    }));
    setKept(pack);
  };
  return (
    <View
      style={flow.stack}
      role="group"
      aria-label="The pack"
      onLayout={({ nativeEvent }) => setWidth(Math.round(nativeEvent.layout.width))}
    >
      <Words bold>{pack.name || 'Present springs, discs and train'}</Words>
      {labels.length > 0 ? <Words size={14}>{`Steels: ${labels.join(', ')}.`}</Words> : null}
      <View role="list" aria-label="Difference from the present pack">
        {MEASURES.map((m) => {
          const by = present ? pack.measured[m] - present[m] : 0;
          return (
            <View key={m} role="listitem" style={[ruled, flow.apart]}>
              <Words size={15} style={flow.shrink}>
                {MEASURE_NAME[m]}
              </Words>
              <Digits size={15}>
                {`${readSentence([amountOf(m, pack.measured[m])], units)}${by === 0 ? '' : ` (${by < 0 ? '−' : '+'}${readSentence([amountOf(m, Math.abs(by))], units)})`}`}
              </Digits>
            </View>
          );
        })}
      </View>
      {width > 0 ? (
        <Section
          job={made}
          evaluation={evaluate(made)}
          problems={[]}
          width={width}
          height={HEIGHT}
          labelled
          selected={NOTHING}
          onSelect={nothing}
        />
      ) : null}
      <Action
        main
        icon="content-copy"
        blocked={
          kept === pack
            ? 'It is among the variants.'
            : full
              ? `At most ${MAX_VARIANTS} packs, the current one included.`
              : undefined
        }
        onPress={keep}
      >
        Keep as a variant
      </Action>
    </View>
  );
}
