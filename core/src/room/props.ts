import { z } from 'zod';
import { aidedOption } from '../body/aids/aided-option.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import type { PropUse } from '../movement/exercise.ts';
import { PROPS, type Prop, type PropPlace } from '../movement/vocabulary.ts';
import type { Choice } from '../people/choice.ts';
import type { OptionsPlan } from '../people/choose-options.ts';
import { propsHeld } from '../plan/item-props.ts';
import { exerciseItemsOf, type ExerciseItem, type Plan } from '../plan/plan.ts';
import type { Timeline } from '../plan/timing/timeline.ts';

/** How many of each prop the studio owns; a prop left out is not owned. */
export const Cupboard = z.partialRecord(z.enum(PROPS), z.number().int().min(0).max(500));
export type Cupboard = z.infer<typeof Cupboard>;

/** What may be used instead, by what the prop is there for. Common practice. */
const STANDS_IN: Record<Prop, string> = {
  'small-ball': 'a pillow folded in half (not where the ball is there to wobble)',
  'stability-ball': 'the floor version',
  cushion: 'a folded towel or pillow',
  block: 'a firm folded towel',
  band: 'a towel',
  blanket: 'a block',
  towel: 'a folded blanket corner',
  pad: 'the rolled edge of the mat',
  'spine-support': 'a ball and a cushion, for small work',
  chair: 'a box',
  ring: 'a small ball',
  roller: 'a blanket rolled tight',
  'hand-weight': 'a small bottle of water',
  pole: 'a band held taut',
};

/** One stretch of the class in which a prop is held in one place. */
export interface PropSpan {
  itemId: string;
  startS: number;
  endS: number;
  count: number;
  places: PropPlace[];
}

export interface PropNeed {
  prop: Prop;
  /** Over the whole class: each person keeps their own kit. */
  inAll: number;
  /** Most in use at one moment. */
  peak: number;
  owned: number;
  short: number;
  standsIn: string;
  /** In use during each minute of the class, the first minute first. */
  byMinute: number[];
  spans: PropSpan[];
  /** Who needs one, by person id. */
  people: string[];
}

/** How many of each prop the class needs, each minute and in all, against the cupboard. */
export function planProps(
  plan: Plan,
  timeline: Timeline,
  options: OptionsPlan,
  catalogue: Catalogue,
  cupboard: Cupboard,
): PropNeed[] {
  const needs = new Map<Prop, PropNeed>();
  const kits = new Map<Prop, Map<string, number>>();
  const items = new Map(exerciseItemsOf(plan).map((item) => [item.id, item]));
  const before = new Map<string, PropUse[]>();
  for (const item of timeline.items) {
    const planned = items.get(item.itemId);
    if (!planned) continue;
    const here = new Map<Prop, PropSpan>();
    for (const [personId, choices] of options.choices) {
      const choice = choices.get(item.itemId);
      const said = options.guarded.has(personId) ? keepingSupports(planned, catalogue) : planned;
      const held = choice ? heldBy(choice, said, catalogue, before.get(personId) ?? []) : [];
      before.set(personId, held);
      for (const use of held) {
        const span = here.get(use.prop) ?? {
          itemId: item.itemId,
          startS: item.startS,
          endS: item.startS + item.durationS,
          count: 0,
          places: [],
        };
        span.count += use.count;
        if (!span.places.includes(use.place)) span.places.push(use.place);
        here.set(use.prop, span);
        addToKit(kits, use, personId);
      }
    }
    for (const [prop, span] of here) needFor(needs, prop, cupboard, timeline).spans.push(span);
  }
  for (const need of needs.values()) finish(need, kits.get(need.prop) ?? new Map<string, number>());
  return [...needs.values()].sort((a, b) => PROPS.indexOf(a.prop) - PROPS.indexOf(b.prop));
}

/** The props that one person holds while doing their choice, on whichever side needs more. */
function heldBy(
  choice: Choice,
  item: ExerciseItem,
  catalogue: Catalogue,
  before: readonly PropUse[],
): PropUse[] {
  const onLeft = choice.onLeft ? heldBy(choice.onLeft, item, catalogue, before) : [];
  if (choice.kind === 'rest') return onLeft;
  const isSwap = choice.kind === 'swap';
  const option = catalogue.get(isSwap ? choice.exercise : item.exercise)?.options[
    choice.option - 1
  ];
  const done = option && (aidedOption(option, choice.how?.aids ?? []) ?? option);
  // What stands in has props of its own; what the plan says of this exercise's is not meant for it.
  const uses = propsHeld(done?.props ?? [], isSwap ? {} : item, before);
  const also = onLeft.filter((use) => !uses.some((known) => known.prop === use.prop));
  return [...uses, ...also];
}

/** For whoever has something in force: what supports them in some option is not left away. */
function keepingSupports(item: ExerciseItem, catalogue: Catalogue): ExerciseItem {
  const { without = [], added } = item.props ?? {};
  if (without.length === 0) return item;
  const uses = catalogue.get(item.exercise)?.options.flatMap(({ props }) => props) ?? [];
  const left = without.filter(
    (prop) => !uses.some((use) => use.prop === prop && use.role === 'support'),
  );
  const props = { ...(added ? { added } : {}), ...(left.length > 0 ? { without: left } : {}) };
  return { ...item, props };
}

function addToKit(kits: Map<Prop, Map<string, number>>, use: PropUse, person: string): void {
  const kit = kits.get(use.prop) ?? new Map<string, number>();
  kit.set(person, Math.max(kit.get(person) ?? 0, use.count));
  kits.set(use.prop, kit);
}

function needFor(
  needs: Map<Prop, PropNeed>,
  prop: Prop,
  cupboard: Cupboard,
  timeline: Timeline,
): PropNeed {
  const known = needs.get(prop);
  if (known) return known;
  const need: PropNeed = {
    prop,
    inAll: 0,
    peak: 0,
    owned: cupboard[prop] ?? 0,
    short: 0,
    standsIn: STANDS_IN[prop],
    byMinute: Array.from({ length: Math.ceil(timeline.totalS / 60) }, () => 0),
    spans: [],
    people: [],
  };
  needs.set(prop, need);
  return need;
}

/** Everybody lies on what stands in for it: nobody goes without. */
const ALWAYS_AT_HAND: ReadonlySet<Prop> = new Set(['pad'] as const);

/** How many are missing. */
export const shortOf = ({ prop, inAll, owned }: Pick<PropNeed, 'prop' | 'inAll' | 'owned'>) =>
  ALWAYS_AT_HAND.has(prop) ? 0 : Math.max(0, inAll - owned);

function finish(need: PropNeed, kit: Map<string, number>): void {
  need.people = [...kit.keys()];
  need.inAll = [...kit.values()].reduce((sum, count) => sum + count, 0);
  need.short = shortOf(need);
  for (const span of need.spans) {
    const lastMinute = Math.ceil(span.endS / 60);
    for (let minute = Math.floor(span.startS / 60); minute < lastMinute; minute += 1) {
      need.byMinute[minute] = Math.max(need.byMinute[minute] ?? 0, span.count);
    }
    need.peak = Math.max(need.peak, span.count);
  }
}
