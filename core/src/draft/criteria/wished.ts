import { movesOf, type Exercise } from '../../movement/exercise.ts';
import { isWork } from '../../review/draft-rows.ts';
import { rungsTo } from '../rungs.ts';
import type { DraftWishes } from '../wishes.ts';
import { criterion, percent, type Criterion, type Drafted } from './drafted.ts';

/** What was wished is there: the climb with its rungs, the theme with its share, the clock. Common practice. */
export function wishCriteria(drafted: Drafted): Criterion[] {
  return [...climb(drafted), ...theme(drafted), ...byTheClock(drafted)];
}

const RUNGS = 3;
const CLOSE_BY = 4;

function climb({ wishes: { climbTo }, catalogue, done, timeline }: Drafted): Criterion[] {
  if (!climbTo) return [];
  const slugs = done.map(({ exercise }) => exercise ?? '');
  const goal = slugs.indexOf(climbTo);
  const { isRung } = rungsTo(climbTo, catalogue);
  const rungs = new Set(slugs.slice(0, Math.max(0, goal)).filter(isRung));
  const share = (done[goal]?.startS ?? 0) / Math.max(1, timeline.totalS);
  const near = slugs.slice(Math.max(0, goal - CLOSE_BY), Math.max(0, goal));
  return [
    criterion('rungs', rungs.size >= RUNGS, String(rungs.size)),
    criterion('top', share >= 0.5 && share <= 0.88, percent(share)),
    criterion(
      'a rung close by',
      near.some((slug) => rungs.has(slug)),
      near.join(' '),
    ),
  ];
}

/** What the class is about, as an exercise serves it. */
export function servesTheme(
  exercise: Exercise,
  { bodyParts, foundations, directions }: DraftWishes,
) {
  return (
    bodyParts.some((part) => exercise.bodyParts.includes(part)) ||
    foundations.some((id) => exercise.teaches.some(({ foundation }) => foundation === id)) ||
    directions.some((id) => movesOf(exercise).some((move) => move === id.split('-')[0]))
  );
}

function theme({ wishes, catalogue, done, timeline }: Drafted): Criterion[] {
  if (wishes.bodyParts.length + wishes.foundations.length === 0) return [];
  const seconds = done
    .filter(({ exercise }) => servesTheme(catalogue.require(exercise ?? ''), wishes))
    .reduce((sum, { durationS }) => sum + durationS, 0);
  const share = seconds / Math.max(1, timeline.totalS);
  return [criterion('theme', share >= 0.2 && share <= 0.7, percent(share))];
}

function byTheClock({ type, done, catalogue }: Drafted): Criterion[] {
  if (type !== 'timed') return [];
  const work = done.filter(({ exercise }) =>
    isWork({ exercise: catalogue.require(exercise ?? '') }),
  );
  const clocked = work.filter(({ parts }) =>
    parts.some(({ kind, varies }) => kind === 'work' && varies === 'clock'),
  );
  return [
    criterion(
      'by the clock',
      clocked.length >= 0.75 * work.length,
      `${clocked.length} of ${work.length}`,
    ),
    criterion(
      'a plank',
      done.some(({ position }) => position === 'plank'),
      '',
    ),
  ];
}
