/** The structured twin of an invoice: UBL 2.1 (ISO/IEC 19845), Invoice and CreditNote. */
import { create } from 'xmlbuilder2';
import { moneyFigure } from '@/core/measure/money';
import { invoiceTotals, type Invoice } from '@/core/papers/invoice';

const UBL = 'urn:oasis:names:specification:ubl:schema:xsd';
/** UNCL 1001: commercial invoice, credit note. */
const TYPE_CODE = { invoice: '380', 'credit note': '381' } as const;
/** UN/ECE Recommendation 20: one, a piece of work. */
const EACH = 'C62';

type Node = ReturnType<ReturnType<typeof create>['ele']>;

/** What XML 1.0 does not hold is left out. */
const plain = (text: string): string =>
  text.replace(/[^\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu, '');

const percent = (taxBp: number): string => String(taxBp / 100);

/** UNCL 5305: standard rate, or nothing to be taxed. */
const categoryOf = (taxBp: number): 'S' | 'Z' => (taxBp > 0 ? 'S' : 'Z');

function party(
  parent: Node,
  role: 'AccountingSupplierParty' | 'AccountingCustomerParty',
  {
    name,
    address,
    country = '',
    taxNumber = '',
  }: { name: string; address: string; country?: string; taxNumber?: string },
): void {
  const inside = parent.ele(`cac:${role}`).ele('cac:Party');
  inside.ele('cac:PartyName').ele('cbc:Name').txt(plain(name));
  const lines = address.split('\n').filter(Boolean);
  if (lines.length > 0 || country) {
    const at = inside.ele('cac:PostalAddress');
    if (lines[0]) at.ele('cbc:StreetName').txt(plain(lines[0]));
    if (lines.length > 2)
      at.ele('cbc:AdditionalStreetName').txt(plain(lines.slice(1, -1).join(', ')));
    if (lines.length > 1) at.ele('cbc:CityName').txt(plain(lines.at(-1) ?? ''));
    if (country) at.ele('cac:Country').ele('cbc:IdentificationCode').txt(country);
  }
  if (taxNumber) {
    const scheme = inside.ele('cac:PartyTaxScheme');
    scheme.ele('cbc:CompanyID').txt(plain(taxNumber));
    scheme.ele('cac:TaxScheme').ele('cbc:ID').txt('VAT');
  }
  inside.ele('cac:PartyLegalEntity').ele('cbc:RegistrationName').txt(plain(name));
}

function category(
  parent: Node,
  name: 'TaxCategory' | 'ClassifiedTaxCategory',
  taxBp: number,
): void {
  const inside = parent.ele(`cac:${name}`);
  inside.ele('cbc:ID').txt(categoryOf(taxBp));
  inside.ele('cbc:Percent').txt(percent(taxBp));
  inside.ele('cac:TaxScheme').ele('cbc:ID').txt('VAT');
}

/**
 * An invoice or a credit note as XML. Amounts of lines are without tax, and add up to the sum of the lines.
 *
 * @param paidMinor what is paid of it already
 */
export function invoiceXml(invoice: Invoice, paidMinor = 0): string {
  const { kind, number, day, currency, from, to, lines, reverses, why } = invoice;
  const totals = invoiceTotals(invoice);
  const root = kind === 'invoice' ? 'Invoice' : 'CreditNote';
  const xml = create({ version: '1.0', encoding: 'UTF-8' }).ele(`${UBL}:${root}-2`, root, {
    'xmlns:cac': `${UBL}:CommonAggregateComponents-2`,
    'xmlns:cbc': `${UBL}:CommonBasicComponents-2`,
  });
  const money = (parent: Node, name: string, minor: number) =>
    parent.ele(`cbc:${name}`, { currencyID: currency }).txt(moneyFigure(minor, currency));

  xml.ele('cbc:ID').txt(String(number));
  xml.ele('cbc:IssueDate').txt(day);
  xml
    .ele(kind === 'invoice' ? 'cbc:InvoiceTypeCode' : 'cbc:CreditNoteTypeCode')
    .txt(TYPE_CODE[kind]);
  if (why) xml.ele('cbc:Note').txt(plain(why));
  xml.ele('cbc:DocumentCurrencyCode').txt(currency);
  if (reverses !== null)
    xml
      .ele('cac:BillingReference')
      .ele('cac:InvoiceDocumentReference')
      .ele('cbc:ID')
      .txt(String(reverses));
  party(xml, 'AccountingSupplierParty', from);
  party(xml, 'AccountingCustomerParty', to);
  const tax = xml.ele('cac:TaxTotal');
  money(tax, 'TaxAmount', totals.taxMinor);
  for (const { taxBp, netMinor, taxMinor } of totals.byRate) {
    const sub = tax.ele('cac:TaxSubtotal');
    money(sub, 'TaxableAmount', netMinor);
    money(sub, 'TaxAmount', taxMinor);
    category(sub, 'TaxCategory', taxBp);
  }
  const sums = xml.ele('cac:LegalMonetaryTotal');
  money(sums, 'LineExtensionAmount', totals.netMinor);
  money(sums, 'TaxExclusiveAmount', totals.netMinor);
  money(sums, 'TaxInclusiveAmount', totals.grossMinor);
  if (paidMinor > 0) money(sums, 'PrepaidAmount', paidMinor);
  money(sums, 'PayableAmount', totals.grossMinor - paidMinor);
  lines.forEach(({ job, text, quantity, taxBp }, i) => {
    const net = totals.lineNets[i] ?? 0;
    const line = xml.ele(kind === 'invoice' ? 'cac:InvoiceLine' : 'cac:CreditNoteLine');
    line.ele('cbc:ID').txt(String(i + 1));
    line
      .ele(kind === 'invoice' ? 'cbc:InvoicedQuantity' : 'cbc:CreditedQuantity', { unitCode: EACH })
      .txt(String(quantity));
    money(line, 'LineExtensionAmount', net);
    const item = line.ele('cac:Item');
    item.ele('cbc:Description').txt(`Job ${job}`);
    item.ele('cbc:Name').txt(plain(text));
    category(item, 'ClassifiedTaxCategory', taxBp);
    const price = line.ele('cac:Price');
    // Of all of them together, so that no rounded price of one has to be multiplied again.
    money(price, 'PriceAmount', net);
    price.ele('cbc:BaseQuantity', { unitCode: EACH }).txt(String(quantity));
  });
  return xml.end({ prettyPrint: true });
}
