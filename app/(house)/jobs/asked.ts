import { parseMoney } from '@/core/measure/money';
import { wallTime } from '@/core/measure/promised-time';
import { jobListIn, type JobList } from '@/core/record/job-list';
import { readQuestion } from '@/core/record/question';
import type { JobsAsked } from '@/db/jobs';
import type { Workshop } from '@/db/workshop';

/** What the address of a list of jobs asks the records for. */
export function jobsAsked(
  parameters: Readonly<Record<string, string | readonly string[] | undefined>>,
  { currency, timeZone }: Pick<Workshop, 'currency' | 'timeZone'>,
): JobsAsked & { readonly list: JobList } {
  const list = jobListIn(parameters);
  const money = (text: string): number | undefined => {
    const read = text === '' ? undefined : parseMoney(currency)(text);
    return read?.ok ? read.value : undefined;
  };
  return {
    list,
    question:
      list.find === '' ? undefined : readQuestion(list.find, wallTime(new Date(), timeZone)),
    leastMinor: money(list.least),
    mostMinor: money(list.most),
  };
}
