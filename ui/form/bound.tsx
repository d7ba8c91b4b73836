'use client';

import { Controller, type Control, type FieldPathByValue, type FieldValues } from 'react-hook-form';
import { Choice, Tick } from './choice';

interface BoundProps<V extends FieldValues, Value> {
  readonly control: Control<V>;
  readonly name: FieldPathByValue<V, Value>;
  readonly label: string;
  readonly className?: string;
}

/** A choice that belongs to a form. */
export function ChoiceField<V extends FieldValues, T extends string>({
  control,
  name,
  ...choice
}: BoundProps<V, T> & {
  readonly options: readonly { readonly value: T; readonly text: string }[];
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Choice {...choice} value={field.value as T} onChange={field.onChange} />
      )}
    />
  );
}

/** A tick that belongs to a form. */
export function TickField<V extends FieldValues>({
  control,
  name,
  ...tick
}: BoundProps<V, boolean>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => <Tick {...tick} checked={field.value} onChange={field.onChange} />}
    />
  );
}
