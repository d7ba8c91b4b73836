import { formatTicket, formatTicketConverted } from '@/core/units';
import { openWorkshop } from '@/db/workshop';
import { Fact, Facts } from '@/ui/facts';
import { openTicket, type Setup } from '../ticket';
import { Waits } from '../waits';
import { saveSetup } from './actions';
import type { SetupEntry } from './setup-entry';
import { SetupForm } from './setup-form';

function entryOf(setup: Setup | undefined): SetupEntry {
  if (!setup)
    return {
      mainStringId: '',
      mainGauge: '',
      mainSupplied: false,
      hybrid: false,
      crossStringId: '',
      crossGauge: '',
      crossSupplied: false,
      tension: '',
    };
  const { mains, crosses, tension } = setup;
  return {
    mainStringId: mains.string.id,
    mainGauge: mains.gaugeMm.toFixed(2),
    mainSupplied: mains.supplied,
    hybrid: mains.string.id !== crosses.string.id || mains.gaugeMm !== crosses.gaugeMm,
    crossStringId: crosses.string.id,
    crossGauge: crosses.gaugeMm.toFixed(2),
    crossSupplied: crosses.supplied,
    tension: formatTicket(tension),
  };
}

export default async function SetupStation({ params }: PageProps<'/tickets/[number]/setup'>) {
  const { ticket, frame, study, setup, unit } = await openTicket((await params).number);
  if (!frame || !study?.bed) return <Waits number={ticket.number} path="frame" what="the frame" />;
  if (ticket.closedAt && setup)
    return (
      <Facts className="max-w-3xl">
        <Fact name="Tension" figure note={formatTicketConverted(setup.tension)}>
          {formatTicket(setup.tension)}
        </Fact>
        <Fact name="Mains">
          {setup.mains.string.name} {setup.mains.gaugeMm.toFixed(2)} mm
        </Fact>
        <Fact name="Crosses">
          {setup.crosses.string.name} {setup.crosses.gaugeMm.toFixed(2)} mm
        </Fact>
      </Facts>
    );
  const { strings } = await openWorkshop();
  return (
    <SetupForm
      key={ticket.version}
      name={`ticket ${ticket.id} ${ticket.version} setup`}
      number={ticket.number}
      initial={entryOf(setup)}
      strings={(await strings.find('', frame.sport)).map(({ id, name, family, gaugesMm }) => ({
        id,
        name,
        family,
        gaugesMm,
      }))}
      spec={frame.spec}
      unit={unit}
      save={saveSetup.bind(null, ticket.number, ticket.version)}
    />
  );
}
