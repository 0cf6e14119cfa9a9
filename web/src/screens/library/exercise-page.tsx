import { Copy, Download, Pause, Pencil, Play } from 'lucide-react';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { floorSpaceOf } from '@wrenfern/core/body/option-body';
import { describeDose } from '@wrenfern/core/movement/dose';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { VIEWS, type View } from '@wrenfern/core/movement/pose';
import { cautionsAgainst, tellOpen } from '@wrenfern/core/people/cautions-against';
import { standInsFor } from '@wrenfern/core/people/stand-ins';
import { NotFound } from '../../parts/not-found.tsx';
import { isBuiltIn, useCatalogue } from '../../data/catalogue.tsx';
import { Button, buttonClass } from '../../parts/button.tsx';
import { saveFile } from '../../parts/save-file.ts';
import { ToggleChip } from '../../parts/chip.tsx';
import { Select } from '../../parts/select.tsx';
import {
  VIEW_WORDS,
  BODY_PART_WORDS,
  FOUNDATION_WORDS,
  MOVE_WORDS,
  POSITION_WORDS,
} from '@wrenfern/core/movement/words';
import { ExerciseUse } from './exercise-use.tsx';
import { Ladder } from './ladder.tsx';

/** One exercise: its ladder side by side, and everything a teacher says about it. */
export function Component() {
  const catalogue = useCatalogue();
  const { slug = '' } = useParams();
  const exercise = catalogue.get(slug);
  if (!exercise) return <NotFound />;
  return <Page key={slug} exercise={exercise} />;
}

function Page({ exercise }: { exercise: Exercise }) {
  const [playing, setPlaying] = useState(true);
  const [mirrored, setMirrored] = useState(false);
  const [view, setView] = useState<View>(exercise.view);
  return (
    <article className="pt-8">
      <Link to="/library" className="text-fern underline">
        Library
      </Link>
      <div className="mt-1 flex flex-wrap items-start justify-between gap-3">
        <h1 className="text-3xl">{exercise.name}</h1>
        <Actions exercise={exercise} />
      </div>
      <p className="mt-2 max-w-2xl text-base">{exercise.purpose}</p>
      <p className="mt-1 text-soft">
        {exercise.machine === 'reformer' ? 'reformer, ' : ''}
        {POSITION_WORDS[exercise.position]} ·{' '}
        {exercise.moves.map((move) => MOVE_WORDS[move]).join(', ')} · {describeDose(exercise.dose)}{' '}
        (usual {exercise.usual.least} to {exercise.usual.most})
        {exercise.otherNames.length > 0 ? ` · also: ${exercise.otherNames.join(', ')}` : ''}
        {exercise.classicOrder ? ` · number ${exercise.classicOrder} of the 1945 mat order` : ''}
        {exercise.fromLevel
          ? ` · drafted for groups from usual option ${exercise.fromLevel} on`
          : ''}
      </p>
      {exercise.optionsAre === 'variants' ? (
        <p className="mt-1 text-soft">
          A series: these are variants, done one after another, each with its own count. In Plan,
          choose the row and take them all or some.
        </p>
      ) : null}
      <div className="mt-5 flex flex-wrap items-end gap-3">
        <Button aria-pressed={playing} onClick={() => setPlaying(!playing)}>
          {playing ? <Pause size={16} aria-hidden /> : <Play size={16} aria-hidden />}
          {playing ? 'Stand still' : 'Move'}
        </Button>
        <Select
          label="Seen"
          value={view}
          onChange={setView}
          choices={VIEWS.map((value) => ({ value, name: VIEW_WORDS[value] }))}
        />
        <ToggleChip on={mirrored} onChange={setMirrored}>
          other side
        </ToggleChip>
      </div>
      <Ladder exercise={exercise} view={view} playing={playing} mirrored={mirrored} />
      <Particulars exercise={exercise} />
    </article>
  );
}

/** Of what could stand in its place, so many are named. */
const MOST_STAND_INS = 6;

/** What to say and to watch, what it teaches, where it fits, whom it does not suit. */
function Particulars({ exercise }: { exercise: Exercise }) {
  const catalogue = useCatalogue();
  const floor = useMemo(() => floorSpaceOf(exercise), [exercise]);
  return (
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
          {exercise.spineLoad} of 4. Needs a floor of {floor.lengthM.toFixed(1)} ×{' '}
          {floor.widthM.toFixed(1)} m.
        </p>
      </Part>
      <Part title="Where it fits">
        <Slugs words="A part of" slugs={exercise.prepares} />
        <Slugs words="Goes well before" slugs={exercise.goesBefore} />
        <Slugs words="Answered by" slugs={exercise.counters} />
        <Slugs
          words="In its place"
          slugs={standInsFor(exercise, catalogue)
            .slice(0, MOST_STAND_INS)
            .map((other) => other.slug)}
        />
      </Part>
      <Part title="Cautions">
        <Cautions exercise={exercise} />
      </Part>
      <Part title="In your classes">
        <ExerciseUse slug={exercise.slug} />
      </Part>
    </div>
  );
}

async function saveExercise(exercise: Exercise): Promise<void> {
  // Reading and writing files is not needed to look at an exercise.
  const { writeExerciseFile } = await import('@wrenfern/core/formats/exercise/exercise-yaml');
  saveFile(`${exercise.slug}.yaml`, writeExerciseFile(exercise), 'application/yaml');
}

function Actions({ exercise }: { exercise: Exercise }) {
  const own = !isBuiltIn(exercise.slug);
  return (
    <div className="flex flex-wrap gap-2">
      <Button onClick={() => void saveExercise(exercise)}>
        <Download size={16} aria-hidden /> Save as a file
      </Button>
      <Link to={`/library/${exercise.slug}/edit`} className={buttonClass('main')}>
        {own ? <Pencil size={16} aria-hidden /> : <Copy size={16} aria-hidden />}
        {own ? 'Edit' : 'Make our own from this'}
      </Link>
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
  const catalogue = useCatalogue();
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
  const touched = cautionsAgainst(exercise);
  return (
    <>
      {touched.length === 0 ? (
        <p>None of the usual cautions rules an option out.</p>
      ) : (
        <ul className="flex flex-col gap-1">
          {touched.map(({ caution, open }) => (
            <li key={caution.id}>
              <span className="font-semibold">{caution.name}</span>: {tellOpen(open)}.{' '}
              <span className="text-[0.8125rem] text-soft">({caution.source})</span>
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
