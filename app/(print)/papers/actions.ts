'use server';

import { z } from 'zod';
import { action, ticketNumber } from '@/app/action';
import { inTheQueue } from '@/app/in-the-queue';
import { paperPdf } from '@/formats/papers/pdf';
import { sendToPrinter } from './label-printer';
import { paperOf } from './paper-of';

/** Sends a label or a stub to the label printer, and says what became of it. */
export const printLabel = action(
  'print papers',
  (sentence) => sentence,
  [ticketNumber, z.enum(['label', 'stub'])],
  async (_, number, kind): Promise<string> => {
    const { paper } = await paperOf(Promise.resolve({ number: String(number), paper: kind }));
    if (!paper) return 'This ticket is not far enough for this paper.';
    return sendToPrinter(await inTheQueue('made', () => paperPdf(paper)));
  },
);
