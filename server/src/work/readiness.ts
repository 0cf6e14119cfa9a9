import { familiarIn } from '@wrenfern/core/log/familiar';
import { analyse } from '@wrenfern/core/analyse';
import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import type { Attendee } from '@wrenfern/core/people/attendee';
import type { OptionsPlan } from '@wrenfern/core/people/choose-options';
import { classVerdicts, isRefused, sayVerdict } from '@wrenfern/core/people/class-verdict';
import type { Plan } from '@wrenfern/core/plan/plan';
import { RULES } from '@wrenfern/core/review/rules';
import type { Pace } from '@wrenfern/core/plan/timing/pace';
import type { Machines } from '@wrenfern/core/room/machines';
import type { Cupboard } from '@wrenfern/core/room/props';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';

/** All that readiness follows from; what is the same gives the same answer. */
export interface ReadinessInput {
  plan: Plan;
  /** The studio's own exercises, as far as the plan can come to need them. */
  own: readonly Exercise[];
  pace: Pace;
  machines: Machines;
  cupboard: Cupboard;
  attendees: readonly Attendee[];
  day: string;
  familiar: readonly string[];
}

/** Which findings speak of which side of being ready. */
const ASPECTS = {
  time: ['fits-the-hour'],
  options: ['everyone-has-an-option', 'versions-at-once', 'lying-within'],
  props: ['props-suffice', 'machines-suffice'],
  order: ['exercise-there', ...RULES.map(({ id }) => id)],
} as const;

export type Readiness = ReturnType<typeof readinessOf>;

/** What a class comes to, and what is still to settle. */
export function readinessOf({ plan, own, familiar, ...context }: ReadinessInput) {
  const catalogue: Catalogue =
    own.length === 0 ? builtInCatalogue : createCatalogue([...builtInExercises, ...own]);
  const { timeline, findings, coverage, options } = analyse(plan, catalogue, {
    ...context,
    ...familiarIn(context.attendees, familiar),
  });
  const whoDoesNotFit = (chosen: OptionsPlan) => {
    const { attendees, day } = context;
    const verdicts = classVerdicts(plan, attendees, chosen, catalogue, day);
    return attendees.flatMap(({ person }) => {
      const verdict = verdicts.get(person.id);
      return verdict && isRefused(verdict) ? [`${person.name}: ${sayVerdict(verdict)}.`] : [];
    });
  };
  const about = (rules: readonly string[]) =>
    findings
      .filter(({ rule, binding }) => binding && rules.includes(rule))
      .map(({ sentence }) => sentence);
  return {
    totalS: timeline.totalS,
    likely: { lowS: timeline.likely.lowS, highS: timeline.likely.highS },
    items: timeline.items.length,
    /** Names, each once, to find the class by. */
    exercises: [
      ...new Set(timeline.items.flatMap(({ exercise, name }) => (exercise ? [name] : []))),
    ],
    directions: coverage.seconds,
    swell: timeline.items.map((item) => ({ seconds: item.durationS, effort: item.effort })),
    toSettle: {
      time: about(ASPECTS.time),
      options: [...whoDoesNotFit(options), ...about(ASPECTS.options)],
      props: about(ASPECTS.props),
      order: about(ASPECTS.order),
    },
  };
}
