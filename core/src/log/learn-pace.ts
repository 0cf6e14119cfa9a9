import type { Tempo } from '../movement/vocabulary.ts';
import { LEARNING, SPREAD, weightOf } from '../plan/timing/pace.ts';
import type { LoggedParts } from './logged-parts.ts';

/** One factor that was learned, and how far it is believed. */
export interface Learned {
  /** What the common figure is multiplied with. */
  factor: number;
  /** The factor of the classes by themselves, before it is drawn towards the common figure. */
  seen: number;
  /** 0 nothing is believed, 1 all of it. */
  weight: number;
  /** Classes, or items where it is of one kind. */
  count: number;
}

export interface LearnedPace {
  /** Classes that it was learned from. */
  classes: number;
  /** Words and set-up, and the pace of the work: learned together, for who explains more moves on quicker. */
  words: Learned;
  work: Learned;
  /** Kinds that are done otherwise than the rest, in their own items. */
  kinds: { kind: Tempo; learned: Learned }[];
  /** What took so long or so short that something else must have happened, and was left out. */
  leftOut: LoggedParts[];
}

/** An item that took more than so many times its forecast, or less than one part in so many, is left out. */
const STRANGE = 3;
/** A class says something from so many items. */
const LEAST_ITEMS = 5;
/** A kind says something from so many items, and when it differs by so much. */
const LEAST_OF_KIND = 4;
const WORTH_SAYING = 0.08;

/**
 * A teacher's pace from taught classes, each a list of logged items; undefined before there is one. Each class gives
 * two logarithms, of words and of work, by least squares over its items, and how sure they are; their mean is drawn
 * towards 0 as far as classes are believed (`weightOf`).
 */
export function learnPace(classes: readonly (readonly LoggedParts[])[]): LearnedPace | undefined {
  const usable = classes
    .map((items) => items.filter((item) => !isStrange(item)))
    .filter((items) => items.length >= LEAST_ITEMS);
  if (usable.length === 0) return undefined;
  const each = usable.map(fitClassPace);
  const items = usable.flat();
  const isOpen = items.filter((item) => item.isOpen).length * 2 > items.length;
  const words = shrink(
    each.map(({ words: log }) => log),
    LEARNING.words,
  );
  const work = shrink(
    each.map(({ work: log }) => log),
    isOpen ? LEARNING.openWork : LEARNING.work,
  );
  return {
    classes: each.length,
    words,
    work,
    kinds: learnKinds(items, words.factor, work.factor),
    leftOut: classes.flat().filter(isStrange),
  };
}

const forecastOf = ({ wordsS, workS, clockS }: LoggedParts) => wordsS + workS + clockS;

function isStrange(item: LoggedParts): boolean {
  const ratio = item.taughtS / Math.max(1, forecastOf(item));
  return ratio > STRANGE || ratio < 1 / STRANGE;
}

/** A logarithm that was seen, and its standard error. */
interface Seen {
  log: number;
  error: number;
}

/**
 * Draws the mean of some logarithms towards nothing changed. What is seen less surely counts less, in the mean and in
 * what is believed.
 */
function shrink(seen: readonly Seen[], { t, s }: { t: number; s: number }): Learned {
  const certainty = seen.map(({ error }) => 1 / (s * s + error * error));
  const sum = certainty.reduce((total, each) => total + each, 0);
  const mean =
    seen.reduce((total, { log }, index) => total + log * (certainty[index] ?? 0), 0) / sum;
  // As many classes as these would be if each were seen surely.
  const weight = weightOf(sum * s * s, { t, s });
  return { factor: Math.exp(weight * mean), seen: Math.exp(mean), weight, count: seen.length };
}

const TURNS = 12;
/** Nearly no opinion: keeps a class whose words and work go hand in hand from running off. */
const LOOSE = 3;

/**
 * The two factors of one class, as logarithms: `taught = e^a words + e^b work + clock`, by weighted least squares with
 * Newton's steps (Gauss and Newton), each item weighing as its own spread has it.
 */
function fitClassPace(items: readonly LoggedParts[]): { words: Seen; work: Seen } {
  let [words, work] = [0, 0];
  let [wordsError, workError] = [0, 0];
  for (let turn = 0; turn < TURNS; turn += 1) {
    let [aa, ab, bb] = [1 / LOOSE ** 2, 0, 1 / LOOSE ** 2];
    let [ga, gb] = [-words / LOOSE ** 2, -work / LOOSE ** 2];
    for (const item of items) {
      const [da, db] = [Math.exp(words) * item.wordsS, Math.exp(work) * item.workS];
      const missS = item.taughtS - da - db - item.clockS;
      const weight = 1 / varianceOf(item);
      aa += weight * da * da;
      ab += weight * da * db;
      bb += weight * db * db;
      ga += weight * da * missS;
      gb += weight * db * missS;
    }
    const determinant = aa * bb - ab * ab;
    words += clampStep((ga * bb - gb * ab) / determinant);
    work += clampStep((gb * aa - ga * ab) / determinant);
    [wordsError, workError] = [Math.sqrt(bb / determinant), Math.sqrt(aa / determinant)];
  }
  return { words: { log: words, error: wordsError }, work: { log: work, error: workError } };
}

const clampStep = (step: number) => Math.max(-0.5, Math.min(0.5, step));

/** Seconds squared: what one item varies by itself. */
function varianceOf({ workS, wordsS, clockS, isOpen }: LoggedParts): number {
  const { work, wordsItemS, clocked } = SPREAD;
  const share = isOpen ? work.unknownItem : work.item;
  return (share * workS) ** 2 + wordsItemS * wordsS + (clocked * clockS) ** 2 + 1;
}

/** What is left of each kind when the two factors are known, where there is much of it. */
function learnKinds(
  items: readonly LoggedParts[],
  wordsFactor: number,
  workFactor: number,
): LearnedPace['kinds'] {
  const logs = new Map<Tempo, Seen[]>();
  for (const item of items) {
    const { kind, taughtS, wordsS, workS, clockS } = item;
    const workedS = taughtS - wordsFactor * wordsS - clockS;
    if (!kind || workS === 0 || workedS <= 0) continue;
    const log = Math.log(workedS / (workFactor * workS));
    const within = Math.max(-Math.log(STRANGE), Math.min(Math.log(STRANGE), log));
    logs.set(kind, [...(logs.get(kind) ?? []), { log: within, error: 0 }]);
  }
  return [...logs].flatMap(([kind, of]) => {
    if (of.length < LEAST_OF_KIND) return [];
    const learned = shrink(of, LEARNING.kind);
    return Math.abs(Math.log(learned.factor)) < WORTH_SAYING ? [] : [{ kind, learned }];
  });
}
