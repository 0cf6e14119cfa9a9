import type { Catalogue } from '../movement/catalogue.ts';
import {
  BODY_PART_WORDS,
  DIRECTION_WORDS,
  FOUNDATION_WORDS,
  listWords,
  PROP_WORDS,
  someWords,
} from '../movement/words.ts';
import { rulesOf } from '../plan/schools.ts';
import type { Choice } from './pool.ts';
import type { DraftWishes } from './wishes.ts';

/** One wish by itself: what it is called when it is in the way, and which choices it rules out. */
export interface Wish {
  id: string;
  /** As a part of a sentence: "you want Teaser". */
  words: string;
  /** Choices that can't be in the class while it holds. */
  forbids: (choice: Choice) => boolean;
}

/** Every wish as it could be dropped by itself. The rows of the program refer to them by id. */
export function wishList(
  wishes: DraftWishes,
  pool: readonly Choice[],
  catalogue: Catalogue,
): Wish[] {
  const nothing = () => false;
  const name = (slug: string) => catalogue.get(slug)?.name ?? slug;
  const minutes = Math.round(wishes.targetS / 60);
  const list: Wish[] = [
    { id: 'length', words: `${minutes} minutes`, forbids: nothing },
    { id: 'school', words: `the order of ${rulesOf(wishes.school).name}`, forbids: nothing },
  ];
  for (const foundation of wishes.foundations) {
    list.push({
      id: `foundation ${foundation}`,
      words: `${FOUNDATION_WORDS[foundation]} as a theme`,
      forbids: nothing,
    });
  }
  for (const direction of wishes.directions) {
    list.push({
      id: `direction ${direction}`,
      words: `${DIRECTION_WORDS[direction]} as a theme`,
      forbids: nothing,
    });
  }
  for (const part of wishes.bodyParts) {
    list.push({
      id: `part ${part}`,
      words: `${BODY_PART_WORDS[part]} as a theme`,
      forbids: nothing,
    });
  }
  if (wishes.climbTo) {
    list.push({ id: 'climb', words: `a climb to ${name(wishes.climbTo)}`, forbids: nothing });
  }
  for (const slug of wishes.mustHave) {
    list.push({ id: `must ${slug}`, words: `${name(slug)} as a must`, forbids: nothing });
  }
  for (const slug of wishes.never) {
    list.push({
      id: `never ${slug}`,
      words: `no ${name(slug)} today`,
      forbids: ({ exercise }) => exercise.slug === slug,
    });
  }
  if (wishes.effortMost < 5) {
    list.push({
      id: 'effort',
      words: `nothing harder than ${wishes.effortMost} of 5`,
      forbids: ({ effort }) => effort > wishes.effortMost,
    });
  }
  if (wishes.props) {
    const props =
      wishes.props.length > 0
        ? `only ${listWords(wishes.props.map((prop) => PROP_WORDS[prop]))}`
        : 'no props';
    list.push({ id: 'props', words: props, forbids: ({ lacksProps }) => lacksProps });
  }
  return [...list, ...whoComes(wishes, pool)];
}

/** Those who stand in the way of something that was asked for are named, the others are one wish. */
function whoComes(wishes: DraftWishes, pool: readonly Choice[]): Wish[] {
  const asked = new Set([...wishes.mustHave, ...(wishes.climbTo ? [wishes.climbTo] : [])]);
  const named = new Set(
    pool.filter(({ exercise }) => asked.has(exercise.slug)).flatMap(({ left }) => left),
  );
  const others = new Set(pool.flatMap(({ left }) => left).filter((name) => !named.has(name)));
  const list = [...named].map((name): Wish => ({
    id: `person ${name}`,
    words: `${name} comes`,
    forbids: ({ left }) => left.includes(name),
  }));
  if (others.size > 0) {
    list.push({
      id: 'people',
      words: `${someWords([...others], 3)} ${others.size > 1 ? 'come' : 'comes'}`,
      forbids: ({ left }) => left.some((name) => others.has(name)),
    });
  }
  return list;
}
