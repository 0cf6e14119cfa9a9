import type { SchoolDefaults, SchoolRules } from '@wrenfern/core/plan/school';
import { Select } from '../../parts/select.tsx';
import { Stepper } from '../../parts/stepper.tsx';
import { WorkAndChange } from '../../parts/work-and-change.tsx';

interface PartProps {
  draft: SchoolRules;
  onChange: (part: Partial<SchoolRules>) => void;
}

const same = <T extends string>(...values: T[]) => values.map((value) => ({ value, name: value }));

/** What a school does unless a class says otherwise. */
export function UsualWays({ draft, onChange }: PartProps) {
  const { defaults } = draft;
  const set = (part: Partial<SchoolDefaults>) => onChange({ defaults: { ...defaults, ...part } });
  return (
    <section aria-label="What is usual">
      <h2 className="mb-2 text-xl">What is usual</h2>
      <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        <Select
          label="Low back, legs in the air"
          value={defaults.pelvis}
          choices={same('neutral', 'imprint')}
          onChange={(pelvis) => set({ pelvis })}
        />
        <Select
          label="Breath"
          value={defaults.breath}
          choices={same('patterned', 'natural')}
          onChange={(breath) => set({ breath })}
        />
        <Select
          label="Bridges"
          value={defaults.bridge}
          choices={same('articulate', 'hinge')}
          onChange={(bridge) => set({ bridge })}
        />
        <Select
          label="Stretches"
          value={defaults.stretch}
          choices={same('after each block', 'at the end', 'none')}
          onChange={(stretch) => set({ stretch })}
        />
        <Select
          label="Who picks the level"
          value={defaults.picks}
          choices={same('teacher', 'person')}
          onChange={(picks) => set({ picks })}
        />
        <Select
          label="A ball under the back travels"
          value={defaults.travel}
          choices={same('down the spine', 'up the spine')}
          onChange={(travel) => set({ travel })}
        />
        <DoseChoice dose={defaults.dose} onChange={(dose) => set({ dose })} />
        <Stepper
          label="effort at most, of 5"
          value={draft.effortCeiling}
          min={1}
          max={5}
          onChange={(effortCeiling) => onChange({ effortCeiling })}
        />
      </div>
    </section>
  );
}

type SchoolDose = SchoolDefaults['dose'];

/** What a kind of dose begins with when it is chosen. Common practice. */
const FIRST_DOSES: Readonly<Record<SchoolDose['kind'], SchoolDose>> = {
  own: { kind: 'own' },
  counted: { kind: 'counted', least: 6, most: 10 },
  timed: { kind: 'timed', onS: 45, offS: 15 },
};

function DoseChoice({
  dose,
  onChange,
}: {
  dose: SchoolDose;
  onChange: (dose: SchoolDose) => void;
}) {
  return (
    <>
      <Select
        label="Doses"
        value={dose.kind}
        choices={[
          { value: 'own', name: 'each exercise’s own' },
          { value: 'counted', name: 'a range of repetitions' },
          { value: 'timed', name: 'by the clock' },
        ]}
        onChange={(kind) => onChange(FIRST_DOSES[kind])}
      />
      {dose.kind === 'counted' ? (
        <div className="grid grid-cols-2 gap-2">
          <Stepper
            label="least"
            value={dose.least}
            min={1}
            max={dose.most}
            onChange={(least) => onChange({ ...dose, least })}
          />
          <Stepper
            label="most"
            value={dose.most}
            min={dose.least}
            max={200}
            onChange={(most) => onChange({ ...dose, most })}
          />
        </div>
      ) : null}
      {dose.kind === 'timed' ? (
        <div className="grid grid-cols-2 gap-2">
          <WorkAndChange dose={dose} onChange={(part) => onChange({ ...dose, ...part })} />
        </div>
      ) : null}
    </>
  );
}
