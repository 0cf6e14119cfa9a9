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
import { keyOf, type Standing, type Strand } from './standing.ts';
import { askingOf, supportedWay, type AllowedWay, type Asking } from './ways.ts';

/** Another exercise with a shared aim, else rest. */
export function insteadOf(standing: Standing, strand: Strand): Choice {
  const { offer, member } = standing;
  const { own, easing } = strand;
  const { exercise, catalogue } = offer;
  const passed = passedOver(standing, strand, 0);
  const why: Reason[] = passed.length > 0 ? passed : [{ code: 'not-offered', option: own.option }];
  // A stand-in has sides of its own: it is looked at both ways.
  const asking = askingOf(member.restrictions, 'both ways', offer.clock);
  for (const swap of standInsInTurn(exercise, member, catalogue)) {
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

/** Those in the same position first, and of those what is good for somebody like this; else as they rank. */
function* standInsInTurn(
  exercise: Exercise,
  member: GroupMember,
  catalogue: Catalogue,
): Generator<Exercise> {
  const all = standInsFor(exercise, catalogue);
  const suits = suitsOf(member);
  const places = all.map((other) => {
    const badly = suits.get(other) ?? suitsBadly(other, member);
    suits.set(other, badly);
    return badly + (other.position === exercise.position ? 0 : 2);
  });
  // Looked through place by place: mostly one of the first is taken, and the rest need no order.
  for (let place = 0; place <= LAST_PLACE; place += 1) {
    for (const [index, other] of all.entries()) if (places[index] === place) yield other;
  }
}

const LAST_PLACE = 7;
const SUITS = new Map<string, WeakMap<Exercise, number>>();
/** More different people than a studio has in a week. */
const MOST_KNOWN = 1000;

function suitsOf(member: GroupMember): WeakMap<Exercise, number> {
  const key = keyOf(member);
  const known = SUITS.get(key);
  if (known) return known;
  if (SUITS.size >= MOST_KNOWN) SUITS.clear();
  const made = new WeakMap<Exercise, number>();
  SUITS.set(key, made);
  return made;
}

/** 4 for a kind of work that is left out, 1 for what is not welcome. */
function suitsBadly(other: Exercise, { restrictions, cautions }: GroupMember): number {
  return (isOfAKindLeftOut(other, restrictions) ? 4 : 0) + (isWelcome(other, cautions) ? 0 : 1);
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
