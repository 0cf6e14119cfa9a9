import { describe, expect, it } from 'vitest';
import { analyse, repairsOf } from '../analyse.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import type { Plan } from '../plan/plan.ts';
import { Person } from '../people/person.ts';
import type { HandChoice } from '../people/choice.ts';
import type { Attendee } from '../people/attendee.ts';
import { makeCatalogue, makeExercise } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import type { Cupboard } from '../room/props.ts';

const ball = { prop: 'small-ball', place: 'between knees', role: 'feedback' } as const;
const catalogue = makeCatalogue([
  makeExercise('front', {
    position: 'prone',
    bodyParts: ['neck'],
    swaps: ['front-too'],
    options: [{ demands: ['prone'] }, { demands: ['prone'] }],
  }),
  makeExercise('front-too', {
    position: 'prone',
    bodyParts: ['neck'],
    swaps: ['front'],
    options: [{ demands: ['prone'] }, { demands: ['prone'] }],
  }),
  makeExercise('squeeze', { options: [{ props: [ball] }, { props: [ball] }] }),
  makeExercise('steep', {
    swaps: ['curl'],
    options: [{}, {}, {}, {}],
  }),
]);

const person = (id: string, level: number, caution?: 'pregnancy' | 'wrist'): Attendee => ({
  person: Person.parse({
    id,
    name: `Person ${id}`,
    level,
    cautions: caution ? [{ caution }] : [],
  }),
});

function findings(
  plan: Plan,
  attendees: Attendee[],
  cupboard: Cupboard = { 'small-ball': 100 },
  versionsAtOnce = 3,
) {
  const context = { attendees, cupboard, day: '2026-11-25', versionsAtOnce };
  const all = analyse(plan, catalogue, context).findings.map((finding) => ({
    ...finding,
    repairs: repairsOf(plan, catalogue, context, finding),
  }));
  const rules = ['everyone-has-an-option', 'versions-at-once', 'props-suffice'];
  return all.filter(({ rule }) => rules.includes(rule));
}

describe('everyone-has-an-option', () => {
  const plan = makePlan([['front']]);
  const group = [person('a', 2), person('b', 2, 'pregnancy')];

  it('names who has none, and where', () => {
    const [finding] = findings(plan, group);
    expect(finding).toMatchObject({ rule: 'everyone-has-an-option', itemIds: ['front'] });
    expect(finding?.sentence).toBe('Person b has no option in front and nothing that stands in.');
  });

  it('names several in one sentence', () => {
    const more = [...group, person('c', 1, 'pregnancy'), person('d', 1, 'pregnancy')];
    expect(findings(plan, more)[0]?.sentence).toMatch(
      /^Person b, Person c and Person d have no option/,
    );
  });

  it('is settled by leaving the exercise out', () => {
    const edit = findings(plan, group)[0]?.repairs.at(-1)?.edit;
    const result = edit && applyEdit(plan, edit);
    if (!result?.ok) throw new Error('not applied');
    expect(findings(result.plan, group)).toEqual([]);
  });

  it('is quiet where the teacher chose the rest', () => {
    const byHand: Record<string, HandChoice> = { front: { kind: 'rest' } };
    const chosen = { ...person('b', 2, 'pregnancy'), byHand };
    expect(findings(plan, [chosen])).toEqual([]);
  });

  it('is quiet when somebody swaps', () => {
    const low = makePlan([[['steep', { options: [3, 4] }]]]);
    expect(findings(low, [person('a', 1)])).toEqual([]);
  });
});

describe('versions-at-once', () => {
  const plan = makePlan([['steep']]);
  const byHand = (option: number): Attendee => ({
    ...person(`hand-${option}`, 4),
    byHand: { steep: { kind: 'option', option } },
  });

  it('is quiet while the cued options can be chosen to fit', () => {
    expect(
      findings(
        plan,
        [1, 2, 3, 4].map((level) => person(`p${level}`, level)),
      ),
    ).toEqual([]);
  });

  it('tells when choices by hand ask for too many', () => {
    const [finding] = findings(plan, [1, 2, 3, 4].map(byHand));
    expect(finding?.sentence).toBe('steep would run in 4 ways at once; 3 can be cued.');
    expect(finding?.repairs[0]?.label).toMatch(/^Offer only /);
  });

  it('follows how many a teacher can cue', () => {
    expect(findings(plan, [1, 2, 3, 4].map(byHand), {}, 4)).toEqual([]);
  });
});

describe('props-suffice', () => {
  const plan = makePlan([['breathe', 'squeeze']]);
  const group = ['a', 'b', 'c'].map((id) => person(id, 2));

  it('tells how many are short, when they are first wanted, and what stands in', () => {
    const [finding] = findings(plan, group, { 'small-ball': 2 });
    expect(finding?.sentence).toMatch(
      /^1 small ball short: 3 wanted, 2 in the cupboard, first at 1:45 of .* Stands in: a pillow/,
    );
    expect(finding?.itemIds).toEqual(['squeeze']);
  });

  it('is quiet with enough, and when nobody comes', () => {
    expect(findings(plan, group, { 'small-ball': 3 })).toEqual([]);
    expect(findings(plan, [], {})).toEqual([]);
  });
});
