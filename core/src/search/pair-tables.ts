import { POSITIONS, type Machine, type Position } from '../movement/vocabulary.ts';
import { standingOf, type CostId, type RuleId } from '../plan/school.ts';
import { setUpBetween, type Stance } from '../plan/timing/set-up.ts';
import type { RuleContext, Worked } from '../review/rule.ts';
import { liftsPelvis, supportsHead } from '../review/rules/head-support-out.ts';
import { springsChanged } from '../movement/gear.ts';
import { primeMover } from '../review/rules/no-pile-up.ts';
import { STEP } from '../review/rules/peak-late.ts';
import { onHands } from '../review/rules/wrist-rest.ts';
import { PRICE, priceFor } from './prices.ts';
import type { TimingContext } from '../plan/timing/time-plan.ts';
import type { OrderProblem } from './problem.ts';

/** From this effort, or for this long, a bend wants its answer. */
const STRONG = 3;

const SUSTAINED_S = 180;

type Tables = Pick<OrderProblem, 'setUpMet' | 'setUpNew' | 'setUpFirst' | 'near' | 'nearSum'>;

/** What it costs to go from each item to each other one, with nothing else known. */
export function pairTables(
  worked: readonly Worked[],
  { school, plan }: RuleContext,
  { familiar, gearSeconds }: Pick<TimingContext, 'familiar' | 'gearSeconds'>,
): Tables {
  const count = worked.length;
  const table = () => new Float64Array(count * count);
  const weight = (id: CostId) => school.weights[id];
  const tables: Tables = {
    setUpMet: table(),
    setUpNew: table(),
    setUpFirst: Float64Array.from(
      worked,
      (each) =>
        setUpBetween(undefined, startOf(each), new Set(), each.exercise.arrangeS, gearSeconds)
          .seconds * weight('set-up'),
    ),
    near: {
      moves: table(),
      jump: table(),
      counter: table(),
      'pile-up': table(),
      wrists: table(),
      new: table(),
      sequence: table(),
    },
    nearSum: table(),
  };
  const isOff = (rule: RuleId) => standingOf(school, rule) === 'off';
  const isNew = ({ exercise }: Worked) => familiar !== undefined && !familiar.has(exercise.slug);
  worked.forEach((from, row) =>
    worked.forEach((to, column) => {
      if (row === column) return;
      const cell = row * count + column;
      const stance = {
        ...startOf(from),
        position: from.timed.endPosition ?? from.exercise.position,
      };
      const seconds = (met: ReadonlySet<Position>) =>
        setUpBetween(stance, startOf(to), met, to.exercise.arrangeS, gearSeconds).seconds *
        weight('set-up');
      tables.setUpMet[cell] = seconds(EVERYWHERE);
      tables.setUpNew[cell] = seconds(NOWHERE);
      const near: Partial<Record<CostId, number>> = {
        moves:
          (isOff('few-moves') ? 0 : moveS(stance.position, to.timed.position, plan.machine)) +
          (isOff('machine-blocks') ? 0 : springsS(from, to)),
        jump: Math.max(0, to.timed.effort - from.timed.effort - STEP) * PRICE.jumpStep,
        counter: isOff('counter') ? 0 : unanswered(from, to) * PRICE.counter,
        'pile-up':
          !isOff('no-pile-up') && primeMover(from) && primeMover(from) === primeMover(to)
            ? PRICE.pileUp
            : 0,
        wrists:
          !isOff('wrist-rest') && onHands(from) && onHands(to)
            ? ((from.timed.durationS + to.timed.durationS) / 60) * PRICE.wristsPerMinute
            : 0,
        new: isNew(from) && isNew(to) ? PRICE.twoNew : 0,
        sequence:
          !isOff('head-support-out') && supportsHead(from) && liftsPelvis(to)
            ? priceFor(school, 'head-support-out')
            : 0,
      };
      for (const [id, cost] of Object.entries(near) as [CostId, number][]) {
        const weighed = cost * weight(id);
        const own = tables.near[id];
        if (own) own[cell] = weighed;
        tables.nearSum[cell] = (tables.nearSum[cell] ?? 0) + weighed;
      }
    }),
  );
  return tables;
}

const EVERYWHERE: ReadonlySet<Position> = new Set(POSITIONS);

const NOWHERE: ReadonlySet<Position> = new Set();

function startOf({ exercise, option, timed, gear }: Worked): Stance {
  return {
    exercise: exercise.slug,
    position: timed.position ?? exercise.position,
    props: option.props.filter(({ optional }) => !optional),
    gear,
  };
}

/** Each spring past the first is one more walk round the machine. */
function springsS(from: Worked, to: Worked): number {
  const changed = springsChanged(from.gear, to.gear);
  return Math.max(0, changed - 1) * PRICE.spring;
}

/** What a change of position costs beyond its seconds; from lying straight to standing, more. */
function moveS(from: Position, to: Position | undefined, machine: Machine): number {
  if (from === to) return 0;
  const isLying = (position: Position | undefined) => position === 'supine' || position === 'prone';
  const isStraight =
    machine === 'mat' &&
    ((isLying(from) && to === 'standing') || (from === 'standing' && isLying(to)));
  return PRICE.changeOfPosition + (isStraight ? PRICE.straightUp : 0);
}

/** 1 where a long or hard bend is not followed by what goes the other way. */
function unanswered(from: Worked, to: Worked): number {
  const bends = (['round', 'arch'] as const).filter((bend) => from.timed.moves.includes(bend));
  const [bend] = bends;
  if (!bend || bends.length > 1) return 0;
  if (from.timed.effort < STRONG && from.timed.durationS <= SUSTAINED_S) return 0;
  const answer = bend === 'round' ? 'arch' : 'round';
  const isAnswered =
    to.timed.moves.includes(answer) || from.exercise.counters.includes(to.exercise.slug);
  return isAnswered ? 0 : 1;
}
