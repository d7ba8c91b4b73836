/** The type of papers that are made as PDF: the application's own, and faces for the scripts in which names are written. */
import { join } from 'node:path';
import { Font, Path, StyleSheet, Svg, Text, type TextProps } from '@react-pdf/renderer';
import { qrPath } from '../qr';

// The server and every command run in the folder of the application.
const PACKAGES = join(process.cwd(), 'node_modules', '@fontsource');
const SHIPPED = join(process.cwd(), 'formats', 'papers', 'faces');

const WEIGHTS = [400, 600] as const;
/** By name: the package, and the part of it. The first that has a letter sets it. */
const FACES = {
  Barlow: ['barlow', 'latin'],
  'Barlow ext': ['barlow', 'latin-ext'],
  'Barlow vi': ['barlow', 'vietnamese'],
  'Sans el': ['noto-sans', 'greek'],
  'Sans ru': ['noto-sans', 'cyrillic'],
  'Sans ru ext': ['noto-sans', 'cyrillic-ext'],
  'Sans hi': ['noto-sans', 'devanagari'],
  'Sans he': ['noto-sans-hebrew', 'hebrew'],
  'Sans ar': ['noto-sans-arabic', 'arabic'],
  'Sans th': ['noto-sans-thai', 'thai'],
  Condensed: ['barlow-condensed', 'latin'],
  'Condensed ext': ['barlow-condensed', 'latin-ext'],
} as const;
/** Their packages weigh 200 MB: the one weight of each that names need ships with the application. */
const LARGE_FACES = {
  'Sans ja': 'noto-sans-jp-japanese',
  'Sans zh': 'noto-sans-sc-chinese-simplified',
  'Sans ko': 'noto-sans-kr-korean',
} as const;

for (const [family, [pack, part]] of Object.entries(FACES))
  Font.register({
    family,
    fonts: WEIGHTS.map((fontWeight) => ({
      src: join(PACKAGES, pack, 'files', `${pack}-${part}-${fontWeight}-normal.woff`),
      fontWeight,
    })),
  });
for (const [family, file] of Object.entries(LARGE_FACES))
  Font.register({ family, src: join(SHIPPED, `${file}-400-normal.woff`) });

/** Scripts that a face of their own sets; it is read from the disk when a name needs it. */
const SCRIPTS = [
  [/\p{Script=Greek}/u, ['Sans el']],
  [/\p{Script=Cyrillic}/u, ['Sans ru', 'Sans ru ext']],
  [/\p{Script=Hebrew}/u, ['Sans he']],
  [/\p{Script=Arabic}/u, ['Sans ar']],
  [/\p{Script=Devanagari}/u, ['Sans hi']],
  [/\p{Script=Thai}/u, ['Sans th']],
  [/\p{Script=Hangul}/u, ['Sans ko']],
  // Han letters are drawn the Japanese way beside kana, else the Chinese one; each face has some that the other lacks.
  [/[\p{Script=Hiragana}\p{Script=Katakana}]/u, ['Sans ja', 'Sans zh']],
  [/\p{Script=Han}/u, ['Sans zh', 'Sans ja']],
] as const;

export const TEXT: readonly string[] = ['Barlow', 'Barlow ext', 'Barlow vi'];
export const FIGURE: readonly string[] = ['Condensed', 'Condensed ext', ...TEXT];

/** The faces that set a text: those of its style, and those of the scripts that it is written in. */
export const facesFor = (text: string, faces: readonly string[]): string[] =>
  [
    ...faces,
    ...SCRIPTS.flatMap(([script, families]) => (script.test(text) ? families : [])),
  ].filter((face, i, all) => all.indexOf(face) === i);

const UNBROKEN = 24;
/** Scripts that set no space between their words. */
const WITHOUT_SPACES = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}]/u;

/** Nothing is hyphenated. What is too long for a line, or knows no spaces, may break between any two letters. */
export const breakable = (word: string): string[] =>
  word.length <= UNBROKEN && !WITHOUT_SPACES.test(word)
    ? [word]
    : // Nothing between two letters is a place to break without a hyphen.
      [...new Intl.Segmenter().segment(word)].flatMap(({ segment }) => [segment, '']);

Font.registerHyphenationCallback(breakable);

/** What these faces can set: letters of their scripts with their marks, figures and the signs of a text. */
const UNSET =
  /[^\n\u0020-\u007e\u00a0-\u024f\u0300-\u036f\u0370-\u03ff\u0400-\u052f\u0591-\u05f4\u0600-\u06ff\u0900-\u097f\u0e01-\u0e5b\u1e00-\u1eff\u2010-\u2027\u2030-\u203a\u20ac\u2122\u2212\u3000-\u303f\u3041-\u30ff\u4e00-\u9fff\uac00-\ud7a3]/gu;

/**
 * A text with a mark for every letter that no face here has, so that nothing is set wrong unseen.
 */
export const setable = (text: string): string => text.normalize('NFC').replace(UNSET, '?');

/** Millimetres in points. */
export const mm = (value: number): number => (value * 72) / 25.4;

const INK = '#1c1a17';
const SOFT = '#5c564c';
export const HAIR = '#b9b0a0';

export const type = StyleSheet.create({
  text: { fontFamily: [...TEXT], fontSize: 10, color: INK, lineHeight: 1.35 },
  label: { fontFamily: [...TEXT], fontSize: 8, color: SOFT, lineHeight: 1.25 },
  figure: { fontFamily: [...FIGURE], fontWeight: 600, color: INK, lineHeight: 1.1 },
});

/** Names longer than this may have to end before their end. */
const LONG = 36;

interface SetProps {
  readonly children: string;
  readonly style: Exclude<TextProps['style'], readonly unknown[] | undefined>;
  /** At most so many, the last with a mark where there would be more. */
  readonly lines?: number;
}

/** A text of the records in the faces that it needs, with what cannot be set marked. */
export function Set({ children, style, lines }: SetProps) {
  const text = setable(children);
  const { fontFamily } = style;
  const faces = typeof fontFamily === 'string' ? [fontFamily] : (fontFamily ?? TEXT);
  return (
    <Text
      style={{
        ...style,
        fontFamily: facesFor(text, faces),
        ...(lines && { maxLines: lines, textOverflow: 'ellipsis' }),
        // The mark that something is left out is set beyond the line.
        ...(lines && text.length > LONG && { paddingRight: style.fontSize ?? type.text.fontSize }),
      }}
    >
      {text}
    </Text>
  );
}

/** Points at which a figure of the condensed face stays within a width, mm: its signs are 0.38 as wide as high at most. */
export const sizeWithin = (text: string, most: number, widthMm: number): number =>
  Math.min(most, mm(widthMm) / (0.38 * text.length));

/** The code of an address, `side` millimetres wide. */
export function Qr({ address, side }: { readonly address: string; readonly side: number }) {
  const { size, d } = qrPath(address);
  return (
    <Svg viewBox={`0 0 ${size} ${size}`} style={{ width: mm(side), height: mm(side) }}>
      <Path d={d} fill="#000000" />
    </Svg>
  );
}
