import { Text } from 'react-native';

import { FONT, useStrata } from '@/ui/theme';

/** A formula or symbol with what follows an underscore set low: `T_req`, `F_(k+1)`. */
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
      style={{
        fontFamily: FONT.mono,
        fontSize: size,
        lineHeight: Math.round(size * 1.5),
        color: soft ? strata.soft : strata.ink,
      }}
    >
      {parts.map((part, i) =>
        i % 2 === 1 ? (
          <Text key={i} style={{ fontSize: size * 0.72, verticalAlign: 'bottom' }}>
            {part.replace(/^\((.*)\)$/, '$1')}
          </Text>
        ) : (
          part
        ),
      )}
    </Text>
  );
}
