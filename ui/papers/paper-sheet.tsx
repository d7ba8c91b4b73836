import {
  PAPERS,
  type Paper,
  type PaperFact,
  type PaperKind,
  type PaperOf,
} from '@/core/papers/paper';
import { Code, type CodePath } from './code';

interface PaperSheetProps {
  readonly paper: Paper;
  /** Of the client's page. */
  readonly code: CodePath | undefined;
}

const Named = ({ name, value }: PaperFact) =>
  value === '' ? null : (
    <div className="mb-[1.6mm]">
      <p className="text-[8pt] leading-tight opacity-75">{name}</p>
      <p className="text-[9.5pt] leading-tight">{value}</p>
    </div>
  );

function Slip({ slip }: PaperOf<'slip'>) {
  return (
    <>
      <header className="border-b-2 border-current pb-[2mm]">
        <p className="text-[11pt] leading-tight font-semibold">{slip.client}</p>
        <p className="text-[9pt]">
          {slip.racket}
          {slip.mark && `, ${slip.mark}`}
        </p>
      </header>
      <p className="figure mt-[2mm] text-[26pt] leading-none font-semibold">{slip.figure}</p>
      <p className="mb-[2.5mm] text-[8pt] opacity-75">
        {slip.unit}, mains / crosses
        <br />
        {slip.converted}
      </p>
      {slip.dial && <Named name="Set on the dial" value={slip.dial} />}
      {slip.changed && <Named name="Changed midway" value={slip.changed} />}
      {slip.strings.map(({ where, string }) => (
        <Named key={where} name={where} value={string} />
      ))}
      <Named name="Bed" value={`${slip.layout}, ${slip.method}`} />
      <Named name="Strung" value={slip.by ? `${slip.strung} by ${slip.by}` : slip.strung} />
      <Named name="Due again" value={slip.due} />
      <p className="text-[9.5pt] font-semibold">{slip.judge}</p>
    </>
  );
}

function Label({ number, figure, client, racket, facts }: PaperOf<'label'>) {
  return (
    <>
      <p className="figure flex items-end justify-between leading-none font-semibold">
        <span className="text-[40pt]">{number}</span>
        <span className="text-[20pt]">{figure}</span>
      </p>
      <header className="mt-[1mm] mb-[2mm] border-t-2 border-current pt-[2mm]">
        <p className="text-[17pt] leading-tight font-semibold">{client}</p>
        <p className="text-[11pt]">{racket}</p>
      </header>
      {facts.map((each) => (
        <Named key={each.name} {...each} />
      ))}
    </>
  );
}

function Stub({ workshop, address, number, promised, client, racket, facts }: PaperOf<'stub'>) {
  return (
    <>
      <p className="text-[11pt] leading-tight font-semibold">{workshop}</p>
      <p className="text-[8pt] whitespace-pre-line opacity-75">{address}</p>
      <p className="figure my-[2mm] border-t-2 border-current pt-[1.5mm] text-[34pt] leading-none font-semibold">
        No. {number}
      </p>
      <Named name="Ready" value={promised} />
      <Named name={client} value={racket} />
      {facts.map((each) => (
        <Named key={each.name} {...each} />
      ))}
    </>
  );
}

/** Who writes, to whom, about what. */
function Head({
  workshop,
  address,
  client,
  day,
  racket,
  title,
}: Paper & { readonly title: string }) {
  return (
    <header className="mb-8">
      <div className="mb-6 flex justify-between border-b-2 border-current pb-2">
        <p className="figure text-2xl font-semibold">{workshop}</p>
        <p className="text-right text-xs whitespace-pre-line">{address}</p>
      </div>
      <p className="flex justify-between">
        <span>{client}</span>
        <span>{day}</span>
      </p>
      <h1 className="figure mt-8 text-3xl font-semibold">{title}</h1>
      <p className="label">{racket}</p>
    </header>
  );
}

function Letter(paper: PaperOf<'letter'>) {
  const { letter, facts, back, client } = paper;
  return (
    <>
      <Head {...paper} title="What is in your racket, and why" />
      <div className="flex flex-col gap-4 text-[11.5pt] leading-relaxed">
        <p>Dear {client},</p>
        <p>{letter.wentIn}</p>
        <dl className="border-hair border-t">
          {facts.map(({ name, value }) => (
            <div key={name} className="border-hair grid grid-cols-[11rem_1fr] border-b py-1">
              <dt className="label">{name}</dt>
              <dd className="figure text-lg leading-snug font-semibold">{value}</dd>
            </div>
          ))}
        </dl>
        {[letter.whyString, letter.whyTension, letter.expect, letter.lasts, letter.care, back].map(
          (part) => part && <p key={part}>{part}</p>,
        )}
      </div>
    </>
  );
}

function Unstrung(paper: PaperOf<'unstrung'>) {
  const { number, why, seen } = paper;
  return (
    <>
      <Head {...paper} title="Handed back unstrung" />
      <div className="flex flex-col gap-4 text-[11.5pt] leading-relaxed">
        <p>Ticket {number}. This racket was looked at and was not strung.</p>
        <p>{why}</p>
        {seen.length > 0 && <p>Seen on it: {seen.join('; ')}.</p>}
        <p>
          A cracked frame can give way under the load of a new bed, on the machine or in play, and
          hurt whoever is near. Please do not play with it, and do not have it strung, before its
          maker or a repairer has looked at it. Nothing is asked for the inspection unless it was
          agreed.
        </p>
      </div>
      <div className="mt-24 flex gap-16">
        {['For the workshop', 'Received by its owner'].map((line) => (
          <p key={line} className="label grow border-t border-current pt-1">
            {line}
          </p>
        ))}
      </div>
    </>
  );
}

function inside(paper: Paper) {
  switch (paper.kind) {
    case 'slip':
      return <Slip {...paper} />;
    case 'label':
      return <Label {...paper} />;
    case 'stub':
      return <Stub {...paper} />;
    case 'letter':
      return <Letter {...paper} />;
    case 'unstrung':
      return <Unstrung {...paper} />;
  }
}

/** As wide as a small sheet less its margins; on a large one, as wide as is read well. */
function widthOf(kind: PaperKind): string {
  const [width] = PAPERS[kind].sheet;
  return width < 100 ? `${width - 8}mm` : 'min(100%, 66ch)';
}

/** A paper as it lies on its sheet. */
export function PaperSheet({ paper, code }: PaperSheetProps) {
  return (
    <article className="flex flex-col" style={{ width: widthOf(paper.kind) }}>
      {inside(paper)}
      {code && paper.kind !== 'unstrung' && (
        <p className="mt-[4mm] flex items-end gap-[3mm]">
          <Code path={code} className="w-[24mm] shrink-0" label="The client’s page" />
          {paper.kind === 'letter' && (
            <span className="label">
              Your racket’s own page: how its strings age, when they are due, and a press to bring
              it again.
            </span>
          )}
        </p>
      )}
      {paper.kind === 'slip' && (
        <p className="border-hair mt-[2mm] flex justify-between border-t pt-[1.5mm] text-[8pt]">
          <span>{paper.workshop}</span>
          <span className="figure whitespace-nowrap">No. {paper.number}</span>
        </p>
      )}
    </article>
  );
}
