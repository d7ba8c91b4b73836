'use server';

import { z } from 'zod';
import { answerTo, misread } from '@/app/answers';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { clientEntrySchema, type ClientEntry } from './client-entry';

const id = z.uuid();

export async function addClient(newId: string, entry: ClientEntry): Promise<FormAnswer> {
  const read = clientEntrySchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { clients } = await openWorkshop();
  await clients.add(read.data, id.parse(newId));
  return { ok: true, go: `/clients/${newId}` };
}

export async function changeClient(
  clientId: string,
  version: number,
  entry: ClientEntry,
): Promise<FormAnswer> {
  const read = clientEntrySchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { clients } = await openWorkshop();
  return answerTo(await clients.change(id.parse(clientId), version, read.data), 'client');
}

export async function removeClient(clientId: string): Promise<string | void> {
  const { clients } = await openWorkshop();
  const open = await clients.openTickets(id.parse(clientId));
  if (open > 0) return 'A racket of this client is still on the bench. Hand it over first.';
  await clients.setRemoved(clientId, true);
}

export async function restoreClient(clientId: string): Promise<void> {
  const { clients } = await openWorkshop();
  await clients.setRemoved(id.parse(clientId), false);
}
