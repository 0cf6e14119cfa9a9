import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { summariseClass } from '../log/summarise-class.ts';
import { LiveEvent } from './events.ts';
import { lastAbout, runClass, seenAt, viewNow } from './run-class.ts';

const catalogue = makeCatalogue();
const timeline = timePlan(
  makePlan([[{ pauseS: 60 }, 'breathe', 'curl', 'leg-lift'], ['final-rest']]),
  catalogue,
);
const START = Date.UTC(2026, 10, 25, 18, 15);

let next = 0;
function event(type: string, second: number, extra: object = {}): LiveEvent {
  next += 1;
  return LiveEvent.parse({
    id: `event-${String(next).padStart(4, '0')}`,
    type,
    atMs: START + second * 1000,
    order: next,
    ...extra,
  });
}
/** One press of Next is to name the item that follows. */
const goTo = (index: number, second: number) =>
  event('goTo', second, { itemId: timeline.items[index]?.itemId ?? 'nowhere' });

const at = (second: number) => START + second * 1000;
const run = (events: LiveEvent[], second: number) => runClass(timeline, events, at(second));
const view = (events: LiveEvent[], second: number) => {
  const now = viewNow(timeline, run(events, second));
  if (!now) throw new Error('not running');
  return now;
};

describe('runClass', () => {
  it('is ready before it starts', () => {
    const state = run([], 0);
    expect(state).toMatchObject({ status: 'ready', visits: [], activeMs: 0 });
    expect(viewNow(timeline, state)).toBeUndefined();
  });

  it('goes to the item that a press names, forwards and back', () => {
    const events = [event('start', 0), goTo(1, 10), goTo(2, 20)];
    expect(run(events, 25).itemIndex).toBe(2);
    expect(run([...events, goTo(1, 30)], 35).itemIndex).toBe(1);
  });

  it('takes the same step pressed on two devices for one', () => {
    const [start, mine, theirs] = [event('start', 0), goTo(1, 10), goTo(1, 10)];
    const state = run([start, mine, { ...theirs, order: mine.order }], 20);
    expect(state.itemIndex).toBe(1);
    expect(state.visits).toHaveLength(2);
  });

  it('keeps what was seen in somebody, and moves them where another option was tried', () => {
    const itemId = timeline.items[1]?.itemId;
    const seen = (second: number, remedy: object) =>
      event('seen', second, { itemId, personId: 'p1', sign: 'neck-strains', remedy });
    const state = run(
      [event('start', 0), seen(20, { kind: 'cue' }), seen(30, { kind: 'option', option: 1 })],
      40,
    );
    expect(seenAt(state, itemId ?? '').map(({ remedy }) => remedy.kind)).toEqual(['cue', 'option']);
    expect(state.moved.get(itemId ?? '')?.get('p1')).toBe(1);
    expect(() => seen(50, { kind: 'option', option: 9 })).toThrow();
  });

  it('takes back what was pressed by mistake, in whatever order it arrives', () => {
    const itemId = timeline.items[1]?.itemId ?? '';
    const moved = (option: number) => event('moved', 20, { itemId, personId: 'p1', option });
    const [start, first, wrong] = [event('start', 0), moved(2), moved(4)];
    const back = event('takeBack', 30, { eventId: wrong.id });
    for (const events of [
      [start, first, wrong, back],
      [back, wrong, start, first],
    ]) {
      const state = run(events, 40);
      expect(state.moved.get(itemId)?.get('p1')).toBe(2);
      expect(lastAbout(state, itemId, 'p1')?.id).toBe(first.id);
    }
  });

  it('does not take back where the class stands', () => {
    const [start, next] = [event('start', 0), goTo(1, 10)];
    const state = run([start, next, event('takeBack', 12, { eventId: next.id })], 20);
    expect(state.itemIndex).toBe(1);
  });

  it('counts what names an item that is not in the plan, and stays where it is', () => {
    const state = run([event('start', 0), event('goTo', 5, { itemId: 'gone' })], 9);
    expect(state).toMatchObject({ itemIndex: 0, unplaced: 1 });
  });

  it('follows what the devices had seen, not their clocks', () => {
    // The second device runs an hour slow; it pressed after it had seen the first one's press.
    const first = [event('start', 0), goTo(1, 60)];
    const slow = { ...goTo(2, 90 - 3600) };
    const state = run([...first, slow], 120);
    expect(state.itemIndex).toBe(2);
    expect(state.visits.every(({ activeMs }) => activeMs >= 0)).toBe(true);
  });

  it('lets no time pass in a pause', () => {
    const events = [event('start', 0), event('pause', 40), event('resume', 100)];
    expect(run(events, 70).activeMs).toBe(40_000);
    expect(run(events, 110).activeMs).toBe(50_000);
  });

  it('gives the same state for events out of order and sent twice', () => {
    const events = [
      event('start', 0),
      goTo(1, 50),
      event('pause', 70),
      event('resume', 90),
      event('moved', 95, { itemId: 'curl', personId: 'asha', option: 1 }),
      goTo(2, 130),
      event('end', 200),
    ];
    const plain = run(events, 300);
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...events, ...events], { minLength: 14, maxLength: 14 }),
        (shuffled) => {
          expect(run(shuffled, 300)).toEqual(plain);
        },
      ),
      { numRuns: 100, seed: 5 },
    );
  });

  it('stops counting at the end, and still takes notes', () => {
    const events = [event('start', 0), event('end', 30), goTo(1, 40)];
    const late = event('note', 500, { itemId: 'curl', text: 'Less talk' });
    const state = run([...events, late], 900);
    expect(state).toMatchObject({ status: 'ended', activeMs: 30_000, itemIndex: 0 });
    expect(state.notes).toEqual([{ itemId: 'curl', text: 'Less talk' }]);
  });

  it('keeps the last option that a person moved to', () => {
    const events = [
      event('start', 0),
      event('moved', 5, { itemId: 'curl', personId: 'asha', option: 1 }),
      event('moved', 9, { itemId: 'curl', personId: 'asha', option: 2 }),
    ];
    expect(run(events, 10).moved.get('curl')?.get('asha')).toBe(2);
  });

  it('ignores everything before the start', () => {
    const state = run([goTo(1, 1), event('pause', 2), event('end', 3)], 10);
    expect(state.status).toBe('ready');
  });
});

describe('viewNow', () => {
  const toCurl = [event('start', 0), goTo(1, 60), goTo(2, 165)];

  it('shows the part, the repetition and the time left', () => {
    // curl: 5 s set-up, 13 s words, then 8 repetitions of 5.8 s, the first with 8 s more.
    expect(view(toCurl, 165 + 4).part?.kind).toBe('set-up');
    expect(view(toCurl, 165 + 12).part?.kind).toBe('teaching');
    const first = view(toCurl, 165 + 22);
    expect(first).toMatchObject({ repetition: 1, itemLeftS: 50 });
    expect(view(toCurl, 165 + 18 + 14).repetition).toBe(2);
    expect(view(toCurl, 165 + 18 + 13.8 + 5.8 * 3 + 1).repetition).toBe(5);
  });

  it('stays at the last repetition when time is out, and counts on', () => {
    const late = view(toCurl, 165 + 80);
    expect(late).toMatchObject({ repetition: 8, itemLeftS: -8 });
  });

  it('says which side', () => {
    const events = [...toCurl, goTo(3, 230)];
    expect(view(events, 230 + 45).part?.side).toBe('left');
    expect(view(events, 230 + 110).part?.side).toBe('right');
  });

  it('is on plan while the plan is followed', () => {
    expect(view([event('start', 0)], 30).behindS).toBe(0);
    expect(view([event('start', 0), goTo(1, 60)], 100).behindS).toBe(0);
  });

  it('falls behind when an item runs over, and is ahead when it is cut short', () => {
    expect(view([event('start', 0)], 90).behindS).toBe(30);
    expect(view([event('start', 0), goTo(1, 20)], 25).behindS).toBe(-40);
  });

  it('ends later by as much as it is behind', () => {
    expect(view([event('start', 0)], 90).endsAtS).toBe(timeline.totalS + 30);
    expect(view([event('start', 0)], 30).endsAtS).toBe(timeline.totalS);
  });

  it('gives an item more time when asked to', () => {
    const events = [event('start', 0), event('extend', 10, { itemId: 'pause', seconds: 30 })];
    expect(view(events, 50).itemLeftS).toBe(40);
    expect(view(events, 50).endsAtS).toBe(timeline.totalS + 30);
  });

  it('knows what is next, and that the last has nothing behind it', () => {
    expect(view([event('start', 0)], 5).next?.itemId).toBe('breathe');
    const all = [event('start', 0), ...[1, 2, 3, 4].map((index) => goTo(index, index))];
    expect(view(all, 10).next).toBeUndefined();
  });
});

describe('summariseClass', () => {
  it('is nothing before the start', () => {
    expect(summariseClass(timeline, [], at(0))).toBeUndefined();
  });

  it('puts what was taught beside what was planned', () => {
    const events = [
      event('start', 0),
      goTo(1, 75),
      goTo(2, 180),
      goTo(3, 182),
      event('note', 190, { itemId: 'curl', text: 'Necks' }),
      goTo(4, 300),
      event('end', 420),
    ];
    const summary = summariseClass(timeline, events, at(999));
    expect(summary).toMatchObject({ plannedS: timeline.totalS, actualS: 420 });
    expect(summary?.items.map(({ itemId, actualS, done }) => [itemId, actualS, done])).toEqual([
      ['pause', 75, true],
      ['breathe', 105, true],
      ['curl', 2, false],
      ['leg-lift', 118, true],
      ['final-rest', 120, true],
    ]);
    expect(summary?.items[2]?.notes).toEqual(['Necks']);
  });

  it('adds up visits to an item that was gone back to', () => {
    const events = [event('start', 0), goTo(1, 30), goTo(0, 50), event('end', 70)];
    const summary = summariseClass(timeline, events, at(80));
    expect(summary?.items[0]?.actualS).toBe(50);
    expect(summary?.items[1]?.actualS).toBe(20);
  });
});

describe('LiveEvent', () => {
  it.each([
    [{ type: 'leap', id: 'event-0001', atMs: 1, order: 1 }],
    [{ type: 'start', id: 'short', atMs: 1, order: 1 }],
    [{ type: 'start', id: 'event-0001', atMs: -1, order: 1 }],
    [{ type: 'extend', id: 'event-0001', atMs: 1, order: 1, itemId: 'a', seconds: 9999 }],
    [{ type: 'moved', id: 'event-0001', atMs: 1, order: 1, itemId: 'a', personId: 'b', option: 7 }],
    [{ type: 'goTo', id: 'event-0001', atMs: 1, order: 1, itemId: '__proto__' }],
    [{ type: 'goTo', id: 'event-0001', atMs: 9_007_199_254_740_991, order: 1, itemId: 'a' }],
    [{ type: 'end', id: 'event-0001', atMs: 1, order: 0 }],
    [{ type: 'note', id: 'event-0001', atMs: 1, order: 1, itemId: 'a', text: '  ' }],
  ])('refuses %j', (value) => expect(LiveEvent.safeParse(value).success).toBe(false));
});
