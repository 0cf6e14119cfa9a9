import { LEARNING, SPREAD, weightOf } from './pace.ts';
import type { LikelyRange, TimedItem, Varies } from './timeline.ts';

/** Standard normal quantile at 90 %: 80 % lies between minus and plus this. */
const Z_80 = 1.2816;

/** A class in which so much of the time is explanation that is stated in the plan is a lesson. */
const LESSON = { share: 0.2, wider: 2 } as const;

/**
 * The 80 % range of the total. How quick a teacher works, and how long words and set-up take, is shared by the whole
 * class; besides each item has its own: var = (t W)² + (t B)² + Σ (i work)² + Σ 6 b, with W the repetition work and B
 * the words and set-up, in seconds. What the clock decides hardly varies. Wider where the plan leaves the breath open,
 * and in a lesson, whose explanations run as they will; narrower the more
 * `classes` of this teacher were learned from.
 */
export function likelyRange(items: readonly TimedItem[], totalS: number, classes = 0): LikelyRange {
  const stated = secondsOf(items, 'work');
  const open = secondsOf(items, 'open work');
  const words = secondsOf(items, 'words');
  const clock = secondsOf(items, 'clock');
  const openShare = open / Math.max(1, stated + open);
  const teacher = teacherSpread(classes);
  const ofWork = teacher.work * stated + teacher.openWork * open;
  const wordsShare = teacher.words + (teacher.openWords - teacher.words) * openShare;
  const ofItems = items.reduce((sum, item) => sum + itemVariance(item), 0);
  const variance =
    ofWork ** 2 + (wordsShare * words) ** 2 + (SPREAD.clocked * clock) ** 2 + ofItems;
  const isLesson = explained(items) > LESSON.share * totalS;
  const standardDeviationS = Math.sqrt(variance) * (isLesson ? LESSON.wider : 1);
  const half = Z_80 * standardDeviationS;
  return {
    lowS: Math.max(0, Math.round(totalS - half)),
    highS: Math.round(totalS + half),
    standardDeviationS: Math.round(standardDeviationS),
    reason: reasonFor(openShare, isLesson),
  };
}

/** How far a teacher of so many logged classes still lies from what is forecast: `t √(1 − w)`. */
function teacherSpread(classes: number) {
  const left = (spread: number, of: { t: number; s: number }, least: number) =>
    Math.max(Math.min(least, spread), spread * Math.sqrt(1 - weightOf(classes, of)));
  const { work, words } = SPREAD;
  const { least } = LEARNING;
  return {
    work: left(work.teacher, LEARNING.work, least.work),
    openWork: left(work.unknownTeacher, LEARNING.openWork, least.work),
    words: left(words.teacher, LEARNING.words, least.words),
    openWords: left(words.unknownTeacher, LEARNING.words, least.words),
  };
}

function secondsOf(items: readonly TimedItem[], varies: Varies): number {
  return items.reduce((sum, item) => sum + partSeconds(item, varies), 0);
}

function partSeconds({ parts }: TimedItem, varies: Varies): number {
  return parts.reduce((sum, part) => sum + (part.varies === varies ? part.durationS : 0), 0);
}

function itemVariance(item: TimedItem): number {
  const { work, wordsItemS } = SPREAD;
  const deviation =
    work.item * partSeconds(item, 'work') + work.unknownItem * partSeconds(item, 'open work');
  return deviation ** 2 + wordsItemS * partSeconds(item, 'words');
}

/** Seconds of explanation that the plan states. */
function explained(items: readonly TimedItem[]): number {
  const stated = items.flatMap(({ parts }) =>
    parts.filter(({ kind, varies }) => kind === 'teaching' && varies === 'clock'),
  );
  return stated.reduce((sum, { durationS }) => sum + durationS, 0);
}

/** More open work than this is worth saying what would narrow the range. */
const MUCH_OPEN = 0.2;

function reasonFor(openShare: number, isLesson: boolean): string {
  const base =
    'Four classes in five should end in this range. Teachers differ in their words and changes, and every exercise ' +
    'runs a little long or short; what the clock decides hardly varies.';
  if (isLesson) return `${base} A lesson runs as its questions do, so its range is twice as wide.`;
  return openShare > MUCH_OPEN
    ? `${base} Say how the class is led, and the range is narrower: for much of it the plan does not tell whether it follows the breath.`
    : base;
}
