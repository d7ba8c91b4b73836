'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { personSchema, type PersonEntry } from '@/app/identity/identity-entry';
import { ROLES } from '@/core/house/policy';
import { ChoiceField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { useSecretForm } from '@/ui/form/use-secret-form';
import type { LinkAnswer } from './actions';
import { PasswordLink } from './password-link';

const NOBODY: PersonEntry = { name: '', username: '', address: '', role: 'stringer' };

export function AddPerson({ add }: { readonly add: (typed: PersonEntry) => Promise<LinkAnswer> }) {
  const router = useRouter();
  const [made, setMade] = useState<{ readonly name: string; readonly link: string | undefined }>();
  const form = useSecretForm<PersonEntry>({
    schema: personSchema,
    initial: NOBODY,
    save: add,
    onDone: (answer) => {
      setMade({ name: form.getValues('name').trim(), link: (answer as LinkAnswer).link });
      form.reset(NOBODY);
      router.refresh();
    },
  });
  return (
    <section aria-labelledby="add-person">
      <h2 id="add-person" className="figure mb-3 text-2xl">
        Take somebody in
      </h2>
      <KeptForm form={form} className="flex flex-col gap-4">
        <TextField label="Name" hint="as papers say it" {...form.field('name')} />
        <TextField
          label="Name to sign in with"
          hint="letters and digits, no spaces: ada.marsh"
          autoCapitalize="none"
          {...form.field('username')}
        />
        <TextField
          label="Address for messages"
          type="email"
          hint="the link for the first password goes there too"
          {...form.field('address')}
        />
        <ChoiceField
          control={form.control}
          name="role"
          label="Role"
          options={ROLES.map((role) => ({ value: role, text: role }))}
        />
        <FormFoot form={form} action="Take them in" />
      </KeptForm>
      {made?.link && <PasswordLink link={made.link} name={made.name} />}
      {made && !made.link && (
        <p role="status" className="bg-sheet mt-3 px-3 py-2">
          {made.name} works here now too, and signs in as before.
        </p>
      )}
    </section>
  );
}
