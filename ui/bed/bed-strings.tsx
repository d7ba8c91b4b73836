import type { StringName } from '@/core/terms/string-name';
import { memo } from 'react';
import type { StringLine } from './ink';

/** Strings are drawn a little thicker than they are, so that over and under can be seen. */
const MAIN_WIDTH = 1.7;
const CROSS_WIDTH = 2.6;
const HALO = 1.6;
const CROSS_CORE = 0.9;

interface OneString {
  readonly line: StringLine;
  readonly strung: boolean;
}

const Main = memo(function Main({ line, strung }: OneString) {
  return strung ? (
    <path d={line.d} className="stroke-mains fill-none" strokeWidth={MAIN_WIDTH} />
  ) : null;
});

const MainOver = memo(function MainOver({ line, strung }: OneString) {
  return strung ? (
    <>
      <path d={line.over} className="stroke-sheet fill-none" strokeWidth={MAIN_WIDTH + HALO} />
      <path d={line.over} className="stroke-mains fill-none" strokeWidth={MAIN_WIDTH} />
    </>
  ) : null;
});

const Cross = memo(function Cross({ line, strung }: OneString) {
  return strung ? (
    <>
      <path d={line.d} className="stroke-sheet fill-none" strokeWidth={CROSS_WIDTH + HALO} />
      <path d={line.d} className="stroke-crosses fill-none" strokeWidth={CROSS_WIDTH} />
      <path d={line.d} className="stroke-sheet fill-none" strokeWidth={CROSS_CORE} />
    </>
  ) : null;
});

/**
 * All strings with real over and under. Each is drawn once and only shown or hidden as the racket is
 * strung; where a main is there and its cross is not yet, the piece that will lie over hides nothing.
 */
export const BedStrings = memo(function BedStrings({
  lines,
  isStrung,
}: {
  readonly lines: readonly StringLine[];
  readonly isStrung: (name: StringName) => boolean;
}) {
  const mains = lines.filter(({ kind }) => kind === 'main');
  const crosses = lines.filter(({ kind }) => kind === 'cross');
  return (
    <>
      {mains.map((line) => (
        <Main key={line.name} line={line} strung={isStrung(line.name)} />
      ))}
      {crosses.map((line) => (
        <Cross key={line.name} line={line} strung={isStrung(line.name)} />
      ))}
      {mains.map((line) => (
        <MainOver key={line.name} line={line} strung={isStrung(line.name)} />
      ))}
    </>
  );
});
