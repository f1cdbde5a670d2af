import { StyleSheet, View } from 'react-native';

import { lowerFirst, readSentence } from '@/core/text/sentence';
import type { DiaphragmLook, StepLook } from '@/core/clutch/diaphragm/look';
import { diaphragmLook } from '@/core/clutch/diaphragm/look';
import { formatWithUnit, shownUnit } from '@/core/units/format';
import { fromBase } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/state/jobs/useJob';
import { Chart } from '@/ui/chart/Chart';
import { SPACE, useRuled } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

/** The force of a diaphragm over its deflection, its working point, and the effect of each step in words. */
export function DiaphragmCurve() {
  const look = diaphragmLook(useJob());
  if (!look)
    return (
      <Words soft size={15}>
        The spring curve appears once stack, spring and deflection are known.
      </Words>
    );
  return (
    <View style={flow.stack}>
      <Heading level={3}>Working point</Heading>
      <Curve look={look} />
      <FallingPartText look={look} />
      {look.steps.length > 1 ? <Steps steps={look.steps} /> : null}
    </View>
  );
}

function Curve({ look }: { readonly look: DiaphragmLook }) {
  const units = useUnits();
  const mm = shownUnit('length', units);
  const newton = shownUnit('force', units);
  const point = ({ deflection, force }: { deflection: number; force: number }) => ({
    x: fromBase(deflection, mm),
    y: fromBase(force, newton),
  });
  const marks = (['worn', 'built', 'lifted'] as const).flatMap((name) => {
    const at = look[name];
    return at ? [{ ...point(at), label: MARK[name] }] : [];
  });
  const others = look.steps.filter((s) => !s.inUse);
  const show = (at: { deflection: number; force: number }) =>
    `${formatWithUnit(at.force, 'force', units, 0)} at ${formatWithUnit(at.deflection, 'length', units, 2)}`;
  return (
    <Chart
      lines={[{ name: 'Force', points: look.curve.map(point) }]}
      regions={
        look.falling
          ? [{ from: fromBase(look.falling.from, mm), to: fromBase(look.falling.to, mm) }]
          : []
      }
      marks={[
        ...marks,
        ...others.map((s) => ({
          ...point({ deflection: s.deflection, force: s.clamp }),
          label: `step ${s.name}`,
        })),
      ]}
      xLabel={`Deflection, ${mm.symbol}`}
      yLabel={`Force, ${newton.symbol}`}
      description={`Diaphragm force. ${(['worn', 'built', 'lifted'] as const)
        .flatMap((name) => {
          const at = look[name];
          return at ? [`${MARK[name]}: ${show(at)}`] : [];
        })
        .join('; ')}.`}
      height={230}
    />
  );
}

const MARK = { built: 'as built', worn: 'worn', lifted: 'lifted' } as const;

function FallingPartText({ look }: { readonly look: DiaphragmLook }) {
  const units = useUnits();
  const { falling, built } = look;
  if (!falling)
    return (
      <Words size={15}>
        More preload gives more clamp along the whole curve, and a heavier lever.
      </Words>
    );
  const inside = built.deflection >= falling.from && built.deflection <= falling.to;
  const span = `${formatWithUnit(falling.from, 'length', units, 2)} to ${formatWithUnit(falling.to, 'length', units, 2)}`;
  return (
    <Words size={15}>
      {inside
        ? `The spring works past its peak: in the shaded range, from ${span}, more preload means less clamp and a lighter lever; wear raises clamp until the peak is passed.`
        : `In the shaded range, from ${span}, more preload would mean less clamp. The spring works ${built.deflection < falling.from ? 'before' : 'beyond'} that.`}
    </Words>
  );
}

function Steps({ steps }: { readonly steps: readonly StepLook[] }) {
  const units = useUnits();
  const ruled = useRuled();
  return (
    <View role="list" aria-label="Effect of each step">
      {steps.map((step) => (
        <View key={step.id} role="listitem" style={[ruled, styles.item]}>
          <View style={flow.share}>
            <Words size={15} bold={step.inUse}>
              {`Step ${step.name}: ${lowerFirst(readSentence(step.sentence, units))}`}
            </Words>
            <Digits soft size={14}>
              {formatWithUnit(step.clamp, 'force', units, 0)}
            </Digits>
          </View>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  item: { paddingVertical: SPACE.gap, flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
});
