import type { ReactNode } from 'react';
import { createContext, useContext, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';

import type { Figure, FigureId, WorkingInput } from '@/core/evaluate/engine/figure';
import { readSentence } from '@/core/text/sentence';
import { GLOSSARY } from '@/core/words/glossary';
import { termOf } from '@/core/words/termsIn';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { openWord } from '@/features/words/opened';
import { Termed } from '@/features/words/Termed';
import { Action } from '@/ui/Action';
import { sourceText } from '@/features/entry/SourceTag';
import { useEvaluation } from '@/state/jobs/evaluations';
import { Formula } from './Formula';
import { Overlay } from '@/ui/Overlay';
import { SPACE, useRuled, useStrata } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

import { figureText } from '@/core/text/figureText';
import { flow } from '@/ui/flow';

const OpenFigure = createContext<(id: FigureId) => void>(() => undefined);

/** Opens the working of a figure. */
export const useOpenFigure = () => useContext(OpenFigure);

/** Holds the open working and shows it over the page. */
export function WorkingHost({ children }: { readonly children: ReactNode }) {
  const [shown, setShown] = useState<FigureId>();
  return (
    <OpenFigure.Provider value={setShown}>
      {children}
      {shown ? <Working id={shown} onOpen={setShown} /> : null}
    </OpenFigure.Provider>
  );
}

interface WorkingProps {
  readonly id: FigureId;
  readonly onOpen: (id: FigureId | undefined) => void;
}

function Working({ id, onOpen }: WorkingProps) {
  const outcome = useEvaluation().figures.get(id);
  if (!outcome) return null;
  return (
    <Overlay
      visible
      title={outcome.label}
      label={`Working: ${outcome.label}`}
      onClose={() => onOpen(undefined)}
    >
      {/* An overlay is drawn elsewhere in the tree: figures in it open through their own provider. */}
      <OpenFigure.Provider value={onOpen}>
        {outcome.status === 'known' ? (
          <WorkingText figure={outcome} />
        ) : (
          <Words>{outcome.reason}</Words>
        )}
      </OpenFigure.Provider>
    </Overlay>
  );
}

function WorkingText({ figure }: { readonly figure: Figure }) {
  const units = useUnits();
  const { value, range } = figureText(figure, units);
  const { formula, inputs, notes, section } = figure.working;
  const word = termOf(figure.label);
  const given = inputs.filter((input) => !input.absent);
  const absent = inputs.filter((input) => input.absent);
  return (
    <>
      <View>
        <Digits bold size={30}>
          {value}
        </Digits>
        {range ? <Words soft>{range}</Words> : null}
        {figure.estimated ? (
          <Words soft size={14}>
            Includes assumed values: see the sources below.
          </Words>
        ) : null}
      </View>
      <Formula>{formula}</Formula>
      <View>
        {given.map((input, i) => (
          <InputRow key={`${input.symbol}${input.label}${i}`} input={input} />
        ))}
        {[...new Set(absent.map(meaning))].map((meant) => (
          <AbsentRow key={meant} inputs={absent.filter((input) => meaning(input) === meant)} />
        ))}
      </View>
      {notes
        .map((note) => readSentence(note, units))
        .map((note) => (
          <Termed key={note} soft size={15}>
            {note}
          </Termed>
        ))}
      {word ? (
        <Action icon="book-open-variant" onPress={() => openWord(word)}>
          {`Explain: ${GLOSSARY[word].name.toLowerCase()}`}
        </Action>
      ) : null}
      <Words soft size={13}>
        Section {section} of the page on mechanics, docs/mechanics.md.
      </Words>
    </>
  );
}

const meaning = ({ value, quantity, source }: WorkingInput) =>
  `${source.note} ${value} ${quantity}`;

/** Assumed inputs of one kind share a row, after the entered ones. */
function AbsentRow({ inputs }: { readonly inputs: readonly WorkingInput[] }) {
  const units = useUnits();
  const [first] = inputs;
  if (!first) return null;
  return (
    <Row
      symbol={inputs.map(({ symbol }) => symbol).join(', ')}
      amount={formatWithUnit(first.value, first.quantity, units)}
    >
      <Words soft size={15}>
        {inputs.map(({ label }) => label).join(' · ')}
      </Words>
      <Words soft size={14}>
        {first.source.note}
      </Words>
    </Row>
  );
}

function InputRow({ input }: { readonly input: WorkingInput }) {
  const units = useUnits();
  const strata = useStrata();
  const open = useOpenFigure();
  const { figure } = input;
  return (
    <Row symbol={input.symbol} amount={formatWithUnit(input.value, input.quantity, units)}>
      <Termed size={15}>{input.label}</Termed>
      {figure ? (
        <Pressable
          role="button"
          aria-label={`Working of ${input.label}`}
          onPress={() => open(figure)}
          style={styles.place}
        >
          <Words size={14} style={[styles.text, { color: strata.slate }]}>
            calculated: show the working
          </Words>
        </Pressable>
      ) : (
        <Words
          size={14}
          style={{ color: input.source.kind === 'estimate' ? strata.watch : strata.soft }}
        >
          {sourceText(input.source)}
        </Words>
      )}
    </Row>
  );
}

interface RowProps {
  readonly symbol: string;
  readonly amount: string;
  readonly children: ReactNode;
}

function Row({ symbol, amount, children }: RowProps) {
  const ruled = useRuled();
  return (
    <View style={[ruled, styles.row]}>
      <View style={styles.column}>
        <Formula soft>{symbol}</Formula>
      </View>
      <View style={flow.share}>{children}</View>
      <Digits size={15}>{amount}</Digits>
    </View>
  );
}

const styles = StyleSheet.create({
  place: { minHeight: 32, justifyContent: 'center' },
  text: { textDecorationLine: 'underline' },
  row: { flexDirection: 'row', gap: SPACE.gap, paddingVertical: SPACE.gap },
  column: { width: 58 },
});
