'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import {
  get,
  useForm,
  type DefaultValues,
  type FieldValues,
  type Path,
  type Resolver,
  type UseFormRegisterReturn,
  type UseFormReturn,
} from 'react-hook-form';
import type { z } from 'zod';
import type { FormAnswer } from './result';

export interface KeptForm<V extends FieldValues> extends UseFormReturn<V> {
  /** What a text field takes: its registration and the sentence that answers it. */
  readonly field: <N extends Path<V>>(
    name: N,
  ) => UseFormRegisterReturn<N> & { readonly problem: string | undefined };
  /** For the form's onSubmit. */
  readonly send: (event?: React.BaseSyntheticEvent) => Promise<void>;
  readonly sending: boolean;
  /** A sentence about the form as a whole: a lost connection, a change in another tab. */
  readonly notice: string | undefined;
  /** What was typed before a reload has been put back: as it was, or over what somebody else has saved meanwhile. */
  readonly restored: 'as it was' | 'over a change' | undefined;
  readonly discard: () => void;
  /** It shows what is kept, and nobody has changed anything: there is nothing to save. */
  readonly untouched: boolean;
}

interface Options<V extends FieldValues> {
  /** Names the form; under it, what is typed survives a reload. */
  readonly name: string;
  /** Of what it edits: what was typed over an older one is put over this one, and said. */
  readonly version?: number | undefined;
  readonly schema: z.ZodType<unknown, V>;
  readonly initial: V;
  readonly save: (values: V) => Promise<FormAnswer>;
  readonly saved?: () => void;
}

const NO_ANSWER =
  'The workshop’s server does not answer. Nothing was saved, and what you typed is kept here: try again.';

/** A press lasts about as long. */
const PRESS_MS = 400;

interface Draft<V> {
  readonly values: V;
  /** What the form showed before anything was typed, and the version of it. */
  readonly initial: V;
  readonly version: number;
  /** Saved already, and the page that shows it is on its way. */
  readonly sent: boolean;
}

function draftOf<V>(key: string): Draft<V> | undefined {
  try {
    const text = sessionStorage.getItem(key);
    return text ? (JSON.parse(text) as Draft<V>) : undefined;
  } catch {
    return undefined;
  }
}

/** What was typed over an older version, over the new one: only the fields that were touched. */
function over<V extends object>(initial: V, draft: Draft<V>): V {
  const touched = Object.entries(draft.values).filter(
    ([field, value]) => JSON.stringify(value) !== JSON.stringify(draft.initial[field as keyof V]),
  );
  return { ...initial, ...Object.fromEntries(touched) };
}

function keep<V>(key: string, draft: Draft<V>): void {
  try {
    sessionStorage.setItem(key, JSON.stringify(draft));
  } catch {
    // A full or forbidden store loses the draft on a reload, and nothing else.
  }
}

/** A form that loses nothing: not on a reload, not on a double click, not without a connection. */
export function useKeptForm<V extends FieldValues>({
  name,
  version = 0,
  schema,
  initial,
  save,
  saved,
}: Options<V>): KeptForm<V> {
  const router = useRouter();
  const key = `kept ${name}`;
  const form = useForm<V>({
    defaultValues: initial as DefaultValues<V>,
    resolver: zodResolver(schema as never) as unknown as Resolver<V>,
    mode: 'onTouched',
    // A sentence that appears while a button is being pressed would move it away from under the finger.
    delayError: PRESS_MS,
  });
  const { reset, subscribe, setError, handleSubmit } = form;
  const [notice, setNotice] = useState<string>();
  const [restored, setRestored] = useState<KeptForm<V>['restored']>();
  // The form is made anew with each version of what it edits, so both stay what they were at first.
  const [shown] = useState({ initial, version });
  const [sending, setSending] = useState(false);
  const [touched, setTouched] = useState(false);
  const [refused, setRefused] = useState<{ readonly form: EventTarget | null | undefined }>();
  // Once its sentences are drawn and its fields answer again, the keyboard stands on the first that has one.
  useEffect(() => {
    if (!(refused?.form instanceof HTMLFormElement)) return;
    refused.form.querySelector<HTMLElement>('[aria-invalid=true]')?.focus();
  }, [refused]);
  const busy = useRef(false);

  useEffect(() => {
    const draft = draftOf<V>(key);
    if (draft?.sent) {
      // A reload overtook the answer: what was saved is newer than this page.
      sessionStorage.removeItem(key);
      router.refresh();
    } else if (draft) {
      const isLate = draft.version !== shown.version;
      reset(isLate ? over(shown.initial, draft) : draft.values, { keepDefaultValues: true });
      // The draft lives outside React, so it can only be known after the first paint.
      // eslint-disable-next-line react-hooks/set-state-in-effect
      setRestored(isLate ? 'over a change' : 'as it was');
    }
    return subscribe({
      formState: { values: true },
      callback: ({ values }) => {
        setTouched(JSON.stringify(values) !== JSON.stringify(shown.initial));
        keep(key, { ...shown, values, sent: false });
      },
    });
  }, [key, reset, subscribe, router, shown]);

  const discard = useCallback(() => {
    sessionStorage.removeItem(key);
    setRestored(undefined);
    reset(initial);
  }, [key, reset, initial]);

  const deliver = async (sent: EventTarget | null | undefined) => {
    setSending(true);
    setNotice(undefined);
    try {
      const answer = await save(form.getValues());
      if (answer.ok) {
        keep(key, { ...shown, values: form.getValues(), sent: true });
        setRestored(undefined);
        saved?.();
        if (answer.go) router.push(answer.go);
        // The ticket's head and the lists show what was saved, not what they showed before.
        router.refresh();
      } else {
        setNotice(answer.notice);
        for (const [field, message] of Object.entries(answer.problems ?? {}))
          setError(field as Path<V>, { message });
        setRefused({ form: sent });
      }
    } catch {
      setNotice(NO_ANSWER);
    } finally {
      setSending(false);
    }
  };

  const send = async (event?: React.BaseSyntheticEvent): Promise<void> => {
    event?.preventDefault();
    // A state would come too late for the second half of a double click.
    if (busy.current) return;
    busy.current = true;
    const sent = event?.currentTarget as EventTarget | null | undefined;
    await handleSubmit(
      () => deliver(sent),
      () => setRefused({ form: sent }),
    )(event).finally(() => {
      busy.current = false;
    });
  };

  const { errors } = form.formState;
  const field = <N extends Path<V>>(name: N) => ({
    ...form.register(name),
    problem: (get(errors, name) as { message?: string } | undefined)?.message,
  });

  // A version counts from 1; what has none yet is new.
  const untouched = version > 0 && !touched && restored === undefined;

  return { ...form, field, send, sending, notice, restored, discard, untouched };
}
