'use client';

import { Link } from '@/ui/link';
import type { ShelfString } from '@/core/advice/shelf';
import type { LengthSystem } from '@/core/measure/units';
import type { Sport } from '@/core/terms/sport';
import { TickField } from '@/ui/form/bound';
import type { KeptForm } from '@/ui/form/use-kept-form';
import type { SetupEntry } from './setup-entry';
import { StringAndThickness, stringOf } from './string-and-thickness';

interface StringsFieldsProps {
  readonly form: KeptForm<SetupEntry>;
  readonly entry: SetupEntry;
  readonly number: number;
  /** Those of the library, and of this ticket. */
  readonly strings: readonly ShelfString[];
  /** Which of them are not in the library any more. */
  readonly gone: readonly ShelfString[];
  readonly sport: Sport;
  readonly lengthSystem: LengthSystem;
}

/** The strings of the job, taken from a setup or by hand. */
export function StringsFields({ form, entry, number, ...library }: StringsFieldsProps) {
  return (
    <div className="grid content-start gap-x-5 gap-y-3 sm:grid-cols-[1fr_9rem]">
      <StringAndThickness
        label="String for the mains"
        {...library}
        {...stringOf(form, entry, 'mains')}
      >
        <Link href={`/strings/new?ticket=${number}`} className="underline">
          Not in the library?
        </Link>
      </StringAndThickness>
      <div className="flex flex-wrap gap-x-8 gap-y-2 sm:col-span-2">
        <TickField control={form.control} name="mainSupplied" label="The client brought it" />
        <TickField control={form.control} name="hybrid" label="Another string in the crosses" />
      </div>
      {entry.hybrid && (
        <>
          <StringAndThickness
            label="String for the crosses"
            {...library}
            {...stringOf(form, entry, 'crosses')}
          />
          <TickField
            control={form.control}
            name="crossSupplied"
            className="sm:col-span-2"
            label="The client brought the cross string"
          />
        </>
      )}
    </div>
  );
}
