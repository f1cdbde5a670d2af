import { Pressable, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { FONT, useStrata } from './theme';
import { Words } from './Words';

interface Props<T extends string> {
  readonly label: string;
  readonly chosen: readonly T[];
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onToggle: (value: T) => void;
  /** The label is read out but not shown. */
  readonly bare?: boolean;
}

/** Any of several, all in view, each big enough for a glove. */
export function Toggles<T extends string>({ label, chosen, options, onToggle, bare }: Props<T>) {
  const strata = useStrata();
  return (
    <View style={{ gap: 4 }}>
      {bare ? null : (
        <Words soft size={15}>
          {label}
        </Words>
      )}
      <View
        role="group"
        aria-label={label}
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}
      >
        {options.map((option) => {
          const on = chosen.includes(option.value);
          return (
            <Pressable
              key={option.value}
              role="checkbox"
              aria-checked={on}
              aria-label={option.label}
              onPress={() => onToggle(option.value)}
              style={{
                minHeight: 48,
                minWidth: 48,
                paddingHorizontal: 12,
                flexDirection: 'row',
                gap: 6,
                justifyContent: 'center',
                alignItems: 'center',
                borderRadius: 6,
                borderWidth: on ? 2 : 1,
                borderColor: on ? strata.slate : strata.line,
                backgroundColor: on ? strata.raised : 'transparent',
              }}
            >
              {on ? <Icon source="check" size={18} color={strata.slate} /> : null}
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

/** A list with one item put in or taken out, in the order of `all`. */
export function toggled<T>(all: readonly T[], chosen: readonly T[], value: T): T[] {
  return all.filter((v) => (v === value) !== chosen.includes(v));
}
