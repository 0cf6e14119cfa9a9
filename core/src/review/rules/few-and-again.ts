import { leaveAllOut } from '../repairs.ts';
import type { Rule, Worked } from '../rule.ts';

/** Different exercises of work in a class that loads by steps, and how many more nobody minds. Common practice. */
const USUAL = { least: 12, most: 18 } as const;
const SPARE = 2;

export const fewAndAgain: Rule = {
  id: 'few-and-again',
  name: 'Few exercises, and again',
  statement: `A class that loads by steps stays with ${USUAL.least} to ${USUAL.most} exercises and does them a second time, a little more.`,
  kind: 'shape',
  why: 'What is done once is tried; what is done again is trained, and only then one thing is made harder.',
  usually: 'off',
  speaksFrom: 'class',
  find({ worked }) {
    const firsts = firstOfEach(worked.filter(isWork));
    if (firsts.length <= USUAL.most + SPARE) return [];
    // What tires least is missed least.
    const byEffort = firsts.toSorted((one, other) => one.timed.effort - other.timed.effort);
    const spared = byEffort.slice(0, firsts.length - USUAL.most - SPARE);
    const slugs = new Set(spared.map(({ exercise }) => exercise.slug));
    return [
      {
        key: 'few',
        itemIds: [],
        sentence: `${firsts.length} different exercises; a class that loads by steps stays with ${USUAL.least} to ${USUAL.most} and goes through them again.`,
        candidates: () => leaveAllOut(worked.filter(({ exercise }) => slugs.has(exercise.slug))),
      },
    ];
  },
};

const isWork = ({ exercise }: Worked) =>
  exercise.family !== 'release' && exercise.family !== 'awareness';

function firstOfEach(worked: readonly Worked[]): Worked[] {
  const slugs = worked.map(({ exercise }) => exercise.slug);
  return worked.filter(({ exercise }, at) => slugs.indexOf(exercise.slug) === at);
}
