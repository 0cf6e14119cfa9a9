import { optionOf } from '../movement/exercise.ts';
import type { SpineMove } from '../movement/vocabulary.ts';
import { rulesOf } from '../plan/schools.ts';
import { isWork, type ChoiceTest } from '../review/draft-rows.ts';
import type { Group } from '../review/group.ts';
import { directedS, movedS } from '../review/moved-seconds.ts';
import type { Rule } from '../review/rule.ts';
import { RULES, rulesInForce } from '../review/rules.ts';
import type { Blueprint } from './block.ts';
import type { PlacedChoice } from './blueprint.ts';
import type { Character } from './characters.ts';
import { ChoiceRows, variableOf } from './choice-rows.ts';
import { gearOfChoice } from './choice-tests.ts';
import { LinearProgram } from './linear-program.ts';
import { PARTS_FIRST } from './parts-first.ts';
import type { Rungs } from './rungs.ts';
import type { Wish } from './wish-list.ts';
import type { DraftWishes } from './wishes.ts';

/** Seconds by which the plain sum of lengths may miss the hour; the doses take up the rest. */
const SLACK_S = 30;
/** The share of the class that each theme takes at least. */
const THEME_SHARE = 0.23;
/** The share of the directed time that a direction takes when it is the theme. */
const DIRECTION_SHARE = 0.25;
/** How much of the work may be that of an earlier proposal; where there is too little to choose from, more. */
const SAME_AT_MOST = { mat: 0.6, reformer: 0.7, few: 0.85 } as const;
/** What stands in an earlier proposal already: three drafts are three classes. */
const AGAIN = 8;
const RUNGS = 3;
const LINKED = 2;
const HARD_FROM = 3;
const HARD_SHARE = 0.3;

export interface ProgramInput {
  pool: readonly PlacedChoice[];
  blueprint: Blueprint;
  /** What leads to what the class climbs to. */
  rungs: Rungs;
  wishes: DraftWishes;
  group: Group;
  /** The wishes that hold. */
  list: readonly Wish[];
  character: Character;
  /** Seconds by which an earlier try came out too short (or, below 0, too long). */
  correctionS: number;
  /** Slugs of each earlier proposal. */
  earlier: readonly (readonly string[])[];
  /** Sets of exercises that an earlier try showed not to go together. */
  notAgain?: readonly (readonly string[])[];
  /** There is too little to choose from for three classes of their own. */
  isOfFew?: boolean;
  /** All that there are when left out. */
  rules?: readonly Rule[];
}

type Rows = ChoiceRows<PlacedChoice>;

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
    if (input.earlier.some((slugs) => slugs.includes(choice.exercise.slug))) {
      program.cost(variableOf(index), AGAIN);
    }
    if (list.some(({ forbids }) => forbids(choice))) program.row(`${variableOf(index)} = 0`);
  });
  const holds = new Set(list.map(({ id }) => id));
  const { wishes, group } = input;
  const rows: Rows = new ChoiceRows(program, pool, {
    school: rulesOf(wishes.school),
    group,
    targetS: wishes.targetS,
    lengthHolds: holds.has('length'),
  });
  if (holds.has('length')) {
    lengthRow(rows, input);
  }
  onceEach(rows);
  blockRows(rows, input);
  crestRow(rows, input);
  const isOpen = (choice: PlacedChoice) => !list.some(({ forbids }) => forbids(choice));
  partRows(rows, isOpen);
  stepRows(rows, isOpen);
  if (holds.has('school')) schoolRows(rows, input.rules ?? RULES);
  themeRows(rows, input, holds);
  for (const { id } of list) {
    const [kind, slug] = id.split(' ');
    if (kind === 'must') rows.atLeast(({ exercise }) => exercise.slug === slug, 1);
  }
  if (holds.has('climb')) climbRows(rows, input);
  flowCosts(rows, input);
  gearRows(rows, input);
  newRows(rows, input);
  for (const slugs of input.notAgain ?? []) {
    rows.atMost(({ exercise }) => slugs.includes(exercise.slug), slugs.length - 1);
  }
  for (const slugs of input.earlier) {
    const again = new Set(slugs);
    const most = SAME_AT_MOST[input.isOfFew ? 'few' : wishes.machine];
    rows.total((choice) => (isWork(choice) ? Number(again.has(choice.exercise.slug)) - most : 0), {
      most: 0,
    });
  }
  return program.text();
}

/** An exercise stands in one block. */
function onceEach(rows: Rows): void {
  const places = new Map<string, number[]>();
  rows.pool.forEach(({ exercise }, index) =>
    places.set(exercise.slug, [...(places.get(exercise.slug) ?? []), index]),
  );
  for (const indices of places.values()) {
    if (indices.length > 1) rows.program.row(`${indices.map(variableOf).join(' + ')} <= 1`);
  }
}

/** What it costs that a block is too short or long, for each second; has one too few or many; lacks what it is for. */
const BLOCK_COST = { second: 0.12, exercise: 10, lacking: 40 } as const;

/** Each block takes its share of the class, with its own work; wishes may stretch it, at a price. */
function blockRows(rows: Rows, { blueprint, pool, wishes }: ProgramInput): void {
  const soft = (
    name: string,
    sum: string,
    [least, most]: readonly [number, number],
    cost: number,
  ) => {
    rows.program.positive(`few${name}`, cost);
    rows.program.positive(`many${name}`, cost);
    rows.program.row(`${sum} + few${name} >= ${least}`);
    rows.program.row(`${sum} - many${name} <= ${most}`);
  };
  for (const [at, held] of blueprint.blocks.entries()) {
    const { id, share, exercises, holds = [], most: limits = [] } = held;
    const inBlock = (weight: (choice: PlacedChoice) => number) =>
      rows.sum((choice) => (choice.block === id ? weight(choice) : 0));
    if (!pool.some(({ block }) => block === id)) continue;
    const [least, most] = share;
    const seconds = [least * wishes.targetS, most * wishes.targetS].map(Math.round);
    soft(
      `S${at}`,
      inBlock(({ usualS }) => usualS),
      [seconds[0] ?? 0, seconds[1] ?? 0],
      BLOCK_COST.second,
    );
    soft(
      `N${at}`,
      inBlock(() => 1),
      exercises,
      BLOCK_COST.exercise,
    );
    for (const [of, atMost] of limits) {
      const sum = inBlock((choice) =>
        Number(of(choice) && !wishes.mustHave.includes(choice.exercise.slug)),
      );
      rows.program.row(`${sum} <= ${atMost}`);
    }
    holds.forEach((test, which) => {
      if (!pool.some((choice) => choice.block === id && test(choice))) return;
      rows.program.positive(`lack${at}h${which}`, BLOCK_COST.lacking);
      rows.program.row(`${inBlock((choice) => Number(test(choice)))} + lack${at}h${which} >= 1`);
    });
  }
}

/** From so much effort on something of the second half is the top of a class that is not meant to be gentle. */
const CREST = { effort: 2.5, cost: 25 } as const;

function crestRow(rows: Rows, { wishes, blueprint }: ProgramInput): void {
  if (wishes.effortMost < CREST.effort || rows.school.effortCeiling < 4) return;
  rows.program.positive('noCrest', CREST.cost);
  const { blocks } = blueprint;
  const late = new Set(blocks.slice(Math.floor(blocks.length / 2)).map(({ id }) => id));
  const tops = rows.sum((choice) =>
    Number(isWork(choice) && late.has(choice.block) && choice.effort >= CREST.effort),
  );
  rows.program.row(`${tops} + noCrest >= 1`);
}

/** From so much effort on something of the same block comes before it that is not so far below. */
const STEEP = { from: 3, step: 2.5 } as const;

/** What a wish rules out is asked of nobody. */
type Open = (choice: PlacedChoice) => boolean;

function stepRows(rows: Rows, isOpen: Open): void {
  if (rows.school.rules['classic-order'] === 'must') return;
  for (const choice of rows.pool) {
    if (choice.effort < STEEP.from) continue;
    const isStep = (other: PlacedChoice) =>
      other.block === choice.block &&
      other.effort < choice.effort &&
      other.effort >= choice.effort - STEEP.step;
    const steps = rows.pool.filter((other) => isOpen(other) && isStep(other));
    if (steps.length > 0) rows.wants(choice, (other) => steps.includes(other as PlacedChoice));
  }
}

/** Whoever does the whole has done a part of it; in a published order the order itself sees to that. */
function partRows(rows: Rows, isOpen: Open): void {
  if (rows.school.rules['classic-order'] === 'must') return;
  for (const { parts, wholes } of PARTS_FIRST) {
    const isPart: ChoiceTest = ({ exercise }) => parts.includes(exercise.slug);
    if (!rows.pool.some((choice) => isOpen(choice) && isPart(choice))) continue;
    for (const choice of rows.pool) {
      if (wholes.includes(choice.exercise.slug)) rows.wants(choice, isPart);
    }
  }
}

function lengthRow(rows: Rows, { pool, wishes, correctionS }: ProgramInput): void {
  const doses = pool.map((_choice, index) => ` + more${index} - less${index}`).join('');
  const total = `${rows.sum(({ usualS }) => usualS)}${doses}`;
  const targetS = wishes.targetS - pausesS(wishes.targetS) + correctionS;
  rows.program.row(`${total} >= ${targetS - SLACK_S}`);
  rows.program.row(`${total} <= ${targetS + SLACK_S}`);
}

/** A class of more than twenty minutes has a pause for water, every twenty minutes. */
export function pausesS(targetS: number): number {
  return Math.max(0, Math.ceil(targetS / 1200) - 1) * 40;
}

const slugIs =
  (slug: string): ChoiceTest =>
  ({ exercise }) =>
    exercise.slug === slug;

/** What the rules of the school ask, and that not everything is hard. */
function schoolRows(rows: Rows, rules: readonly Rule[]): void {
  for (const { rule, standing } of rulesInForce(rules, rows.school)) rule.draft?.(rows, standing);
  // By the clock everybody chooses a level; planks belong.
  if (rows.school.defaults.dose.kind === 'timed') return;
  const isHard: ChoiceTest = (choice) => isWork(choice) && choice.effort >= HARD_FROM;
  rows.total((choice) => Number(isHard(choice)) - HARD_SHARE, { most: 0 });
}

function themeRows(rows: Rows, { wishes }: ProgramInput, holds: ReadonlySet<string>): void {
  const theme = (weight: (choice: PlacedChoice) => number, leastS: number) =>
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
        return movedS(choice, move) - DIRECTION_SHARE * directedS(choice);
      })} >= 0`,
    );
  }
}

/** The big exercise, and rungs of its ladder no later than it: what leads to it, and what leads to that. */
function climbRows(rows: Rows, { wishes, rungs, blueprint, pool }: ProgramInput): void {
  const { climbTo } = wishes;
  if (!climbTo) return;
  rows.atLeast(slugIs(climbTo), 1);
  const at = (block: string) => blueprint.blocks.findIndex(({ id }) => id === block);
  const top = Math.max(
    ...pool.filter(({ exercise }) => exercise.slug === climbTo).map(({ block }) => at(block)),
  );
  const upTo = (isOne: (slug: string) => boolean, wanted: number) => {
    const isBefore = ({ exercise, block }: PlacedChoice) =>
      isOne(exercise.slug) && at(block) <= top;
    const many = new Set(pool.filter(isBefore).map(({ exercise }) => exercise.slug)).size;
    rows.total((choice) => Number(isBefore(choice)), { least: Math.min(wanted, many) });
  };
  upTo(rungs.isLinked, LINKED);
  upTo(rungs.isRung, RUNGS);
}

/** What a further way to set the machine costs within a block, and another way to face on it. */
const GEAR_COST = { setting: 12, facing: 8 } as const;
/** Ways to set it in ten minutes; a little under what a teacher bears, for not all can be done in one go. Common practice. */
const SETTINGS_IN_10_MIN = 2.7;

/** A block of the machine is done on as few settings as it can be, and the class on not too many. */
function gearRows(rows: Rows, { pool, wishes }: ProgramInput): void {
  if (wishes.machine !== 'reformer') return;
  const users = (keyOf: (choice: PlacedChoice) => unknown, name: string, cost: number) => {
    const held = new Map<string, number[]>();
    pool.forEach((choice, index) => {
      const key = JSON.stringify(keyOf(choice) ?? {});
      // What asks for nothing leaves the machine as it stands.
      if (key === '{}') return;
      const inBlock = `${choice.block} ${key}`;
      held.set(inBlock, [...(held.get(inBlock) ?? []), index]);
    });
    return [...held.values()].map((indices, at) => {
      const variable = `${name}${at}`;
      rows.program.positive(variable, cost);
      for (const index of indices) rows.program.row(`${variable} - ${variableOf(index)} >= 0`);
      return variable;
    });
  };
  const settings = users(({ exercise }) => settingOf(exercise), 'set', GEAR_COST.setting);
  users((choice) => gearOfChoice(choice).facing, 'face', GEAR_COST.facing);
  const most = Math.floor((wishes.targetS / 600) * SETTINGS_IN_10_MIN) + 2;
  rows.program.positive('manySettings', BLOCK_COST.lacking);
  rows.program.row(`${settings.join(' + ')} - manySettings <= ${most}`);
}

const settingOf = (exercise: PlacedChoice['exercise']) => {
  const { moreSpring: _effect, ...gear } = optionOf(exercise, exercise.standard).settings ?? {};
  return gear;
};

/** What a second new exercise costs in a block, where one new thing at a time is asked for. */
const NEW_COST = 25;

function newRows(rows: Rows, { pool, blueprint }: ProgramInput): void {
  if ((rows.school.rules['one-new-thing'] ?? 'off') === 'off') return;
  for (const [at, { id }] of blueprint.blocks.entries()) {
    if (!pool.some(({ block, isNew }) => block === id && isNew)) continue;
    rows.program.positive(`new${at}`, NEW_COST);
    const many = rows.sum((choice) =>
      Number(choice.block === id && choice.isNew && isWork(choice)),
    );
    rows.program.row(`${many} - new${at} <= 1`);
  }
}

/** Every prop that the class uses is laid out, fetched and put away. */
function flowCosts(rows: Rows, { pool, character }: ProgramInput): void {
  const users = new Map<string, number[]>();
  pool.forEach((choice, index) => {
    const { exercise } = choice;
    const props = exercise.options[exercise.standard - 1]?.props ?? [];
    const keys = [...props.filter(({ optional }) => !optional).map(({ prop }) => `with ${prop}`)];
    for (const key of keys) users.set(key, [...(users.get(key) ?? []), index]);
  });
  [...users.values()].forEach((indices, at) => {
    rows.program.positive(`u${at}`, character.propCost);
    for (const index of indices) rows.program.row(`u${at} - ${variableOf(index)} >= 0`);
  });
}
