import { describe, expect, it } from 'vitest';
import type { Option } from '../../movement/exercise.ts';
import type { KeyPose } from '../../movement/pose.ts';
import { makeExercise } from '../../testing/make-exercise.ts';
import { measuresOf } from '../measures/measures-of.ts';
import { bodiesOf } from '../option-body.ts';
import { aidedOption, fittingAids, inOrder, measuresOfWay } from './aided-option.ts';
import { AID_IDS, type AidId } from './aid.ts';
import { aidOf, AIDS } from './aids.ts';

function posed(...poses: KeyPose[]): Option {
  const [option] = makeExercise('posed', { options: [{ poses }, {}] }).options;
  if (!option) throw new Error('no option');
  return option;
}

const whole = (option: Option, aids: AidId[] = []) =>
  measuresOfWay(option, { aids, smaller: false })?.whole;

/** By hand, ‰ of weight times stature: one leg at 90/90, as `measure-body.test.ts` has it. */
const ONE_AT_90_90 = 8.7;

describe('a support', () => {
  it('on the forearms takes the weight off the wrists and puts it on the elbows', () => {
    for (const shape of ['all-fours', 'plank', 'plank-knees']) {
      const option = posed(shape);
      expect(whole(option)?.wrist?.peak, shape).toBeGreaterThan(0.3);
      expect(whole(option, ['forearms'])?.wrist?.peak, shape).toBeLessThan(0.01);
      const aided = measuresOfWay(option, { aids: ['forearms'], smaller: false });
      expect(aided?.sides.right.elbows?.peak, shape).toBeGreaterThan(0.1);
    }
  });

  it('of one foot leaves four tenths of one leg, of two at 90/90', () => {
    const option = posed('supine-90');
    expect(whole(option)?.legs?.peak).toBeCloseTo(2 * ONE_AT_90_90, 0);
    expect(whole(option, ['foot-down'])?.legs?.peak).toBeCloseTo(0.4 * ONE_AT_90_90, 0);
  });

  it('of the knees makes less of a plank', () => {
    const option = posed('plank');
    const [toes, knees] = [whole(option), whole(option, ['knees-down'])];
    expect(knees?.belly?.peak).toBeLessThan(0.8 * (toes?.belly?.peak ?? 0));
  });

  it('of hands behind the head carries it in a curl', () => {
    const option = posed('chest-lift-reach');
    expect(whole(option)?.neckFree?.peak).toBeGreaterThan(8);
    expect(whole(option, ['head-in-hands'])?.neckFree?.peak).toBe(0);
  });

  it('under the seat bends the hip less', () => {
    const sitting = (aids: AidId[]) =>
      measuresOfWay(posed('sit-long'), { aids, smaller: false })?.sides.right.hipBend?.peak ?? NaN;
    expect(sitting([]) - sitting(['seat-raise'])).toBeCloseTo(7, 0);
  });

  it('leaves what a drawing can’t show by a factor', () => {
    const option = posed('all-fours');
    const bare = whole(option)?.wrist?.peak ?? NaN;
    expect(whole(option, ['fists'])?.wrist?.peak).toBeCloseTo(0.1 * bare, 6);
    expect(whole(option, ['wedge'])?.wrist?.peak).toBeCloseTo(0.6 * bare, 6);
  });

  it('of a chair under the hands takes from wrists and belly in a plank', () => {
    const plank = posed('plank');
    const [floor, chair] = [whole(plank), whole(plank, ['hands-high'])];
    // By hand: with the trunk at 53 in place of 73 degrees to the plumb line, sin 53 / sin 73 is left of the belly.
    expect((chair?.belly?.peak ?? NaN) / (floor?.belly?.peak ?? NaN)).toBeCloseTo(0.83, 1);
    expect(chair?.wrist?.peak).toBeLessThan(floor?.wrist?.peak ?? 0);
    expect(aidedOption(plank, ['hands-high'])?.props.map(({ prop }) => prop)).toEqual(['chair']);
  });

  it('of a chair has the knees under the hips: no rest shape, no plank from the knees, no hover', () => {
    for (const shape of ['child', 'plank-knees', 'bear', 'forearms-kneeling']) {
      expect(aidedOption(posed(shape), ['hands-high']), shape).toBeUndefined();
    }
    expect(aidedOption(posed('all-fours'), ['hands-high'])).toBeDefined();
  });

  it('of split feet leaves more room to the rim of the base', () => {
    for (const pose of ['standing', { shape: 'standing', arms: { flex: 120 } }]) {
      const margin = (aids: AidId[]) => whole(posed(pose), aids)?.margin?.peak ?? NaN;
      expect(margin(['split-feet'])).toBeGreaterThan(margin([]) + 0.5);
    }
    expect(aidedOption(posed('all-fours'), ['split-feet'])).toBeUndefined();
  });

  it('of the side leaves nobody flat, and is for what keeps its limbs still', () => {
    const still = posed('supine-hands-ribs');
    expect(whole(still)?.flat?.peak).toBe(1);
    expect(whole(still, ['lie-on-side'])?.flat?.peak).toBe(0);
    expect(aidedOption(posed('supine-bent', 'supine-90'), ['lie-on-side'])).toBeUndefined();
    expect(aidedOption(posed('chest-lift'), ['lie-on-side'])).toBeUndefined();
  });

  it('of a softer ball leaves six tenths of the arch, and is for what lies on one', () => {
    const [option] = makeExercise('on-a-ball', {
      options: [
        {
          poses: [{ shape: 'supine-bent', round: [-4, -12, -20, 0] }],
          props: [{ prop: 'small-ball', place: 'at bottom of ribs', role: 'support' }],
        },
        {},
      ],
    }).options;
    const arch = (aids: AidId[]) => option && whole(option, aids)?.['arch mid']?.peak;
    expect(arch(['ball-softer'])).toBeCloseTo(0.6 * (arch([]) ?? NaN), 1);
    expect(arch(['ball-up'])).toBeCloseTo(0.5 * (arch([]) ?? NaN), 1);
    expect(option && aidedOption(option, ['ball-up'])?.props[0]?.place).toBe(
      'between shoulder blades',
    );
    expect(option && aidedOption(option, ['fewer-cushions'])).toBeUndefined();
    expect(aidedOption(posed({ round: [-4, -12, -20, 0] }), ['ball-softer'])).toBeUndefined();
  });

  it('of the springs is lighter where they load, and more where they carry', () => {
    const set = (moreSpring: 'harder' | 'easier') => {
      const [option] = makeExercise('pressed', {
        options: [
          { poses: ['carriage-sit'], settings: { springs: { heavy: 1, light: 1 }, moreSpring } },
          {},
        ],
      }).options;
      return option && aidedOption(option, ['spring-easier'])?.settings?.springs;
    };
    expect(set('harder')).toEqual({ heavy: 1 });
    expect(set('easier')).toEqual({ heavy: 1, medium: 1 });
  });

  it('of the box lifts the seat by its height, legs down', () => {
    const [option] = makeExercise('rowed', {
      options: [{ poses: ['carriage-sit'], settings: { box: 'none' } }, {}],
    }).options;
    const aided = option && aidedOption(option, ['sit-on-box']);
    expect(aided?.settings?.box).toBe('short');
    const bend = (aids: AidId[]) =>
      option && measuresOfWay(option, { aids, smaller: false })?.sides.right.sittingBend?.peak;
    expect(bend(['sit-on-box'])).toBeLessThan(bend([]) ?? 0);
  });

  it('brings its props, and its picture moves', () => {
    const option = posed('sit-long');
    const aided = aidedOption(option, ['seat-raise']);
    expect(aided?.props.map(({ prop, place }) => [prop, place])).toEqual([
      ['blanket', 'under seat'],
    ]);
    const [was, is] = [bodiesOf(option)[0], aided && bodiesOf(aided)[0]];
    expect((is?.hips[1] ?? 0) - (was?.hips[1] ?? 0)).toBeCloseTo(0.06, 2);
  });

  it('does not fit where it changes nothing, nor where it is there already', () => {
    expect(aidedOption(posed('standing'), ['forearms'])).toBeUndefined();
    expect(aidedOption(posed('supine-bent'), ['foot-down'])).toBeUndefined();
    expect(aidedOption(posed('bridge'), ['head-rest'])).toBeUndefined();
    expect(aidedOption(posed('supine-bent', 'bridge'), ['head-rest'])).toBeUndefined();
    const raised = aidedOption(posed('sit-long'), ['seat-raise']);
    expect(raised && aidedOption(raised, ['seat-raise'])).toBeUndefined();
  });

  it('is the same in whichever order two are named', () => {
    const option = posed('all-fours');
    expect(inOrder(['fists', 'knee-pad'])).toEqual(inOrder(['knee-pad', 'fists']));
    expect(aidedOption(option, ['fists', 'knee-pad'])).toBe(
      aidedOption(option, ['knee-pad', 'fists']),
    );
  });

  it('is one of those that fit, the one that changes least first', () => {
    const fits = fittingAids(posed('all-fours'));
    expect(fits).toEqual(inOrder(fits));
    expect(fits).toEqual(expect.arrayContaining(['knee-pad', 'fists', 'wedge', 'forearms']));
    expect(fits).not.toContain('head-in-hands');
  });

  it('has words, and none of them names a condition', () => {
    expect(AIDS.map(({ id }) => id).sort()).toEqual([...AID_IDS].sort());
    for (const id of AID_IDS) {
      const { words, mark, name } = aidOf(id);
      expect(words).toMatch(/\.$/);
      expect(mark.length).toBeLessThanOrEqual(10);
      expect(`${words} ${name}`).not.toMatch(/pain|sore|injur|pregnan|condition|weak/i);
    }
  });
});

describe('half the way', () => {
  it('asks no more than the whole, and is nothing where nothing moves', () => {
    const lift = posed('prone', 'prone-lift');
    const half = measuresOfWay(lift, { aids: [], smaller: true })?.whole['arch up']?.peak ?? NaN;
    const full = measuresOf(lift).whole['arch up']?.peak ?? NaN;
    expect(half).toBeCloseTo(full / 2, 0);
    expect(measuresOfWay(posed('plank'), { aids: [], smaller: true })).toBeUndefined();
  });
});
