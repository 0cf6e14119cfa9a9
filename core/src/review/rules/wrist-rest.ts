import { showClock } from '../../plan/show-time.ts';
import { secondsOf } from '../../plan/timing/timeline.ts';
import { onHands } from '../coverage.ts';
import { addAfterIt, leaveOut, moveAfterEach } from '../repairs.ts';
import type { Problem, Repair, Rule, RuleContext, Worked } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

/** Time on the hands without a break. Who has to spare the wrists is off them by their own way. Common practice. */
const MOST_S = 240;

/** A break in the middle of four minutes is worth a change of position. */
const MINUTE_ON_HANDS_S = 4;

/** Two that work for no longer than this together leave the wrists half of what they bear. */
const FREE_S = 120;

const workS = ({ timed }: Worked) => secondsOf(timed, 'work');

export const wristRest: Rule = {
  id: 'wrist-rest',
  name: 'Rest for the wrists',
  statement: 'Not more than about 4 minutes of work on the hands without a break.',
  kind: 'load',
  why: 'Wrists are bent back under the weight of the trunk; they tire before anything else says so.',
  usually: 'must',
  order: [
    {
      cost: 'wrists',
      neighbours: (from, to) =>
        onHands(from) && onHands(to)
          ? (Math.max(0, workS(from) + workS(to) - FREE_S) / 60) * MINUTE_ON_HANDS_S
          : 0,
    },
  ],
  find(context) {
    return runsOnHands(context).flatMap((run): Problem[] => {
      // Talk and setting up are done off the hands.
      const seconds = run.reduce((sum, { timed }) => sum + secondsOf(timed, 'work'), 0);
      const [first, last] = [run[0], run.at(-1)];
      if (seconds <= MOST_S || !first || !last) return [];
      const names =
        run.length > 1 ? `${first.exercise.name} to ${last.exercise.name}` : first.exercise.name;
      return [
        {
          key: first.item.id,
          itemIds: run.map(({ item }) => item.id),
          sentence: `${names}: ${showClock(seconds)} of work on the hands without a break; ${showClock(MOST_S)} is the most.`,
          candidates: () => breaks(context, run),
        },
      ];
    });
  },
};

function runsOnHands({ worked }: RuleContext): Worked[][] {
  const runs: Worked[][] = [];
  let open: Worked[] | undefined;
  for (const each of worked) {
    if (!onHands(each)) {
      open = undefined;
    } else if (open && each.at === (open.at(-1)?.at ?? 0) + 1) {
      open.push(each);
    } else {
      open = [each];
      runs.push(open);
    }
  }
  return runs;
}

/** Something off the hands in the middle; else another option, else fewer items. */
function breaks(context: RuleContext, run: readonly Worked[]): Repair[] {
  const middle = run.slice(0, -1).sort((a, b) => fromMiddle(a, run) - fromMiddle(b, run));
  const resting = unusedOf(context)
    .filter(
      ({ family, options }) =>
        family === 'release' && options.every((option) => !onHands({ option })),
    )
    .sort((a, b) => Number(b.position === 'quadruped') - Number(a.position === 'quadruped'));
  const others = context.worked.filter((each) => !onHands(each) && each.at > (run.at(-1)?.at ?? 0));
  return [
    ...middle.slice(0, 2).flatMap((anchor) => addAfterIt(context, anchor, resting.slice(0, 2))),
    ...middle
      .slice(0, 1)
      .flatMap((anchor) =>
        others.slice(0, 3).flatMap((each) => moveAfterEach(context, each, [anchor])),
      ),
    ...run.flatMap(offTheHands),
    ...[...run].sort((a, b) => b.timed.durationS - a.timed.durationS).map(leaveOut),
  ];
}

function fromMiddle(worked: Worked, run: readonly Worked[]): number {
  const start = run[0]?.timed.startS ?? 0;
  const end = (run.at(-1)?.timed.startS ?? 0) + (run.at(-1)?.timed.durationS ?? 0);
  return Math.abs(worked.timed.startS + worked.timed.durationS - (start + end) / 2);
}

function offTheHands({ item, exercise }: Worked): Repair[] {
  const options = exercise.options
    .filter((option) => !onHands({ option }))
    .map(({ number }) => number);
  if (options.length === 0) return [];
  return [
    {
      label: `Offer ${exercise.name} off the hands only`,
      edit: { type: 'setOptions', itemId: item.id, options },
    },
  ];
}
