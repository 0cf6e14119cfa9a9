import type { Catalogue } from '../movement/catalogue.ts';
import type { Dose } from '../movement/dose.ts';
import { optionOf, type Exercise } from '../movement/exercise.ts';
import type { Ask } from './asks.ts';
import { cautionOf } from './cautions/cautions.ts';
import type { Choice } from './choice.ts';
import { landmarkOf } from './landmarks.ts';
import { explainReason, type Reason } from './reasons.ts';
import { sayChoice } from './say-choice.ts';

/** A choice as it is told: what is done, why, how far, where it is felt, when to stop, when to go on. */
export interface Advice {
  does: string;
  why: string[];
  /** Where it is felt; nothing in a rest. */
  feltWhere?: string;
  /** What decided it, where it is not as asked. */
  measure?: Ask;
  value?: number;
  bound?: number;
  landmark?: string;
  stop?: string;
  againWhen?: string;
}

/** Everything that can be said of a choice, the gravest bound that decided it first. */
export function adviceOf(
  choice: Choice,
  exercise: Exercise,
  catalogue: Catalogue,
  dose: Dose,
): Advice {
  const asks = choice.reasons.filter((reason) => reason.code === 'asks');
  const grave = asks.find(({ effect }) => effect === 'avoid') ?? asks[0];
  const eased = choice.reasons.find((reason) => reason.code === 'eased');
  const by = grave?.caution ?? eased?.caution;
  const caution = by === undefined ? undefined : cautionOf(by);
  const feel = feltIn(choice, exercise, catalogue);
  return {
    does: sayChoice(choice, exercise, catalogue, dose),
    why: choice.reasons.map((reason: Reason) => explainReason(reason, exercise)),
    ...(feel === undefined ? {} : { feltWhere: feel }),
    ...(grave
      ? {
          measure: grave.ask,
          ...(grave.value === undefined ? {} : { value: grave.value }),
          bound: grave.bound,
          landmark: landmarkOf(grave.ask),
        }
      : {}),
    ...(caution ? { stop: caution.stop, againWhen: caution.againWhen } : {}),
  };
}

function feltIn(choice: Choice, exercise: Exercise, catalogue: Catalogue): string | undefined {
  switch (choice.kind) {
    case 'option':
      return optionOf(exercise, choice.option).feel;
    case 'swap':
      return optionOf(catalogue.require(choice.exercise), choice.option).feel;
    case 'rest':
      return undefined;
  }
}
