import {
  springsChanged,
  springWords,
  STRENGTHS,
  type Gear,
  type Springs,
} from '../movement/gear.ts';
import type { GearBlock } from '../room/gear-blocks.ts';
import { springName, springsOwned, springsShort, type Machines } from '../room/machines.ts';
import type { OpenFinding, Repair, RuleContext, Worked } from './rule.ts';

interface MachineInput {
  rules: Pick<RuleContext, 'plan' | 'worked'>;
  gear: readonly GearBlock[];
  machines: Machines;
  /** How many people are on the machines at the same time. */
  atOnce: number;
}

const RULE = {
  rule: 'machines-suffice',
  kind: 'care',
  binding: true,
  statement: 'There is a machine for everyone, with the springs that are asked for.',
} as const;

/** What the studio's machines do not have. Says nothing where the studio has said nothing of them. */
export function machineFindings(input: MachineInput): OpenFinding[] {
  if (input.rules.plan.machine !== 'reformer') return [];
  return [...tooFew(input), ...springsMissing(input)];
}

function tooFew({ machines, atOnce }: MachineInput): OpenFinding[] {
  const { reformers } = machines;
  if (reformers === 0 || atOnce <= reformers) return [];
  return [
    {
      ...RULE,
      why: 'Whoever has no machine stands beside one for an hour.',
      key: 'machines',
      itemIds: [],
      sentence: `${atOnce} come at once and there are ${reformers} reformers.`,
      repairs: () => [],
    },
  ];
}

function springsMissing({ rules, gear, machines }: MachineInput): OpenFinding[] {
  return gear.flatMap((block): OpenFinding[] => {
    const short = springsShort(block.gear.springs, machines);
    const [first] = block.itemIds;
    if (!short || first === undefined) return [];
    return [
      {
        ...RULE,
        why: 'Nobody can hang a spring that is not there; what is found on the spot is a guess.',
        key: `springs ${first}`,
        itemIds: block.itemIds,
        sentence: `The springs asked for are not there: ${short}.`,
        repairs: () => nearest(rules.worked, block, machines),
      },
    ];
  });
}

/** The set nearest to what was asked for that a machine has: fewest springs differ, then most pull. */
function nearest(worked: readonly Worked[], block: GearBlock, machines: Machines): Repair[] {
  const asked = block.gear.springs ?? {};
  const sets = setsOf(machines).sort(
    (a, b) =>
      springsChanged({ springs: asked }, { springs: a }) -
        springsChanged({ springs: asked }, { springs: b }) || pull(b) - pull(a),
  );
  const items = new Map(worked.map(({ item }) => [item.id, item]));
  return sets.slice(0, 2).map((springs) => ({
    label: `Hang ${springWords(springs, springName(machines))}`,
    edit: {
      type: 'together',
      edits: block.itemIds.map((itemId) => {
        const gear: Gear = { ...items.get(itemId)?.gear, springs };
        return { type: 'setGear' as const, itemId, gear };
      }),
    },
  }));
}

const pull = (springs: Springs) =>
  3 * (springs.heavy ?? 0) + 2 * (springs.medium ?? 0) + (springs.light ?? 0);

/** Every set of springs that one machine can hold. */
function setsOf(machines: Machines): Springs[] {
  const owned = springsOwned(machines);
  let sets: Springs[] = [{}];
  for (const strength of STRENGTHS) {
    sets = sets.flatMap((set) =>
      Array.from({ length: owned[strength] + 1 }, (_, count) =>
        count === 0 ? set : { ...set, [strength]: count },
      ),
    );
  }
  return sets.filter((set) => pull(set) > 0);
}
