import { describe, expect, it } from 'vitest';
import type { Choice } from '@wrenfern/core/people/choice';
import { chooseOption } from '@wrenfern/core/people/choose-option';
import { CautionEntry, Person } from '@wrenfern/core/people/person';
import { ADVICE_CASES, type AdviceCase } from './advice-cases.ts';
import { builtInCatalogue } from './index.ts';

const DAY = '2026-11-29';

function advise({ who, exercise, own }: Pick<AdviceCase, 'who' | 'exercise' | 'own'>): Choice {
  const cautions = who.map((entry) =>
    CautionEntry.parse(typeof entry === 'string' ? { caution: entry } : entry),
  );
  const person = Person.parse({ id: 'p', name: 'Somebody', usualOptions: { [exercise]: own } });
  const item = { kind: 'exercise' as const, id: 'i', exercise, restS: 0, note: '' };
  const attendee = { person: { ...person, cautions } };
  return chooseOption(attendee, item, builtInCatalogue, DAY, 'foundations-first');
}

/** The words for what was done, as the cases say it. */
function kindOf(choice: Choice, own: number): 'as asked' | 'kept' | 'changed' | 'left' {
  if (choice.kind !== 'option') return 'left';
  if (choice.option !== own) return 'changed';
  return choice.how ? 'kept' : 'as asked';
}

/** Which outcomes are as good as what is advised. */
const GOOD: Record<AdviceCase['advised'], readonly ReturnType<typeof kindOf>[]> = {
  'as asked': ['as asked'],
  kept: ['as asked', 'kept'],
  changed: ['kept', 'changed'],
  less: ['kept', 'changed', 'left'],
  left: ['left'],
};

const name = (who: AdviceCase['who']) =>
  who
    .map((entry) => (typeof entry === 'string' ? entry : Object.values(entry).join(' ')))
    .join(', ');

describe('advice', () => {
  it.each(
    ADVICE_CASES.map(
      (each) => [name(each.who), each.exercise, each.own, each.advised, each] as const,
    ),
  )('%s: %s %i is %s', (_who, _exercise, own, advised, each) => {
    const choice = advise(each);
    const outcome = kindOf(choice, own);
    expect(GOOD[advised], `${each.because}: ${JSON.stringify(choice)}`).toContain(outcome);
  });
});
