import type { CostId } from '../plan/school.ts';
import type { GearSeconds } from '../plan/timing/gear-seconds.ts';
import { keepsShape } from '../plan/item-props.ts';
import { setUpBetween } from '../plan/timing/set-up.ts';
import { stanceOf, type Stance } from '../plan/timing/stance.ts';
import { STANDING_PRICE_S, type RuleContext, type Worked } from '../review/rule.ts';
import { PairTable } from './pair-table.ts';
import type { OrderProblem } from './problem.ts';

type Tables = Pick<OrderProblem, 'setUp' | 'setUpFirst' | 'near' | 'nearSum'>;

/** What it costs to go from each item to each other one, with nothing else known. */
export function pairCosts(context: RuleContext, gearSeconds: GearSeconds | undefined): Tables {
  const { worked, school } = context;
  const weight = school.weights['set-up'];
  const setUpS = (before: readonly Stance[], to: Worked) =>
    setUpBetween(standing(to), { before, behind: [] }, gearSeconds).seconds * weight;
  const setUp = new PairTable(worked.length);
  eachPair(worked, (from, to, row, column) => {
    setUp.add(row, column, setUpS([standing(from)], to));
  });
  return {
    setUp,
    setUpFirst: Float64Array.from(worked, (each) => setUpS([], each)),
    ...neighbourCosts(context),
  };
}

function standing({ item, timed, ...done }: Worked): Stance {
  return stanceOf({ ...done, props: timed.props, keepsShape: keepsShape(item) });
}

function neighbourCosts(context: RuleContext): Pick<OrderProblem, 'near' | 'nearSum'> {
  const { worked, school, rules } = context;
  const near = new Map<CostId, PairTable>();
  const nearSum = new PairTable(worked.length);
  for (const { rule, standing } of rules) {
    for (const { cost, neighbours } of rule.order ?? []) {
      const weight = school.weights[cost];
      if (!neighbours || weight === 0) continue;
      const table = near.get(cost) ?? new PairTable(worked.length);
      near.set(cost, table);
      eachPair(worked, (from, to, row, column) => {
        const costS = neighbours(from, to, context, STANDING_PRICE_S[standing]) * weight;
        table.add(row, column, costS);
        nearSum.add(row, column, costS);
      });
    }
  }
  return { near, nearSum };
}

function eachPair(
  worked: readonly Worked[],
  visit: (from: Worked, to: Worked, row: number, column: number) => void,
): void {
  worked.forEach((from, row) =>
    worked.forEach((to, column) => {
      if (row !== column) visit(from, to, row, column);
    }),
  );
}
