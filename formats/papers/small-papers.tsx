/** Slip, label and stub, each laid out for its own small sheet. */
import { Page, View } from '@react-pdf/renderer';
import { PAPER_SIZES, type Paper } from '@/core/papers/paper';
import { FIGURE, HAIR, mm, Qr, Set, TEXT, type } from './type';

type Of<K extends Paper['kind']> = Extract<Paper, { kind: K }>;

const sizeOf = (kind: Paper['kind']): [number, number] => {
  const [width, height] = PAPER_SIZES[kind];
  return [mm(width), mm(height)];
};

const named = (name: string, value: string) =>
  value === '' ? null : (
    <View key={name} style={{ marginBottom: mm(1.6) }}>
      <Set style={type.label}>{name}</Set>
      <Set style={{ ...type.text, fontSize: 9.5, lineHeight: 1.2 }}>{value}</Set>
    </View>
  );

/** A strip to wrap round a handle: the figures at the head, the code where the strip ends. */
export function SlipPage({ slip, page }: Of<'slip'>) {
  return (
    <Page size={sizeOf('slip')} style={{ ...type.text, padding: mm(4) }}>
      <View style={{ borderBottom: `1.2pt solid #1c1a17`, paddingBottom: mm(2) }}>
        <Set style={{ ...type.text, fontWeight: 600, fontSize: 11, lineHeight: 1.15 }}>
          {slip.client}
        </Set>
        <Set style={{ ...type.text, fontSize: 9 }}>
          {`${slip.racket}${slip.mark ? `, ${slip.mark}` : ''}`}
        </Set>
      </View>
      <Set style={{ ...type.figure, fontSize: slip.figure.length > 9 ? 24 : 29, marginTop: mm(2) }}>
        {slip.figure}
      </Set>
      <Set style={{ ...type.label, marginBottom: mm(2.5) }}>
        {`${slip.unit}, mains / crosses\n${slip.converted}`}
      </Set>
      {slip.strings.map(({ where, string }) => named(where, string))}
      {named('Bed', `${slip.layout}, ${slip.method}`)}
      {named('Strung', slip.by ? `${slip.strung} by ${slip.by}` : slip.strung)}
      {named('Due again', slip.due)}
      <Set style={{ ...type.text, fontSize: 9.5, fontWeight: 600, marginTop: mm(1) }}>
        {slip.judge}
      </Set>
      <View style={{ flexGrow: 1 }} />
      {page && (
        <View style={{ alignItems: 'center', marginBottom: mm(2) }}>
          <Qr address={page} side={28} />
          <Set style={{ ...type.label, textAlign: 'center' }}>How it ages</Set>
        </View>
      )}
      <View
        style={{
          borderTop: `0.6pt solid ${HAIR}`,
          paddingTop: mm(1.5),
          flexDirection: 'row',
          justifyContent: 'space-between',
          gap: mm(2),
        }}
      >
        <Set style={{ ...type.label, flexShrink: 1 }}>{slip.workshop}</Set>
        <Set
          style={{ fontFamily: FIGURE, fontWeight: 600, fontSize: 9 }}
        >{`No. ${slip.number}`}</Set>
      </View>
    </Page>
  );
}

/** For the bag: whose it is and the number, to be read from the shelf. */
export function LabelPage({ client, racket, number, workshop, figure, facts, page }: Of<'label'>) {
  return (
    <Page size={sizeOf('label')} style={{ ...type.text, padding: mm(4) }}>
      <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: mm(2) }}>
        <Set style={{ ...type.figure, fontSize: 40 }}>{String(number)}</Set>
        <View style={{ flexGrow: 1 }} />
        <Set style={{ ...type.figure, fontSize: 20 }}>{figure}</Set>
      </View>
      <View style={{ borderTop: `1.2pt solid #1c1a17`, marginTop: mm(1), paddingTop: mm(2) }}>
        <Set style={{ fontFamily: TEXT, fontWeight: 600, fontSize: 17, lineHeight: 1.1 }}>
          {client}
        </Set>
        <Set style={{ ...type.text, fontSize: 11, marginBottom: mm(2) }}>{racket}</Set>
      </View>
      {facts.map(({ name, value }) => named(name, value))}
      <View style={{ flexGrow: 1 }} />
      <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: mm(3) }}>
        {page && <Qr address={page} side={20} />}
        <Set style={{ ...type.label, flex: 1 }}>{workshop}</Set>
      </View>
    </Page>
  );
}

/** For the client, until the racket is theirs again. */
export function StubPage({
  client,
  racket,
  number,
  workshop,
  address,
  promised,
  facts,
  page,
}: Of<'stub'>) {
  return (
    <Page size={sizeOf('stub')} style={{ ...type.text, padding: mm(4) }}>
      <Set style={{ ...type.text, fontWeight: 600, fontSize: 11, lineHeight: 1.15 }}>
        {workshop}
      </Set>
      <Set style={type.label}>{address}</Set>
      <View
        style={{
          borderTop: `1.2pt solid #1c1a17`,
          marginTop: mm(2),
          paddingTop: mm(1.5),
          flexDirection: 'row',
          justifyContent: 'space-between',
          alignItems: 'flex-end',
        }}
      >
        <Set style={{ ...type.figure, fontSize: 34 }}>{`No. ${number}`}</Set>
      </View>
      {named('Ready', promised)}
      {named(client, racket)}
      {facts.map(({ name, value }) => named(name, value))}
      <View style={{ flexGrow: 1 }} />
      {page && (
        <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: mm(3) }}>
          <Qr address={page} side={20} />
          <Set style={{ ...type.label, flex: 1 }}>
            Your racket’s own page. Whoever has this code can open it.
          </Set>
        </View>
      )}
    </Page>
  );
}
