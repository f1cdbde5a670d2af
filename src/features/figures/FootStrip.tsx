import { useDeferredValue } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { FigureId } from '@/core/evaluate/engine/figure';
import { hasPack } from '@/core/guide/layouts';
import type { Job, Stage } from '@/core/job/types';
import type { Verdict, VerdictId } from '@/core/evaluate/engine/verdict';
import { formatValue, formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';
import { STATE_WORD, StateMark } from '@/ui/StateMark';
import { SPACE, useRuled, useStrata } from '@/ui/theme';
import { useLandscape, useWide } from '@/ui/useWide';
import { Digits, Words } from '@/ui/Words';

import { useOpenFigure } from './WorkingPanel';
import { flow } from '@/ui/flow';

interface Item {
  readonly label: string;
  readonly figure: FigureId;
  readonly verdict?: VerdictId;
  readonly wideOnly?: boolean;
}

const PACK: readonly Item[] = [
  { label: 'Stack', figure: 'stack', verdict: 'stack' },
  { label: 'Faces', figure: 'faces', verdict: 'order', wideOnly: true },
  { label: 'Reserve', figure: 'reserveWithTangs', verdict: 'holds' },
  { label: 'Lift', figure: 'liftHad', verdict: 'releases' },
  { label: 'Per face', figure: 'clearancePerFace', verdict: 'releases', wideOnly: true },
  { label: 'Pull', figure: 'leverPull', verdict: 'pull' },
];

const MEASURED: readonly Item[] = [
  { label: 'Worn', figure: 'packWear', verdict: 'wear' },
  { label: 'Stack', figure: 'stack', verdict: 'stack' },
  { label: 'Warp', figure: 'warpSum' },
  { label: 'Margin', figure: 'thinnestLeft', verdict: 'wear' },
  { label: 'Reserve', figure: 'reserveWithTangs', verdict: 'holds', wideOnly: true },
];

const SHOES: readonly Item[] = [
  { label: 'First contact', figure: 'startContact', verdict: 'start' },
  { label: 'Holds peak torque from', figure: 'startHolding', verdict: 'start' },
];

interface Props {
  readonly stage?: Stage;
}

/** The live figures that are always in sight; each opens to its working. */
export function FootStrip({ stage = 'specify' }: Props) {
  return <Strip stage={stage} job={useDeferredValue(useJob())} />;
}

function Strip({ stage, job }: { readonly stage: Stage; readonly job: Job }) {
  const units = useUnits();
  const ruled = useRuled();
  const strata = useStrata();
  const wide = useWide();
  const low = useLandscape();
  const open = useOpenFigure();
  const { figures, verdicts } = evaluationOf(job);
  return (
    <View
      role="region"
      aria-label="Live figures"
      style={[
        ruled,
        flow.inline,
        styles.strip,
        { backgroundColor: strata.raised, paddingHorizontal: wide ? 12 : 2 },
      ]}
    >
      {(!hasPack(job.machine.layout) ? SHOES : stage === 'inspect' ? MEASURED : PACK)
        .filter((item) => wide || !item.wideOnly)
        .map(({ label, figure, verdict: verdictId }) => {
          // A lift that was measured goes before the train's.
          const id = figure === 'liftHad' && figures.has('liftMeasured') ? 'liftMeasured' : figure;
          const outcome = figures.get(id);
          const known = outcome?.status === 'known' ? outcome : undefined;
          const state = verdictId && verdicts.find((v) => v.id === verdictId)?.state;
          const value = known?.range?.low ?? known?.value;
          // The phone's strip has room for digits, not for the unit of a length.
          const show = wide || known?.quantity !== 'length' ? formatWithUnit : formatValue;
          const decimals =
            known?.quantity === 'length' && (units.length ?? 'mm') === 'mm' && !wide
              ? 2
              : known?.decimals;
          const text =
            known && value !== undefined ? show(value, known.quantity, units, decimals) : '–';
          return (
            <FootItem
              key={id}
              id={id}
              label={label}
              name={!wide && id === 'reserveWithTangs' ? 'Reserve' : label}
              text={text}
              known={known !== undefined}
              state={state}
              wide={wide}
              low={low}
              onOpen={open}
            />
          );
        })}
    </View>
  );
}

interface ItemProps {
  readonly id: FigureId;
  readonly label: string;
  readonly name: string;
  readonly text: string;
  readonly known: boolean;
  readonly state: Verdict['state'] | undefined;
  readonly wide: boolean;
  readonly low: boolean;
  readonly onOpen: (id: FigureId) => void;
}

/** On a narrower phone the figures are set smaller, before one is cut. */
const SMALL = 360;

/** Name and value on one line. */
const LINE = { flexDirection: 'row', alignItems: 'center', gap: 8 } as const;

/** One figure of the strip; drawn again only when it shows something else. */
function FootItem(props: ItemProps) {
  const { id, label, name, text, known, state, wide, low, onOpen } = props;
  const small = useWindowDimensions().width < SMALL;
  return (
    <TouchableRipple
      role="button"
      aria-label={`${label}: ${known ? text : 'missing'}${state ? `, ${STATE_WORD[state].toLowerCase()}` : ''}. Show the working.`}
      testID={`foot-${id}`}
      onPress={() => onOpen(id)}
      style={[styles.grow, { minHeight: low ? 44 : 62 }]}
    >
      <View style={low ? LINE : undefined}>
        <View style={styles.row}>
          <Words soft size={13} numberOfLines={1}>
            {name}
          </Words>
          {state ? <StateMark state={state} size={16} /> : null}
        </View>
        <Digits bold size={wide ? 20 : small ? 15 : 18} numberOfLines={1}>
          {text}
        </Digits>
      </View>
    </TouchableRipple>
  );
}

const styles = StyleSheet.create({
  // With the largest text the figures take two rows before one is cut.
  strip: { flexWrap: 'wrap' },
  grow: {
    flexGrow: 1,
    flexBasis: 0,
    paddingHorizontal: SPACE.tight,
    justifyContent: 'center',
    minWidth: 56,
  },
  row: { flexDirection: 'row', gap: SPACE.tight, alignItems: 'center' },
});
