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
        <Breath item={item} />
        <MovedAs item={item} own={tempoOf(exercise, option)} />
        <Seconds item={item} exercise={exercise} option={option} />
      </div>
    </details>
  );
}

const BREATH = [
  { value: 'open', name: 'as the class is led' },
  { value: 'breathed', name: 'follows the breath' },
  { value: 'own', name: 'its own pace' },
] as const;

function Breath({ item }: Pick<PaceProps, 'item'>) {
  const set = useSetPacing(item);
  const { breathed } = item;
  const led = breathed ? 'breathed' : 'own';
  return (
    <Select
      label="Breath"
      value={breathed === undefined ? 'open' : led}
      choices={BREATH}
      onChange={(value) => set({ breathed: value === 'open' ? undefined : value === 'breathed' })}
    />
  );
}

const AS_OPTION = 'as the option';

function MovedAs({ item, own }: { item: ExerciseItem; own: Tempo }) {
  const set = useSetPacing(item);
  return (
    <Select<Tempo | typeof AS_OPTION>
      label="Moved as"
      value={item.tempo ?? AS_OPTION}
      choices={[
        { value: AS_OPTION, name: `${TEMPO_WORDS[own]} (as the option)` },
        ...TEMPOS.map((value) => ({ value, name: TEMPO_WORDS[value] })),
      ]}
      onChange={(value) => set({ tempo: value === AS_OPTION ? undefined : value })}
    />
  );
}

/** Seconds that are usual of an explanation. */
const EXPLAINED_S = [15, 30, 45, 60, 90, 120, 180, 300] as const;

function Seconds({ item, exercise, option }: Omit<PaceProps, 'timed'>) {
  const set = useSetPacing(item);
  const style = useEditor((editor) => editor.plan.style);
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        <Stepper
          label="breaths each"
          value={breathingOf(item, exercise, option, style).phases}
          min={1}
          max={8}
          onChange={(phases) => set({ phases })}
        />
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
        In-breaths and out-breaths of one repetition.{' '}
        {item.explainS === undefined
          ? 'Explained for 0: the usual few words.'
          : 'The explanation stands in place of the usual words; no pace changes it.'}
      </p>
    </>
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
