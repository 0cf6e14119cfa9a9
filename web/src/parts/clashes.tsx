import { AlertDialog } from 'radix-ui';
import type { Clash } from '@wrenfern/core/merge/merge-three';
import { Button } from './button.tsx';

/** How a place that both changed is told. */
export interface ToldClash {
  where: string;
  mine: string;
  theirs: string;
}

interface ClashesProps {
  /** What was changed by two: "This class". */
  what: string;
  clashes: readonly ToldClash[];
  choose: (keep: 'mine' | 'theirs') => void;
}

/** Two changed the same place: both are shown, and nothing is thrown away until one is chosen. */
export function ClashesDialog({ what, clashes, choose }: ClashesProps) {
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 max-h-[92dvh] w-[min(40rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-2xl border border-line bg-paper p-6">
          <AlertDialog.Title className="text-xl">
            {what} was changed somewhere else
          </AlertDialog.Title>
          <AlertDialog.Description className="my-3">
            A newer version was saved on another device or by a colleague. What only one of you
            changed is kept from both. Here you changed the same:
          </AlertDialog.Description>
          <table className="mb-5 w-full border-collapse text-left">
            <thead>
              <tr className="border-b border-line-strong text-soft">
                <th scope="col" className="py-1 pr-3 font-normal">
                  <span className="sr-only">Where</span>
                </th>
                <th scope="col" className="px-3 font-normal">
                  Yours
                </th>
                <th scope="col" className="pl-3 font-normal">
                  Theirs
                </th>
              </tr>
            </thead>
            <tbody>
              {clashes.map(({ where, mine, theirs }) => (
                <tr key={where} className="border-b border-line align-top">
                  <th scope="row" className="py-1.5 pr-3 font-semibold">
                    {where}
                  </th>
                  <td className="max-w-52 px-3 py-1.5 break-words whitespace-pre-line">{mine}</td>
                  <td className="max-w-52 py-1.5 pl-3 break-words whitespace-pre-line">{theirs}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="flex flex-wrap gap-2">
            <Button look="main" onClick={() => choose('mine')}>
              Keep mine where we differ
            </Button>
            <Button onClick={() => choose('theirs')}>Take theirs where we differ</Button>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}

/** A place and its two values in plain words, for documents that need no words of their own. */
export function tellClash({ path, mine, theirs }: Clash): ToldClash {
  return { where: path.map(wordsOf).join(', '), mine: showValue(mine), theirs: showValue(theirs) };
}

const wordsOf = (part: string | number) =>
  String(part)
    .replaceAll('-', ' ')
    .replace(/(?<=[a-z])[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

export function showValue(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (typeof value === 'string' || typeof value === 'number') return String(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.length === 0 ? 'none' : value.map(showValue).join(', ');
  return Object.entries(value)
    .filter(([, each]) => each !== '' && each !== undefined)
    .map(([name, each]) => `${wordsOf(name)} ${showValue(each)}`)
    .join(', ');
}
