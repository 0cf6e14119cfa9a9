import { Controller, type UseFormReturn } from 'react-hook-form';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { Field, inputClass, TextField } from '../../../parts/field.tsx';

const ARROW = '→';

/** What is said: cues, faults with remedies, the breath. One line each. */
export function WordsFields({ form, draft }: { form: UseFormReturn<Exercise>; draft: Exercise }) {
  const { errors } = form.formState;
  return (
    <section className="flex flex-col gap-4">
      <h2 className="text-xl">What is said</h2>
      <div className="grid gap-4 md:grid-cols-2">
        <Controller
          control={form.control}
          name="cues"
          render={({ field }) => (
            <Lines
              label="Cues, one a line"
              hint="At least two."
              error={errors.cues?.message}
              lines={draft.cues}
              onLines={field.onChange}
            />
          )}
        />
        <Controller
          control={form.control}
          name="faults"
          render={({ field }) => (
            <Lines
              label={`Faults and remedies, one a line: fault ${ARROW} remedy`}
              hint="At least two."
              error={errors.faults?.message}
              lines={draft.faults.map(({ fault, remedy }) => `${fault} ${ARROW} ${remedy}`)}
              onLines={(lines) => {
                field.onChange(
                  lines.map((line) => {
                    const [fault = '', remedy = ''] = line.split(/\s*(?:→|->)\s*/);
                    return { fault, remedy };
                  }),
                );
              }}
            />
          )}
        />
        {draft.breath.phases.map((phase, index) => (
          <TextField
            key={index}
            label={`Breath ${index + 1}: ${phase.on}`}
            error={errors.breath?.phases?.[index]?.doing?.message}
            {...form.register(`breath.phases.${index}.doing`)}
          />
        ))}
        <TextField
          label="When breath is left natural"
          error={errors.breath?.natural?.message}
          {...form.register('breath.natural')}
        />
      </div>
    </section>
  );
}

interface LinesProps {
  label: string;
  hint: string;
  error: string | undefined;
  lines: readonly string[];
  onLines: (lines: string[]) => void;
}

/** A list as lines of text; it is read when the field is left, so that typing is not disturbed. */
function Lines({ label, hint, error, lines, onLines }: LinesProps) {
  return (
    <Field label={label} hint={hint} error={error}>
      {(named) => (
        <textarea
          {...named}
          key={lines.join('\n')}
          rows={5}
          defaultValue={lines.join('\n')}
          className={inputClass}
          onBlur={(event) =>
            onLines(
              event.target.value
                .split('\n')
                .map((line) => line.trim())
                .filter(Boolean),
            )
          }
        />
      )}
    </Field>
  );
}
