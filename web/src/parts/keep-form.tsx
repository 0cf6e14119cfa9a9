import { useState } from 'react';
import { Button } from './button.tsx';
import { Field, inputClass } from './field.tsx';

const MOST_TAGS = 12;
const MOST_LETTERS = 40;

/** "backs, long hour" as the tags that are kept. */
export const tagsOf = (typed: string): string[] =>
  typed
    .split(',')
    .map((tag) => tag.trim().slice(0, MOST_LETTERS))
    .filter(Boolean)
    .slice(0, MOST_TAGS);

interface KeepFormProps {
  name: string;
  tags: readonly string[];
  keep: (name: string, tags: string) => Promise<void>;
}

/** A name and tags for a plan that is kept without a date. */
export function KeepForm({ name: first, tags: firstTags, keep }: KeepFormProps) {
  const [name, setName] = useState(first);
  const [tags, setTags] = useState(firstTags.join(', '));
  const [busy, setBusy] = useState(false);
  const submit = async () => {
    setBusy(true);
    await keep(name.trim(), tags);
    setBusy(false);
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <Field label="Kept as">
        {(named) => (
          <input
            {...named}
            value={name}
            maxLength={120}
            onChange={(event) => setName(event.target.value)}
            className={inputClass}
          />
        )}
      </Field>
      <Field label="Tags" hint="Parted by commas, to find it again.">
        {(named) => (
          <input
            {...named}
            value={tags}
            maxLength={400}
            onChange={(event) => setTags(event.target.value)}
            className={inputClass}
          />
        )}
      </Field>
      <Button
        type="submit"
        look="main"
        className="self-start"
        disabled={busy || name.trim() === ''}
      >
        Keep
      </Button>
    </form>
  );
}
