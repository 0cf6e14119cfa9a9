import type { SpineMove } from '../../movement/vocabulary.ts';
import { MOVE_WORDS } from '../../movement/words.ts';
import { secondsOf } from '../../plan/timing/timeline.ts';
import { showClock } from '../../plan/show-time.ts';
import { addAfterIt, leaveOut, moveAfterEach } from '../repairs.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

/** Rounding or arching for longer than this, or this hard, wants its answer. */
const SUSTAINED_S = 180;
const STRONG = 3;
/** Within how many items the answer comes. */
const WITHIN = 2;
/** One side at work for longer than this wants its stretch before the sides change. */
const ONE_SIDED_S = 240;

/** The rule allows two items; the search prefers one. */
const UNANSWERED_S = 12;

type Bend = 'round' | 'arch';
const ANSWER: Record<Bend, Bend> = { round: 'arch', arch: 'round' };

export const counter: Rule = {
  id: 'counter',
  name: 'An answer to each bend',
  statement:
    'Three minutes of rounding under load, or of back lifts, are answered by something soft or opposite within two items; one-sided work by its stretch before the sides change.',
  kind: 'order',
  why: 'Discs and muscles held one way for minutes stiffen there; the answer gives the length back.',
  usually: 'should',
  order: [
    {
      cost: 'counter',
      neighbours: (from, to) => (wantsAnswer(from) && !answersBend(from, to) ? UNANSWERED_S : 0),
    },
  ],
  find: (context) => [...unansweredBends(context), ...unstretchedSides(context)],
};

/** A bend that is long or hard by itself. */
function wantsAnswer(worked: Worked): boolean {
  const { effort, durationS } = worked.timed;
  return bendOf(worked) !== undefined && (effort >= STRONG || durationS > SUSTAINED_S);
}

function answersBend(from: Worked, to: Worked): boolean {
  const bend = bendOf(from);
  return bend !== undefined && answers(to, [from], bend);
}

/** The way it goes, where it goes one way only. */
function bendOf(worked: Worked): Bend | undefined {
  return (['round', 'arch'] as const).find((bend) => bendsOnly(worked, bend));
}

/** Goes one way and not the other. */
function bendsOnly({ timed }: Worked, bend: Bend): boolean {
  return timed.moves.includes(bend) && !timed.moves.includes(ANSWER[bend]);
}

function answers(worked: Worked, block: readonly Worked[], bend: Bend): boolean {
  return (
    worked.timed.moves.includes(ANSWER[bend]) ||
    block.some(({ exercise }) => exercise.counters.includes(worked.exercise.slug))
  );
}

/** A bridge is a beam and a roll down hangs: neither keeps a back bent under load. Common practice. */
function holdsBend({ exercise, timed }: Worked): boolean {
  if (exercise.family === 'release' || exercise.family === 'awareness') return false;
  return timed.moves.includes('arch') ? timed.position === 'prone' : !isBridge(exercise);
}

const isBridge = ({ movers, position }: Worked['exercise']) =>
  position === 'supine' && ['seat', 'hamstrings', 'back of the thigh'].includes(movers[0] ?? '');

/** A rest shape, knees to the chest, sitting tall: soft, whichever way it goes. */
function letsGo({ exercise, timed }: Worked): boolean {
  if (exercise.family === 'release') return true;
  return timed.effort <= 1.5 && timed.moves.every((move) => move === 'still');
}

function unansweredBends(context: RuleContext): Problem[] {
  const { worked } = context;
  return (['round', 'arch'] as const).flatMap((bend) => {
    const problems: Problem[] = [];
    for (let index = 0; index < worked.length; index += 1) {
      const block: Worked[] = [];
      for (let at = index; at < worked.length; at += 1) {
        const next = worked[at];
        if (!next || !bendsOnly(next, bend) || !holdsBend(next)) break;
        block.push(next);
      }
      if (block.length === 0) continue;
      index += block.length - 1;
      const seconds = block.reduce((sum, { timed }) => sum + secondsOf(timed, 'work'), 0);
      const endsOnLift = bend === 'arch' && index === worked.length - 1;
      if (seconds <= SUSTAINED_S && !endsOnLift) continue;
      const after = worked.slice(index + 1, index + 1 + WITHIN);
      if (after.some((each) => answers(each, block, bend) || letsGo(each))) continue;
      problems.push(unanswered(context, block, bend, seconds));
    }
    return problems;
  });
}

function unanswered(
  context: RuleContext,
  block: readonly Worked[],
  bend: Bend,
  seconds: number,
): Problem {
  const last = block.at(-1) as Worked;
  const names =
    block.length > 1 ? `${block.length} items up to ${last.exercise.name}` : last.exercise.name;
  return {
    key: `${bend} ${last.item.id}`,
    itemIds: block.map(({ item }) => item.id),
    sentence: `${names} ${block.length > 1 ? 'go' : 'goes'} on ${MOVE_WORDS[bend]} for ${showClock(seconds)}, and nothing within two items goes the other way.`,
    candidates: () => {
      const later = context.worked.filter(
        (each) => each.at > last.at && answers(each, block, bend),
      );
      const wanted = new Set(block.flatMap(({ exercise }) => exercise.counters));
      const added = unusedOf(context)
        .filter(({ slug, moves }) => wanted.has(slug) || opens(moves, bend))
        .sort(
          (a, b) =>
            Number(wanted.has(b.slug)) - Number(wanted.has(a.slug)) || a.spineLoad - b.spineLoad,
        );
      return [
        ...later.slice(0, 3).flatMap((answer) => moveAfterEach(context, answer, [last])),
        ...addAfterIt(context, last, added.slice(0, 6)),
        ...block.map(leaveOut),
      ];
    },
  };
}

function opens(moves: readonly SpineMove[], bend: Bend): boolean {
  return moves.includes(ANSWER[bend]) && !moves.includes(bend);
}

function unstretchedSides(context: RuleContext): Problem[] {
  const { worked } = context;
  return worked.flatMap((last, index): Problem[] => {
    const side = last.dose.sides;
    const next = worked[index + 1];
    if (side !== 'left' && side !== 'right') return [];
    if (
      !next ||
      next.dose.sides === side ||
      (next.dose.sides !== 'left' && next.dose.sides !== 'right')
    ) {
      return [];
    }
    const block: Worked[] = [];
    for (let at = index; at >= 0 && worked[at]?.dose.sides === side; at -= 1) {
      block.unshift(worked[at] as Worked);
    }
    const isStretched = block.some(({ exercise }) => exercise.family === 'release');
    const seconds = block.reduce((sum, { timed }) => sum + timed.durationS, 0);
    if (isStretched || seconds <= ONE_SIDED_S) return [];
    return [
      {
        key: `side ${last.item.id}`,
        itemIds: block.map(({ item }) => item.id),
        sentence: `The ${side} side works for ${showClock(seconds)} and the sides change without its stretch.`,
        candidates: () => {
          const parts = new Set(block.flatMap(({ exercise }) => exercise.bodyParts));
          const stretches = unusedOf(context)
            .filter(
              ({ family, bodyParts }) =>
                family === 'release' && bodyParts.some((part) => parts.has(part)),
            )
            .sort(
              (a, b) =>
                Number(b.position === last.timed.position) -
                Number(a.position === last.timed.position),
            );
          return addOneSided(context, last, stretches.slice(0, 3), side);
        },
      },
    ];
  });
}

/** The stretch is done on the side that worked; the review will then ask for it on the other. */
function addOneSided(
  context: RuleContext,
  last: Worked,
  stretches: Parameters<typeof addAfterIt>[2],
  side: 'left' | 'right',
) {
  return addAfterIt(context, last, stretches).map((repair) => {
    if (repair.edit.type !== 'addItem' || repair.edit.item.kind !== 'exercise') return repair;
    const item = repair.edit.item;
    const dose = { ...context.catalogue.require(item.exercise).dose, sides: side };
    return { ...repair, edit: { ...repair.edit, item: { ...item, dose } } };
  });
}
