'use client';

import { useMemo } from 'react';
import { useRouter } from 'next/navigation';
import { EXTRA_KINDS } from '@/core/counter/extra-work';
import { ChoiceField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { isDone } from '@/ui/is-done';
import { itemSchema, type ItemEntry } from './papers-entry';

interface ItemFormProps {
  readonly name: string;
  readonly version?: number | undefined;
  readonly initial: ItemEntry;
  readonly currency: string;
  readonly save: (entry: ItemEntry) => Promise<FormAnswer>;
  readonly action: string;
  /** Left out for a new one. */
  readonly remove?: () => Promise<string | void>;
}

/** One line of the price list. */
export function ItemForm({
  name,
  version,
  initial,
  currency,
  save,
  action,
  remove,
}: ItemFormProps) {
  const router = useRouter();
  const schema = useMemo(() => itemSchema(currency), [currency]);
  const form = useKeptForm<ItemEntry>({ name, version, schema, initial, save });
  return (
    <KeptForm form={form} className="grid grid-cols-[1fr_6rem_5rem] gap-x-4 gap-y-2 py-2">
      <TextField label="Work" {...form.field('name')} />
      <TextField figure label={`Price (${currency})`} {...form.field('unit')} />
      <TextField figure label="Tax (%)" {...form.field('tax')} />
      <ChoiceField
        control={form.control}
        name="kind"
        label="Kind"
        className="col-span-3"
        options={EXTRA_KINDS.map((value) => ({ value, text: value }))}
      />
      <div className="col-span-3">
        <FormFoot form={form} action={action} onlySaves>
          {remove && (
            <button
              type="button"
              className="underline"
              onClick={() =>
                void isDone(remove, 'Nothing was changed.').then((done) => {
                  if (done) router.refresh();
                })
              }
            >
              Take it off the list
            </button>
          )}
        </FormFoot>
      </div>
    </KeptForm>
  );
}
