import { useState } from 'react';
import { plainWork } from '@wrenfern/core/plan/timing/plain-length';
import { measureLines, nearSeconds, showMeasure } from '@wrenfern/core/body/measures/measure-lines';
import { measuresOf } from '@wrenfern/core/body/measures/measures-of';
import type { Exercise, Option } from '@wrenfern/core/movement/exercise';
import { DEMAND_WORDS } from '@wrenfern/core/movement/words';
import { measuredDemands } from '@wrenfern/core/people/demands';
import { listWords } from '@wrenfern/core/movement/words';

interface Measured {
  exercise: Exercise;
  option: Option;
}

/** What the drawn body shows of an option, in numbers, and what a caution makes of it. */
export function BodyMeasures({ exercise, option }: Measured) {
  const [open, setOpen] = useState(false);
  return (
    <details
      className="mt-3 text-[0.8125rem]"
      open={open}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="min-h-6 cursor-pointer font-semibold">Measured from its poses</summary>
      {open ? <Lines exercise={exercise} option={option} /> : null}
    </details>
  );
}

/** Worked out only where somebody looks: it takes some milliseconds. */
function Lines({ exercise, option }: Measured) {
  const { workS, count } = plainWork(exercise, option);
  const lines = measureLines(measuresOf(option)).flatMap((line) => {
    const shown = showMeasure(line);
    return shown ? [{ name: line.name, shown, nearS: nearSeconds(line, workS) }] : [];
  });
  const known = lines.filter(({ shown }) => shown !== 'unknown');
  const unknown = lines.filter(({ shown }) => shown === 'unknown');
  const demands = [...measuredDemands(option)].map((demand) => DEMAND_WORDS[demand]);
  return (
    <>
      <p className="mt-1 text-soft">
        {demands.length > 0
          ? `For cautions that is: ${listWords(demands)}.`
          : 'No caution speaks of any of it.'}
      </p>
      <dl className="mt-1 grid grid-cols-[1fr_auto_auto] gap-x-3 gap-y-0.5">
        {known.map(({ name, shown, nearS }) => (
          <div key={name} className="contents">
            <dt className="text-soft">{name}</dt>
            <dd className="text-right">{shown}</dd>
            <dd className="text-right text-soft tabular-nums">{nearS} s</dd>
          </div>
        ))}
      </dl>
      {unknown.length > 0 ? (
        <p className="mt-1 text-copper">
          Not known, for the drawn weight does not rest on what it touches:{' '}
          {unknown.map(({ name }) => name).join(', ')}.
        </p>
      ) : null}
      <p className="mt-1 text-soft">
        The most in the movement, of a middle body as drawn, and for how long it is near that
        {` (${count} ×, ${workS} s at work). `}‰ are thousandths of weight × stature. It clears
        nobody.
      </p>
    </>
  );
}
