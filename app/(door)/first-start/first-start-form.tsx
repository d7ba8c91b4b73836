'use client';

import { startOver } from '@/app/identity/ask-door';
import { comeInAsMade } from '@/app/identity/client';
import { typedFirstStartSchema, type TypedFirstStart } from '@/app/identity/identity-entry';
import { ChoiceField } from '@/ui/form/bound';
import { NewPasswordField } from '@/app/identity/new-password-field';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { useSecretForm } from '@/ui/form/use-secret-form';
import { UNIT_CHOICES } from '../unit-choices';
import { firstStart } from './actions';

interface FirstStartFormProps {
  /** The name of a workshop from before there were people. */
  readonly known: string | undefined;
}

export function FirstStartForm({ known }: FirstStartFormProps) {
  const initial: TypedFirstStart = {
    name: '',
    username: '',
    address: '',
    password: '',
    workshop: known ?? '',
    tensionUnit: 'kg',
    currency: 'EUR',
  };
  const form = useSecretForm({
    schema: typedFirstStartSchema,
    initial,
    save: async (typed) => {
      // The clock on the wall here, not the one of the server.
      const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
      const answer = await firstStart({ ...typed, timeZone });
      if (!answer.ok) return answer;
      const go = await comeInAsMade(typed);
      return go === '/' ? answer : { ok: true, go };
    },
    onDone: ({ go }) => startOver(go ?? '/'),
  });
  return (
    <KeptForm form={form} className="grid gap-5 sm:grid-cols-2">
      {known === undefined && (
        <>
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
        </>
      )}
      <TextField label="Your name" hint="as papers say it" {...form.field('name')} />
      <TextField
        label="Address for messages"
        hint="a lost password goes there"
        type="email"
        autoComplete="email"
        {...form.field('address')}
      />
      <TextField
        label="Name to sign in with"
        autoComplete="username"
        autoCapitalize="none"
        {...form.field('username')}
      />
      <NewPasswordField label="Password" {...form.field('password')} />
      <div className="sm:col-span-2">
        <FormFoot form={form} action={known ? 'It is mine' : 'Open the workshop'} />
      </div>
    </KeptForm>
  );
}
