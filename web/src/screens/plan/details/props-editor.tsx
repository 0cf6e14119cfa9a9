import type { PropUse } from '@wrenfern/core/movement/exercise';
import type { Prop } from '@wrenfern/core/movement/vocabulary';
import { listWords, PROP_WORDS } from '@wrenfern/core/movement/words';
import { KEEPS, MOST_ADDED, type ItemProps, type Keeps } from '@wrenfern/core/plan/item-props';
import type { ExerciseItem } from '@wrenfern/core/plan/plan';
import { ToggleChip } from '../../../parts/chip.tsx';
import { PropList } from '../../../parts/prop-list.tsx';
import { useEditor } from '../editor/plan-context.tsx';

interface PropsEditorProps {
  item: ExerciseItem;
  /** What the option shown is done with. */
  used: readonly PropUse[];
  /** What is held, with all that the plan says. */
  held: readonly PropUse[];
}

/** With what an item is done otherwise than its options say, and what stays from the item before. */
export function PropsEditor({ item, used, held }: PropsEditorProps) {
  const words = held.map(({ prop, place }) => `${PROP_WORDS[prop]} ${place}`);
  return (
    <details className="rounded-lg border border-line px-2.5 py-1.5">
      <summary className="cursor-pointer">
        <span className="font-semibold">Props</span>
        <span className="text-[0.8125rem] text-soft">
          {' '}
          {words.length > 0 ? listWords(words) : 'none'}
        </span>
      </summary>
      <div className="mt-2 flex flex-col gap-3">
        <LeftAway item={item} used={used} />
        <Stays item={item} />
        <Added item={item} />
      </div>
    </details>
  );
}

function LeftAway({ item, used }: Pick<PropsEditorProps, 'item' | 'used'>) {
  const set = useSetProps(item);
  const without = item.props?.without ?? [];
  const needed = used.filter(({ optional }) => !optional).map(({ prop }) => prop);
  const props = [...new Set([...needed, ...without])];
  if (props.length === 0) return null;
  const toggle = (prop: Prop, isOn: boolean) => {
    const left = isOn ? without.filter((each) => each !== prop) : [...without, prop];
    set({ ...item.props, without: left });
  };
  return (
    <fieldset>
      <legend className="text-[0.8125rem] text-soft">Of this option</legend>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {props.map((prop) => (
          <ToggleChip
            key={prop}
            on={!without.includes(prop)}
            onChange={(isOn) => toggle(prop, isOn)}
          >
            {PROP_WORDS[prop]}
          </ToggleChip>
        ))}
      </div>
      {without.length > 0 ? (
        <p className="mt-1 text-[0.8125rem] text-soft">
          A support stays with whoever’s record asks for it.
        </p>
      ) : null}
    </fieldset>
  );
}

const STAYS: Record<Keeps[number], string> = {
  props: 'its props, where they lie',
  shape: 'its shape, not left',
};

function Stays({ item }: { item: ExerciseItem }) {
  const edit = useEditor((editor) => editor.edit);
  const keeps = item.keeps ?? [];
  const toggle = (each: Keeps[number], isOn: boolean) => {
    const next = KEEPS.filter((one) => (one === each ? isOn : keeps.includes(one)));
    edit({ type: 'setKeeps', itemId: item.id, ...(next.length > 0 ? { keeps: next } : {}) });
  };
  return (
    <fieldset>
      <legend className="text-[0.8125rem] text-soft">Stays from the exercise before</legend>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {KEEPS.map((each) => (
          <ToggleChip key={each} on={keeps.includes(each)} onChange={(isOn) => toggle(each, isOn)}>
            {STAYS[each]}
          </ToggleChip>
        ))}
      </div>
    </fieldset>
  );
}

function Added({ item }: { item: ExerciseItem }) {
  const set = useSetProps(item);
  return (
    <PropList
      legend="Besides"
      props={item.props?.added ?? []}
      most={MOST_ADDED}
      onChange={(added) => set({ ...item.props, added })}
    />
  );
}

/** A list without anything in it is no list, and nothing said is nothing kept. */
function useSetProps(item: ExerciseItem) {
  const edit = useEditor((editor) => editor.edit);
  return ({ added = [], without = [] }: ItemProps) => {
    const props = {
      ...(added.length > 0 ? { added } : {}),
      ...(without.length > 0 ? { without } : {}),
    };
    edit({
      type: 'setProps',
      itemId: item.id,
      ...(added.length + without.length > 0 ? { props } : {}),
    });
  };
}
