import { TextField } from '@/ui/form/field';

/** A password that is being chosen. */
export const NewPasswordField = (
  props: Omit<Parameters<typeof TextField>[0], 'type' | 'autoComplete' | 'hint'>,
) => (
  <TextField
    {...props}
    type="password"
    autoComplete="new-password"
    hint="twelve signs or more; a few words do well"
  />
);
