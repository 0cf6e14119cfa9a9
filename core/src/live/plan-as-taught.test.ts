import { describe, expect, it } from 'vitest';
import { itemsOf } from '../plan/plan.ts';
import { timesUpTo } from '../plan/occurrences.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { LiveEvent } from './events.ts';
import { changesIn, planAsTaught } from './plan-as-taught.ts';
import { movedAt, runClass } from './run-class.ts';

const plan = makePlan([[{ pauseS: 60 }, 'curl', 'twist', 'lift'], ['final-rest']]);

let next = 0;
function press(type: string, extra: object = {}): LiveEvent {
  next += 1;
  const id = `press-${String(next).padStart(4, '0')}`;
  return LiveEvent.parse({ id, type, atMs: next * 1000, order: next, ...extra });
}
const leaveOut = (itemId: string) => press('change', { edit: { type: 'removeItem', itemId } });
const idsAfter = (events: LiveEvent[]) => itemsOf(planAsTaught(plan, events)).map(({ id }) => id);

describe('planAsTaught', () => {
  it('is the plan itself while nothing was changed', () => {
    expect(planAsTaught(plan, [press('start')])).toBe(plan);
  });

  it('leaves out what was left out, and brings it back when that is taken back', () => {
    const cut = leaveOut('twist');
    expect(idsAfter([cut])).toEqual(['pause', 'curl', 'lift', 'final-rest']);
    expect(idsAfter([cut, press('takeBack', { eventId: cut.id })])).toEqual(
      itemsOf(plan).map(({ id }) => id),
    );
  });

  it('does less of something', () => {
    const dose = { kind: 'repetitions', count: 4, sets: 1, sides: 'none', directions: 1 };
    const fewer = press('change', { edit: { type: 'setDose', itemId: 'curl', dose } });
    const shorter = press('change', {
      edit: { type: 'setPause', itemId: 'pause', label: 'Pause', durationS: 30 },
    });
    const [pause, curl] = itemsOf(planAsTaught(plan, [fewer, shorter]));
    expect(curl).toMatchObject({ dose });
    expect(pause).toMatchObject({ durationS: 30 });
  });

  it('keeps what another device went to, whatever was left out meanwhile', () => {
    const there = press('goTo', { itemId: 'twist' });
    expect(idsAfter([leaveOut('twist'), there])).toContain('twist');
    expect(idsAfter([there, leaveOut('twist')])).toContain('twist');
  });

  it('is the same when two devices leave the same out, and in whatever order it arrives', () => {
    const [one, other] = [leaveOut('lift'), leaveOut('lift')];
    expect(idsAfter([one, other])).toEqual(idsAfter([other]));
    expect(changesIn([other, one]).map(({ id }) => id)).toEqual([one.id, other.id]);
  });

  describe('of rounds', () => {
    const rounds = { kind: 'rounds', id: 'turns', times: 3 } as const;
    const inRounds = {
      ...makePlan([['breathe', ['curl', { bracket: 'turns' }], ['lift', { bracket: 'turns' }]]]),
      brackets: [rounds],
    };
    const steps = (events: LiveEvent[]) =>
      itemsOf(planAsTaught(inRounds, events)).map(({ id }) => id);

    it('is a step for each time, which a press can name', () => {
      const all = ['breathe', 'curl', 'lift', 'curl-2', 'lift-2', 'curl-3', 'lift-3'];
      expect(steps([])).toEqual(all);
      const timeline = timePlan(planAsTaught(inRounds, []), makeCatalogue());
      const state = runClass(
        timeline,
        [press('start'), press('goTo', { itemId: 'curl' }), press('goTo', { itemId: 'curl-2' })],
        next * 1000,
      );
      expect(state.visits.map(({ itemId }) => itemId)).toEqual(['breathe', 'curl', 'curl-2']);
      expect(state.unplaced).toBe(0);
    });

    it('leaves out one time and not the others', () => {
      expect(steps([leaveOut('curl-3')])).toEqual([
        'breathe',
        'curl',
        'lift',
        'curl-2',
        'lift-2',
        'lift-3',
      ]);
    });

    it('begins each time as the one before was done', () => {
      const state = runClass(
        timePlan(planAsTaught(inRounds, []), makeCatalogue()),
        [
          press('start'),
          press('moved', { itemId: 'curl', personId: 'p-1', option: 1 }),
          press('moved', { itemId: 'curl-2', personId: 'p-2', option: 2 }),
        ],
        next * 1000,
      );
      const upTo = timesUpTo(inRounds);
      const at = (id: string) => [...movedAt(state, ...(upTo.get(id) ?? []))];
      expect(at('curl')).toEqual([['p-1', 1]]);
      expect(at('curl-3')).toEqual([
        ['p-1', 1],
        ['p-2', 2],
      ]);
    });
  });

  it('can’t put anything in, or change what a teacher may not in class', () => {
    const add = { type: 'addItem', segmentId: 'segment-1', index: 0, item: itemsOf(plan)[1] };
    expect(() => press('change', { edit: add })).toThrow();
  });
});
