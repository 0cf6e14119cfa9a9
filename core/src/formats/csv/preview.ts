import { readTable, type Table } from './table.ts';

/** What is wrong with one cell. */
export interface CellFault {
  column: string;
  message: string;
}

/** One row of a file, and what would come of it. */
export interface PreviewRow<T> {
  row: number;
  /** As written, in the order of the file's columns. */
  cells: string[];
  faults: CellFault[];
  /** What would happen: "new", "other level", "as it is". */
  said: string;
  /** What is taken when somebody says so; undefined where there is a fault or nothing to change. */
  value: T | undefined;
}

/** A file as it was understood, before anything is taken. */
export interface Preview<T> {
  columns: string[];
  /** Columns whose names say nothing here: they are left out. */
  unread: string[];
  rows: PreviewRow<T>[];
  /** What is wrong with the whole file; then nothing can be taken. */
  problems: string[];
}

/** A row by the names of its columns; a column that the file lacks is undefined, which is not the same as empty. */
export type Cells<C extends string> = Partial<Record<C, string>>;

type Read<T> = Omit<PreviewRow<T>, 'row' | 'cells'>;

interface Reading<C extends string, T> {
  known: readonly C[];
  /** Without these nothing can be understood. */
  needed: readonly C[];
  mostRows: number;
  readRow: (cells: Cells<C>) => Read<T>;
}

/** Reads a file row by row; `readRow` is called in the order of the rows. */
export function previewTable<C extends string, T>(
  text: string,
  { known, needed, mostRows, readRow }: Reading<C, T>,
): Preview<T> {
  const table = readTable(text);
  const columns = table.columns;
  const unread = columns.filter((name) => name !== '' && !known.some((each) => each === name));
  const problems = [...table.problems, ...problemsOf(table, needed, mostRows)];
  const rows =
    problems.length > 0
      ? []
      : table.rows.map(({ row, cells }) => ({
          row,
          cells: columns.map((_, index) => cells[index] ?? ''),
          ...readRow(namedCells(columns, known, cells)),
        }));
  return { columns, unread, rows, problems };
}

function problemsOf(
  { columns, rows }: Table,
  needed: readonly string[],
  mostRows: number,
): string[] {
  const missing = needed.filter((name) => !columns.includes(name));
  return [
    ...missing.map((name) => `There is no column “${name}”.`),
    ...(rows.length > mostRows ? [`It has ${rows.length} rows; ${mostRows} are the most.`] : []),
    ...(rows.length === 0 && missing.length === 0 ? ['There is nothing below the first row.'] : []),
  ];
}

function namedCells<C extends string>(
  columns: readonly string[],
  known: readonly C[],
  cells: readonly string[],
): Cells<C> {
  const named: Cells<C> = {};
  for (const name of known) {
    const at = columns.indexOf(name);
    if (at >= 0) named[name] = cells[at] ?? '';
  }
  return named;
}

/** A row that can't be taken, for these reasons. */
export const refused = <T>(faults: CellFault[]): Read<T> => ({
  faults,
  said: 'not taken',
  value: undefined,
});

/** A row that says what is so already. */
export const unchanged = <T>(): Read<T> => ({ faults: [], said: 'as it is', value: undefined });
