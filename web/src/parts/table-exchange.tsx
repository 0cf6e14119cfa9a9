import { clsx } from 'clsx';
import { Download, FileUp, TableProperties } from 'lucide-react';
import { useState } from 'react';
import type { Preview, PreviewRow } from '@wrenfern/core/formats/csv/preview';
import { Button } from './button.tsx';
import { Sheet } from './dialog.tsx';
import { saveFile } from './save-file.ts';

interface ExchangeProps<T> {
  /** "People", as the title says it. */
  what: string;
  /** Without its ending. */
  fileName: string;
  /** What a file may hold, for whoever writes one. */
  hint: string;
  write: () => string;
  read: (text: string) => Preview<T>;
  /** Takes what was confirmed; resolves to false, having said why, when it could not. */
  take: (values: T[]) => Promise<boolean>;
}

/** A table out as a file, and in from one: row by row what would come of it, nothing taken unasked. */
export function TableExchange<T>(props: ExchangeProps<T>) {
  const [open, setOpen] = useState(false);
  return (
    <Sheet
      from="wide"
      title={`${props.what} as a table`}
      description="Comma-separated, for any spreadsheet."
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button className="min-h-10">
          <TableProperties size={16} aria-hidden />
          <span>
            As a table<span className="sr-only">: {props.what}</span>
          </span>
        </Button>
      }
    >
      <Exchange {...props} done={() => setOpen(false)} />
    </Sheet>
  );
}

function Exchange<T>({
  what,
  fileName,
  hint,
  write,
  read,
  take,
  done,
}: ExchangeProps<T> & { done: () => void }) {
  const [preview, setPreview] = useState<Preview<T>>();
  const [busy, setBusy] = useState(false);
  const confirm = async (values: T[]) => {
    setBusy(true);
    const isTaken = await take(values);
    setBusy(false);
    if (isTaken) done();
  };
  return (
    <div className="flex min-h-0 flex-col gap-4">
      <div className="flex flex-wrap items-center gap-3">
        <Button onClick={() => saveFile(`${fileName}.csv`, write(), 'text/csv;charset=utf-8')}>
          <Download size={16} aria-hidden /> Save {what.toLowerCase()} as a file
        </Button>
        <label className="inline-flex min-h-9 cursor-pointer items-center gap-2 rounded-xl border border-line-strong/60 bg-leaf px-3 font-semibold focus-within:outline-2 hover:bg-mist">
          <FileUp size={16} aria-hidden /> Look at a file
          <input
            type="file"
            accept=".csv,.tsv,.txt,text/csv"
            className="sr-only"
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              event.target.value = '';
              if (file) void file.text().then((text) => setPreview(read(text)));
            }}
          />
        </label>
      </div>
      <p className="max-w-prose text-soft">{hint}</p>
      {preview ? (
        <PreviewOf preview={preview} busy={busy} confirm={(values) => void confirm(values)} />
      ) : null}
    </div>
  );
}

function PreviewTable<T>({ preview: { columns, unread, rows } }: { preview: Preview<T> }) {
  return (
    <div className="min-h-0 overflow-auto rounded-xl border border-line">
      <table className="w-full text-left text-[0.875rem]">
        <thead className="sticky top-0 bg-mist">
          <tr>
            <th scope="col" className="px-2 py-1.5 font-normal text-soft">
              row
            </th>
            <th scope="col" className="px-2 py-1.5">
              what comes of it
            </th>
            {columns.map((column, index) => (
              <th
                key={index}
                scope="col"
                className={clsx('px-2 py-1.5', unread.includes(column) && 'font-normal text-soft')}
              >
                {column}
                {unread.includes(column) ? ' (not read)' : ''}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Row key={row.row} row={row} columns={columns} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function PreviewOf<T>({
  preview,
  busy,
  confirm,
}: {
  preview: Preview<T>;
  busy: boolean;
  confirm: (values: T[]) => void;
}) {
  const { rows, problems } = preview;
  if (problems.length > 0) {
    return (
      <ul role="alert" className="rounded-xl bg-copper-soft p-4 text-copper">
        {problems.map((problem) => (
          <li key={problem}>{problem}</li>
        ))}
      </ul>
    );
  }
  const values = rows.flatMap(({ value }) => (value === undefined ? [] : [value]));
  const faulty = rows.filter(({ faults }) => faults.length > 0).length;
  return (
    <>
      <PreviewTable preview={preview} />
      <div className="flex flex-wrap items-center gap-3">
        <Button look="main" disabled={busy || values.length === 0} onClick={() => confirm(values)}>
          {values.length === 0
            ? 'Nothing to take'
            : `Take ${values.length} ${values.length === 1 ? 'row' : 'rows'}`}
        </Button>
        {faulty > 0 ? (
          <p role="status" className="text-copper">
            {faulty === 1 ? 'One row is' : `${faulty} rows are`} left out: see what is written under
            the cells.
          </p>
        ) : null}
      </div>
    </>
  );
}

function Row<T>({ row, columns }: { row: PreviewRow<T>; columns: readonly string[] }) {
  const isFaulty = row.faults.length > 0;
  const elsewhere = row.faults.filter(({ column }) => !columns.includes(column));
  return (
    <tr className={clsx('border-t border-line align-top', isFaulty && 'bg-copper-soft/50')}>
      <td className="px-2 py-1 text-soft">{row.row}</td>
      <td
        className={clsx(
          'px-2 py-1 whitespace-nowrap',
          isFaulty ? 'text-copper' : row.value === undefined ? 'text-soft' : 'font-semibold',
        )}
      >
        {row.said}
        {elsewhere.map(({ column, message }) => (
          <span key={column + message} className="block font-normal">
            {column}: {message}
          </span>
        ))}
      </td>
      {columns.map((column, index) => (
        <td key={index} className="max-w-64 px-2 py-1">
          <span className="line-clamp-3">{row.cells[index]}</span>
          {row.faults
            .filter((fault) => fault.column === column)
            .map(({ message }) => (
              <span key={message} className="block text-copper">
                {message}
              </span>
            ))}
        </td>
      ))}
    </tr>
  );
}
