'use client';

import { typedWorkshopSchema, type TypedWorkshop } from '@/app/identity/identity-entry';
import { startOver } from '@/app/identity/ask-door';
import { ChoiceField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { useSecretForm } from '@/ui/form/use-secret-form';
import { UNIT_CHOICES } from '../unit-choices';
import { openAnother } from './actions';

/** An owner may have a second shop: its records are its own. */
export function AnotherWorkshop() {
  const form = useSecretForm<TypedWorkshop>({
    schema: typedWorkshopSchema,
    initial: { workshop: '', tensionUnit: 'kg', currency: 'EUR' },
    save: (typed) => {
      const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
      return openAnother({ ...typed, timeZone });
    },
    onDone: () => startOver('/'),
  });
  return (
    <details className="border-hair mb-8 border-b pb-6">
      <summary className="cursor-pointer underline">Open another workshop</summary>
      <KeptForm form={form} className="mt-4 grid gap-5 sm:grid-cols-2">
        <TextField
          label="Name of the workshop"
          className="sm:col-span-2"
          {...form.field('workshop')}
        />
        <ChoiceField
          control={form.control}
          name="tensionUnit"
          label="Tension is written in"
          options={UNIT_CHOICES}
        />
        <TextField label="Currency" hint="EUR, USD, GBP …" {...form.field('currency')} />
        <div className="sm:col-span-2">
          <FormFoot form={form} action="Open it" />
        </div>
      </KeptForm>
    </details>
  );
}
