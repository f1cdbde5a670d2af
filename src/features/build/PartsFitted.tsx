import { StyleSheet, View } from 'react-native';

import { fieldPath } from '@/core/job/fieldPath';
import type { SmallPart } from '@/core/job/types';
import { partMissing } from '@/core/signoff/partItems';
import { CountField } from '@/features/entry/CountField';
import { useJob } from '@/state/jobs/useJob';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useRuled } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

/** Small parts fitted, compared with those removed. */
export function PartsFitted() {
  const { parts } = useJob().strip;
  const counted = parts.filter((p) => (p.out?.value ?? 0) > 0);
  if (counted.length === 0) {
    return (
      <Words soft size={15} style={styles.text}>
        No small parts were counted at Strip, so there is no way to confirm that all are back in.
      </Words>
    );
  }
  return (
    <View role="list" aria-label="Small parts fitted" style={flow.lines}>
      {counted.map((part) => (
        <PartFittedRow key={part.id} part={part} />
      ))}
    </View>
  );
}

function PartFittedRow({ part }: { readonly part: SmallPart }) {
  const ruled = useRuled();
  const out = part.out?.value ?? 0;
  const back = part.in?.value ?? 0;
  const name = part.name || 'Part';
  const missing = partMissing(part);
  return (
    <View role="listitem" style={[ruled, styles.item]}>
      <View style={styles.row}>
        <StateMark state={missing ? (part.in ? 'stop' : 'unknown') : 'good'} label />
        <View style={flow.shrink}>
          <Words bold={missing}>{name}</Words>
          <Words soft size={14}>
            {missing && back > out
              ? `${out} removed, ${back} fitted`
              : missing
                ? `${out} removed, ${out - back} to fit`
                : `All ${out} fitted`}
          </Words>
        </View>
      </View>
      <CountField
        path={fieldPath('strip.parts.*.in', part.id)}
        label="Fitted"
        of={name}
        all={out}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  text: { paddingLeft: SPACE.wide },
  item: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap, paddingTop: SPACE.gap },
  row: { flexDirection: 'row', gap: SPACE.gap, flexGrow: 1, flexShrink: 1, flexBasis: 0 },
});
