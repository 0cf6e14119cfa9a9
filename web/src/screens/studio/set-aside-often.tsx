import useSWR from 'swr';
import { RULES } from '@wrenfern/core/review/rules';
import { SetAsideOften } from '@wrenfern/contract/studio';
import { request, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';

/** In fewer classes it is no habit yet. */
const HABIT_FROM = 3;

interface SetAsideProps {
  /** Rules that this school does not look at. */
  isOff: (rule: string) => boolean;
  /** Takes a rule out of the school, or back into it. */
  onOff: (rule: string) => void;
}

/** What the studio sets aside on purpose again and again: the school can stop asking for it. */
export function SetAsideOftenPart({ isOff, onOff }: SetAsideProps) {
  const often = useSWR('/studio/set-aside', (path) => request(SetAsideOften, 'GET', path));
  if (often.error) return <p className="text-copper">{sentenceOf(often.error)}</p>;
  const habits = (often.data?.rules ?? []).flatMap(({ rule, ...each }) => {
    const known = RULES.find(({ id }) => id === rule);
    return known && each.classes >= HABIT_FROM ? [{ known, ...each }] : [];
  });
  if (!often.data || habits.length === 0) return null;
  const { classes: all, weeks } = often.data;
  return (
    <section aria-label="Set aside again and again">
      <h2 className="text-xl">Set aside again and again</h2>
      <p className="mb-2 text-soft">
        What was told and stands on purpose, in {all} classes of the last {weeks} weeks.
      </p>
      <ul className="divide-y divide-line border-y border-line">
        {habits.map(({ known, classes, reasons }) => (
          <li key={known.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
            <p className="min-w-0 flex-1">
              <span className="font-semibold">{known.name}</span>, in {classes} of them
              <span className="block text-[0.8125rem] text-soft">{reasons.join(' · ')}</span>
            </p>
            <Button onClick={() => onOff(known.id)} disabled={isOff(known.id)}>
              {isOff(known.id) ? 'Not looked at' : 'No longer look at it'}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
