import type { Catalogue } from '../movement/catalogue.ts';
import type { Prop } from '../movement/vocabulary.ts';
import type { OptionsPlan } from '../people/choose-options.ts';
import { mixedParts, type MixedPlan } from '../plan/tracks.ts';
import type { TimedTrack } from '../plan/timing/time-tracks.ts';
import type { TimedItem, Timeline } from '../plan/timing/timeline.ts';
import { planProps, shortOf, type Cupboard, type PropNeed, type PropSpan } from './props.ts';

/**
 * The props of a class of two groups. What one group laid down at the change-over the other takes up: each half has to
 * be served by itself, and the larger of the two is what the cupboard must hold.
 */
export function propsOfTracks(
  plan: MixedPlan,
  tracks: readonly { track: TimedTrack; options: OptionsPlan }[],
  catalogue: Catalogue,
  cupboard: Cupboard,
): PropNeed[] {
  const order = new Map(
    plan.segments.flatMap(({ items }) => items).map(({ id }, at) => [id, at] as const),
  );
  const ofHalf = (half: 0 | 1) =>
    tracks.map(({ track, options }) =>
      planProps(
        track.plan,
        withoutHalf(track, half === 0 ? 1 : 0, plan),
        options,
        catalogue,
        cupboard,
      ).map((need) => ({ ...need, spans: need.spans.map((span) => asWritten(span, track)) })),
    );
  const halves = [ofHalf(0), ofHalf(1)];
  const needs = new Map<Prop, PropNeed>();
  for (const half of halves) {
    for (const [prop, need] of sideBySide(half)) {
      const known = needs.get(prop);
      needs.set(prop, known ? oneThenOther(known, need) : need);
    }
  }
  return [...needs.values()].map((need) => ({
    ...need,
    short: shortOf(need),
    spans: need.spans.toSorted((a, b) => (order.get(a.itemId) ?? 0) - (order.get(b.itemId) ?? 0)),
  }));
}

/** The track without what it does in one of its halves. */
function withoutHalf(
  { start, timeline, written }: TimedTrack,
  half: 0 | 1,
  plan: MixedPlan,
): Timeline {
  const first = new Set(mixedParts(plan).at[start].map(({ id }) => id));
  const isOfHalf = ({ segmentId, itemId }: TimedItem) =>
    half === 1 ? written.has(itemId) : first.has(segmentId);
  return { ...timeline, items: timeline.items.filter((item) => !isOfHalf(item)) };
}

const asWritten = (span: PropSpan, { written }: TimedTrack): PropSpan => ({
  ...span,
  itemId: written.get(span.itemId) ?? span.itemId,
});

/** What both groups need at the same time. */
function sideBySide(groups: readonly PropNeed[][]): Map<Prop, PropNeed> {
  const needs = new Map<Prop, PropNeed>();
  for (const need of groups.flat()) {
    const known = needs.get(need.prop);
    needs.set(
      need.prop,
      known
        ? {
            ...joined(known, need),
            inAll: known.inAll + need.inAll,
            peak: known.peak + need.peak,
            byMinute: known.byMinute.map((count, at) => count + (need.byMinute[at] ?? 0)),
          }
        : need,
    );
  }
  return needs;
}

/** What is needed in one half and then in the other. */
function oneThenOther(first: PropNeed, second: PropNeed): PropNeed {
  return {
    ...joined(first, second),
    inAll: Math.max(first.inAll, second.inAll),
    peak: Math.max(first.peak, second.peak),
    byMinute: first.byMinute.map((count, at) => Math.max(count, second.byMinute[at] ?? 0)),
  };
}

function joined(one: PropNeed, other: PropNeed): PropNeed {
  const spans = [...one.spans];
  for (const span of other.spans) {
    const at = spans.findIndex(({ itemId }) => itemId === span.itemId);
    const known = spans[at];
    if (!known) spans.push(span);
    else if (span.count > known.count) spans[at] = { ...known, count: span.count };
  }
  return { ...one, spans, people: [...new Set([...one.people, ...other.people])] };
}
