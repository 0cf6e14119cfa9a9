import { X } from 'lucide-react';
import type { UseFormReturn } from 'react-hook-form';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { FOUNDATIONS } from '@wrenfern/core/movement/vocabulary';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { Select } from '../../../parts/select.tsx';
import { FOUNDATION_WORDS } from '@wrenfern/core/movement/words';

const TURNED = { shouldDirty: true, shouldValidate: true } as const;
const DEPTHS = [
  { value: '0', name: 'no' },
  { value: '1', name: 'depth 1' },
  { value: '2', name: 'depth 2' },
  { value: '3', name: 'depth 3' },
] as const;

const LINKS = [
  { key: 'prepares', label: 'A part of' },
  { key: 'goesBefore', label: 'Goes well before' },
  { key: 'counters', label: 'Answered by' },
  { key: 'swaps', label: 'In its place' },
] as const;

/** Where it belongs: the foundations it teaches and needs, and its neighbours in a class. */
export function PlaceFields({ form, draft }: { form: UseFormReturn<Exercise>; draft: Exercise }) {
  return (
    <section className="flex flex-col gap-4">
      <h2 className="text-xl">Where it belongs</h2>
      <details className="rounded-xl border border-line bg-leaf p-3">
        <summary className="cursor-pointer font-semibold">
          Teaches {listed(draft.teaches)}; needs {listed(draft.needs)}
        </summary>
        <div className="mt-3 grid gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
          {FOUNDATIONS.map((foundation) => (
            <fieldset key={foundation} className="grid grid-cols-2 gap-2">
              <legend className="font-semibold">{FOUNDATION_WORDS[foundation]}</legend>
              {(['teaches', 'needs'] as const).map((key) => (
                <Select
                  key={key}
                  label={key}
                  value={`${draft[key].find((each) => each.foundation === foundation)?.depth ?? 0}`}
                  choices={DEPTHS}
                  onChange={(value) => {
                    const others = draft[key].filter((each) => each.foundation !== foundation);
                    const depth = Number(value);
                    form.setValue(
                      key,
                      depth === 0 ? others : [...others, { foundation, depth }],
                      TURNED,
                    );
                  }}
                />
              ))}
            </fieldset>
          ))}
        </div>
      </details>
      <div className="grid gap-4 md:grid-cols-3">
        {LINKS.map(({ key, label }) => (
          <Neighbours
            key={key}
            label={label}
            slugs={draft[key]}
            own={draft.slug}
            onChange={(slugs) => form.setValue(key, slugs, TURNED)}
          />
        ))}
      </div>
    </section>
  );
}

function listed(all: Exercise['needs']): string {
  return (
    all.map(({ foundation, depth }) => `${FOUNDATION_WORDS[foundation]} (${depth})`).join(', ') ||
    'nothing'
  );
}

interface NeighboursProps {
  label: string;
  slugs: readonly string[];
  own: string;
  onChange: (slugs: string[]) => void;
}

function Neighbours({ label, slugs, own, onChange }: NeighboursProps) {
  const catalogue = useCatalogue();
  const others = catalogue.all
    .filter(({ slug }) => slug !== own && !slugs.includes(slug))
    .map(({ slug, name }) => ({ value: slug, name }))
    .sort((a, b) => a.name.localeCompare(b.name));
  return (
    <div>
      <Select
        label={label}
        value=""
        choices={[{ value: '', name: 'add an exercise …' }, ...others]}
        onChange={(slug) => {
          if (slug) onChange([...slugs, slug]);
        }}
      />
      <ul className="mt-1.5 flex flex-wrap gap-1.5" aria-label={label}>
        {slugs.map((slug) => (
          <li key={slug}>
            <button
              type="button"
              onClick={() => onChange(slugs.filter((each) => each !== slug))}
              className="flex min-h-7 items-center gap-1 rounded-full border border-line bg-leaf px-3 text-[0.8125rem] hover:bg-mist"
            >
              {catalogue.get(slug)?.name ?? slug}
              <X size={14} aria-hidden />
              <span className="sr-only">: take away</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
