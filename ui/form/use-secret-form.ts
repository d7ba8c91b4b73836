'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRef, useState } from 'react';
import {
  get,
  useForm,
  type DefaultValues,
  type FieldValues,
  type Path,
  type Resolver,
} from 'react-hook-form';
import type { z } from 'zod';
import type { FormAnswer } from './result';

const NO_ANSWER = 'The workshop’s server does not answer. Nothing was done: try again.';

/** A form whose fields are secrets: like the others, and never written down in the browser. */
export function useSecretForm<V extends FieldValues>({
  schema,
  initial,
  save,
  onDone,
}: {
  readonly schema: z.ZodType<unknown, V>;
  readonly initial: V;
  readonly save: (values: V) => Promise<FormAnswer>;
  readonly onDone: (answer: FormAnswer & { readonly ok: true }) => void;
}) {
  const form = useForm<V>({
    defaultValues: initial as DefaultValues<V>,
    resolver: zodResolver(schema as never) as unknown as Resolver<V>,
    mode: 'onSubmit',
  });
  const { setError, handleSubmit } = form;
  const [notice, setNotice] = useState<string>();
  const [sending, setSending] = useState(false);
  const busy = useRef(false);

  const deliver = async () => {
    setNotice(undefined);
    try {
      const answer = await save(form.getValues());
      if (answer.ok) return onDone(answer);
      setNotice(answer.notice);
      for (const [field, message] of Object.entries(answer.problems ?? {}))
        setError(field as Path<V>, { message });
    } catch {
      setNotice(NO_ANSWER);
    }
  };

  const send = async (event?: React.BaseSyntheticEvent): Promise<void> => {
    event?.preventDefault();
    // A state would come too late for the second half of a double click.
    if (busy.current) return;
    busy.current = true;
    setSending(true);
    await handleSubmit(deliver)(event).finally(() => {
      busy.current = false;
      setSending(false);
    });
  };

  const { errors } = form.formState;
  const field = <N extends Path<V>>(name: N) => ({
    ...form.register(name),
    // In the page as the server sends it, too, as in `useKeptForm`.
    defaultValue: get(initial, name) as string | undefined,
    problem: (get(errors, name) as { message?: string } | undefined)?.message,
  });

  return {
    ...form,
    field,
    send,
    sending,
    notice,
    restored: undefined,
    discard: () => form.reset(initial as DefaultValues<V>),
    untouched: false,
  };
}
