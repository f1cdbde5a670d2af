import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import type { FieldPattern } from '@/core/job/fieldPath';
import { MAX_NAME } from '@/core/job/fields';
import { LOCK_NAME } from '@/core/job/words';
import type { TypedValue } from '@/core/library/edits';
import {
  limitOf,
  limitTyped,
  namesOf,
  rowAdded,
  rowChanged,
  rowRemoved,
} from '@/core/library/edits';
import type { FastenerSort, Limit, Owner } from '@/core/library/limitNames';
import type { SpecSheet } from '@/core/library/limits';
import { limitField, MAX_LIMITS } from '@/core/library/limits';
import { NAMED } from '@/core/library/limitNames';
import type { SheetProblem } from '@/core/library/problems';
import { entryText } from '@/core/units/parseEntry';
import { useUnits } from '@/features/display/useUnits';
import { LooseField } from '@/features/entry/LooseField';
import { Action } from '@/ui/Action';
import { Choice, optionsOf, Toggles } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { FieldGrid } from '@/ui/FieldGrid';
import { flow } from '@/ui/flow';
import { Heading, Words } from '@/ui/Words';

import { ROLE_NAME } from '@/features/build/Fasteners';

/** Short labels: the row has the name of its owner. */
const SHORT: Readonly<Partial<Record<FieldPattern, string>>> = {
  'springs.diaphragm.steps.*.height': 'Height',
  'springs.diaphragm.steps.*.offset': 'Offset',
  'springs.diaphragm.steps.*.bandMin': 'From',
  'springs.diaphragm.steps.*.bandMax': 'To',
  'build.fasteners.*.count': 'Number',
  'build.fasteners.*.size': 'Thread',
  'build.fasteners.*.torque': 'Torque',
  'pack.kinds.*.thickness': 'New',
  'pack.kinds.*.minThickness': 'Minimum',
  'pack.kinds.*.tolerance': 'Tolerance ±',
};

interface Props {
  readonly sheet: SpecSheet;
  readonly owner: Owner;
  readonly title: string;
  /** Name of one row, for its keys. */
  readonly one: string;
  readonly problems: readonly SheetProblem[];
  /** Page of the leaflet that is being typed. */
  readonly page: string;
  readonly onChange: (change: (sheet: SpecSheet) => SpecSheet) => void;
}

/** The values of plate types, springs, steps or fasteners: a row each, as printed in the leaflet. */
export function NamedRows({ sheet, owner, title, one, problems, page, onChange }: Props) {
  const names = namesOf(sheet, owner);
  return (
    <View style={flow.tight}>
      <Heading level={3}>{title}</Heading>
      {names.map((name, i) => (
        <FieldGrid
          key={i}
          half
          name={`${one} ${name}`}
          removeLabel={`Remove ${one} ${name}`}
          onRemove={() => onChange((s) => rowRemoved(s, owner, name))}
        >
          <Field
            label="Name"
            name={`Name of ${one} ${i + 1}`}
            value={name}
            maxLength={MAX_NAME}
            onChangeText={(of) => onChange((s) => rowChanged(s, owner, name, { of }))}
          />
          {NAMED[owner].map((pattern) => (
            <ValueField
              key={pattern}
              label={SHORT[pattern] ?? limitField(pattern).label}
              sheet={sheet}
              pattern={pattern}
              of={name}
              problems={problems}
              onType={(typed) =>
                onChange((s) => limitTyped(s, pattern, name, typed, page, () => nanoid(10)))
              }
            />
          ))}
          {owner === 'fasteners' ? (
            <Sort
              name={name}
              sort={sheet.limits.find((l) => l.of === name && l.fastener)?.fastener}
              onChange={(fastener) => onChange((s) => rowChanged(s, owner, name, { fastener }))}
            />
          ) : null}
        </FieldGrid>
      ))}
      {sheet.limits.length + NAMED[owner].length <= MAX_LIMITS ? (
        <Action icon="plus" onPress={() => onChange((s) => rowAdded(s, owner, () => nanoid(10)))}>
          {`Add ${one}`}
        </Action>
      ) : null}
    </View>
  );
}

interface ValueProps {
  readonly label: string;
  readonly sheet: SpecSheet;
  readonly pattern: FieldPattern;
  readonly of?: string;
  readonly problems: readonly SheetProblem[];
  readonly onType: (typed: TypedValue) => void;
}

/** One value of a sheet in its field, with what is asked about it. */
export function ValueField({ label, sheet, pattern, of, problems, onType }: ValueProps) {
  const units = useUnits();
  const field = limitField(pattern);
  const limit = limitOf(sheet, pattern, of);
  return (
    <View>
      <LooseField
        label={label}
        spec={field}
        initial={startText(limit, field, units)}
        asked={problems.find((p) => p.limitId === limit?.id)?.text}
        onValue={(value, text, range) => onType({ value, text, range })}
      />
      {limit?.entry?.source?.note ? (
        <Words soft size={13}>{`Page ${limit.entry.source.note}`}</Words>
      ) : null}
    </View>
  );
}

function startText(
  limit: Limit | undefined,
  field: ReturnType<typeof limitField>,
  units: ReturnType<typeof useUnits>,
): string {
  if (!limit?.entry) return limit?.draft ?? '';
  return limit.entry.typed ?? entryText(limit.entry, field, units);
}

const OWN = [{ value: 'own', label: 'The kit’s own low-head screws' }] as const;

/** What a fastener holds and how its thread is kept. */
function Sort({
  name,
  sort = { role: 'other', lock: 'none', grade: '' },
  onChange,
}: {
  readonly name: string;
  readonly sort: FastenerSort | undefined;
  readonly onChange: (sort: FastenerSort) => void;
}) {
  return (
    <View style={flow.tight}>
      <Choice
        bare
        label={`${name} fastens`}
        value={sort.role}
        options={optionsOf(ROLE_NAME)}
        onChange={(role) => onChange({ ...sort, role })}
      />
      <Choice
        bare
        label={`${name}, locking`}
        value={sort.lock}
        options={optionsOf(LOCK_NAME)}
        onChange={(lock) => onChange({ ...sort, lock })}
      />
      {sort.lock === 'threadlocker' ? (
        <Field
          label="Strength class"
          value={sort.grade}
          maxLength={MAX_NAME}
          onChangeText={(grade) => onChange({ ...sort, grade })}
        />
      ) : null}
      <Toggles
        bare
        label={`${name}, screws`}
        chosen={sort.ownScrews ? ['own'] : []}
        options={OWN}
        onToggle={() => onChange({ ...sort, ownScrews: !sort.ownScrews })}
      />
    </View>
  );
}
