import { useEditJob } from '@/state/jobs/editJob';
import { chooseSource } from '@/core/job/edits/details';
import { Pressable, StyleSheet } from 'react-native';
import { Menu } from 'react-native-paper';

import type { FieldPath } from '@/core/job/fieldPath';
import type { Entry, Source, SourceKind } from '@/core/job/types';
import { dayText, isoDay } from '@/ui/dates';
import { DropMenu } from '@/ui/DropMenu';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

/** Where a value may come from, as it is called. */
export const SOURCE_WORD: Readonly<Record<SourceKind, string>> = {
  entered: 'entered',
  measured: 'measured',
  manual: 'manual',
  tested: 'tester',
  estimate: 'assumed value',
};

const DATED: ReadonlySet<SourceKind> = new Set(['measured', 'tested']);

/** Where a value comes from, in words: "measured 9 Nov 2026". */
export function sourceText({ kind, date, note }: Source): string {
  const day = date ? ` ${dayText(date)}` : '';
  return `${SOURCE_WORD[kind]}${day}${note ? `, ${note}` : ''}`;
}

const TARGET = {
  height: 48,
  minWidth: 48,
  marginVertical: -10,
  alignItems: 'flex-end',
  justifyContent: 'center',
} as const;

interface Props {
  readonly path: FieldPath;
  readonly entry: Entry;
  readonly name: string;
}

/** The source of a value, beside its label; tap to say where it comes from. */
export function SourceTag({ path, entry, name }: Props) {
  const edit = useEditJob();
  const strata = useStrata();
  const kind = entry.source?.kind ?? 'entered';
  const choose = (chosen: SourceKind) => {
    const date = isoDay();
    const source: Source = DATED.has(chosen) ? { kind: chosen, date } : { kind: chosen };
    edit((job) => chooseSource(job, path, source));
  };
  return (
    <DropMenu
      anchor={(open) => (
        <Pressable
          role="button"
          aria-label={`Source of ${name}: ${SOURCE_WORD[kind]}`}
          onPress={open}
          style={TARGET}
        >
          <Words size={13} style={[styles.text, { color: strata.soft }]}>
            {SOURCE_WORD[kind]}
          </Words>
        </Pressable>
      )}
    >
      {(close) =>
        (Object.keys(SOURCE_WORD) as SourceKind[]).map((k) => (
          <Menu.Item
            key={k}
            title={DATED.has(k) ? `${SOURCE_WORD[k]} today` : SOURCE_WORD[k]}
            onPress={() => {
              choose(k);
              close();
            }}
          />
        ))
      }
    </DropMenu>
  );
}

const styles = StyleSheet.create({
  text: { textDecorationLine: 'underline' },
});
