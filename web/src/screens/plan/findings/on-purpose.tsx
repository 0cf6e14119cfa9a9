import { useState } from 'react';
import { RULES } from '@wrenfern/core/review/rules';
import type { Finding } from '@wrenfern/core/review/rule';
import { Button } from '../../../parts/button.tsx';
import { inputClass } from '../../../parts/field.tsx';
import { Note } from '../../../parts/note.tsx';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';

/** What the review of order says can stand; who can’t come, and the hour, can’t be argued with. */
const maySet = ({ rule }: Finding) => RULES.some(({ id }) => id === rule);

const REASONS = ['They know it', 'The theme wants it so', 'Tried it: it works'] as const;

/** Sets a finding aside, with a reason that is kept in the plan. */
export function OnPurpose({ finding }: { finding: Finding }) {
  const edit = useEditor((editor) => editor.edit);
  const [own, setOwn] = useState('');
  if (!maySet(finding)) return null;
  const { rule, key } = finding;
  const say = (reason: string) => {
    if (reason.trim()) edit({ type: 'setAside', rule, key, reason: reason.trim() });
  };
  return (
    <Note
      className="min-h-5 text-left text-[0.8125rem] leading-5 text-soft underline decoration-dotted"
      trigger="On purpose …"
    >
      <p className="font-semibold">It stands because:</p>
      {REASONS.map((reason) => (
        <Button key={reason} onClick={() => say(reason)}>
          {reason}
        </Button>
      ))}
      <form
        className="flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          say(own);
        }}
      >
        <input
          aria-label="Another reason"
          placeholder="another reason"
          maxLength={200}
          value={own}
          onChange={(event) => setOwn(event.target.value)}
          className={inputClass}
        />
        <Button type="submit" disabled={!own.trim()}>
          Set aside
        </Button>
      </form>
    </Note>
  );
}

/** What stands on purpose, to be told again by one press, and how much is not told yet. */
export function SetAsideList() {
  const { analysis, mayEdit } = usePlanScreen();
  const edit = useEditor((editor) => editor.edit);
  const { setAside, untold } = analysis;
  return (
    <>
      {untold > 0 ? (
        <span className="block text-soft" title="Told once these are settled">
          {untold} smaller
        </span>
      ) : null}
      {setAside.length > 0 ? (
        <Note
          className="block text-left text-soft underline decoration-dotted"
          trigger={`${setAside.length} set aside`}
        >
          {setAside.map(({ finding: { rule, key, sentence }, reason }) => (
            <div key={`${rule} ${key}`} className="flex flex-col gap-1 text-soft">
              <p>{sentence}</p>
              <p>
                On purpose: <span className="text-ink">{reason}</span>
              </p>
              {mayEdit ? (
                <Button onClick={() => edit({ type: 'setAside', rule, key })}>Tell it again</Button>
              ) : null}
            </div>
          ))}
        </Note>
      ) : null}
    </>
  );
}
