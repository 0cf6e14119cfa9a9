import { applyEdit } from '../plan/apply-edit.ts';
import type { Edit } from '../plan/edits.ts';
import type { Plan } from '../plan/plan.ts';
import type { Timeline } from '../plan/timing/timeline.ts';
import type { RuleContext } from '../review/rule.ts';
import { bestSet, type MissPrice } from './best-set.ts';
import { FIT_COST, fitEdits, type FitEdit } from './fit-edits.ts';

/** What is needed of the class besides its plan. */
export interface FitInput {
  rules: RuleContext;
  retime: (plan: Plan) => Timeline;
  /** What the review finds in a plan, but for its length: those that must not be, and how many in all. */
  look: (plan: Plan) => { binding: ReadonlySet<string>; count: number };
  /** In a class that is being taught: the items that are still to come, which alone can change. */
  open?: ReadonlySet<string>;
}

/** An edit with what it does to the length: seconds more, or less where negative. */
export interface TimedFitEdit extends FitEdit {
  seconds: number;
}

export interface Fit {
  targetS: number;
  fromS: number;
  /** The length with all that is taken together: laid out anew, not added up. */
  toS: number;
  /** Taken together, what costs least first. */
  together: TimedFitEdit[];
  /** One by one, the most seconds for what it costs first. */
  ranked: TimedFitEdit[];
}

/** A few seconds are nobody's business; being late costs more than being early. Common practice. */
const PRICE: MissPrice = { freeS: 15, tooLittle: 0.15, tooMuch: 0.08 };
const RANKED = 12;
/** How often a set that breaks a rule is looked for again. */
const TRIES = 8;

/**
 * What brings a class to a length: single changes, and the set of them that costs least. None breaks a rule that must
 * hold and holds now. The set is the best by the seconds of each alone; what they come to together is laid out anew.
 */
export function fitToTime(plan: Plan, targetS: number, input: FitInput): Fit {
  const fromS = input.retime(plan).totalS;
  const none: Fit = { targetS, fromS, toS: fromS, together: [], ranked: [] };
  if (Math.abs(fromS - targetS) <= PRICE.freeS || input.rules.worked.length === 0) return none;
  const way = fromS > targetS ? 'shorter' : 'longer';
  const before = input.look(plan);
  const isOpen = ({ itemId }: FitEdit) =>
    input.open === undefined || (itemId !== undefined && input.open.has(itemId));
  const edits = fitEdits(input.rules, way)
    .filter(isOpen)
    .flatMap((edit) => timed(plan, edit, way, fromS, before, input));
  const wantedS = Math.abs(fromS - targetS);
  const isAllowed = (set: readonly FitEdit[]) => {
    const result = applyEdit(plan, inOneGo(set));
    if (!result.ok || !keepsOneOfEach(set)) return false;
    return !isBroken(before.binding, input.look(result.plan).binding);
  };
  const together = allowedSet(edits, wantedS, isAllowed);
  const result = together.length === 0 ? undefined : applyEdit(plan, inOneGo(together));
  return {
    ...none,
    toS: result?.ok ? input.retime(result.plan).totalS : fromS,
    together: together.toSorted((one, other) => one.cost - other.cost),
    ranked: rank(edits, wantedS, (edit) => edit.changesContent || isAllowed([edit])),
  };
}

/** One edit that makes several; what is added goes in from behind, so that no place moves. */
export function inOneGo(edits: readonly Pick<FitEdit, 'edit'>[]): Edit {
  const placeOf = (edit: Edit) => (edit.type === 'addItem' ? edit.index : -1);
  return {
    type: 'together',
    edits: edits
      .map(({ edit }) => edit)
      .flatMap((edit) => (edit.type === 'together' ? edit.edits : [edit]))
      .toSorted((one, other) => placeOf(other) - placeOf(one)),
  };
}

type Look = ReturnType<FitInput['look']>;

/** With its seconds; nothing where it goes the wrong way or breaks a rule by itself. */
function timed(
  plan: Plan,
  edit: FitEdit,
  way: 'shorter' | 'longer',
  fromS: number,
  before: Look,
  { retime, look }: FitInput,
): (TimedFitEdit & { gainS: number })[] {
  const result = applyEdit(plan, edit.edit);
  if (!result.ok) return [];
  const seconds = retime(result.plan).totalS - fromS;
  const gainS = way === 'shorter' ? -seconds : seconds;
  if (gainS <= 0) return [];
  if (!edit.changesContent) return [{ ...edit, seconds, gainS }];
  const after = look(result.plan);
  if (isBroken(before.binding, after.binding)) return [];
  const moreFindings = Math.max(0, after.count - before.count);
  return [{ ...edit, seconds, gainS, cost: edit.cost + FIT_COST.finding * moreFindings }];
}

function isBroken(before: ReadonlySet<string>, after: ReadonlySet<string>): boolean {
  return [...after].some((finding) => !before.has(finding));
}

/**
 * The best set that breaks nothing together. Of one that does, what breaks something by itself is left out, else what
 * costs most, and the best of the rest is looked for.
 */
function allowedSet<T extends TimedFitEdit & { gainS: number }>(
  edits: readonly T[],
  wantedS: number,
  isAllowed: (edits: readonly FitEdit[]) => boolean,
): T[] {
  let left = [...edits];
  for (let turn = 0; turn < TRIES; turn += 1) {
    const set = bestSet(left, wantedS, PRICE);
    if (isAllowed(set)) return set;
    const alone = set.filter((edit) => !isAllowed([edit]));
    const dearest = set.toSorted((one, other) => other.cost - one.cost).slice(0, 1);
    const out = new Set(alone.length > 0 ? alone : dearest);
    left = left.filter((edit) => !out.has(edit));
  }
  return [];
}

/** Of what is left out, something like it stays. */
function keepsOneOfEach(edits: readonly FitEdit[]): boolean {
  const gone = new Set(
    edits.flatMap(({ edit }) => (edit.type === 'removeItem' ? [edit.itemId] : [])),
  );
  return edits.every(({ needsOneOf }) => needsOneOf?.some((id) => !gone.has(id)) ?? true);
}

/** The best of each thing that can be done, the most seconds for what it costs first. */
function rank(
  edits: readonly (TimedFitEdit & { gainS: number })[],
  wantedS: number,
  isAllowed: (edit: FitEdit) => boolean,
): TimedFitEdit[] {
  const worth = ({ gainS, cost }: { gainS: number; cost: number }) =>
    Math.min(gainS, wantedS) / cost;
  const first = new Map<string, TimedFitEdit>();
  for (const { gainS: _, ...edit } of edits.toSorted((one, other) => worth(other) - worth(one))) {
    if (first.size === RANKED) break;
    if (!first.has(edit.about) && isAllowed(edit)) first.set(edit.about, edit);
  }
  return [...first.values()];
}
