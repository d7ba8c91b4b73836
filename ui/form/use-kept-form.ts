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
  type PathValue,
  type Resolver,
  type UseFormRegisterReturn,
  type UseFormReturn,
} from 'react-hook-form';
import type { z } from 'zod';
import { sayDone } from '../say';
import { goOnPast, putInHand, type InHand } from './in-hand';
import type { FormAnswer } from './result';

export interface KeptForm<V extends FieldValues> extends UseFormReturn<V> {
  /** What a text field takes: its registration and the sentence that answers it. */
  readonly field: <N extends Path<V>>(
    name: N,
  ) => UseFormRegisterReturn<N> & {
    readonly defaultValue?: string;
    readonly problem: string | undefined;
  };
  /** The sentence that answers a field. */
  readonly problem: (name: Path<V>) => string | undefined;
  /** Writes values as if they had been typed: they are checked at once where the form was sent before. */
  readonly set: (values: Partial<V>) => void;
  /** Of the form itself (`KeptForm`). */
  readonly attach: (form: HTMLFormElement | null) => void;
  /** For the form's onSubmit. */
  readonly send: (event?: React.BaseSyntheticEvent) => Promise<void>;
  readonly sending: boolean;
  /** A sentence about the form as a whole: a lost connection, a change in another tab. */
  readonly notice: string | undefined;
  /** What was typed before a reload has been put back: as it was, or over what was saved since. */
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
    ([field, value]) => !alike(value, draft.initial[field as keyof V]),
  );
  return { ...initial, ...Object.fromEntries(touched) };
}

const alike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Keeps what was typed; what is as it was shown at first is no draft. */
function keep<V>(key: string, draft: Draft<V>): void {
  try {
    if (!draft.sent && alike(draft.values, draft.initial)) sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, JSON.stringify(draft));
  } catch {
    // A full or forbidden store loses the draft on a reload, and nothing else.
  }
}

/** What people call a form: its heading, or that of the part of the page that it stands in. */
const titleOf = (form: HTMLFormElement | null): string =>
  form?.querySelector('h1, h2, h3')?.textContent ??
  form?.closest('section[aria-label]')?.getAttribute('aria-label') ??
  form?.querySelector('button[type=submit]')?.textContent ??
  'this page';

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
  const [refused, setRefused] = useState<{ readonly form: HTMLFormElement | null }>();
  // Once its sentences are drawn and its fields answer again, the keyboard stands on the first that has one.
  useEffect(() => {
    refused?.form?.querySelector<HTMLElement>('[aria-invalid=true]')?.focus();
  }, [refused]);
  const busy = useRef(false);
  const element = useRef<HTMLFormElement>(null);
  const attach = useCallback((form: HTMLFormElement | null) => {
    element.current = form;
  }, []);
  /** What was saved last by this form, where it still stands. */
  const settled = useRef<V>(undefined);
  const self = useRef<InHand>(undefined);

  useEffect(() => {
    const draft = draftOf<V>(key);
    if (draft?.sent) {
      // What was saved stands here. A page that was asked for before that may still come after this one: its form finds
      // what is left of the draft, and that it is the older one.
      if (shown.version > draft.version)
        keep(key, { version: draft.version, sent: true, initial: {}, values: {} });
      else {
        // A reload overtook the answer: what was saved is newer than this page.
        sessionStorage.removeItem(key);
        router.refresh();
      }
    } else if (draft) {
      const isLate = draft.version !== shown.version;
      const typed = isLate ? over(shown.initial, draft) : draft.values;
      if (alike(typed, shown.initial)) sessionStorage.removeItem(key);
      else {
        reset(typed, { keepDefaultValues: true });
        // The draft lives outside React, so it can only be known after the first paint.
        // eslint-disable-next-line react-hooks/set-state-in-effect
        setRestored(isLate ? 'over a change' : 'as it was');
      }
    }
    return subscribe({
      formState: { values: true },
      callback: ({ values }) => {
        setTouched(!alike(values, shown.initial));
        keep(key, { ...shown, values, sent: false });
      },
    });
  }, [key, reset, subscribe, router, shown]);

  const discard = useCallback(() => {
    const typed = form.getValues();
    sessionStorage.removeItem(key);
    setRestored(undefined);
    reset(initial);
    sayDone('What you typed is discarded.', () => {
      reset(typed, { keepDefaultValues: true });
      setRestored('as it was');
    });
  }, [form, key, reset, initial]);

  const deliver = async (leads: boolean): Promise<boolean> => {
    setSending(true);
    setNotice(undefined);
    try {
      const values = form.getValues();
      const answer = await save(values);
      if (answer.ok) {
        settled.current = structuredClone(values);
        keep(key, { ...shown, values, sent: true });
        setRestored(undefined);
        saved?.();
        const { go } = answer;
        const isBench = go?.startsWith('/bench/') ?? false;
        if (go && leads && self.current)
          goOnPast(self.current, () =>
            // A page of its own: only the bench may talk to a tension head, and that is settled when it loads.
            isBench ? window.location.assign(go) : router.push(go),
          );
        if (isBench) return true;
        // The ticket's head and the lists show what was saved, not what they showed before.
        router.refresh();
        return true;
      }
      setNotice(answer.notice);
      for (const [field, message] of Object.entries(answer.problems ?? {}))
        setError(field as Path<V>, { message });
      setRefused({ form: element.current });
    } catch {
      setNotice(NO_ANSWER);
    } finally {
      setSending(false);
    }
    return false;
  };

  const sendOnce = async (leads: boolean, event?: React.BaseSyntheticEvent): Promise<boolean> => {
    // A state would come too late for the second half of a double click.
    if (busy.current) return false;
    busy.current = true;
    let good = false;
    await handleSubmit(
      async () => {
        good = await deliver(leads);
      },
      () => setRefused({ form: element.current }),
    )(event).finally(() => {
      busy.current = false;
    });
    return good;
  };

  const send = async (event?: React.BaseSyntheticEvent): Promise<void> => {
    event?.preventDefault();
    await sendOnce(true, event);
  };

  // Made anew at each rendering, and asked through the one that was put in hand.
  const latest = useRef(sendOnce);
  useEffect(() => {
    latest.current = sendOnce;
  });
  useEffect(() => {
    const inHand: InHand = {
      title: () => titleOf(element.current),
      isTouched: () => {
        const values = form.getValues();
        return !alike(values, shown.initial) && !alike(values, settled.current);
      },
      send: () => latest.current(false),
    };
    self.current = inHand;
    return putInHand(inHand);
  }, [form, shown]);

  const { errors, isSubmitted } = form.formState;
  const problem = (name: Path<V>) =>
    (get(errors, name) as { message?: string } | undefined)?.message;
  const set = (values: Partial<V>) => {
    for (const [name, value] of Object.entries(values))
      form.setValue(name as Path<V>, value as PathValue<V, Path<V>>, {
        shouldDirty: true,
        shouldValidate: isSubmitted,
      });
  };
  const field = <N extends Path<V>>(name: N) => {
    const first: unknown = get(shown.initial, name);
    return {
      ...form.register(name),
      // In the page as the server sends it, too: a field that fills itself later takes the first keys from whoever types.
      ...(typeof first === 'string' && { defaultValue: first }),
      problem: problem(name),
    };
  };

  // A version counts from 1; what has none yet is new.
  const untouched = version > 0 && !touched && restored === undefined;

  return {
    ...form,
    attach,
    field,
    problem,
    set,
    send,
    sending,
    notice,
    restored,
    discard,
    untouched,
  };
}
