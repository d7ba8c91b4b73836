import { z } from 'zod';
import { lineText, nameText, noteText } from '@/core/measure/reading';
import type { ClientFacts } from '@/db/clients';

export const clientEntrySchema = z
  .object({
    name: nameText('the client’s name'),
    contact: lineText('the contact'),
    unit: z.enum(['house', 'kg', 'lb']),
    notes: noteText,
  })
  .transform(({ unit, ...rest }): ClientFacts => ({
    ...rest,
    tensionUnit: unit === 'house' ? null : unit,
  }));

export type ClientEntry = z.input<typeof clientEntrySchema>;

export const emptyClientEntry: ClientEntry = { name: '', contact: '', unit: 'house', notes: '' };

export const clientEntryOf = ({ name, contact, tensionUnit, notes }: ClientFacts): ClientEntry => ({
  name,
  contact,
  unit: tensionUnit ?? 'house',
  notes,
});
