/** The readers of files that people bring, by name: each is given plain values and answers plain values. */
import { answerClients, type ClientField } from '@/formats/client-import';
import { framesToKeep, readFrameFile, type FrameRow } from '@/formats/frame-file';
import { answerJobs, readJobDocuments, type JobField } from '@/formats/job-import';
import { readSheet, type Mapping, type Sheet } from '@/formats/mapped-table';
import { answerPlayers, type PlayerField, type PlayersAsked } from '@/formats/player-import';
import { readStringTable } from '@/formats/string-table';

/** A table that can be read, with what is said to its rows. */
function ofSheet<T>(text: string, answer: (sheet: Sheet) => T) {
  const sheet = readSheet(text);
  return sheet.ok ? { ...sheet, value: answer(sheet.value) } : sheet;
}

export const PARSERS = {
  clients: (text: string, mapping: Mapping<ClientField>, known: readonly string[]) =>
    ofSheet(text, (sheet) => answerClients(sheet, mapping, new Set(known))),
  players: (
    text: string,
    mapping: Mapping<PlayerField>,
    asked: PlayersAsked,
    known: readonly string[],
  ) => ofSheet(text, (sheet) => answerPlayers(sheet, mapping, asked, new Set(known))),
  jobs: (
    text: string,
    mapping: Mapping<JobField>,
    asked: Parameters<typeof answerJobs>[2],
    known: readonly string[],
  ) => ofSheet(text, (sheet) => answerJobs(sheet, mapping, asked, new Set(known))),
  jobDocuments: readJobDocuments,
  frames: (text: string, here: readonly string[]): readonly FrameRow[] =>
    framesToKeep([readFrameFile(text)], new Set(here))[0] ?? [],
  strings: readStringTable,
} as const;

export type Parsers = typeof PARSERS;
