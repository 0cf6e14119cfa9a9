import { useMemo } from 'react';
import type { Analysis } from '@wrenfern/core';
import { thoseWhoCome } from '@wrenfern/core/people/came';
import {
  classVerdicts,
  isRefused,
  sayVerdict,
  type ClassVerdict,
} from '@wrenfern/core/people/class-verdict';
import { listWords } from '@wrenfern/core/movement/words';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';

/** The state of today of somebody who is here for the first time. */
const FIRST_TIME = 'first-time';

/** Before a class begins: who is new, and who does how much otherwise; names only, nobody's condition. */
export function WhoComes({ lesson, analysis }: { lesson: WholeClass; analysis: Analysis }) {
  const catalogue = useCatalogue();
  const { plan, attendees, day } = lesson;
  const coming = thoseWhoCome(attendees);
  const verdicts = useMemo(
    () => classVerdicts(plan, attendees, analysis.options, catalogue, day),
    [plan, attendees, analysis.options, catalogue, day],
  );
  if (coming.length === 0) return null;
  const fresh = coming.filter(({ today }) => today.some(({ caution }) => caution === FIRST_TIME));
  const told = coming.flatMap(({ person }) => {
    const verdict = verdicts.get(person.id);
    return verdict && verdict.verdict !== 'yes' ? [{ person, verdict }] : [];
  });
  return (
    <section aria-label="Who comes">
      <h2 className="text-xl">Who comes</h2>
      {fresh.length > 0 ? (
        <p>New today: {listWords(fresh.map(({ person }) => person.name))}.</p>
      ) : null}
      <ul className="mt-1 flex flex-col gap-0.5">
        {told.toSorted(byGravity).map(({ person, verdict }) => (
          <li key={person.id} className={isRefused(verdict) ? 'text-copper' : ''}>
            {person.name}: {sayVerdict(verdict)}
          </li>
        ))}
      </ul>
      <p className="text-soft">{restWords(coming.length - told.length, told.length)}</p>
    </section>
  );
}

type Told = { verdict: ClassVerdict };

/** Who should not simply come stands first, then who changes most. */
function byGravity({ verdict: one }: Told, { verdict: other }: Told): number {
  return Number(isRefused(other)) - Number(isRefused(one)) || other.changes - one.changes;
}

function restWords(rest: number, told: number): string {
  if (rest === 0) return '';
  if (told === 0) return rest === 1 ? 'As planned.' : `All ${rest} as planned.`;
  return rest === 1 ? 'One more as planned.' : `${rest} more as planned.`;
}
