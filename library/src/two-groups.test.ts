import { describe, expect, it } from 'vitest';
import { analyse, repairsOf, timeClass } from '@wrenfern/core/analyse';
import { pressedOn, tracksTaught } from '@wrenfern/core/analysis/tracks-taught';
import { planFromNotes } from '@wrenfern/core/formats/plan-from-notes';
import { writeMarkdown } from '@wrenfern/core/formats/plan-markdown';
import { readNotes } from '@wrenfern/core/formats/read-notes';
import { runSheet } from '@wrenfern/core/formats/run-sheet';
import type { LiveEvent } from '@wrenfern/core/live/events';
import { runClass } from '@wrenfern/core/live/run-class';
import { viewOfBoth, type WallInput } from '@wrenfern/core/live/wall-view';
import { Person } from '@wrenfern/core/people/person';
import { splitGroups } from '@wrenfern/core/people/two-groups';
import { applyEdit } from '@wrenfern/core/plan/apply-edit';
import type { Edit } from '@wrenfern/core/plan/edits';
import { itemsOf, Plan } from '@wrenfern/core/plan/plan';
import { timeTracks } from '@wrenfern/core/plan/timing/time-tracks';
import { isMixed, mixedParts, trackOf, type MixedPlan } from '@wrenfern/core/plan/tracks';
import { makeOneGroup, makeTwoGroups } from '@wrenfern/core/plan/two-group-edits';
import { groupOf } from '@wrenfern/core/review/group';
import { orderPlan } from '@wrenfern/core/search/order-plan';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import { builtInCatalogue as catalogue } from './index.ts';
import { TWO_GROUP_CLASS } from './two-group-class.ts';

if (!isMixed(TWO_GROUP_CLASS)) throw new Error('the class of two groups is one');
const plan: MixedPlan = TWO_GROUP_CLASS;
const people = Array.from({ length: 12 }, (_, index) => ({
  person: Person.parse({ id: `p${index}`, name: `Person ${index}`, level: 1 + (index % 3) }),
}));
const slugs = itemsOf(plan).flatMap((item) => (item.kind === 'exercise' ? [item.exercise] : []));
const context = {
  attendees: people,
  cupboard: { cushion: 24, block: 12, chair: 12, blanket: 12, 'small-ball': 12, pad: 12 },
  day: '2026-11-30',
  familiar: new Set(slugs),
};
const edited = (edit: Edit | undefined, of: Plan = plan): Plan => {
  const result = edit && applyEdit(of, edit);
  if (!result?.ok) throw new Error('the edit was refused');
  return result.plan;
};

describe('two groups that change over', () => {
  it('each do every item once, by one clock, and end together', () => {
    const { mat, reformer } = timeTracks(plan, catalogue);
    expect(mat.timeline.totalS).toBe(reformer.timeline.totalS);
    const written = new Set(itemsOf(plan).map(({ id }) => id));
    for (const track of [mat, reformer]) {
      const done = track.plan.segments
        .flatMap(({ items }) => items)
        .map(({ id }) => track.written.get(id) ?? id)
        .filter((id) => written.has(id));
      expect(new Set(done)).toEqual(written);
      expect(done).toHaveLength(written.size);
    }
    // What only one group does at a moment is called otherwise than what the other does then.
    const own = (of: typeof mat) => new Set(itemsOf(of.plan).map(({ id }) => id));
    const shared = [...own(mat)].filter((id) => own(reformer).has(id));
    const { before, after } = mixedParts(plan);
    const together = [...before, ...after].flatMap(({ items }) => items).length;
    expect(shared).toHaveLength(together + 1);
  });

  it('last as long as what is together, twice the longer half, and the change-over', () => {
    const { mat, reformer } = timeTracks(plan, catalogue);
    const { before, after } = mixedParts(plan);
    const ends = new Set([...before, ...after].map(({ id }) => id));
    const togetherS = reformer.timeline.segments
      .filter(({ segmentId }) => ends.has(segmentId))
      .reduce((sum, { durationS }) => sum + durationS, 0);
    const longest = [0, 1].map((half) => Math.max(mat.halfS[half] ?? 0, reformer.halfS[half] ?? 0));
    const byHand = togetherS + (longest[0] ?? 0) + 150 + (longest[1] ?? 0);
    expect(timeClass(plan, catalogue, context).totalS).toBe(byHand);
  });

  it('say once what each person does, with the props of one group at a time', () => {
    const { options, props, gear } = analyse(plan, catalogue, context);
    for (const chosen of options.choices.values()) expect(chosen.size).toBe(slugs.length);
    for (const ways of options.versions.values()) {
      expect(ways.flatMap(({ people: own }) => own)).toHaveLength(people.length);
    }
    // On the mat six people hold at a time what all twelve hold in the end.
    expect(props.some(({ people: own, inAll }) => own.length > inAll)).toBe(true);
    const { at } = mixedParts(plan);
    const onMachines = new Set(at.reformer.flatMap(({ items }) => items).map(({ id }) => id));
    expect(gear.flatMap(({ itemIds }) => itemIds).every((id) => onMachines.has(id))).toBe(true);
    expect(gear.length).toBeLessThanOrEqual(5);
  });

  it('hear nothing of two halves that are well made', () => {
    const { findings } = analyse(plan, catalogue, { ...context, attendees: [] });
    expect(findings.map(({ sentence }) => sentence)).toEqual([]);
  });
});

describe('what the review says of them', () => {
  const told = (of: Plan, more = {}) =>
    analyse(of, catalogue, { ...context, attendees: [], ...more }).findings;
  const withoutItems = (slug: string) =>
    edited({
      type: 'together',
      edits: itemsOf(plan)
        .filter((item) => item.kind === 'exercise' && item.exercise === slug)
        .map(({ id }) => ({ type: 'removeItem' as const, itemId: id })),
    });

  it('one group would wait, and what would make the halves even', () => {
    const uneven = withoutItems('reformer-bridge');
    const [finding] = told(uneven).filter(({ rule }) => rule === 'halves-equal');
    expect(finding?.sentence).toMatch(/one group would wait \d:\d\d/);
    const repairs = repairsOf(uneven, catalogue, context, { rule: 'halves-equal', key: 'equal' });
    expect(repairs.length).toBeGreaterThan(0);
    const waits = (of: Plan) => {
      if (!isMixed(of)) throw new Error('one group');
      const { mat, reformer } = timeTracks(of, catalogue, context);
      return Math.abs(mat.halfS[0] - reformer.halfS[0]);
    };
    for (const { edit } of repairs) {
      expect(waits(edited(edit, uneven))).toBeLessThan(waits(uneven));
    }
  });

  it('what is new belongs to the machines: one teacher, two groups', () => {
    const familiar = new Set(slugs.filter((slug) => slug !== 'bird-dog'));
    const found = told(plan, { familiar }).find(({ rule }) => rule === 'one-teacher');
    expect(found?.sentence).toContain('Bird dog is new to the group');
    const onMachines = new Set(slugs.filter((slug) => slug !== 'elephant'));
    expect(told(plan, { familiar: onMachines }).map(({ rule }) => rule)).not.toContain(
      'one-teacher',
    );
  });

  it('more people than machines on one side, though all fit by halves', () => {
    const machines = { ...PLAIN_MACHINES, reformers: 5 };
    const few = told(plan, { machines, attendees: people.slice(0, 10) });
    expect(few.map(({ rule }) => rule)).not.toContain('machines-suffice');
    const many = told(plan, { machines, attendees: people });
    expect(many.find(({ rule }) => rule === 'machines-suffice')?.sentence).toContain('7 come');
  });

  it('machine work among what all do together, and a change-over in haste', () => {
    const [elephant] = itemsOf(plan).filter(
      (item) => item.kind === 'exercise' && item.exercise === 'elephant',
    );
    const moved = edited({
      type: 'moveItem',
      itemId: elephant?.id ?? '',
      segmentId: plan.segments[0]?.id ?? '',
      index: 1,
    });
    expect(told(moved).map(({ rule }) => rule)).toContain('at-its-place');
    const hasty = edited({ type: 'setDetails', details: { changeOver: { durationS: 60 } } });
    expect(told(hasty).map(({ rule }) => rule)).toContain('change-over');
  });
});

describe('who begins where', () => {
  it('halves the list, keeps whom somebody put somewhere, and never overfills the machines', () => {
    const { mat, reformer } = splitGroups(people, 6);
    expect([mat.length, reformer.length]).toEqual([6, 6]);
    const put = people.map((each, index) =>
      index < 2 ? { ...each, startsOn: 'mat' as const } : each,
    );
    const split = splitGroups(put, 6);
    expect(split.mat.slice(0, 2).map(({ person }) => person.id)).toEqual(['p0', 'p1']);
    expect(split.reformer).toHaveLength(6);
    expect(splitGroups(people, 4).reformer).toHaveLength(4);
    expect(splitGroups([], 6)).toEqual({ mat: [], reformer: [] });
  });
});

describe('a class of two groups as it is taught', () => {
  const tracks = tracksTaught(plan, catalogue, context);
  const [machinesFirst, matFirst] = tracks;
  if (!machinesFirst || !matFirst) throw new Error('two tracks');
  const laid = (track: typeof machinesFirst) =>
    analyse(track.plan, catalogue, { ...context, attendees: track.attendees });
  const event = (order: number, itemId?: string): LiveEvent =>
    itemId === undefined
      ? { type: 'start', id: `press-${order}0000`, atMs: order * 1000, order }
      : { type: 'goTo', itemId, id: `press-${order}0000`, atMs: order * 1000, order };

  it('steps through each group by itself, and together where they are together', () => {
    const change = itemsOf(machinesFirst.plan).find(({ id }) => id.startsWith('change-over'));
    const at = (track: typeof machinesFirst, pressed: LiveEvent[]) => {
      const { timeline } = laid(track);
      const state = runClass(timeline, pressedOn(track.plan, pressed), 9000);
      return [timeline.items[state.itemIndex]?.itemId, state.unplaced];
    };
    const footwork = itemsOf(plan).find(
      (item) => item.kind === 'exercise' && item.exercise === 'footwork',
    );
    const breathing = itemsOf(plan).find(
      (item) => item.kind === 'exercise' && item.exercise === 'breath-three-way',
    );
    const own = [event(1), event(2, footwork?.id), event(3, breathing?.id)];
    expect(at(machinesFirst, own)).toEqual([footwork?.id, 0]);
    expect(at(matFirst, own)).toEqual([breathing?.id, 0]);
    const both = [...own, event(4, change?.id)];
    expect(at(machinesFirst, both)[0]).toBe(change?.id);
    expect(at(matFirst, both)[0]).toBe(change?.id);
  });

  it('shows the room both places, and one of them where all do the same', () => {
    const input = (track: typeof machinesFirst, events: LiveEvent[]): WallInput => {
      const { timeline, options, props } = laid(track);
      const state = runClass(timeline, pressedOn(track.plan, events), 9000);
      return { plan: track.plan, catalogue, timeline, options, props, state, places: track.places };
    };
    const view = (events: LiveEvent[]) =>
      viewOfBoth(input(machinesFirst, events), input(matFirst, events));
    expect(view([event(1)]).beside).toBeUndefined();
    const first = (track: typeof machinesFirst) => [...track.places.keys()][0];
    const apart = view([event(1), event(2, first(machinesFirst)), event(3, first(matFirst))]);
    expect([apart.at, apart.beside?.at]).toEqual(['reformer', 'mat']);
    expect(apart.now?.name).toBe('Footwork');
    expect(JSON.stringify(apart)).not.toMatch(/Person \d/);
  });

  it('is told on one sheet, each half with both of its times', () => {
    const { parts } = runSheet({
      plan,
      catalogue,
      analysis: analyse(plan, catalogue, context),
      machines: PLAIN_MACHINES,
      when: '',
    });
    const names = parts.map(({ name }) => name);
    expect(names).toContain('Change over');
    expect(names.some((name) => name.startsWith('On the machines: '))).toBe(true);
    expect(parts.filter(({ lasts }) => lasts.includes('again at'))).toHaveLength(4);
  });
});

describe('the document', () => {
  it('is read back from notes as the same class', () => {
    const written = writeMarkdown(plan, catalogue);
    const back = planFromNotes(readNotes(written, catalogue), new Map(), catalogue, {
      title: 'x',
      machine: 'mat',
      school: 'classic',
      targetS: 600,
    });
    expect(writeMarkdown(back, catalogue)).toBe(written);
  });

  it('is a class for all where one took the change-over away while another moved a part', () => {
    const { changeOver: _none, ...one } = plan;
    const read = Plan.parse(one);
    expect(isMixed(read)).toBe(false);
    const { timeline } = analyse(read, catalogue, { ...context, attendees: [] });
    const lasts = timeline.items.reduce((sum, { durationS }) => sum + durationS, 0);
    expect(timeline.totalS).toBe(lasts);
  });

  it('is made of a class for all, and made one again, with undo', () => {
    const single = edited(makeOneGroup(plan, 'mat'));
    expect(isMixed(single)).toBe(false);
    expect(Plan.safeParse(single).success).toBe(true);
    expect(single.segments.some(({ station }) => station !== undefined)).toBe(false);
    const edit = makeTwoGroups(single);
    const result = edit && applyEdit(single, edit);
    if (!result?.ok) throw new Error('refused');
    expect(Plan.safeParse(result.plan).success).toBe(true);
    expect(mixedParts({ ...result.plan }).at.mat.length).toBeGreaterThan(0);
    expect(applyEdit(result.plan, result.inverse)).toMatchObject({ ok: true, plan: single });
  });

  it('names the second half alike whichever group is asked for, and never as something else', () => {
    const taken = edited({
      type: 'addItem',
      segmentId: plan.segments[0]?.id ?? '',
      index: 0,
      item: { kind: 'pause', id: 'footwork-5-half2', label: 'Hello', durationS: 30, note: '' },
    });
    if (!isMixed(taken)) throw new Error('one group');
    const ids = itemsOf(trackOf(taken, 'mat').plan).map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('keeps every part at its place when it is put in order', () => {
    const { plan: ordered } = orderPlan({
      plan,
      catalogue,
      timing: {},
      group: groupOf([], context.day),
      effort: { firstEvaluations: 500, furtherEvaluations: 500, mostStates: 5000 },
    });
    for (const segment of ordered.segments) {
      const before = plan.segments.find(({ id }) => id === segment.id);
      expect(new Set(segment.items.map(({ id }) => id))).toEqual(
        new Set(before?.items.map(({ id }) => id)),
      );
    }
  });
});
