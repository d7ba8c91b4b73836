/** The readers of files that people bring, by name: each is given plain values and answers plain values. */
import { answerClients, type ClientField } from '@/formats/client-import';
import { framesToKeep, readFrameFile, type FrameRow } from '@/formats/frame-file';
import { answerJobs, readJobDocuments, type JobField } from '@/formats/job-import';
import { readSheet, type Mapping } from '@/formats/mapped-table';
import { answerPlayers, type PlayerField, type PlayersAsked } from '@/formats/player-import';
import { readStringTable } from '@/formats/string-table';

export const PARSERS = {
  clients(text: string, mapping: Mapping<ClientField>, known: readonly string[]) {
    const sheet = readSheet(text);
    return sheet.ok
      ? { ...sheet, value: answerClients(sheet.value, mapping, new Set(known)) }
      : sheet;
  },
  players(
    text: string,
    mapping: Mapping<PlayerField>,
    asked: PlayersAsked,
    known: readonly string[],
  ) {
    const sheet = readSheet(text);
    return sheet.ok
      ? { ...sheet, value: answerPlayers(sheet.value, mapping, asked, new Set(known)) }
      : sheet;
  },
  jobs(
    text: string,
    mapping: Mapping<JobField>,
    asked: Parameters<typeof answerJobs>[2],
    known: readonly string[],
  ) {
    const sheet = readSheet(text);
    return sheet.ok
      ? { ...sheet, value: answerJobs(sheet.value, mapping, asked, new Set(known)) }
      : sheet;
  },
  jobDocuments: readJobDocuments,
  frames: (text: string, here: readonly string[]): readonly FrameRow[] =>
    framesToKeep([readFrameFile(text)], new Set(here))[0] ?? [],
  strings: readStringTable,
} as const;

export type Parsers = typeof PARSERS;
