import type { Analysis } from '@wrenfern/core';
import type { NowView } from '@wrenfern/core/live/run-class';
import { springWords } from '@wrenfern/core/movement/gear';
import type { GearBlock } from '@wrenfern/core/room/gear-blocks';
import { gearWords, GEAR_PART_WORDS, partWords } from '@wrenfern/core/room/gear-words';
import { stepSprings } from '@wrenfern/core/movement/gear';
import { springName } from '@wrenfern/core/room/machines';
import { safetyWords } from '@wrenfern/core/room/safety-words';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';

interface GearProps {
  lesson: WholeClass;
  analysis: Analysis;
  now: NowView;
}

const blockOf = (gear: readonly GearBlock[], itemId: string) =>
  gear.find(({ itemIds }) => itemIds.includes(itemId));

/** How the machines are set now, whose springs differ, and what is said for safety. */
export function GearNow({ lesson, analysis, now }: GearProps) {
  const catalogue = useCatalogue();
  const { machines } = lesson;
  const block = blockOf(analysis.gear, now.item.itemId);
  if (!block) return null;
  const { springs } = block.gear;
  const others = springs ? lesson.attendees.filter(({ person }) => person.springs) : [];
  const exercise = catalogue.get(now.item.exercise ?? '');
  const option = exercise?.options[(now.item.option ?? 1) - 1];
  const [first = '', ...rest] = gearWords(block.gear, machines);
  return (
    <section aria-label="The machine" className="rounded-2xl bg-slate-soft px-4 py-2.5 text-xl">
      <p>
        <span className="font-semibold">{first}</span>
        <span className="text-lg text-slate"> · {rest.join(' · ')}</span>
      </p>
      {others.length > 0 && springs ? (
        <p className="text-lg text-slate">
          {others
            .map(({ person }) => {
              const own = stepSprings(springs, person.springs);
              const name = person.name.split(' ')[0] ?? person.name;
              return `${name}: ${springWords(own, springName(machines))}`;
            })
            .join(' · ')}
        </p>
      ) : null}
      {exercise && option
        ? safetyWords(exercise, option, machines).map((words) => (
            <p key={words} role="note" className="mt-1 text-lg font-semibold text-copper">
              {words}
            </p>
          ))
        : null}
    </section>
  );
}

/** What everyone changes on the machine before the next exercise; nothing where all stays. */
export function GearNext({ lesson, analysis, now }: GearProps) {
  const next = now.next ? blockOf(analysis.gear, now.next.itemId) : undefined;
  const here = blockOf(analysis.gear, now.item.itemId);
  if (!next || next === here || next.changes.length === 0) return null;
  return (
    <p className="font-semibold text-copper">
      Change:{' '}
      {next.changes
        .map((part) =>
          part === 'facing'
            ? `turn round, ${partWords(next.gear, part, lesson.machines)}`
            : `${GEAR_PART_WORDS[part]} ${partWords(next.gear, part, lesson.machines)}`,
        )
        .join(', ')}
    </p>
  );
}
