import { Menu } from 'react-native-paper';

import { DropMenu } from '@/ui/DropMenu';
import { IconKey } from '@/ui/IconKey';

interface Props<S extends string> {
  readonly value: S;
  readonly names: readonly (readonly [S, string])[];
  readonly onChange: (sort: S) => void;
}

/** The order of a list, chosen from a menu. */
export function SortMenu<S extends string>({ value, names, onChange }: Props<S>) {
  const current = names.find(([sort]) => sort === value)?.[1] ?? '';
  return (
    <DropMenu
      anchor={(open) => <IconKey icon="sort" label={`Sort by: ${current}`} onPress={open} />}
    >
      {(close) =>
        names.map(([sort, name]) => (
          <Menu.Item
            key={sort}
            title={name}
            {...(sort === value ? { leadingIcon: 'check' } : {})}
            onPress={() => {
              close();
              onChange(sort);
            }}
          />
        ))
      }
    </DropMenu>
  );
}
