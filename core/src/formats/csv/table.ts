import Papa from 'papaparse';

/** A file of values separated by commas (RFC 4180), its first row the names of its columns. */
export interface Table {
  columns: string[];
  /** `row` counts as a spreadsheet does: the names of the columns are row 1. */
  rows: { row: number; cells: string[] }[];
  /** What is wrong with the file as a whole. */
  problems: string[];
}

/** Longer files are not what they say they are. */
const MOST_LETTERS = 2_000_000;
const MOST_PROBLEMS = 20;

/** How cells begin that a spreadsheet would work out; a quote before them says that they are text. */
const FORMULA = /^['=+\-@\t\r]/;

/** Tells spreadsheets that the letters are UTF-8. */
const BYTE_ORDER_MARK = '\uFEFF';

/** Lines end as RFC 4180 says; what a spreadsheet would take for a formula is written as text. */
export function writeTable(columns: readonly string[], rows: readonly string[][]): string {
  const text = Papa.unparse([[...columns], ...rows], { newline: '\r\n', escapeFormulae: FORMULA });
  return `${BYTE_ORDER_MARK}${text}\r\n`;
}

/** Reads commas, semicolons or tabs, whatever a spreadsheet wrote. Never throws on what it is given. */
export function readTable(text: string): Table {
  if (text.length > MOST_LETTERS) {
    return { columns: [], rows: [], problems: ['The file is too long: 2 MB are the most.'] };
  }
  const { data, errors } = Papa.parse<string[]>(text.replace(BYTE_ORDER_MARK, ''), {
    delimiter: delimiterOf(text),
  });
  const [first = [], ...rest] = data.map((cells) => cells.map(plain));
  const columns = first.map((name) => name.trim().toLowerCase().replace(/\s+/g, ' '));
  const rows = rest
    .map((cells, index) => ({ row: index + 2, cells }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  const problems = errors.map(({ message, row }) => `Row ${(row ?? 0) + 1}: ${message}.`);
  for (const { row, cells } of rows) {
    if (cells.slice(columns.length).some((cell) => cell !== '')) {
      problems.push(`Row ${row}: it has more cells than there are columns.`);
    }
  }
  for (const [index, name] of columns.entries()) {
    if (name && columns.indexOf(name) < index)
      problems.push(`The column “${name}” is there twice.`);
  }
  if (columns.every((name) => name === '')) problems.push('The first row names no columns.');
  return { columns, rows, problems: problems.slice(0, MOST_PROBLEMS) };
}

/** What stands most often between the names of the columns, which have none of these in them. */
function delimiterOf(text: string): string {
  const names = text.slice(0, text.search(/[\r\n]|$/));
  const count = (mark: string) => names.split(mark).length;
  return [',', ';', '\t'].reduce((best, mark) => (count(mark) > count(best) ? mark : best));
}

/** A cell without the mark that keeps it from being a formula. */
function plain(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
}

const SEPARATORS = { ';': /(?<!\\);/, '|': /(?<!\\)\|/ } as const;

/** Several values in one cell; a separator that belongs to a value has a backslash before it. */
export function joinCell(values: readonly string[], separator: keyof typeof SEPARATORS): string {
  return values
    .map((value) => value.replaceAll(separator, `\\${separator}`))
    .join(separator === ';' ? '; ' : ' | ');
}

export function splitCell(cell: string, separator: keyof typeof SEPARATORS): string[] {
  return cell
    .split(SEPARATORS[separator])
    .map((value) => value.replaceAll(`\\${separator}`, separator).trim())
    .filter(Boolean);
}
