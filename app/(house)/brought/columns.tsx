'use client';

import type { Mapping } from '@/formats/mapped-table';

interface ColumnsProps<Field extends string> {
  readonly fields: readonly Field[];
  readonly names: Readonly<Record<Field, string>>;
  readonly head: readonly string[];
  /** What stands in the first rows, to tell the columns by. */
  readonly samples: readonly (readonly string[])[];
  readonly mapping: Mapping<Field>;
  readonly onChange: (mapping: Mapping<Field>) => void;
}

/** Says what each column of a table holds; columns that hold the same are joined in their order. */
export function Columns<Field extends string>({
  fields,
  names,
  head,
  samples,
  mapping,
  onChange,
}: ColumnsProps<Field>) {
  const held = (column: number) => fields.find((field) => mapping[field].includes(column)) ?? '';
  const hold = (column: number, chosen: string) => {
    const columns = fields.map((field): readonly [Field, readonly number[]] => [
      field,
      [
        ...mapping[field].filter((each) => each !== column),
        ...(field === chosen ? [column] : []),
      ].toSorted((a, b) => a - b),
    ]);
    onChange(Object.fromEntries(columns) as Record<Field, readonly number[]>);
  };
  return (
    <div className="flex flex-wrap gap-x-5 gap-y-4">
      {head.map((name, column) => {
        const called = name || `column ${column + 1}`;
        return (
          <label key={column} className="flex w-44 flex-col">
            <span className="truncate font-medium">{called}</span>
            <select
              aria-label={`“${called}” holds`}
              value={held(column)}
              onChange={(event) => hold(column, event.target.value)}
              className="border-edge bg-sheet w-full border-b-2 px-2 py-1"
            >
              <option value="">nothing of use</option>
              {fields.map((field) => (
                <option key={field} value={field}>
                  {names[field]}
                </option>
              ))}
            </select>
            <span className="label truncate">
              {samples
                .map((cells) => cells[column]?.trim())
                .filter(Boolean)
                .join(' · ') || 'empty at first'}
            </span>
          </label>
        );
      })}
    </div>
  );
}
