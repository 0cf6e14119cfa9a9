import type { BodyPart } from '../../movement/vocabulary.ts';
import { BODY_PART_WORDS, capital, listWords } from '../../movement/words.ts';
import { effortOfExercise } from '../../body/load/option-load.ts';
import { WANTED_PARTS, WHOLE_BODY_FROM_S } from '../coverage.ts';
import { addWhereItFits, bestPlace } from '../light-additions.ts';
import { addAt, together } from '../repairs.ts';
import type { Repair, Rule, RuleContext } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

export const bodyParts: Rule = {
  id: 'body-parts',
  name: 'All parts of the body',
  statement:
    'In a class of 40 minutes or more: front, back and sides of the trunk, all sides of the hips, and the shoulders are each touched.',
  kind: 'coverage',
  why: 'What is left out this week is mostly what was left out last week.',
  usually: 'should',
  speaksFrom: 'class',
  draft(rows) {
    if (rows.targetS < WHOLE_BODY_FROM_S) return;
    for (const part of WANTED_PARTS) {
      rows.upTo(({ exercise }) => exercise.bodyParts.includes(part), 1);
    }
  },
  find(context) {
    if (context.plan.targetS < WHOLE_BODY_FROM_S) return [];
    // A stretch is no work.
    const touched = new Set(
      context.worked.flatMap(({ exercise }) =>
        exercise.family === 'release' ? [] : exercise.bodyParts,
      ),
    );
    const missing = WANTED_PARTS.filter((part) => !touched.has(part));
    if (missing.length === 0) return [];
    const words = missing.map((part) => BODY_PART_WORDS[part]);
    return [
      {
        key: missing.join(' '),
        itemIds: [],
        sentence: `${capital(listWords(words))} ${missing.length > 1 ? 'are' : 'is'} not touched in ${Math.round(context.plan.targetS / 60)} minutes.`,
        candidates: () => addParts(context, missing),
      },
    ];
  },
};

/** One exercise for all of them where there is one; else as few as it takes, the lightest first. */
function addParts(context: RuleContext, missing: readonly BodyPart[]): Repair[] {
  const all = workUnused(context).filter(({ bodyParts: own }) =>
    missing.every((part) => own.includes(part)),
  );
  return [...addWhereItFits(context, all), ...addSeveral(context, missing)];
}

/** A stretch would not count. */
function workUnused(context: RuleContext) {
  return unusedOf(context).filter(({ family }) => family !== 'release');
}

function addSeveral(context: RuleContext, missing: readonly BodyPart[]): Repair[] {
  const chosen: ReturnType<typeof unusedOf> = [];
  const left = new Set(missing);
  while (left.size > 0) {
    const gain = (each: (typeof chosen)[number]) =>
      each.bodyParts.filter((part) => left.has(part)).length;
    const [best] = workUnused(context)
      .filter((each) => !chosen.includes(each) && gain(each) > 0)
      .sort((a, b) => gain(b) - gain(a) || effortOfExercise(a) - effortOfExercise(b));
    if (!best) return [];
    chosen.push(best);
    for (const part of best.bodyParts) left.delete(part);
  }
  const edit = together(
    chosen.map((exercise) => addAt(context.plan, bestPlace(context, exercise), exercise)),
  );
  return edit ? [{ label: `Add ${listWords(chosen.map(({ name }) => name))}`, edit }] : [];
}
