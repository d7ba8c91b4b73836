/** What the database wrote down of a change, in words. */
import type { TrailEntry } from '@/db/trail';

const ABOUT: Readonly<Record<string, string>> = {
  workshops: 'workshop',
  clients: 'client',
  frames: 'frame',
  strings: 'string',
  machines: 'machine',
  machine_checks: 'check of a machine',
  rackets: 'racket',
  tickets: 'ticket',
  members: 'person',
  devices: 'trusted device',
};

/** Columns whose own name is no word of the trade. */
const COLUMNS: Readonly<Record<string, string>> = {
  main_n: 'pull of the mains, N',
  cross_n: 'pull of the crosses, N',
  main_string_id: 'string of the mains',
  cross_string_id: 'string of the crosses',
  main_gauge_mm: 'thickness of the mains, mm',
  cross_gauge_mm: 'thickness of the crosses, mm',
  closed_at: 'handed over',
  withdrawn_at: 'withdrawn',
  withdrawn_why: 'why',
  code_hash: 'short code',
  house_rules: 'house rules',
  spec: 'what is read from the frame',
  advice: 'advice',
  talk: 'what they said of themselves',
  labour_minor: 'price of labour',
  client_id: 'owner',
  frame_id: 'frame',
  machine_id: 'machine',
  removed_at: 'removed',
  left_at: 'left',
};

const columnWords = (column: string): string =>
  COLUMNS[column] ?? column.replace(/_(mm|n|id|minor)$/, '').replaceAll('_', ' ');

/** Ids say nothing to anybody, and long texts are not repeated. */
const isTold = (value: unknown): boolean =>
  typeof value !== 'string' ||
  !/^[0-9a-f]{8}-[0-9a-f-]{27}$|^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d/.test(value);

function valueWords(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'number') return String(Math.round(value * 100) / 100);
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 57)} …` : text;
}

export const aboutWords = ({
  about,
  name,
  deed,
}: Pick<TrailEntry, 'about' | 'name' | 'deed'>): string =>
  `${ABOUT[about] ?? about} ${name} ${deed}`.replaceAll('  ', ' ');

/** Column by column what stood there before and what stands there now. */
export const changeWords = ({ changes }: Pick<TrailEntry, 'changes'>): string =>
  Object.entries(changes)
    .map(([column, values]) => {
      const name = columnWords(column);
      if (values?.length !== 2 || !values.every(isTold)) return name;
      const [before, after] = values;
      return `${name}: ${valueWords(before)} → ${valueWords(after)}`;
    })
    .join(' · ');
