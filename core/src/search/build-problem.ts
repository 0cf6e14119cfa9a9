import type { Catalogue } from '../movement/catalogue.ts';
import { teachesAwareness, type Exercise } from '../movement/exercise.ts';
import { FOUNDATIONS, POSITIONS, PROPS, type Position } from '../movement/vocabulary.ts';
import type { Plan } from '../plan/plan.ts';
import { standingOf, type CostId, type RuleId } from '../plan/school.ts';
import { secondsOf, type Timeline } from '../plan/timing/timeline.ts';
import type { Group } from '../review/group.ts';
import { backMoved } from '../review/precedence.ts';
import { ruleContext } from '../review/review.ts';
import type { RuleContext, Worked } from '../review/rule.ts';
import { taughtDepthFor } from '../review/rules/need-before-use.ts';
import { GENTLE } from '../review/rules/peak-late.ts';
import { warmsBelly } from '../review/rules/still-before-bend.ts';
import { swellBand } from '../review/swell.ts';
import { splitWishes, wishesOf } from './constraints.ts';
import { layOutUnits, type OrderLocks } from './lay-out-units.ts';
import type { GearSeconds } from '../plan/timing/gear-seconds.ts';
import { pairTables } from './pair-tables.ts';
import { PRICE, priceFor } from './prices.ts';
import type { OrderProblem, PlacedItem } from './problem.ts';

export interface OrderContext {
  catalogue: Catalogue;
  timeline: Timeline;
  group: Group;
  /** Exercises that the group knows; left out when nothing is known of it. */
  familiar?: ReadonlySet<string>;
  /** What each change of a machine takes here; common practice when left out. */
  gearSeconds?: GearSeconds;
}

/** The plan as numbers. The search knows nothing else. */
export function buildProblem(plan: Plan, context: OrderContext, locks: OrderLocks): OrderProblem {
  const rules = ruleContext({ plan, ...context, retime: () => context.timeline });
  const { worked, school } = rules;
  const items = worked.map((each) => placedItem(each, rules));
  const layout = layOutUnits(plan, rules, locks);
  const wishes = wishesOf(worked, school);
  const { before, soft } = splitWishes(wishes, layout, school, locks.rulesBind ?? true);
  const tables = pairTables(worked, rules, context);
  const hardest = Math.max(0, ...items.map(({ effort }) => effort));
  const weight = (id: CostId) => school.weights[id];
  const priceOf = (rule: RuleId) => priceFor(school, rule);
  const ownS = items.reduce((sum, item) => sum + item.ownS, 0);
  const pauseS = layout.pauses.reduce(
    (sum, pauses) => sum + [...pauses.values()].reduce((a, b) => a + b, 0),
    0,
  );
  const isGentle = hardest <= GENTLE || standingOf(school, 'peak-late') === 'off';
  return {
    items,
    ...layout,
    before,
    ...tables,
    soft,
    place: {
      effort: PRICE.effortStep * weight('effort'),
      peak: PRICE.peakTenth * weight('effort'),
      load: priceOf('unloaded-before-loaded') * weight('load'),
      needs: priceOf('need-before-use') * weight('needs'),
      warm: priceOf('still-before-bend') * weight('sequence'),
      lowFirst: priceOf('low-then-high') * weight('sequence'),
      awareness: priceOf('breath-first') * weight('sequence'),
      propsAgain: PRICE.propAgain * weight('props-again'),
    },
    band: swellBand(school),
    hardest,
    hardestCount: isGentle ? 0 : items.filter(({ effort }) => effort === hardest).length,
    hasLowMover: worked.some((each) => backMoved(each) === 'low'),
    totalS: Math.max(1, ownS + pauseS),
  };
}

const positionBit = (position: Position | undefined) =>
  position ? 1 << POSITIONS.indexOf(position) : 0;

function placedItem(worked: Worked, { group }: RuleContext): PlacedItem {
  const { exercise, timed } = worked;
  const moved = backMoved(worked);
  return {
    itemId: worked.item.id,
    name: exercise.name,
    ownS: Math.max(1, timed.durationS - secondsOf(timed, 'set-up')),
    // Letting go is no effort, however the body model weighs the stretch.
    effort: exercise.family === 'release' ? Math.min(1, timed.effort) : timed.effort,
    spineLoad: timed.spineLoad,
    startBit: positionBit(timed.position),
    positionBits: positionBit(timed.position) | positionBit(timed.endPosition),
    taughtBits: taughtBits(exercise),
    needs: exercise.needs
      .filter(({ foundation, depth }) => depth > 0 && !group.holds(foundation, depth))
      .map(({ foundation, depth }) => depthBit(foundation, taughtDepthFor(depth))),
    propBits: worked.option.props
      .filter(({ optional }) => !optional)
      .reduce((bits, { prop }) => bits | (1 << PROPS.indexOf(prop)), 0),
    isAwareness: teachesAwareness(exercise),
    warmsBelly: warmsBelly(exercise, timed.moves),
    bendsLoaded: timed.moves.includes('round') && timed.spineLoad >= 1,
    moved,
  };
}

function depthBit(foundation: (typeof FOUNDATIONS)[number], depth: number): number {
  return 1 << (FOUNDATIONS.indexOf(foundation) * 2 + Math.min(2, depth) - 1);
}

function taughtBits({ teaches }: Exercise): number {
  return teaches.reduce((bits, { foundation, depth }) => {
    let taught = bits;
    if (depth >= 1) taught |= depthBit(foundation, 1);
    if (depth >= 2) taught |= depthBit(foundation, 2);
    return taught;
  }, 0);
}
