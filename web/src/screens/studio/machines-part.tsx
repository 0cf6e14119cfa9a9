import { Plus, Trash2 } from 'lucide-react';
import { STRENGTHS } from '@wrenfern/core/movement/gear';
import { readMachines, withFacts, writeMachines } from '@wrenfern/core/formats/csv/machines-csv';
import { GEAR_PART_WORDS } from '@wrenfern/core/room/gear-words';
import type { Machines, SpringKind } from '@wrenfern/core/room/machines';
import type { StudioSettings } from '@wrenfern/contract/studio';
import { Button } from '../../parts/button.tsx';
import { Field, inputClass } from '../../parts/field.tsx';
import { IconButton } from '../../parts/icon-button.tsx';
import { Stepper } from '../../parts/stepper.tsx';
import { TableExchange } from '../../parts/table-exchange.tsx';
import { useStudioChange } from './studio-change.ts';

const MOST_KINDS = 8;
const GEAR_ORDER = ['springs', 'bar', 'headrest', 'loops', 'box', 'facing'] as const;

interface PartProps {
  machines: Machines;
  set: (change: Partial<Machines>) => void;
}

/** The studio's reformers by its own names; plans, Teach and paper speak with these words. */
export function MachinesPart({ studio, isOwner }: { studio: StudioSettings; isOwner: boolean }) {
  const change = useStudioChange();
  const { machines } = studio;
  const set = (part: Partial<Machines>) => void change({ machines: { ...machines, ...part } });
  return (
    <section aria-label="Machines">
      <div className="flex items-start justify-between gap-3">
        <h2 className="text-xl">Machines</h2>
        {isOwner ? (
          <TableExchange
            what="Machines"
            fileName="machines"
            hint="Columns “what”, “which”, “name” and “count”; a saved file shows each kind of row. What it says of springs or extras takes the place of all that are there; everything else that it leaves out stays."
            write={() => writeMachines(machines)}
            read={readMachines}
            take={(facts) => change({ machines: withFacts(machines, facts) })}
          />
        ) : null}
      </div>
      <p className="mb-3 text-soft">
        How many there are, and what you call their parts. Until you say, plans use plain words.
        Makers’ instructions come first.
      </p>
      <fieldset disabled={!isOwner} className="flex flex-col gap-4">
        <div className="w-40">
          <Stepper
            label="reformers"
            value={machines.reformers}
            min={0}
            max={60}
            onChange={(reformers) => set({ reformers })}
          />
        </div>
        <SpringList machines={machines} set={set} />
        <Positions machines={machines} set={set} />
        <Seconds machines={machines} set={set} />
        <SafetyWords machines={machines} set={set} />
      </fieldset>
    </section>
  );
}

interface SpringRowProps {
  kind: SpringKind;
  put: (part: Partial<SpringKind>) => void;
  takeAway: () => void;
}

function SpringRow({ kind, put, takeAway }: SpringRowProps) {
  return (
    <li className="grid grid-cols-[1fr_8rem_6.5rem_2rem] items-end gap-2">
      <Field label="Your name for it">
        {(named) => (
          <input
            {...named}
            key={kind.name}
            defaultValue={kind.name}
            maxLength={40}
            className={inputClass}
            onBlur={(event) => {
              const name = event.target.value.trim();
              if (name && name !== kind.name) put({ name });
              else event.target.value = kind.name;
            }}
          />
        )}
      </Field>
      <Field label="Strength">
        {(named) => (
          <select
            {...named}
            value={kind.strength}
            className={inputClass}
            onChange={(event) => {
              const strength = STRENGTHS.find((each) => each === event.target.value);
              if (strength) put({ strength });
            }}
          >
            {STRENGTHS.map((strength) => (
              <option key={strength}>{strength}</option>
            ))}
          </select>
        )}
      </Field>
      <Stepper
        label="on each"
        value={kind.count}
        min={1}
        max={5}
        onChange={(count) => put({ count })}
      />
      <IconButton label={`Take ${kind.name} away`} onClick={takeAway}>
        <Trash2 size={16} aria-hidden />
      </IconButton>
    </li>
  );
}

function SpringList({ machines, set }: PartProps) {
  const { springs } = machines;
  const put = (index: number, part: Partial<SpringKind>) =>
    set({ springs: springs.map((kind, at) => (at === index ? { ...kind, ...part } : kind)) });
  return (
    <div>
      <h3 className="mb-1 text-base">Springs of one machine</h3>
      <ul className="flex flex-col gap-2">
        {springs.map((kind, index) => (
          <SpringRow
            key={index}
            kind={kind}
            put={(part) => put(index, part)}
            takeAway={() => set({ springs: springs.filter((_, at) => at !== index) })}
          />
        ))}
      </ul>
      <Button
        className="mt-2"
        disabled={springs.length >= MOST_KINDS}
        onClick={() =>
          set({ springs: [...springs, { name: 'new spring', strength: 'medium', count: 1 }] })
        }
      >
        <Plus size={16} aria-hidden /> Springs of a kind
      </Button>
    </div>
  );
}

const BARS = ['high', 'middle', 'low'] as const;
const HEADRESTS = ['up', 'middle', 'down'] as const;

function Positions({ machines, set }: PartProps) {
  return (
    <div className="grid gap-x-4 gap-y-2 sm:grid-cols-3">
      {BARS.map((bar) => (
        <OwnName
          key={bar}
          label={`Bar ${bar} is called`}
          plain={bar}
          name={machines.bars[bar]}
          onName={(name) => set({ bars: withName(machines.bars, bar, name) })}
        />
      ))}
      {HEADRESTS.map((headrest) => (
        <OwnName
          key={headrest}
          label={`Headrest ${headrest} is called`}
          plain={headrest}
          name={machines.headrests[headrest]}
          onName={(name) => set({ headrests: withName(machines.headrests, headrest, name) })}
        />
      ))}
    </div>
  );
}

function withName<T extends Partial<Record<K, string>>, K extends keyof T>(
  names: T,
  key: K,
  name: string | undefined,
): T {
  const { [key]: _before, ...rest } = names;
  return (name === undefined ? rest : { ...rest, [key]: name }) as T;
}

function OwnName({
  label,
  plain,
  name,
  onName,
}: {
  label: string;
  plain: string;
  name: string | undefined;
  onName: (name: string | undefined) => void;
}) {
  return (
    <Field label={label}>
      {(named) => (
        <input
          {...named}
          key={name ?? ''}
          defaultValue={name ?? ''}
          placeholder={plain}
          maxLength={40}
          className={inputClass}
          onBlur={(event) => {
            const typed = event.target.value.trim() || undefined;
            if (typed !== name) onName(typed);
          }}
        />
      )}
    </Field>
  );
}

function Seconds({ machines, set }: PartProps) {
  return (
    <div>
      <h3 className="mb-1 text-base">How long a change takes everyone</h3>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {GEAR_ORDER.map((part) => (
          <Stepper
            key={part}
            label={GEAR_PART_WORDS[part]}
            unit="s"
            value={machines.seconds[part]}
            min={0}
            max={180}
            onChange={(seconds) => set({ seconds: { ...machines.seconds, [part]: seconds } })}
          />
        ))}
      </div>
    </div>
  );
}

const SAFETY = [
  { key: 'onTheMovingPart', label: 'Said before standing or kneeling on the moving part' },
  { key: 'beforeJumps', label: 'Said before jumps' },
] as const;

function SafetyWords({ machines, set }: PartProps) {
  return (
    <div className="flex flex-col gap-2">
      {SAFETY.map(({ key, label }) => (
        <Field key={key} label={label}>
          {(named) => (
            <textarea
              {...named}
              key={machines[key]}
              rows={2}
              maxLength={400}
              defaultValue={machines[key]}
              className={inputClass}
              onBlur={(event) => {
                const words = event.target.value.trim();
                if (words !== machines[key]) set({ [key]: words });
              }}
            />
          )}
        </Field>
      ))}
    </div>
  );
}
