import { Pressable, View } from 'react-native';

import { FONT, useStrata } from './theme';
import { Words } from './Words';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  /** The label is read out but not shown. */
  readonly bare?: boolean;
}

/** One of a few, all in view, each big enough for a glove. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  bare = false,
}: Props<T>) {
  const strata = useStrata();
  return (
    <View style={{ gap: 4 }}>
      {bare ? null : (
        <Words soft size={15}>
          {label}
        </Words>
      )}
      <View
        role="radiogroup"
        aria-label={label}
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}
      >
        {options.map((option) => {
          const on = option.value === value;
          return (
            <Pressable
              key={option.value}
              role="radio"
              aria-checked={on}
              onPress={() => onChange(option.value)}
              style={{
                minHeight: 48,
                minWidth: 48,
                paddingHorizontal: 12,
                justifyContent: 'center',
                alignItems: 'center',
                borderRadius: 6,
                borderWidth: on ? 2 : 1,
                borderColor: on ? strata.slate : strata.line,
                backgroundColor: on ? strata.raised : 'transparent',
              }}
            >
              <Words size={15} style={{ fontFamily: on ? FONT.textBold : FONT.text }}>
                {option.label}
              </Words>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
