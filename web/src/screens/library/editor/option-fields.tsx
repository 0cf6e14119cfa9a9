import { LEVER_WORDS, TEMPO_WORDS } from '@wrenfern/core/movement/words';
import { Copy, Plus, Trash2 } from 'lucide-react';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { Exercise, Option } from '@wrenfern/core/movement/exercise';
import type { KeyPose } from '@wrenfern/core/movement/pose';
import { DEMANDS, LEVERS, MOST_OPTIONS, TEMPOS } from '@wrenfern/core/movement/vocabulary';
import { DEMAND_WORDS } from '@wrenfern/core/movement/words';
import { Button } from '../../../parts/button.tsx';
import { TextField } from '../../../parts/field.tsx';
import { Figure } from '../../../parts/figure.tsx';
import { IconButton } from '../../../parts/icon-button.tsx';
import { Select } from '../../../parts/select.tsx';
import { BodyMeasures } from '../body-measures.tsx';
import { LoadBars } from '../load-bars.tsx';
import { Chips } from './basics-fields.tsx';
import { numbered } from './unsaved-exercise.ts';
import { OptionGear } from './option-gear.tsx';
import { PoseEditor } from './pose-editor.tsx';

interface OptionFieldsProps {
  form: UseFormReturn<Exercise>;
  draft: Exercise;
}

const OPTION_TEXTS = [
  { key: 'name', label: 'Option’s name' },
  { key: 'change', label: 'What changes' },
  { key: 'feel', label: 'What to feel' },
  { key: 'stepBack', label: 'When to step back' },
] as const;

const TURNED = { shouldDirty: true, shouldValidate: true } as const;
const LEAST_OPTIONS = 2;
const MOST_POSES = 4;

/** The ladder: each option's words, what it asks, and its key poses. */
export function OptionFields({ form, draft }: OptionFieldsProps) {
  const [at, setAt] = useState(0);
  const index = Math.min(at, draft.options.length - 1);
  const option = draft.options[index];
  const setOptions = (options: Option[]) => form.setValue('options', numbered(options), TURNED);
  const change = (part: Partial<Option>) => {
    setOptions(draft.options.map((each, where) => (where === index ? { ...each, ...part } : each)));
  };
  const addOption = () => {
    const last = draft.options.at(-1);
    if (!last) return;
    setOptions([...draft.options, { ...structuredClone(last), name: `${last.name}, further` }]);
    setAt(draft.options.length);
  };
  const remove = () => {
    setOptions(draft.options.filter((_, where) => where !== index));
    setAt(Math.max(0, index - 1));
  };
  if (!option) return null;
  return (
    <section className="flex flex-col gap-3">
      <h2 className="text-xl">Options, easiest first</h2>
      <Tabs.Root value={String(index)} onValueChange={(value) => setAt(Number(value))}>
        <div className="flex flex-wrap items-center gap-2">
          <Tabs.List className="flex flex-wrap gap-1" aria-label="Options">
            {draft.options.map((each, where) => (
              <Tabs.Trigger
                key={each.number}
                value={String(where)}
                className="rounded-lg border border-line bg-leaf px-3 py-1.5 data-[state=active]:border-fern data-[state=active]:bg-mist data-[state=active]:font-semibold data-[state=active]:text-fern"
              >
                {each.number} · {each.name || 'unnamed'}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <Button disabled={draft.options.length >= MOST_OPTIONS} onClick={addOption}>
            <Plus size={16} aria-hidden /> Add an option
          </Button>
          <Button disabled={draft.options.length <= LEAST_OPTIONS} onClick={remove}>
            <Trash2 size={16} aria-hidden /> Take this one out
          </Button>
        </div>
        <Tabs.Content value={String(index)} className="mt-4 flex flex-col gap-4">
          <Rung index={index} option={option} draft={draft} form={form} change={change} />
        </Tabs.Content>
      </Tabs.Root>
    </section>
  );
}

/** Stands for an option that is paced as its exercise. */
const AS_EXERCISE = 'as-exercise';

interface RungProps extends OptionFieldsProps {
  option: Option;
  change: (part: Partial<Option>) => void;
}

const AS_MEASURED = 'measured';
const EFFORTS = [
  { value: AS_MEASURED, name: 'as the body model weighs it' },
  ...Array.from({ length: 11 }, (_, half) => ({
    value: String(half / 2),
    name: `${half / 2} of 5`,
  })),
];

/** One option: its poses, its words, its gear, what it turns and asks, and what follows from that. */
function Rung({ index, option, draft, form, change }: RungProps & { index: number }) {
  const errors = form.formState.errors.options?.[index];
  return (
    <>
      <Poses key={index} option={option} draft={draft} form={form} change={change} />
      <div className="grid gap-4 sm:grid-cols-2">
        {OPTION_TEXTS.map(({ key, label }) => (
          <TextField
            key={key}
            label={label}
            error={errors?.[key]?.message}
            {...form.register(`options.${index}.${key}`)}
          />
        ))}
      </div>
      <div className="grid max-w-2xl gap-4 sm:grid-cols-2">
        <Select
          label="How hard it is"
          value={option.effort === undefined ? AS_MEASURED : String(option.effort)}
          choices={EFFORTS}
          onChange={(value) =>
            change({ effort: value === AS_MEASURED ? undefined : Number(value) })
          }
        />
        <Select
          label="Kind of repetition"
          value={option.tempo ?? AS_EXERCISE}
          choices={[
            { value: AS_EXERCISE, name: `as the exercise: ${TEMPO_WORDS[draft.tempo]}` },
            ...TEMPOS.map((value) => ({ value, name: TEMPO_WORDS[value] })),
          ]}
          onChange={(value) => change({ tempo: value === AS_EXERCISE ? undefined : value })}
        />
      </div>
      <OptionGear option={option} onReformer={draft.machine === 'reformer'} change={change} />
      <Chips
        legend="What it turns"
        values={LEVERS}
        words={LEVER_WORDS}
        on={option.levers}
        onToggle={(lever, on) => change({ levers: toggled(option.levers, lever, on) })}
      />
      <Chips
        legend="What it asks of a body besides what is measured from its poses (cautions follow from both)"
        values={DEMANDS}
        words={DEMAND_WORDS}
        on={option.demands}
        onToggle={(demand, on) => change({ demands: toggled(option.demands, demand, on) })}
      />
      <div className="max-w-sm">
        <LoadBars exercise={draft} option={option} before={draft.options[index - 1]} />
        <BodyMeasures exercise={draft} option={option} />
      </div>
    </>
  );
}

function toggled<T>(all: readonly T[], value: T, on: boolean): T[] {
  return on ? [...all, value] : all.filter((each) => each !== value);
}

/** One to four key poses, and the one that is being shaped. */
function Poses({ option, draft, form, change }: RungProps) {
  const [at, setAt] = useState(0);
  const index = Math.min(at, option.poses.length - 1);
  const pose = option.poses[index];
  const setPoses = (poses: KeyPose[]) => change({ poses });
  if (pose === undefined) return null;
  return (
    <div className="flex flex-col gap-3">
      <div className="flex flex-wrap items-center gap-2" role="group" aria-label="Key poses">
        {option.poses.map((_, where) => (
          <button
            key={where}
            type="button"
            aria-pressed={where === index}
            aria-label={`Key pose ${where + 1}`}
            onClick={() => setAt(where)}
            className="rounded-xl border border-line bg-leaf p-1 aria-pressed:border-fern aria-pressed:bg-mist"
          >
            <Figure of={option} view={draft.view} pose={where} width={96} height={62} />
          </button>
        ))}
        <IconButton
          label="Copy this pose as the next"
          disabled={option.poses.length >= MOST_POSES}
          onClick={() => {
            setPoses([
              ...option.poses.slice(0, index + 1),
              structuredClone(pose),
              ...option.poses.slice(index + 1),
            ]);
            setAt(index + 1);
          }}
        >
          <Copy size={16} aria-hidden />
        </IconButton>
        <IconButton
          label="Take this pose out"
          disabled={option.poses.length <= 1}
          onClick={() => {
            setPoses(option.poses.filter((_, where) => where !== index));
            setAt(Math.max(0, index - 1));
          }}
        >
          <Trash2 size={16} aria-hidden />
        </IconButton>
      </div>
      <PoseEditor
        pose={pose}
        props={option.props}
        view={draft.view}
        onView={(view) => form.setValue('view', view, TURNED)}
        onChange={(next) =>
          setPoses(option.poses.map((each, where) => (where === index ? next : each)))
        }
      />
    </div>
  );
}
