import { Pressable, StyleSheet, View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import { useUnits } from '@/features/display/useUnits';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useRuled } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { useInspection } from './useInspection';
import { flow } from '@/ui/flow';

/** Findings across parts; tap to show the part on the section. */
export function AcrossParts({ onSelect }: { readonly onSelect: (plateId: string) => void }) {
  const { across, begun } = useInspection();
  const units = useUnits();
  const ruled = useRuled();
  if (!begun || across.length === 0) return null;
  return (
    <View style={flow.tight}>
      <Heading level={2}>Across parts</Heading>
      <View role="list" aria-label="Rules across parts">
        {across.map((finding) => (
          <View key={finding.id} role="listitem">
            <Pressable
              role="button"
              aria-label={`${finding.title}. ${readSentence(finding.sentence, units)}`}
              onPress={() => finding.partIds[0] && onSelect(finding.partIds[0])}
              style={[ruled, styles.row]}
            >
              <StateMark state={finding.state} size={20} />
              <View style={flow.shrink}>
                <Words bold>{finding.title}</Words>
                <Words size={15}>{readSentence(finding.sentence, units)}</Words>
              </View>
            </Pressable>
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.gap, paddingVertical: SPACE.gap, minHeight: 52 },
});
