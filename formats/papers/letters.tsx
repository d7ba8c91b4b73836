/** Papers of a whole sheet: the letter that goes home with a racket, and the one for a racket that is not strung. */
import { Page, View } from '@react-pdf/renderer';
import type { Paper, PaperOf } from '@/core/papers/paper';
import { HAIR, mm, Qr, Set, type } from './type';

const A4_PADDING = { paddingVertical: mm(22), paddingHorizontal: mm(26) };
const PROSE = { ...type.text, fontSize: 11.5, lineHeight: 1.5, marginBottom: mm(4) };

/** Who writes, to whom, about what. */
function Head({
  paper: { workshop, address, client, day, racket },
  title,
}: {
  readonly paper: Paper;
  readonly title: string;
}) {
  return (
    <View style={{ marginBottom: mm(9) }}>
      <View
        style={{
          borderBottom: '1.2pt solid #1c1a17',
          paddingBottom: mm(3),
          marginBottom: mm(8),
          flexDirection: 'row',
          gap: mm(6),
        }}
      >
        <Set style={{ ...type.figure, fontSize: 20, flex: 1 }}>{workshop}</Set>
        <Set style={{ ...type.label, textAlign: 'right', maxWidth: mm(80) }}>{address}</Set>
      </View>
      <View style={{ flexDirection: 'row', gap: mm(6) }}>
        <Set style={{ ...type.text, fontSize: 11.5, flex: 1 }}>{client}</Set>
        <Set style={{ ...type.text, fontSize: 11.5 }}>{day}</Set>
      </View>
      <Set style={{ ...type.figure, fontSize: 22, marginTop: mm(9) }}>{title}</Set>
      <Set style={{ ...type.label, fontSize: 10, marginTop: mm(2) }}>{racket}</Set>
    </View>
  );
}

const Prose = ({ children }: { readonly children: string | null }) =>
  children ? <Set style={PROSE}>{children}</Set> : null;

/** What went in, why, what to expect, when to come back; the figures in a small table beside the words. */
export function LetterPage(paper: PaperOf<'letter'>) {
  const { letter, facts, back, page, client } = paper;
  return (
    <Page size="A4" style={{ ...type.text, ...A4_PADDING }}>
      <Head paper={paper} title="What is in your racket, and why" />
      <Prose>{`Dear ${client},`}</Prose>
      <Prose>{letter.wentIn}</Prose>
      <View style={{ marginBottom: mm(5), borderTop: `0.6pt solid ${HAIR}` }}>
        {facts.map(({ name, value }) => (
          <View
            key={name}
            style={{
              flexDirection: 'row',
              borderBottom: `0.6pt solid ${HAIR}`,
              paddingVertical: mm(1.2),
            }}
          >
            <Set style={{ ...type.label, width: mm(42), fontSize: 9.5 }}>{name}</Set>
            <Set style={{ ...type.figure, fontSize: 12.5, flex: 1 }}>{value}</Set>
          </View>
        ))}
      </View>
      <Prose>{letter.whyString}</Prose>
      <Prose>{letter.whyTension}</Prose>
      <Prose>{letter.expect}</Prose>
      <Prose>{letter.lasts}</Prose>
      <Prose>{letter.care}</Prose>
      <Prose>{back}</Prose>
      <View style={{ flexGrow: 1 }} />
      {page && (
        <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: mm(5) }}>
          <Qr address={page} side={26} />
          <Set style={{ ...type.label, flex: 1 }}>
            Your racket’s own page: how its strings age, when they are due, and a press to bring it
            again.
          </Set>
        </View>
      )}
    </Page>
  );
}

/** For a racket that goes back as it came. */
export function UnstrungPage(paper: PaperOf<'unstrung'>) {
  const { why, seen, number } = paper;
  return (
    <Page size="A4" style={{ ...type.text, ...A4_PADDING }}>
      <Head paper={paper} title="Handed back unstrung" />
      <Prose>{`Ticket ${number}. This racket was looked at and was not strung.`}</Prose>
      <Prose>{why}</Prose>
      {seen.length > 0 && <Prose>{`Seen on it: ${seen.join('; ')}.`}</Prose>}
      <Prose>
        A cracked frame can give way under the load of a new bed, on the machine or in play, and
        hurt whoever is near. Please do not play with it, and do not have it strung, before its
        maker or a repairer has looked at it. Nothing is asked for the inspection unless it was
        agreed.
      </Prose>
      <View style={{ flexGrow: 1 }} />
      <View style={{ flexDirection: 'row', gap: mm(16) }}>
        {['For the workshop', 'Received by its owner'].map((line) => (
          <View key={line} style={{ flexGrow: 1, borderTop: `0.8pt solid ${HAIR}`, paddingTop: 3 }}>
            <Set style={type.label}>{line}</Set>
          </View>
        ))}
      </View>
    </Page>
  );
}
