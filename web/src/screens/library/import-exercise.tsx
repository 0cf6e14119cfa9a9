import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { FileFault } from '@wrenfern/core/formats/exercise/exercise-yaml';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { Sheet } from '../../parts/dialog.tsx';
import { Field, inputClass } from '../../parts/field.tsx';

/** An exercise from a file is opened in the editor; nothing is kept before it is saved there. */
export function ImportExercise({ trigger }: { trigger: ReactNode }) {
  const [faults, setFaults] = useState<string[]>([]);
  const navigate = useNavigate();
  const read = async (file: File | undefined) => {
    if (!file) return;
    const { readExerciseFile } = await import('@wrenfern/core/formats/exercise/exercise-yaml');
    const result = readExerciseFile(await file.text());
    if ('faults' in result) {
      setFaults(result.faults.map(tellFault));
      return;
    }
    const { exercise } = result;
    await navigate(`/library/${exercise.slug}/edit`, {
      state: { imported: exercise } satisfies ImportedState,
    });
  };
  return (
    <Sheet
      title="Bring in an exercise"
      description="A file that was saved from an exercise’s page. It opens in the editor, where you can look at it before it is kept."
      trigger={trigger}
    >
      <Field label="Exercise file (.yaml)">
        {(named) => (
          <input
            {...named}
            type="file"
            accept=".yaml,.yml,.json"
            className={inputClass}
            onChange={(event) => void read(event.target.files?.[0])}
          />
        )}
      </Field>
      {faults.length > 0 ? (
        <div role="alert" className="mt-3 text-copper">
          <p className="font-semibold">This file can’t be brought in:</p>
          <ul className="list-disc pl-5">
            {faults.slice(0, 8).map((fault) => (
              <li key={fault}>{fault}</li>
            ))}
          </ul>
        </div>
      ) : null}
    </Sheet>
  );
}

function tellFault({ line, path, reason }: FileFault): string {
  return path ? `Line ${line}, ${path}: ${reason}` : `Line ${line}: ${reason}`;
}

/** What the editor is handed when it opens a file. */
export interface ImportedState {
  imported: Exercise;
}
