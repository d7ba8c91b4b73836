import { JOB_STATES, jobListAddress, type JobList } from '@/core/record/job-list';
import { SPORTS } from '@/core/terms/sport';
import { Link } from '@/ui/link';

interface JobFiltersProps {
  readonly list: JobList;
  readonly frames: readonly string[];
  readonly strings: readonly string[];
  readonly machines: readonly string[];
  readonly people: readonly string[];
  readonly currency: string;
}

const BOX = 'border-edge bg-sheet w-full border-b-2 px-2 py-1.5';

/** A filter whose choices are known. */
function Pick({
  name,
  label,
  value,
  options,
}: {
  readonly name: keyof JobList;
  readonly label: string;
  readonly value: string;
  readonly options: readonly string[];
}) {
  // What the address asks for stays in sight, also when nothing goes by it any more.
  const all = value === '' || options.includes(value) ? options : [value, ...options];
  return (
    <label className="block min-w-32 grow">
      <span className="label block">{label}</span>
      <select name={name} defaultValue={value} className={BOX}>
        <option value="">any</option>
        {all.map((option) => (
          <option key={option} value={option}>
            {option}
          </option>
        ))}
      </select>
    </label>
  );
}

/** What is typed into a filter. */
function Typed({
  name,
  label,
  value,
  type = 'text',
  offered,
  className = 'min-w-32 grow',
}: {
  readonly name: keyof JobList;
  readonly label: string;
  readonly value: string;
  readonly type?: 'text' | 'date' | 'search';
  /** The list of what is known. */
  readonly offered?: string;
  readonly className?: string;
}) {
  return (
    <label className={`block ${className}`}>
      <span className="label block">{label}</span>
      <input
        name={name}
        type={type}
        list={offered}
        defaultValue={value}
        autoComplete="off"
        className={BOX}
      />
    </label>
  );
}

/** The filters of the list of jobs. A plain form: it works before any code has come, and fills the address. */
export function JobFilters({ list, frames, strings, machines, people, currency }: JobFiltersProps) {
  const isNarrow = jobListAddress({ ...list, order: 'handed over', down: 'yes' }) !== '/jobs';
  return (
    <form
      action="/jobs"
      className="no-print my-5 flex flex-wrap items-end gap-x-5 gap-y-3"
      role="search"
    >
      <Typed
        name="find"
        label="Words, a number, 24 nov, 23/22"
        type="search"
        value={list.find}
        className="min-w-60 grow-[3]"
      />
      <Pick name="sport" label="Sport" value={list.sport} options={SPORTS} />
      <Pick name="string" label="String" value={list.string} options={strings} />
      <Typed name="frame" label="Frame" value={list.frame} offered="frames-offered" />
      <datalist id="frames-offered">
        {frames.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <Pick name="machine" label="Machine" value={list.machine} options={machines} />
      <Pick name="by" label="Strung by" value={list.by} options={people} />
      <Typed name="from" label="From" type="date" value={list.from} />
      <Typed name="to" label="To" type="date" value={list.to} />
      <Typed name="least" label={`Price from (${currency})`} value={list.least} />
      <Typed name="most" label="to" value={list.most} />
      <Pick name="state" label="Open" value={list.state} options={JOB_STATES} />
      <input type="hidden" name="order" value={list.order} />
      <input type="hidden" name="down" value={list.down} />
      <button className="bg-ink text-paper px-5 py-2 font-medium">Show</button>
      {isNarrow && (
        <Link href="/jobs" className="py-2 underline">
          All
        </Link>
      )}
    </form>
  );
}
