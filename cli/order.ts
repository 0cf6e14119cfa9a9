import { groupOf } from '@wrenfern/core/review/group';
import { showClock } from '@wrenfern/core/plan/show-time';
import { COST_WORDS } from '@wrenfern/core/search/cost-words';
import { gathersOf, type Gather } from '@wrenfern/core/search/gathers';
import { orderPlan, type OrderResult } from '@wrenfern/core/search/order-plan';
import type { Person } from '@wrenfern/core/people/person';
import type { Plan } from '@wrenfern/core/plan/plan';
import { COST_IDS } from '@wrenfern/core/plan/school';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { builtInCatalogue } from '@wrenfern/library';

interface OrderWishes {
  plan: Plan;
  people: readonly Person[];
  day: string;
  seed: number;
  /** True when items may leave their parts. */
  isAcross: boolean;
  isJson: boolean;
}

/** The best running order in words, or as data. */
export function order({ plan, people, day, seed, isAcross, isJson }: OrderWishes): string {
  const input = {
    plan,
    catalogue: builtInCatalogue,
    timing: {},
    group: groupOf(
      people.map((person) => ({ person })),
      day,
    ),
  };
  const result = orderPlan({ ...input, locks: { partsStay: !isAcross }, seed });
  const gathers = gathersOf(input);
  return isJson
    ? JSON.stringify({ ...result, gathers }, null, 2)
    : [...gathers.map(sayGather), tell(plan, result)].join('\n');
}

const sayGather = ({ label, savesS }: Gather) =>
  `To gather first: ${label}, saves ${showClock(savesS)}`;

function tell(plan: Plan, result: OrderResult): string {
  const how =
    result.status === 'proved best'
      ? 'proved best'
      : `within ${(result.gap * 100).toFixed(1)} % of the best`;
  const lines = [
    `${plan.title}, ${rulesOf(plan.school).name}: ${how} (${result.states} sets of items looked at)`,
    `  today ${seconds(result.nowS)}${broken(result.brokenNow)}, best ${seconds(result.bestS)}, in seconds-equivalent`,
  ];
  if (result.moves.length === 0) return [...lines, 'Nothing to gain.'].join('\n');
  for (const move of result.moves) {
    const gains = move.gains.map(
      ({ cost, seconds: gained }) =>
        `${COST_WORDS[cost]} ${gained > 0 ? '' : '+'}${seconds(-gained)}`,
    );
    const alone =
      move.gainS > 0 ? `gains ${seconds(move.gainS)} by itself` : 'pays with the others';
    const mends = move.mends > 0 ? ', keeps a rule that must hold' : '';
    lines.push(
      `  ${move.label}: ${alone}${mends}${gains.length > 0 ? ` (${gains.join(', ')})` : ''}`,
    );
  }
  lines.push('', 'What it is made of, today and best:');
  for (const cost of COST_IDS) {
    if (result.now[cost] === 0 && result.best[cost] === 0) continue;
    lines.push(
      `  ${COST_WORDS[cost].padEnd(34)} ${seconds(result.now[cost]).padStart(7)} ${seconds(result.best[cost]).padStart(7)}`,
    );
  }
  return lines.join('\n');
}

function broken(count: number): string {
  if (count === 0) return '';
  return ` and ${count} ${count > 1 ? 'rules' : 'rule'} broken that must hold`;
}

function seconds(value: number): string {
  return `${Math.round(value)} s`;
}
