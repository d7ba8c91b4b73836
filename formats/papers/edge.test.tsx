/** Nothing that is printed runs off its paper, whatever names it has. */
import { cloneElement, type ReactElement } from 'react';
import { renderToBuffer, type DocumentProps } from '@react-pdf/renderer';
import { expect, it } from 'vitest';
import { shareOf } from '@/core/testing/share';
import type { Invoice } from '@/core/papers/invoice';
import { PAPER_KINDS, type Paper, type PaperKind } from '@/core/papers/paper';
import { slipOf } from '@/core/papers/slip';
import { recordOf } from '@/core/testing/records';
import { invoiceDocument, paperDocument } from './pdf';

interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}
/** What the setter makes of a paper: boxes within boxes, and the lines of its texts. */
interface Node {
  readonly type: string;
  readonly box?: Box;
  /** By so much the lines of an aligned text stand too far right for the box that it ends in. */
  readonly alignOffset?: number;
  readonly children?: readonly Node[];
  readonly lines?: readonly {
    readonly string: string;
    readonly box: { readonly x: number; readonly y: number; readonly height: number };
    readonly runs: readonly { readonly positions?: readonly { readonly xAdvance: number }[] }[];
  }[];
}

interface Line {
  readonly text: string;
  readonly right: number;
  readonly bottom: number;
}

function linesIn(
  { box, alignOffset = 0, lines, children }: Node,
  left = 0,
  top = 0,
): readonly Line[] {
  const x = left + (box?.left ?? 0);
  const y = top + (box?.top ?? 0);
  const own = (lines ?? []).map((line) => ({
    text: line.string,
    right:
      x +
      line.box.x -
      alignOffset +
      line.runs
        .flatMap(({ positions }) => positions ?? [])
        .reduce((sum, { xAdvance }) => sum + xAdvance, 0),
    bottom: y + line.box.y + line.box.height,
  }));
  return [...own, ...(children ?? []).flatMap((child) => linesIn(child, x, y))];
}

async function sheetsOf(document: ReactElement<DocumentProps>): Promise<readonly Node[]> {
  let layout: Node | undefined;
  const onRender = (set: { readonly _INTERNAL__LAYOUT__DATA_: Node }) => {
    layout = set._INTERNAL__LAYOUT__DATA_;
  };
  await renderToBuffer(cloneElement(document, { onRender } as DocumentProps));
  return layout?.children ?? [];
}

/** What a printer leaves white, points: 3 mm. Common practice, no source. */
const MARGIN = 8.5;

function expectWithin(sheets: readonly Node[]): void {
  for (const sheet of sheets)
    for (const line of linesIn(sheet)) {
      expect(line.right, line.text).toBeLessThanOrEqual((sheet.box?.width ?? 0) - MARGIN + 0.5);
      expect(line.bottom, line.text).toBeLessThanOrEqual((sheet.box?.height ?? 0) - MARGIN + 0.5);
    }
}

const NAMES = {
  ordinary: 'Žofie Łąkowska',
  unbroken: 'Wolfeschlegelsteinhausenbergerdorffwelchevoralternwaren',
  'many words': 'Maria da Conceição dos Santos Figueiredo e Vasconcelos '.repeat(3).trim(),
  Hebrew: 'שלמה בן־אברהם כהן (12) בע״מ',
  Chinese: '王小明'.repeat(14),
  Japanese: '山田太郎 ひろし',
  Arabic: 'محمد بن علي',
} as const;

function paperFor(kind: PaperKind, name: string): Paper {
  const head = {
    workshop: name,
    address: `${name}\nQuay 1\nSkerrowmouth`,
    number: 123_456,
    client: name,
    racket: `${name}, A1`,
    day: '5 Jan 2026',
    page: 'https://racket.example/c/abcdefghijklmnopqrstuv',
    language: 'en',
  };
  const facts = ['Mains', 'Crosses', 'Strung'].map((fact) => ({ name: fact, value: name }));
  const { setup: usualSetup } = recordOf();
  const setup = {
    ...usualSetup,
    mains: { ...usualSetup.mains, name },
    crosses: { ...usualSetup.crosses, name: `${name} II` },
  };
  switch (kind) {
    case 'slip': {
      const record = recordOf({ client: name, racket: { frameName: name, mark: name }, setup });
      const slip = slipOf({
        workshop: name,
        number: 123_456,
        day: '2026-01-05',
        unit: 'lb',
        record,
      });
      return { ...head, kind, slip };
    }
    case 'label':
      return { ...head, kind, figure: '52.5/50.5 lb', facts };
    case 'stub':
      return { ...head, kind, promised: 'Wed 30 Sep 2026, 17:30', facts };
    case 'letter': {
      const said = { wentIn: name, whyString: name, whyTension: name, expect: name };
      return { ...head, kind, letter: { ...said, lasts: name, care: name }, facts, back: name };
    }
    case 'unstrung':
      return { ...head, kind, why: name, seen: [name, name] };
  }
}

const invoiceFor = (name: string): Invoice => ({
  kind: 'invoice',
  number: 123_456,
  day: '2026-02-03',
  currency: 'IDR',
  locale: 'id-ID',
  taxIncluded: true,
  from: { name, address: name, country: 'PT', taxNumber: '501964843' },
  to: { name, address: name },
  lines: ['labour', 'string', 'grip'].map((what) => ({
    what: what as 'labour',
    text: name,
    quantity: 12,
    unitMinor: 123_456_789_00,
    taxBp: 2550,
    job: 123_456,
  })),
  reverses: null,
  why: name,
});

/** Every paper with every name; the share has each paper and each name at least once. */
const ALL = Object.entries(NAMES).flatMap(([which, name]) =>
  ([...PAPER_KINDS, 'invoice'] as const).map((kind) => ({ kind, which, name })),
);

it.each(shareOf(ALL, 5))(
  '$kind with $which names: every line within its sheet, of which small ones have one',
  async ({ kind, name }) => {
    const isInvoice = kind === 'invoice';
    const sheets = await sheetsOf(
      isInvoice ? invoiceDocument(invoiceFor(name), name) : paperDocument(paperFor(kind, name)),
    );
    if (!isInvoice && kind !== 'letter') expect(sheets).toHaveLength(1);
    expectWithin(sheets);
  },
);
