import { REPETITION, TEACHING } from './pace.ts';

/** What decides how much is said before the first repetition of an item. */
export interface Telling {
  /** How it is told: worked out from the group where the plan leaves it open. */
  teaching: 'full' | 'brief' | 'none';
  /** Seconds of explanation that the plan states. */
  explainS?: number | undefined;
  /** Done before in this class, or the other side of it. */
  isAgain: boolean;
  isHold: boolean;
  hasOptions: boolean;
  isNewPosition: boolean;
}

interface Words {
  seconds: number;
  reason: string;
  /** By the plan, so that nobody's pace changes it. */
  isStated: boolean;
}

/** Seconds of words before the first repetition. */
export function wordsBefore(telling: Telling): Words {
  const { teaching, explainS, isAgain, isHold, hasOptions, isNewPosition } = telling;
  if (explainS !== undefined) {
    return { seconds: explainS, reason: `${explainS} s of explanation as set`, isStated: true };
  }
  if (teaching === 'full') return say(TEACHING.fullS, 'new to this group: every option shown');
  if (isAgain) return say(TEACHING.againS, 'done before in this class');
  if (teaching === 'none') return say(0, 'shown, not taught');
  if (isHold) return say(TEACHING.stretchS, 'a hold, few words');
  const seconds =
    TEACHING.briefS +
    (hasOptions ? TEACHING.optionsS : 0) +
    (isNewPosition ? TEACHING.newPositionS : 0);
  const reasons = [
    'in a few words',
    ...(hasOptions ? ['with its options'] : []),
    ...(isNewPosition ? ['first time in this position'] : []),
  ];
  return say(seconds, reasons.join(', '));
}

function say(seconds: number, reason: string): Words {
  return { seconds, reason, isStated: false };
}

/** Seconds that the first repetition takes more: always the same few, however quick the movement. */
export function firstMoreS({ teaching, explainS, isAgain }: Telling): number {
  if (isAgain || teaching === 'none') return 0;
  return teaching === 'full' && explainS === undefined
    ? REPETITION.firstExplainedS
    : REPETITION.firstBriefS;
}
