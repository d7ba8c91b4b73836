/** Text with one frame document or a list of them, read so that a bad one does not keep out a good one. */
import { bisectRight } from 'd3-array';
import {
  findNodeAtLocation,
  getNodeValue,
  parseTree,
  printParseErrorCode,
  type Node,
  type ParseError,
} from 'jsonc-parser';
import { sameName } from '@/core/measure/typed';
import { documentOf, frameDocumentSchema, readDocument, type NamedFrame } from './frame-document';

interface FileProblem {
  /** Line of the text, 1 first. */
  readonly line: number;
  readonly reason: string;
}

export type FileEntry =
  | { readonly ok: true; readonly line: number; readonly frame: NamedFrame }
  | {
      readonly ok: false;
      readonly line: number;
      readonly name: string | undefined;
      readonly problems: readonly FileProblem[];
    };

/** Larger texts are no frames: a library of a thousand has about a megabyte. */
export const MOST_LETTERS = 4_000_000;
const MOST_FRAMES = 2000;

/** Tells the line of a place in a text, 1 first; asked for each frame of a long file. */
function linesOf(text: string): (offset: number) => number {
  const starts: number[] = [0];
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) starts.push(at + 1);
  return (offset) => bisectRight(starts, offset);
}

const ERRORS: Record<string, string> = {
  InvalidSymbol: 'a word that JSON does not know',
  InvalidNumberFormat: 'a number that JSON does not know',
  PropertyNameExpected: 'a name in double quotes is missing',
  ValueExpected: 'a value is missing',
  ColonExpected: 'a colon is missing',
  CommaExpected: 'a comma is missing',
  CloseBraceExpected: 'a closing } is missing',
  CloseBracketExpected: 'a closing ] is missing',
  EndOfFileExpected: 'something stands after the end; several frames go into one list, [ … ]',
  InvalidCommentToken: 'JSON has no comments',
  UnexpectedEndOfComment: 'JSON has no comments',
  UnexpectedEndOfString: 'a text is not closed by a double quote',
  UnexpectedEndOfNumber: 'a number breaks off',
  InvalidUnicode: 'a letter code that does not exist',
  InvalidEscapeCharacter: 'a backslash with a letter that means nothing',
  InvalidCharacter: 'a letter that may not stand in a text',
};

/** Reads one document or a list of them; every entry is a sound frame or says line and reason. Never throws. */
export function readFrameFile(text: string): readonly FileEntry[] {
  const whole = (reason: string, line = 1): readonly FileEntry[] => [
    { ok: false, line, name: undefined, problems: [{ line, reason }] },
  ];
  if (text.trim() === '') return whole('There is nothing in it.');
  if (text.length > MOST_LETTERS) return whole('Too long for a file of frames.');
  const lineOf = linesOf(text);
  const errors: ParseError[] = [];
  const root = parseTree(text, errors, { disallowComments: true, allowTrailingComma: false });
  const said = (error: ParseError): FileProblem => ({
    line: lineOf(error.offset),
    reason: ERRORS[printParseErrorCode(error.error)] ?? 'this is not JSON',
  });
  if (!root) return whole(errors[0] ? said(errors[0]).reason : 'this is not JSON');
  if (root.type !== 'array' && root.type !== 'object')
    return whole('A frame is a JSON object in braces, or a list of them.');
  const documents = root.type === 'array' ? (root.children ?? []) : [root];
  if (documents.length === 0) return whole('The list is empty.');
  if (documents.length > MOST_FRAMES) return whole(`At most ${MOST_FRAMES} frames in one file.`);

  const within = ({ offset, length }: Node) => ({ from: offset, to: offset + length });
  const blamed = new Set<ParseError>();
  const entries = documents.map((node): FileEntry => {
    const { from, to } = within(node);
    const own = errors.filter(({ offset }) => offset >= from && offset <= to);
    own.forEach((error) => blamed.add(error));
    const line = lineOf(from);
    const nameNode = findNodeAtLocation(node, ['name']);
    const name = nameNode?.type === 'string' ? String(nameNode.value) : undefined;
    if (own.length > 0) return { ok: false, line, name, problems: own.slice(0, 3).map(said) };
    const read = readDocument(getNodeValue(node) as unknown);
    if (read.ok) return { ok: true, line, frame: read.frame };
    return {
      ok: false,
      line,
      name,
      problems: read.problems.map(({ path, reason }) => ({
        line: lineOf(nearest(node, path).offset),
        reason,
      })),
    };
  });
  const rest = errors.filter((error) => !blamed.has(error));
  return rest[0]
    ? [
        ...entries,
        { ok: false, line: said(rest[0]).line, name: undefined, problems: [said(rest[0])] },
      ]
    : entries;
}

/** What two frames that are one have in common: all that is known of them, and their name without its case. */
export const frameKey = ({ name, spec }: NamedFrame): string =>
  JSON.stringify(frameDocumentSchema.parse(documentOf({ name: sameName(name), spec })));

/** An entry of a file, and what becomes of it. */
export type FrameRow =
  | (Extract<FileEntry, { ok: true }> & { readonly state: 'new' | 'here' | 'twice' })
  | (Extract<FileEntry, { ok: false }> & { readonly state: 'wrong' });

/**
 * What becomes of the frames of several files that come in one after the other: a frame that is here already, or that
 * came a line before, is no new one.
 *
 * @param here keys of the frames that are here
 */
export function framesToKeep(
  files: readonly (readonly FileEntry[])[],
  here: ReadonlySet<string>,
): readonly (readonly FrameRow[])[] {
  const came = new Set<string>();
  const rowOf = (entry: FileEntry): FrameRow => {
    if (!entry.ok) return { ...entry, state: 'wrong' };
    const key = frameKey(entry.frame);
    const state = here.has(key) ? 'here' : came.has(key) ? 'twice' : 'new';
    came.add(key);
    return { ...entry, state };
  };
  return files.map((entries) => entries.map(rowOf));
}

/** The node at a path, or the innermost one on the way to it that is there. */
function nearest(node: Node, path: readonly PropertyKey[]): Node {
  for (let depth = path.length; depth > 0; depth--) {
    const found = findNodeAtLocation(node, path.slice(0, depth) as (string | number)[]);
    if (found) return found;
  }
  return node;
}

/** Frames as text: one object, or a list where there are several. */
export function writeFrameFile(frames: readonly NamedFrame[]): string {
  const documents = frames.map(documentOf);
  return `${JSON.stringify(documents.length === 1 ? documents[0] : documents, null, 2)}\n`;
}
