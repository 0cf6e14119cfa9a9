import type { Position } from '../../movement/vocabulary.ts';
import { listWords, POSITION_WORDS } from '../../movement/words.ts';
import { gather, newBracket } from '../../plan/bracket-edits.ts';
import type { Plan } from '../../plan/plan.ts';
import { secondsOf } from '../../plan/timing/timeline.ts';
import { isWork } from '../draft-rows.ts';
import { addAfterIt, leaveOut, moveAfterEach, moveBeforeEach } from '../repairs.ts';
import { closing } from '../soft-close.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

const LYING: ReadonlySet<Position> = new Set(['supine', 'prone']);

/** What a change of position costs beyond its seconds: everyone gets up, looks round and settles again. */
const CHANGE_S = 10;
/** And more where it goes straight from lying to standing, or down. */
const STRAIGHT_S = 20;
/** For so many seconds of class, one exercise that is not on the back. */
const OFF_THE_BACK_S = 480;

export const fewMoves: Rule = {
  id: 'few-moves',
  name: 'Few changes of place',
  statement:
    'The class changes position seldom, turns over once for a series on the side, and gets up and down through the side or all fours, not straight.',
  kind: 'flow',
  why: 'Every change costs seconds and settles nobody; straight up from lying strains the back and lowers the blood pressure.',
  usually: 'should',
  order: [
    {
      cost: 'moves',
      neighbours(from, to, { plan }) {
        const [before, after] = [
          from.timed.endPosition ?? from.exercise.position,
          to.timed.position,
        ];
        if (before === after) return 0;
        const isStraight = plan.machine === 'mat' && goesStraight(before, after);
        return CHANGE_S + (isStraight ? STRAIGHT_S : 0);
      },
    },
  ],
  draft(rows) {
    rows.upTo(
      (choice) => isWork(choice) && choice.exercise.position !== 'supine',
      Math.floor(rows.targetS / OFF_THE_BACK_S),
    );
  },
  find: (context) => [...roundTrips(context), ...straightUp(context), ...turnedOver(context)],
};

/** One item in a position between two others that share theirs, while its own comes elsewhere too. */
function roundTrips(context: RuleContext): Problem[] {
  const { worked } = context;
  // In a soft close everybody moves slowly, wherever it goes.
  const close = new Set(closing(context).map(({ occurrenceId }) => occurrenceId));
  return worked.flatMap((middle, index): Problem[] => {
    const [before, after] = [worked[index - 1], worked[index + 1]];
    const { position, endPosition } = middle.timed;
    if (!before || !after || !position || position !== endPosition) return [];
    const around = before.timed.endPosition;
    if (around !== after.timed.position || around === position || !around) return [];
    // The stretch of what worked goes where it must, and a hover is the same shape risen.
    if (middle.exercise.family === 'release' || isRisen(around, position)) return [];
    const isClosing = close.has(middle.timed.occurrenceId) && isLate(context, middle);
    if (isClosing || areUpright(middle, around, position)) return [];
    const elsewhere = worked.filter((each) => each !== middle && each.timed.position === position);
    if (elsewhere.length === 0) return [];
    const costS = secondsOf(middle.timed, 'set-up') + secondsOf(after.timed, 'set-up');
    return [
      {
        key: middle.item.id,
        itemIds: [middle.item.id],
        sentence: `${middle.exercise.name} is ${POSITION_WORDS[position]} between two items ${POSITION_WORDS[around]}; there and back costs ${costS} s.`,
        candidates: () => [
          ...moveAfterEach(context, middle, elsewhere),
          ...moveBeforeEach(context, middle, elsewhere),
          leaveOut(middle),
        ],
      },
    ];
  });
}

/** The same shape risen or lowered is no change of place. */
/** A close is no more than this of a class. Common practice. */
const CLOSE = 0.25;

const isLate = ({ timeline }: RuleContext, { timed }: Worked) =>
  timed.startS >= (1 - CLOSE) * timeline.totalS;

/** On the machine sitting, kneeling and standing are a step from each other. */
function areUpright({ exercise }: Worked, one: Position, other: Position): boolean {
  return exercise.machine === 'reformer' && UPRIGHT.has(one) && UPRIGHT.has(other);
}

const UPRIGHT: ReadonlySet<Position> = new Set(['seated', 'kneeling', 'standing'] as const);

function isRisen(one: Position, other: Position): boolean {
  const pair = [one, other].sort().join(' ');
  return pair === 'side-lying side-support' || pair === 'plank quadruped';
}

/** Work on the side that turns over in each exercise: told from so many turns on. Common practice. */
const TURNS = 3;
const ON_A_SIDE: ReadonlySet<Position | undefined> = new Set(['side-lying', 'side-support']);

/** Neighbours on the side, each done on both sides by itself, turn the whole room over again and again. */
function turnedOver(context: RuleContext): Problem[] {
  const { worked, plan } = context;
  const runs: Worked[][] = [];
  for (const each of worked) {
    // By the clock the second side is the next interval.
    const turns =
      ON_A_SIDE.has(each.timed.position) &&
      each.dose.sides === 'each' &&
      each.dose.kind !== 'timed';
    const last = runs.at(-1)?.at(-1);
    if (!turns || each.item.bracket !== undefined) continue;
    const isNext = last?.at === each.at - 1 && last.timed.segmentId === each.timed.segmentId;
    if (isNext) runs.at(-1)?.push(each);
    else runs.push([each]);
  }
  return runs.flatMap((run): Problem[] => {
    const turns = 2 * run.length - 1;
    const [first] = run;
    if (run.length < 2 || turns < TURNS || !first) return [];
    const ids = run.map(({ item }) => item.id);
    const names = listWords(run.map(({ exercise }) => exercise.name));
    return [
      {
        key: `turns ${first.item.id}`,
        itemIds: ids,
        sentence: `${names} turn over ${turns} times; as one series, on one side and then the other, it is once.`,
        candidates: () => {
          const edit = gather(plan, ids, newBracket(plan, 'series'));
          return edit ? [{ label: 'Make one series of it', edit }] : [];
        },
      },
    ];
  });
}

function goesStraight(from: Position, to: Position | undefined): boolean {
  if (to === undefined) return false;
  return (LYING.has(from) && to === 'standing') || (from === 'standing' && LYING.has(to));
}

/** From what all do together to a group's own place, and back, everybody walks. */
function isWalk({ segments }: Plan, from: Worked, to: Worked): boolean {
  const stationOf = ({ timed }: Worked) =>
    segments.find(({ id }) => id === timed.segmentId)?.station;
  return stationOf(from) !== stationOf(to);
}

/** In a pause of this length everybody has come up, or down, by themselves. */
const PAUSE_S = 30;

function isPaused({ timeline }: RuleContext, { at }: Worked): boolean {
  const before = timeline.items[at - 1];
  return before?.kind === 'pause' && before.durationS >= PAUSE_S;
}

function straightUp(context: RuleContext): Problem[] {
  const { worked } = context;
  return worked.flatMap((next, index): Problem[] => {
    const before = worked[index - 1];
    const from = before?.timed.endPosition;
    const to = next.timed.position;
    if (!before || !from || !to) return [];
    if (!goesStraight(from, to) || context.plan.machine !== 'mat') return [];
    if (isWalk(context.plan, before, next) || isPaused(context, next)) return [];
    return [
      {
        key: `straight ${next.item.id}`,
        itemIds: [next.item.id],
        sentence: `From ${before.exercise.name} to ${next.exercise.name} people go from ${POSITION_WORDS[from]} straight to ${POSITION_WORDS[to]}.`,
        candidates: () => {
          const between = unusedOf(context)
            .filter(
              (exercise) =>
                exercise.position === 'quadruped' ||
                exercise.position === 'side-lying' ||
                (exercise.position === from && exercise.endPosition === 'seated'),
            )
            .sort((a, b) => a.needs.length - b.needs.length);
          const inClass = worked.filter(
            ({ timed }) => timed.position === 'quadruped' || timed.position === 'kneeling',
          );
          return [
            ...inClass.slice(0, 3).flatMap((each) => moveAfterEach(context, each, [before])),
            ...moveAfterEach(context, next, inClass.slice(0, 3)),
            ...addAfterIt(context, before, between.slice(0, 4)),
            leaveOut(next),
          ];
        },
      },
    ];
  });
}
