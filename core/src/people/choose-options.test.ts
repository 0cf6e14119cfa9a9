import { describe, expect, it } from 'vitest';
import { createCatalogue } from '../movement/catalogue.ts';
import { DEMANDS } from '../movement/vocabulary.ts';
import { DEMAND_WORDS } from '../movement/words.ts';
import type { ExerciseItem } from '../plan/plan.ts';
import { makeExercise } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { isAgainst } from './cautions-against.ts';
import { CAUTIONS, type CautionId } from './cautions/cautions.ts';
import type { Choice } from './choice.ts';
import type { Attendee } from './attendee.ts';
import { chooseOption } from './choose-option.ts';
import { explainReason } from './reasons.ts';
import { chooseOptions } from './choose-options.ts';
import { cautionsOn, Person } from './person.ts';

const DAY = '2026-11-25';
const SCHOOL = 'foundations-first';

const ladder = makeExercise('ladder', {
  swaps: ['plain', 'far'],
  options: [
    { demands: [] },
    { demands: ['weight-on-wrists'] },
    { demands: ['weight-on-wrists', 'balance'] },
    { demands: ['weight-on-wrists', 'balance', 'jump'] },
  ],
});
const curl = makeExercise('curl', {
  swaps: ['plain'],
  options: [{ demands: ['neck-curl'] }, { demands: ['neck-curl', 'belly-pressure'] }],
});
/** Lies with both long legs low: far too much for a fresh belly. */
const legsLow = { poses: [{ shape: 'supine-long', legs: { flex: 12 } }] };
const press = makeExercise('press', { swaps: ['plain'], options: [legsLow, legsLow] });
const alone = makeExercise('alone', {
  position: 'prone',
  swaps: ['alone-too'],
  options: [{ demands: ['prone'] }, { demands: ['prone'] }],
});
const aloneToo = makeExercise('alone-too', {
  position: 'prone',
  swaps: ['alone'],
  options: [{ demands: ['prone'] }, { demands: ['prone'] }],
});
const catalogue = createCatalogue([
  ladder,
  curl,
  press,
  alone,
  aloneToo,
  makeExercise('plain', { swaps: ['curl'], options: [{ effort: 0 }, { effort: 0 }] }),
  makeExercise('far', { position: 'seated', swaps: ['plain'] }),
]);

function attendee(
  id: string,
  level: number,
  cautions: CautionId[] = [],
  change: Partial<Attendee> = {},
): Attendee {
  const person = Person.parse({
    id,
    name: id,
    level,
    cautions: cautions.map((caution) => ({ caution })),
  });
  return { person, ...change };
}

const itemOf = (exercise: string, options?: number[]): ExerciseItem => ({
  kind: 'exercise',
  id: exercise,
  exercise,
  restS: 0,
  note: '',
  ...(options ? { options } : {}),
});

const choose = (who: Attendee, exercise: string, options?: number[]) =>
  chooseOption(who, itemOf(exercise, options), catalogue, DAY, SCHOOL);

const codes = (choice: Choice) => choice.reasons.map(({ code }) => code);

describe('chooseOption', () => {
  it.each([
    [1, 1],
    [2, 2],
    [3, 3],
    [4, 4],
  ])('gives a person at level %i option %i', (level, option) => {
    expect(choose(attendee('a', level), 'ladder')).toMatchObject({ kind: 'option', option });
  });

  it('stays at the highest there is for somebody beyond the ladder', () => {
    const choice = choose(attendee('a', 4), 'curl');
    expect(choice).toMatchObject({ kind: 'option', option: 2 });
    expect(explainReason(choice.reasons[0] ?? { code: 'by-hand' }, curl)).toBe(
      'Own level is 4; option 2 is the highest that fits.',
    );
  });

  it('steps back to the highest option whose demands are allowed', () => {
    const choice = choose(attendee('a', 4, ['knee', 'wrist']), 'ladder');
    expect(choice).toMatchObject({ kind: 'option', option: 1 });
    expect(codes(choice).filter((code) => code === 'asks')).toHaveLength(3);
    expect(codes(choice)).toContain('level');
    expect(codes(choice).at(-1)).toBe('again');
  });

  it('goes by demands before the ladder: an easier option is not always the safer one', () => {
    const upsideDown = makeExercise('odd', {
      options: [{ demands: ['flexion-loaded'] }, { demands: [] }],
    });
    const choice = chooseOption(
      attendee('a', 2, ['loaded-rounding-out']),
      itemOf('odd'),
      createCatalogue([upsideDown]),
      DAY,
      SCHOOL,
    );
    expect(choice).toMatchObject({ kind: 'option', option: 2 });
  });

  it('never goes above the person’s own level to find an allowed one', () => {
    const upsideDown = makeExercise('odd', {
      options: [{ demands: ['flexion-loaded'] }, { demands: [] }],
    });
    const who = attendee('a', 1, ['loaded-rounding-out']);
    const choice = chooseOption(who, itemOf('odd'), createCatalogue([upsideDown]), DAY, SCHOOL);
    expect(choice.kind).toBe('rest');
  });

  it('swaps when no option is allowed, the same position first, and says so', () => {
    const choice = choose(attendee('a', 2, ['hernia']), 'press');
    expect(choice).toMatchObject({ kind: 'swap', exercise: 'plain' });
    const said = choice.reasons.map((reason) => explainReason(reason, press));
    expect(said[0]).toBe(
      'Hernia: option 2 (way 2) asks for work of the belly 72 ‰, left out from 55 ‰.',
    );
    expect(said).toContain('plain keeps the position and the aim for the same length of time.');
  });

  it('says when a swap leaves the position', () => {
    const onlyFar = makeExercise('only-far', {
      swaps: ['far'],
      options: [{ demands: ['jump'] }, { demands: ['jump'] }],
    });
    const wide = createCatalogue([catalogue.require('far'), onlyFar]);
    const choice = chooseOption(attendee('a', 2, ['knee']), itemOf('only-far'), wide, DAY, SCHOOL);
    const [reason] = choice.reasons.filter(({ code }) => code === 'swap');
    expect(reason && explainReason(reason, onlyFar)).toContain('in another position');
  });

  it('rests in a named shape when nothing stands in, and not where that is ruled out', () => {
    const few = createCatalogue([alone, aloneToo]);
    const prone = chooseOption(attendee('a', 2, ['pregnancy']), itemOf('alone'), few, DAY, SCHOOL);
    expect(prone).toMatchObject({
      kind: 'rest',
      shape: 'hips back towards the heels, head down on the arms',
    });
    expect(codes(prone)).toContain('no-swap');
  });

  it('uses the option done in full last time, before the level', () => {
    const who = attendee('a', 4);
    who.person.usualOptions = { ladder: 2 };
    const choice = choose(who, 'ladder');
    expect(choice).toMatchObject({ option: 2 });
    expect(codes(choice)).toEqual(['last-time']);
  });

  it('takes each side as it was done last time, and the weaker where both work at once', () => {
    const uneven = { ladder: { right: 3, left: 2 } };
    const at = (sides: 'each' | 'none') => {
      const who = attendee('a', 1);
      who.person.usualOptions = uneven;
      const dose = { kind: 'repetitions' as const, count: 8, sides };
      const free = makeExercise('ladder', { dose, options: [{}, {}, {}] });
      return chooseOption(who, itemOf('ladder'), createCatalogue([free]), DAY, SCHOOL);
    };
    expect(at('each')).toMatchObject({ option: 3, onLeft: { option: 2 } });
    expect(at('none')).toMatchObject({ option: 2 });
    expect(at('none').onLeft).toBeUndefined();
  });

  it('offers a swap to somebody below all that is on offer', () => {
    const choice = choose(attendee('a', 1), 'ladder', [2, 3]);
    expect(choice).toMatchObject({ kind: 'swap', exercise: 'plain' });
    expect(codes(choice)[0]).toBe('not-offered');
  });

  it('lets a limit act: with no lighter way, half of it', () => {
    const stiff = makeExercise('stiff', {
      options: [{ effort: 0, demands: ['articulation'] }, {}],
    });
    const choice = chooseOption(
      attendee('a', 1, ['stiff-back']),
      itemOf('stiff'),
      createCatalogue([stiff]),
      DAY,
      SCHOOL,
    );
    expect(choice).toMatchObject({ kind: 'option', option: 1, how: { dose: 0.5 } });
    const said = choice.reasons.map((reason) => explainReason(reason, stiff)).join(' ');
    expect(said).toContain('Stiff back: option 1 (way 1) asks for rolling bone by bone.');
    expect(said).toContain('More again when it rolls without a jerk four times.');
    expect(said).toContain('Half as many, or half as long');
  });

  it('adds the cautions of today', () => {
    const who = attendee('a', 3, [], {
      today: [{ caution: 'wrist', clearedBy: '', note: 'fell' }],
    });
    expect(choose(who, 'ladder')).toMatchObject({ option: 1 });
  });

  it('lets the teacher decide, and still warns', () => {
    const who = attendee('a', 1, ['wrist'], { byHand: { ladder: { kind: 'option', option: 3 } } });
    const choice = choose(who, 'ladder');
    expect(choice).toMatchObject({ kind: 'option', option: 3 });
    expect(codes(choice)).toEqual(['by-hand', 'asks', 'again']);
  });

  it('takes a swap or a rest by hand as it is', () => {
    const swap = { kind: 'swap' as const, exercise: 'far', option: 2 };
    expect(choose(attendee('a', 3, [], { byHand: { ladder: swap } }), 'ladder')).toMatchObject(
      swap,
    );
    const rest = choose(attendee('a', 3, [], { byHand: { ladder: { kind: 'rest' } } }), 'ladder');
    expect(rest).toMatchObject({
      kind: 'rest',
      shape: 'on the back, knees bent, hands on the ribs',
    });
  });
});

describe('cautionsOn', () => {
  const person = Person.parse({
    id: 'a',
    name: 'A',
    cautions: [{ caution: 'wrist', since: '2026-11-01', until: '2026-11-25' }, { caution: 'knee' }],
  });
  it.each([
    ['2026-10-31', ['knee']],
    ['2026-11-01', ['wrist', 'knee']],
    ['2026-11-25', ['wrist', 'knee']],
    ['2026-11-26', ['knee']],
  ])('on %s: %j', (day, expected) => {
    expect(cautionsOn(person, day).map(({ caution }) => caution)).toEqual(expected);
  });
});

describe('chooseOptions', () => {
  const group = [
    attendee('one', 1),
    attendee('two', 2),
    attendee('three', 3),
    attendee('four', 4),
    attendee('wrist', 4, ['wrist']),
  ];
  const plan = makePlan([['ladder', 'curl']]);
  const distanceOf = (versions: number[]) => {
    const levels = [1, 2, 3, 4];
    return levels.reduce((sum, level) => {
      const best = Math.max(...versions.filter((option) => option <= level), 0);
      return sum + (best === 0 ? 4 : level - best);
    }, 0);
  };

  it('cues at most as many ways as can be cued', () => {
    for (const atOnce of [1, 2, 3, 4]) {
      const { versions } = chooseOptions(plan, group, catalogue, DAY, atOnce);
      expect(versions.get('ladder')?.length).toBeLessThanOrEqual(atOnce);
    }
  });

  it('leaves people as near to their own option as trying every set by hand does', () => {
    const people = group.slice(0, 4);
    for (const atOnce of [1, 2, 3, 4]) {
      const { choices } = chooseOptions(plan, people, catalogue, DAY, atOnce);
      const chosen = people.map(({ person }) => choices.get(person.id)?.get('ladder'));
      const distance = chosen.reduce(
        (sum, choice, index) => sum + (choice?.kind === 'option' ? index + 1 - choice.option : 4),
        0,
      );
      const allSets = Array.from({ length: 15 }, (_, bits) =>
        [1, 2, 3, 4].filter((option) => ((bits + 1) >> (option - 1)) & 1),
      );
      const best = Math.min(
        ...allSets.filter((set) => set.includes(1) && set.length <= atOnce).map(distanceOf),
      );
      expect(distance).toBe(best);
    }
  });

  it('says which option would have fitted', () => {
    const { choices } = chooseOptions(plan, group, catalogue, DAY, 2);
    const reasons = group.flatMap(
      ({ person }) => choices.get(person.id)?.get('ladder')?.reasons ?? [],
    );
    const held = reasons.find(({ code }) => code === 'not-cued');
    expect(held && explainReason(held, ladder)).toMatch(/would fit; it is not cued/);
  });

  it('puts everyone into exactly one version', () => {
    const { versions } = chooseOptions(plan, group, catalogue, DAY);
    for (const item of ['ladder', 'curl']) {
      const people = (versions.get(item) ?? []).flatMap((version) => version.people);
      expect([...people].sort()).toEqual(group.map(({ person }) => person.id).sort());
    }
  });

  it('gives nobody an option that a caution of theirs rules out', () => {
    const everyone = CAUTIONS.map(({ id }) => attendee(id, 4, [id]));
    const { choices } = chooseOptions(
      makePlan([['ladder', 'curl', 'alone']]),
      everyone,
      catalogue,
      DAY,
    );
    for (const { person } of everyone) {
      for (const [slug, choice] of choices.get(person.id) ?? []) {
        if (choice.kind === 'rest' || choice.how) continue;
        const exercise = catalogue.require(choice.kind === 'swap' ? choice.exercise : slug);
        const option = exercise.options[choice.option - 1];
        expect(option && isAgainst(person.id as CautionId, option), person.id).toBe(false);
      }
    }
  });

  it('is empty when nobody comes', () => {
    const { choices, versions } = chooseOptions(plan, [], catalogue, DAY);
    expect(choices.size).toBe(0);
    expect(versions.get('ladder')).toEqual([]);
  });
});

describe('CAUTIONS', () => {
  it('have ids of their own, a sentence, a sign to stop, a way on and a source each', () => {
    expect(new Set(CAUTIONS.map(({ id }) => id)).size).toBe(CAUTIONS.length);
    for (const { says, source, stop, againWhen } of CAUTIONS) {
      expect(says).toMatch(/\.$/);
      for (const words of [source, stop, againWhen]) expect(words).not.toBe('');
    }
  });
});

describe('demands', () => {
  it('all have words', () => {
    expect(Object.keys(DEMAND_WORDS).sort()).toEqual([...DEMANDS].sort());
  });
});
