import type { Exercise, Option } from '@wrenfern/core/movement/exercise';
import { tempoOf } from '@wrenfern/core/movement/exercise';
import { TEMPOS, type Tempo } from '@wrenfern/core/movement/vocabulary';
import { TEMPO_WORDS } from '@wrenfern/core/movement/words';
import { pacingOf, type ExerciseItem, type Pacing } from '@wrenfern/core/plan/plan';
import { breathingOf } from '@wrenfern/core/plan/timing/breathing';
import type { TimedItem } from '@wrenfern/core/plan/timing/timeline';
import { Select } from '../../../parts/select.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import { useEditor } from '../editor/plan-context.tsx';

interface PaceProps {
  item: ExerciseItem;
  exercise: Exercise;
  option: Option;
  timed: TimedItem;
}

/** Whether an item follows the breath, how it is moved and how long it is explained: what its seconds come from. */
export function PaceEditor({ item, exercise, option, timed }: PaceProps) {
  const work = timed.parts.find(({ kind }) => kind === 'work');
  return (
    <details className="rounded-lg border border-line px-2.5 py-1.5">
      <summary className="cursor-pointer">
        <span className="font-semibold">Pace</span>
        <span className="text-[0.8125rem] text-soft"> {work?.reason}</span>
      </summary>
      <div className="mt-2 flex flex-col gap-2">
        <Breath item={item} exercise={exercise} option={option} />
        <Explained item={item} />
      </div>
    </details>
  );
}

const BREATH = [
  { value: 'open', name: 'as the class is led' },
  { value: 'breathed', name: 'follows the breath' },
  { value: 'own', name: 'its own pace' },
] as const;

const AS_OPTION = 'as the option';

function Breath({ item, exercise, option }: Omit<PaceProps, 'timed'>) {
  const set = useSetPacing(item);
  const style = useEditor((editor) => editor.plan.style);
  const { breathed } = item;
  const led = breathed ? 'breathed' : 'own';
  const own = tempoOf(exercise, option);
  return (
    <>
      <div className="grid grid-cols-[1fr_6rem] items-end gap-2">
        <Select
          label="Breath"
          value={breathed === undefined ? 'open' : led}
          choices={BREATH}
          onChange={(value) =>
            set({ breathed: value === 'open' ? undefined : value === 'breathed' })
          }
        />
        <Stepper
          label="breaths each"
          value={breathingOf(item, exercise, option, style).phases}
          min={1}
          max={8}
          onChange={(phases) => set({ phases })}
        />
      </div>
      <p className="text-[0.8125rem] text-soft">In-breaths and out-breaths of one repetition.</p>
      <Select<Tempo | typeof AS_OPTION>
        label="Moved as"
        value={item.tempo ?? AS_OPTION}
        choices={[
          { value: AS_OPTION, name: `as the option: ${TEMPO_WORDS[own]}` },
          ...TEMPOS.map((value) => ({ value, name: TEMPO_WORDS[value] })),
        ]}
        onChange={(value) => set({ tempo: value === AS_OPTION ? undefined : value })}
      />
    </>
  );
}

/** Seconds that are usual of an explanation. */
const EXPLAINED_S = [15, 30, 45, 60, 90, 120, 180, 300] as const;

function Explained({ item }: { item: ExerciseItem }) {
  const set = useSetPacing(item);
  return (
    <div className="flex items-end gap-2">
      <div className="w-32">
        <Stepper
          label="explained for"
          unit="s"
          value={item.explainS ?? 0}
          min={0}
          max={900}
          through={EXPLAINED_S}
          onChange={(seconds) => set({ explainS: seconds === 0 ? undefined : seconds })}
        />
      </div>
      <p className="text-[0.8125rem] text-soft">
        {item.explainS === undefined
          ? 'Not said: the usual few words.'
          : 'In place of the usual words; no pace changes it.'}
      </p>
    </div>
  );
}

/** Changes one thing and leaves the others as they were said. */
function useSetPacing(item: ExerciseItem) {
  const edit = useEditor((editor) => editor.edit);
  return (change: Partial<Record<keyof Pacing, unknown>>) =>
    edit({
      type: 'setPacing',
      itemId: item.id,
      pacing: { ...pacingOf(item), ...change } as Pacing,
    });
}
