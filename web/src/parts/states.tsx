import type { ReactNode } from 'react';
import { sentenceOf } from '../data/request.ts';
import { Button } from './button.tsx';

/** Shown while something is on its way; says so only to those who wait long enough to wonder. */
export function Loading({ what }: { what: string }) {
  return (
    <div role="status" className="flex flex-col gap-3 p-8" aria-label={`Loading ${what}`}>
      {[70, 90, 50].map((width) => (
        <div
          key={width}
          className="h-4 animate-pulse rounded bg-line"
          style={{ width: `${width}%` }}
        />
      ))}
      <p className="text-soft">Loading {what} …</p>
    </div>
  );
}

export function Failed({ error, retry }: { error: unknown; retry: () => void }) {
  return (
    <div
      role="alert"
      className="m-6 max-w-xl rounded-2xl border border-copper-line bg-copper-soft p-5"
    >
      <h2 className="text-lg text-copper">This could not be loaded</h2>
      <p className="mt-1 mb-3">{sentenceOf(error)}</p>
      <Button onClick={retry}>Try again</Button>
    </div>
  );
}

export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="rounded-2xl border border-dashed border-line-strong/60 p-8 text-center">
      <h2 className="text-lg">{title}</h2>
      <div className="mx-auto mt-1 max-w-md text-soft">{children}</div>
    </div>
  );
}
