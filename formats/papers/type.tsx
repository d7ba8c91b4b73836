/** The type of papers that are made as PDF: the application's own, with two more scripts for names. */
import { join } from 'node:path';
import { Font, Path, StyleSheet, Svg, Text, type TextProps } from '@react-pdf/renderer';
import { qrPath } from '../qr';

// The server and every command run in the folder of the application.
const FILES = join(process.cwd(), 'node_modules', '@fontsource');

const WEIGHTS = [400, 600] as const;
/** By name: the package, and the part of it. The first that has a letter sets it. */
const FACES = {
  Barlow: ['barlow', 'latin'],
  'Barlow ext': ['barlow', 'latin-ext'],
  'Barlow vi': ['barlow', 'vietnamese'],
  'Sans el': ['noto-sans', 'greek'],
  'Sans ru': ['noto-sans', 'cyrillic'],
  'Sans ru ext': ['noto-sans', 'cyrillic-ext'],
  Condensed: ['barlow-condensed', 'latin'],
  'Condensed ext': ['barlow-condensed', 'latin-ext'],
} as const;

for (const [family, [pack, part]] of Object.entries(FACES))
  Font.register({
    family,
    fonts: WEIGHTS.map((fontWeight) => ({
      src: join(FILES, pack, 'files', `${pack}-${part}-${fontWeight}-normal.woff`),
      fontWeight,
    })),
  });
// Names and strings are not hyphenated.
Font.registerHyphenationCallback((word) => [word]);

const OTHERS = ['Sans el', 'Sans ru', 'Sans ru ext'];
export const TEXT = ['Barlow', 'Barlow ext', 'Barlow vi', ...OTHERS];
export const FIGURE = [
  'Condensed',
  'Condensed ext',
  'Barlow',
  'Barlow ext',
  'Barlow vi',
  ...OTHERS,
];

/** What these faces can set: Latin, Greek and Cyrillic with their marks. */
const UNSET =
  /[^\n\u0020-\u007e\u00a0-\u024f\u0300-\u036f\u0370-\u03ff\u0400-\u052f\u1e00-\u1eff\u2010-\u2027\u2030-\u203a\u20ac\u2122\u2212]/gu;

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
  text: { fontFamily: TEXT, fontSize: 10, color: INK, lineHeight: 1.35 },
  label: { fontFamily: TEXT, fontSize: 8, color: SOFT, lineHeight: 1.25 },
  figure: { fontFamily: FIGURE, fontWeight: 600, color: INK, lineHeight: 1.1 },
});

interface SetProps {
  readonly children: string;
  readonly style?: TextProps['style'];
}

/** A text of the records, with what cannot be set marked. */
export const Set = ({ children, style }: SetProps) => (
  <Text {...(style && { style })}>{setable(children)}</Text>
);

/** The code of an address, `side` millimetres wide. */
export function Qr({ address, side }: { readonly address: string; readonly side: number }) {
  const { size, d } = qrPath(address);
  return (
    <Svg viewBox={`0 0 ${size} ${size}`} style={{ width: mm(side), height: mm(side) }}>
      <Path d={d} fill="#000000" />
    </Svg>
  );
}
