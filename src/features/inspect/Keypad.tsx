import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { useStrata } from '@/ui/theme';
import { useLandscape, useSmallScreen, useWide } from '@/ui/useWide';

import { displayActions } from '@/state/displaySlice';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Key } from './Key';
import { canSpeak } from './voice';
import { flow } from '@/ui/flow';

const ROWS = [
  ['7', '8', '9'],
  ['4', '5', '6'],
  ['1', '2', '3'],
  ['.', '0', 'erase'],
] as const;

/** Key actions. */
export interface RunKeys {
  readonly key: (character: string) => void;
  readonly press: (key: string) => void;
  readonly erase: () => void;
  readonly take: () => void;
  /** Takes a text as a gauge sends it. */
  readonly send: (text: string) => void;
  readonly step: (by: number) => void;
}

interface Props {
  readonly run: RunKeys;
  readonly atStart: boolean;
  /** Only the keys that the device's keyboard does not have. */
  readonly folded: boolean;
  /** Undefined without room for the other keys. */
  readonly onDeviceKeyboard: (() => void) | undefined;
  readonly onEnd: () => void;
}

/** Large keys for gloves: digits left, navigation right. */
export function Keypad({ run, atStart, folded, onDeviceKeyboard, onEnd }: Props) {
  const strata = useStrata();
  const wide = useWide();
  const low = useLandscape();
  const small = useSmallScreen();
  const tall = low || small ? 44 : wide ? 50 : 58;
  const gap = low ? 4 : 6;
  const skip = (
    <Key label="Skip" height={tall} onPress={() => run.step(1)}>
      Skip
    </Key>
  );
  const back = (
    <Key
      label={atStart ? 'Back: first reading' : 'Back'}
      height={tall}
      disabled={atStart}
      onPress={() => run.step(-1)}
    >
      Back
    </Key>
  );
  return (
    <View
      role="group"
      aria-label="Keys"
      style={{
        padding: low ? 4 : 8,
        gap,
        // Beside the display the keys take the half.
        ...(low && !folded ? { flexBasis: '50%' } : {}),
        borderTopWidth: 1,
        borderColor: strata.line,
        maxWidth: wide ? 620 : undefined,
      }}
    >
      {folded ? (
        <View style={[flow.inline, { gap }]}>
          {back}
          {skip}
          <Key label="Next" main height={tall} onPress={() => run.take()}>
            Next
          </Key>
        </View>
      ) : (
        <View style={[flow.inline, { gap }]}>
          <View style={[styles.grow, { gap }]}>
            {ROWS.map((row) => (
              <View key={row.join('')} style={[flow.inline, { gap }]}>
                {row.map((k) =>
                  k === 'erase' ? (
                    <Key key={k} label="Erase" height={tall} onPress={run.erase}>
                      <Icon source="backspace-outline" size={24} color={strata.ink} />
                    </Key>
                  ) : (
                    <Key key={k} label={k} digit height={tall} onPress={() => run.press(k)}>
                      {k}
                    </Key>
                  ),
                )}
              </View>
            ))}
          </View>
          <View style={[styles.keypadGrow, { gap }]}>
            <Key label="Next" main height={2 * tall + gap} onPress={() => run.take()}>
              Next
            </Key>
            {skip}
            {back}
          </View>
        </View>
      )}
      <View style={[flow.inline, { gap }]}>
        {onDeviceKeyboard ? (
          <Key
            label={folded ? 'Large keypad' : 'Device keyboard'}
            height={low ? 44 : 48}
            onPress={onDeviceKeyboard}
          >
            {folded ? 'Large keypad' : 'Device keyboard'}
          </Key>
        ) : null}
        {canSpeak() ? <VoiceKey height={low ? 44 : 48} /> : null}
        <Key label="Stop" height={low ? 44 : 48} onPress={onEnd}>
          Stop
        </Key>
      </View>
    </View>
  );
}

/** Switches the voice that says the plate and reads the value back. */
function VoiceKey({ height }: { readonly height: number }) {
  const dispatch = useAppDispatch();
  const on = useAppSelector((state) => state.display.voice === true);
  const words = on ? 'Voice off' : 'Voice on';
  return (
    <Key label={words} height={height} onPress={() => dispatch(displayActions.voiceSwitched(!on))}>
      {words}
    </Key>
  );
}

const styles = StyleSheet.create({
  grow: { flexGrow: 3, flexBasis: 0 },
  keypadGrow: { flexGrow: 1, flexBasis: 0 },
});
