import { describe, expect, it } from 'vitest';
import { makeExercise } from '../../testing/make-exercise.ts';
import { optionOf } from '../../movement/exercise.ts';
import { LEVELS, levelOf } from './option-level.ts';
import { keepSkill, optionSkillOf, skillOf } from './option-skill.ts';

const easy = makeExercise('easy', { options: [{ effort: 0 }, { effort: 0 }] });
const learnt = makeExercise('learnt', {
  needs: [
    { foundation: 'support', depth: 3 },
    { foundation: 'balance', depth: 2 },
  ],
  standard: 2,
  options: [{ effort: 0 }, { effort: 0 }, { effort: 4 }],
});
const skill = (exercise = easy, number = 1) => optionSkillOf(exercise, optionOf(exercise, number));

describe('optionSkillOf', () => {
  it('grows with what must be learnt before, and says what that is', () => {
    expect(skill(learnt, 2).score).toBeGreaterThan(skill(easy, 1).score);
    const [first] = skill(learnt, 2).parts;
    expect(first?.because).toBe('it needs 2 foundations, the deepest at 3 of 3');
    expect(skill(easy).parts.map(({ name }) => name)).not.toContain('foundations');
  });

  it('asks less a step below the one shown to a group, and more above', () => {
    const [below, at, above] = [1, 2, 3].map((number) => skill(learnt, number).score);
    expect(below).toBeLessThan(at ?? 0);
    expect(at).toBeLessThan(above ?? 0);
  });

  it('knows no steps where options are variants', () => {
    const variants = makeExercise('variants', {
      optionsAre: 'variants',
      options: [{ effort: 0 }, { effort: 0 }],
    });
    expect(skill(variants, 1).score).toBe(skill(variants, 2).score);
  });

  it('is asked afresh of a copy that needs something else', () => {
    const option = optionOf(easy, 1);
    keepSkill(easy, option, skill(easy).score);
    const copy = { ...easy, needs: learnt.needs };
    expect(skillOf(copy, option)).toBeGreaterThan(skillOf(easy, option));
  });

  it('adds up to its parts', () => {
    const { score, parts } = skill(learnt, 3);
    expect(Math.abs(parts.reduce((sum, { points }) => sum + points, 0) - score)).toBeLessThan(1);
  });
});

describe('levelOf', () => {
  it('is made of load and skill, and named', () => {
    const [plain, strong] = [
      levelOf(easy, optionOf(easy, 1)),
      levelOf(learnt, optionOf(learnt, 3)),
    ];
    expect(plain.level).toBe('beginner');
    expect(LEVELS.indexOf(strong.level)).toBeGreaterThanOrEqual(2);
    expect(strong.score).toBeGreaterThan(plain.score);
  });
});
