import type { Analysis } from '@wrenfern/core';
import { optionOf } from '@wrenfern/core/movement/exercise';
import { PROP_WORDS } from '@wrenfern/core/movement/words';
import type { NowView } from '@wrenfern/core/live/run-class';
import { itemsOf } from '@wrenfern/core/plan/plan';
import { gearWords } from '@wrenfern/core/room/gear-words';
import type { ReactNode } from 'react';
import type { WholeClass } from '../../data/api-types.ts';
import { catalogue } from '../../data/catalogue.ts';
import { Figure } from '../../parts/figure.tsx';

interface PauseProps {
  lesson: WholeClass;
  analysis: Analysis;
  now: NowView;
}

/** While nobody exercises: what to lay out and set, what comes, and who begins it where. */
export function PauseCards({ lesson, analysis, now }: PauseProps) {
  if (now.item.kind !== 'pause') return null;
  const { items } = analysis.timeline;
  const at = items.findIndex(({ itemId }) => itemId === now.item.itemId);
  const coming = items.slice(at + 1).find(({ kind }) => kind === 'exercise');
  const exercise = coming && catalogue.get(coming.exercise ?? '');
  const isFirst = at === 0;
  const item = itemsOf(lesson.plan).find(({ id }) => id === now.item.itemId);
  const notes = [item?.note, isFirst ? lesson.plan.note : ''].filter(Boolean);
  const layOut = propsFor(analysis, isFirst ? undefined : coming?.itemId);
  const block = analysis.gear.find(({ itemIds }) => itemIds.includes(coming?.itemId ?? ''));
  return (
    <div className="grid gap-4 text-xl max-sm:text-lg sm:grid-cols-2">
      {layOut.length > 0 || block ? (
        <Card title={isFirst ? 'Lay out' : 'To fetch'}>
          {layOut.map((words) => (
            <p key={words}>{words}</p>
          ))}
          {block ? (
            <p className="text-soft">{gearWords(block.gear, lesson.machines).join(' · ')}</p>
          ) : null}
        </Card>
      ) : null}
      {notes.length > 0 ? (
        <Card title="Remember">
          {notes.map((note) => (
            <p key={note} className="whitespace-pre-line">
              {note}
            </p>
          ))}
        </Card>
      ) : null}
      {coming && exercise ? (
        <section className="flex gap-5 rounded-2xl border border-line bg-leaf p-4 sm:col-span-2">
          <Figure
            of={optionOf(exercise, coming.option ?? exercise.standard)}
            view={exercise.view}
            width={230}
            height={130}
            className="h-auto w-2/5 max-w-60 shrink-0"
          />
          <div className="min-w-0">
            <h2 className="font-text text-base font-normal text-soft">Then {exercise.name}</h2>
            <ul className="mt-1 flex flex-col gap-0.5">
              {whoBegins(lesson, analysis, coming.itemId, exercise.slug).map(({ way, people }) => (
                <li key={way}>
                  {way} <span className="text-soft">{people}</span>
                </li>
              ))}
            </ul>
          </div>
        </section>
      ) : null}
    </div>
  );
}

/** Props of the whole class, or of the item that comes. */
function propsFor(analysis: Analysis, itemId: string | undefined): string[] {
  return analysis.props.flatMap(({ prop, inAll, short, spans }) => {
    if (itemId === undefined) {
      return [`${inAll} × ${PROP_WORDS[prop]}${short > 0 ? `, ${short} short` : ''}`];
    }
    const span = spans.find((each) => each.itemId === itemId);
    return span ? [`${span.count} × ${PROP_WORDS[prop]} ${span.places.join(', ')}`] : [];
  });
}

/** Ways of the item that comes, the easiest first, with first names; all of a series for all. */
function whoBegins(lesson: WholeClass, analysis: Analysis, itemId: string, slug: string) {
  const names = new Map(
    lesson.attendees.map(({ person }) => [person.id, person.name.split(' ')[0] ?? person.name]),
  );
  return (analysis.options.versions.get(itemId) ?? []).map(({ choice, people }) => ({
    way:
      choice.kind === 'rest'
        ? 'Rest:'
        : `${optionOf(catalogue.require(choice.kind === 'swap' ? choice.exercise : slug), choice.option).name}:`,
    people: people.map((id) => names.get(id) ?? id).join(', '),
  }));
}

function Card({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="rounded-2xl border border-line bg-leaf p-4">
      <h2 className="mb-1 font-text text-base font-normal text-soft">{title}</h2>
      <div className="flex flex-col gap-1">{children}</div>
    </section>
  );
}
