import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv from 'ajv/dist/2019';
import { describe, expect, it } from 'vitest';
import { convert, create } from 'xmlbuilder2';
import { creditFor, invoiceFor, type Invoice } from '@/core/papers/invoice';
import { invoiceXml } from './invoice-xml';

/**
 * The elements of a UBL 2.1 invoice in their order, with their types and code lists: the EN 16931 binding of UBL
 * (CEN/TS 16931-3-2), as the open-source library @e-invoice-eu/core 2.3.4 publishes it (WTFPL), without its prose.
 */
const SCHEMA = JSON.parse(
  readFileSync(join(import.meta.dirname, 'testing', 'ubl-invoice.schema.json'), 'utf8'),
) as Node;

interface Node {
  readonly properties?: Readonly<Record<string, Node>>;
  readonly items?: Node;
  readonly type?: string;
}

const price = (taxBp: number) => ({
  currency: 'EUR',
  taxIncluded: true,
  lines: [
    { what: 'labour' as const, text: 'Stringing', quantity: 1, unitMinor: 1999, taxBp },
    {
      what: 'string' as const,
      text: 'Plain & “soft” <1.25>',
      quantity: 1,
      unitMinor: 995,
      taxBp: 2300,
    },
    { what: 'extra' as const, text: 'Grip', quantity: 3, unitMinor: 333, taxBp: 2300 },
  ],
});

const invoiceWith = (changes: Partial<Invoice> = {}, taxBp = 600): Invoice => ({
  ...invoiceFor(
    {
      number: 7,
      day: '2026-02-03',
      locale: 'en-GB',
      from: {
        name: 'The Netloft',
        address: 'Slipway 4\nFirst floor\nSkerrowmouth',
        country: 'PT',
        taxNumber: 'PT501442600',
      },
      to: { name: 'Ada Brill', address: 'Court Lane 2\nSkerrowmouth' },
    },
    [{ number: 11, racket: 'A', price: price(taxBp) }],
  ),
  ...changes,
});

type Parsed = Readonly<Record<string, unknown>>;

/** An element as the binding writes it: children by name, attributes beside them, a text as itself. */
function asBinding(value: unknown, schema: Node | undefined): unknown {
  const inner = schema?.type === 'array' ? schema.items : schema;
  if (schema?.type === 'array')
    return (Array.isArray(value) ? value : [value]).map((each) => asBinding(each, inner));
  if (typeof value === 'string') return value;
  return Object.fromEntries(
    Object.entries(value as Parsed).flatMap(([name, child]): [string, unknown][] => {
      if (name.startsWith('@xmlns')) return [];
      if (typeof child === 'object' && child !== null && '#' in child) {
        const { '#': text, ...attributes } = child as Record<string, string>;
        return [
          [name, text],
          ...Object.entries(attributes).map(([key, each]): [string, string] => [
            `${name}${key}`,
            each,
          ]),
        ];
      }
      return [[name, asBinding(child, inner?.properties?.[name])]];
    }),
  );
}

const ROOT = SCHEMA.properties?.['ubl:Invoice'];

function bindingOf(xml: string): Parsed {
  const parsed = convert(xml, { format: 'object' }) as Record<string, Parsed>;
  return asBinding(parsed.Invoice, ROOT) as Parsed;
}

/** Elements that do not stand in the order of the schema, or that it does not have. */
function misplaced(value: unknown, schema: Node | undefined, path = ''): readonly string[] {
  if (Array.isArray(value))
    return value.flatMap((each) => misplaced(each, schema?.items ?? schema, path));
  if (typeof value !== 'object' || value === null) return [];
  const order = Object.keys(schema?.properties ?? {});
  const names = Object.keys(value);
  const places = names.map((name) => order.indexOf(name));
  return [
    ...names.filter(
      (_, i) => (places[i] ?? -1) < 0 || (i > 0 && (places[i] ?? 0) < (places[i - 1] ?? 0)),
    ),
    ...names.flatMap((name) =>
      misplaced((value as Parsed)[name], schema?.properties?.[name], `${path}/${name}`),
    ),
  ];
}

/** UBL 2.1 itself: what stands in each element, in which order, how often and of which type. */
const SEQUENCES = (
  JSON.parse(readFileSync(join(import.meta.dirname, 'testing', 'ubl-sequences.json'), 'utf8')) as {
    readonly elements: Readonly<Record<string, readonly Place[]>>;
  }
).elements;

interface Place {
  readonly name: string;
  readonly min: number;
  readonly max?: number;
  readonly type?: string;
}

/** What the schema's simple types take (XML Schema part 2), and the attribute that an amount must carry. */
const TYPES: Readonly<Record<string, RegExp>> = {
  Amount: /^<[^>]* currencyID="[A-Z]{3}">-?\d+(\.\d+)?<$/,
  Quantity: /^<[^>]*>-?\d+(\.\d+)?<$/,
  Percent: /^<[^>]*>-?\d+(\.\d+)?<$/,
  Date: /^<[^>]*>\d{4}-\d\d-\d\d<$/,
};

interface Element {
  readonly nodeName: string;
  readonly childNodes: Iterable<Element>;
  readonly nodeType: number;
  readonly attributes: Iterable<{ readonly name: string; readonly value: string }>;
  readonly textContent: string | null;
}

/** Everything in an element, and in what it holds, that its sequence does not allow. */
function faultsOf(element: Element): readonly string[] {
  const sequence = SEQUENCES[element.nodeName];
  const children = [...element.childNodes].filter(({ nodeType }) => nodeType === 1);
  if (!sequence) return children.length > 0 ? [`${element.nodeName} is not known`] : [];
  const places = children.map(({ nodeName }) =>
    sequence.findIndex(({ name }) => name === nodeName),
  );
  const tag = ({ nodeName, attributes, textContent }: Element) =>
    `<${nodeName}${[...attributes].map(({ name, value }) => ` ${name}="${value}"`).join('')}>${textContent ?? ''}<`;
  return [
    ...children
      .filter((_, i) => (places[i] ?? -1) < 0 || (i > 0 && (places[i] ?? 0) < (places[i - 1] ?? 0)))
      .map((child) => `${child.nodeName} is out of place in ${element.nodeName}`),
    ...sequence.flatMap(({ name, min, max = Infinity }, i) => {
      const count = places.filter((place) => place === i).length;
      return count < min || count > max ? [`${element.nodeName} has ${count} of ${name}`] : [];
    }),
    ...children
      .filter((child, i) => {
        const type = TYPES[sequence[places[i] ?? -1]?.type ?? ''];
        return type !== undefined && !type.test(tag(child));
      })
      .map((child) => `${tag(child)} is not of its type`),
    ...children.flatMap(faultsOf),
  ];
}

const faultsIn = (xml: string): readonly string[] =>
  faultsOf(create(xml).root().node as unknown as Element);

describe('the structured twin of an invoice', () => {
  it('has what the EN 16931 binding of UBL asks for, in its types and code lists', () => {
    const validate = new Ajv({ strict: false, allErrors: true }).compile(SCHEMA);
    validate({ 'ubl:Invoice': bindingOf(invoiceXml(invoiceWith())) });
    // A private buyer without a country is no error of UBL itself.
    const errors = (validate.errors ?? []).filter(
      ({ instancePath, message }) =>
        !(instancePath.includes('AccountingCustomerParty') && message?.includes('cac:Country')),
    );
    expect(errors.map(({ instancePath, message }) => `${instancePath} ${message}`)).toEqual([]);
  });

  it('stands in the order of the schema, also with less', () => {
    for (const invoice of [
      invoiceWith(),
      invoiceWith({ to: { name: 'Nobody', address: '' } }),
      invoiceWith({ from: { name: 'W', address: 'Quay', country: '', taxNumber: '' } }, 0),
    ])
      expect(misplaced(bindingOf(invoiceXml(invoice, 500)), ROOT)).toEqual([]);
  });

  it('keeps to the sequences and types of UBL 2.1, as an invoice and as a credit note', () => {
    const credit = creditFor(invoiceWith(), { number: 8, day: '2026-02-04', why: 'twice' });
    for (const invoice of [
      invoiceWith(),
      credit,
      invoiceWith({ currency: 'JPY', to: { name: 'Nobody', address: '' } }),
      invoiceWith({ from: { name: 'W', address: 'Quay', country: '', taxNumber: '' } }, 0),
    ])
      expect(faultsIn(invoiceXml(invoice, 500))).toEqual([]);
  });

  it('is told apart from what UBL 2.1 does not allow', () => {
    const xml = invoiceXml(invoiceWith());
    const line = /<cbc:IssueDate>.*<\/cbc:IssueDate>\s*/.exec(xml)?.[0] ?? '';
    expect(faultsIn(xml.replace(line, ''))).toEqual(['Invoice has 0 of cbc:IssueDate']);
    expect(faultsIn(xml.replace(line, line + line))).toEqual(['Invoice has 2 of cbc:IssueDate']);
    expect(faultsIn(xml.replace('2026-02-03', '3 Feb'))).toEqual([
      '<cbc:IssueDate>3 Feb< is not of its type',
    ]);
    expect(faultsIn(xml.replaceAll(' currencyID="EUR"', '')).length).toBeGreaterThan(5);
    expect(faultsIn(xml.replaceAll('cbc:StreetName', 'cbc:Street'))).toContain(
      'cbc:Street is out of place in cac:PostalAddress',
    );
  });

  // EN 16931: BR-CO-10, BR-CO-13, BR-CO-14, BR-CO-15, BR-CO-16 and BR-CO-17.
  it('adds up by the business rules', () => {
    const made = bindingOf(invoiceXml(invoiceWith(), 1000));
    const figure = (value: unknown) => Math.round(Number(value) * 100);
    const total = made['cac:LegalMonetaryTotal'] as Record<string, string>;
    const lines = made['cac:InvoiceLine'] as Record<string, string>[];
    const [tax] = made['cac:TaxTotal'] as Record<string, unknown>[];
    const subtotals = tax?.['cac:TaxSubtotal'] as Record<string, unknown>[];
    const sum = (values: readonly number[]) => values.reduce((all, each) => all + each, 0);
    const net = sum(lines.map((line) => figure(line['cbc:LineExtensionAmount'])));
    expect(net).toBe(figure(total['cbc:LineExtensionAmount']));
    expect(figure(total['cbc:TaxExclusiveAmount'])).toBe(net);
    expect(sum(subtotals.map((each) => figure(each['cbc:TaxAmount'])))).toBe(
      figure(tax?.['cbc:TaxAmount']),
    );
    expect(figure(total['cbc:TaxInclusiveAmount'])).toBe(net + figure(tax?.['cbc:TaxAmount']));
    expect(figure(total['cbc:PayableAmount'])).toBe(figure(total['cbc:TaxInclusiveAmount']) - 1000);
    for (const each of subtotals) {
      const rate = Number((each['cac:TaxCategory'] as Record<string, string>)['cbc:Percent']);
      const tolerance = 1;
      expect(
        Math.abs(figure(each['cbc:TaxAmount']) - (figure(each['cbc:TaxableAmount']) * rate) / 100),
      ).toBeLessThanOrEqual(tolerance);
    }
    // 19.99 + 9.95 + 9.99 with their tax in it.
    expect(total['cbc:TaxInclusiveAmount']).toBe('39.93');
  });

  it('writes whole yen, and texts that look like markup', () => {
    const xml = invoiceXml(invoiceWith({ currency: 'JPY' }));
    expect(xml).toContain('<cbc:TaxInclusiveAmount currencyID="JPY">3993</cbc:TaxInclusiveAmount>');
    expect(xml).toContain('Plain &amp; “soft” &lt;1.25&gt;');
    expect(invoiceXml(invoiceWith({ to: { name: 'A\u0000B\ufffe', address: '' } }))).toContain(
      'AB',
    );
  });

  it('of a credit note names the invoice that it takes back', () => {
    const credit = creditFor(invoiceWith(), { number: 8, day: '2026-02-04', why: 'twice' });
    const xml = invoiceXml(credit);
    expect(xml).toContain('<cbc:CreditNoteTypeCode>381</cbc:CreditNoteTypeCode>');
    // The schema of a credit note has other names for the same places.
    const renamed = bindingOf(
      xml.replaceAll('CreditNote', 'Invoice').replaceAll('Credited', 'Invoiced'),
    );
    expect(JSON.stringify(renamed['cac:BillingReference'])).toContain('"7"');
    expect(misplaced(renamed, ROOT)).toEqual([]);
  });
});
