/** Slip, label and stub, each laid out for its own small sheet. */
import type { ReactNode } from 'react';
import { Page, View } from '@react-pdf/renderer';
import { PAPERS, type PaperKind, type PaperOf } from '@/core/papers/paper';
import { FIGURE, HAIR, mm, Qr, Set, sizeWithin, TEXT, type } from './type';

const sizeOf = (kind: PaperKind): [number, number] => {
  const [width, height] = PAPERS[kind].sheet;
  return [mm(width), mm(height)];
};

const PADDING_MM = 4;

/** One small sheet: what stands at its foot stays there, and what is too long for its place is cut off before it. */
function Sheet({
  kind,
  children,
  foot,
}: {
  readonly kind: 'slip' | 'label' | 'stub';
  readonly children: ReactNode;
  readonly foot: ReactNode;
}) {
  const [, height] = PAPERS[kind].sheet;
  return (
    <Page size={sizeOf(kind)} style={{ ...type.text, padding: mm(PADDING_MM) }}>
      {/* A point less than there is: a figure that is rounded up would open a second sheet. */}
      <View style={{ height: mm(height - 2 * PADDING_MM) - 1 }} wrap={false}>
        <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0, overflow: 'hidden' }}>
          {children}
        </View>
        <View style={{ flexShrink: 0, paddingTop: mm(2) }}>{foot}</View>
      </View>
    </Page>
  );
}

const named = (name: string, value: string) =>
  value === '' ? null : (
    <View key={name} style={{ marginBottom: mm(1.6) }}>
      <Set style={type.label} lines={2}>
        {name}
      </Set>
      <Set style={{ ...type.text, fontSize: 9.5, lineHeight: 1.2 }} lines={2}>
        {value}
      </Set>
    </View>
  );

/** A strip to wrap round a handle: the figures at the head, the code where the strip ends. */
export function SlipPage({ slip, page }: PaperOf<'slip'>) {
  return (
    <Sheet
      kind="slip"
      foot={
        <>
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
            <Set style={{ ...type.label, flexShrink: 1, flexBasis: 0, flexGrow: 1 }} lines={2}>
              {slip.workshop}
            </Set>
            <Set
              style={{ fontFamily: [...FIGURE], fontWeight: 600, fontSize: 9 }}
            >{`No. ${slip.number}`}</Set>
          </View>
        </>
      }
    >
      <View style={{ borderBottom: `1.2pt solid #1c1a17`, paddingBottom: mm(2) }}>
        <Set style={{ ...type.text, fontWeight: 600, fontSize: 11, lineHeight: 1.15 }} lines={3}>
          {slip.client}
        </Set>
        <Set style={{ ...type.text, fontSize: 9 }} lines={3}>
          {`${slip.racket}${slip.mark ? `, ${slip.mark}` : ''}`}
        </Set>
      </View>
      <Set style={{ ...type.figure, fontSize: sizeWithin(slip.figure, 29, 32), marginTop: mm(2) }}>
        {slip.figure}
      </Set>
      <Set style={{ ...type.label, marginBottom: mm(2.5) }}>
        {`${slip.unit}, mains / crosses\n${slip.converted}`}
      </Set>
      {named('Changed midway', slip.changed)}
      {named('Set on the dial', slip.dial)}
      {slip.strings.map(({ where, string }) => named(where, string))}
      {named('Bed', `${slip.layout}, ${slip.method}`)}
      {named('Strung', slip.by ? `${slip.strung} by ${slip.by}` : slip.strung)}
      {named('Due again', slip.due)}
      <Set style={{ ...type.text, fontSize: 9.5, fontWeight: 600, marginTop: mm(1) }}>
        {slip.judge}
      </Set>
    </Sheet>
  );
}

/** For the bag: whose it is and the number, to be read from the shelf. */
export function LabelPage({
  client,
  racket,
  number,
  workshop,
  figure,
  facts,
  page,
}: PaperOf<'label'>) {
  return (
    <Sheet
      kind="label"
      foot={
        <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: mm(3) }}>
          {page && <Qr address={page} side={20} />}
          <Set style={{ ...type.label, flex: 1 }} lines={4}>
            {workshop}
          </Set>
        </View>
      }
    >
      <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: mm(2) }}>
        <Set style={{ ...type.figure, fontSize: sizeWithin(String(number), 40, 24) }}>
          {String(number)}
        </Set>
        <View style={{ flexGrow: 1 }} />
        <Set style={{ ...type.figure, fontSize: sizeWithin(figure, 20, 28) }}>{figure}</Set>
      </View>
      <View style={{ borderTop: `1.2pt solid #1c1a17`, marginTop: mm(1), paddingTop: mm(2) }}>
        <Set
          style={{ fontFamily: [...TEXT], fontWeight: 600, fontSize: 17, lineHeight: 1.1 }}
          lines={3}
        >
          {client}
        </Set>
        <Set style={{ ...type.text, fontSize: 11, marginBottom: mm(2) }} lines={2}>
          {racket}
        </Set>
      </View>
      {facts.map(({ name, value }) => named(name, value))}
    </Sheet>
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
}: PaperOf<'stub'>) {
  return (
    <Sheet
      kind="stub"
      foot={
        page && (
          <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: mm(3) }}>
            <Qr address={page} side={20} />
            <Set style={{ ...type.label, flex: 1 }}>
              Your racket’s own page. Whoever has this code can open it.
            </Set>
          </View>
        )
      }
    >
      <Set style={{ ...type.text, fontWeight: 600, fontSize: 11, lineHeight: 1.15 }} lines={2}>
        {workshop}
      </Set>
      <Set style={type.label} lines={4}>
        {address}
      </Set>
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
    </Sheet>
  );
}
