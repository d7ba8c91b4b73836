import { z } from 'zod';
import { lineText, nameText, noteText, textIn } from '@/core/measure/typed';
import type { ClientFacts } from '@/db/clients';

export const clientEntrySchema = z
  .object({
    name: nameText('the client’s name'),
    contact: lineText('the contact'),
    address: textIn.trim().max(400, 'Keep the address under 400 letters.'),
    mayWrite: z.enum(['unasked', 'yes', 'no']),
    unit: z.enum(['house', 'kg', 'lb']),
    notes: noteText,
  })
  .transform(({ unit, ...rest }): ClientFacts => ({
    ...rest,
    tensionUnit: unit === 'house' ? null : unit,
  }));

export type ClientEntry = z.input<typeof clientEntrySchema>;

export const emptyClientEntry: ClientEntry = {
  name: '',
  contact: '',
  address: '',
  mayWrite: 'unasked',
  unit: 'house',
  notes: '',
};

export const clientEntryOf = ({
  name,
  contact,
  address = '',
  mayWrite = 'unasked',
  tensionUnit,
  notes,
}: ClientFacts): ClientEntry => ({
  name,
  contact,
  address,
  mayWrite,
  unit: tensionUnit ?? 'house',
  notes,
});
