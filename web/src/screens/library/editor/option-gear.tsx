import { Plus, Trash2 } from 'lucide-react';
import type { Option, PropUse } from '@wrenfern/core/movement/exercise';
import { PROP_PLACES, PROP_ROLES, PROPS } from '@wrenfern/core/movement/vocabulary';
import { Button } from '../../../parts/button.tsx';
import { ToggleChip } from '../../../parts/chip.tsx';
import { GearFields } from '../../../parts/gear-fields.tsx';
import { IconButton } from '../../../parts/icon-button.tsx';
import { Select } from '../../../parts/select.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import { PROP_WORDS } from '@wrenfern/core/movement/words';

interface GearProps {
  option: Option;
  onReformer: boolean;
  change: (part: Partial<Option>) => void;
}

/** What an option is done with: props at their places, and the machine as it is set. */
export function OptionGear({ option, onReformer, change }: GearProps) {
  return (
    <>
      <PropList props={option.props} onChange={(props) => change({ props })} />
      {onReformer ? (
        <fieldset>
          <legend className="text-[0.8125rem] text-soft">The machine</legend>
          <div className="mt-1">
            <GearFields
              withEffect
              settings={option.settings ?? {}}
              onChange={(settings) => change({ settings })}
            />
          </div>
        </fieldset>
      ) : null}
    </>
  );
}

const MOST_OF_A_PROP = 4;
const NEW_PROP: PropUse = {
  prop: 'cushion',
  place: 'under head',
  role: 'support',
  count: 1,
  optional: true,
};

const choicesOf = <T extends string>(values: readonly T[], words?: Readonly<Record<T, string>>) =>
  values.map((value) => ({ value, name: words ? words[value] : value }));

function PropList({
  props,
  onChange,
}: {
  props: readonly PropUse[];
  onChange: (props: PropUse[]) => void;
}) {
  const set = (index: number, part: Partial<PropUse>) =>
    onChange(props.map((use, where) => (where === index ? { ...use, ...part } : use)));
  return (
    <fieldset>
      <legend className="text-[0.8125rem] text-soft">Props</legend>
      <ul className="mt-1 flex flex-col gap-2">
        {props.map((use, index) => (
          <li key={index} className="flex flex-wrap items-end gap-2">
            <Select
              label={`Prop ${index + 1}`}
              value={use.prop}
              choices={choicesOf(PROPS, PROP_WORDS)}
              onChange={(prop) => set(index, { prop })}
            />
            <Select
              label="Where it lies"
              value={use.place}
              choices={choicesOf(PROP_PLACES)}
              onChange={(place) => set(index, { place })}
            />
            <Select
              label="What it is for"
              value={use.role}
              choices={choicesOf(PROP_ROLES)}
              onChange={(role) => set(index, { role })}
            />
            <div className="w-28">
              <Stepper
                label="how many"
                value={use.count}
                min={1}
                max={MOST_OF_A_PROP}
                onChange={(count) => set(index, { count })}
              />
            </div>
            <ToggleChip on={use.optional} onChange={(optional) => set(index, { optional })}>
              only if wanted
            </ToggleChip>
            <IconButton
              label={`Take prop ${index + 1} away`}
              onClick={() => onChange(props.filter((_, where) => where !== index))}
            >
              <Trash2 size={16} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <Button className="mt-2" onClick={() => onChange([...props, NEW_PROP])}>
        <Plus size={16} aria-hidden /> Add a prop
      </Button>
    </fieldset>
  );
}
