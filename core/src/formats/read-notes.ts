import type { Catalogue } from '../movement/catalogue.ts';
import type { Dose } from '../movement/dose.ts';
import { PropUse, type Exercise } from '../movement/exercise.ts';
import { Gear, STRENGTHS, type Springs } from '../movement/gear.ts';
import { searchCatalogue } from '../movement/search.ts';
import {
  PROP_PLACES,
  PROP_ROLES,
  PROPS,
  type Machine,
  type Prop,
  type Side,
} from '../movement/vocabulary.ts';
import { PROP_WORDS } from '../movement/words.ts';
import { ClassStyle } from '../plan/class-style.ts';
import { Keeps } from '../plan/item-props.ts';
import { Pacing, SCHOOL_IDS, type SchoolId, type TeachingStyle } from '../plan/plan.ts';
import { SCHOOLS } from '../plan/schools.ts';
import { readDose } from './dose-words.ts';

interface Facts {
  machine?: Machine;
  minutes?: number;
  school?: SchoolId;
  style?: ClassStyle;
  /** Seconds in which two groups change over. */
  changeOverS?: number;
}

/** What a line of somebody's notes was taken for. */
export type NoteLine = { line: number; text: string } & (
  | { kind: 'title'; title: string }
  | ({ kind: 'facts' } & Facts)
  /** `station` where it is for one of two groups. */
  | { kind: 'part'; name: string; station?: Machine; targetS?: number }
  | {
      kind: 'exercise';
      exercise: Exercise;
      dose?: Dose;
      options?: number[];
      /** Words that say neither dose nor option; they are kept as the item's note. */
      rest: string;
    }
  | { kind: 'pause'; label: string; durationS: number }
  | { kind: 'detail'; detail: Detail }
  | { kind: 'note'; words: string }
  /** What follows, up to the end of it or of its part, is done as a series or in rounds. */
  | { kind: 'opens'; bracket: { kind: 'series'; first: Side } | { kind: 'rounds'; times: number } }
  | { kind: 'closes' }
  /** No exercise is called that; the nearest, best first. */
  | { kind: 'unsure'; candidates: Exercise[]; words: string }
);

/** What an indented line says of the exercise above it. */
export type Detail =
  | { is: 'options'; options: number[] }
  | { is: 'rest'; restS: number }
  | { is: 'teaching'; teaching: TeachingStyle }
  | { is: 'pacing'; pacing: Pacing }
  /** "1: 10 times; 4: 8 each side", to be read with the exercise at hand. */
  | { is: 'variants'; words: string }
  | { is: 'gear'; gear: Gear }
  | { is: 'side'; side: Side }
  | { is: 'added'; use: PropUse }
  | { is: 'without'; props: Prop[] }
  | { is: 'keeps'; keeps: Keeps };

/** As many lines as a class can have items and words. */
const MOST_LINES = 600;
const MOST_LETTERS = 400;
const NEAREST = 4;

/**
 * Reads notes as one scribbles them, or Markdown: headings are parts, a line is an exercise with its dose
 * behind it, "water 40 s" is a pause, "> …" a note. Nothing is thrown away: what is not understood is told.
 */
export function readNotes(text: string, catalogue: Catalogue): NoteLine[] {
  const names = namesOf(catalogue);
  let isFirst = true;
  return text
    .split(/\r?\n/)
    .slice(0, MOST_LINES)
    .flatMap((raw, index): NoteLine[] => {
      const words = raw.slice(0, MOST_LETTERS).replace(/\t/g, '  ');
      if (words.trim() === '' || /^\s*(?:-{3,}|\*{3,}|={3,})\s*$/.test(words)) return [];
      const read = readLine(words, isFirst, names, catalogue);
      isFirst = false;
      return [{ line: index + 1, text: raw.trim(), ...read }];
    });
}

type Read = NoteLine extends infer Line
  ? Line extends NoteLine
    ? Omit<Line, 'line' | 'text'>
    : never
  : never;

function readLine(words: string, isFirst: boolean, names: Names, catalogue: Catalogue): Read {
  const heading = /^\s*(#{1,6})\s+(.*?)\s*#*\s*$/.exec(words);
  if (heading) {
    const [, marks = '', name = ''] = heading;
    return marks.length === 1 ? { kind: 'title', title: name } : readPart(name);
  }
  const quoted = /^\s*>\s?(.*)$/.exec(words);
  if (quoted) return { kind: 'note', words: (quoted[1] ?? '').trim() };
  const detail = /^\s{2,}[-*•]\s+(.*)$/.exec(words);
  const told = detail ? readDetail(detail[1] ?? '') : undefined;
  if (told) return { kind: 'detail', detail: told };
  const bare = bareOf(words);
  const facts = isFirst || !/\d/.test(bare) || /[,;]/.test(bare) ? readFacts(bare) : undefined;
  if (facts) return facts;
  const bracket = readBracket(bare);
  if (bracket) return bracket;
  const part = /^([^\d]{1,80}?):$/.exec(bare);
  if (part) return { kind: 'part', name: part[1] ?? '' };
  const named = findName(bare, names);
  if (named) return exerciseLine(named.exercise, named.behind);
  const pause = readPause(bare);
  if (pause) return pause;
  const wanted = bare.replace(/[,(].*$/, '').replace(/\s[x×]?\d.*$/, '');
  return { kind: 'unsure', candidates: nearest(wanted, catalogue), words: bare };
}

/** "Sides", "Sides [6 min]", or for one of two groups "Sides [on the mat] [6 min 30 s]". */
function readPart(words: string): Read {
  const timed = /^(.*?)\s*\[(?:(\d{1,3}) min)?\s*(?:(\d{1,4}) s)?\]$/i.exec(words);
  const targetS = timed ? Number(timed[2] ?? 0) * 60 + Number(timed[3] ?? 0) : 0;
  const named = targetS > 0 ? (timed?.[1] ?? '') : words;
  const [, name = named, place] = /^(.*?)\s*\[on the (machines?|mats?)\]$/i.exec(named) ?? [];
  return {
    kind: 'part',
    name,
    ...(place === undefined ? {} : { station: /^mat/i.test(place) ? 'mat' : 'reformer' }),
    ...(targetS > 0 ? { targetS } : {}),
  };
}

/** "(series, right first)", "3 rounds:", "(end of rounds)". */
function readBracket(bare: string): Read | undefined {
  const series = /^\(?series(?:[ ,]+(right|left)(?: side)?(?: first)?)?\)?:?$/i.exec(bare);
  if (series) {
    const first = series[1]?.toLowerCase() === 'left' ? 'left' : 'right';
    return { kind: 'opens', bracket: { kind: 'series', first } };
  }
  const times = Number(/^\(?(\d{1,2})\s*(?:x\s*)?rounds?\)?:?$/i.exec(bare)?.[1]);
  if (times >= 2 && times <= 10) return { kind: 'opens', bracket: { kind: 'rounds', times } };
  return /^\(?end of (?:series|rounds)\)?\.?$/i.test(bare) ? { kind: 'closes' } : undefined;
}

/** Without bullet, number, tick box or clock time before it. */
function bareOf(words: string): string {
  return words
    .trim()
    .replace(/^(?:[-*•+–]|\d{1,2}[.)])\s+/, '')
    .replace(/^\[[ xX]?\]\s*/, '')
    .replace(/^\d{1,2}:\d{2}(?:\s*[ap]m)?\s+(?=\D)/i, '')
    .replace(/\*\*|__|`/g, '')
    .trim();
}

const PAUSES =
  /^(water|welcome|talk|break|pause|rest break|set ?up|change over|questions|hello)\b[^\d]*/i;
const USUAL_PAUSE_S = 60;

function readPause(bare: string): Read | undefined {
  const marked = /^\(pause\)\s*(.*)$/i.exec(bare);
  const words = marked ? (marked[1] ?? '') : bare;
  if (!marked && !PAUSES.test(words)) return undefined;
  const { dose } = readDose(words, { dose: PAUSE_DOSE });
  const label = words.replace(/[,:]?\s*\d+\s*(?:s|sec|secs|seconds|min|mins|minutes)?\.?\s*$/i, '');
  const durationS = dose?.kind === 'free' ? dose.durationS : USUAL_PAUSE_S;
  return { kind: 'pause', label: label.trim() || 'Pause', durationS };
}

const PAUSE_DOSE: Dose = {
  kind: 'free',
  durationS: USUAL_PAUSE_S,
  sets: 1,
  sides: 'none',
  directions: 1,
};

function exerciseLine(exercise: Exercise, behind: string): Read {
  const { options, rest: words } = readOptions(behind, exercise);
  const { dose, rest } = readDose(words, exercise);
  const named = rest ? optionNamed(rest, exercise) : undefined;
  const chosen = options ?? (named ? [named.number] : undefined);
  return {
    kind: 'exercise',
    exercise,
    ...(dose ? { dose } : {}),
    ...(chosen ? { options: chosen } : {}),
    rest: named ? named.rest : rest,
  };
}

/** "options 1, 2" or "option 3", wherever it stands. */
function readOptions(words: string, exercise: Exercise): { options?: number[]; rest: string } {
  const match = /\boptions?\s+((?:\d\s*(?:,|and|\+|–|-)?\s*)+)/i.exec(words);
  if (!match) return { rest: words };
  const all = [...(match[1] ?? '').matchAll(/\d/g)].map(([digit]) => Number(digit));
  const options = [...new Set(all)].filter((number) => number <= exercise.options.length).sort();
  const rest = words.replace(match[0], ' ');
  return options.length > 0 ? { options, rest } : { rest };
}

/** The one option whose name holds a word of it, such as "rolled" or "toes". */
function optionNamed(
  rest: string,
  exercise: Exercise,
): { number: number; rest: string } | undefined {
  const words = wordsOf(rest);
  for (const word of words.filter(({ length }) => length > 3)) {
    const held = exercise.options.filter(({ name }) => wordsOf(name).includes(word));
    // "Heels" is the option that begins with them, though another has its heels together.
    const first = exercise.options.filter(({ name }) => wordsOf(name)[0] === word);
    const [only] = first.length === 1 ? first : held;
    if (only && (first.length === 1 || held.length === 1)) {
      const own = new Set(wordsOf(only.name));
      return { number: only.number, rest: words.filter((each) => !own.has(each)).join(' ') };
    }
  }
  return undefined;
}

function readDetail(words: string): Detail | undefined {
  const options = /^options?\s+([\d\s,]+)$/i.exec(words);
  if (options) {
    const numbers = [...(options[1] ?? '').matchAll(/\d/g)].map(([digit]) => Number(digit));
    return { is: 'options', options: numbers };
  }
  const rest = /^rest\s+(\d{1,3})\s*s?$/i.exec(words);
  if (rest) return { is: 'rest', restS: Number(rest[1]) };
  const teaching = /^teaching\s+(full|brief|none)$/i.exec(words);
  if (teaching) return { is: 'teaching', teaching: teaching[1]?.toLowerCase() as TeachingStyle };
  const side = /^only (right|left)$/i.exec(words)?.[1]?.toLowerCase();
  if (side === 'right' || side === 'left') return { is: 'side', side };
  const pacing = readPacing(words);
  if (pacing) return { is: 'pacing', pacing };
  const held = readHeld(words);
  if (held) return held;
  const variants = /^variants\s+(.+)$/i.exec(words);
  if (variants) return { is: 'variants', words: variants[1] ?? '' };
  const gear = /^gear\s+(.+)$/i.exec(words);
  return gear ? readGear(gear[1] ?? '') : undefined;
}

/** "breathed", "own pace", "phases 3", "kind pulse", "explain 40 s": one a line. */
function readPacing(words: string): Pacing | undefined {
  if (/^breathed$/i.test(words)) return { breathed: true };
  if (/^own pace$/i.test(words)) return { breathed: false };
  const [, name = '', value = ''] = /^(phases|kind|explain)\s+(\S+)(?:\s*s)?$/i.exec(words) ?? [];
  const said = {
    phases: { phases: Number(value) },
    kind: { tempo: value.toLowerCase() },
    explain: { explainS: Number(value) },
  };
  const read = Pacing.safeParse(said[name.toLowerCase() as keyof typeof said]);
  return read.data;
}

/** "with 2 block under hand (support)", "without small ball, band", "keeps props, shape": one a line. */
function readHeld(words: string): Detail | undefined {
  const [, verb = '', what = ''] = /^(with|without|keeps)\s+(.+)$/i.exec(words) ?? [];
  switch (verb.toLowerCase()) {
    case 'with': {
      const use = readUse(what);
      return use && { is: 'added', use };
    }
    case 'without': {
      const props = what.split(/,\s*/).flatMap((name) => propNamed(name) ?? []);
      return props.length > 0
        ? { is: 'without', props: [...new Set(props)].slice(0, 4) }
        : undefined;
    }
    case 'keeps': {
      const keeps = Keeps.safeParse(what.toLowerCase().split(/,\s*|\s+and\s+/));
      return keeps.data && { is: 'keeps', keeps: keeps.data };
    }
    default:
      return undefined;
  }
}

function readUse(words: string): PropUse | undefined {
  const said = words.toLowerCase();
  const place = PROP_PLACES.find((each) => said.includes(` ${each}`));
  if (!place) return undefined;
  const [, count = '1', name = ''] =
    /^(?:(\d)\s+)?(.*)$/.exec(said.slice(0, said.indexOf(place))) ?? [];
  const role = PROP_ROLES.find((each) => said.includes(`(${each})`)) ?? 'support';
  return PropUse.safeParse({ prop: propNamed(name), place, role, count: Number(count) }).data;
}

function propNamed(name: string): Prop | undefined {
  const wanted = name.trim().toLowerCase().replace(/s$/, '');
  return PROPS.find((prop) => prop === wanted || PROP_WORDS[prop] === wanted);
}

/** "springs heavy 2, light 1; bar low; loops short". */
function readGear(words: string): Detail | undefined {
  const entries = words.split(';').map((part): [string, unknown] => {
    const [, name = '', value = ''] = /^\s*(\w+)\s+(.*?)\s*$/.exec(part) ?? [];
    return [name, name === 'springs' ? readSprings(value) : value];
  });
  const read = Gear.safeParse(Object.fromEntries(entries));
  return read.success ? { is: 'gear', gear: read.data } : undefined;
}

function readSprings(words: string): Springs {
  const counts = STRENGTHS.flatMap((strength) => {
    const match = new RegExp(`${strength} (\\d)`).exec(words);
    return match ? [[strength, Number(match[1])] as const] : [];
  });
  return Object.fromEntries(counts);
}

/** "mat, 50 min, Foundations first": only when nothing else stands in the line. */
function readFacts(bare: string): Read | undefined {
  // Names of schools may hold a comma: what we write is parted by semicolons.
  const pieces = bare.split(bare.includes(';') ? ';' : ',').map((piece) => piece.trim());
  const facts: Facts = {};
  for (const piece of pieces) {
    const minutes = /^(\d{1,3})\s*(?:min|mins|minutes)$/i.exec(piece);
    const changeOver = /^two groups change over in (\d{2,3})\s*s$/i.exec(piece);
    const machine = /^(?:on the )?(mat|reformer)$/i.exec(piece)?.[1]?.toLowerCase();
    const led = ClassStyle.safeParse(/^led (\w+)$/i.exec(piece)?.[1]?.toLowerCase());
    const school = SCHOOL_IDS.find(
      (id) => SCHOOLS[id].name.toLowerCase() === piece.toLowerCase() || id === piece,
    );
    if (minutes) facts.minutes = Number(minutes[1]);
    else if (changeOver) facts.changeOverS = Number(changeOver[1]);
    else if (machine === 'mat' || machine === 'reformer') facts.machine = machine;
    else if (school) facts.school = school;
    else if (led.success) facts.style = led.data;
    else return undefined;
  }
  return { kind: 'facts', ...facts };
}

type Names = ReadonlyMap<string, Exercise>;
const KNOWN_NAMES = new WeakMap<Catalogue, Names>();

/** Every name of every exercise by its words; an exercise's own name wins over another's other name. */
function namesOf(catalogue: Catalogue): Names {
  const known = KNOWN_NAMES.get(catalogue);
  if (known) return known;
  const names = new Map<string, Exercise>();
  for (const exercise of catalogue.all) {
    for (const other of exercise.otherNames) names.set(wordsOf(other).join(' '), exercise);
  }
  for (const exercise of catalogue.all) {
    names.set(exercise.slug.replaceAll('-', ' '), exercise);
    names.set(wordsOf(exercise.name).join(' '), exercise);
  }
  KNOWN_NAMES.set(catalogue, names);
  return names;
}

const wordsOf = (text: string): string[] =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** The longest name that a line begins with, and what stands behind it. */
function findName(bare: string, names: Names): { exercise: Exercise; behind: string } | undefined {
  const starts = [...bare.matchAll(/[\p{L}\p{N}]+/gu)];
  for (let count = starts.length; count > 0; count -= 1) {
    const last = starts[count - 1];
    if (!last) continue;
    const end = last.index + last[0].length;
    const words = wordsOf(bare.slice(0, end)).join(' ');
    const exercise =
      oneOf(words, names) ?? (isAllOfName(bare.slice(end)) ? begunBy(words, names) : undefined);
    if (exercise) return { exercise, behind: bare.slice(end) };
  }
  return undefined;
}

/** Whether nothing but a dose can follow: no word of a longer name. */
const isAllOfName = (behind: string) => /^\W*(?:[x×]?\s*\d|$)/.test(behind);

/** The least letters by which a name is known from its beginning. */
const TELLING = 7;

/** The only exercise whose name begins so: "calf raises" is enough for the calf raise on the bar. */
function begunBy(words: string, names: Names): Exercise | undefined {
  if (words.length < TELLING) return undefined;
  const begin = `${words.replace(/s$/, '')} `;
  const found = new Set<Exercise>();
  for (const [name, exercise] of names) if (name.startsWith(begin)) found.add(exercise);
  const [only] = found;
  return found.size === 1 ? only : undefined;
}

/** "clams" and "stretches" are written for what is called clam and stretch. */
function oneOf(words: string, names: Names): Exercise | undefined {
  const singulars = [words, words.replace(/s$/, ''), words.replace(/es$/, '')];
  return singulars.map((each) => names.get(each)).find((exercise) => exercise !== undefined);
}

function nearest(words: string, catalogue: Catalogue): Exercise[] {
  const all = wordsOf(words);
  if (all.length === 0) return [];
  const found = searchCatalogue(catalogue, all.join(' '));
  if (found.length > 0) return found.slice(0, NEAREST);
  // No exercise holds all of the words: those that hold most of them, each word by itself.
  const counts = new Map<Exercise, number>();
  for (const word of all.filter(({ length }) => length > 2)) {
    searchCatalogue(catalogue, word)
      .slice(0, 2 * NEAREST)
      .forEach((exercise, rank) =>
        counts.set(exercise, (counts.get(exercise) ?? 0) + 1 + 1 / (rank + 2)),
      );
  }
  return [...counts]
    .sort(([, a], [, b]) => b - a)
    .slice(0, NEAREST)
    .map(([exercise]) => exercise);
}
