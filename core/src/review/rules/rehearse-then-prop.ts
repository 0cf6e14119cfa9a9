import type { PropUse } from '../../movement/exercise.ts';
import type { PropPlace } from '../../movement/vocabulary.ts';
import { PROP_WORDS } from '../../movement/words.ts';
import { addBeforeIt, leaveOut, withoutAdded } from '../repairs.ts';
import type { Placeable, Rule, Worked } from '../rule.ts';

/** What one stands or leans on, so that a prop there unsettles. */
const STANDS_ON: ReadonlySet<PropPlace> = new Set([
  'under hand',
  'under heel',
  'under knees',
  'under hips',
] as const);

const unsettling = (uses: readonly PropUse[]) =>
  uses.filter(
    ({ role, optional, place }) => !optional && role === 'challenge' && STANDS_ON.has(place),
  );

/** Props held that make it harder. */
const challenges = ({ timed }: Pick<Placeable, 'timed'>) => unsettling(timed.props);

export const rehearseThenProp: Rule = {
  id: 'rehearse-then-prop',
  name: 'Bare before the prop',
  statement:
    'A prop that unsettles hands, feet or knees comes after one set without it; one that helps comes at once.',
  kind: 'order',
  why: 'The shape is learned first; a prop that wobbles or loads is then the only new thing.',
  usually: 'must',
  order: [{ cost: 'sequence', comesFirst: bareFirst }],
  find(context) {
    return context.worked
      .filter((worked) => isUnrehearsed(worked, context.worked))
      .map((worked) => {
        const [use] = challenges(worked);
        const bare = withoutChallenge(worked);
        const name = use ? PROP_WORDS[use.prop] : 'prop';
        return {
          key: worked.item.id,
          itemIds: [worked.item.id],
          sentence: `${worked.exercise.name} starts with the ${name} ${use?.place ?? ''}, and no set without it comes before.`,
          candidates: () => [
            ...(use ? withoutAdded(worked, use.prop) : []),
            ...(bare.length > 0
              ? [
                  {
                    label: `Offer it without the ${name} only`,
                    edit: { type: 'setOptions' as const, itemId: worked.item.id, options: bare },
                  },
                ]
              : []),
            ...addBeforeIt(context, worked, [worked.exercise]),
            leaveOut(worked),
          ],
        };
      });
  },
};

function bareFirst(first: Placeable, second: Placeable): string | undefined {
  if (first.exercise.slug !== second.exercise.slug) return undefined;
  const [prop] = challenges(second);
  if (!prop || challenges(first).length > 0) return undefined;
  return `${first.exercise.name} is learned without the ${PROP_WORDS[prop.prop]} before it makes it harder`;
}

function withoutChallenge({ exercise, item }: Worked): number[] {
  return exercise.options
    .filter((option) => unsettling(option.props).length === 0)
    .map(({ number }) => number)
    .filter((number) => item.options?.includes(number) ?? true);
}

function isUnrehearsed(worked: Worked, all: readonly Worked[]): boolean {
  if (challenges(worked).length === 0) return false;
  const hasBareOption = worked.exercise.options.some(
    (option) => unsettling(option.props).length === 0,
  );
  if (!hasBareOption) return false;
  return !all.some(
    (earlier) =>
      earlier.at < worked.at &&
      earlier.exercise.slug === worked.exercise.slug &&
      challenges(earlier).length === 0,
  );
}
