'use client';

import { Controller, type Control, type FieldPathByValue, type FieldValues } from 'react-hook-form';
import { Choice, Tick } from './choice';

interface BoundProps<V extends FieldValues, Value> {
  readonly control: Control<V>;
  readonly name: FieldPathByValue<V, Value>;
  readonly label: string;
  readonly className?: string;
}

/** A choice that belongs to a form; empty while nobody has chosen. */
export function ChoiceField<V extends FieldValues, T extends string>({
  control,
  name,
  onChosen,
  ...choice
}: BoundProps<V, T | ''> & {
  readonly options: readonly { readonly value: T; readonly text: string }[];
  readonly onChosen?: (value: T) => void;
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Choice
          {...choice}
          value={field.value as T}
          onChange={(value) => {
            field.onChange(value);
            onChosen?.(value);
          }}
        />
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
