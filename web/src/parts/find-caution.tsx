import { useId, useState } from 'react';
import { CAUTION_GROUPS } from '@wrenfern/core/people/cautions/caution';
import type { CautionId } from '@wrenfern/core/people/cautions/cautions';
import { searchCautions } from '@wrenfern/core/people/cautions/search-cautions';
import { inputClass } from './field.tsx';
import { PickList } from './pick-list.tsx';

/** As many as are read at a glance. */
const SHOWN = 8;

interface FindCautionProps {
  label: string;
  disabled?: boolean;
  onPick: (id: CautionId) => void;
}

/** Finds a caution by plain words, and takes it with one press. */
export function FindCaution({ label, disabled = false, onPick }: FindCautionProps) {
  const [words, setWords] = useState('');
  const id = useId();
  const found = words.trim().length > 1 ? searchCautions(words).slice(0, SHOWN) : [];
  const pick = (caution: CautionId) => {
    onPick(caution);
    setWords('');
  };
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      <input
        id={id}
        type="search"
        value={words}
        disabled={disabled}
        maxLength={60}
        autoComplete="off"
        placeholder="e.g. sore wrist, pregnant, new hip"
        onChange={(event) => setWords(event.target.value)}
        onKeyDown={(event) => {
          const [first] = found;
          if (event.key !== 'Enter') return;
          event.preventDefault();
          if (first) pick(first.id);
        }}
        className={inputClass}
      />
      <PickList
        choices={found.map(({ id: key, name, group }) => ({
          key,
          name,
          about: CAUTION_GROUPS[group],
        }))}
        onPick={pick}
      />
      {words.trim().length > 1 && found.length === 0 ? (
        <p role="status" className="text-[0.8125rem] text-soft">
          Nothing like that: write it as a note, and ask a clinician what to leave out.
        </p>
      ) : null}
    </div>
  );
}
