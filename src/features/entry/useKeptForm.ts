import { joiResolver } from '@hookform/resolvers/joi';
import type { ObjectSchema } from 'joi';
import { useEffect, useState } from 'react';
import type { Resolver } from 'react-hook-form';
import { useForm } from 'react-hook-form';

import type { SchemaParts } from '@/files/formSchema';
import { useAppDispatch, useAppStore } from '@/state/store';
import { typedActions } from '@/state/typedSlice';

type Form<Values> = Resolver<Record<string, string>, unknown, Values>;

/**
 * A form that is filled in and then submitted. Its texts survive a reload until then.
 * @param name under which its texts are kept
 * @param empty the texts of its fields to begin with
 * @param schema reads the texts into the values that are submitted
 * @param again for one item after another: the fields that keep their text, and the one that gets the cursor
 */
export function useKeptForm<Texts extends Record<string, string>, Values>(
  name: string,
  empty: Texts,
  schema: (parts: SchemaParts) => ObjectSchema<Values>,
  again?: {
    readonly keep: readonly (keyof Texts & string)[];
    readonly focus: keyof Texts & string;
  },
) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const [kept] = useState(() => {
    const { typed } = store.getState();
    return Object.fromEntries(
      Object.entries(empty).map(([field, text]) => [field, typed[`${name}.${field}`] ?? text]),
    ) as Texts;
  });
  const { control, getValues, handleSubmit, reset, setFocus, subscribe } = useForm<
    Record<string, string>,
    unknown,
    Values
  >({
    defaultValues: kept,
    resolver: async (...asked) => {
      const { schemaParts } = await import('@/files/jsonFiles');
      // Joi's resolver is typed as if it read nothing into the texts.
      const resolve = joiResolver(schema(schemaParts), { abortEarly: false }) as Form<Values>;
      return resolve(...asked);
    },
    mode: 'onChange',
  });
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ name: field, values }) => {
          if (field === undefined) return;
          dispatch(typedActions.textTyped({ name: `${name}.${field}`, text: values[field] ?? '' }));
        },
      }),
    [dispatch, name, subscribe],
  );
  return {
    control,
    /** Submits the values and clears the form, or shows the errors. */
    submit: (take: (values: Values) => unknown) =>
      handleSubmit(async (values) => {
        await take(values);
        dispatch(typedActions.typedDropped(`${name}.`));
        const texts = getValues();
        reset(
          {
            ...empty,
            ...Object.fromEntries((again?.keep ?? []).map((field) => [field, texts[field] ?? ''])),
          },
          // Otherwise the fields are not known until they are drawn again, and none can get the cursor.
          { keepFieldsRef: true },
        );
        if (again) setFocus(again.focus);
      }),
  };
}
