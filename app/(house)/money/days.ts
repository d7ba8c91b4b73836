import { z } from 'zod';

const day = z.iso.date();

/** The days of an address: one, or from one to another; today where it says none. */
export function daysAsked(
  parameters: Readonly<Record<string, string | readonly string[] | undefined>>,
  today: string,
): { readonly from: string; readonly to: string } {
  const read = (name: string): string | undefined => day.safeParse(parameters[name]).data;
  const from = read('from') ?? read('day') ?? today;
  const to = read('to') ?? from;
  return from <= to ? { from, to } : { from: to, to: from };
}
