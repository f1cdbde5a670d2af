import type { ReactNode } from 'react';
import { createContext, useContext, useEffect, useState } from 'react';
import { Platform, Pressable, ScrollView, useWindowDimensions, View } from 'react-native';
import { IconButton, Modal, Portal } from 'react-native-paper';

import type { Figure, FigureId, WorkingInput } from '@/core/evaluate/figure';
import { formatWithUnit } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { sourceWords } from '@/features/entry/SourceTag';
import { useEvaluation } from '@/features/jobs/useJob';
import { Formula } from '@/ui/Formula';
import { useStrata } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { Digits, Heading, Words } from '@/ui/Words';

import { figureText } from './FigureRow';

const OpenFigure = createContext<(id: FigureId) => void>(() => undefined);

/** Opens the working of a figure. */
export const useOpenFigure = () => useContext(OpenFigure);

/** Holds which working is open and shows it over everything below. */
export function WorkingHost({ children }: { readonly children: ReactNode }) {
  const [shown, setShown] = useState<FigureId>();
  const strata = useStrata();
  const wide = useWide();
  const { height } = useWindowDimensions();
  const close = () => setShown(undefined);
  useEscape(shown !== undefined, close);
  return (
    <OpenFigure.Provider value={setShown}>
      {children}
      <Portal>
        <OpenFigure.Provider value={setShown}>
          <Modal
            visible={shown !== undefined}
            onDismiss={close}
            style={{ justifyContent: wide ? 'center' : 'flex-end' }}
            contentContainerStyle={{
              backgroundColor: strata.raised,
              borderColor: strata.line,
              borderWidth: 1,
              borderRadius: 8,
              maxHeight: height * 0.85,
              ...(wide
                ? { width: 560, alignSelf: 'center' }
                : { borderBottomLeftRadius: 0, borderBottomRightRadius: 0 }),
            }}
          >
            {shown ? <Working id={shown} maxHeight={height * 0.85} onClose={close} /> : null}
          </Modal>
        </OpenFigure.Provider>
      </Portal>
    </OpenFigure.Provider>
  );
}

interface WorkingProps {
  readonly id: FigureId;
  readonly maxHeight: number;
  readonly onClose: () => void;
}

function Working({ id, maxHeight, onClose }: WorkingProps) {
  const outcome = useEvaluation().figures.get(id);
  if (!outcome) return null;
  return (
    <View role="dialog" aria-modal aria-label={`Working: ${outcome.label}`} style={{ maxHeight }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', paddingLeft: 16 }}>
        <View style={{ flexGrow: 1, flexShrink: 1 }}>
          <Heading level={2}>{outcome.label}</Heading>
        </View>
        <IconButton
          icon="close"
          aria-label="Close"
          size={24}
          style={{ width: 48, height: 48 }}
          onPress={onClose}
        />
      </View>
      <ScrollView contentContainerStyle={{ padding: 16, paddingTop: 0, gap: 12 }}>
        {outcome.status === 'known' ? (
          <WorkingText figure={outcome} />
        ) : (
          <Words>{outcome.reason}</Words>
        )}
      </ScrollView>
    </View>
  );
}

function WorkingText({ figure }: { readonly figure: Figure }) {
  const units = useUnits();
  const { value, range } = figureText(figure, units);
  const { formula, inputs, notes, section } = figure.working;
  return (
    <>
      <View>
        <Digits bold size={30}>
          {value}
        </Digits>
        {range ? <Words soft>{range} from low to high friction</Words> : null}
        {figure.estimated ? (
          <Words soft size={14}>
            Rests on a design estimate: see the sources below.
          </Words>
        ) : null}
      </View>
      <Formula>{formula}</Formula>
      <View>
        {inputs.map((input, i) => (
          <InputRow key={`${input.symbol}${input.label}${i}`} input={input} />
        ))}
      </View>
      {notes.map((note) => (
        <Words key={note} soft size={15}>
          {note}
        </Words>
      ))}
      <Words soft size={13}>
        Section {section} of the page on mechanics, docs/mechanics.md.
      </Words>
    </>
  );
}

function InputRow({ input }: { readonly input: WorkingInput }) {
  const units = useUnits();
  const strata = useStrata();
  const open = useOpenFigure();
  const { figure } = input;
  const amount = formatWithUnit(input.value, input.quantity, units);
  return (
    <View
      style={{
        flexDirection: 'row',
        gap: 10,
        paddingVertical: 8,
        borderTopWidth: 1,
        borderColor: strata.line,
      }}
    >
      <View style={{ width: 58 }}>
        <Formula soft>{input.symbol}</Formula>
      </View>
      <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0 }}>
        <Words size={15}>{input.label}</Words>
        {figure ? (
          <Pressable
            role="button"
            aria-label={`Working of ${input.label}`}
            onPress={() => open(figure)}
            style={{ minHeight: 32, justifyContent: 'center' }}
          >
            <Words size={14} style={{ color: strata.slate, textDecorationLine: 'underline' }}>
              worked out: show how
            </Words>
          </Pressable>
        ) : (
          <Words
            size={14}
            style={{ color: input.source.kind === 'estimate' ? strata.watch : strata.soft }}
          >
            {sourceWords(input.source)}
          </Words>
        )}
      </View>
      <Digits size={15}>{amount}</Digits>
    </View>
  );
}

/** Closes on Escape, as people expect of anything that lies on top. */
function useEscape(active: boolean, close: () => void): void {
  useEffect(() => {
    if (!active || Platform.OS !== 'web') return;
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Escape') close();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });
}
