import { createElement, useId } from 'react';
import { View } from 'react-native';

import { FIELD } from './FieldGrid';
import { FONT, useStrata } from './theme';
import { Words } from './Words';

interface Props {
  readonly label: string;
  /** ISO date. */
  readonly value: string | undefined;
  readonly onChange: (date: string | undefined) => void;
}

/** A day, by the device's own calendar. */
export function DateField({ label, value, onChange }: Props) {
  const strata = useStrata();
  const id = useId();
  return (
    <View style={[FIELD, { flexBasis: 150, minWidth: 130 }]}>
      <View style={{ minHeight: 24, justifyContent: 'flex-end' }}>
        <Words soft size={15} nativeID={id}>
          {label}
        </Words>
      </View>
      {createElement('input', {
        type: 'date',
        'aria-labelledby': id,
        value: value ?? '',
        onChange: (event: { target: { value: string } }) =>
          onChange(/^\d{4}-\d{2}-\d{2}$/.test(event.target.value) ? event.target.value : undefined),
        style: {
          height: 46,
          boxSizing: 'border-box',
          padding: '0 12px',
          fontFamily: FONT.mono,
          fontSize: 16,
          color: strata.ink,
          backgroundColor: strata.raised,
          border: `1px solid ${strata.line}`,
          borderRadius: 4,
        },
      })}
    </View>
  );
}
