import { StyleSheet, Text } from 'react-native';

import { FONT, useStrata } from '@/ui/theme';

/** A formula or symbol with subscripts after an underscore: `T_req`, `F_(k+1)`. */
export function Formula({
  children,
  soft = false,
  size = 15,
}: {
  readonly children: string;
  readonly soft?: boolean;
  readonly size?: number;
}) {
  const strata = useStrata();
  const parts = children.split(/_(\([^)]*\)|[\p{L}\p{N}]+)/u);
  return (
    <Text
      style={[
        styles.text,
        {
          fontSize: size,
          lineHeight: Math.round(size * 1.5),
          color: soft ? strata.soft : strata.ink,
        },
      ]}
    >
      {parts.map((part, i) =>
        i % 2 === 1 ? (
          <Text key={i} style={[styles.formulaText, { fontSize: size * 0.72 }]}>
            {part.replace(/^\((.*)\)$/, '$1')}
          </Text>
        ) : (
          part
        ),
      )}
    </Text>
  );
}

const styles = StyleSheet.create({
  text: { fontFamily: FONT.mono },
  formulaText: { verticalAlign: 'bottom' },
});
