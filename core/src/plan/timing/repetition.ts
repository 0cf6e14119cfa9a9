import { TEMPO_WORDS } from '../../movement/words.ts';
import type { Tempo } from '../../movement/vocabulary.ts';
import type { ClassStyle } from '../class-style.ts';
import { KIND_PACE, PHASE_S, REPETITION, type Pace } from './pace.ts';
import type { NumberSource } from './timeline.ts';

/** How the breath and the movement of an item go together, as far as the plan says. */
export interface Breathing {
  /** In- and out-breaths that one repetition takes when it follows the breath. */
  phases: number;
  /** Said of the item itself; left out where only the style of the class tells. */
  breathed?: boolean | undefined;
  style?: ClassStyle | undefined;
  /** Of a kind that is done ten times and more, so it is counted aloud where nothing else is said. */
  isCounted?: boolean | undefined;
}

/** How long one repetition lasts once it is under way, and why. */
export interface Repetition {
  eachS: number;
  /** Whether the plan says if it is breathed: a forecast without that is wider. */
  isBreathStated: boolean;
  reason: string;
  source: NumberSource;
}

/**
 * Seconds of one repetition: its breaths times the seconds of a breath where it follows the breath, its own pace where
 * it doesn't, and what it usually comes to where the plan leaves that open.
 */
export function repetitionPace(tempo: Tempo, breathing: Breathing, pace: Pace): Repetition {
  const common = commonPace(tempo, breathing);
  const kindFactor = pace.tempoFactors[tempo];
  const factor = (kindFactor ?? 1) * pace.workFactor;
  return {
    ...common,
    eachS: common.eachS * factor,
    source: factor === 1 ? 'common practice' : 'your pace',
  };
}

type Common = Omit<Repetition, 'source'>;

function commonPace(tempo: Tempo, breathing: Breathing): Common {
  const kind = KIND_PACE[tempo];
  const { breathed, style } = breathing;
  const isSaid = breathed !== undefined;
  if (!isSaid && style === undefined) return openPace(tempo, breathing);
  const byStyle = style !== undefined && kind.breathedIn.includes(style);
  if (!(breathed ?? byStyle)) {
    const why = isSaid ? 'at its own pace' : 'at its own pace, as the class is led';
    return { eachS: kind.naturalS, isBreathStated: true, reason: `${TEMPO_WORDS[tempo]}, ${why}` };
  }
  const { phases, phaseS, eachS } = breathedPace(tempo, breathing);
  // A style never makes a movement quicker than it is by itself; who says that it is breathed knows how.
  const isBreathLed = breathed === true || eachS >= kind.naturalS;
  return {
    eachS: isBreathLed ? eachS : kind.naturalS,
    isBreathStated: true,
    reason: isBreathLed
      ? `${TEMPO_WORDS[tempo]}, ${phases} breaths in or out, ${phaseS} s each`
      : `${TEMPO_WORDS[tempo]}, longer than its ${phases} breaths`,
  };
}

function breathedPace(tempo: Tempo, { phases: own, style = 'steady' }: Breathing) {
  const { moves, isLargeRoll } = KIND_PACE[tempo];
  const phaseS = PHASE_S[moves][style];
  const phases = isLargeRoll && style === 'slow' ? Math.max(own, REPETITION.slowRollPhases) : own;
  return { phases, phaseS, eachS: phases * phaseS * (isLargeRoll ? REPETITION.largeRoll : 1) };
}

/** Nothing is known of the breath. */
function openPace(tempo: Tempo, { isCounted }: Breathing): Common {
  const { unknownS, naturalS, moves } = KIND_PACE[tempo];
  const quicker = moves === 'spine' ? REPETITION.countedSpine : REPETITION.countedLimbs;
  // Kinds that go at one pace in any case are no quicker for being counted.
  if (!isCounted || unknownS === naturalS) {
    const isOpen = unknownS !== naturalS;
    return {
      eachS: unknownS,
      isBreathStated: !isOpen,
      reason: isOpen ? `${TEMPO_WORDS[tempo]}, breathed or not` : TEMPO_WORDS[tempo],
    };
  }
  return {
    eachS: unknownS * quicker,
    isBreathStated: false,
    reason: `${TEMPO_WORDS[tempo]}, counted aloud`,
  };
}
