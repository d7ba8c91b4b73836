'use client';

import { useEffect, useId, useRef, type ReactNode } from 'react';
import { useAwake } from '../use-awake';
import { typeInto } from './type-into';

interface OpensAwakeProps {
  /** What is typed here outlives a reload, also before the code is there. */
  readonly keeps?: boolean;
  /** Shut whatever runs: it is only to be seen. */
  readonly shut?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}

/** Something that was typed (with its text) or pressed before the code was there. */
interface Early {
  readonly target: HTMLElement;
  readonly value?: string;
}

const isField = (target: HTMLElement): target is HTMLInputElement | HTMLTextAreaElement =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

/** Until what was done has been drawn, so that the next press meets what it was meant for. */
const aTurn = () => new Promise((resolve) => setTimeout(resolve));

/** What was typed into fields of a part before the page was loaded anew; it is given once. */
function leftIn(part: HTMLElement): readonly Early[] {
  const { orthotensLeft: left = {} } = window as { orthotensLeft?: Record<string, string> };
  return [...part.querySelectorAll<HTMLInputElement>('input, textarea')].flatMap((target) => {
    const key = `${part.id} ${target.name || target.id}`;
    const value = left[key];
    delete left[key];
    return value === undefined ? [] : [{ target, value }];
  });
}

/** Plays what was done in a part of the page before it woke: each field has its last text, each press happens once. */
async function playEarly(part: HTMLElement): Promise<void> {
  const { orthotensEarly: all = [] } = window as { orthotensEarly?: Early[] };
  const now = all.filter(({ target }) => part.contains(target));
  for (const each of now) all.splice(all.indexOf(each), 1);
  const mine = [...leftIn(part), ...now];
  const texts = new Map(
    mine.flatMap(({ target, value }) =>
      value !== undefined && isField(target) ? [[target, value] as const] : [],
    ),
  );
  for (const [field, value] of texts) typeInto(field, value);
  const presses = mine.filter(({ value }) => value === undefined).map(({ target }) => target);
  for (const [i, press] of presses.entries()) {
    if (press.getAttribute('type') === 'submit' && presses.indexOf(press) !== i) continue;
    await aTurn();
    press.click();
  }
}

/**
 * Fields whose code loads beside the page. They are open from the start; what is typed and pressed before the code is
 * there is written down by the page itself (`app/early`), and done when it is.
 */
export function OpensAwake({
  shut = false,
  keeps = false,
  className = 'contents',
  children,
}: OpensAwakeProps) {
  const awake = useAwake();
  // The same in the page as the server sends it, each time.
  const id = useId();
  const part = useRef<HTMLFieldSetElement>(null);
  useEffect(() => {
    // A turn later, so that what is played meets fields that have taken their first values.
    const timer =
      awake && !shut ? setTimeout(() => part.current && void playEarly(part.current)) : 0;
    return () => clearTimeout(timer);
  }, [awake, shut]);
  return (
    // What is pressed and is no field of HTML is told by its second name.
    <fieldset
      ref={part}
      id={id}
      disabled={shut}
      aria-disabled={shut || undefined}
      data-asleep={awake ? undefined : keeps ? 'kept' : ''}
      className={className}
    >
      {children}
    </fieldset>
  );
}
