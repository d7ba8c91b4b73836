/** An invoice or a credit note on A4, over as many sheets as its lines need. */
import { Page, Text, View } from '@react-pdf/renderer';
import { formatMoney } from '@/core/measure/money';
import { formatDayIn } from '@/core/measure/promised-time';
import { invoiceTotals, rateWords, takenBackWords, type Invoice } from '@/core/papers/invoice';
import { HAIR, mm, Set, type } from './type';

interface InvoicePagesProps {
  readonly invoice: Invoice;
  /** Whether it is paid, and how; empty where that is not to stand on it. */
  readonly payment: string;
}

const SMALL = { ...type.text, fontSize: 9.5, lineHeight: 1.3 };
const RIGHT = { textAlign: 'right' } as const;
const CELLS = { job: mm(14), rate: mm(16), count: mm(14), each: mm(26), sum: mm(28) };

export function InvoicePages({ invoice, payment }: InvoicePagesProps) {
  const { kind, number, day, currency, locale, from, to, lines, taxIncluded, reverses } = invoice;
  const totals = invoiceTotals(invoice);
  const money = (minor: number) => formatMoney(minor, currency, locale);
  const title = kind === 'invoice' ? 'Invoice' : 'Credit note';
  return (
    <Page size="A4" style={{ ...type.text, padding: mm(22), paddingBottom: mm(26) }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', marginBottom: mm(14) }}>
        <View style={{ maxWidth: mm(90) }}>
          <Set style={{ ...type.figure, fontSize: 18, marginBottom: mm(1) }}>{from.name}</Set>
          <Set style={SMALL}>{from.address}</Set>
          {from.taxNumber && <Set style={SMALL}>{`Tax number ${from.taxNumber}`}</Set>}
        </View>
        <View style={{ alignItems: 'flex-end' }}>
          <Set style={{ ...type.figure, fontSize: 26 }}>{`${title} ${number}`}</Set>
          <Set style={SMALL}>{formatDayIn(day, locale)}</Set>
        </View>
      </View>
      <View style={{ marginBottom: mm(10) }}>
        <Set style={type.label}>To</Set>
        <Set style={{ ...type.text, fontWeight: 600 }}>{to.name}</Set>
        {to.address && <Set style={SMALL}>{to.address}</Set>}
      </View>
      {reverses !== null && (
        <Set style={{ ...type.text, marginBottom: mm(6) }}>{takenBackWords(invoice)}</Set>
      )}
      <View
        fixed
        style={{ flexDirection: 'row', borderBottom: '1pt solid #1c1a17', paddingBottom: 2 }}
      >
        <Set style={{ ...type.label, width: CELLS.job }}>Job</Set>
        <Set style={{ ...type.label, flexGrow: 1 }}>Work and goods</Set>
        <Set style={{ ...type.label, ...RIGHT, width: CELLS.rate }}>Tax</Set>
        <Set style={{ ...type.label, ...RIGHT, width: CELLS.count }}>Count</Set>
        <Set style={{ ...type.label, ...RIGHT, width: CELLS.each }}>Each</Set>
        <Set style={{ ...type.label, ...RIGHT, width: CELLS.sum }}>Amount</Set>
      </View>
      {lines.map(({ job, text, taxBp, quantity, unitMinor }, i) => (
        <View
          key={i}
          wrap={false}
          style={{ flexDirection: 'row', borderBottom: `0.5pt solid ${HAIR}`, paddingVertical: 3 }}
        >
          <Set style={{ ...SMALL, width: CELLS.job }}>{String(job)}</Set>
          <Set style={{ ...SMALL, flexGrow: 1, flexBasis: 0 }}>{text}</Set>
          <Set style={{ ...SMALL, ...RIGHT, width: CELLS.rate }}>{rateWords(taxBp)}</Set>
          <Set style={{ ...SMALL, ...RIGHT, width: CELLS.count }}>{String(quantity)}</Set>
          <Set style={{ ...SMALL, ...RIGHT, width: CELLS.each }}>{money(unitMinor)}</Set>
          <Set style={{ ...SMALL, ...RIGHT, width: CELLS.sum }}>{money(quantity * unitMinor)}</Set>
        </View>
      ))}
      <View wrap={false} style={{ marginTop: mm(6), alignSelf: 'flex-end', width: mm(104) }}>
        {totals.byRate.map(({ taxBp, netMinor, taxMinor }) => (
          <View key={taxBp} style={{ flexDirection: 'row' }}>
            <Set style={{ ...SMALL, flexGrow: 1 }}>
              {`Without tax ${money(netMinor)}, tax at ${rateWords(taxBp)}`}
            </Set>
            <Set style={{ ...SMALL, ...RIGHT, width: CELLS.sum }}>{money(taxMinor)}</Set>
          </View>
        ))}
        <View
          style={{
            flexDirection: 'row',
            alignItems: 'flex-end',
            borderTop: '1pt solid #1c1a17',
            marginTop: 3,
            paddingTop: 3,
          }}
        >
          <Set style={{ ...type.text, fontWeight: 600, flexGrow: 1 }}>
            {kind === 'invoice' ? 'In all' : 'Credited in all'}
          </Set>
          <Set style={{ ...type.figure, fontSize: 18 }}>{money(totals.grossMinor)}</Set>
        </View>
        <Set style={type.label}>
          {taxIncluded ? 'The amounts of the lines hold their tax.' : 'The lines are without tax.'}
        </Set>
      </View>
      {payment !== '' && (
        <Set style={{ ...type.text, marginTop: mm(8), fontWeight: 600 }}>{payment}</Set>
      )}
      <Text
        fixed
        style={{ ...type.label, position: 'absolute', bottom: mm(12), right: mm(22) }}
        render={({ pageNumber, totalPages }) =>
          `${title} ${number}, page ${pageNumber} of ${totalPages}`
        }
      />
    </Page>
  );
}
