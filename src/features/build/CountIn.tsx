import { View } from 'react-native';
import { IconButton } from 'react-native-paper';

import { fieldPath } from '@/core/job/fields';
import type { Job, SmallPart } from '@/core/job/types';
import { partMissing } from '@/core/signoff/openItems';
import { EntryField } from '@/features/entry/EntryField';
import { useChangeJob } from '@/features/jobs/changeJob';
import { useJob } from '@/features/jobs/useJob';
import { StateMark } from '@/ui/StateMark';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

/** Small parts counted back in against what was counted out. */
export function CountIn() {
  const { parts } = useJob().strip;
  const counted = parts.filter((p) => (p.out?.value ?? 0) > 0);
  if (counted.length === 0) {
    return (
      <Words soft size={15} style={{ paddingLeft: 40 }}>
        No small parts were counted out in Strip: nobody can say that all are back.
      </Words>
    );
  }
  return (
    <View role="list" aria-label="Small parts counted in" style={{ gap: 2, paddingLeft: 12 }}>
      {counted.map((part) => (
        <PartIn key={part.id} part={part} />
      ))}
    </View>
  );
}

const countedIn = (job: Job, id: string, value: number): Job => ({
  ...job,
  strip: {
    ...job.strip,
    parts: job.strip.parts.map((p) => (p.id === id ? { ...p, in: { value } } : p)),
  },
});

function PartIn({ part }: { readonly part: SmallPart }) {
  const strata = useStrata();
  const change = useChangeJob();
  const out = part.out?.value ?? 0;
  const back = part.in?.value ?? 0;
  const name = part.name || 'Part';
  const missing = partMissing(part);
  return (
    <View
      role="listitem"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        flexWrap: 'wrap',
        gap: 6,
        borderTopWidth: 1,
        borderColor: strata.line,
        paddingVertical: 4,
      }}
    >
      <View style={{ flexDirection: 'row', gap: 8, flexGrow: 2, flexBasis: 150, minWidth: 0 }}>
        <StateMark state={missing ? (part.in ? 'stop' : 'unknown') : 'good'} label />
        <View style={{ flexShrink: 1 }}>
          <Words bold={missing}>{name}</Words>
          <Words soft size={14}>
            {missing && back > out
              ? `${out} came out, ${back} in`
              : missing
                ? `${out} came out, ${out - back} to come`
                : `All ${out} in`}
          </Words>
        </View>
      </View>
      <View style={{ flexDirection: 'row', alignItems: 'flex-end' }}>
        <IconButton
          icon="minus"
          mode="outlined"
          aria-label={`${name}: one less in`}
          disabled={back <= 0}
          style={{ width: 48, height: 48, margin: 0, marginRight: 4 }}
          onPress={() => change((j) => countedIn(j, part.id, Math.max(0, back - 1)))}
        />
        <View style={{ width: 78 }}>
          <EntryField path={fieldPath('strip.parts.*.in', part.id)} label="In" />
        </View>
        <IconButton
          icon="plus"
          mode="outlined"
          aria-label={`${name}: one more in`}
          style={{ width: 48, height: 48, margin: 0, marginHorizontal: 4 }}
          onPress={() => change((j) => countedIn(j, part.id, Math.min(200, back + 1)))}
        />
        <IconButton
          icon="check"
          mode="outlined"
          aria-label={`${name}: all ${out} in`}
          style={{ width: 48, height: 48, margin: 0 }}
          onPress={() => change((j) => countedIn(j, part.id, out))}
        />
      </View>
    </View>
  );
}
