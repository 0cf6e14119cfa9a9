import { listWords } from '../movement/words.ts';
import type { Attendee } from '../people/attendee.ts';
import type { OptionsPlan } from '../people/choose-options.ts';
import { classVerdicts, minutesOf, type OverSum } from '../people/class-verdict.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import type { Plan } from '../plan/plan.ts';
import { addAfterIt, leaveOut, moveAfterEach } from './repairs.ts';
import type { OpenFinding, Repair, RuleContext, Worked } from './rule.ts';
import { unusedOf } from './running-order.ts';

interface SumInput {
  rules: RuleContext;
  options: OptionsPlan;
  attendees: readonly Attendee[];
  day: string;
  /** Options of an edited plan, for the same people. */
  rework: (plan: Plan) => { options: OptionsPlan };
}

/** What lies flat too long: time on the hands has a rule of its own. */
type FlatSum = Exclude<OverSum['sum'], 'handsOnceS'>;

/** Who would lie flat longer than is usual for them, in one go or in all; nobody’s condition is told. */
export function sumFindings(input: SumInput): OpenFinding[] {
  const over = overAt(input, input.rules.plan, input.options);
  return (['flatOnceS', 'flatS'] as const).flatMap((sum): OpenFinding[] => {
    const these = over.filter((each) => each.sum === sum);
    const [first] = these;
    if (!first) return [];
    const longest = Math.max(...these.map(({ seconds }) => seconds));
    const lying = lyingItems(input.rules);
    return [
      {
        rule: 'lying-within',
        kind: 'care',
        binding: true,
        statement: 'Nobody lies flat longer than is good for them, in one go or in all.',
        why: 'Some people feel faint or breathless after minutes flat on the back, without having noticed that it was long.',
        key: sum,
        itemIds: lying.map(({ item }) => item.id),
        sentence: `${listWords(these.map(({ name }) => name))} would lie ${first.lies} for ${minutesOf(longest)}; ${minutesOf(first.mostS)} is usual.`,
        repairs: () =>
          breaksOf(input.rules, lying, sum).filter((repair) => settles(repair, sum, input)),
      },
    ];
  });
}

function overAt(
  { rules, attendees, day }: Pick<SumInput, 'rules' | 'attendees' | 'day'>,
  plan: Plan,
  options: OptionsPlan,
): (OverSum & { name: string })[] {
  const verdicts = classVerdicts(plan, attendees, options, rules.catalogue, day);
  return attendees.flatMap(({ person }) =>
    (verdicts.get(person.id)?.over ?? []).map((sum) => ({ ...sum, name: person.name })),
  );
}

const lyingItems = ({ worked }: RuleContext) =>
  worked.filter(({ exercise }) => exercise.position === 'supine');

/** Something off the back in the middle of it; where it is too long in all, less of it. */
function breaksOf(rules: RuleContext, lying: readonly Worked[], sum: FlatSum): Repair[] {
  if (sum === 'flatS') return longestFirst(lying).map(leaveOut);
  const middle = longestRun(lying);
  const anchor = middle[Math.floor((middle.length - 1) / 2)];
  if (!anchor) return [];
  const others = rules.worked.filter(
    ({ exercise, at }) => exercise.position !== 'supine' && at > anchor.at,
  );
  const fresh = unusedOf(rules).filter(
    ({ position, family, machine }) =>
      machine === rules.plan.machine && BREAKS.includes(position) && family !== 'plank',
  );
  return [
    ...others.slice(0, 3).flatMap((each) => moveAfterEach(rules, each, [anchor])),
    ...addAfterIt(rules, anchor, fresh.slice(0, 6)),
    ...longestFirst(lying).map(leaveOut),
  ];
}

/** Where a class that lies turns to most easily. */
const BREAKS: readonly string[] = ['side-lying', 'seated', 'quadruped'];

const longestFirst = (items: readonly Worked[]) =>
  [...items].sort((one, other) => other.timed.durationS - one.timed.durationS).slice(0, 3);

/** The items that lie one after another for the longest time. */
function longestRun(lying: readonly Worked[]): Worked[] {
  const runs: Worked[][] = [];
  for (const each of lying) {
    const open = runs.at(-1);
    if (open && each.at === (open.at(-1)?.at ?? 0) + 1) open.push(each);
    else runs.push([each]);
  }
  const lasts = (run: readonly Worked[]) =>
    run.reduce((total, { timed }) => total + timed.durationS, 0);
  return runs.sort((one, other) => lasts(other) - lasts(one))[0] ?? [];
}

function settles(repair: Repair, sum: FlatSum, input: SumInput): boolean {
  const result = applyEdit(input.rules.plan, repair.edit);
  if (!result.ok) return false;
  const { options } = input.rework(result.plan);
  return overAt(input, result.plan, options).every((each) => each.sum !== sum);
}
