/** Which closed jobs a list shows, in which order: what an address holds of it, and nothing that no list has. */
import { z } from 'zod';
import { textIn } from '../measure/typed';
import { sportSchema } from '../terms/sport';

const JOB_ORDERS = ['handed over', 'number', 'client', 'racket', 'mains', 'price'] as const;
export type JobOrder = (typeof JOB_ORDERS)[number];

export const JOB_STATES = ['not collected', 'not paid', 'corrected'] as const;

const name = textIn.trim().max(120).catch('');
const day = z.iso.date().or(z.literal('')).catch('');

const jobListSchema = z.object({
  find: name.default(''),
  sport: sportSchema.or(z.literal('')).catch('').default(''),
  string: name.default(''),
  frame: name.default(''),
  machine: name.default(''),
  by: name.default(''),
  from: day.default(''),
  to: day.default(''),
  /** Of the price, as it is typed. */
  least: name.default(''),
  most: name.default(''),
  state: z.enum(JOB_STATES).or(z.literal('')).catch('').default(''),
  order: z.enum(JOB_ORDERS).catch('handed over').default('handed over'),
  down: z.enum(['yes', 'no']).catch('yes').default('yes'),
  page: z.coerce.number().int().min(1).max(100_000).catch(1).default(1),
});

export type JobList = z.infer<typeof jobListSchema>;

const USUAL: JobList = jobListSchema.parse({});

/**
 * The list that an address asks for; what no list has is left out.
 *
 * @example
 * jobListIn({ sport: 'squash', page: '-3' }).page // 1
 */
export function jobListIn(
  parameters: Readonly<Record<string, string | readonly string[] | undefined>>,
): JobList {
  const plain = Object.fromEntries(
    Object.entries(parameters).map(([key, value]) => [
      key,
      Array.isArray(value) ? (value as readonly string[])[0] : value,
    ]),
  );
  return jobListSchema.parse(plain);
}

/**
 * The address of a list, with what differs from the usual one; another filter or order begins at its first page.
 *
 * @example
 * jobListAddress(jobListIn({}), { sport: 'squash' }) // '/jobs?sport=squash'
 */
export function jobListAddress(
  list: JobList,
  changes: Partial<JobList> = {},
  path = '/jobs',
): string {
  const next: JobList = { ...list, page: 1, ...changes };
  const told = Object.entries(next).filter(
    ([key, value]) => value !== '' && value !== USUAL[key as keyof JobList],
  );
  const query = told.map(([key, value]) => `${key}=${encodeURIComponent(String(value))}`);
  return told.length === 0 ? path : `${path}?${query.join('&')}`;
}

/**
 * Whether a list narrows what its words find by nothing else, and leaves it in the usual order.
 *
 * @example
 * goesByWordsAlone(jobListIn({ find: 'keel', page: '3' })) // true
 */
export const goesByWordsAlone = (list: JobList): boolean =>
  list.find !== '' && jobListAddress(list, { find: '' }) === '/jobs';

/**
 * The order after a press on a column: by it, or the other way round where it is so already.
 *
 * @example
 * pressColumn(jobListIn({}), 'client') // { order: 'client', down: 'no' }
 */
export const pressColumn = (
  { order, down }: JobList,
  column: JobOrder,
): Pick<JobList, 'order' | 'down'> => ({
  order: column,
  // Figures and days begin with the largest, names with the first letter.
  down:
    order === column
      ? down === 'yes'
        ? 'no'
        : 'yes'
      : ['handed over', 'number', 'price'].includes(column)
        ? 'yes'
        : 'no',
});
