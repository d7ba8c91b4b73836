'use client';

import { formatTicket, formatTicketConverted, type LengthSystem } from '@/core/measure/units';
import { TickField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { Link } from '@/ui/link';
import { StringAndThickness, stringOf } from '../tickets/[number]/setup/string-and-thickness';
import type { ShortState } from './use-short';

/** What the racket is strung with and how tight, as it was last time until somebody chooses. */
export function ShortStrings({
  short: { form, entry, bed, known, result },
  lengthSystem,
}: {
  readonly short: ShortState;
  readonly lengthSystem: LengthSystem;
}) {
  if (!bed) return null;
  const library = {
    strings: known,
    gone: bed.gone,
    sport: bed.frame.sport,
    lengthSystem,
  };
  return (
    <div className="col-span-2 grid content-start gap-x-6 gap-y-3 sm:grid-cols-[1fr_7.5rem_10rem]">
      <StringAndThickness
        label={entry.hybrid ? 'String for the mains' : 'String'}
        {...library}
        {...stringOf(form, entry, 'mains')}
      />
      <TextField
        figure
        label="Tension, mains/crosses"
        placeholder={result && formatTicket(result.advised)}
        hint={
          result?.tension
            ? `${formatTicketConverted(result.tension)} · advised ${formatTicket(result.advised)}`
            : 'Empty goes by the advice.'
        }
        {...form.field('tension')}
      />
      {entry.hybrid && (
        <StringAndThickness
          label="String for the crosses"
          {...library}
          {...stringOf(form, entry, 'crosses')}
        />
      )}
      <div className="flex flex-wrap gap-x-8 gap-y-2 sm:col-span-3">
        <TickField
          control={form.control}
          name="mainSupplied"
          label={entry.hybrid ? 'They brought the mains' : 'They brought it'}
        />
        {entry.hybrid && (
          <TickField control={form.control} name="crossSupplied" label="They brought the crosses" />
        )}
        <TickField control={form.control} name="hybrid" label="Another string in the crosses" />
        <Link href="/strings/new" className="underline">
          Not in the library?
        </Link>
      </div>
    </div>
  );
}
