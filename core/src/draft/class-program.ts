import { teachesAwareness } from '../movement/exercise.ts';
import type { SpineMove } from '../movement/vocabulary.ts';
import { WANTED_PARTS, WHOLE_BODY_FROM_S } from '../review/rules/body-parts.ts';
import { taughtDepthFor } from '../review/rules/need-before-use.ts';
import { warmsBelly } from '../review/rules/still-before-bend.ts';
import type { Group } from '../review/group.ts';
import { standingOf, type RuleId } from '../plan/school.ts';
import { rulesOf } from '../plan/schools.ts';
import type { Character } from './characters.ts';
import { LinearProgram, sumText } from './linear-program.ts';
import type { Choice } from './pool.ts';
import type { Wish } from './wish-list.ts';
import type { DraftWishes } from './wishes.ts';

/** Seconds by which the plain sum of lengths may miss the hour; the doses take up the rest. */
const SLACK_S = 30;
/** The share of the class that each theme takes at least. */
const THEME_SHARE = 0.14;
/** The share of the directed time that a direction takes when it is the theme. */
const DIRECTION_SHARE = 0.25;
/** How much of an earlier proposal may come again. */
const SAME_AT_MOST = 0.6;
const RUNGS = 2;
/** The close is measured against a class that grows with its set-ups. */
const RELEASE_MARGIN = 0.02;
const RELEASE_MOST = 0.3;
/** A shorter class ends without lying down to rest. */
const REST_FROM_S = 1200;
/** Seconds of class for each exercise, in a class with few and in one with many. */
const SLOWEST_S = 150;
const QUICKEST_S = 90;
/** For so many seconds of class, one exercise that is not on the back. */
const OFF_THE_BACK_S = 480;
/** Every way of the spine takes at least this. */
const LEAST_WAY_S = 25;
const HARD_FROM = 3;
const HARD_SHARE = 0.3;

export interface ProgramInput {
  pool: readonly Choice[];
  wishes: DraftWishes;
  group: Group;
  /** The wishes that hold. */
  list: readonly Wish[];
  character: Character;
  /** Seconds by which an earlier try came out too short (or, below 0, too long). */
  correctionS: number;
  /** Slugs of each earlier proposal, letting go not counted. */
  earlier: readonly (readonly string[])[];
}

export const variableOf = (index: number) => `x${index}`;

/** The choice of exercises and doses as a linear program; cheaper is better. */
export function classProgram(input: ProgramInput): string {
  const program = new LinearProgram();
  const { pool, character, list } = input;
  pool.forEach((choice, index) => {
    program.binary(variableOf(index), character.cost(choice, input.wishes));
    // A dose can be longer or shorter than usual, within what is usual for the exercise.
    program.positive(`more${index}`, character.doseCost);
    program.positive(`less${index}`, character.doseCost);
    program.row(`more${index} - ${choice.mostS - choice.usualS} ${variableOf(index)} <= 0`);
    program.row(`less${index} - ${choice.usualS - choice.leastS} ${variableOf(index)} <= 0`);
    if (list.some(({ forbids }) => forbids(choice))) program.row(`${variableOf(index)} = 0`);
  });
  const rows = new Rows(program, pool);
  const holds = new Set(list.map(({ id }) => id));
  if (holds.has('length')) {
    lengthRow(rows, input);
    countRows(rows, input);
  }
  if (holds.has('school')) schoolRows(rows, input);
  themeRows(rows, input, holds);
  for (const { id } of list) {
    const [kind, slug] = id.split(' ');
    if (kind === 'must') rows.atLeast(({ exercise }) => exercise.slug === slug, 1);
  }
  if (holds.has('climb')) climbRows(rows, input);
  flowCosts(rows, input);
  for (const slugs of input.earlier) {
    const again = new Set(slugs);
    rows.atMost(
      ({ exercise }) => again.has(exercise.slug) && exercise.family !== 'release',
      Math.floor(SAME_AT_MOST * slugs.length),
    );
  }
  return program.text();
}

type Test = (choice: Choice) => boolean;

/** Rows said in terms of choices. */
class Rows {
  readonly program: LinearProgram;
  readonly pool: readonly Choice[];

  constructor(program: LinearProgram, pool: readonly Choice[]) {
    this.program = program;
    this.pool = pool;
  }

  sum(weight: (choice: Choice) => number): string {
    return sumText(this.pool.map((choice, index) => [weight(choice), variableOf(index)] as const));
  }

  count(test: Test): string {
    return this.sum((choice) => (test(choice) ? 1 : 0));
  }

  /** As many as wanted, or as there are. */
  atLeast(test: Test, wanted: number): void {
    this.program.row(`${this.count(test)} >= ${wanted}`);
  }

  /** As many as wanted, or as there are to choose from. */
  upTo(test: Test, wanted: number): void {
    this.atLeast(test, Math.min(wanted, this.pool.filter(test).length));
  }

  atMost(test: Test, wanted: number): void {
    this.program.row(`${this.count(test)} <= ${wanted}`);
  }

  /** Those that are chosen want one of these beside them. */
  wants(index: number, provides: Test): void {
    const providers = this.pool.flatMap((choice, other) =>
      other !== index && provides(choice) ? [variableOf(other)] : [],
    );
    this.program.row(`${variableOf(index)}${providers.map((each) => ` - ${each}`).join('')} <= 0`);
  }
}

/** Neither a few long things nor a heap of short ones. */
function countRows(rows: Rows, { wishes, pool }: ProgramInput): void {
  const all: Test = () => true;
  rows.upTo(all, Math.min(pool.length, Math.floor(wishes.targetS / SLOWEST_S)));
  rows.atMost(all, Math.ceil(wishes.targetS / QUICKEST_S));
}

function lengthRow(rows: Rows, { pool, wishes, correctionS }: ProgramInput): void {
  const doses = pool.map((_choice, index) => ` + more${index} - less${index}`).join('');
  const total = `${rows.sum(({ usualS }) => usualS)}${doses}`;
  const targetS = wishes.targetS - pausesS(wishes.targetS) + correctionS;
  rows.program.row(`${total} >= ${targetS - SLACK_S}`);
  rows.program.row(`${total} <= ${targetS + SLACK_S}`);
}

type Need = Choice['exercise']['needs'][number];

function unheldNeeds({ exercise }: Choice, group: Group): Need[] {
  return exercise.needs.filter(
    ({ foundation, depth }) => depth > 0 && !group.holds(foundation, depth),
  );
}

/** Letting go stands at the end: what it teaches comes too late. */
function teachesNeed({ exercise }: Choice, { foundation, depth }: Need): boolean {
  if (exercise.family === 'release') return false;
  return exercise.teaches.some(
    (taught) => taught.foundation === foundation && taught.depth >= taughtDepthFor(depth),
  );
}

/** How many steps of learning lie before each exercise: 0 for one that needs nothing. */
function levelsOf(pool: readonly Choice[], group: Group): Map<Choice, number> {
  const levels = new Map<Choice, number>();
  for (let level = 0; ; level += 1) {
    const ready = pool.filter(
      (choice) =>
        !levels.has(choice) &&
        unheldNeeds(choice, group).every((need) =>
          pool.some((other) => levels.has(other) && teachesNeed(other, need)),
        ),
    );
    if (ready.length === 0) return levels;
    for (const choice of ready) levels.set(choice, level);
  }
}

/** What nothing prepares comes after all. */
function levelOf(levels: ReadonlyMap<Choice, number>, choice: Choice): number {
  return levels.get(choice) ?? Infinity;
}

/** A class of more than twenty minutes has a pause for water, every twenty minutes. */
export function pausesS(targetS: number): number {
  return Math.max(0, Math.ceil(targetS / 1200) - 1) * 40;
}

const slugIs =
  (slug: string): Test =>
  ({ exercise }) =>
    exercise.slug === slug;
const isRelease: Test = ({ exercise }) =>
  exercise.teaches.some(({ foundation }) => foundation === 'release');
const isOpening: Test = ({ exercise, effort }) =>
  exercise.family === 'awareness' && teachesAwareness(exercise) && effort <= 1;
const isWork: Test = ({ exercise }) =>
  exercise.family !== 'release' && exercise.family !== 'awareness';

function schoolRows(rows: Rows, input: ProgramInput): void {
  const { pool, wishes, group } = input;
  const school = rulesOf(wishes.school);
  const isOn = (rule: RuleId) => standingOf(school, rule) !== 'off';
  const isMust = (rule: RuleId) => standingOf(school, rule) === 'must';
  const totalS = wishes.targetS;
  if (isOn('few-moves')) {
    rows.upTo(
      (choice) => isWork(choice) && choice.exercise.position !== 'supine',
      Math.floor(totalS / OFF_THE_BACK_S),
    );
  }
  if (isOn('breath-first')) rows.upTo(isOpening, totalS >= 1500 ? 2 : 1);
  if (isOn('close-soft')) {
    rows.upTo(slugIs('return-to-sitting'), 1);
    // How long the close is depends on how long the class is.
    if (input.list.some(({ id }) => id === 'length')) closeRows(rows, input);
  } else {
    rows.atMost(isRelease, 0);
  }
  if (isOn('six-directions')) directionRows(rows, input);
  if (isOn('body-parts') && totalS >= WHOLE_BODY_FROM_S) {
    for (const part of WANTED_PARTS)
      rows.upTo(({ exercise }) => exercise.bodyParts.includes(part), 1);
  }
  const isHard: Test = (choice) => isWork(choice) && choice.effort >= HARD_FROM;
  rows.program.row(`${rows.sum((choice) => Number(isHard(choice)) - HARD_SHARE)} <= 0`);
  const levels = levelsOf(pool, group);
  pool.forEach((choice, index) => {
    const { exercise } = choice;
    if (isMust('need-before-use')) {
      for (const need of unheldNeeds(choice, group)) {
        // Only what can come earlier in every class may teach it: no two can wait for each other.
        rows.wants(
          index,
          (other) => teachesNeed(other, need) && levelOf(levels, other) < levelOf(levels, choice),
        );
      }
    }
    if (isMust('unloaded-before-loaded') && choice.spineLoad >= 2) {
      rows.wants(index, (other) => other.spineLoad === choice.spineLoad - 1);
    }
    if (isMust('still-before-bend') && exercise.moves.includes('round') && choice.spineLoad >= 1) {
      rows.wants(index, (other) => warmsBelly(other.exercise, other.exercise.moves));
    }
    if (isMust('classic-order') && exercise.classicOrder === undefined) {
      rows.program.row(`${variableOf(index)} = 0`);
    }
  });
}

function closeRows(rows: Rows, { pool, wishes }: ProgramInput): void {
  const { releaseLeast } = rulesOf(wishes.school).targets;
  const totalS = wishes.targetS;
  const letGo = rows.sum((choice) => (isRelease(choice) ? choice.usualS : 0));
  const leastS = pool.some(isRelease) ? Math.round((releaseLeast + RELEASE_MARGIN) * totalS) : 0;
  rows.program.row(`${letGo} >= ${leastS}`);
  rows.program.row(`${letGo} <= ${Math.round(RELEASE_MOST * totalS)}`);
  if (totalS >= REST_FROM_S) rows.upTo(slugIs('final-rest'), 1);
}

const MOVES = ['round', 'arch', 'turn', 'side'] as const;

/** Seconds that a choice goes one way; several moves share its time. */
function movedS({ exercise, workS }: Choice, move: SpineMove): number {
  const moves: readonly SpineMove[] = exercise.moves.filter((each) => each !== 'still');
  return moves.includes(move) ? workS / moves.length : 0;
}

/** Every way at least a little, none more than half: sides come in pairs, so turns count twice. */
function directionRows(rows: Rows, { wishes }: ProgramInput): void {
  const { targets } = rulesOf(wishes.school);
  for (const move of MOVES) {
    rows.program.row(`${rows.sum((choice) => movedS(choice, move))} >= ${LEAST_WAY_S}`);
    rows.program.row(
      `${rows.sum((choice) => {
        const all = MOVES.reduce((sum, each) => sum + movedS(choice, each), 0);
        return movedS(choice, move) - (targets.directionMost - 0.04) * all;
      })} <= 0`,
    );
  }
}

function themeRows(rows: Rows, { wishes }: ProgramInput, holds: ReadonlySet<string>): void {
  const theme = (weight: (choice: Choice) => number, leastS: number) =>
    rows.program.row(`${rows.sum(weight)} >= ${Math.round(leastS)}`);
  for (const foundation of wishes.foundations) {
    if (!holds.has(`foundation ${foundation}`)) continue;
    theme(
      ({ exercise, usualS }) =>
        exercise.teaches.some((taught) => taught.foundation === foundation) ? usualS : 0,
      THEME_SHARE * wishes.targetS,
    );
  }
  for (const part of wishes.bodyParts) {
    if (!holds.has(`part ${part}`)) continue;
    theme(
      ({ exercise, usualS }) => (exercise.bodyParts.includes(part) ? usualS : 0),
      THEME_SHARE * wishes.targetS,
    );
  }
  for (const direction of wishes.directions) {
    if (!holds.has(`direction ${direction}`)) continue;
    const move = direction.split('-')[0] as SpineMove;
    rows.program.row(
      `${rows.sum((choice) => {
        const all = MOVES.reduce((sum, each) => sum + movedS(choice, each), 0);
        return movedS(choice, move) - DIRECTION_SHARE * all;
      })} >= 0`,
    );
  }
}

/** The big exercise, and rungs of its ladder: what prepares it, and what prepares that. */
function climbRows(rows: Rows, { pool, wishes }: ProgramInput): void {
  const target = wishes.climbTo;
  if (!target) return;
  rows.atLeast(slugIs(target), 1);
  const prepares =
    (goal: string): Test =>
    ({ exercise }) =>
      exercise.prepares.includes(goal);
  rows.upTo(prepares(target), RUNGS);
  pool.forEach((choice, index) => {
    if (!prepares(target)(choice)) return;
    const lower = prepares(choice.exercise.slug);
    if (pool.some(lower)) rows.wants(index, lower);
  });
}

/** Every position and every prop that the class uses costs changes. */
function flowCosts(rows: Rows, { pool, character }: ProgramInput): void {
  const users = new Map<string, number[]>();
  pool.forEach((choice, index) => {
    const { exercise } = choice;
    const props = exercise.options[exercise.standard - 1]?.props ?? [];
    const keys = [
      `at ${exercise.position}`,
      ...props.filter(({ optional }) => !optional).map(({ prop }) => `with ${prop}`),
    ];
    for (const key of keys) users.set(key, [...(users.get(key) ?? []), index]);
  });
  [...users].forEach(([key, indices], at) => {
    const cost = key.startsWith('at') ? character.positionCost : character.propCost;
    rows.program.positive(`u${at}`, cost);
    for (const index of indices) rows.program.row(`u${at} - ${variableOf(index)} >= 0`);
  });
}
