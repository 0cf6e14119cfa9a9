import { listWords, PROP_WORDS } from '../movement/words.ts';
import type { Attendee } from '../people/attendee.ts';
import type { OptionsPlan } from '../people/choose-options.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import { offeredOptions, type Plan } from '../plan/plan.ts';
import { showClock } from '../plan/show-time.ts';
import type { PropNeed } from '../room/props.ts';
import { together, withoutAdded } from './repairs.ts';
import type { OpenFinding, Repair, RuleContext } from './rule.ts';

interface RoomInput {
  rules: Pick<RuleContext, 'plan' | 'timeline' | 'worked'>;
  options: OptionsPlan;
  props: readonly PropNeed[];
  attendees: readonly Attendee[];
  versionsAtOnce: number;
  /** Options and props of an edited plan, for the same people and cupboard. */
  rework: (plan: Plan) => { options: OptionsPlan; props: PropNeed[] };
}

/** What the people who come, and the cupboard, do not fit. */
export function roomFindings(input: RoomInput): OpenFinding[] {
  return [...withoutOption(input), ...tooManyVersions(input), ...propsShort(input)];
}

function withoutOption(input: RoomInput): OpenFinding[] {
  const { rules, options, attendees } = input;
  const names = new Map(attendees.map(({ person }) => [person.id, person.name]));
  return rules.worked.flatMap(({ item, exercise }): OpenFinding[] => {
    const resting = restingAt(item.id, options);
    if (resting.length === 0) return [];
    const who = listWords(resting.map((id) => names.get(id) ?? id));
    return [
      {
        rule: 'everyone-has-an-option',
        kind: 'care',
        binding: true,
        statement: 'Everyone who comes has an option, or an exercise that stands in.',
        why: 'Whoever has nothing to do either rests without having been told to, or joins in what does not suit them.',
        key: `option ${item.id}`,
        itemIds: [item.id],
        sentence: `${who} ${resting.length > 1 ? 'have' : 'has'} no option in ${exercise.name} and nothing that stands in.`,
        repairs: () =>
          offerMore(item, exercise.options.length, offeredOptions(item, exercise)).filter(
            (repair) => everyoneActs(repair, item.id, input),
          ),
      },
    ];
  });
}

/** Who has nothing to do at an item, unless the teacher chose so. */
function restingAt(itemId: string, options: OptionsPlan): string[] {
  return (options.versions.get(itemId) ?? [])
    .filter(({ choice }) => choice.kind === 'rest')
    .filter(({ choice }) => !choice.reasons.some((reason) => reason.code === 'by-hand'))
    .flatMap((version) => version.people);
}

function everyoneActs(repair: Repair, itemId: string, input: RoomInput): boolean {
  const result = applyEdit(input.rules.plan, repair.edit);
  return result.ok && restingAt(itemId, input.rework(result.plan).options).length === 0;
}

/** Offering every option again, or leaving the exercise out. */
function offerMore(item: { id: string }, all: number, offered: number[]): Repair[] {
  const remove: Repair = {
    label: 'Leave it out',
    edit: { type: 'removeItem', itemId: item.id },
  };
  if (offered.length === all) return [remove];
  return [{ label: 'Offer every option', edit: { type: 'setOptions', itemId: item.id } }, remove];
}

function tooManyVersions({ rules, options, versionsAtOnce }: RoomInput): OpenFinding[] {
  return rules.worked.flatMap(({ item, exercise }): OpenFinding[] => {
    const versions = options.versions.get(item.id) ?? [];
    const ways = options.atOnce.get(item.id) ?? versions.length;
    if (ways <= versionsAtOnce) return [];
    const counts = new Map<number, number>();
    for (const { choice, people } of versions) {
      if (choice.kind !== 'option') continue;
      counts.set(choice.option, (counts.get(choice.option) ?? 0) + people.length);
    }
    const busiest = [...counts]
      .map(([option, count]) => ({ option, count }))
      .sort((a, b) => b.count - a.count)
      .slice(0, versionsAtOnce - 1)
      .map(({ option }) => option)
      .sort((a, b) => a - b);
    return [
      {
        rule: 'versions-at-once',
        kind: 'flow',
        binding: true,
        statement: `At most ${versionsAtOnce} ways of one exercise are cued at once.`,
        why: 'With more, some people are not seen and some options are never spoken.',
        key: `versions ${item.id}`,
        itemIds: [item.id],
        sentence: `${exercise.name} would run in ${ways} ways at once; ${versionsAtOnce} can be cued.`,
        repairs: () =>
          busiest.length > 0
            ? [
                {
                  label: `Offer only ${busiest.join(' and ')}`,
                  edit: { type: 'setOptions', itemId: item.id, options: busiest },
                },
              ]
            : [],
      },
    ];
  });
}

function propsShort(input: RoomInput): OpenFinding[] {
  const {
    props,
    rules: { timeline },
  } = input;
  return props
    .filter((need) => need.short > 0)
    .map((need) => {
      const first = need.spans[0];
      const name = PROP_WORDS[need.prop];
      return {
        rule: 'props-suffice',
        kind: 'flow' as const,
        binding: true,
        statement: 'There are enough props for everyone who comes.',
        why: 'A prop that is missing is found out in the middle of the flow.',
        key: `prop ${need.prop}`,
        itemIds: need.spans.map((span) => span.itemId),
        sentence: `${need.short} ${name} short: ${need.inAll} wanted, ${need.owned} in the cupboard, first at ${showClock(first?.startS ?? 0)} of ${showClock(timeline.totalS)}. Stands in: ${need.standsIn}.`,
        repairs: () => withFewer(need, input),
      };
    });
}

/** The prop left out where the exercise can be done without it: at one item, else wherever that goes. */
function withFewer(need: PropNeed, input: RoomInput): Repair[] {
  const { plan, worked } = input.rules;
  const name = PROP_WORDS[need.prop];
  const held = new Set(need.spans.map(({ itemId }) => itemId));
  const bare = worked.flatMap((each): Repair[] => {
    const { item, exercise } = each;
    if (!held.has(item.id)) return [];
    const brought = withoutAdded(each, need.prop);
    if (brought.length > 0) return brought;
    const options = offeredOptions(item, exercise).filter((number) =>
      exercise.options[number - 1]?.props.every(({ prop }) => prop !== need.prop),
    );
    if (options.length === 0) return [];
    const edit = { type: 'setOptions' as const, itemId: item.id, options };
    return [{ label: `${exercise.name} without the ${name}`, edit }];
  });
  const edit = bare.length > 1 ? together(bare.map((each) => each.edit)) : undefined;
  const all = edit ? [{ label: `No ${name} where it can be left out`, edit }] : [];
  return [...bare, ...all].filter(({ edit }) => {
    const result = applyEdit(plan, edit);
    return (
      result.ok &&
      input.rework(result.plan).props.every(({ prop, short }) => prop !== need.prop || short === 0)
    );
  });
}
