import { suggestRecord } from '@wrenfern/core/log/suggest-record';
import { DEPTH_WORDS, FOUNDATION_WORDS } from '@wrenfern/core/movement/words';
import { AttendedClasses, type RevisedPerson } from '@wrenfern/contract/people';
import { useAnswer } from '../../data/answers.ts';
import { useCatalogue } from '../../data/catalogue.tsx';
import { sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import type { RecordFormState } from './record-values.ts';

/** As many as are looked through at once; the next come up when these are taken. */
const SHOWN = 6;

interface Suggestion {
  key: string;
  says: string;
  because: string;
  take: () => void;
}

/** What taught classes say of this record, each with its evidence; nothing changes until it is taken and saved. */
export function FromTheLog({ form, known }: { form: RecordFormState; known: RevisedPerson }) {
  const attended = useAnswer(AttendedClasses, `/people/${known.id}/attended`);
  const suggestions = useSuggestions(form, attended.data?.classes ?? []);
  if (attended.error && !attended.data) {
    return (
      <p role="alert" className="text-copper">
        What the log suggests can’t be shown: {sentenceOf(attended.error)}
      </p>
    );
  }
  if (suggestions.length === 0) return null;
  return (
    <section aria-label="Suggested from the log">
      <h2 className="text-xl">Suggested from the log</h2>
      <p className="mb-1 text-[0.8125rem] text-soft">
        The log knows what was taught, not how it looked: take what you have seen.
      </p>
      <ul className="flex flex-col divide-y divide-line">
        {suggestions.slice(0, SHOWN).map(({ key, says, because, take }) => (
          <li key={key} className="flex items-center gap-3 py-1.5">
            <span className="min-w-0 flex-1">
              {says}
              <span className="block text-[0.8125rem] text-soft">{because}</span>
            </span>
            <Button onClick={take}>Take it</Button>
          </li>
        ))}
      </ul>
      {suggestions.length > SHOWN ? (
        <p className="text-[0.8125rem] text-soft">and {suggestions.length - SHOWN} more</p>
      ) : null}
    </section>
  );
}

function useSuggestions(form: RecordFormState, classes: AttendedClasses['classes']): Suggestion[] {
  const catalogue = useCatalogue();
  const [level, holds, usualOptions] = form.watch(['level', 'holds', 'usualOptions']);
  const found = suggestRecord({ level, holds, usualOptions }, classes, catalogue);
  const dirty = { shouldDirty: true };
  return [
    ...(found.level
      ? [
          {
            key: 'level',
            says: `usual option ${found.level.level}`,
            because: found.level.because,
            take: () => form.setValue('level', found.level?.level ?? level, dirty),
          },
        ]
      : []),
    ...found.holds.map(({ foundation, depth, because }) => ({
      key: foundation,
      says: `${FOUNDATION_WORDS[foundation]}: ${DEPTH_WORDS[depth]}`,
      because,
      take: () => form.setValue(`holds.${foundation}`, depth, dirty),
    })),
    ...found.usual.map(({ exercise, name, option, because }) => ({
      key: exercise,
      says: `${name}: option ${option}`,
      because,
      take: () => form.setValue('usualOptions', { ...usualOptions, [exercise]: option }, dirty),
    })),
  ];
}
