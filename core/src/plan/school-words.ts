import type { Exercise, Option } from '../movement/exercise.ts';
import { bodiesOf } from '../body/option-body.ts';
import type { SchoolDefaults, SchoolRules } from './school.ts';

/** What is said beside an exercise's own cues because of the school. */
export interface SchoolWords {
  /** How to breathe, phase by phase or as it comes. */
  breath: string;
  /** What the low back does; only where the legs leave the floor. */
  pelvis?: string;
  /** Who chooses the option. */
  level: string;
}

export function schoolWords(exercise: Exercise, option: Option, school: SchoolRules): SchoolWords {
  const { breath, pelvis, picks } = school.defaults;
  return {
    breath:
      breath === 'natural'
        ? exercise.breath.natural
        : exercise.breath.phases.map(({ on, doing }) => `${on}: ${doing}`).join(' · '),
    ...(legsLeaveFloor(exercise, option) ? { pelvis: PELVIS_WORDS[pelvis] } : {}),
    level:
      picks === 'person'
        ? 'Announce every level; each person chooses and may change.'
        : 'You set where each person starts; they may step back.',
  };
}

const PELVIS_WORDS: Record<SchoolDefaults['pelvis'], string> = {
  neutral: 'Neutral as long as the trunk can hold it; imprint for whoever can’t.',
  imprint: 'Imprint: low back down while the legs are in the air.',
};

/** Height of both heels over the lowest of the body, in statures, from which the legs are in the air. */
const IN_THE_AIR = 0.12;

function legsLeaveFloor(exercise: Exercise, option: Option): boolean {
  if ((option.position ?? exercise.position) !== 'supine') return false;
  return bodiesOf(option).some(
    ({ left, right, hips }) => Math.min(left.heel[1], right.heel[1]) - hips[1] > IN_THE_AIR,
  );
}

/** A school's usual ways, one line each, for whoever chooses between schools. */
export function describeDefaults({ defaults, effortCeiling }: SchoolRules): string[] {
  const { dose } = defaults;
  const doses = {
    own: 'each exercise in its own dose',
    counted: dose.kind === 'counted' ? `${dose.least} to ${dose.most} repetitions` : '',
    timed: dose.kind === 'timed' ? `${dose.onS} s of work, ${dose.offS} s to change` : '',
  } as const;
  return [
    doses[dose.kind],
    `low back ${defaults.pelvis === 'imprint' ? 'imprinted' : 'neutral'} while legs are in the air`,
    `${defaults.breath} breath`,
    `bridges ${defaults.bridge === 'hinge' ? 'hinged' : 'rolled bone by bone'}`,
    defaults.stretch === 'none' ? 'no stretch breaks' : `stretches ${defaults.stretch}`,
    `the ${defaults.picks} picks the level`,
    `a ball under the back travels ${defaults.travel}`,
    `effort up to ${effortCeiling} of 5`,
  ];
}
