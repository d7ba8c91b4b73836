'use client';

import { Checkbox, Field, Label, Radio, RadioGroup } from '@headlessui/react';
import clsx from 'clsx';
import { Check } from 'lucide-react';

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly options: readonly { readonly value: T; readonly text: string }[];
  readonly value: T;
  readonly onChange: (value: T) => void;
  readonly className?: string;
}

/** One of a few, all in sight; arrows move between them. */
export function Choice<T extends string>({
  label,
  options,
  value,
  onChange,
  className,
}: ChoiceProps<T>) {
  return (
    <RadioGroup value={value} onChange={onChange} aria-label={label} className={className}>
      <span className="label block">{label}</span>
      <div className="flex flex-wrap gap-x-1">
        {options.map((option) => (
          <Radio
            key={option.value}
            value={option.value}
            className="border-hair text-soft data-checked:border-ink data-checked:text-ink cursor-pointer border-b-2 px-2 py-1.5 data-checked:font-medium"
          >
            {option.text}
          </Radio>
        ))}
      </div>
    </RadioGroup>
  );
}

interface TickProps {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly className?: string;
  /** The label is said beside it already; only readers of the screen need it again. */
  readonly hideLabel?: boolean;
}

export function Tick({ label, checked, onChange, className, hideLabel = false }: TickProps) {
  return (
    <Field className={clsx('flex items-center gap-2', className)}>
      <Checkbox
        checked={checked}
        onChange={onChange}
        className="border-edge bg-sheet data-checked:border-ink data-checked:bg-ink grid size-6 shrink-0 cursor-pointer place-items-center border-2"
      >
        {checked && <Check aria-hidden className="text-paper size-4" strokeWidth={3} />}
      </Checkbox>
      <Label className={hideLabel ? 'sr-only' : 'cursor-pointer'}>{label}</Label>
    </Field>
  );
}
