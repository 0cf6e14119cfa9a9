import { clsx } from 'clsx';
import { thoseWhoCome } from '@wrenfern/core/people/came';
import { PROP_WORDS } from '@wrenfern/core/movement/words';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import { describeItemDose } from '@wrenfern/core/plan/variants';
import type { PropSpan } from '@wrenfern/core/room/props';
import { useCatalogue } from '../../data/catalogue.tsx';
import { GearNext } from './gear-now.tsx';
import type { RunningProps } from './running-versions.tsx';

/** Where it goes, and for how many where not everybody has one. */
function fetchWords(span: PropSpan | undefined, coming: number): string {
  if (!span) return '';
  const places = span.places.join(', ');
  return span.count < coming ? `${places} (for ${span.count})` : places;
}

/** What comes next, with what is fetched and what is put away. */
export function NextCard({
  lesson,
  analysis,
  now,
  stays = true,
}: Omit<RunningProps, 'run'> & {
  /** Stays in sight while what stands above it is scrolled. */
  stays?: boolean;
}) {
  const catalogue = useCatalogue();
  const { next } = now;
  if (!next)
    return <p className="rounded-2xl border border-line p-4 text-lg">This is the last one.</p>;
  const exercise = catalogue.get(next.exercise ?? '');
  const item = lesson.plan.segments
    .flatMap((segment) => segment.items)
    .find(({ id }) => id === next.itemId);
  const heldAt = (itemId: string) =>
    analysis.props.filter((need) => need.spans.some((span) => span.itemId === itemId));
  const coming = thoseWhoCome(lesson.attendees).length;
  const before = heldAt(now.item.itemId);
  const after = heldAt(next.itemId);
  const fetch = after.filter((need) => !before.includes(need));
  const away = before.filter((need) => !after.includes(need));
  return (
    <section
      aria-label="Next"
      className={clsx(
        'rounded-2xl border border-line bg-paper p-4 text-lg',
        stays && 'lg:sticky lg:bottom-0',
      )}
    >
      <p className="text-soft">next, in {showClock(Math.max(0, now.itemLeftS))}</p>
      <p>
        <span className="font-semibold">{next.name}</span>
        {exercise && item?.kind === 'exercise' ? (
          <span className="text-soft">
            {' '}
            · {describeItemDose(item, exercise, rulesOf(lesson.plan.school))}
          </span>
        ) : null}
      </p>
      <GearNext lesson={lesson} analysis={analysis} now={now} />
      {fetch.map((need) => (
        <p key={need.prop} className="font-semibold text-copper">
          Fetch: {PROP_WORDS[need.prop]},{' '}
          {fetchWords(
            need.spans.find((span) => span.itemId === next.itemId),
            coming,
          )}
        </p>
      ))}
      {away.map((need) => (
        <p key={need.prop} className="font-semibold text-copper">
          Put away: {PROP_WORDS[need.prop]}
        </p>
      ))}
    </section>
  );
}
