import { Plus, Trash2 } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { askWords } from '@wrenfern/core/people/asks';
import type { Caution } from '@wrenfern/core/people/cautions/caution';
import { asksOfCaution } from '@wrenfern/core/people/cautions/asks-of-caution';
import { Button } from '../../parts/button.tsx';
import { Field, inputClass, TextField } from '../../parts/field.tsx';
import type { RecordFormState } from './record-values.ts';

/** As many as an entry holds. */
const MOST_RELEASES = 20;

/** What whoever treats somebody has released: one thing each, by whom, from when until when. */
export function ReleasesField({
  form,
  index,
  caution,
}: {
  form: RecordFormState;
  index: number;
  caution: Caution;
}) {
  const list = useFieldArray({ control: form.control, name: `cautions.${index}.releases` });
  const asks = asksOfCaution(caution);
  const [first] = asks;
  const errors = form.formState.errors.cautions?.[index]?.releases;
  if (!first) return null;
  return (
    <div className="flex flex-col gap-2">
      {list.fields.map((field, at) => {
        const name = `cautions.${index}.releases.${at}` as const;
        return (
          <div
            key={field.id}
            className="grid items-end gap-2 rounded-xl bg-slate-soft p-3 sm:grid-cols-2"
          >
            <Field label="Released" error={errors?.[at]?.ask?.message}>
              {(named) => (
                <select {...named} {...form.register(`${name}.ask`)} className={inputClass}>
                  {asks.map((ask) => (
                    <option key={ask} value={ask}>
                      {askWords(ask)}
                    </option>
                  ))}
                </select>
              )}
            </Field>
            <TextField
              label="By"
              placeholder="e.g. physiotherapist"
              error={errors?.[at]?.by?.message}
              {...form.register(`${name}.by`)}
            />
            <TextField
              label="From"
              type="date"
              error={errors?.[at]?.on?.message}
              {...form.register(`${name}.on`)}
            />
            <TextField
              label="Until"
              type="date"
              error={errors?.[at]?.until?.message}
              {...form.register(`${name}.until`)}
            />
            <div>
              <Button look="quiet" onClick={() => list.remove(at)}>
                <Trash2 size={16} aria-hidden /> Take it back
              </Button>
            </div>
          </div>
        );
      })}
      <div>
        <Button
          look="quiet"
          disabled={list.fields.length >= MOST_RELEASES}
          onClick={() => list.append({ ask: first, by: '', on: '', until: '' })}
        >
          <Plus size={16} aria-hidden /> Something is released
        </Button>
      </div>
    </div>
  );
}
