import type { ClassVerdict } from '@wrenfern/core/people/class-verdict';
import type { BookedPerson } from '@wrenfern/contract/classes';

/** Who must be spoken to before the class, then who does otherwise most often; equals stay as they were booked. */
export function mostChangesFirst(
  people: readonly BookedPerson[],
  verdicts: ReadonlyMap<string, ClassVerdict>,
): BookedPerson[] {
  const rank = {
    'clinician first': 0,
    'not this class': 1,
    'yes, with changes': 2,
    yes: 3,
  } as const;
  const of = ({ person }: BookedPerson) => verdicts.get(person.id);
  return [...people].sort((one, other) => {
    const [a, b] = [of(one), of(other)];
    if (!a || !b) return Number(!a) - Number(!b);
    return (
      rank[a.verdict] - rank[b.verdict] ||
      b.because.length - a.because.length ||
      b.changes - a.changes
    );
  });
}
