import { ArrowDown, ArrowUp, Plus, Trash2 } from 'lucide-react';
import { freshId } from '@wrenfern/core/plan/fresh-id';
import { shareOfTime } from '@wrenfern/core/plan/timing/timeline';
import { ClassStyle, STYLE_WORDS } from '@wrenfern/core/plan/class-style';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { PLACE_WORDS } from '@wrenfern/core/movement/words';
import type { Segment } from '@wrenfern/core/plan/plan';
import { Button } from '../../../parts/button.tsx';
import { CLASS_LENGTHS } from '../../../parts/class-lengths.ts';
import { Field, inputClass } from '../../../parts/field.tsx';
import { IconButton } from '../../../parts/icon-button.tsx';
import { Select } from '../../../parts/select.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';
import { showClock } from '@wrenfern/core/plan/show-time';
import { ClassPart } from './class-part.tsx';
import { Intervals } from './intervals.tsx';
import { MachinePart } from './machine-part.tsx';
import { SchoolPart } from '../school/school-part.tsx';

const NOT_SAID = 'not said';
const STYLES = [
  { value: NOT_SAID, name: 'not said: the forecast is wider' },
  ...ClassStyle.options.map((value) => ({ value, name: STYLE_WORDS[value] })),
] as const;

/** The class as a whole: its name, length, school, parts and how its time divides. */
export function PlanDetailsPanel() {
  const plan = useEditor((editor) => editor.plan);
  const edit = useEditor((editor) => editor.edit);
  const { mayEdit } = usePlanScreen();
  return (
    <div className="flex flex-col gap-4 p-4">
      <h2 className="text-xl">The class</h2>
      <Title />
      <div className="w-32">
        <Stepper
          label="length"
          unit="min"
          value={Math.round(plan.targetS / 60)}
          min={1}
          max={180}
          through={CLASS_LENGTHS}
          onChange={(minutes) => edit({ type: 'setDetails', details: { targetS: minutes * 60 } })}
        />
      </div>
      <Select
        label="Led"
        value={plan.style ?? NOT_SAID}
        choices={STYLES}
        onChange={(value) =>
          edit({
            type: 'setDetails',
            details: { style: value === NOT_SAID ? undefined : value },
          })
        }
      />
      <MachinePart />
      <Intervals />
      <SchoolPart />
      <ClassPart />
      <Field label="Note for the class">
        {(named) => (
          <textarea
            {...named}
            key={plan.note}
            rows={2}
            maxLength={4000}
            defaultValue={plan.note}
            className={inputClass}
            onBlur={(event) => {
              if (event.target.value !== plan.note) {
                edit({ type: 'setDetails', details: { note: event.target.value } });
              }
            }}
          />
        )}
      </Field>
      <Division />
      {mayEdit ? <Parts /> : null}
      <p className="text-[0.8125rem] text-soft">
        Wrenfern shows the usual cautions. It does not diagnose or clear anyone: persistent pain
        goes to a clinician; makers’ instructions and local rules come first.
      </p>
    </div>
  );
}

function Title() {
  const title = useEditor((editor) => editor.plan.title);
  const edit = useEditor((editor) => editor.edit);
  return (
    <Field label="Name">
      {(named) => (
        <input
          {...named}
          key={title}
          defaultValue={title}
          maxLength={120}
          className={inputClass}
          onBlur={(event) => {
            const next = event.target.value.trim();
            if (next && next !== title) edit({ type: 'setDetails', details: { title: next } });
            else event.target.value = title;
          }}
        />
      )}
    </Field>
  );
}

function Division() {
  const { analysis } = usePlanScreen();
  if (analysis.timeline.items.length === 0) return null;
  const share = shareOfTime(analysis.timeline);
  const rows = [
    { name: 'Work', value: share.work, usual: '58–78' },
    { name: 'Set-up', value: share.setUp, usual: '12–21' },
    { name: 'Words', value: share.teaching, usual: '7–19' },
    { name: 'Rest and talk', value: share.rest, usual: '1–17' },
  ];
  return (
    <section aria-label="How the time divides">
      <h3 className="mb-1 text-base">How the time divides</h3>
      <dl className="grid grid-cols-[1fr_auto_auto] gap-x-3 gap-y-0.5">
        {rows.map(({ name, value, usual }) => (
          <div key={name} className="contents">
            <dt>{name}</dt>
            <dd className="text-right font-semibold">{Math.round(value * 100)} %</dd>
            <dd className="text-right text-soft">usual {usual}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function Parts() {
  const plan = useEditor((editor) => editor.plan);
  const edit = useEditor((editor) => editor.edit);
  const addPart = () =>
    edit({
      type: 'addSegment',
      index: plan.segments.length,
      segment: { id: freshId(plan, 'part'), name: 'New part', items: [] },
    });
  const addPause = () => {
    const segment = plan.segments[0];
    if (!segment) return;
    edit({
      type: 'addItem',
      segmentId: segment.id,
      index: 0,
      item: {
        kind: 'pause',
        id: freshId(plan, 'pause'),
        label: 'Welcome',
        durationS: 120,
        note: '',
      },
    });
  };
  return (
    <section aria-label="Parts of the class">
      <h3 className="mb-1 text-base">Parts</h3>
      <ul className="flex flex-col gap-1.5">
        {plan.segments.map((segment, index) => (
          <PartRow
            key={segment.id}
            segment={segment}
            index={index}
            isLast={index === plan.segments.length - 1}
          />
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={addPart} disabled={plan.segments.length >= 20}>
          <Plus size={15} aria-hidden /> Part
        </Button>
        <Button onClick={addPause}>
          <Plus size={15} aria-hidden /> Talk or water
        </Button>
      </div>
    </section>
  );
}

function PartRow({ segment, index, isLast }: { segment: Segment; index: number; isLast: boolean }) {
  const edit = useEditor((editor) => editor.edit);
  const { id: segmentId, name } = segment;
  return (
    <li className="flex flex-wrap items-center gap-1">
      <input
        key={name}
        aria-label={`Name of part ${index + 1}`}
        defaultValue={name}
        maxLength={120}
        className={inputClass}
        onBlur={(event) => {
          const next = event.target.value.trim();
          if (next && next !== name) edit({ type: 'renameSegment', segmentId, name: next });
          else event.target.value = name;
        }}
      />
      <IconButton
        label={`${name} earlier`}
        disabled={index === 0}
        onClick={() => edit({ type: 'moveSegment', segmentId, index: index - 1 })}
      >
        <ArrowUp size={15} aria-hidden />
      </IconButton>
      <IconButton
        label={`${name} later`}
        disabled={isLast}
        onClick={() => edit({ type: 'moveSegment', segmentId, index: index + 1 })}
      >
        <ArrowDown size={15} aria-hidden />
      </IconButton>
      <IconButton
        label={`Remove ${name} with its exercises`}
        disabled={index === 0 && isLast}
        onClick={() => edit({ type: 'removeSegment', segmentId })}
      >
        <Trash2 size={15} aria-hidden />
      </IconButton>
      <PartTarget segment={segment} />
      <Station segment={segment} />
    </li>
  );
}

/** How long a part lasts and is meant to; without a number, only the whole class has a length. */
function PartTarget({ segment: { id: segmentId, name, targetS } }: { segment: Segment }) {
  const edit = useEditor((editor) => editor.edit);
  const { analysis } = usePlanScreen();
  const lasts = analysis.timeline.segments.find((each) => each.segmentId === segmentId)?.durationS;
  const minutes = targetS === undefined ? '' : String(Math.round(targetS / 6) / 10);
  const set = (input: HTMLInputElement) => {
    const typed = input.value.trim().replace(',', '.');
    const seconds = Math.round(Number(typed) * 60);
    if (typed === minutes) return;
    if (typed === '') edit({ type: 'setPartTarget', segmentId });
    else if (seconds >= SHORTEST_PART_S && seconds <= LONGEST_PART_S) {
      edit({ type: 'setPartTarget', segmentId, targetS: seconds });
    } else input.value = minutes;
  };
  return (
    <label className="mb-1 flex w-full items-center gap-1.5 pl-2.5 text-[0.8125rem] text-soft">
      {showClock(lasts ?? 0)}, meant to last
      <input
        key={minutes}
        aria-label={`Minutes that ${name} is meant to last`}
        inputMode="decimal"
        defaultValue={minutes}
        placeholder="any"
        className="w-11 rounded border border-line bg-leaf px-1 py-0.5 text-center text-ink"
        onBlur={({ currentTarget }) => set(currentTarget)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
        }}
      />
      min
    </label>
  );
}

const SHORTEST_PART_S = 15;
const LONGEST_PART_S = 10_800;

const TOGETHER = 'together';
const STATIONS = [
  { value: TOGETHER, name: 'all together' },
  { value: 'reformer', name: PLACE_WORDS.reformer },
  { value: 'mat', name: PLACE_WORDS.mat },
] as const;

/** In a class of two groups: which of them does a part. */
function Station({ segment: { id: segmentId, name, station } }: { segment: Segment }) {
  const plan = useEditor((editor) => editor.plan);
  const edit = useEditor((editor) => editor.edit);
  if (!isMixed(plan)) return null;
  return (
    <div className="mb-1 w-full">
      <Select
        label={`Where ${name} is done`}
        labelHidden
        value={station ?? TOGETHER}
        choices={STATIONS}
        onChange={(where) =>
          edit({
            type: 'setStation',
            segmentId,
            ...(where === TOGETHER ? {} : { station: where }),
          })
        }
      />
    </div>
  );
}
