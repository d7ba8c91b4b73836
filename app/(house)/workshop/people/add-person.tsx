'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { invitationSchema, type InvitationEntry } from '@/app/identity/identity-entry';
import { ROLES } from '@/core/house/role-rights';
import { ChoiceField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { useSecretForm } from '@/ui/form/use-secret-form';
import type { LinkAnswer } from './actions';
import { OneLink } from './one-link';

const NOBODY: InvitationEntry = { name: '', address: '', role: 'stringer' };

interface AddPersonProps {
  readonly invite: (typed: InvitationEntry) => Promise<LinkAnswer>;
}

export function AddPerson({ invite }: AddPersonProps) {
  const router = useRouter();
  const [made, setMade] = useState<{ readonly name: string; readonly link: string | undefined }>();
  const form = useSecretForm<InvitationEntry>({
    schema: invitationSchema,
    initial: NOBODY,
    save: invite,
    onDone: (answer) => {
      setMade({ name: form.getValues('name').trim(), link: (answer as LinkAnswer).link });
      form.reset(NOBODY);
      router.refresh();
    },
  });
  return (
    <section aria-labelledby="add-person">
      <h2 id="add-person" className="figure mb-3 text-2xl">
        Ask somebody in
      </h2>
      <KeptForm form={form} className="flex flex-col gap-4">
        <TextField label="Name" hint="as papers say it" {...form.field('name')} />
        <TextField
          label="Address for messages"
          type="email"
          hint="the invitation goes there too"
          {...form.field('address')}
        />
        <ChoiceField
          control={form.control}
          name="role"
          label="Role"
          options={ROLES.map((role) => ({ value: role, text: role }))}
        />
        <FormFoot form={form} action="Ask them in" />
      </KeptForm>
      {made?.link && <OneLink link={made.link} name={made.name} lasts="a week" />}
    </section>
  );
}
