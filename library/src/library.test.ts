import { describe, expect, it } from 'vitest';
import { drawFigure } from '@wrenfern/core/body/figure';
import { isShapeName, shapeOf } from '@wrenfern/core/body/shapes';
import { searchCatalogue } from '@wrenfern/core/movement/search';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { CAUTIONS, type Caution } from '@wrenfern/core/people/cautions';
import { builtInCatalogue, builtInExercises } from './index.ts';

const named = builtInExercises.map((exercise) => [exercise.slug, exercise] as const);

/** The published mat order of 1945, by place (from memory), as far as it is in the library. */
const CLASSIC: Record<string, number> = {
  'roll-up': 2,
  'single-leg-stretch': 6,
  'spine-twist': 19,
};

describe('the library', () => {
  it('holds at least forty mat exercises with slugs of their own', () => {
    expect(builtInExercises.length).toBeGreaterThanOrEqual(40);
    expect(new Set(builtInExercises.map(({ slug }) => slug)).size).toBe(builtInExercises.length);
    expect(builtInExercises.every(({ machine }) => machine === 'mat')).toBe(true);
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
    ['tabletop', 0],
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
    for (const slug of [...exercise.swaps, ...exercise.prepares, ...exercise.counters]) {
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

  it('has two to four options, none easier than the one before', () => {
    expect(exercise.options.length).toBeGreaterThanOrEqual(2);
    expect(exercise.options.length).toBeLessThanOrEqual(4);
    exercise.options.forEach((option, index) => {
      const before = exercise.options[index - 1];
      // A hold at rest may follow a moving one: a rest counts as no easier.
      if (before) expect(option.effort).toBeGreaterThanOrEqual(before.effort - 1);
    });
  });

  it('names what each option turns and shows it in a pose that can be drawn', () => {
    for (const option of exercise.options) {
      expect(option.levers.length).toBeGreaterThan(0);
      for (const pose of option.poses) {
        expect(isShapeName(pose)).toBe(true);
        expect(drawFigure(shapeOf(pose), option.props).limbs).toHaveLength(4);
      }
    }
  });

  it('declares demands that fit what the spine does', () => {
    for (const option of exercise.options) {
      const moves = option.moves ?? exercise.moves;
      const load = option.spineLoad ?? exercise.spineLoad;
      const rounds = option.demands.some((demand) => demand.startsWith('flexion'));
      const position = option.position ?? exercise.position;
      if (load >= 3 && moves.includes('round')) {
        expect(option.demands).toContain('flexion-loaded');
      }
      if (option.demands.includes('flexion-loaded')) expect(load).toBeGreaterThanOrEqual(3);
      if (rounds && exercise.family !== 'hips') {
        const folds = moves.includes('round') || exercise.family === 'release';
        expect(folds).toBe(true);
      }
      if (position === 'prone') expect(option.demands).toContain('prone');
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

  it('states a floor that a mat fits into', () => {
    expect(exercise.floor.lengthM).toBeGreaterThanOrEqual(1.8);
    expect(exercise.floor.widthM).toBeGreaterThanOrEqual(0.6);
  });
});

describe('cautions against the library', () => {
  /** Exercises with no option left for a body with one caution: common practice says these are few. */
  const barredBy = (caution: Caution) =>
    builtInExercises.filter((exercise) =>
      exercise.options.every((option) =>
        option.demands.some((demand) => caution.effects[demand] === 'avoid'),
      ),
    );

  it.each((CAUTIONS as readonly Caution[]).map((caution) => [caution.name, caution] as const))(
    '%s leaves most of it open',
    (_name, caution) => {
      expect(barredBy(caution).length).toBeLessThan(builtInExercises.length / 3);
    },
  );

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
    const caution = CAUTIONS.find(({ id }) => id === 'disc-loaded-flexion') as Caution | undefined;
    const open = builtInCatalogue
      .require(slug)
      .options.filter(
        (option) => !option.demands.some((demand) => caution?.effects[demand] === 'avoid'),
      );
    const full = builtInCatalogue.require(slug).options.length;
    expect(stays ? open.length === full : open.length === 0 || slug === 'roll-up').toBe(true);
    if (slug === 'roll-up') expect(open).toHaveLength(0);
  });
});
