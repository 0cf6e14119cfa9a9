import type { Option } from '@wrenfern/core/movement/exercise';
import { GearFields } from '../../../parts/gear-fields.tsx';
import { PropList } from '../../../parts/prop-list.tsx';

interface GearProps {
  option: Option;
  onReformer: boolean;
  change: (part: Partial<Option>) => void;
}

/** What an option is done with: props at their places, and the machine as it is set. */
export function OptionGear({ option, onReformer, change }: GearProps) {
  return (
    <>
      <PropList
        legend="Props"
        props={option.props}
        wantedOnly
        onChange={(props) => change({ props })}
      />
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
