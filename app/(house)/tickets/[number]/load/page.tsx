import { openFor } from '@/app/identity/at-work';
import { frameLoad } from '@/core/load/frame-load';
import { MOST_OUT_OF_SHAPE_MM, stringInWay, wayFigures, WAYS, type Way } from '@/core/load/ways';
import { inTensionUnit } from '@/core/measure/units';
import { Cautions } from '@/ui/cautions';
import { Link } from '@/ui/link';
import { UnderLoad, type LoadFrame } from '@/ui/load/under-load';
import { Table } from '@/ui/list-page';
import { stationTitle } from '../station-title';
import { measureHoop } from './actions';
import { CalipersForm } from './calipers-form';
import { jobAt, openTicket } from '../ticket';
import { Waits } from '../waits';

export const generateMetadata = stationTitle('Under load');

const hundredth = (mm: number): number => Math.round(mm * 100) / 100;

/** What the hoop does while this job is strung, and what another way would do. */
export default async function UnderLoadPage({
  params,
  searchParams,
}: PageProps<'/tickets/[number]/load'>) {
  await openFor('plan the cut');
  const { ticket, unit, frame, workshop } = await openTicket((await params).number);
  const asked = (await searchParams).way;
  const way: Way = WAYS.find((each) => each === asked) ?? 'as planned';
  const job = await jobAt(ticket.number);
  if (!job) return <Waits number={ticket.number} path="cut" what="the cut" />;
  const all = WAYS.flatMap((each) => {
    const strung = stringInWay(job, each, frame?.hoopFactor ?? 1);
    return strung?.ok ? [{ way: each, strung: strung.value }] : [];
  });
  const shown = all.find((each) => each.way === way) ?? all[0];
  const load = frameLoad(job, { mounts: 6, factor: frame?.hoopFactor ?? 1 });
  if (!shown || !load.ok)
    return <Cautions cautions={['This job cannot be strung so: the Pull station says why.']} />;
  const { hoop, strings } = load.value;
  const frames = [...shown.strung.pulls, shown.strung.end].map(
    ({ string, shape, lengthChangeMm, widthChangeMm, tensions }): LoadFrame => ({
      string,
      moved: hoop.nodes.flatMap((_, i) => [
        hundredth(shape[3 * i] ?? 0),
        hundredth(shape[3 * i + 1] ?? 0),
      ]),
      lengthMm: hundredth(lengthChangeMm),
      widthMm: hundredth(widthChangeMm),
      tensions: Object.fromEntries(
        Object.entries(tensions).map(([name, n]) => [name, Math.round(n * 10) / 10]),
      ),
    }),
  );
  const figure = (n: number) => inTensionUnit(n, unit, 0.1).toFixed(1);
  const signed = (mm: number) => `${mm > 0 ? '+' : mm < 0 ? '−' : ''}${Math.abs(mm).toFixed(1)}`;
  const figures = all.map((each) => wayFigures(each.way, each.strung));
  const planned = figures.find((each) => each.way === 'as planned');
  return (
    <>
      {planned && planned.onTheWayMm > MOST_OUT_OF_SHAPE_MM && (
        <Cautions
          cautions={[
            `On the way this hoop is ${planned.onTheWayMm.toFixed(1)} mm out of shape: more than ${MOST_OUT_OF_SHAPE_MM} mm. Look at the maker’s instructions, and at the mounts.`,
          ]}
        />
      )}
      <h2 className="figure mb-3 text-2xl">Under load, {shown.way}</h2>
      <UnderLoad
        key={shown.way}
        rim={hoop.nodes.flatMap(({ x, y }) => [hundredth(x), hundredth(y)])}
        strings={strings.map(({ name, a, b }) => ({ name, a, b }))}
        frames={frames}
        unit={unit}
      />
      <h2 className="figure mt-8 mb-1 text-2xl">Each way by number</h2>
      <p className="label mb-2 max-w-prose">
        Changes of length and width in mm.{' '}
        {frame?.hoopFactor
          ? `This hoop was measured: ${Math.round(frame.hoopFactor * 100)} % of the usual stiffness, off by ${(frame.hoopErrorMm ?? 0).toFixed(2)} mm where it was.`
          : 'How stiff a hoop is where is from memory: compare the ways, and trust a figure alone only when this frame was measured.'}
      </p>
      <Table
        head={[
          'Way',
          'Most on the way',
          'Length, width at the end',
          `Mains end at (${unit})`,
          `Crosses end at (${unit})`,
          'Scatter',
          'Weakest',
          'Moment (N·m)',
        ]}
        empty=""
        rows={figures.map((each) => ({
          key: each.way,
          cells: [
            <Link
              key="way"
              href={`/tickets/${ticket.number}/load?way=${encodeURIComponent(each.way)}`}
              aria-current={each.way === shown.way ? 'true' : undefined}
              className="underline aria-[current=true]:font-semibold aria-[current=true]:no-underline"
            >
              {each.way}
            </Link>,
            each.onTheWayMm.toFixed(1),
            `${signed(each.lengthEndMm)}, ${signed(each.widthEndMm)}`,
            `${figure(each.mainsN.final)} of ${figure(each.mainsN.set)}`,
            `${figure(each.crossesN.final)} of ${figure(each.crossesN.set)}`,
            figure(each.spreadN),
            `${each.weakest.name}, ${figure(each.weakest.finalN)}`,
            each.momentNm.toFixed(0),
          ],
        }))}
      />
      {!ticket.closedAt && (
        <section aria-label="Measured with calipers" className="mt-8">
          <h2 className="figure mb-1 text-2xl">Measured with calipers</h2>
          <p className="label mb-3 max-w-prose">
            Length and width inside, against the empty frame: on the machine after the last main,
            and off it. They say how stiff this hoop is, and the next job on it goes by that. Here
            it should be {signed(planned?.lengthMainsMm ?? 0)} and{' '}
            {signed(planned?.widthMainsMm ?? 0)} after the mains,{' '}
            {signed(planned?.lengthEndMm ?? 0)} and {signed(planned?.widthEndMm ?? 0)} at the end.
          </p>
          <CalipersForm
            key={frame?.hoopFactor ?? ''}
            name={`calipers ${ticket.id}`}
            save={measureHoop.bind(null, workshop.id, ticket.number)}
          />
        </section>
      )}
    </>
  );
}
