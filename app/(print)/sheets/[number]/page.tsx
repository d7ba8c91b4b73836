import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { jobAt, openTicket } from '@/app/(house)/tickets/[number]/ticket';
import { coveredHoles } from '@/core/path/covered-holes';
import { formatGauge } from '@/core/measure/gauge';
import { METHOD_WORDS } from '@/core/terms/method';
import { measureWords } from '@/core/cut/measuring';
import { pathCautions } from '@/core/cut/methods';
import { formatWall } from '@/core/measure/promised-time';
import {
  formatFeet,
  formatMetres,
  formatStringLength,
  formatTicket,
  formatTicketConverted,
} from '@/core/measure/units';
import {
  coverWords,
  crossWay,
  knotCount,
  knotWords,
  lengthWords,
  mainsWay,
  orderWords,
  PIECE_WORDS,
} from '@/core/cut/wording';
import { dialFor, pullsFor } from '@/core/house/calibration';
import { BedDrawing } from '@/ui/when-used';
import { BedKey } from '@/ui/bed/bed-key';
import { Cautions } from '@/ui/cautions';
import { Fact, Facts } from '@/ui/facts';
import { SkipFacts } from '@/ui/frame/skip-facts';
import { PrintButton } from '../../print-button';

export const metadata: Metadata = { title: 'Work sheet' };

/** Everything the bench needs of one ticket, on one page of A4 or Letter. */
export default async function WorkSheet({ params }: PageProps<'/sheets/[number]'>) {
  const { machines } = await openFor('see tickets');
  const open = await openTicket((await params).number);
  const { ticket, client, frame, study, setup, workshop, assumptions, machine } = open;
  const { lengthSystem } = workshop;
  const back = (
    <Link href={`/tickets/${ticket.number}/cut`} className="underline">
      Back to the ticket
    </Link>
  );
  const plan = (await jobAt(ticket.number))?.plan;
  if (!frame || !study?.bed || !setup || !plan)
    return (
      <p>
        A work sheet needs a frame, a setup and a cut: ticket {ticket.number} is not that far.{' '}
        {back}
      </p>
    );
  const { bed } = study;
  const { mains, crosses, tension } = setup;
  const { path, pieces } = plan;
  const words = (mm: number) => lengthWords(mm, lengthSystem);
  const pulls = machine ? pullsFor(await machines.checks(machine.id)) : 1;
  const dials = [tension.mainN, tension.crossN].map((n) => dialFor(n, pulls, tension.unit));
  const isDialled = dials.some((dial) => dial !== undefined);
  const cautions = [...study.cautions, ...study.assumed, ...pathCautions(bed, path)];
  return (
    <article className="flex flex-col gap-3 text-[0.9rem] leading-snug">
      <p className="no-print flex items-center gap-6">
        <PrintButton />
        {back}
      </p>
      <header className="border-ink flex items-baseline gap-x-5 border-b-2 pb-1">
        <h1 className="figure shrink-0 text-3xl">Ticket {ticket.number}</h1>
        <p className="min-w-0 grow break-words">
          <span className="font-semibold">{client.name}</span> · {frame.name}
          {ticket.mark && `, ${ticket.mark}`} · promised {formatWall(ticket.promised)}
        </p>
        <p className="shrink-0">
          <span className="figure text-3xl">{formatTicket(tension)}</span>{' '}
          <span className="label">{formatTicketConverted(tension)}</span>
          {machine && isDialled && (
            <span className="block text-right">
              <span className="label">set on {machine.name} </span>
              <span className="figure">
                {formatTicket({
                  mainN: dials[0] ?? tension.mainN,
                  crossN: dials[1] ?? tension.crossN,
                  unit: tension.unit,
                })}
              </span>
            </span>
          )}
        </p>
      </header>
      <div className="grid grid-cols-[1.15fr_1fr] gap-5">
        <div>
          <BedDrawing bed={bed} path={path} lengthSystem={lengthSystem} className="h-[124mm]" />
          <BedKey withPath />
        </div>
        <div className="flex flex-col gap-2">
          <Facts>
            <SkipFacts skips={bed.skips} />
            {pieces.map(({ name, cutMm, sides }) => (
              <Fact
                key={name}
                name={`Cut ${PIECE_WORDS[name]}`}
                figure
                note={`${lengthSystem === 'metric' ? formatFeet(cutMm) : formatMetres(cutMm)}${
                  name === 'whole' && sides
                    ? `, mark at ${formatStringLength(sides[0].mm, lengthSystem)} from the short end`
                    : ''
                }`}
              >
                {formatStringLength(cutMm, lengthSystem)}
              </Fact>
            ))}
            <Fact name="Mains">
              {mains.string.name} {formatGauge(mains.gaugeMm)}
            </Fact>
            <Fact name="Crosses">
              {crosses.string.name} {formatGauge(crosses.gaugeMm)}
            </Fact>
            <Fact name="Method" note={mainsWay(bed)}>
              {METHOD_WORDS[path.method]}
              {path.method !== 'two-piece' && `, short side ${path.shortSide}`}
            </Fact>
            <Fact name={`Crosses, from the ${path.crossesFrom}`}>
              {crossWay(path.crossStart, path.crossFinish, path.crossCount)}
            </Fact>
          </Facts>
          <p>
            <span className="label block">Knots, {knotCount(path.knots)}</span>
            {path.knots.map(knotWords).join(' · ')}
          </p>
          <p>
            <span className="label block">Order</span>
            {orderWords(path.order)}
          </p>
        </div>
      </div>
      <section>
        <h2 className="label">Prepare before it is covered</h2>
        <ol className="grid grid-cols-2 gap-x-5 text-[0.8rem]">
          {coveredHoles(bed, path).map((each) => (
            <li key={coverWords(each)}>{coverWords(each)}</li>
          ))}
        </ol>
      </section>
      <section className="text-[0.8rem]">
        <h2 className="label">Without a tape</h2>
        {pieces.map((piece) => (
          <p key={piece.name}>{measureWords(bed, piece, assumptions, words)}</p>
        ))}
      </section>
      <Cautions cautions={cautions} />
      {(ticket.wish || ticket.condition) && (
        <p>
          <span className="label">They asked for: </span>
          {ticket.wish || '–'} <span className="label">Condition: </span>
          {ticket.condition || '–'}
        </p>
      )}
      <p className="border-hair text-soft border-t pt-1 text-[0.75rem]">
        Old strings are loaded: cut them from the centre outwards, glasses on, awl and cutters
        pointing away. Never mount a cracked frame. The maker’s instructions come first.
      </p>
    </article>
  );
}
