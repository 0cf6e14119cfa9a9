import { describePhase, type Dose } from '../../movement/dose.ts';
import type { Option } from '../../movement/exercise.ts';
import type { Position, Side, Tempo } from '../../movement/vocabulary.ts';
import { REPETITION, SET_UP, talkFactor, type Pace } from './pace.ts';
import { repetitionPace, type Breathing } from './repetition.ts';
import type { TimedPart } from './timeline.ts';

/** A part that is still to be given its start: until then it says 0. */
export type LoosePart = TimedPart;

interface WorkInput {
  dose: Dose;
  tempo: Tempo;
  position: Position;
  breathing: Breathing;
  /** Into the shape of the set, and out of it. */
  around?: Pick<Option, 'entryS' | 'exitS'>;
  /** Seconds that the first repetition takes more, while it is told. */
  firstMoreS: number;
  pace: Pace;
}

/** The parts of the work itself: each set, each side, what lies between them. */
export function workParts(input: WorkInput): LoosePart[] {
  const { dose } = input;
  const parts: LoosePart[] = [];
  for (let set = 1; set <= dose.sets; set += 1) {
    if (set > 1 && dose.kind !== 'timed') parts.push(betweenSets(input.pace));
    const sides = sidesInTurn(dose);
    sides.forEach((side, index) => {
      if (index > 0 && dose.kind !== 'timed') parts.push(sideChange(input));
      const isFirst = set === 1 && index === 0;
      for (const part of around(input, [...block(input, isFirst, side), ...phasesOf(input)])) {
        if (side) part.side = side;
        if (dose.sets > 1) part.set = set;
        parts.push(part);
      }
    });
  }
  return parts;
}

/** Getting into the shape that the set is done in and out of it again, once for all of the set. */
function around({ around: way = {}, pace }: WorkInput, set: LoosePart[]): LoosePart[] {
  const move = (seconds: number | undefined, words: string): LoosePart[] =>
    seconds === undefined
      ? []
      : [
          {
            kind: 'work',
            startS: 0,
            durationS: Math.round(seconds * pace.workFactor),
            phase: words,
            reason: `${words} ${seconds} s, once`,
            source: pace.workFactor === 1 ? 'common practice' : 'your pace',
            varies: 'work',
          },
        ];
  return [...move(way.entryS, 'into it'), ...set, ...move(way.exitS, 'out of it')];
}

function sidesInTurn(dose: Dose): (Side | 'alternating' | undefined)[] {
  switch (dose.sides) {
    case 'each':
      return 'first' in dose && dose.first === 'right' ? ['right', 'left'] : ['left', 'right'];
    case 'alternating':
      return ['alternating'];
    case 'none':
      return [undefined];
    default:
      return [dose.sides];
  }
}

function block(
  input: WorkInput,
  isFirst: boolean,
  side: Side | 'alternating' | undefined,
): LoosePart[] {
  const { dose } = input;
  switch (dose.kind) {
    case 'repetitions':
    case 'breaths':
      return [counted(input, isFirst, side)];
    case 'hold':
      return [held(dose, input.tempo)];
    case 'free':
      return [
        {
          kind: 'work',
          startS: 0,
          durationS: dose.durationS,
          reason: `${dose.durationS} s as set`,
          source: 'set in the plan',
          varies: 'clock',
        },
      ];
    case 'timed':
      return intervals(dose);
  }
}

/** Repetitions at the pace of their kind; the first is slower while it is being told. */
function counted(
  input: WorkInput,
  isFirst: boolean,
  side: Side | 'alternating' | undefined,
): LoosePart {
  const { dose, pace, breathing } = input;
  if (dose.kind !== 'repetitions' && dose.kind !== 'breaths') throw new Error('not a counted dose');
  const isBreaths = dose.kind === 'breaths';
  const tempo: Tempo = isBreaths ? 'breath' : input.tempo;
  const { eachS, isBreathStated, reason, source } = repetitionPace(tempo, breathing, pace);
  const moreS = isFirst && tempo !== 'pulse' ? input.firstMoreS * pace.workFactor : 0;
  const bothSides = dose.sides === 'alternating' ? 2 : 1;
  const own = side === 'left' ? (dose.leftCount ?? dose.count) : dose.count;
  const count = own * dose.directions * bothSides;
  const noun = isBreaths ? 'breaths' : 'repetitions';
  const first = moreS === 0 ? '' : `; the first takes ${show(moreS)} s more while it is told`;
  return {
    kind: 'work',
    startS: 0,
    durationS: Math.round(moreS + count * eachS),
    count,
    firstS: eachS + moreS,
    eachS,
    reason: `${count} ${noun} at ${show(eachS)} s (${reason})${first}`,
    source,
    varies: isBreathStated ? 'work' : 'open work',
  };
}

/** What follows without a break: nothing is set up between, nothing is told. */
function phasesOf(input: WorkInput): LoosePart[] {
  const { dose } = input;
  if (dose.kind === 'timed' || dose.kind === 'free') return [];
  return (dose.then ?? []).map((phase): LoosePart => {
    const words = describePhase(phase);
    if (phase.kind === 'hold') {
      return {
        kind: 'work',
        startS: 0,
        durationS: phase.holdS,
        count: 1,
        firstS: phase.holdS,
        eachS: phase.holdS,
        phase: words,
        reason: `then ${words}, as set`,
        source: 'set in the plan',
        varies: 'clock',
      };
    }
    const tempo: Tempo = phase.kind === 'small' ? 'pulse' : input.tempo;
    const { eachS, isBreathStated, reason, source } = repetitionPace(
      tempo,
      input.breathing,
      input.pace,
    );
    const bothSides = dose.sides === 'alternating' ? 2 : 1;
    const count = phase.count * bothSides;
    return {
      kind: 'work',
      startS: 0,
      durationS: Math.round(count * eachS),
      count,
      firstS: eachS,
      eachS,
      phase: words,
      reason: `then ${words} at ${show(eachS)} s (${reason})`,
      source,
      varies: isBreathStated ? 'work' : 'open work',
    };
  });
}

/** As long as is set; a shape that is reached for takes its way in and out. */
function held(dose: Extract<Dose, { kind: 'hold' }>, tempo: Tempo): LoosePart {
  const bothSides = dose.sides === 'alternating' ? 2 : 1;
  const count = dose.count * dose.directions * bothSides;
  const isReached = tempo === 'reach-hold';
  const moreS = isReached ? 2 * REPETITION.reachS : SET_UP.betweenHoldsS;
  const eachS = dose.holdS + moreS;
  const totalS = count * eachS - (isReached ? 0 : moreS);
  return {
    kind: 'work',
    startS: 0,
    durationS: totalS,
    count,
    firstS: dose.holdS,
    eachS,
    reason: holdWords(count, dose.holdS, isReached),
    source: 'set in the plan',
    varies: 'clock',
  };
}

function holdWords(count: number, holdS: number, isReached: boolean): string {
  const holds = count === 1 ? `held ${holdS} s as set` : `${count} holds of ${holdS} s`;
  if (isReached) return `${holds}, ${REPETITION.reachS} s into each and out of it`;
  return count === 1 ? holds : `${holds} with ${SET_UP.betweenHoldsS} s between`;
}

function intervals(dose: Extract<Dose, { kind: 'timed' }>): LoosePart[] {
  const rounds = dose.rounds * dose.directions * (dose.sides === 'alternating' ? 2 : 1);
  return Array.from({ length: rounds }, (): LoosePart[] => [
    {
      kind: 'work',
      startS: 0,
      durationS: dose.onS,
      reason: `${dose.onS} s of work by the clock`,
      source: 'set in the plan',
      varies: 'clock',
    },
    {
      kind: 'rest',
      startS: 0,
      durationS: dose.offS,
      reason: `${dose.offS} s to change by the clock`,
      source: 'set in the plan',
      varies: 'clock',
    },
  ]).flat();
}

function betweenSets(pace: Pace): LoosePart {
  return change('set-rest', SET_UP.betweenSetsS, 'a moment between sets', pace);
}

function sideChange({ position, pace }: WorkInput): LoosePart {
  const rollsOver = position === 'side-lying' || position === 'side-support';
  return rollsOver
    ? change('side-change', SET_UP.rollOverS, 'rolling over to the other side', pace)
    : change('side-change', SET_UP.swapSideS, 'changing sides', pace);
}

function change(
  kind: 'set-rest' | 'side-change',
  commonS: number,
  what: string,
  pace: Pace,
): LoosePart {
  const factor = talkFactor(pace) * pace.setUpFactor;
  const durationS = Math.round(commonS * factor);
  return {
    kind,
    startS: 0,
    durationS,
    reason: `${what} ${durationS} s`,
    source: factor === 1 ? 'common practice' : 'your pace',
    varies: 'words',
  };
}

/** Seconds with at most one decimal, as said in a sentence. */
function show(seconds: number): string {
  return String(Math.round(seconds * 10) / 10);
}
