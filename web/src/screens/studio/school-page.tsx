import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { toast } from 'sonner';
import { COST_WORDS } from '@wrenfern/core/search/cost-words';
import { RULES } from '@wrenfern/core/review/rules';
import { COST_IDS, SchoolRules, standingOf, type Standing } from '@wrenfern/core/plan/school';
import { NotFound } from '../../parts/not-found.tsx';
import type { StudioSettings } from '@wrenfern/contract/studio';
import { useSession } from '../../data/use-session.ts';
import { useStudio } from '../../data/use-studio.ts';
import { SetAsideOftenPart } from './set-aside-often.tsx';
import { Button } from '../../parts/button.tsx';
import { Field, inputClass, TextField } from '../../parts/field.tsx';
import { Select } from '../../parts/select.tsx';
import { Failed, Loading } from '../../parts/states.tsx';
import { Stepper } from '../../parts/stepper.tsx';
import { UsualWays } from './school-usual.tsx';
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
  const { draft, set, errors, isChanged, save } = useUnsavedSchool(studio, school);
  return (
    <div className="flex flex-col gap-8 pt-8">
      <div>
        <Link to="/studio" className="text-fern underline">
          Studio
        </Link>
        <h1 className="text-3xl">{school.name}</h1>
      </div>
      <fieldset disabled={!isOwner} className="flex flex-col gap-8">
        <NameAndWhy draft={draft} onChange={set} errors={errors} />
        <UsualWays draft={draft} onChange={set} />
        <SetAsideOftenPart
          isOff={(id) => draft.rules[id] === 'off'}
          onOff={(id) => set({ rules: { ...draft.rules, [id]: 'off' } })}
        />
        <Rules draft={draft} onChange={set} />
        <Weights draft={draft} onChange={set} />
      </fieldset>
      {isOwner ? (
        // Always in sight: the page is long.
        <div className="sticky bottom-0 flex items-center gap-3 border-t border-line bg-paper py-3">
          <Button look="main" disabled={!isChanged} onClick={() => void save()}>
            Save
          </Button>
          <Button disabled={!isChanged} onClick={() => set(school)}>
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

/** The school as it is being changed, and what keeps it from being saved. */
function useUnsavedSchool(studio: StudioSettings, school: SchoolRules) {
  const change = useStudioChange();
  const [draft, setDraft] = useState(school);
  const [errors, setErrors] = useState<ReadonlyMap<string, string>>(new Map());
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
  return {
    draft,
    set: (part: Partial<SchoolRules>) => setDraft({ ...draft, ...part }),
    errors,
    isChanged: JSON.stringify(draft) !== JSON.stringify(school),
    save,
  };
}

interface PartProps {
  draft: SchoolRules;
  onChange: (part: Partial<SchoolRules>) => void;
}

function NameAndWhy({
  draft,
  onChange,
  errors,
}: PartProps & { errors: ReadonlyMap<string, string> }) {
  return (
    <div className="grid gap-4 md:grid-cols-2">
      <TextField
        label="Name"
        value={draft.name}
        maxLength={60}
        error={errors.get('name')}
        onChange={(event) => onChange({ name: event.target.value })}
      />
      <Field label="Why you teach so" error={errors.get('why')}>
        {(named) => (
          <textarea
            {...named}
            rows={2}
            maxLength={600}
            className={inputClass}
            value={draft.why}
            onChange={(event) => onChange({ why: event.target.value })}
          />
        )}
      </Field>
    </div>
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
