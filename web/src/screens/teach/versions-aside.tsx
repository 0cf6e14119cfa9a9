import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Analysis } from '@wrenfern/core';
import type { Exercise, Option } from '@wrenfern/core/movement/exercise';
import type { View } from '@wrenfern/core/movement/pose';
import { movedAt, seenAt, type NowView } from '@wrenfern/core/live/run-class';
import type { Choice } from '@wrenfern/core/people/choice';
import { markRemedy } from '@wrenfern/core/people/remedies';
import { markHow } from '@wrenfern/core/people/say-choice';
import { itemsOf } from '@wrenfern/core/plan/plan';
import { thoseWhoCome } from '@wrenfern/core/people/came';
import type { PropSpan } from '@wrenfern/core/room/props';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { describeItemDose } from '@wrenfern/core/plan/variants';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { Figure } from '../../parts/figure.tsx';
import { PROP_WORDS } from '@wrenfern/core/movement/words';
import { GearNext } from './gear-now.tsx';
import { ThenCard } from './pause-cards.tsx';
import { PersonChip, type Doing } from './person-chip.tsx';
import { versionTitle } from '@wrenfern/core/people/version-title';
import type { Run } from './use-run.ts';

interface AsideProps {
  lesson: WholeClass;
  analysis: Analysis;
  run: Run;
  now: NowView;
}

/** Who does which version, and what comes next with which prop. */
export function VersionsAside(props: AsideProps) {
  const { now } = props;
  return (
    <aside
      aria-label="Versions and what is next"
      className="flex w-[25rem] shrink-0 flex-col gap-3 border-l border-line p-4 max-lg:w-auto max-lg:border-t max-lg:border-l-0 sm:max-lg:grid sm:max-lg:grid-cols-2 sm:max-lg:items-start lg:overflow-y-auto"
    >
      <Versions {...props} />
      <ThenCard {...props} />
      {/* Beside a pause the card above says what comes. */}
      {now.item.kind === 'pause' && now.next?.kind === 'exercise' ? null : <Next {...props} />}
    </aside>
  );
}

interface Running {
  choice: Choice;
  people: Doing[];
}

/** The planned versions, with everyone who moved during the class under the option they took. */
function runningVersions({ lesson, analysis, run, now }: AsideProps): Running[] {
  const times = run.times.get(now.item.itemId) ?? [now.item.itemId];
  const moved = movedAt(run.state, ...times);
  const nameOf = new Map(
    lesson.attendees.map(({ person }) => [person.id, person.name.split(' ')[0] ?? person.name]),
  );
  const isLeft = now.part?.side === 'left';
  /** What somebody does on the side that is being done. */
  const choiceOf = (id: string): Choice | undefined => {
    const choice = analysis.options.choices.get(id)?.get(now.item.itemId);
    return isLeft ? (choice?.onLeft ?? choice) : choice;
  };
  const marksOf = (id: string): string[] => {
    const choice = choiceOf(id);
    return choice === undefined || choice.kind === 'rest' ? [] : markHow(choice.how);
  };
  const tried = seenAt(run.state, ...times);
  const named = (id: string, marks: readonly string[]) => ({
    id,
    name: nameOf.get(id) ?? id,
    marks: [
      ...marks,
      ...tried.flatMap(({ personId, remedy }) =>
        personId === id ? (markRemedy(remedy) ?? []) : [],
      ),
    ],
  });
  const versions: Running[] = (analysis.options.versions.get(now.item.itemId) ?? []).map(
    (version) => ({
      choice: version.choice,
      people: version.people
        .filter((id) => !moved.has(id) && isDoing(version.choice, choiceOf(id)))
        .map((id) => named(id, marksOf(id))),
    }),
  );
  for (const [id, option] of moved) {
    const there = versions.find(
      ({ choice }) => choice.kind === 'option' && choice.option === option,
    );
    if (there) there.people.push(named(id, []));
    else
      versions.push({ choice: { kind: 'option', option, reasons: [] }, people: [named(id, [])] });
  }
  return versions.filter(({ people }) => people.length > 0);
}

/** Somebody who does each side otherwise stands in both versions: only in that of the side that is done. */
function isDoing(version: Choice, choice: Choice | undefined): boolean {
  if (!choice || version.kind !== choice.kind) return choice === undefined;
  if (version.kind === 'rest' || choice.kind === 'rest') return true;
  return version.option === choice.option;
}

function Versions(props: AsideProps) {
  const catalogue = useCatalogue();
  const { lesson, now, run } = props;
  const exercise = catalogue.get(now.item.exercise ?? '');
  if (!exercise) return null;
  const versions = runningVersions(props);
  return (
    <ul className="flex flex-col gap-2">
      {versions.map(({ choice, people }) => {
        const { name, option, view } = look(props, catalogue, choice, exercise);
        return (
          <li
            key={`${choice.kind} ${name}`}
            className="flex gap-3 rounded-2xl border border-line bg-leaf p-2.5"
          >
            {option ? (
              <Figure
                of={option}
                view={view}
                width={92}
                height={60}
                className="shrink-0 max-sm:hidden"
              />
            ) : null}
            <div className="min-w-0">
              <h2 className="text-lg leading-tight">{name}</h2>
              <ul className="mt-1.5 flex flex-wrap gap-1.5">
                {people.map((person) => (
                  <li key={person.id}>
                    <PersonChip
                      person={person}
                      {...{ lesson, exercise, choice, run }}
                      itemId={now.item.itemId}
                    />
                  </li>
                ))}
              </ul>
            </div>
          </li>
        );
      })}
    </ul>
  );
}

/** A version as it is told; of a series, the figure is of what is being done. */
function look(
  { lesson, now }: AsideProps,
  catalogue: Catalogue,
  choice: Choice,
  exercise: Exercise,
): { name: string; option?: Option | undefined; view?: View } {
  const item = itemsOf(lesson.plan).find(({ id }) => id === now.item.itemId);
  if (choice.kind === 'rest') return { name: versionTitle(item, choice) };
  const target = choice.kind === 'swap' ? catalogue.require(choice.exercise) : exercise;
  const isSeries = choice.kind === 'option' && item?.kind === 'exercise' && item.variants;
  const variant = isSeries ? (now.part?.variant ?? now.item.option) : undefined;
  const shown = Math.min(variant ?? choice.option, choice.option);
  return {
    name: versionTitle(item, choice, target),
    option: target.options[shown - 1],
    view: target.view,
  };
}

/** Where it goes, and for how many where not everybody has one. */
function fetchWords(span: PropSpan | undefined, coming: number): string {
  if (!span) return '';
  const places = span.places.join(', ');
  return span.count < coming ? `${places} (for ${span.count})` : places;
}

function Next({ lesson, analysis, now }: AsideProps) {
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
      className="rounded-2xl border border-line bg-paper p-4 text-lg lg:sticky lg:bottom-0"
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
