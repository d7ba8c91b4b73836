/** The shared views as markup, from the same core values that the screens give them. */
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { USUAL_ASSUMPTIONS, type PieceLength } from '@/core/cut/lengths';
import { planCut } from '@/core/cut/plan';
import { bedOf } from '@/core/testing/frame-spec';
import { newtons } from '@/core/measure/units';
import { BedDrawing } from './bed/bed-drawing';
import { BedKey } from './bed/bed-key';
import { Assumed, Cautions } from './cautions';
import { FrameFacts } from './frame/frame-facts';
import { LookChart } from './frame/look-chart';
import { Proposals } from './frame/proposals';
import { ListPage, RowLink, Table } from './list-page';
import { PartTable } from './tape/part-table';
import { Tape } from './tape/tape';
import { TicketFigure } from './ticket-figure';

const READ = { head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] };
const bed = bedOf({ ...READ, tension: { min: 22, max: 26, unit: 'kg' } });
const string = { family: 'monofilament', gaugeMm: 1.25, stretch: null } as const;
const plan = planCut(
  bed,
  { mains: string, crosses: string },
  { method: 'two-piece', shortSide: 'left', crossStart: 'left' },
  USUAL_ASSUMPTIONS,
);
const [mains, crosses] = plan.pieces as [PieceLength, PieceLength];

const count = (markup: string, part: RegExp) => markup.match(part)?.length ?? 0;
/** What a person reads: the text without its tags, spaces joined. */
const text = (markup: string) => markup.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ');

describe('the bed drawing', () => {
  const plain = renderToStaticMarkup(<BedDrawing bed={bed} lengthSystem="metric" />);
  const withPath = renderToStaticMarkup(
    <BedDrawing bed={bed} path={plan.path} lengthSystem="metric" />,
  );

  it('numbers every hole on both sides and says which end is which', () => {
    expect(count(plain, /<text /g)).toBe(2 * (8 + 19 + 8) + 2);
    expect(text(plain)).toContain(' head ');
    expect(text(plain)).toContain(' throat ');
  });

  it('marks the skips apart from their neighbours, by shape and not by colour alone', () => {
    expect(count(plain, /underline/g)).toBe(2 * 4);
    expect(count(plain, /class="fill-crosses stroke-crosses-ink"/g)).toBe(2 * 4);
    // A wide ring for each tie-off hole, on both sides.
    expect(count(plain, /r="4.4"/g)).toBe(2 * 3);
  });

  it('shows knots and runs only where there is a path', () => {
    expect(count(plain, /<title>Knot/g)).toBe(0);
    expect(count(withPath, /<title>Knot of M8[LR], 8H (left|right)/g)).toBe(2);
    expect(count(withPath, /<title>Knot of C(1|19),/g)).toBe(2);
    // 15 runs between 16 mains, 18 between 19 crosses, and 4 dashed tie-offs.
    expect(count(withPath, /stroke-width="1.3"/g)).toBe(15 + 18 + 4);
    expect(count(withPath, /stroke-dasharray/g)).toBe(4);
  });

  it('is named for those who do not see it', () => {
    expect(plain).toContain('aria-label="Bed of 16 mains and 19 crosses, head up');
    expect(plain).toContain('tabindex="0"');
  });

  it('has a key for every mark', () => {
    expect(text(renderToStaticMarkup(<BedKey />))).toBe(' main cross skip shared tie-off ');
    expect(text(renderToStaticMarkup(<BedKey withPath />))).toContain('knot');
  });
});

describe('a racket half strung', () => {
  const at = (strung: number) =>
    renderToStaticMarkup(
      <BedDrawing bed={bed} path={plan.path} strung={strung} lengthSystem="metric" />,
    );
  const inks = (markup: string) => [
    count(markup, /class="stroke-mains fill-none" stroke-width="1.7"/g),
    count(markup, /class="stroke-crosses fill-none"/g),
  ];

  it('shows the strings that are in, and no other', () => {
    // Each main is drawn under the crosses, and once more where it lies over them.
    expect(inks(at(0))).toEqual([0, 0]);
    expect(inks(at(5))).toEqual([10, 0]);
    expect(inks(at(16 + 4))).toEqual([32, 4]);
    expect(inks(at(35))).toEqual([32, 19]);
  });
  it('ties each knot after its pull: the mains’ at 16, the first cross’s after three more', () => {
    const knots = (strung: number) => count(at(strung), /<title>Knot/g);
    expect([knots(14), knots(15), knots(16), knots(19), knots(20), knots(35)]).toEqual([
      0, 1, 2, 2, 3, 4,
    ]);
  });
  it('marks the holes that will be covered', () => {
    expect(count(at(0), /M-4\.2-4\.2 4\.2 4\.2/g)).toBe(6);
  });
});

describe('the study of a frame', () => {
  it('charts every gap of mains and crosses, and rings what stands out', () => {
    const even = renderToStaticMarkup(<LookChart bed={bed} lengthSystem="metric" />);
    // A centre gap and seven more at each end, and eighteen between nineteen crosses.
    expect(count(even, /<title>/g)).toBe(2 * 8 + 18);
    expect(count(even, /stroke-warn/g)).toBe(0);
    const odd = bedOf({ head: [6], throat: [7, 9] });
    expect(
      count(renderToStaticMarkup(<LookChart bed={odd} lengthSystem="metric" />), /stroke-warn/g),
    ).toBe(odd.look.outliers.length);
  });
  it('lists the proposals with their shares, and says when nothing was ruled', () => {
    const list = text(renderToStaticMarkup(<Proposals bed={bedOf({})} />));
    expect(list).toContain('What is usual for this pattern.');
    expect(list).toContain('7H 9H · 7T 9T as drawn');
  });
  it('tells what was read from what the usual spacing would have', () => {
    expect(text(renderToStaticMarkup(<Proposals bed={bed} />))).toContain(
      'Read from the frame, and as the usual spacing would have it.',
    );
    const other = bedOf({ head: [8], throat: [7, 9] });
    expect(text(renderToStaticMarkup(<Proposals bed={other} take={() => undefined} />))).toContain(
      'The usual spacing would skip 7H 9H · 7T 9T. take',
    );
  });
});

describe('the tape', () => {
  const tape = (mm: number, system: 'metric' | 'imperial' = 'metric') =>
    renderToStaticMarkup(
      <Tape
        lengthSystem={system}
        pieces={[{ piece: mains, stock: { text: 'half of 12.20 m', mm } }]}
      />,
    );

  it('says what it shows: the cut, what it is cut from and what is over', () => {
    expect(tape(6100)).toMatch(
      /aria-label="mains: cut 5\.9\d m, from half of 12\.20 m: 1\d cm over"/,
    );
    expect(count(tape(6100), /fill-warn/g)).toBe(0);
  });
  it('turns red where the string ends too soon', () => {
    expect(text(tape(5500))).toMatch(/4\d cm short/);
    expect(count(tape(5500), /fill-warn/g)).toBeGreaterThan(0);
  });
  it('is ruled in metres or in feet', () => {
    expect(text(tape(6100))).toContain('0 m 1 m 2 m');
    expect(text(tape(6100, 'imperial'))).toContain('0 ft 2 ft 4 ft');
    expect(text(tape(6100, 'imperial'))).toMatch(/cut 19 ft \d+ in/);
  });
  it('has no stock off a reel', () => {
    const reel = renderToStaticMarkup(
      <Tape lengthSystem="metric" pieces={[{ piece: crosses, stock: undefined }]} />,
    );
    expect(reel).toMatch(/aria-label="crosses: cut 5\.\d\d m"/);
  });

  it('stands in figures too, and they add up', () => {
    const table = renderToStaticMarkup(
      <PartTable
        pieces={plan.pieces}
        learnt={{ mains: { mm: -40, count: 7, spreadMm: 10, from: 'frame' } }}
        armSpanMm={1800}
        lengthSystem="metric"
      />,
    );
    const rows = [...table.matchAll(/<tr[^>]*>(.*?)<\/tr>/g)].map((row) => text(row[1] ?? ''));
    const parts = rows
      .slice(1, 9)
      .map((row) => Number(/(−?[\d.]+) [^ ]+ $/.exec(row)?.[1]?.replace('−', '-')));
    const total = parts.reduce((sum, cm) => sum + cm, 0);
    expect(total).toBeCloseTo(mains.cutMm / 10, 0);
    expect(rows[8]).toContain('less what it stretches');
    expect(rows[9]).toContain(`to cut ${(mains.cutMm / 1000).toFixed(2)} m`);
    expect(rows[11]).toContain('in lengths of this head');
    expect(rows[12]).toContain(`in your arm spans ${(mains.cutMm / 1800).toFixed(1)}`);
    expect(text(table)).toContain('7 jobs on this frame took 4 cm less (median; half of them');
    const inches = text(
      renderToStaticMarkup(
        <PartTable pieces={plan.pieces} learnt={{}} armSpanMm={null} lengthSystem="imperial" />,
      ),
    );
    // 384 mm of passages are 15.1 in (1 in = 25.4 mm, NIST SP 811).
    expect(inches).toContain('through the frame 15.1');
  });
});

describe('facts and warnings', () => {
  it('tell what follows from a frame, in the workshop’s units', () => {
    const metric = text(renderToStaticMarkup(<FrameFacts bed={bed} lengthSystem="metric" />));
    expect(metric).toContain('Skip at the head 7H 9H');
    expect(metric).toContain('Mains start at the head 4 bridge holes a side');
    expect(metric).toContain('336 mm × 248 mm');
    expect(metric).toContain('22 to 26 kg');
    expect(text(renderToStaticMarkup(<FrameFacts bed={bed} lengthSystem="imperial" />))).toContain(
      '13.2 in × 9.8 in',
    );
  });

  it('are there only when there is something to say', () => {
    expect(renderToStaticMarkup(<Cautions cautions={[]} />)).toBe('');
    expect(renderToStaticMarkup(<Assumed assumed={[]} />)).toBe('');
    expect(text(renderToStaticMarkup(<Cautions cautions={['Too tight.', 'Cracked.']} />))).toBe(
      ' Too tight. Cracked. ',
    );
    expect(renderToStaticMarkup(<Assumed assumed={['Skips']} />)).toContain('aria-label="Assumed"');
  });
});

describe('lists', () => {
  it('say so when they are empty, and keep what was searched', () => {
    const page = renderToStaticMarkup(
      <ListPage title="Clients" search="o'<b>" searchLabel="Find">
        <Table head={['Client']} empty="Nobody goes by that." rows={[]} />
      </ListPage>,
    );
    expect(page).toContain('value="o&#x27;&lt;b&gt;"');
    expect(text(page)).toContain('Nobody goes by that.');
  });
  it('have one row each, with its link and its figures', () => {
    const table = renderToStaticMarkup(
      <Table
        head={['Ticket', 'Tension']}
        empty=""
        rows={[
          {
            key: '7',
            cells: [
              <RowLink key="link" href="/tickets/7">
                7
              </RowLink>,
              <TicketFigure
                key="tension"
                tension={{ mainN: newtons(55, 'lb'), crossN: newtons(53, 'lb'), unit: 'lb' }}
              />,
            ],
          },
        ]}
      />,
    );
    expect(table).toContain('href="/tickets/7"');
    expect(text(table)).toContain('55/53 lb');
  });
});
