import { demandsOf } from '@wrenfern/core/people/demands';
import { describe, expect, it } from 'vitest';
import { checkExercise } from '@wrenfern/core/body/check-exercise';
import { optionLoadOf } from '@wrenfern/core/body/load/option-load';
import { bodiesOf, floorSpaceOf } from '@wrenfern/core/body/option-body';
import { searchCatalogue } from '@wrenfern/core/movement/search';
import { leadsTo, type Exercise } from '@wrenfern/core/movement/exercise';
import { isAgainst } from '@wrenfern/core/people/cautions-against';
import { builtInCatalogue, builtInExercises } from './index.ts';

const named = builtInExercises.map((exercise) => [exercise.slug, exercise] as const);

/**
 * The 34 of the mat order in Pilates and Miller, Return to Life through Contrology (1945), from
 * memory: which exercise of the library holds which place.
 */
const CLASSIC: Record<string, number> = {
  hundred: 1,
  'roll-up': 2,
  'roll-over': 3,
  'single-leg-circle': 4,
  'rolling-ball': 5,
  'single-leg-stretch': 6,
  'double-leg-stretch': 7,
  'spine-stretch': 8,
  'open-leg-rocker': 9,
  corkscrew: 10,
  saw: 11,
  'swan-dive': 12,
  'single-leg-kick': 13,
  'double-leg-kick': 14,
  'neck-pull': 15,
  'scissors-high': 16,
  'bicycle-high': 17,
  'shoulder-bridge-kick': 18,
  'spine-twist': 19,
  'jack-knife': 20,
  'side-kick': 21,
  teaser: 22,
  'hip-twist': 23,
  swimming: 24,
  'leg-pull-front': 25,
  'leg-pull-back': 26,
  'side-kick-kneeling': 27,
  'twist-side-bend': 28,
  boomerang: 29,
  seal: 30,
  crab: 31,
  'rocking-prone': 32,
  'control-balance': 33,
  'push-up-series': 34,
};

describe('the library', () => {
  it.each([
    ['mat exercises', 110, (each: Exercise) => each.machine === 'mat' && each.family !== 'release'],
    ['releases', 20, (each: Exercise) => each.family === 'release'],
    ['reformer exercises', 45, (each: Exercise) => each.machine === 'reformer'],
  ])('holds %s, at least %d', (_what, least, is) => {
    expect(builtInExercises.filter(is).length).toBeGreaterThanOrEqual(least);
  });

  it('gives each a slug of its own', () => {
    expect(new Set(builtInExercises.map(({ slug }) => slug)).size).toBe(builtInExercises.length);
  });

  it('has no two figures alike among the options of a ladder that moves a limb', () => {
    const alike = builtInExercises.flatMap(({ slug, options }) =>
      options.slice(1).flatMap((option, index) => {
        const moved = option.levers.includes('limb-length') || option.levers.includes('base');
        const same = JSON.stringify(option.poses) === JSON.stringify(options[index]?.poses);
        const propped = JSON.stringify(option.props) !== JSON.stringify(options[index]?.props);
        return moved && same && !propped ? [`${slug} ${option.number}`] : [];
      }),
    );
    expect(alike).toEqual([]);
  });

  it('has an exercise for each direction of the spine, and several', () => {
    for (const move of ['round', 'arch', 'turn', 'side', 'still'] as const) {
      const found = builtInExercises.filter(({ moves }) => moves.includes(move));
      expect(found.length).toBeGreaterThanOrEqual(3);
    }
  });

  it('marks the places of the 1945 order', () => {
    const marked = builtInExercises.flatMap(({ slug, classicOrder }) =>
      classicOrder ? [[slug, classicOrder]] : [],
    );
    expect(Object.fromEntries(marked)).toEqual(CLASSIC);
  });

  it.each([
    ['tabletop', 1],
    ['child', 1],
    ['spine curl', 1],
    ['ab prep', 1],
    ['imprint', 1],
  ])('is searched by names that teachers use: "%s"', (words, least) => {
    expect(searchCatalogue(builtInCatalogue, words).length).toBeGreaterThanOrEqual(least);
  });
});

describe.each(named)('%s', (_slug, exercise: Exercise) => {
  it('points only at exercises that exist, and not at itself', () => {
    for (const slug of [...exercise.swaps, ...leadsTo(exercise), ...exercise.counters]) {
      expect(builtInCatalogue.get(slug)?.slug).toBe(slug);
      expect(slug).not.toBe(exercise.slug);
    }
  });

  it('has a stand-in that shares an aim with it', () => {
    const aims = (each: Exercise) => [
      ...each.bodyParts,
      ...each.teaches.map(({ foundation }) => foundation),
    ];
    const own = new Set<string>(aims(exercise));
    const sharing = exercise.swaps.filter((slug) =>
      aims(builtInCatalogue.require(slug)).some((aim) => own.has(aim)),
    );
    expect(sharing.length).toBeGreaterThan(0);
  });

  it('agrees with itself: words, pictures, ladder, body', () => {
    expect(checkExercise(exercise)).toEqual([]);
  });

  it('has two to four options, each weighed and drawn', () => {
    expect(exercise.options.length).toBeGreaterThanOrEqual(2);
    expect(exercise.options.length).toBeLessThanOrEqual(4);
    for (const option of exercise.options) {
      expect(option.levers.length).toBeGreaterThan(0);
      expect(bodiesOf(option)).toHaveLength(option.poses.length);
      expect(optionLoadOf(option).score).toBeLessThanOrEqual(100);
    }
  });

  it('draws on the machine that it is for, set as its words say', () => {
    for (const option of exercise.options) {
      for (const { pose } of bodiesOf(option)) {
        // What sets no springs is done beside the machine.
        const isOnIt = exercise.machine === 'reformer' && option.settings?.springs !== undefined;
        expect(pose.machine !== undefined).toBe(isOnIt);
        const { box } = option.settings ?? {};
        if (box) expect(pose.machine?.box).toBe(box);
      }
      expect(option.settings !== undefined).toBe(exercise.machine === 'reformer');
    }
  });

  it('asks what its spine does', () => {
    for (const option of exercise.options) {
      const moves = option.moves ?? exercise.moves;
      const load = option.spineLoad ?? exercise.spineLoad;
      const position = option.position ?? exercise.position;
      if (load >= 3 && moves.includes('round')) {
        expect(demandsOf(option)).toContain('flexion-loaded');
      }
      if (option.demands.includes('flexion-loaded')) expect(load).toBeGreaterThanOrEqual(3);
      if (position === 'prone') expect(demandsOf(option)).toContain('prone');
    }
  });

  it('gives words: two cues, two faults with remedies, a breath, a purpose', () => {
    expect(exercise.cues.length).toBeGreaterThanOrEqual(2);
    expect(exercise.faults.length).toBeGreaterThanOrEqual(2);
    expect(exercise.purpose).toMatch(/\.$/);
    for (const cue of exercise.cues) expect(cue).toMatch(/[.!?]$/);
    expect(exercise.breath.phases.length).toBeGreaterThan(0);
  });

  it('has a usual dose inside its usual range', () => {
    const { dose, usual } = exercise;
    const amount =
      dose.kind === 'hold'
        ? dose.holdS
        : dose.kind === 'free'
          ? dose.durationS
          : dose.kind === 'timed'
            ? dose.rounds
            : dose.count;
    expect(amount).toBeGreaterThanOrEqual(usual.least);
    expect(amount).toBeLessThanOrEqual(usual.most);
  });

  it('takes a floor that a mat fits into and a room holds', () => {
    const { lengthM, widthM } = floorSpaceOf(exercise);
    expect(lengthM).toBeGreaterThanOrEqual(1.8);
    expect(lengthM).toBeLessThan(4);
    expect(widthM).toBeGreaterThanOrEqual(0.6);
  });
});

describe('cautions against the library', () => {
  /** The loaded and unloaded exercises of common practice. */
  it.each([
    ['pelvic-tilt', true],
    ['cat-cow', true],
    ['shell-stretch', true],
    ['bridge-roll', true],
    ['knees-to-chest', true],
    ['half-roll-back', false],
    ['roll-up', false],
  ])('without loaded rounding, %s stays: %s', (slug, stays) => {
    const { options } = builtInCatalogue.require(slug);
    const open = options.filter((option) => !isAgainst('loaded-rounding-out', option));
    expect(open).toHaveLength(stays ? options.length : 0);
  });
});
