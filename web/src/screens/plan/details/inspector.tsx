import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { Link } from 'react-router';
import { postureOf } from '@wrenfern/core/body/posture';
import { optionOf, type Exercise } from '@wrenfern/core/movement/exercise';
import { type ExerciseItem, type Item, type PauseItem } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { schoolWords } from '@wrenfern/core/plan/school-words';
import { passWords } from '@wrenfern/core/plan/bracket-words';
import { showClock } from '@wrenfern/core/plan/show-time';
import { doseOf } from '@wrenfern/core/plan/usual';
import type { TimedItem } from '@wrenfern/core/plan/timing/timeline';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { Button } from '../../../parts/button.tsx';
import { Field, inputClass } from '../../../parts/field.tsx';
import { Figure } from '../../../parts/figure.tsx';
import { Select } from '../../../parts/select.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import { capital, FOUNDATION_WORDS, POSITION_WORDS } from '@wrenfern/core/movement/words';
import { BracketPart, WithTheNext } from './bracket-part.tsx';
import { DoseEditor } from './dose-editor.tsx';
import { OptionList } from './option-list.tsx';
import { PaceEditor } from './pace-editor.tsx';
import { PropsEditor } from './props-editor.tsx';
import { MakeVariants, VariantsEditor } from './variants-editor.tsx';
import { nudge } from '@wrenfern/core/review/arrange-rows';
import { PlanDetailsPanel } from './plan-details.tsx';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';

/** The chosen item; the class itself when none is chosen. Whoever may only look can change nothing in it. */
export function Inspector() {
  const { mayEdit } = usePlanScreen();
  return (
    <fieldset disabled={!mayEdit} className="contents">
      <Chosen />
    </fieldset>
  );
}

function Chosen() {
  const selectedId = useEditor((editor) => editor.selectedId);
  const plan = useEditor((editor) => editor.plan);
  const { analysis, mayEdit } = usePlanScreen();
  const item = plan.segments
    .flatMap((segment) => segment.items)
    .find(({ id }) => id === selectedId);
  const timed = analysis.timeline.items.find(({ itemId }) => itemId === selectedId);
  if (!item || !timed) return <PlanDetailsPanel />;
  return (
    <div className="flex flex-col gap-4 p-4" key={item.id}>
      <BracketPart item={item} />
      {item.kind === 'pause' ? (
        <PauseInspector item={item} />
      ) : (
        <ExerciseInspector item={item} timed={timed} />
      )}
      <WithTheNext item={item} />
      <NoteField item={item} />
      <WhereTimeGoes times={analysis.timeline.items.filter(({ itemId }) => itemId === item.id)} />
      {mayEdit ? <MoveButtons itemId={item.id} name={timed.name} /> : null}
    </div>
  );
}

function PauseInspector({ item }: { item: PauseItem }) {
  const edit = useEditor((editor) => editor.edit);
  return (
    <>
      <h2 className="text-xl">Pause</h2>
      <Field label="What for">
        {(named) => (
          <input
            {...named}
            defaultValue={item.label}
            maxLength={120}
            className={inputClass}
            onBlur={(event) => {
              const label = event.target.value.trim();
              if (label && label !== item.label) {
                edit({ type: 'setPause', itemId: item.id, label, durationS: item.durationS });
              }
            }}
          />
        )}
      </Field>
      <Stepper
        label="lasts"
        unit="s"
        value={item.durationS}
        min={5}
        max={1800}
        step={15}
        onChange={(durationS) =>
          edit({ type: 'setPause', itemId: item.id, label: item.label, durationS })
        }
      />
    </>
  );
}

const TEACHING = [
  { value: 'worked-out', name: 'worked out' },
  { value: 'full', name: 'full: every option shown' },
  { value: 'brief', name: 'brief: they know it' },
  { value: 'none', name: 'none' },
] as const;

function ExerciseInspector({ item, timed }: { item: ExerciseItem; timed: TimedItem }) {
  const catalogue = useCatalogue();
  const edit = useEditor((editor) => editor.edit);
  const exercise = catalogue.require(item.exercise);
  const option = optionOf(exercise, timed.option ?? exercise.standard);
  const school = useEditor((editor) => editor.plan.school);
  const dose = doseOf(item, exercise, rulesOf(school));
  return (
    <>
      <div>
        <h2 className="text-xl">{exercise.name}</h2>
        <p className="text-soft">{exercise.purpose}</p>
      </div>
      <Figure
        of={option}
        held={timed.props}
        view={exercise.view}
        width={228}
        height={130}
        arrow
        label
      />
      {item.variants ? (
        <VariantsEditor item={item} exercise={exercise} />
      ) : (
        <>
          <DoseEditor
            dose={dose}
            exercise={exercise}
            option={option}
            onChange={(next) => edit({ type: 'setDose', itemId: item.id, dose: next })}
          />
          <MakeVariants item={item} exercise={exercise} />
        </>
      )}
      <div className="grid grid-cols-[1fr_5.5rem] items-end gap-2">
        <Select
          label="Teaching"
          value={item.teaching ?? 'worked-out'}
          choices={TEACHING}
          onChange={(value) =>
            edit({
              type: 'setTeaching',
              itemId: item.id,
              ...(value === 'worked-out' ? {} : { teaching: value }),
            })
          }
        />
        <Stepper
          label="rest after"
          unit="s"
          value={item.restS}
          min={0}
          max={600}
          step={5}
          onChange={(restS) => edit({ type: 'setRest', itemId: item.id, restS })}
        />
      </div>
      <PropsEditor item={item} used={option.props} held={timed.props} />
      <PaceEditor item={item} exercise={exercise} option={option} timed={timed} />
      {item.variants ? null : <OptionList item={item} exercise={exercise} />}
      <WhyHere exercise={exercise} timed={timed} />
      <Words exercise={exercise} number={timed.option ?? exercise.standard} />
    </>
  );
}

function WhyHere({ exercise, timed }: { exercise: Exercise; timed: TimedItem }) {
  const catalogue = useCatalogue();
  const { analysis } = usePlanScreen();
  const own = analysis.findings.filter((finding) => finding.itemIds.includes(timed.itemId));
  const before = analysis.timeline.items.filter((item) => item.startS < timed.startS);
  const needs = exercise.needs.map(({ foundation, depth }) => {
    const teacher = before.findLast((item) =>
      catalogue
        .get(item.exercise ?? '')
        ?.teaches.some((taught) => taught.foundation === foundation && taught.depth >= depth - 1),
    );
    const words = FOUNDATION_WORDS[foundation];
    return teacher ? `${teacher.name} taught ${words}` : `${words} is not taught before it`;
  });
  const next = exercise.counters
    .map((slug) => catalogue.get(slug)?.name)
    .filter(Boolean)
    .slice(0, 2);
  return (
    <section className="rounded-xl bg-copper-soft p-3">
      <h3 className="text-base text-copper">Why here?</h3>
      {own.map((finding) => (
        <p key={finding.key + finding.rule} className="mt-1">
          {finding.sentence}
        </p>
      ))}
      <p className="mt-1">
        {needs.length > 0 ? `${capital(needs.join('; '))}.` : 'It needs nothing before it.'}
        {next.length > 0 ? ` ${next.join(' or ')} would answer it.` : ''}
      </p>
    </section>
  );
}

function Words({ exercise, number }: { exercise: Exercise; number: number }) {
  const school = rulesOf(useEditor((editor) => editor.plan.school));
  const option = optionOf(exercise, number);
  const position = option.position ?? exercise.position;
  const words = schoolWords(exercise, option, school);
  return (
    <section aria-label="Words">
      <h3 className="mb-1 text-base">Say</h3>
      <ul className="flex flex-col gap-1">
        {exercise.cues.map((cue) => (
          <li key={cue}>“{cue}”</li>
        ))}
      </ul>
      <p className="mt-2 text-soft">
        {postureOf(option, position) ?? POSITION_WORDS[position]} · {words.breath}
      </p>
      {words.pelvis ? <p className="mt-1 text-soft">{words.pelvis}</p> : null}
      <p className="mt-1 text-soft">{words.level}</p>
      <Link
        to={`/library/${exercise.slug}`}
        className="mt-1 inline-block font-semibold text-fern underline"
      >
        Its page in the library
      </Link>
    </section>
  );
}

function NoteField({ item }: { item: Item }) {
  const edit = useEditor((editor) => editor.edit);
  return (
    <Field label="Note to myself">
      {(named) => (
        <textarea
          {...named}
          rows={2}
          maxLength={1000}
          defaultValue={item.note}
          className={inputClass}
          onBlur={(event) => {
            if (event.target.value !== item.note) {
              edit({ type: 'setNote', itemId: item.id, note: event.target.value });
            }
          }}
        />
      )}
    </Field>
  );
}

const PART_WORDS = {
  'set-up': 'Set-up',
  teaching: 'Words',
  work: 'Work',
  options: 'Options',
  'side-change': 'Other side',
  'set-rest': 'Between sets',
  rest: 'Rest',
  pause: 'Pause',
} as const;

/** Every second of the item, each time that it is done, each part with its reason. */
function WhereTimeGoes({ times }: { times: readonly TimedItem[] }) {
  const totalS = times.reduce((sum, { durationS }) => sum + durationS, 0);
  const parts = times.flatMap((timed) =>
    timed.parts.map((part) => ({ part, pass: passWords(timed) })),
  );
  return (
    <details className="rounded-xl border border-line bg-leaf p-3">
      <summary className="cursor-pointer font-semibold">Where {showClock(totalS)} goes</summary>
      <ol className="mt-2 flex flex-col gap-1.5">
        {parts.map(({ part, pass }) => (
          <li key={part.startS} className="grid grid-cols-[3rem_1fr] gap-2">
            <span className="text-right text-soft">{showClock(part.durationS)}</span>
            <span>
              <span className="font-semibold">
                {PART_WORDS[part.kind]}
                {part.side && part.side !== 'alternating' ? `, ${part.side}` : ''}
                {pass && !part.side ? `, ${pass}` : ''}
              </span>{' '}
              <span className="text-soft">
                {part.reason} ({part.source})
              </span>
            </span>
          </li>
        ))}
      </ol>
    </details>
  );
}

function MoveButtons({ itemId, name }: { itemId: string; name: string }) {
  const { editor } = usePlanScreen();
  const move = (by: 1 | -1) => {
    const edit = nudge(editor.getState().plan, itemId, by);
    if (edit) editor.getState().edit(edit);
  };
  return (
    <div className="flex flex-wrap gap-2">
      <Button onClick={() => move(-1)} title="Alt and arrow up">
        <ArrowUp size={15} aria-hidden /> Earlier
      </Button>
      <Button onClick={() => move(1)} title="Alt and arrow down">
        <ArrowDown size={15} aria-hidden /> Later
      </Button>
      <Button
        look="warn"
        aria-label={`Remove ${name}`}
        onClick={() => {
          editor.getState().edit({ type: 'removeItem', itemId });
          editor.getState().select(undefined);
        }}
      >
        <Trash2 size={15} aria-hidden /> Remove
      </Button>
    </div>
  );
}
