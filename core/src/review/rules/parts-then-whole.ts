import { pairRule } from '../pair-rule.ts';

export const partsThenWhole = pairRule({
  id: 'parts-then-whole',
  name: 'Parts before the whole',
  statement: 'A joined movement comes after the parts that prepare it.',
  kind: 'order',
  why: 'Halves that are known join by themselves; halves that are not are skipped over with a swing.',
  usually: 'must',
  speaksFrom: 'lesson',
  within: 'part',
  comesFirst: (first, second) =>
    first.exercise.prepares.includes(second.exercise.slug) &&
    !second.exercise.prepares.includes(first.exercise.slug)
      ? `${first.exercise.name} prepares ${second.exercise.name}`
      : undefined,
});
