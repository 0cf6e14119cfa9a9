import { Plus, Trash2 } from 'lucide-react';
import { useFieldArray, type UseFormReturn } from 'react-hook-form';
import { CAUTIONS, cautionOf } from '@wrenfern/core/people/cautions/cautions';
import type { PersonBody } from '@wrenfern/contract/people';
import { Button } from '../../parts/button.tsx';
import { inputClass, TextField } from '../../parts/field.tsx';
import type { RecordValues } from './record-values.ts';

/** As many as a record holds. */
const MOST_CAUTIONS = 20;

interface CautionsProps {
  form: UseFormReturn<RecordValues, unknown, PersonBody>;
}

export function CautionsField({ form }: CautionsProps) {
  const list = useFieldArray({ control: form.control, name: 'cautions' });
  return (
    <section aria-label="Cautions">
      <h2 className="text-xl">Cautions</h2>
      <p className="mb-3 text-soft">
        Usual cautions only. Wrenfern does not diagnose or clear anyone: ask a clinician, and follow
        local rules.
      </p>
      <ul className="flex flex-col gap-3">
        {list.fields.map((field, index) => (
          <CautionCard key={field.id} form={form} index={index} remove={() => list.remove(index)} />
        ))}
      </ul>
      <Button
        className="mt-3"
        disabled={list.fields.length >= MOST_CAUTIONS}
        onClick={() =>
          list.append({ caution: 'wrist', since: '', until: '', clearedBy: '', note: '' })
        }
      >
        <Plus size={16} aria-hidden /> Add a caution
      </Button>
    </section>
  );
}

interface CardProps extends CautionsProps {
  index: number;
  remove: () => void;
}

/** One caution: what it is, since when, until when, and what a clinician has cleared. */
function CautionCard({ form, index, remove }: CardProps) {
  const caution = cautionOf(form.watch(`cautions.${index}.caution`));
  const errors = form.formState.errors.cautions?.[index];
  return (
    <li className="flex flex-col gap-3 rounded-2xl border border-line bg-leaf p-4">
      <div className="flex gap-2">
        <select
          aria-label="Caution"
          {...form.register(`cautions.${index}.caution`)}
          className={`${inputClass} font-semibold`}
        >
          {CAUTIONS.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <Button aria-label={`Remove ${caution.name}`} onClick={remove}>
          <Trash2 size={16} aria-hidden />
        </Button>
      </div>
      <p>
        {caution.says} <span className="text-[0.8125rem] text-soft">({caution.source})</span>
      </p>
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField
          label="Since"
          type="date"
          error={errors?.since?.message}
          {...form.register(`cautions.${index}.since`)}
        />
        <TextField
          label="Until"
          type="date"
          error={errors?.until?.message}
          {...form.register(`cautions.${index}.until`)}
        />
        <TextField
          label="Cleared by"
          placeholder="who said so"
          error={errors?.clearedBy?.message}
          {...form.register(`cautions.${index}.clearedBy`)}
        />
      </div>
      <TextField
        label="Note"
        error={errors?.note?.message}
        {...form.register(`cautions.${index}.note`)}
      />
    </li>
  );
}
