import { Trash2 } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import type { Caution } from '@wrenfern/core/people/cautions/caution';
import { cautionOf } from '@wrenfern/core/people/cautions/cautions';
import { Button } from '../../parts/button.tsx';
import { Field, inputClass, TextField } from '../../parts/field.tsx';
import { FindCaution } from '../../parts/find-caution.tsx';
import { bareLine, type RecordFormState } from './record-values.ts';
import { ReleasesField } from './releases-field.tsx';

/** As many as a record holds. */
const MOST_CAUTIONS = 20;

interface CautionsProps {
  form: RecordFormState;
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
      <ul className="mb-3 flex flex-col gap-3">
        {list.fields.map((field, index) => (
          <CautionCard key={field.id} form={form} index={index} remove={() => list.remove(index)} />
        ))}
      </ul>
      <FindCaution
        label="Add a caution"
        disabled={list.fields.length >= MOST_CAUTIONS}
        onPick={(caution) => list.append(bareLine(caution))}
      />
    </section>
  );
}

interface CardProps extends CautionsProps {
  index: number;
}

/** One caution: what it is, what is known of it, until when, and what whoever treats it has released. */
function CautionCard({ form, index, remove }: CardProps & { remove: () => void }) {
  const caution: Caution = cautionOf(form.watch(`cautions.${index}.caution`));
  const errors = form.formState.errors.cautions?.[index];
  return (
    <li className="flex flex-col gap-3 rounded-2xl border border-line bg-leaf p-4">
      <div className="flex items-start gap-2">
        <div className="min-w-0 flex-1">
          <h3 className="text-lg">{caution.name}</h3>
          <p>
            {caution.says} <span className="text-[0.8125rem] text-soft">({caution.source})</span>
          </p>
          <p className="text-[0.8125rem] text-soft">
            Stop: {caution.stop}. More again when {caution.againWhen}.
          </p>
        </div>
        <Button aria-label={`Remove ${caution.name}`} onClick={remove}>
          <Trash2 size={16} aria-hidden />
        </Button>
      </div>
      <WhatIsKnown form={form} index={index} caution={caution} />
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField
          label={caution.weeksCount === 'since it happened' ? 'When it was' : 'Since'}
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
      <ReleasesField form={form} index={index} caution={caution} />
    </li>
  );
}

const GATES = ['Nothing yet', 'Released', 'One leg, belly flat', 'Both legs, on two classes'];

/** Side, due date, way and gate, where the caution asks for them; while they are left open the strictest holds. */
function WhatIsKnown({ form, index, caution }: CardProps & { caution: Caution }) {
  const errors = form.formState.errors.cautions?.[index];
  const { hasSide, weeksCount, ways, waysAre, gates } = caution;
  if (!hasSide && weeksCount !== 'to the due date' && !ways && !gates) return null;
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      {hasSide ? (
        <Field label="Side" error={errors?.side?.message}>
          {(named) => (
            <select {...named} {...form.register(`cautions.${index}.side`)} className={inputClass}>
              <option value="">both, or not known</option>
              <option value="right">right</option>
              <option value="left">left</option>
            </select>
          )}
        </Field>
      ) : null}
      {weeksCount === 'to the due date' ? (
        <TextField
          label="Due date"
          type="date"
          error={errors?.due?.message}
          hint="Without it the last weeks’ care holds."
          {...form.register(`cautions.${index}.due`)}
        />
      ) : null}
      {ways ? (
        <Field label={waysAre ?? 'Which'} error={errors?.way?.message}>
          {(named) => (
            <select {...named} {...form.register(`cautions.${index}.way`)} className={inputClass}>
              <option value="">not known: all hold</option>
              {Object.keys(ways).map((way) => (
                <option key={way} value={way}>
                  {way}
                </option>
              ))}
            </select>
          )}
        </Field>
      ) : null}
      {gates ? (
        <Field label="Passed" error={errors?.gate?.message}>
          {(named) => (
            <select {...named} {...form.register(`cautions.${index}.gate`)} className={inputClass}>
              {GATES.map((words, gate) => (
                <option key={words} value={gate}>
                  {words}
                </option>
              ))}
            </select>
          )}
        </Field>
      ) : null}
    </div>
  );
}
