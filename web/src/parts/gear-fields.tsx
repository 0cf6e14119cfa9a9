import { MachineSetting } from '@wrenfern/core/movement/exercise';
import { STRENGTHS } from '@wrenfern/core/movement/gear';
import { Select } from './select.tsx';
import { Stepper } from './stepper.tsx';

const MOST_SPRINGS = 5;

/** The settings that are one choice of a few, as the schema lists them. */
const CHOICES = [
  { key: 'moreSpring', label: 'Another spring is', values: MachineSetting.shape.moreSpring },
  { key: 'bar', label: 'Bar', values: MachineSetting.shape.bar },
  { key: 'headrest', label: 'Headrest', values: MachineSetting.shape.headrest },
  { key: 'loops', label: 'Loops', values: MachineSetting.shape.loops },
  { key: 'box', label: 'Box', values: MachineSetting.shape.box },
  { key: 'facing', label: 'Facing', values: MachineSetting.shape.facing },
] as const;

interface GearFieldsProps {
  settings: MachineSetting;
  /** Names of springs by the studio; plain ones when left out. */
  nameOf?: (strength: (typeof STRENGTHS)[number]) => string;
  /** Also what another spring does, which only the author of an exercise says. */
  withEffect?: boolean;
  onChange: (settings: MachineSetting) => void;
}

/** How a machine is set: springs by strength, and a choice for each other part. */
export function GearFields({ settings, nameOf, withEffect = false, onChange }: GearFieldsProps) {
  const choices = withEffect ? CHOICES : CHOICES.filter(({ key }) => key !== 'moreSpring');
  return (
    <div className="flex flex-wrap items-end gap-2">
      {STRENGTHS.map((strength) => (
        <div key={strength} className="w-28">
          <Stepper
            label={nameOf ? nameOf(strength) : `${strength} springs`}
            value={settings.springs?.[strength] ?? 0}
            min={0}
            max={MOST_SPRINGS}
            onChange={(count) =>
              onChange({ ...settings, springs: { ...settings.springs, [strength]: count } })
            }
          />
        </div>
      ))}
      {choices.map(({ key, label, values }) => (
        <Select<string>
          key={key}
          label={label}
          value={settings[key] ?? ''}
          choices={[
            { value: '', name: 'not said' },
            ...values.unwrap().options.map((option) => ({ value: option, name: option })),
          ]}
          onChange={(value) => {
            const { [key]: _before, ...rest } = settings;
            onChange(value ? { ...rest, [key]: value } : rest);
          }}
        />
      ))}
    </div>
  );
}
