import { Description, Field as HeadlessField, Input, Label, Textarea } from '@headlessui/react';
import clsx from 'clsx';
import type { ComponentProps, ReactNode } from 'react';

const BOX =
  'w-full border-0 border-b-2 border-edge bg-sheet px-2 py-1.5 text-ink placeholder:text-soft/70 aria-invalid:border-warn';

/** What is wrong with something that is no text field, and what would be right. */
export const Sentence = ({ problem }: { readonly problem: string | undefined }) =>
  problem === undefined ? null : (
    <p role="alert" className="text-warn mt-1 text-sm font-medium">
      {problem}
    </p>
  );

interface FieldProps {
  readonly label: string;
  /** What is wrong and what would be right. */
  readonly problem?: string | undefined;
  /** What was understood, or what to type. */
  readonly hint?: ReactNode;
  readonly className?: string | undefined;
}

/** The frame of any field: label above, what was understood or what is wrong below. */
function Field({
  label,
  problem,
  hint,
  className,
  children,
}: FieldProps & { readonly children: ReactNode }) {
  return (
    <HeadlessField className={clsx('min-w-0', className)}>
      <Label className="label block">{label}</Label>
      {children}
      {problem ? (
        <Description role="alert" className="text-warn mt-1 text-sm font-medium">
          {problem}
        </Description>
      ) : (
        hint && <Description className="label mt-1">{hint}</Description>
      )}
    </HeadlessField>
  );
}

export function TextField({
  label,
  problem,
  hint,
  className,
  figure = false,
  ...input
}: FieldProps & { readonly figure?: boolean } & ComponentProps<'input'>) {
  return (
    <Field label={label} problem={problem} hint={hint} className={className}>
      <Input
        autoComplete="off"
        {...input}
        invalid={problem !== undefined}
        aria-invalid={problem !== undefined}
        className={clsx(BOX, figure && 'figure text-xl')}
      />
    </Field>
  );
}

export function NoteField({
  label,
  problem,
  hint,
  className,
  ...area
}: FieldProps & ComponentProps<'textarea'>) {
  return (
    <Field label={label} problem={problem} hint={hint} className={className}>
      <Textarea
        rows={2}
        {...area}
        invalid={problem !== undefined}
        aria-invalid={problem !== undefined}
        className={BOX}
      />
    </Field>
  );
}
