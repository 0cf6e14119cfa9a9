import type { Catalogue } from '../movement/catalogue.ts';
import type { Exercise, Option } from '../movement/exercise.ts';
import { BY_HAND, isByHand } from './asks.ts';
import type { GroupMember } from './attendee.ts';
import type { Caution } from './cautions/caution.ts';
import { cautionOf, type CautionId } from './cautions/cautions.ts';
import type { Choice } from './choice.ts';
import { passedOver, withDose } from './departures.ts';
import type { Reason } from './reasons.ts';
import { restShapeFor } from './rest-shapes.ts';
import type { Restriction } from './restrictions.ts';
import { standInsFor } from './stand-ins.ts';
import type { Standing, Strand } from './standing.ts';
import { askingOf, numberOf, supportedWay, type AllowedWay, type Asking } from './ways.ts';

/** Another exercise with a shared aim, else rest. */
export function insteadOf(standing: Standing, strand: Strand): Choice {
  const { offer, member } = standing;
  const { own, easing } = strand;
  const { exercise, catalogue } = offer;
  const passed = passedOver(standing, strand, 0);
  const why: Reason[] = passed.length > 0 ? passed : [{ code: 'not-offered', option: own.option }];
  // A stand-in has sides of its own: it is looked at both ways.
  const asking = askingOf(member.restrictions, 'both ways', offer.clock);
  for (const swap of rankStandIns(exercise, member, catalogue)) {
    const found = swapTo(swap, easing.own, asking);
    if (!found) continue;
    const { option, way } = found;
    const how = withDose(way, easing.dose);
    return {
      kind: 'swap',
      exercise: swap.slug,
      option: option.number,
      ...(how ? { how } : {}),
      reasons: [
        ...why,
        {
          code: 'swap',
          exercise: swap.slug,
          name: swap.name,
          samePosition: swap.position === exercise.position,
        },
        ...(how?.aids ?? []).map((aid): Reason => ({ code: 'support', aid })),
      ],
    };
  }
  return {
    kind: 'rest',
    shape: restShapeFor(exercise.position, member.restrictions),
    reasons: [...why, { code: 'no-swap', position: exercise.position }],
  };
}

/** As it stands or with a support: nobody is taught a stand-in and its smaller version at once. */
function swapTo(
  swap: Exercise,
  own: number,
  asking: Asking,
): { option: Option; way: AllowedWay } | undefined {
  const reach = Math.min(swap.standard, Math.max(1, own));
  for (const option of swap.options.slice(0, reach).reverse()) {
    const way = supportedWay(option, asking);
    if (way) return { option, way };
  }
  return undefined;
}

const RANKED = new WeakMap<readonly Exercise[], Map<string, readonly Exercise[]>>();

/** Those in the same position first, and of those what is good for somebody like this; else as they rank. */
function rankStandIns(
  exercise: Exercise,
  { cautions, restrictions }: GroupMember,
  catalogue: Catalogue,
): readonly Exercise[] {
  const all = standInsFor(exercise, catalogue);
  const ranked = RANKED.get(all) ?? new Map<string, readonly Exercise[]>();
  RANKED.set(all, ranked);
  const key = [numberOf(restrictions), ...cautions].join(' ');
  const place = (other: Exercise) =>
    (isOfAKindLeftOut(other, restrictions) ? 4 : 0) +
    (other.position === exercise.position ? 0 : 2) +
    (isWelcome(other, cautions) ? 0 : 1);
  const known = ranked.get(key);
  if (known) return known;
  const made = all
    .map((other) => ({ other, at: place(other) }))
    .sort((a, b) => a.at - b.at)
    .map(({ other }) => other);
  ranked.set(key, made);
  return made;
}

/** Jumping and the like: its easiest option may be allowed, but nobody is sent there. */
function isOfAKindLeftOut({ options }: Exercise, restrictions: readonly Restriction[]): boolean {
  return restrictions.some(
    ({ ask, avoid }) =>
      avoid !== undefined &&
      isByHand(ask) &&
      options.some(({ demands }) => demands.includes(BY_HAND[ask])),
  );
}

function isWelcome(exercise: Exercise, cautions: readonly CautionId[]): boolean {
  return cautions.some((id) => {
    const { welcomes }: Caution = cautionOf(id);
    return (
      welcomes !== undefined &&
      ((welcomes.families?.includes(exercise.family) ?? false) ||
        (welcomes.positions?.includes(exercise.position) ?? false) ||
        (welcomes.parts?.some((part) => exercise.bodyParts.includes(part)) ?? false) ||
        (welcomes.moves?.some((move) => exercise.moves.includes(move)) ?? false))
    );
  });
}
