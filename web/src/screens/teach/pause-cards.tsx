import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Analysis } from '@wrenfern/core';
import { optionOf } from '@wrenfern/core/movement/exercise';
import { PROP_WORDS } from '@wrenfern/core/movement/words';
import type { NowView } from '@wrenfern/core/live/run-class';
import { itemsOf } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import { describeItemDose } from '@wrenfern/core/plan/variants';
import { gearWords } from '@wrenfern/core/room/gear-words';
import type { ReactNode } from 'react';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { Figure } from '../../parts/figure.tsx';
import { versionTitle } from '@wrenfern/core/people/version-title';

interface PauseProps {
  lesson: WholeClass;
  analysis: Analysis;
  now: NowView;
}

/** While nobody exercises: what to lay out and set, and what to remember. */
export function PauseCards({ lesson, analysis, now }: PauseProps) {
  if (now.item.kind !== 'pause') return null;
  const isFirst = now.item.startS === 0;
  const item = itemsOf(lesson.plan).find(({ id }) => id === now.item.itemId);
  const notes = [item?.note, isFirst ? lesson.plan.note : ''].filter(Boolean);
  const coming = comingUp(analysis, now);
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
    </div>
  );
}

/** Beside a pause: what comes, and who begins it where. */
export function ThenCard({ lesson, analysis, now }: PauseProps) {
  const catalogue = useCatalogue();
  const coming = now.item.kind === 'pause' ? comingUp(analysis, now) : undefined;
  const exercise = coming && catalogue.get(coming.exercise ?? '');
  if (!coming || !exercise) return null;
  const item = itemsOf(lesson.plan).find(({ id }) => id === coming.itemId);
  return (
    <section className="rounded-2xl border border-line bg-leaf p-4 text-lg">
      <h2 className="font-text text-base font-normal text-soft">
        Then
        {coming.itemId === now.next?.itemId ? `, in ${showClock(Math.max(0, now.itemLeftS))}` : ''}
      </h2>
      <p>
        <span className="font-semibold">{exercise.name}</span>
        {item?.kind === 'exercise' ? (
          <span className="text-soft">
            {' '}
            · {describeItemDose(item, exercise, rulesOf(lesson.plan.school))}
          </span>
        ) : null}
      </p>
      <Figure
        of={optionOf(exercise, coming.option ?? exercise.standard)}
        view={exercise.view}
        width={320}
        height={170}
        className="my-2 h-auto w-full max-sm:hidden"
      />
      <ul className="flex flex-col gap-1">
        {whoBegins(lesson, analysis, catalogue, coming.itemId, exercise.slug).map(
          ({ way, people }) => (
            <li key={way}>
              {way} <span className="text-soft">{people}</span>
            </li>
          ),
        )}
      </ul>
    </section>
  );
}

/** The first exercise after a pause. */
function comingUp({ timeline }: Analysis, now: NowView) {
  const at = timeline.items.findIndex(({ itemId }) => itemId === now.item.itemId);
  return timeline.items.slice(at + 1).find(({ kind }) => kind === 'exercise');
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

/** Ways of the item that comes, the easiest first, with first names. */
function whoBegins(
  lesson: WholeClass,
  analysis: Analysis,
  catalogue: Catalogue,
  itemId: string,
  slug: string,
) {
  const names = new Map(
    lesson.attendees.map(({ person }) => [person.id, person.name.split(' ')[0] ?? person.name]),
  );
  const item = itemsOf(lesson.plan).find(({ id }) => id === itemId);
  return (analysis.options.versions.get(itemId) ?? []).map(({ choice, people }) => {
    const target = catalogue.get(choice.kind === 'swap' ? choice.exercise : slug);
    return {
      way: `${versionTitle(item, choice, target)}:`,
      people: people.map((id) => names.get(id) ?? id).join(', '),
    };
  });
}

function Card({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="rounded-2xl border border-line bg-leaf p-4">
      <h2 className="mb-1 font-text text-base font-normal text-soft">{title}</h2>
      <div className="flex flex-col gap-1">{children}</div>
    </section>
  );
}
