import { standingOf, type SchoolRules, type Standing } from '../plan/school.ts';
import type { Rule } from './rule.ts';
import { asPublished } from './rules/as-published.ts';
import { bodyParts } from './rules/body-parts.ts';
import { bothThenOne } from './rules/both-then-one.ts';
import { breathFirst } from './rules/breath-first.ts';
import { byTheClock } from './rules/by-the-clock.ts';
import { classicOrder } from './rules/classic-order.ts';
import { closeSoft } from './rules/close-soft.ts';
import { counter } from './rules/counter.ts';
import { faceTheRoom } from './rules/face-the-room.ts';
import { feetFirst } from './rules/feet-first.ts';
import { fewAndAgain } from './rules/few-and-again.ts';
import { fewMoves } from './rules/few-moves.ts';
import { goesBefore } from './rules/goes-before.ts';
import { headSupportOut } from './rules/head-support-out.ts';
import { layers } from './rules/layers.ts';
import { levels } from './rules/levels.ts';
import { lowThenHigh } from './rules/low-then-high.ts';
import { machineBlocks } from './rules/machine-blocks.ts';
import { needBeforeUse } from './rules/need-before-use.ts';
import { noPileUp } from './rules/no-pile-up.ts';
import { oddDose } from './rules/odd-dose.ts';
import { oneNewThing } from './rules/one-new-thing.ts';
import { padding } from './rules/padding.ts';
import { partsThenWhole } from './rules/parts-then-whole.ts';
import { peakLate } from './rules/peak-late.ts';
import { pelvisSequence } from './rules/pelvis-sequence.ts';
import { propBlocks } from './rules/prop-blocks.ts';
import { rehearseThenProp } from './rules/rehearse-then-prop.ts';
import { shortBeforeLong } from './rules/short-before-long.ts';
import { sidesTogether } from './rules/sides-together.ts';
import { sixDirections } from './rules/six-directions.ts';
import { stillBeforeBend } from './rules/still-before-bend.ts';
import { unloadedBeforeLoaded } from './rules/unloaded-before-loaded.ts';
import { water } from './rules/water.ts';
import { wristRest } from './rules/wrist-rest.ts';

/** In the order in which findings are told: what begins the class first, what ends it last. */
export const RULES: readonly Rule[] = [
  breathFirst,
  feetFirst,
  needBeforeUse,
  stillBeforeBend,
  unloadedBeforeLoaded,
  pelvisSequence,
  lowThenHigh,
  shortBeforeLong,
  bothThenOne,
  partsThenWhole,
  rehearseThenProp,
  classicOrder,
  asPublished,
  oneNewThing,
  sidesTogether,
  counter,
  layers,
  peakLate,
  sixDirections,
  bodyParts,
  closeSoft,
  headSupportOut,
  wristRest,
  noPileUp,
  water,
  fewMoves,
  propBlocks,
  levels,
  machineBlocks,
  faceTheRoom,
  byTheClock,
  fewAndAgain,
  padding,
  oddDose,
  goesBefore,
];

/** A rule that a school looks at, and how strictly. */
export interface RuleInForce {
  rule: Rule;
  standing: Exclude<Standing, 'off'>;
}

/** The rules that are not off, in the order in which findings are told. */
export function rulesInForce(rules: readonly Rule[], school: SchoolRules): RuleInForce[] {
  return rules.flatMap((rule) => {
    const standing = standingOf(school, rule);
    return standing === 'off' ? [] : [{ rule, standing }];
  });
}
