'use client';

import { useState } from 'react';
import type { Proposal } from '@/core/advice/advise';
import { changeWords, hoursWords } from '@/core/advice/words';
import { formatGauge } from '@/core/measure/gauge';
import { formatMoney } from '@/core/measure/money';
import { formatTicket } from '@/core/measure/units';
import { TraitPicture } from './trait-picture';

interface SetupChoicesProps {
  readonly proposals: readonly Proposal[];
  readonly notAdvised: readonly Proposal[];
  readonly taken: string | undefined;
  readonly currency: string;
  readonly knownBefore: boolean;
  readonly onTake: (proposal: Proposal) => void;
}

const SHOWN = 3;

/** Setups to choose from: the best first, the first three as different as they can be; what is not advised is folded. */
export function SetupChoices({
  proposals,
  notAdvised,
  taken,
  currency,
  knownBefore,
  onTake,
}: SetupChoicesProps) {
  const [all, setAll] = useState(false);
  const choice = (proposal: Proposal) => (
    <Choice
      key={proposal.kind.name}
      proposal={proposal}
      currency={currency}
      taken={taken === proposal.kind.name}
      onTake={() => onTake(proposal)}
    />
  );
  return (
    <section aria-label="Setups">
      <h2 className="figure text-2xl">Setups</h2>
      <p className="label">Up is more than {knownBefore ? 'the last job' : 'a plain soft bed'}.</p>
      <ul>{proposals.slice(0, all ? undefined : SHOWN).map(choice)}</ul>
      {proposals.length > SHOWN && (
        <button type="button" className="mt-1 underline" onClick={() => setAll(!all)}>
          {all ? 'Only the first three' : `${proposals.length - SHOWN} more`}
        </button>
      )}
      {notAdvised.length > 0 && (
        <details className="mt-2">
          <summary className="cursor-pointer underline">Not advised: {notAdvised.length}</summary>
          <ul aria-label="Not advised">{notAdvised.map(choice)}</ul>
        </details>
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
  const { kind, strung, offers, staircase, changes, differences, hours, reasons } = proposal;
  const { priceMinor, hourMinor, against } = proposal;
  const [mains, crosses] = [offers.mains[0], offers.crosses[0]];
  const one =
    kind.mains.family === kind.crosses.family && strung.mains.gaugeMm === strung.crosses.gaugeMm;
  const named = (offer: typeof mains, string: typeof strung.mains) =>
    `${offer?.string.name ?? `${string.family}, none in the library`} ${formatGauge(string.gaugeMm)}${offer?.isThere === false ? ', not on the shelf' : ''}`;
  const notFor = [...new Set([...(mains?.against ?? []), ...(crosses?.against ?? [])])];
  const spoken = [
    ...reasons.filter(({ points }) => points > 0).slice(0, 2),
    ...reasons.filter((reason) => reason.points < 0 && !against.includes(reason)).slice(0, 1),
  ];
  return (
    <li className="border-hair border-t py-1.5" aria-label={kind.name}>
      <div className="flex items-baseline gap-3">
        <h3 className="grow font-semibold first-letter:uppercase">{kind.name}</h3>
        <span className="figure text-xl whitespace-nowrap">{formatTicket(staircase.ticket)}</span>
      </div>
      {against.map(({ id, title, why }) => (
        <p key={id} className="text-warn text-sm">
          Not advised. {title}: {why}
        </p>
      ))}
      <p className="text-sm">
        {named(mains, strung.mains)}
        {!one && ` / ${named(crosses, strung.crosses)}`}
      </p>
      <TraitPicture differences={differences} words={changeWords(changes) || 'plays as now'} />
      <div className="flex items-end gap-3">
        <div className="label grow">
          <p>
            {hoursWords(hours)}
            {hourMinor !== undefined &&
              ` · ${formatMoney(priceMinor ?? 0, currency)}, ${formatMoney(hourMinor, currency)} an hour`}
            {proposal.method && ' · two pieces'}
            {proposal.preStretch && ' · pre-stretch'}
            {notFor.length > 0 && ` · the shelf says: not for ${notFor.join(', ')}`}
          </p>
          {spoken.length > 0 && (
            <details>
              <summary className="cursor-pointer">
                {spoken.map(({ title, points }) => `${points > 0 ? '+' : '−'} ${title}`).join(' ')}
              </summary>
              {spoken.map(({ id, why }) => (
                <p key={id}>{why}</p>
              ))}
            </details>
          )}
        </div>
        <button
          type="button"
          aria-pressed={taken}
          disabled={!mains || !crosses}
          onClick={onTake}
          className="border-ink aria-pressed:bg-ink aria-pressed:text-paper shrink-0 border px-3 py-0.5 font-medium disabled:opacity-50"
        >
          {taken ? 'Taken' : against.length > 0 ? 'Take it on my word' : 'Take this'}
        </button>
      </div>
    </li>
  );
}
