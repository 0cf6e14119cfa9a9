import type { Position } from '../../movement/vocabulary.ts';
import { optionIsLoadedOrUpsideDown } from '../choice-tests.ts';
import { PARTS_FIRST } from '../parts-first.ts';
import { criterion, type Criterion, type Drafted } from './drafted.ts';

const BACK_FROM_S = 1800;
const HANDS_FROM_S = 2400;
const BACK: readonly Position[] = ['prone', 'quadruped', 'kneeling'];
const HANDS: readonly Position[] = ['quadruped', 'plank', 'side-support'];

/** What a class on the mat holds and in which turn: parts before wholes, an open back, weight on the hands. Common practice. */
export function partCriteria(drafted: Drafted): Criterion[] {
  const { type, done, worked, plan, school, wishes } = drafted;
  if (type !== 'mat') return [];
  const slugs = done.map(({ exercise }) => exercise ?? '');
  const early = PARTS_FIRST.flatMap(({ parts, wholes }) => {
    const at = slugs.findIndex((slug) => wholes.includes(slug));
    const isPrepared = slugs.slice(0, Math.max(0, at)).some((slug) => parts.includes(slug));
    return at < 0 || isPrepared ? [] : [slugs[at] ?? ''];
  });
  const opens = worked.some(
    ({ timed: { position }, exercise }) =>
      position !== undefined && BACK.includes(position) && exercise.family !== 'release',
  );
  const hands = done.some(({ position }) => position !== undefined && HANDS.includes(position));
  const sparesBacks = school.effortCeiling < 4;
  const loaded = worked.filter(({ option }) => sparesBacks && optionIsLoadedOrUpsideDown(option));
  return [
    criterion('parts first', early.length === 0, early.join(', '), early),
    criterion('back opened', plan.targetS < BACK_FROM_S || opens, ''),
    criterion('hands used', plan.targetS < HANDS_FROM_S || hands, ''),
    criterion(
      'backs spared',
      loaded.every(({ exercise: { slug } }) => slug === wishes.climbTo),
      loaded.map(({ exercise }) => exercise.name).join(', '),
      loaded.map(({ exercise }) => exercise.slug),
    ),
  ];
}
