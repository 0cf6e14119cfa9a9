import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { toast } from 'sonner';
import { COST_WORDS } from '@wrenfern/core/search/cost-words';
import { RULES } from '@wrenfern/core/review/rules';
import {
  COST_IDS,
  SchoolRules,
  standingOf,
  type SchoolDefaults,
  type Standing,
} from '@wrenfern/core/plan/school';
import { NotFound } from '../../parts/not-found.tsx';
import type { StudioSettings } from '@wrenfern/contract/studio';
import { useSession } from '../../data/use-session.ts';
import { useStudio } from '../../data/use-studio.ts';
import { Button } from '../../parts/button.tsx';
import { Field, inputClass, TextField } from '../../parts/field.tsx';
import { Select } from '../../parts/select.tsx';
import { Failed, Loading } from '../../parts/states.tsx';
import { Stepper } from '../../parts/stepper.tsx';
import { useStudioChange } from './studio-change.ts';

/** One of the studio's own schools: its name and reason, its rules, its weights, its usual ways. */
export function Component() {
  const { id = '' } = useParams();
  const studio = useStudio();
  const session = useSession();
  if (studio.error && !studio.data) {
    return <Failed error={studio.error} retry={() => void studio.mutate()} />;
  }
  if (!studio.data || !session.data) return <Loading what="the school" />;
  const school = studio.data.schools.find((each) => each.id === id);
  if (!school) return <NotFound />;
  return (
    <SchoolForm
      key={school.id}
      studio={studio.data}
      school={school}
      isOwner={session.data.user.role === 'owner'}
    />
  );
}

function SchoolForm({
  studio,
  school,
  isOwner,
}: {
  studio: StudioSettings;
  school: SchoolRules;
  isOwner: boolean;
}) {
  const change = useStudioChange();
  const [draft, setDraft] = useState(school);
  const [errors, setErrors] = useState<ReadonlyMap<string, string>>(new Map());
  const isChanged = JSON.stringify(draft) !== JSON.stringify(school);
  const set = (part: Partial<SchoolRules>) => setDraft({ ...draft, ...part });
  const save = async () => {
    const parsed = SchoolRules.safeParse(draft);
    if (!parsed.success) {
      setErrors(new Map(parsed.error.issues.map(({ path, message }) => [path.join('.'), message])));
      return;
    }
    setErrors(new Map());
    const schools = studio.schools.map((each) => (each.id === school.id ? parsed.data : each));
    if (await change({ schools })) {
      toast.success('Saved. Classes take it when you choose it for them.');
    }
  };
  return (
    <div className="flex flex-col gap-8 pt-8">
      <div>
        <Link to="/studio" className="text-fern underline">
          Studio
        </Link>
        <h1 className="text-3xl">{school.name}</h1>
      </div>
      <fieldset disabled={!isOwner} className="flex flex-col gap-8">
        <div className="grid gap-4 md:grid-cols-2">
          <TextField
            label="Name"
            value={draft.name}
            maxLength={60}
            error={errors.get('name')}
            onChange={(event) => set({ name: event.target.value })}
          />
          <Field label="Why you teach so" error={errors.get('why')}>
            {(named) => (
              <textarea
                {...named}
                rows={2}
                maxLength={600}
                className={inputClass}
                value={draft.why}
                onChange={(event) => set({ why: event.target.value })}
              />
            )}
          </Field>
        </div>
        <Usual draft={draft} onChange={set} />
        <Rules draft={draft} onChange={set} />
        <Weights draft={draft} onChange={set} />
      </fieldset>
      {isOwner ? (
        <div className="sticky bottom-0 flex items-center gap-3 border-t border-line bg-paper py-3">
          <Button look="main" disabled={!isChanged} onClick={() => void save()}>
            Save
          </Button>
          <Button disabled={!isChanged} onClick={() => setDraft(school)}>
            Back to what was saved
          </Button>
          {errors.size > 0 ? (
            <p role="alert" className="text-copper">
              {[...errors.values()].join('; ')}
            </p>
          ) : null}
        </div>
      ) : null}
    </div>
  );
}

interface PartProps {
  draft: SchoolRules;
  onChange: (part: Partial<SchoolRules>) => void;
}

const same = <T extends string>(...values: T[]) => values.map((value) => ({ value, name: value }));

function Usual({ draft, onChange }: PartProps) {
  const { defaults } = draft;
  const set = (part: Partial<SchoolDefaults>) => onChange({ defaults: { ...defaults, ...part } });
  const { dose } = defaults;
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
        <Select
          label="Doses"
          value={dose.kind}
          choices={[
            { value: 'own', name: 'each exercise’s own' },
            { value: 'counted', name: 'a range of repetitions' },
            { value: 'timed', name: 'by the clock' },
          ]}
          onChange={(kind) =>
            set({
              dose:
                kind === 'own'
                  ? { kind }
                  : kind === 'counted'
                    ? { kind, least: 6, most: 10 }
                    : { kind, onS: 45, offS: 15 },
            })
          }
        />
        {dose.kind === 'counted' ? (
          <div className="grid grid-cols-2 gap-2">
            <Stepper
              label="least"
              value={dose.least}
              min={1}
              max={dose.most}
              onChange={(least) => set({ dose: { ...dose, least } })}
            />
            <Stepper
              label="most"
              value={dose.most}
              min={dose.least}
              max={200}
              onChange={(most) => set({ dose: { ...dose, most } })}
            />
          </div>
        ) : null}
        {dose.kind === 'timed' ? (
          <div className="grid grid-cols-2 gap-2">
            <Stepper
              label="work"
              unit="s"
              value={dose.onS}
              min={5}
              max={300}
              step={5}
              onChange={(onS) => set({ dose: { ...dose, onS } })}
            />
            <Stepper
              label="change"
              unit="s"
              value={dose.offS}
              min={0}
              max={120}
              step={5}
              onChange={(offS) => set({ dose: { ...dose, offS } })}
            />
          </div>
        ) : null}
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

const STANDINGS: { value: Standing; name: string }[] = [
  { value: 'must', name: 'must hold' },
  { value: 'should', name: 'should hold' },
  { value: 'off', name: 'not looked at' },
];

function Rules({ draft, onChange }: PartProps) {
  return (
    <section aria-label="Rules">
      <h2 className="text-xl">Rules</h2>
      <p className="mb-2 text-soft">
        What must hold binds the search for an order and is told first.
      </p>
      <ul className="grid gap-x-8 gap-y-2 md:grid-cols-2">
        {RULES.map((rule) => (
          <li
            key={rule.id}
            className="grid grid-cols-[1fr_8.5rem] items-start gap-3 border-t border-line pt-2"
          >
            <p>
              {rule.statement}
              <span className="block text-[0.8125rem] text-soft">{rule.why}</span>
            </p>
            <Select
              label={rule.name}
              value={standingOf(draft, rule)}
              choices={STANDINGS}
              onChange={(standing) => onChange({ rules: { ...draft.rules, [rule.id]: standing } })}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Weights({ draft, onChange }: PartProps) {
  return (
    <section aria-label="Weights">
      <h2 className="text-xl">What counts how much</h2>
      <p className="mb-2 text-soft">For “Order for me”. 100 as usual, 0 not at all.</p>
      <div className="grid gap-2 sm:grid-cols-2 lg:grid-cols-4">
        {COST_IDS.map((cost) => (
          <Stepper
            key={cost}
            label={COST_WORDS[cost]}
            unit="%"
            value={Math.round(draft.weights[cost] * 100)}
            min={0}
            max={500}
            step={25}
            onChange={(percent) =>
              onChange({ weights: { ...draft.weights, [cost]: percent / 100 } })
            }
          />
        ))}
      </div>
    </section>
  );
}
