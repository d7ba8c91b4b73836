'use server';

import { refresh } from 'next/cache';
import { action, ticketNumber } from '@/app/action';
import { said } from '@/app/answers';
import { ticketTensionSchema } from '@/core/measure/units';
import { isOver } from '@/db/tickets';

/** The figures that strings were pulled at before stand on the ticket again; only such as were pulled in this job. */
export const setTensionBack = action(
  'string',
  said,
  [ticketNumber, ticketTensionSchema],
  async ({ together }, number, { mainN, crossN, unit }) => {
    const answer = await together(async ({ tickets, bench }) => {
      const ticket = await tickets.get(number);
      if (!ticket || isOver(ticket)) return 'This ticket is not open any more.';
      const plans = [...(await bench.keptPlans(ticket.id)).values()];
      const known = plans.some(
        (plan) => plan.mainN === mainN && plan.crossN === crossN && plan.unit === unit,
      );
      if (!known) return 'Nothing was pulled at those figures in this job.';
      const saved = await tickets.change(number, ticket.version, {
        mainN,
        crossN,
        tensionUnit: unit,
      });
      return saved === 'saved' ? undefined : 'The ticket was changed meanwhile: look again.';
    });
    refresh();
    return answer;
  },
);
