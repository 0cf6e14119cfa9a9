import type { Machine } from '../movement/vocabulary.ts';
import { listWords, PLACE_WORDS } from '../movement/words.ts';
import { showClock } from '../plan/show-time.ts';
import { mixedParts, type MixedPlan } from '../plan/tracks.ts';
import type { TimedTracks } from '../plan/timing/time-tracks.ts';
import { secondsOf } from '../plan/timing/timeline.ts';
import type { GearBlock } from '../room/gear-blocks.ts';
import type { OpenFinding, Repair, RuleContext, Worked } from './rule.ts';

interface TwoGroupInput {
  plan: MixedPlan;
  tracks: TimedTracks;
  /** Every item once, as it is written. */
  rules: Pick<RuleContext, 'worked' | 'timeline' | 'familiar'>;
  gear: readonly GearBlock[];
  /** What would make a half so many seconds longer, or shorter where negative. */
  fitRepairs: (station: Machine, changeS: number) => Repair[];
}

/** What a class of two groups that change over asks. All of it common practice. */
const HALF = {
  /** One group waits for the other; less than this is a sip of water. */
  waitS: 60,
  exercises: { least: 7, most: 14, usual: '9 to 12' },
  gearBlocks: 5,
  boxes: 1,
  /** The mat half runs on few words: talk and arranging for longer than this share of it is many. */
  words: 0.33,
  changeOver: { least: 90, most: 240, usual: '2 to 3 min' },
} as const;

/** Whether two groups can be taught at once by one teacher, and change over at the same moment. */
export function twoGroupFindings(input: TwoGroupInput): OpenFinding[] {
  return [
    ...emptyHalf(input),
    ...outOfPlace(input),
    ...unequal(input),
    ...newOnTheMat(input),
    ...manyWords(input),
    ...numbers(input),
    ...machineHalf(input),
    ...changeOver(input),
  ];
}

const EQUAL = {
  rule: 'halves-equal',
  kind: 'shape',
  binding: true,
  statement: 'Both halves last equally long.',
  why: 'Whoever is done first stands and waits, and grows cold.',
} as const;

function emptyHalf({ plan }: TwoGroupInput): OpenFinding[] {
  const { at } = mixedParts(plan);
  const isEmpty = (station: Machine) => at[station].every(({ items }) => items.length === 0);
  return (['reformer', 'mat'] as const).filter(isEmpty).map((station) => ({
    ...EQUAL,
    key: `empty ${station}`,
    itemIds: [],
    sentence: `Nothing is planned ${PLACE_WORDS[station]} yet.`,
    repairs: () => [],
  }));
}

/** What is done on a machine stands among what all do together, or the other way round. */
function outOfPlace({ plan, rules }: TwoGroupInput): OpenFinding[] {
  const stationOf = new Map(plan.segments.map(({ id, station }) => [id, station ?? 'mat']));
  return rules.worked.flatMap(({ item, timed, exercise }): OpenFinding[] => {
    const here = stationOf.get(timed.segmentId);
    if (here === exercise.machine) return [];
    const there = plan.segments.find(({ station }) => station === exercise.machine);
    return [
      {
        rule: 'at-its-place',
        kind: 'care',
        binding: true,
        statement: 'What is done on the machines stands in their half, all else on the mat.',
        why: 'A group can only do what its place holds.',
        key: item.id,
        itemIds: [item.id],
        sentence: `${exercise.name} is done ${PLACE_WORDS[exercise.machine]} and stands elsewhere.`,
        repairs: () =>
          there
            ? [
                {
                  label: `Into ${there.name}`,
                  edit: {
                    type: 'moveItem',
                    itemId: item.id,
                    segmentId: there.id,
                    index: there.items.length,
                  },
                },
              ]
            : [],
      },
    ];
  });
}

function unequal({ plan, tracks, fitRepairs }: TwoGroupInput): OpenFinding[] {
  const { at } = mixedParts(plan);
  const lasts = { mat: tracks.mat.halfS[0], reformer: tracks.reformer.halfS[0] };
  const longer: Machine = lasts.mat > lasts.reformer ? 'mat' : 'reformer';
  const shorter: Machine = longer === 'mat' ? 'reformer' : 'mat';
  const waitS = lasts[longer] - lasts[shorter];
  const isEmpty = at[shorter].every(({ items }) => items.length === 0);
  if (waitS < HALF.waitS || isEmpty) return [];
  return [
    {
      ...EQUAL,
      key: 'equal',
      itemIds: [],
      sentence: `The half ${PLACE_WORDS[longer]} takes ${showClock(lasts[longer])}, that ${PLACE_WORDS[shorter]} ${showClock(lasts[shorter])}: one group would wait ${showClock(waitS)}.`,
      repairs: () => [...fitRepairs(shorter, waitS), ...fitRepairs(longer, -waitS)].slice(0, 3),
    },
  ];
}

/** What one place holds, in turn. */
function workedAt({ plan, rules }: TwoGroupInput, station: Machine): Worked[] {
  const own = new Set(mixedParts(plan).at[station].map(({ id }) => id));
  return rules.worked.filter(({ timed }) => own.has(timed.segmentId));
}

const isNew = ({ item, exercise }: Worked, familiar: ReadonlySet<string> | undefined) =>
  item.teaching === 'full' ||
  (item.teaching === undefined && familiar !== undefined && !familiar.has(exercise.slug));

function newOnTheMat(input: TwoGroupInput): OpenFinding[] {
  const { plan, rules } = input;
  // Of a group whose classes nobody logged, nothing is known.
  if (rules.familiar?.size === 0) return [];
  const fresh = workedAt(input, 'mat').filter((each) => isNew(each, rules.familiar));
  if (fresh.length === 0) return [];
  const together = mixedParts(plan).before.at(-1);
  const names = [...new Set(fresh.map(({ exercise }) => exercise.name))];
  return [
    {
      rule: 'one-teacher',
      kind: 'care',
      binding: false,
      statement: 'What is new is taught on the machines; the mat half is known.',
      why: 'There is one teacher for two groups, and whoever works with springs needs her first.',
      key: 'new',
      itemIds: fresh.map(({ item }) => item.id),
      sentence: `${shortList(names)} ${names.length === 1 ? 'is' : 'are'} new to the group and would be taught on the mat, while the others work with springs.`,
      repairs: () =>
        fresh.slice(0, 3).flatMap(({ item, exercise }): Repair[] => [
          {
            label: `Leave out ${exercise.name}`,
            edit: { type: 'removeItem', itemId: item.id },
          },
          ...(together && fresh.length === 1
            ? [
                {
                  label: `${exercise.name} with all together first`,
                  edit: {
                    type: 'moveItem' as const,
                    itemId: item.id,
                    segmentId: together.id,
                    index: together.items.length,
                  },
                },
              ]
            : []),
        ]),
    },
  ];
}

const MOST_NAMED = 3;

function shortList(names: readonly string[]): string {
  const more = names.length - MOST_NAMED;
  return more > 0 ? `${names.slice(0, MOST_NAMED).join(', ')} and ${more} more` : listWords(names);
}

function manyWords(input: TwoGroupInput): OpenFinding[] {
  const own = new Set(workedAt(input, 'mat').map(({ item }) => item.id));
  const items = input.rules.timeline.items.filter(({ itemId }) => own.has(itemId));
  const allS = items.reduce((sum, { durationS }) => sum + durationS, 0);
  const wordsS = items.reduce((sum, item) => sum + secondsOf(item, 'teaching', 'set-up'), 0);
  if (allS === 0 || wordsS <= HALF.words * allS) return [];
  return [
    {
      rule: 'few-words',
      kind: 'flow',
      binding: false,
      statement: 'The mat half runs on few words: long series that everybody knows.',
      why: 'While she explains on the mat, nobody looks at the machines.',
      key: 'words',
      itemIds: [],
      sentence: `Words and arranging take ${showClock(wordsS)} of ${showClock(allS)} on the mat, ${Math.round((100 * wordsS) / allS)} %.`,
      repairs: () => [],
    },
  ];
}

function numbers(input: TwoGroupInput): OpenFinding[] {
  return (['reformer', 'mat'] as const).flatMap((station): OpenFinding[] => {
    const slugs = new Set(workedAt(input, station).map(({ exercise }) => exercise.slug));
    const { least, most, usual } = HALF.exercises;
    if (slugs.size === 0 || (slugs.size >= least && slugs.size <= most)) return [];
    return [
      {
        rule: 'half-size',
        kind: 'shape',
        binding: false,
        statement: `A half holds ${usual} exercises.`,
        why: 'With more there is no time to look at anybody; with fewer a half is no class of its own.',
        key: `size ${station}`,
        itemIds: [],
        sentence: `${slugs.size} exercises ${PLACE_WORDS[station]}; ${usual} are usual.`,
        repairs: () => [],
      },
    ];
  });
}

function machineHalf(input: TwoGroupInput): OpenFinding[] {
  const { gear } = input;
  const boxes = new Set(gear.flatMap(({ gear: { box } }) => (box && box !== 'none' ? [box] : [])));
  const found: OpenFinding[] = [];
  const shared = {
    rule: 'half-gear',
    kind: 'flow',
    binding: false,
    statement: 'A half on the machines has four or five settings and one box, or none.',
    why: 'Half a class leaves no time to set machines, and the other group hears nothing meanwhile.',
    repairs: () => [],
  } as const;
  if (gear.length > HALF.gearBlocks) {
    found.push({
      ...shared,
      key: 'blocks',
      itemIds: [],
      sentence: `The machines are set ${gear.length} times in one half; four or five times are usual.`,
    });
  }
  if (boxes.size > HALF.boxes) {
    found.push({
      ...shared,
      key: 'boxes',
      itemIds: [],
      sentence: 'Long box and short box stand in one half; one of them is enough.',
    });
  }
  return found;
}

function changeOver({ plan }: TwoGroupInput): OpenFinding[] {
  const { durationS } = plan.changeOver;
  const { least, most, usual } = HALF.changeOver;
  if (durationS >= least && durationS <= most) return [];
  return [
    {
      rule: 'change-over',
      kind: 'flow',
      binding: false,
      statement: `Changing over takes ${usual}, with water and the machines wiped and set.`,
      why: 'Two groups pass each other with props in their arms.',
      key: 'length',
      itemIds: [],
      sentence: `${showClock(durationS)} for changing over; ${usual} are usual.`,
      repairs: () => [
        {
          label: 'Make it 2:30',
          edit: { type: 'setDetails', details: { changeOver: { durationS: 150 } } },
        },
      ],
    },
  ];
}
