'use client';

import { useState } from 'react';
import type { Proposal } from '@/core/advice/advise';
import { changeWords, hoursWords } from '@/core/advice/words';
import { formatGauge } from '@/core/gauge';
import { formatMoney } from '@/core/money';
import { formatTicket } from '@/core/units';

interface SetupChoicesProps {
  readonly proposals: readonly Proposal[];
  readonly taken: string | undefined;
  readonly currency: string;
  readonly knownBefore: boolean;
  readonly onTake: (proposal: Proposal) => void;
}

const SHOWN = 3;

/** Setups to choose from: the best first, and the first three truly different. */
export function SetupChoices({
  proposals,
  taken,
  currency,
  knownBefore,
  onTake,
}: SetupChoicesProps) {
  const [all, setAll] = useState(false);
  return (
    <section aria-label="Setups">
      <h2 className="figure text-2xl">Setups</h2>
      <p className="label">Character beside {knownBefore ? 'the last job' : 'a plain soft bed'}.</p>
      <ul>
        {proposals.slice(0, all ? undefined : SHOWN).map((proposal) => (
          <Choice
            key={proposal.kind.name}
            proposal={proposal}
            currency={currency}
            taken={taken === proposal.kind.name}
            onTake={() => onTake(proposal)}
          />
        ))}
      </ul>
      {proposals.length > SHOWN && (
        <button type="button" className="mt-1 underline" onClick={() => setAll(!all)}>
          {all ? 'Only the first three' : `${proposals.length - SHOWN} more`}
        </button>
      )}
    </section>
  );
}

function Choice({
  proposal,
  currency,
  taken,
  onTake,
}: {
  readonly proposal: Proposal;
  readonly currency: string;
  readonly taken: boolean;
  readonly onTake: () => void;
}) {
  const { kind, strung, offers, staircase, changes, hours, reasons, priceMinor, hourMinor } =
    proposal;
  const [mains, crosses] = [offers.mains[0], offers.crosses[0]];
  const one =
    kind.mains.family === kind.crosses.family && strung.mains.gaugeMm === strung.crosses.gaugeMm;
  const named = (offer: typeof mains, string: typeof strung.mains) =>
    `${offer?.string.name ?? `${string.family}, none on the shelf`} ${formatGauge(string.gaugeMm)}`;
  const against = [...new Set([...(mains?.against ?? []), ...(crosses?.against ?? [])])];
  const spoken = [
    ...reasons.filter(({ points }) => points > 0).slice(0, 2),
    ...reasons.filter(({ points }) => points < 0).slice(0, 1),
  ];
  return (
    <li className="border-hair border-t py-2" aria-label={kind.name}>
      <div className="flex items-baseline gap-3">
        <h3 className="grow font-semibold first-letter:uppercase">{kind.name}</h3>
        <span className="figure text-xl whitespace-nowrap">{formatTicket(staircase.ticket)}</span>
      </div>
      <p className="text-sm">
        {one ? (
          named(mains, strung.mains)
        ) : (
          <>
            {named(mains, strung.mains)} / {named(crosses, strung.crosses)}
          </>
        )}
      </p>
      <p className="label">
        {changeWords(changes) || 'plays as now'} · {hoursWords(hours)}
        {hourMinor !== undefined &&
          ` · ${formatMoney(priceMinor ?? 0, currency)}, ${formatMoney(hourMinor, currency)} an hour with labour`}
        {proposal.method && ' · two pieces'}
        {proposal.preStretch && ' · pre-stretch'}
        {against.length > 0 && ` · the shelf says: not for ${against.join(', ')}`}
      </p>
      <ul className="label">
        {spoken.map(({ id, title, why, points }) => (
          <li key={id}>
            <span aria-hidden>{points > 0 ? '+ ' : '− '}</span>
            <span className="sr-only">{points > 0 ? 'for it: ' : 'against it: '}</span>
            {title}: {why}
          </li>
        ))}
      </ul>
      <button
        type="button"
        aria-pressed={taken}
        disabled={!mains || !crosses}
        onClick={onTake}
        className="border-ink aria-pressed:bg-ink aria-pressed:text-paper mt-1 border px-3 py-0.5 font-medium disabled:opacity-50"
      >
        {taken ? 'Taken' : 'Take this'}
      </button>
    </li>
  );
}
