import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { describeDose } from '@wrenfern/core/movement/dose';
import type { Exercise, Option } from '@wrenfern/core/movement/exercise';
import { CAUTIONS, DEMAND_WORDS, type Caution } from '@wrenfern/core/people/cautions';
import { NotFound } from '../../app/error-page.tsx';
import { catalogue } from '../../data/catalogue.ts';
import { Figure } from '../../parts/figure.tsx';
import { Frond } from '../../parts/frond.tsx';
import {
  BODY_PART_WORDS,
  FOUNDATION_WORDS,
  MOVE_WORDS,
  POSITION_WORDS,
  PROP_WORDS,
} from '../../parts/words.ts';

/** One exercise: its ladder side by side, and everything a teacher says about it. */
export function Component() {
  const { slug = '' } = useParams();
  const exercise = catalogue.get(slug);
  if (!exercise) return <NotFound />;
  return (
    <article className="pt-8">
      <Link to="/library" className="text-fern underline">
        Library
      </Link>
      <h1 className="mt-1 text-3xl">{exercise.name}</h1>
      <p className="mt-1 max-w-2xl text-base">{exercise.purpose}</p>
      <p className="mt-1 text-soft">
        {POSITION_WORDS[exercise.position]} ·{' '}
        {exercise.moves.map((move) => MOVE_WORDS[move]).join(', ')} · {describeDose(exercise.dose)}{' '}
        (usual {exercise.usual.least} to {exercise.usual.most})
        {exercise.otherNames.length > 0 ? ` · also: ${exercise.otherNames.join(', ')}` : ''}
        {exercise.classicOrder ? ` · number ${exercise.classicOrder} of the 1945 mat order` : ''}
      </p>
      <Ladder exercise={exercise} />
      <div className="mt-8 grid gap-x-10 gap-y-6 md:grid-cols-2">
        <Part title="Say">
          <List items={exercise.cues.map((cue) => `“${cue}”`)} />
        </Part>
        <Part title="Watch">
          <dl className="flex flex-col gap-2">
            {exercise.faults.map(({ fault, remedy }) => (
              <div key={fault}>
                <dt className="font-semibold">{fault}</dt>
                <dd className="text-soft">{remedy}</dd>
              </div>
            ))}
          </dl>
        </Part>
        <Part title="Breath">
          <List items={exercise.breath.phases.map(({ on, doing }) => `${on}: ${doing}`)} />
          <p className="mt-1 text-soft">Left natural: {exercise.breath.natural}</p>
        </Part>
        <Part title="Teaches and needs">
          <p>
            Teaches{' '}
            {exercise.teaches
              .map(({ foundation, depth }) => `${FOUNDATION_WORDS[foundation]} (to ${depth} of 3)`)
              .join(', ')}
            .
          </p>
          <p>
            {exercise.needs.length > 0
              ? `Needs ${exercise.needs.map(({ foundation, depth }) => `${FOUNDATION_WORDS[foundation]} (${depth})`).join(', ')}.`
              : 'Needs nothing first.'}
          </p>
          <p className="text-soft">
            Works {exercise.movers.join(', ')}:{' '}
            {exercise.bodyParts.map((part) => BODY_PART_WORDS[part]).join(', ')}. Spine load{' '}
            {exercise.spineLoad} of 4. Floor {exercise.floor.lengthM} × {exercise.floor.widthM} m.
          </p>
        </Part>
        <Part title="Where it fits">
          <Slugs words="Prepares" slugs={exercise.prepares} />
          <Slugs words="Answered by" slugs={exercise.counters} />
          <Slugs words="Stands in" slugs={exercise.swaps} />
        </Part>
        <Part title="Cautions">
          <Cautions exercise={exercise} />
        </Part>
      </div>
    </article>
  );
}

function Ladder({ exercise }: { exercise: Exercise }) {
  return (
    <ol
      className="mt-6 grid gap-3 sm:grid-cols-2 lg:grid-cols-4"
      aria-label="Options, easiest first"
    >
      {exercise.options.map((option) => (
        <li
          key={option.number}
          className="flex flex-col rounded-2xl border border-line bg-leaf p-4"
        >
          <div className="flex items-start justify-between">
            <Figure
              pose={option.poses.at(-1) ?? ''}
              props={option.props.filter((use) => !use.optional)}
              width={200}
              height={110}
              label
              className="max-w-full"
            />
            <Frond
              option={option.number}
              of={exercise.options.length}
              standard={option.number === exercise.standard}
              size={36}
              label={
                option.number === exercise.standard ? 'standard option' : `option ${option.number}`
              }
            />
          </div>
          <h2 className="mt-2 text-lg">
            {option.number} · {option.name}
          </h2>
          <p>
            {option.number === 1 ? '' : 'Changes: '}
            {option.change}
          </p>
          <dl className="mt-2 flex flex-col gap-1 text-[0.8125rem]">
            <Fact name="Feel" value={option.feel} />
            <Fact name="Step back" value={option.stepBack} />
            <Fact name="Props" value={propWords(option)} />
            <Fact
              name="Asks for"
              value={
                option.demands.map((demand) => DEMAND_WORDS[demand]).join(', ') ||
                'nothing that a caution speaks of'
              }
            />
            <Fact
              name="Effort"
              value={`${option.effort} of 5 · turns ${option.levers.map((lever) => lever.replace('-', ' ')).join(', ')}`}
            />
          </dl>
        </li>
      ))}
    </ol>
  );
}

function propWords(option: Option): string {
  return (
    option.props
      .map(
        (use) =>
          `${use.count > 1 ? `${use.count} × ` : ''}${PROP_WORDS[use.prop]} ${use.place} (${use.role}${use.optional ? ', if wanted' : ''})`,
      )
      .join('; ') || 'none'
  );
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt className="inline font-semibold">{name}: </dt>
      <dd className="inline text-soft">{value}</dd>
    </div>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section>
      <h2 className="mb-1 text-xl">{title}</h2>
      {children}
    </section>
  );
}

function List({ items }: { items: string[] }) {
  return (
    <ul className="flex flex-col gap-1">
      {items.map((item) => (
        <li key={item}>{item}</li>
      ))}
    </ul>
  );
}

function Slugs({ words, slugs }: { words: string; slugs: readonly string[] }) {
  if (slugs.length === 0) return null;
  return (
    <p>
      {words}{' '}
      {slugs.map((slug, index) => (
        <span key={slug}>
          {index > 0 ? ', ' : ''}
          <Link className="text-fern underline" to={`/library/${slug}`}>
            {catalogue.get(slug)?.name ?? slug}
          </Link>
        </span>
      ))}
      .
    </p>
  );
}

/** Which options each caution leaves open; worked out from demands, never written by hand. */
function Cautions({ exercise }: { exercise: Exercise }) {
  const touched = (CAUTIONS as readonly Caution[]).flatMap((caution) => {
    const barred = exercise.options.filter((option) =>
      option.demands.some((demand) => caution.effects[demand] === 'avoid'),
    );
    if (barred.length === 0) return [];
    const open = exercise.options.filter((option) => !barred.includes(option));
    const left =
      open.length > 0
        ? `option ${open.map(({ number }) => number).join(', ')} stays open`
        : 'no option: an exercise that stands in, or rest';
    return [{ id: caution.id, name: caution.name, left, source: caution.source }];
  });
  return (
    <>
      {touched.length === 0 ? (
        <p>None of the usual cautions rules an option out.</p>
      ) : (
        <ul className="flex flex-col gap-1">
          {touched.map(({ id, name, left, source }) => (
            <li key={id}>
              <span className="font-semibold">{name}</span>: {left}.{' '}
              <span className="text-[0.8125rem] text-soft">({source})</span>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-2 text-[0.8125rem] text-soft">
        These are the usual cautions, no diagnosis and no clearance. Clinicians, makers’
        instructions and local rules come first.
      </p>
    </>
  );
}
