import { clsx } from 'clsx';
import { useState } from 'react';
import type { Chosen } from '@wrenfern/core/formats/plan-from-notes';
import type { NoteLine } from '@wrenfern/core/formats/read-notes';
import { describeDose } from '@wrenfern/core/movement/dose';
import { bracketWords } from '@wrenfern/core/plan/bracket-words';
import { Button } from '../../../parts/button.tsx';
import { inputClass } from '../../../parts/field.tsx';

interface PreviewProps {
  lines: readonly NoteLine[];
  take: (chosen: Chosen) => void;
}

/** Line by line what was understood; where it is not sure, the nearest names to choose from. */
export function NotesPreview({ lines, take }: PreviewProps) {
  const [chosen, setChosen] = useState<Chosen>(new Map());
  const open = lines.filter(({ kind, line }) => kind === 'unsure' && !chosen.has(line)).length;
  const choose = (line: number, slug: string) => {
    const next = new Map(chosen);
    if (slug) next.set(line, slug);
    else next.delete(line);
    setChosen(next);
  };
  return (
    <>
      <ul aria-label="What was understood" className="divide-y divide-line border-y border-line">
        {lines.map((line) => (
          <li
            key={line.line}
            className={clsx(
              'grid gap-x-4 px-2 py-1 sm:grid-cols-2',
              line.kind === 'unsure' && !chosen.has(line.line) && 'bg-copper-soft',
            )}
          >
            <span className="truncate text-soft">{line.text}</span>
            <Understood line={line} chosen={chosen.get(line.line) ?? ''} choose={choose} />
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-3">
        <Button look="main" onClick={() => take(chosen)}>
          Put it in place of what is here
        </Button>
        {open > 0 ? (
          <p className="text-copper">
            {open === 1 ? 'One line is' : `${open} lines are`} left out until you choose.
          </p>
        ) : null}
      </div>
    </>
  );
}

function Understood({
  line,
  chosen,
  choose,
}: {
  line: NoteLine;
  chosen: string;
  choose: (line: number, slug: string) => void;
}) {
  switch (line.kind) {
    case 'title':
      return <span className="font-semibold">the title</span>;
    case 'facts':
      return (
        <span>
          {[line.machine, line.minutes && `${line.minutes} min`].filter(Boolean).join(', ')}
        </span>
      );
    case 'part':
      return <span className="title text-fern">{line.name}</span>;
    case 'exercise':
      return (
        <span>
          <span className="font-semibold">{line.exercise.name}</span>
          {line.dose ? `, ${describeDose(line.dose)}` : ''}
          {line.options ? `, option ${line.options.join(' and ')}` : ''}
          {line.rest ? <span className="text-soft">, note: {line.rest}</span> : null}
        </span>
      );
    case 'pause':
      return (
        <span>
          pause: {line.label}, {line.durationS} s
        </span>
      );
    case 'detail':
      return <span className="text-soft">of the line above</span>;
    case 'opens':
      return <span className="font-semibold">{bracketWords({ ...line.bracket, id: 'new' })}</span>;
    case 'closes':
      return <span className="text-soft">the end of it</span>;
    case 'note':
      return <span className="text-soft">a note</span>;
    case 'unsure':
      return (
        <select
          aria-label={`What “${line.words}” means`}
          value={chosen}
          onChange={(event) => choose(line.line, event.target.value)}
          className={inputClass}
        >
          <option value="">not known: leave it out</option>
          {line.candidates.map(({ slug, name }) => (
            <option key={slug} value={slug}>
              {name}
            </option>
          ))}
        </select>
      );
  }
}
