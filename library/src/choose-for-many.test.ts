import { describe, expect, it } from 'vitest';
import type { Attendee } from '@wrenfern/core/people/attendee';
import { firstOptions, whoCanDo } from '@wrenfern/core/people/choose-for-many';
import { chooseOptions } from '@wrenfern/core/people/choose-options';
import { Person } from '@wrenfern/core/people/person';
import { exerciseItemsOf } from '@wrenfern/core/plan/plan';
import { composePlan, exercise } from './compose-plan.ts';
import { builtInCatalogue as catalogue } from './index.ts';

const DAY = '2026-11-29';
const plan = composePlan({ title: 'Many', targetS: 900 }, [
  ['All', ['plank', 'bird-dog', 'toe-tap', 'clam'].map((slug) => exercise(slug))],
]);
const [plank, birdDog] = exerciseItemsOf(plan);
if (!plank || !birdDog) throw new Error('no items');

const comes = (id: string, level: number, ...cautions: string[]): Attendee => ({
  person: Person.parse({
    id: id.replace(' ', '-'),
    name: id,
    level,
    cautions: cautions.map((caution) => ({ caution })),
  }),
});
const GROUP = [
  comes('new', 1),
  comes('steady', 3),
  comes('sore wrists', 3, 'wrist'),
  comes('carrying', 3, 'pregnancy'),
];
const ids = (people: readonly Attendee[]) => people.map(({ person }) => person.name);

describe('one option for many', () => {
  it('leaves out who works lower, and whom it would go against: common practice', () => {
    const top = catalogue.require('plank').options.length;
    const { can, keep } = whoCanDo(Math.min(3, top), plank, plan, GROUP, catalogue, DAY);
    expect(ids(can)).toContain('steady');
    expect(ids(keep)).toEqual(expect.arrayContaining(['new', 'carrying']));
    expect(can.length + keep.length).toBe(GROUP.length);
  });

  it('gives nobody by hand what the measures would keep from them', () => {
    for (const item of exerciseItemsOf(plan)) {
      for (const { number } of catalogue.require(item.exercise).options) {
        const { can } = whoCanDo(number, item, plan, GROUP, catalogue, DAY);
        const byHand = { [item.id]: { kind: 'option' as const, option: number } };
        const given = can.map((attendee) => ({ ...attendee, byHand }));
        const { choices } = chooseOptions(plan, given, catalogue, DAY);
        for (const { person } of given) {
          const choice = choices.get(person.id)?.get(item.id);
          expect(choice).toMatchObject(byHand[item.id] ?? {});
          // What is reached is answered by a support, half way or less of it, on the side it is about.
          for (const way of [choice, choice?.onLeft]) {
            const reached = way?.reasons.some(({ code }) => code === 'asks') ?? false;
            expect(reached && way?.kind === 'option' && way.how === undefined).toBe(false);
          }
        }
      }
    }
  });

  it('by hand as by itself: the hand decides which, the measures how', () => {
    const byHand = { [birdDog.id]: { kind: 'option' as const, option: 2 } };
    const sore = comes('sore', 2, 'wrist');
    const { choices } = chooseOptions(plan, [{ ...sore, byHand }], catalogue, DAY);
    expect(choices.get('sore')?.get(birdDog.id)).toMatchObject({
      kind: 'option',
      option: 2,
      how: { aids: [expect.stringMatching(/forearms|fists|wedge/)] },
    });
  });

  it('the first option throughout is the lowest on offer, where it suits', () => {
    const first = firstOptions(plan, comes('steady', 3), catalogue, DAY);
    expect(first).toEqual(
      Object.fromEntries(
        exerciseItemsOf(plan).map(({ id }) => [id, { kind: 'option', option: 1 }]),
      ),
    );
    const after = firstOptions(plan, comes('cut', 3, 'recent-surgery'), catalogue, DAY);
    expect(after[plank.id]).toBeUndefined();
  });
});
