import { StyleSheet, View } from 'react-native';

import type { SourceKind } from '@/core/job/types';
import type { Limit } from '@/core/library/limitNames';
import { limitField } from '@/core/library/limits';
import { limitName } from '@/core/library/limitNames';
import { printedText } from '@/core/paper/specSheetPaper';
import { formatValue } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { LooseField } from '@/features/entry/LooseField';
import { sourceText, SOURCE_WORD } from '@/features/entry/SourceTag';
import { Choice, optionsOf } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { isoDay } from '@/ui/dates';
import { EditRow } from '@/ui/EditRow';
import { FieldGrid } from '@/ui/FieldGrid';
import { IconKey } from '@/ui/IconKey';
import { Field } from '@/ui/Field';
import { Digits, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

interface Props {
  readonly limit: Limit;
  /** What is asked about it. */
  readonly asked?: string | undefined;
  readonly onChange: (limit: Limit) => void;
  readonly onRemove: () => void;
}

const MAX_SOURCE_NOTE = 400;

/** One limit of a sheet: its value and source at a glance, and both to change under it. */
export function LimitRow(props: Props) {
  const { limit, asked } = props;
  const units = useUnits();
  const { quantity } = limitField(limit.pattern);
  const name = limitName(limit);
  return (
    <EditRow
      name={name}
      // Opened while its value is missing.
      initiallyOpen={!limit.entry || asked !== undefined}
      line={
        <>
          <View style={flow.share}>
            <Words size={15}>{name}</Words>
            <Words soft size={13}>
              {limit.entry ? sourceText(limit.entry.source ?? { kind: 'entered' }) : 'missing'}
            </Words>
          </View>
          <Digits size={15}>
            {limit.entry ? printedText(limit.entry, quantity, units) : (limit.draft ?? '')}
          </Digits>
        </>
      }
    >
      <LimitFields {...props} />
    </EditRow>
  );
}

function LimitFields({ limit, asked, onChange, onRemove }: Props) {
  const units = useUnits();
  const field = limitField(limit.pattern);
  const source = limit.entry?.source ?? { kind: 'entered' };
  const say = (part: Partial<typeof source>) => {
    if (limit.entry)
      onChange({ ...limit, entry: { ...limit.entry, source: { ...source, ...part } } });
  };
  const type = (
    value: number | undefined,
    text: string,
    range?: { readonly low: number; readonly high: number },
  ) => {
    const { draft: _draft, entry, ...rest } = limit;
    if (value === undefined)
      return onChange(text.trim() === '' ? rest : { ...rest, draft: text.slice(0, 400) });
    // A new value is of today, from where the old one was.
    onChange({
      ...rest,
      entry: {
        value,
        ...(/[^\d.,\s]/.test(text) ? { typed: text.trim().slice(0, 80) } : {}),
        ...(range ? { range } : {}),
        source: { ...(entry?.source ?? { kind: 'manual' }), date: isoDay() },
      },
    });
  };
  return (
    <>
      <FieldGrid>
        <LooseField
          label="Value"
          spec={field}
          asked={asked}
          initial={
            limit.entry
              ? (limit.entry.typed ?? formatValue(limit.entry.value, field.quantity, units))
              : limit.draft
          }
          onValue={type}
        />
        <DateField
          label="Date"
          value={source.date}
          onChange={(date) => (date ? say({ date }) : undefined)}
        />
      </FieldGrid>
      <Choice<SourceKind>
        label="Source"
        value={source.kind}
        options={optionsOf(SOURCE_WORD)}
        onChange={(kind) => say({ kind })}
      />
      <Field
        label="Page of the manual, or person"
        value={source.note ?? ''}
        maxLength={MAX_SOURCE_NOTE}
        onChangeText={(note) => say({ note })}
      />
      <View style={styles.place}>
        <IconKey icon="delete-outline" label={`Remove ${limitName(limit)}`} onPress={onRemove} />
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  place: { alignItems: 'flex-start' },
});
