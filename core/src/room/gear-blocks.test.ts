import { describe, expect, it } from 'vitest';
import { analyse, repairsOf } from '../analyse.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import { Person } from '../people/person.ts';
import { makeCatalogue, makeExercise } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { Machines } from './machines.ts';

type Settings = NonNullable<Parameters<typeof makeExercise>[1]>['options'];
const machine = (slug: string, settings: object) =>
  makeExercise(slug, { machine: 'reformer', options: [{ settings }, { settings }] as Settings });

const catalogue = makeCatalogue([
  machine('press', { springs: { heavy: 2 }, bar: 'middle', headrest: 'up' }),
  machine('calves', { springs: { heavy: 2 }, bar: 'middle', headrest: 'up' }),
  machine('loops', { springs: { medium: 1 }, bar: 'low', loops: 'short' }),
  machine('knees', { springs: { heavy: 1, medium: 1 }, bar: 'high', headrest: 'down' }),
]);
const on = (...slugs: string[]) => makePlan([slugs], { machine: 'reformer' });
const owned = Machines.parse({
  reformers: 2,
  springs: [
    { name: 'long', strength: 'heavy', count: 2 },
    { name: 'thin', strength: 'light', count: 1 },
  ],
  seconds: { springs: 20 },
});

function analysed(plan = on('press', 'calves', 'loops', 'knees'), machines?: Machines, people = 1) {
  return analyse(plan, catalogue, contextOf(machines, people));
}

function contextOf(machines: Machines | undefined, people: number) {
  const attendees = Array.from({ length: people }, (_, index) => ({
    person: Person.parse({ id: `p${index}`, name: `Person ${index}` }),
  }));
  return { attendees, cupboard: {}, day: '2026-11-30', ...(machines ? { machines } : {}) };
}

describe('the gear of a class', () => {
  it('is one block while nothing changes, and tells each change with its seconds', () => {
    expect(
      analysed().gear.map(({ itemIds, changes, changeS }) => [itemIds, changes, changeS]),
    ).toEqual([
      [['press', 'calves'], [], 0],
      [['loops'], ['springs', 'bar', 'loops'], 9 + 5 + 12],
      // The headrest was left as it was in between: it is still up.
      [['knees'], ['springs', 'bar', 'headrest'], 9 + 5 + 5],
    ]);
  });

  it('costs in the time line what it is said to cost, also by the studio’s own seconds', () => {
    const setUp = (machines?: Machines) =>
      analysed(on('press', 'loops'), machines)
        .timeline.items.find(({ itemId }) => itemId === 'loops')
        ?.parts.find(({ kind }) => kind === 'set-up');
    expect(setUp()?.reason).toContain('springs to one medium 9 s; bar low 5 s; short loops 12 s');
    expect((setUp(owned)?.durationS ?? 0) - (setUp()?.durationS ?? 0)).toBe(11);
  });

  it('follows what the plan sets, and a whole block is one edit with its inverse', () => {
    const plan = on('press', 'calves');
    const gear = { springs: { heavy: 1 } };
    const result = applyEdit(plan, {
      type: 'together',
      edits: ['press', 'calves'].map((itemId) => ({ type: 'setGear', itemId, gear }) as const),
    });
    if (!result.ok) throw new Error('refused');
    expect(analysed(result.plan).gear.map((block) => block.gear.springs)).toEqual([{ heavy: 1 }]);
    expect(applyEdit(result.plan, result.inverse)).toMatchObject({ ok: true, plan });
  });

  it('is nothing on the mat', () => {
    expect(analysed(makePlan([['breathe', 'curl']])).gear).toEqual([]);
  });
});

describe('machines-suffice', () => {
  const found = (plan = on('knees'), machines = owned, people = 1) =>
    analysed(plan, machines, people).findings.filter(({ rule }) => rule === 'machines-suffice');

  it('says that more come than there are reformers', () => {
    expect(found(on('press'), owned, 3)[0]?.sentence).toBe(
      '3 come at once and there are 2 reformers.',
    );
    expect(found(on('press'), owned, 2)).toEqual([]);
  });

  it('says which springs are not there, and what is nearest that is', () => {
    const [finding] = found();
    expect(finding?.sentence).toBe(
      'The springs asked for are not there: one medium, a machine has none.',
    );
    if (!finding) throw new Error('no finding');
    const [repair] = repairsOf(on('knees'), catalogue, contextOf(owned, 1), finding);
    expect(repair?.label).toBe('Hang one long');
    const mended = repair && applyEdit(on('knees'), repair.edit);
    expect(mended?.ok && found(mended.plan)).toEqual([]);
  });

  it('is quiet where the studio has said nothing of its machines, and on the mat', () => {
    expect(found(on('knees'), Machines.parse({}), 9)).toEqual([]);
    expect(found(makePlan([['curl']]), owned, 9)).toEqual([]);
  });
});
