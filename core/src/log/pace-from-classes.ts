import type { ClassStyle } from '../plan/class-style.ts';
import type { Pace } from '../plan/timing/pace.ts';
import { learnPace, type LearnedPace } from './learn-pace.ts';
import type { LoggedParts } from './logged-parts.ts';

/** A taught class: how it was led, where that was said, and what took how long in it. */
export interface TaughtClass {
  style?: ClassStyle | undefined;
  parts: readonly LoggedParts[];
}

/** What taught classes say of a teacher: in all of them, and where a style of hers goes otherwise. */
export interface LearnedFromClasses {
  all: LearnedPace;
  /** Beside all: how words and work differ in classes that are led so. */
  byStyle: { style: ClassStyle; learned: LearnedPace }[];
}

/** A style says something of its own from so many classes, and where it differs by so much. */
const LEAST_CLASSES = 2;
const WORTH_SAYING = 0.05;

/** What is learned from taught classes; undefined before there is one to learn from. */
export function learnFromClasses(classes: readonly TaughtClass[]): LearnedFromClasses | undefined {
  const all = learnPace(classes.map(({ parts }) => parts));
  if (!all) return undefined;
  const styles = [...new Set(classes.flatMap(({ style }) => style ?? []))];
  // Where all are led alike, all of them is what there is to say.
  const isMany = new Set(classes.map(({ style }) => style)).size > 1;
  const byStyle = (isMany ? styles : []).flatMap((style) => {
    const own = classes.filter((each) => each.style === style).map(({ parts }) => parts);
    const learned = own.length < LEAST_CLASSES ? undefined : learnPace(own.map(besides(all)));
    return learned && isWorthSaying(learned) ? [{ style, learned }] : [];
  });
  return { all, byStyle };
}

/** The forecast by what all classes say, so that what a style adds is drawn towards nothing. */
const besides =
  ({ words, work }: LearnedPace) =>
  (parts: readonly LoggedParts[]): LoggedParts[] =>
    parts.map((part) => ({
      ...part,
      wordsS: part.wordsS * words.factor,
      workS: part.workS * work.factor,
    }));

const isWorthSaying = ({ words, work }: LearnedPace) =>
  [words, work].some(({ factor }) => Math.abs(Math.log(factor)) >= WORTH_SAYING);

/** What was learned, as a pace: words and set-up go together. */
export function paceOf({ all, byStyle }: LearnedFromClasses): Pace {
  return {
    teaching: 'steady',
    setUpFactor: within(all.words.factor),
    teachingFactor: within(all.words.factor),
    workFactor: within(all.work.factor),
    tempoFactors: Object.fromEntries(
      all.kinds.map(({ kind, learned }) => [kind, within(learned.factor)]),
    ),
    ...(byStyle.length > 0
      ? {
          byStyle: Object.fromEntries(
            byStyle.map(({ style, learned }) => [
              style,
              {
                wordsFactor: within(learned.words.factor),
                workFactor: within(learned.work.factor),
              },
            ]),
          ),
        }
      : {}),
    classes: all.classes,
  };
}

/** In hundredths, as far as a pace can go. */
function within(factor: number): number {
  return Math.min(3, Math.max(0.3, Math.round(factor * 100) / 100));
}
