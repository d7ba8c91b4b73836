/** Reads a table and says what would become of each row, beside the interface. */
import type { TensionUnit } from '@/core/measure/units';
import { orderOfDays, type DayOrder, type EarlierJob } from '@/core/record/earlier-job';
import {
  answerClients,
  guessClients,
  type ClientField,
  type ClientRow,
} from '@/formats/client-import';
import { answerJobs, guessJobs, type JobField } from '@/formats/job-import';
import { readSheet, type AnsweredRow, type Mapping, type Sheet } from '@/formats/mapped-table';
import {
  answerPlayers,
  guessPlayers,
  type PlayerField,
  type PlayerRow,
  type PlayersAsked,
} from '@/formats/player-import';

/** What rows are, by kind of table: their fields, and what is known beside them. */
export interface RowKinds {
  readonly clients: {
    readonly field: ClientField;
    readonly row: ClientRow;
    readonly asked: Record<never, never>;
  };
  readonly players: {
    readonly field: PlayerField;
    readonly row: PlayerRow;
    readonly asked: PlayersAsked;
  };
  readonly jobs: {
    readonly field: JobField;
    readonly row: EarlierJob;
    readonly asked: {
      readonly unit: TensionUnit;
      readonly currency: string;
      readonly today: string;
      /** Nothing until somebody chose; the column tells. */
      readonly dayOrder?: DayOrder | undefined;
    };
  };
}
export type RowKind = keyof RowKinds;

type QuestionOf<K extends RowKind> = {
  readonly id: number;
  readonly kind: K;
  readonly text: string;
  /** Nothing until somebody chose; the names of the columns tell. */
  readonly mapping: Mapping<RowKinds[K]['field']> | undefined;
  readonly known: readonly string[];
} & RowKinds[K]['asked'];
export type RowsQuestion = { [K in RowKind]: QuestionOf<K> }[RowKind];

export interface Rows<K extends RowKind> {
  readonly head: readonly string[];
  /** The first rows as they stand. */
  readonly samples: readonly (readonly string[])[];
  readonly mapping: Mapping<RowKinds[K]['field']>;
  readonly dayOrder: DayOrder;
  readonly fresh: number;
  readonly here: number;
  readonly wrong: number;
  /** The first of those that are wrong, and of those that come in. */
  readonly shown: readonly AnsweredRow<RowKinds[K]['row']>[];
}

export type RowsAnswer<K extends RowKind> = { readonly id: number } & (
  { readonly problem: string } | { readonly rows: Rows<K> }
);

/** Of each kind. */
const SHOWN = 50;
const SAMPLES = 2;

let open: { readonly text: string; readonly read: ReturnType<typeof readSheet> } | undefined;

function answered(question: RowsQuestion, sheet: Sheet): { [K in RowKind]: Rows<K> }[RowKind] {
  const known = new Set(question.known);
  const of = <K extends RowKind>(
    mapping: Rows<K>['mapping'],
    dayOrder: DayOrder,
    answers: readonly AnsweredRow<RowKinds[K]['row']>[],
  ): Rows<K> => {
    const fresh = answers.filter(({ state }) => state === 'new');
    const wrong = answers.filter(({ state }) => state === 'wrong');
    return {
      head: sheet.head,
      samples: sheet.rows.slice(0, SAMPLES),
      mapping,
      dayOrder,
      fresh: fresh.length,
      wrong: wrong.length,
      here: answers.length - fresh.length - wrong.length,
      shown: [...wrong.slice(0, SHOWN), ...fresh.slice(0, SHOWN)],
    };
  };
  if (question.kind === 'clients') {
    const mapping = question.mapping ?? guessClients(sheet.head);
    return of<'clients'>(mapping, 'day first', answerClients(sheet, mapping, known));
  }
  if (question.kind === 'players') {
    const mapping = question.mapping ?? guessPlayers(sheet.head);
    return of<'players'>(mapping, 'day first', answerPlayers(sheet, mapping, question, known));
  }
  const mapping = question.mapping ?? guessJobs(sheet.head);
  const [day = -1] = mapping.day;
  const dayOrder = question.dayOrder ?? orderOfDays(sheet.rows.map((cells) => cells[day] ?? ''));
  return of<'jobs'>(
    mapping,
    dayOrder,
    answerJobs(sheet, mapping, { ...question, dayOrder }, known),
  );
}

addEventListener('message', ({ data }: MessageEvent<RowsQuestion>) => {
  const { id, text } = data;
  if (open?.text !== text) open = { text, read: readSheet(text) };
  const { read } = open;
  postMessage(read.ok ? { id, rows: answered(data, read.value) } : { id, problem: read.problem });
});
