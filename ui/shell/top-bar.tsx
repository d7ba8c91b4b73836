'use client';

import { Link } from '../link';
import { usePathname, useRouter } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import { areSingleKeysOn, takesKeys } from '../single-keys';
import { useAwake } from '../use-awake';
import type { Finding } from './palette';
import { useFindKey } from './use-find-key';
import { useHelpKey } from './use-help-key';
import { startTypingAhead } from './typed-ahead';
import { Palette, Help, useReadyAhead } from './when-opened';

interface TopBarProps {
  readonly workshop: string;
  /** Who is here, and the page that is theirs. */
  readonly person: string;
  readonly places: readonly { readonly href: string; readonly name: string }[];
  /** Whether rackets are taken in by this one. */
  readonly takesIn: boolean;
  /** Whether this one settles strings and tension, too. */
  readonly setsUp: boolean;
  /** Nothing where this one does not look for clients and jobs. */
  readonly actions: readonly Finding[];
  readonly find: ((text: string) => Promise<readonly Finding[]>) | undefined;
}

/** A page that has not come by then takes no letters any more. */
const MOST_AHEAD_MS = 4000;

/** Where one is, where one can go, and the keys that work everywhere. */
export function TopBar({ workshop, person, places, takesIn, setsUp, actions, find }: TopBarProps) {
  const here = usePathname();
  const router = useRouter();
  const awake = useAwake();
  const [open, setOpen] = useState<'palette' | 'help'>();
  useReadyAhead('palette', 'help');

  useFindKey(
    useCallback(() => {
      startTypingAhead();
      setOpen('palette');
    }, []),
    find !== undefined,
  );

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (takesKeys(event.target) || !areSingleKeysOn()) return;
      const counter =
        event.key === 'n' && takesIn
          ? '/take-in'
          : event.key === 's' && setsUp
            ? '/short'
            : undefined;
      if (counter) {
        event.preventDefault();
        // Its first field takes the name that is typed at once.
        if (counter !== window.location.pathname) startTypingAhead(MOST_AHEAD_MS);
        router.push(counter);
      }
      if (event.key === 'd') router.push('/');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router, takesIn, setsUp]);

  useHelpKey(useCallback(() => setOpen('help'), []));

  return (
    <header className="no-print border-hair flex flex-wrap items-baseline gap-x-5 gap-y-1 border-b px-6 py-2">
      <Link href="/" className="figure text-2xl tracking-wide">
        Orthotens
      </Link>
      <span className="label grow truncate">{workshop}</span>
      <nav aria-label="Main" className="flex flex-wrap gap-x-4">
        {places.map(({ href, name }) => (
          <Link
            key={href}
            href={href}
            aria-current={
              (href === '/' ? here === '/' : here.startsWith(href)) ? 'page' : undefined
            }
            className="text-soft hover:text-ink aria-[current=page]:text-ink py-1 aria-[current=page]:underline aria-[current=page]:underline-offset-8"
          >
            {name}
          </Link>
        ))}
      </nav>
      {find && (
        <button
          type="button"
          disabled={!awake}
          onClick={() => setOpen('palette')}
          className="text-soft hover:text-ink py-1"
        >
          Find <kbd className="border-hair border px-1 text-xs">Ctrl K</kbd>
        </button>
      )}
      <button
        type="button"
        disabled={!awake}
        onClick={() => setOpen('help')}
        className="text-soft hover:text-ink py-1"
      >
        Help <kbd className="border-hair border px-1 text-xs">?</kbd>
      </button>
      <Link
        href="/me"
        aria-current={here === '/me' ? 'page' : undefined}
        className="border-hair max-w-40 truncate border-l py-1 pl-4 aria-[current=page]:underline aria-[current=page]:underline-offset-8"
      >
        {person}
      </Link>
      {find && open === 'palette' && (
        <Palette close={() => setOpen(undefined)} actions={actions} find={find} />
      )}
      {open === 'help' && <Help close={() => setOpen(undefined)} />}
    </header>
  );
}
