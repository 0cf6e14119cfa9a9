import { Plus, Trash2 } from 'lucide-react';
import type { PropUse } from '@wrenfern/core/movement/exercise';
import { PROP_PLACES, PROP_ROLES, PROPS } from '@wrenfern/core/movement/vocabulary';
import { PROP_WORDS } from '@wrenfern/core/movement/words';
import { Button } from './button.tsx';
import { ToggleChip } from './chip.tsx';
import { IconButton } from './icon-button.tsx';
import { Select } from './select.tsx';
import { Stepper } from './stepper.tsx';

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

interface PropListProps {
  legend: string;
  props: readonly PropUse[];
  /** How many there may be. */
  most?: number;
  /** Whether one can be there only for whoever wants it. */
  wantedOnly?: boolean;
  onChange: (props: PropUse[]) => void;
}

/** Props, each with where it lies, what it is for and how many: to be changed, added and taken away. */
export function PropList({ legend, props, most, wantedOnly = false, onChange }: PropListProps) {
  const set = (index: number, part: Partial<PropUse>) =>
    onChange(props.map((use, where) => (where === index ? { ...use, ...part } : use)));
  return (
    <fieldset>
      <legend className="text-[0.8125rem] text-soft">{legend}</legend>
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
            {wantedOnly ? (
              <ToggleChip on={use.optional} onChange={(optional) => set(index, { optional })}>
                only if wanted
              </ToggleChip>
            ) : null}
            <IconButton
              label={`Take prop ${index + 1} away`}
              onClick={() => onChange(props.filter((_, where) => where !== index))}
            >
              <Trash2 size={16} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <Button
        className="mt-2"
        disabled={props.length === most}
        onClick={() => onChange([...props, { ...NEW_PROP, optional: wantedOnly }])}
      >
        <Plus size={16} aria-hidden /> Add a prop
      </Button>
    </fieldset>
  );
}
