import { rulesOf } from '../../plan/schools.ts';
import { isWork, type ChoiceTest } from '../../review/draft-rows.ts';
import type { Rule } from '../../review/rule.ts';
import { RULES, rulesInForce } from '../../review/rules.ts';
import type { Blueprint } from '../block.ts';
import type { PlacedChoice } from '../blueprint.ts';
import { ChoiceRows, variableOf } from './choice-rows.ts';
import { LinearProgram } from './linear-program.ts';
import { blockRows, crestRow, newRows, partRows, stepRows } from './block-rows.ts';
import { gearRows, propRows } from './gear-rows.ts';
import type { ProgramInput, Rows } from './program-input.ts';
import { roundRows, secondRoundsS } from './round-rows.ts';
import { climbRows, themeRows } from './wish-rows.ts';

/** Seconds by which the plain sum of lengths may miss the hour; the doses take up the rest. */
const SLACK_S = 30;
/** How much of the work may be that of an earlier proposal; where there is too little to choose from, more. */
const SAME_AT_MOST = {
  usual: { mat: 0.6, reformer: 0.7 },
  ofFew: { mat: 0.7, reformer: 0.75 },
} as const;
/** What stands in an earlier proposal already: three drafts are three classes. */
const AGAIN = 8;
const HARD_FROM = 3;
const HARD_SHARE = 0.3;

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
  const setting = {
    school: rulesOf(wishes.school),
    group,
    targetS: wishes.targetS,
    lengthHolds: holds.has('length'),
  };
  const rows: Rows = new ChoiceRows(
    program,
    pool,
    setting,
    input.isOfFew ? () => true : standsNoLater(input.blueprint),
  );
  if (holds.has('length')) {
    lengthRow(rows, input);
  }
  onceEach(rows);
  const isOpen = (choice: PlacedChoice) => !list.some(({ forbids }) => forbids(choice));
  blockRows(rows, input, isOpen);
  crestRow(rows, input);
  partRows(rows, isOpen);
  stepRows(rows, isOpen);
  if (holds.has('school')) schoolRows(rows, input.rules ?? RULES);
  themeRows(rows, input, holds);
  for (const { id } of list) {
    const [kind, slug] = id.split(' ');
    if (kind === 'must') rows.atLeast(({ exercise }) => exercise.slug === slug, 1);
  }
  if (holds.has('climb')) climbRows(rows, input);
  propRows(rows, input);
  gearRows(rows, input);
  roundRows(rows, input);
  newRows(rows, input);
  for (const slugs of input.notAgain ?? []) {
    rows.atMost(({ exercise }) => slugs.includes(exercise.slug), slugs.length - 1);
  }
  for (const slugs of input.earlier) {
    const again = new Set(slugs);
    const most = SAME_AT_MOST[input.isOfFew ? 'ofFew' : 'usual'][wishes.machine];
    rows.total((choice) => (isWork(choice) ? Number(again.has(choice.exercise.slug)) - most : 0), {
      most: 0,
    });
  }
  return program.text();
}

/** In an earlier block, or in the same one where its order lets it. */
function standsNoLater({ blocks }: Blueprint) {
  const places = new Map(blocks.map(({ id }, at) => [id, at]));
  const placeOf = ({ block }: PlacedChoice) => places.get(block) ?? 0;
  return (one: PlacedChoice, than: PlacedChoice): boolean => {
    if (one.block !== than.block) return placeOf(one) < placeOf(than);
    const rank = blocks[placeOf(one)]?.rank;
    return !rank || rank(one) <= rank(than);
  };
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

function lengthRow(rows: Rows, input: ProgramInput): void {
  const { pool, wishes, correctionS } = input;
  const doses = pool.map((_choice, index) => ` + more${index} - less${index}`).join('');
  const total = `${rows.sum(({ usualS }) => usualS)}${doses}${secondRoundsS(input)}`;
  const targetS = wishes.targetS - pausesS(wishes.targetS) + correctionS;
  rows.program.row(`${total} >= ${targetS - SLACK_S}`);
  rows.program.row(`${total} <= ${targetS + SLACK_S}`);
}

/** A class of more than twenty minutes has a pause for water, every twenty minutes. */
function pausesS(targetS: number): number {
  return Math.max(0, Math.ceil(targetS / 1200) - 1) * 40;
}

/** What the rules of the school ask, and that not everything is hard. */
function schoolRows(rows: Rows, rules: readonly Rule[]): void {
  for (const { rule, standing } of rulesInForce(rules, rows.school)) rule.draft?.(rows, standing);
  // By the clock everybody chooses a level; planks belong.
  if (rows.school.defaults.dose.kind === 'timed') return;
  const isHard: ChoiceTest = (choice) => isWork(choice) && choice.effort >= HARD_FROM;
  rows.total((choice) => Number(isHard(choice)) - HARD_SHARE, { most: 0 });
}
