import { openFor } from '@/app/identity/at-work';
import clsx from 'clsx';
import { Link } from '@/ui/link';
import { setPull } from '@/core/bench/plan';
import { may } from '@/core/house/role-rights';
import { paceOf, secondsLeft } from '@/core/bench/times';
import { english } from '@/core/terms/words/english';
import { schoolWords, type HouseRules } from '@/core/house/house-rules';
import { betweenMachines, pullKindOf } from '@/core/house/machine';
import { imbalances, inOrderOf } from '@/core/path/pull-order';
import {
  formatStringLength,
  formatTension,
  formatTicket,
  roundToTicketStep,
  type TicketTension,
} from '@/core/measure/units';
import { formatWall, wallTime } from '@/core/measure/promised-time';
import type { Machine } from '@/db/machines';
import { Cautions } from '@/ui/cautions';
import { Fact, Facts } from '@/ui/facts';
import { notOnTheShelf } from '@/app/(house)/shelf/cut-ticket';
import { houseOf, jobAt, openTicket } from '../ticket';
import { Waits } from '../waits';
import { outOfShapeAsPlanned } from '../load/hoop-of';
import { Lessons } from '../last-look/lessons';
import { stationTitle } from '../station-title';
import { TakenLine } from './taken-line';

const PRIMARY = 'bg-ink text-paper px-5 py-2 font-medium';

const AHEAD = ['one', 'two', 'three', 'three then six'] as const;

/** What to know where the machine pulls otherwise than the house's figures are meant. */
function otherPull(
  { name, kind }: Machine,
  house: HouseRules,
  { mainN, crossN, unit }: TicketTension,
): string | undefined {
  const pull = pullKindOf(kind);
  if (pull === house.benchPull) return undefined;
  const as = (n: number) =>
    roundToTicketStep(betweenMachines(n, house.benchPull, pull, house), unit);
  const same = formatTicket({ mainN: as(mainN), crossN: as(crossN), unit });
  return `${name} pulls with ${pull === 'lock-out' ? 'a lock-out' : 'a constant pull'}; the figures of the house are for ${house.benchPull === 'lock-out' ? 'a lock-out' : 'a constant pull'}. For the same bed it would be ${same} (${house.lockOutMeasured ? 'by your own measurement' : 'from memory'}). Setup decides.`;
}

export const generateMetadata = stationTitle('Pull');

/** What awaits at the bench, and the way there. */
export default async function PullStation({ params }: PageProps<'/tickets/[number]/pull'>) {
  const { tickets, benches, role, person } = await openFor('string');
  const open = await openTicket((await params).number);
  const { ticket, setup, study, frame, workshop, machine, stepsDone: done } = open;
  const job = await jobAt(ticket.number);
  const sequence = job?.sequence;
  if (!sequence || !setup || !study?.bed)
    return <Waits number={ticket.number} path="cut" what="the cut" />;
  if (!sequence.ok)
    return <Cautions cautions={[`This job cannot be strung so: ${sequence.problem}`]} />;
  const { steps, path, imbalanceN } = sequence.value;
  const house = houseOf(open, false);
  const { sport } = study.bed.spec;
  const [past, taken, places] = await Promise.all([
    tickets.pastTimes(sport),
    benches.takenOf(ticket.id),
    benches.all(),
  ]);
  const set = setPull(study.bed, setup.tension);
  const bySchool = AHEAD.map((ahead) => {
    const { order } = inOrderOf(path, sport, { ...house, ahead });
    const worst = Math.max(0, ...imbalances(order, set).map(Math.abs));
    return `${ahead} ${formatTension(worst, setup.tension.unit)}`;
  }).join(', ');
  const count = (kind: string) => steps.filter((step) => step.kind === kind).length;
  const allDone = done === steps.length;
  const other = machine && otherPull(machine, house, setup.tension);
  const notThere = ticket.closedAt ? [] : await notOnTheShelf(open);
  const bent = outOfShapeAsPlanned(job, frame?.hoopFactor ?? null, house);
  return (
    <div className="max-w-3xl">
      <Cautions
        cautions={[
          ...notThere.map(
            ({ name, mm }) =>
              `Nothing on the shelf is long enough for the ${name === 'whole' ? 'piece' : name}: it takes ${formatStringLength(mm, workshop.lengthSystem)}.`,
          ),
          ...(other === undefined ? [] : [other]),
          ...bent,
        ]}
      />
      <Facts>
        <Fact name="Steps" figure note={done === 0 ? 'not begun' : `${done} are done`}>
          {steps.length}
        </Fact>
        <Fact
          name="One side ahead by at most"
          figure
          note={`mains ahead: ${schoolWords(house, 'ahead')}; by school: ${bySchool}`}
        >
          {formatTension(imbalanceN, setup.tension.unit)}
        </Fact>
        <Fact
          name="Minutes to go at the bench"
          figure
          note={`${workshop.hand}${past.length > 0 ? ', by your own past jobs' : ''}`}
        >
          {Math.round(secondsLeft(steps, done, sport, workshop.hand, paceOf(past)) / 60)}
        </Fact>
        <Fact name="Pulls">{count('pull') + count('pull again')}</Fact>
        <Fact name="Holes to open before a run covers them">{count('open a hole')}</Fact>
        <Fact name="Start of the mains">{schoolWords(house, 'start')}</Fact>
        <Fact name="Start of the crosses">{schoolWords(house, 'firstCrosses')}</Fact>
      </Facts>
      {!ticket.closedAt && !allDone && (
        <TakenLine
          workshopId={workshop.id}
          number={ticket.number}
          taken={
            taken && {
              mine: taken.personId === person.id,
              name: taken.name,
              at: formatWall(wallTime(taken.at, workshop.timeZone), open.now),
              bench: taken.bench,
            }
          }
          benches={places}
        />
      )}
      <p className="mt-6 flex flex-wrap items-baseline gap-6">
        {/* A page of its own: only the bench may talk to a tension head, and that is settled when it loads. */}
        <a href={`/bench/${ticket.number}`} className={allDone ? 'underline' : PRIMARY}>
          {done === 0
            ? 'Go to the bench'
            : allDone
              ? 'Look at the bench again'
              : 'Go on at the bench'}
        </a>
        {may(role, 'hand over') && (
          <Link
            href={`/tickets/${ticket.number}/hand-over`}
            className={allDone ? clsx(PRIMARY, 'order-first') : 'underline'}
          >
            To the hand-over
          </Link>
        )}
        {may(role, 'plan the cut') && (
          <Link href={`/tickets/${ticket.number}/load`} className="underline">
            What the hoop does
          </Link>
        )}
        <Link href={`/tickets/${ticket.number}/last-look`} className="underline">
          Last look
        </Link>
        <Link href={`/practice/${ticket.frameId}`} className="underline">
          Practise on this frame
        </Link>
      </p>
      <Lessons records={{ tickets }} />
      <details className="mt-6">
        <summary className="cursor-pointer font-medium">Every step in its order</summary>
        <ol className="mt-2 list-decimal pl-8">
          {steps.map(({ words, pullN: n }, i) => (
            <li key={i} className="border-hair border-b py-0.5">
              {english(words)}
              {n !== undefined && (
                <span className="figure"> {formatTension(n, setup.tension.unit)}</span>
              )}
            </li>
          ))}
        </ol>
      </details>
    </div>
  );
}
