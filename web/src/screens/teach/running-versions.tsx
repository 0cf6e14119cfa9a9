import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Analysis } from '@wrenfern/core';
import type { Exercise, Option } from '@wrenfern/core/movement/exercise';
import type { View } from '@wrenfern/core/movement/pose';
import { movedAt, seenAt, type NowView } from '@wrenfern/core/live/run-class';
import type { Choice } from '@wrenfern/core/people/choice';
import { markRemedy } from '@wrenfern/core/people/remedies';
import { markHow } from '@wrenfern/core/people/say-choice';
import { versionTitle } from '@wrenfern/core/people/version-title';
import { itemsOf } from '@wrenfern/core/plan/plan';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { Figure } from '../../parts/figure.tsx';
import { PersonChip, type Doing } from './person-chip.tsx';
import type { Run } from './use-run.ts';

export interface RunningProps {
  lesson: WholeClass;
  analysis: Analysis;
  run: Run;
  now: NowView;
}

interface Running {
  choice: Choice;
  people: Doing[];
}

/** The planned versions, with everyone who moved during the class under the option they took. */
function runningVersions({ lesson, analysis, run, now }: RunningProps): Running[] {
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

/** The ways that are done now, and who does which. */
export function RunningVersions(props: RunningProps) {
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
  { lesson, now }: RunningProps,
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
