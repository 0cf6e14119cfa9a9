import { showClock } from '../../plan/show-time.ts';
import type { TimedItem } from '../../plan/timing/timeline.ts';
import { secondsOf } from '../../plan/timing/timeline.ts';
import { pauseAfter, together } from '../repairs.ts';
import type { Problem, Repair, Rule, RuleContext, Worked } from '../rule.ts';

/** Nobody goes longer than this without a pause. Common practice. */
const LONGEST_S = 1200;
/** The least that a rest lasts to be one. */
const REST_S = 20;
/** From this effort the hardest block wants a pause behind it, within so many items. */
const HARD = 4;
const WITHIN = 2;
const WATER_S = 40;

const isPause = (item: TimedItem) => item.kind === 'pause' || secondsOf(item, 'rest') >= REST_S;

export const water: Rule = {
  id: 'water',
  name: 'Water',
  statement: 'There is a pause after the hardest block and at least every 20 minutes.',
  kind: 'care',
  why: 'Thirst and breath come after the effort; without a moment for them the next exercise pays.',
  usually: 'should',
  find: (context) => [...tooLong(context), ...afterHardest(context)],
};

function tooLong(context: RuleContext): Problem[] {
  const { timeline, worked } = context;
  const problems: Problem[] = [];
  let sinceS = 0;
  for (const item of [...timeline.items, undefined]) {
    const untilS = item ? item.startS : timeline.totalS;
    if (item && !isPause(item)) continue;
    if (untilS - sinceS > LONGEST_S) problems.push(drought(context, sinceS, untilS));
    if (item) sinceS = item.startS + item.durationS;
  }
  return worked.length === 0 ? [] : problems;
}

function drought(context: RuleContext, fromS: number, toS: number): Problem {
  const inside = context.worked.filter(
    ({ timed }) => timed.startS >= fromS && timed.startS + timed.durationS < toS,
  );
  const middleS = (fromS + toS) / 2;
  const ends = ({ timed }: Worked) => timed.startS + timed.durationS;
  const nearest = [...inside].sort(
    (a, b) => Math.abs(ends(a) - middleS) - Math.abs(ends(b) - middleS),
  );
  return {
    key: `from ${inside[0]?.item.id ?? ''}`,
    itemIds: [],
    sentence: `From ${showClock(fromS)} to ${showClock(toS)} there is no pause: ${showClock(toS - fromS)}.`,
    candidates: () => [
      ...evenly(context, inside, fromS, toS),
      ...nearest.slice(0, 3).flatMap((each) => [
        ...pauseAfter(context, each, 'Water', WATER_S),
        {
          label: `Rest ${REST_S + 10} s after ${each.exercise.name}`,
          edit: { type: 'setRest' as const, itemId: each.item.id, restS: REST_S + 10 },
        },
      ]),
    ],
  };
}

/** For a long class: as many pauses as it takes, at even distances. */
function evenly(
  context: RuleContext,
  inside: readonly Worked[],
  fromS: number,
  toS: number,
): Repair[] {
  const count = Math.ceil((toS - fromS) / LONGEST_S) - 1;
  if (count < 2) return [];
  const anchors = Array.from({ length: count }, (_, index) => {
    const wantedS = fromS + ((index + 1) * (toS - fromS)) / (count + 1);
    const distance = ({ timed }: Worked) => Math.abs(timed.startS + timed.durationS - wantedS);
    return inside.reduce<Worked | undefined>(
      (best, each) => (!best || distance(each) < distance(best) ? each : best),
      undefined,
    );
  });
  const taken: string[] = [];
  const edit = together(
    // From the last to the first, so that no pause moves the place of another.
    anchors.toReversed().flatMap((anchor) =>
      anchor
        ? pauseAfter(context, anchor, 'Water', WATER_S, taken).map((repair) => {
            if (repair.edit.type === 'addItem') taken.push(repair.edit.item.id);
            return repair.edit;
          })
        : [],
    ),
  );
  return edit ? [{ label: `${count} pauses for water, ${WATER_S} s each`, edit }] : [];
}

function afterHardest(context: RuleContext): Problem[] {
  const { worked, timeline } = context;
  const most = Math.max(...worked.map(({ timed }) => timed.effort));
  const last = worked.findLast(({ timed }) => timed.effort === most);
  if (most < HARD || !last) return [];
  const after = timeline.items.slice(last.at, last.at + 1 + WITHIN);
  if (after.some(isPause) || last === worked.at(-1)) return [];
  return [
    {
      key: `hard ${last.item.id}`,
      itemIds: [last.item.id],
      sentence: `${last.exercise.name} is the hardest (${most} of 5), and no pause follows within two items.`,
      candidates: () => [
        ...pauseAfter(context, last, 'Water', WATER_S),
        {
          label: `Rest 30 s after ${last.exercise.name}`,
          edit: { type: 'setRest', itemId: last.item.id, restS: 30 },
        },
      ],
    },
  ];
}
