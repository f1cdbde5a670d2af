import { useWindowDimensions, View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import type {
  Answer,
  ManyQuestion,
  NumberQuestion,
  OrderQuestion,
  Question,
  RingQuestion,
} from '@/core/exercises/model';
import type { Job } from '@/core/job/types';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useUnits } from '@/features/display/useUnits';
import { LooseField } from '@/features/entry/LooseField';
import { FieldGrid } from '@/ui/FieldGrid';
import { Section } from '@/features/section/Section';
import { Action } from '@/ui/Action';
import { Choice, Toggles } from '@/ui/Choice';
import { RoundKeys } from './RoundKeys';
import { Digits, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

interface Props {
  readonly question: Question;
  readonly pack: Job | undefined;
  readonly answer: Answer | undefined;
  readonly disabled: boolean;
  readonly onAnswer: (answer: Answer) => void;
}

/** The answer control of a question, by its kind. */
export function QuestionView({ question, pack, answer, disabled, onAnswer }: Props) {
  const units = useUnits();
  const list = typeof answer === 'string' || answer === undefined ? [] : answer;
  const label = readSentence(question.ask, units);
  switch (question.kind) {
    case 'number':
      return (
        <NumberAnswer question={question} answer={answer} disabled={disabled} onAnswer={onAnswer} />
      );
    case 'one':
      return (
        <Choice
          bare
          label={label}
          value={typeof answer === 'string' ? answer : ''}
          options={question.options.map((o) => ({
            value: o.id,
            label: readSentence(o.label, units),
          }))}
          onChange={disabled ? nothing : onAnswer}
        />
      );
    case 'many':
      return question.of === 'layers' && pack ? (
        <LayersAnswer
          question={question}
          pack={pack}
          list={list}
          disabled={disabled}
          onAnswer={onAnswer}
        />
      ) : (
        <Toggles
          bare
          label={label}
          chosen={list}
          options={question.options.map((o) => ({
            value: o.id,
            label: readSentence(o.label, units),
          }))}
          onToggle={(id) => (disabled ? undefined : onAnswer(toggled(list, id)))}
        />
      );
    case 'order':
      return (
        <OrderAnswer question={question} list={list} disabled={disabled} onAnswer={onAnswer} />
      );
    case 'ring':
      return <RingAnswer question={question} list={list} disabled={disabled} onAnswer={onAnswer} />;
  }
}

const nothing = () => undefined;
const toggled = (list: readonly string[], id: string): readonly string[] =>
  list.includes(id) ? list.filter((each) => each !== id) : [...list, id];

interface NumberProps extends Pick<Props, 'answer' | 'disabled' | 'onAnswer'> {
  readonly question: NumberQuestion;
}

function NumberAnswer({ question, answer, disabled, onAnswer }: NumberProps) {
  const text = typeof answer === 'string' ? answer : '';
  if (disabled) return <Digits size={18}>{text}</Digits>;
  return (
    <FieldGrid>
      <LooseField
        label="Answer"
        spec={question.spec}
        initial={text}
        onValue={(_value, typed) => onAnswer(typed)}
      />
    </FieldGrid>
  );
}

interface ListProps extends Pick<Props, 'disabled' | 'onAnswer'> {
  readonly list: readonly string[];
}

function LayersAnswer({
  question,
  pack,
  list,
  disabled,
  onAnswer,
}: ListProps & { readonly question: ManyQuestion; readonly pack: Job }) {
  const { width } = useWindowDimensions();
  return (
    <View style={flow.stack}>
      <Section
        job={pack}
        evaluation={evaluationOf(pack)}
        problems={[]}
        width={Math.min(460, width - 32)}
        height={360}
        labelled
        selected={list}
        onSelect={(id) => (disabled ? undefined : onAnswer(toggled(list, id)))}
      />
      <Words soft size={15}>
        {list.length === 0
          ? 'Tap the layers that are wrong.'
          : `Selected: ${question.options
              .filter((o) => list.includes(o.id))
              .map((o) => readSentence(o.label))
              .join(', ')}.`}
      </Words>
    </View>
  );
}

const CIRCLE = 280;

function OrderAnswer({
  question,
  list,
  disabled,
  onAnswer,
}: ListProps & { readonly question: OrderQuestion }) {
  const bolts = Array.from({ length: question.bolts }, (_, i) => `${i + 1}`);
  return (
    <View style={flow.stack}>
      <RoundKeys
        label="Bolts of the circle, first at the top"
        size={CIRCLE}
        disabled={disabled}
        keys={bolts.map((bolt) => {
          const turn = list.indexOf(bolt);
          return {
            id: bolt,
            label: turn < 0 ? `Bolt ${bolt}` : `Bolt ${bolt}, turn ${turn + 1}`,
            text: turn < 0 ? bolt : `${bolt}: ${turn + 1}.`,
            tone: turn < 0 ? ('plain' as const) : ('done' as const),
          };
        })}
        onPress={(bolt) => onAnswer(toggled(list, bolt))}
      />
      <Words soft size={15}>
        {list.length === 0 ? 'Tap the bolts in order.' : `Order: ${list.join(', ')}`}
      </Words>
      {disabled ? null : (
        <Action
          icon="undo"
          blocked={list.length === 0 ? 'Nothing to clear yet.' : undefined}
          onPress={() => onAnswer([])}
        >
          Start again
        </Action>
      )}
    </View>
  );
}

function RingAnswer({
  question,
  list,
  disabled,
  onAnswer,
}: ListProps & { readonly question: RingQuestion }) {
  const units = useUnits();
  const { places, kinds } = question;
  const at = Array.from({ length: places }, (_, i) => list[i] ?? '');
  const next = (kind: string) => kinds[kinds.findIndex((k) => k.id === kind) + 1]?.id ?? '';
  const nameOf = (kind: string) => {
    const found = kinds.find((k) => k.id === kind);
    return found ? readSentence(found.label, units) : 'no spring yet';
  };
  return (
    <View style={flow.stack}>
      <RoundKeys
        label="Positions on the ring, first at the top"
        size={CIRCLE}
        disabled={disabled}
        keys={at.map((kind, i) => ({
          id: `${i}`,
          label: `Position ${i + 1}, ${nameOf(kind)}`,
          text: kind === '' ? '…' : nameOf(kind).slice(0, 4),
          tone: kind === '' ? 'plain' : kind === kinds[0]?.id ? 'steel' : 'ochre',
        }))}
        onPress={(place) => onAnswer(at.map((k, i) => (`${i}` === place ? next(k) : k)))}
      />
      <Words soft size={15}>
        {`Tap a position again for the next type. ${kinds.map((k) => `${readSentence(k.label, units)}: ${at.filter((a) => a === k.id).length} placed`).join('; ')}.`}
      </Words>
    </View>
  );
}
