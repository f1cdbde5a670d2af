import { createElement } from 'react';
import { View } from 'react-native';

import { useStrata } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

interface Props {
  readonly label: string;
  /** From 0 to 1. */
  readonly value: number;
  /** The value in words, read out too: "60 %". */
  readonly text: string;
  readonly onChange: (value: number) => void;
}

const STEPS = 100;

/**
 * A slider with its name and its value in words: the browser's own control. The community's slider has neither keys nor a
 * value for screen readers on the web.
 */
export function Slide({ label, value, text, onChange }: Props) {
  const strata = useStrata();
  return (
    <View>
      <View style={flow.apart} aria-hidden>
        <Words size={15}>{label}</Words>
        <Digits size={15}>{text}</Digits>
      </View>
      {createElement('input', {
        type: 'range',
        min: 0,
        max: STEPS,
        step: 1,
        value: Math.round(value * STEPS),
        'aria-label': label,
        'aria-valuetext': text,
        onChange: (event: { readonly target: { readonly value: string } }) =>
          onChange(Number(event.target.value) / STEPS),
        style: { width: '100%', height: 48, margin: 0, accentColor: strata.slate },
      })}
    </View>
  );
}
