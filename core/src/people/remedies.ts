import { z } from 'zod';
import { AID_IDS, type AidId } from '../body/aids/aid.ts';
import { aidOf } from '../body/aids/aids.ts';
import type { Exercise, Option } from '../movement/exercise.ts';
import { optionOf } from '../movement/exercise.ts';
import { OptionNumber } from '../movement/vocabulary.ts';
import { amountOf, askedBy, fittingAids, type Asked } from './asked.ts';
import { unitOf } from './asks.ts';
import type { Restriction } from './restrictions.ts';
import { hitsOf, NO_CLOCK } from './hits.ts';
import { SIGN_IDS, signOf, type Sign, type SignId } from './signs.ts';
import { askingOf, AS_ASKED, cheapestWay, type How } from './ways.ts';

/** What is changed for one person once something was seen; cued first, then the smallest change. */
export const Remedy = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('cue') }),
  z.strictObject({ kind: z.literal('support'), aid: z.enum(AID_IDS) }),
  z.strictObject({ kind: z.literal('smaller') }),
  z.strictObject({ kind: z.literal('fewer') }),
  z.strictObject({ kind: z.literal('more') }),
  z.strictObject({ kind: z.literal('option'), option: OptionNumber }),
  z.strictObject({ kind: z.literal('rest') }),
]);
export type Remedy = z.infer<typeof Remedy>;

/** "hands carry the head", "option 1, Small": what is pressed and what stands in the log. */
export function sayRemedy(remedy: Remedy, exercise: Exercise): string {
  switch (remedy.kind) {
    case 'cue':
      return 'said';
    case 'support':
      return aidOf(remedy.aid).name;
    case 'smaller':
      return 'half as far';
    case 'fewer':
      return isBySeconds(exercise) ? 'half as long' : 'half as many';
    case 'more':
      return 'a few more, slower';
    case 'option':
      return `option ${remedy.option}, ${optionOf(exercise, remedy.option).name}`;
    case 'rest':
      return 'rest';
  }
}

const isBySeconds = ({ dose }: Exercise) => dose.kind !== 'repetitions' && dose.kind !== 'breaths';

/** In a word or two, on the person's name while it lasts; what another option is stands in its own place. */
export function markRemedy(remedy: Remedy): string | undefined {
  switch (remedy.kind) {
    case 'support':
      return aidOf(remedy.aid).mark;
    case 'smaller':
      return 'half way';
    case 'fewer':
      return 'less';
    case 'more':
      return 'more';
    case 'rest':
      return 'rests';
    case 'cue':
    case 'option':
      return undefined;
  }
}

export interface Seen {
  exercise: Exercise;
  /** What they do now, and how. */
  option: number;
  how?: How | undefined;
  /** All that is in force for them. */
  restrictions: readonly Restriction[];
}

/** As many as are read at a glance while somebody moves. */
const MOST_SUPPORTS = 3;

/** From so much on, something can be seen of a measure: common practice. */
const VISIBLE: Partial<Record<ReturnType<typeof unitOf>, number>> = { '°': 10, '‰': 3, share: 0.7 };

/** Signs that can be seen in what somebody does: nobody slumps lying down. */
export function signsIn({ exercise, option, how }: Seen): SignId[] {
  const asked = askedBy(optionOf(exercise, option), how ?? AS_ASKED);
  return SIGN_IDS.filter((id) => {
    const { asks = [] } = signOf(id);
    if (asks.length === 0 || !asked) return true;
    return asks.some((ask) => {
      const amount = amountOf(asked, ask, 'either');
      return amount === undefined || amount >= (VISIBLE[unitOf(ask)] ?? 0);
    });
  });
}

/** What to try, the smallest change first; each keeps within all of this person's bounds. */
export function remediesFor(id: SignId, seen: Seen): Remedy[] {
  if (id === 'stop') return [{ kind: 'rest' }];
  if (id === 'too-easy') return oneMore(seen);
  const sign = signOf(id) as Sign;
  const now = optionOf(seen.exercise, seen.option);
  const used = seen.how?.aids ?? [];
  const supports = sign.aids
    .filter((aid) => !used.includes(aid) && fittingAids(now).includes(aid))
    .filter((aid) => relieves(sign, now, { ...AS_ASKED, aids: [...used, aid] }, seen, aid))
    .slice(0, MOST_SUPPORTS);
  const half = { ...AS_ASKED, aids: used, smaller: true };
  return [
    { kind: 'cue' },
    ...supports.map((aid): Remedy => ({ kind: 'support', aid })),
    ...(sign.smaller && !seen.how?.smaller && relieves(sign, now, half, seen)
      ? [{ kind: 'smaller' } as const]
      : []),
    ...(sign.fewer && (seen.how?.dose ?? 1) === 1 ? [{ kind: 'fewer' } as const] : []),
    ...lower(sign, now, seen),
    { kind: 'rest' },
  ];
}

/** True where it takes from what was seen, adds nothing that is avoided, and can be done at all. */
function relieves(sign: Sign, option: Option, how: How, seen: Seen, aid?: AidId): boolean {
  const [before, after] = [askedBy(option, seen.how ?? AS_ASKED), askedBy(option, how)];
  if (!before || !after) return false;
  if (isAvoided(option, after, how, seen)) return false;
  if (sign.asks.length === 0) return true;
  const eases = aid === undefined ? [] : (aidOf(aid).eases ?? []);
  return isLess(sign, before, after) || sign.asks.some((ask) => (eases as string[]).includes(ask));
}

function isAvoided(option: Option, asked: Asked, { aids }: How, { restrictions }: Seen): boolean {
  return hitsOf(option, asked, aids, restrictions, 'both ways', NO_CLOCK).some(
    ({ effect }) => effect === 'avoid',
  );
}

/** Less of one of them, and more of none. */
function isLess({ asks }: Sign, before: Asked, after: Asked): boolean {
  const of = (asked: Asked) => asks.map((ask) => amountOf(asked, ask, 'either') ?? Infinity);
  const [was, is] = [of(before), of(after)];
  return is.every((now, at) => now <= (was[at] ?? 0)) && is.some((now, at) => now < (was[at] ?? 0));
}

/** The nearest lower option that asks less of it; where no measure tells, the one below. */
function lower(sign: Sign, now: Option, seen: Seen): Remedy[] {
  const before = askedBy(now, AS_ASKED);
  const found = [...seen.exercise.options]
    .filter(({ number }) => number < now.number)
    .reverse()
    .find((option) => {
      const asked = askedBy(option, AS_ASKED);
      if (!asked || !before || !isOpen(option, seen)) return false;
      return sign.asks.length === 0 || isLess(sign, before, asked);
    });
  return found ? [{ kind: 'option', option: found.number }] : [];
}

function isOpen(option: Option, { restrictions }: Seen): boolean {
  return cheapestWay(option, askingOf(restrictions, 'both ways', NO_CLOCK)) !== undefined;
}

/** One lever: more of it, or the next option up, where the measures let it. */
function oneMore(seen: Seen): Remedy[] {
  const next = seen.exercise.options.find(({ number }) => number === seen.option + 1);
  return [
    ...((seen.how?.dose ?? 1) === 1 ? [{ kind: 'more' } as const] : []),
    ...(next && isOpen(next, seen) ? [{ kind: 'option', option: next.number } as const] : []),
  ];
}
