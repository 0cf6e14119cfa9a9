import type { SchoolRules } from '../../plan/school.ts';
import type { ChoiceTest, Choosable, DraftRows } from '../../review/draft-rows.ts';
import type { Group } from '../../review/group.ts';
import { sumText, type LinearProgram } from './linear-program.ts';

/** What it costs that something is missing that a rule wants. */
const MISSED = 60;

export const variableOf = (index: number) => `x${index}`;

/** Of what class the choice is made. */
export interface ChoiceSetting {
  school: SchoolRules;
  group: Group;
  targetS: number;
  lengthHolds: boolean;
}

/** Rows of a linear program, said in terms of choices. */
export class ChoiceRows<Choice extends Choosable> implements DraftRows {
  private readonly isNoLater: (one: Choice, than: Choice) => boolean;
  readonly program: LinearProgram;
  readonly pool: readonly Choice[];
  readonly school: SchoolRules;
  readonly group: Group;
  readonly targetS: number;
  readonly lengthHolds: boolean;
  private missable = 0;
  private readonly places: ReadonlyMap<Choosable, number>;

  constructor(
    program: LinearProgram,
    pool: readonly Choice[],
    setting: ChoiceSetting,
    isNoLater: (one: Choice, than: Choice) => boolean,
  ) {
    this.program = program;
    this.isNoLater = isNoLater;
    this.pool = pool;
    this.school = setting.school;
    this.group = setting.group;
    this.targetS = setting.targetS;
    this.lengthHolds = setting.lengthHolds;
    this.places = new Map(pool.map((choice, index) => [choice, index]));
  }

  sum(weight: (choice: Choice) => number): string {
    return sumText(this.pool.map((choice, index) => [weight(choice), variableOf(index)] as const));
  }

  total(weight: (choice: Choice) => number, bounds: { least?: number; most?: number }): void {
    const sum = this.sum(weight);
    if (bounds.least !== undefined) this.program.row(`${sum} >= ${bounds.least}`);
    if (bounds.most !== undefined) this.program.row(`${sum} <= ${bounds.most}`);
  }

  atLeast(test: ChoiceTest, least: number): void {
    this.total((choice) => Number(test(choice)), { least });
  }

  upTo(test: ChoiceTest, wanted: number): void {
    const most = Math.min(wanted, this.pool.filter(test).length);
    if (most === 0) return;
    // What is there may be out of reach for another reason: then it is missed, at a price.
    this.missable += 1;
    const missed = `missed${this.missable}`;
    this.program.positive(missed, MISSED);
    this.program.row(`${this.sum((choice) => Number(test(choice)))} + ${missed} >= ${most}`);
  }

  atMost(test: ChoiceTest, most: number): void {
    this.total((choice) => Number(test(choice)), { most });
  }

  wants(choice: Choosable, provides: ChoiceTest): void {
    const index = this.placeOf(choice);
    const own = this.pool[index];
    const all = this.pool.flatMap((other, at) =>
      at !== index && provides(other) ? [{ other, name: variableOf(at) }] : [],
    );
    const before = all.filter(({ other }) => own && this.isNoLater(other, own));
    // Where a class is built so that nothing can stand before it, what comes behind it is better than nothing.
    const providers = (before.length > 0 ? before : all).map(({ name }) => name);
    this.program.row(`${variableOf(index)}${providers.map((each) => ` - ${each}`).join('')} <= 0`);
  }

  never(choice: Choosable): void {
    this.program.row(`${variableOf(this.placeOf(choice))} = 0`);
  }

  private placeOf(choice: Choosable): number {
    const index = this.places.get(choice);
    if (index === undefined) throw new Error(`${choice.exercise.slug} is not in the pool`);
    return index;
  }
}
