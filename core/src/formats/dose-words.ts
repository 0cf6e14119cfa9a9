import { describeMore, type Dose, type Phase } from '../movement/dose.ts';
import type { Side } from '../movement/vocabulary.ts';
import type { Exercise } from '../movement/exercise.ts';

/** What was understood of the words behind an exercise's name, and what was not. */
interface DoseRead {
  dose: Dose | undefined;
  /** Words that say nothing about the dose. */
  rest: string;
}

interface Found {
  count?: number;
  seconds?: number;
  sets?: number;
  breaths?: number;
  on?: number;
  off?: number;
  rounds?: number;
  sides?: Dose['sides'];
  directions?: number;
  isHold?: boolean;
  isFree?: boolean;
  isCounted?: boolean;
  leftCount?: number;
  first?: Side;
  isAbout?: boolean;
}

type Take = (groups: string[]) => Found;

const n = (text: string | undefined) => Number(text);

/** Ways of writing a dose, the longer ones first; what is taken is gone for those after it. */
const WAYS: readonly [pattern: RegExp, take: Take][] = [
  [/(\d+) on the left\b/, ([count]) => ({ leftCount: n(count) })],
  [/\b(left|right) (?:side )?first\b/, ([side]) => ({ first: side === 'left' ? 'left' : 'right' })],
  [/(?:\b(?:about|around|roughly)|~)(?=\s*\d)/, () => ({ isAbout: true })],
  [/(\d+)\s*(?:sets? of|[x×]|\*)\s*(?=\d|hold|once|free)/, ([sets]) => ({ sets: n(sets) })],
  [/(\d+)\s*s on,? (\d+)\s*s to change/, ([on, off]) => ({ on: n(on), off: n(off) })],
  [/(\d+)\s*\/\s*(\d+)(?:\s*s\b)?/, ([on, off]) => ({ on: n(on), off: n(off) })],
  [/(\d+)\s*rounds?\b/, ([rounds]) => ({ rounds: n(rounds) })],
  [/(\d+)\s*holds? of (\d+)\s*(?:s|sec|secs|seconds)?\b/, holdsOf],
  [/(\d+)\s*sets?\b/, ([sets]) => ({ sets: n(sets) })],
  [/\btwice\b/, () => ({ sets: 2 })],
  [/\b(?:each|both) (?:way|ways|directions?)\b/, () => ({ directions: 2 })],
  [/\bone way\b/, () => ({ directions: 1 })],
  [/\btogether\b/, () => ({ sides: 'none' as const })],
  [/\bfree\b/, () => ({ isFree: true })],
  [
    /(?:\beach side,? )?\b(?:in turn|alternating|alternate|alternately|alt)\b/,
    () => ({ sides: 'alternating' as const }),
  ],
  [
    /\b(?:each side|per side|a side|both sides|each leg|each arm|each|e\/s)(?![a-z])/,
    () => ({ sides: 'each' as const }),
  ],
  [/\b(left|right)(?: side| only)?\b/, ([side]) => ({ sides: side === 'left' ? 'left' : 'right' })],
  [/(\d+)\s*breaths?\b/, ([breaths]) => ({ breaths: n(breaths) })],
  [/(\d+):(\d\d)\b/, ([min, s]) => ({ seconds: 60 * n(min) + n(s) })],
  [/(\d+)\s*(?:minutes?|mins?|')(?![a-z])/, ([min]) => ({ seconds: 60 * n(min) })],
  [/(\d+)\s*(?:seconds?|secs?|s|")(?![a-z])/, ([s]) => ({ seconds: n(s) })],
  [/\bhold\b/, () => ({ isHold: true })],
  [/[x×]\s*(\d+)/, ([count]) => ({ count: n(count) })],
  [/(\d+)\s*(?:times|reps?|repetitions)\b/, ([count]) => ({ count: n(count), isCounted: true })],
  [/(\d+)\s*[x×](?![a-z])/, ([count]) => ({ count: n(count) })],
  [/\bonce\b/, () => ({ count: 1, isCounted: true })],
  [/(\d+)/, ([count]) => ({ count: n(count) })],
];

function holdsOf([count, seconds]: string[]): Found {
  return { count: n(count), seconds: n(seconds), isHold: true };
}

/** From so many on, a bare number behind a hold means its seconds. */
const SECONDS_FROM = 10;

/** Reads a dose in any usual way of writing; what an exercise usually is decides what a number counts. */
export function readDose(words: string, exercise: Pick<Exercise, 'dose'>): DoseRead {
  const [main = '', ...behind] = words.toLowerCase().split(THEN);
  const phases = behind.map(readPhase);
  // What follows is left alone where any of it is not understood.
  const isRead = phases.every((phase) => phase !== undefined);
  const read = readAmount(isRead ? main : words.toLowerCase(), exercise);
  const { dose } = read;
  if (!isRead || phases.length === 0 || !dose) return read;
  if (dose.kind === 'timed' || dose.kind === 'free') return { dose, rest: behind.join(' ') };
  return { ...read, dose: { ...dose, then: phases } };
}

const THEN = /[,;]?\s*\bthen\b\s*/;

/** "hold 20 s", "20 small", "4 more", "6 an option lower"; undefined where it is none of these. */
function readPhase(words: string): Phase | undefined {
  const text = words.trim().replace(/[.,;]+$/, '');
  const lower = /\s*\b(?:an option lower|easier)$/;
  const [isLower, bare] = [lower.test(text), text.replace(lower, '')];
  const low = isLower ? { lower: true as const } : {};
  const held = /^(?:hold\s*)?(\d+)\s*(?:s|sec|secs|seconds)$/.exec(bare);
  if (held) return { kind: 'hold', holdS: n(held[1]), ...low };
  const small = /^(\d+)\s*(?:small(?: ones)?|pulses?)$/.exec(bare);
  if (small && !isLower) return { kind: 'small', count: n(small[1]) };
  const more = /^(\d+)\s*(?:more|times|x|×)?$/.exec(bare);
  return more ? { kind: 'repetitions', count: n(more[1]), ...low } : undefined;
}

function readAmount(words: string, exercise: Pick<Exercise, 'dose'>): DoseRead {
  let rest = ` ${words} `;
  const found: Found = {};
  for (const [pattern, take] of WAYS) {
    const match = pattern.exec(rest);
    if (!match) continue;
    const taken = take(match.slice(1));
    // What is already known stays: the second number of "8 each, 3" is not a count once more.
    if (Object.keys(taken).some((key) => key in found)) continue;
    Object.assign(found, taken);
    rest = `${rest.slice(0, match.index)} ${rest.slice(match.index + match[0].length)}`;
  }
  rest = rest
    .replace(/[\s,;:.()–-]+/g, ' ')
    .replace(/\b(?:for|of|on|side|sides|and)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return { dose: doseFrom(found, exercise.dose), rest };
}

function doseFrom(found: Found, usual: Dose): Dose | undefined {
  if (Object.keys(found).length === 0) return undefined;
  const counted = {
    ...(found.leftCount === undefined ? {} : { leftCount: found.leftCount }),
    ...(found.isAbout ? { about: true as const } : {}),
  };
  const first = found.first ? { first: found.first } : {};
  const shared = {
    sets: found.sets ?? 1,
    sides: found.sides ?? usual.sides,
    directions: found.directions ?? usual.directions,
  };
  if (found.on !== undefined) {
    const { on, off = 0, rounds = 1 } = found;
    return { kind: 'timed', onS: on, offS: off, rounds, ...shared };
  }
  if (found.breaths !== undefined) {
    return { kind: 'breaths', count: found.breaths, ...shared, ...counted, ...first };
  }
  if (found.seconds !== undefined) {
    if (found.isFree || (usual.kind === 'free' && !found.isHold)) {
      return { kind: 'free', durationS: found.seconds, ...shared };
    }
    // "20 s twice" is two holds; sets are for what is counted.
    const count = (found.count ?? 1) * (found.count === undefined ? shared.sets : 1);
    const sets = found.count === undefined ? 1 : shared.sets;
    return { kind: 'hold', holdS: found.seconds, count, ...shared, ...first, sets };
  }
  if (found.count === undefined) return { ...usual, ...shared };
  const { count } = found;
  if (found.isCounted) return { kind: 'repetitions', count, ...shared, ...counted, ...first };
  switch (usual.kind) {
    case 'hold':
      return count >= SECONDS_FROM
        ? { ...usual, ...shared, ...first, holdS: count }
        : { ...usual, ...shared, ...first, count };
    case 'breaths':
      return { kind: 'breaths', count, ...shared, ...counted, ...first };
    case 'free':
      return { kind: 'free', durationS: count, ...shared };
    default:
      return { kind: 'repetitions', count, ...shared, ...counted, ...first };
  }
}

/** A dose in words that `readDose` reads back as it was, for the same exercise. */
export function writeDose(dose: Dose, { dose: usual }: Pick<Exercise, 'dose'>): string {
  const sets = dose.sets > 1 ? `${dose.sets} × ` : '';
  const ways = dose.directions === 2 ? ' each way' : usual.directions === 2 ? ' one way' : '';
  const sides = dose.sides === 'none' && usual.sides !== 'none' ? ', together' : SIDES[dose.sides];
  const about = 'about' in dose && dose.about ? 'about ' : '';
  return `${sets}${about}${amountOf(dose, usual)}${ways}${sides}${describeMore(dose)}`;
}

function amountOf(dose: Dose, usual: Dose): string {
  switch (dose.kind) {
    case 'repetitions':
      return `${dose.count} times`;
    case 'breaths':
      return `${dose.count} ${dose.count === 1 ? 'breath' : 'breaths'}`;
    case 'hold':
      return `${dose.count} ${dose.count === 1 ? 'hold' : 'holds'} of ${dose.holdS} s`;
    case 'timed':
      return `${dose.rounds} ${dose.rounds === 1 ? 'round' : 'rounds'}, ${dose.onS} s on, ${dose.offS} s to change`;
    case 'free':
      return usual.kind === 'free' ? `${dose.durationS} s` : `free ${dose.durationS} s`;
  }
}

const SIDES: Record<Dose['sides'], string> = {
  none: '',
  each: ' each side',
  alternating: ' in turn',
  left: ', left only',
  right: ', right only',
};
