import { addBeforeIt, leaveOut } from '../repairs.ts';
import { challenges } from '../precedence.ts';
import type { Rule, Worked } from '../rule.ts';

export const rehearseThenProp: Rule = {
  id: 'rehearse-then-prop',
  statement:
    'A prop that makes an exercise harder comes after one set without it; one that helps comes at once.',
  kind: 'order',
  why: 'The shape is learned first; a prop that wobbles or loads is then the only new thing.',
  find(context) {
    return context.worked
      .filter((worked) => isUnrehearsed(worked, context.worked))
      .map((worked) => {
        const [use] = challenges(worked);
        const bare = withoutChallenge(worked);
        const name = use?.prop.replace('-', ' ') ?? 'prop';
        return {
          key: worked.item.id,
          itemIds: [worked.item.id],
          sentence: `${worked.exercise.name} starts with the ${name} ${use?.place ?? ''}, and no set without it comes before.`,
          candidates: () => [
            {
              label: `Offer it without the ${name} only`,
              edit: { type: 'setOptions' as const, itemId: worked.item.id, options: bare },
            },
            ...addBeforeIt(context, worked, [worked.exercise]),
            leaveOut(worked),
          ],
        };
      });
  },
};

function withoutChallenge({ exercise, item }: Worked): number[] {
  return exercise.options
    .filter((option) => challenges({ option }).length === 0)
    .map(({ number }) => number)
    .filter((number) => item.options?.includes(number) ?? true);
}

function isUnrehearsed(worked: Worked, all: readonly Worked[]): boolean {
  if (challenges(worked).length === 0) return false;
  const hasBareOption = worked.exercise.options.some(
    (option) => challenges({ option }).length === 0,
  );
  if (!hasBareOption) return false;
  return !all.some(
    (earlier) =>
      earlier.at < worked.at &&
      earlier.exercise.slug === worked.exercise.slug &&
      challenges(earlier).length === 0,
  );
}
