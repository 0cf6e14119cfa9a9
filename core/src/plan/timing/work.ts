import { TEMPO_WORDS } from '../../movement/words.ts';
import type { Dose } from '../../movement/dose.ts';
import type { Position, Side, Tempo } from '../../movement/vocabulary.ts';
import type { TeachingStyle } from '../plan.ts';
import { SET_UP, SPREAD, TEMPO_PACE, type Pace } from './pace.ts';
import type { NumberSource, TimedPart } from './timeline.ts';

/** A part that is still to be given its start: until then it says 0. */
export type LoosePart = TimedPart;

interface WorkInput {
  dose: Dose;
  tempo: Tempo;
  position: Position;
  teaching: TeachingStyle;
  pace: Pace;
}

/** The parts of the work itself: each set, each side, what lies between them. */
export function workParts(input: WorkInput): LoosePart[] {
  const { dose } = input;
  const parts: LoosePart[] = [];
  for (let set = 1; set <= dose.sets; set += 1) {
    if (set > 1 && dose.kind !== 'timed') parts.push(betweenSets());
    const sides = sidesOf(dose);
    sides.forEach((side, index) => {
      if (index > 0 && dose.kind !== 'timed') parts.push(sideChange(input.position));
      const isFirst = set === 1 && index === 0;
      for (const part of block(input, isFirst)) {
        if (side) part.side = side;
        if (dose.sets > 1) part.set = set;
        parts.push(part);
      }
    });
  }
  return parts;
}

function sidesOf(dose: Dose): (Side | 'alternating' | undefined)[] {
  switch (dose.sides) {
    case 'each':
      return ['left', 'right'];
    case 'alternating':
      return ['alternating'];
    case 'none':
      return [undefined];
    default:
      return [dose.sides];
  }
}

function block(input: WorkInput, isFirst: boolean): LoosePart[] {
  const { dose } = input;
  switch (dose.kind) {
    case 'repetitions':
    case 'breaths':
      return [counted(input, isFirst)];
    case 'hold':
      return [held(dose)];
    case 'free':
      return [
        {
          kind: 'work',
          startS: 0,
          durationS: dose.durationS,
          reason: `${dose.durationS} s as set`,
          source: 'set in the plan',
          spread: SPREAD.clocked,
        },
      ];
    case 'timed':
      return intervals(dose);
  }
}

/** Repetitions at the pace of their kind; the first is slower while it is being told. */
function counted(input: WorkInput, isFirst: boolean): LoosePart {
  const { dose, pace } = input;
  if (dose.kind !== 'repetitions' && dose.kind !== 'breaths') throw new Error('not a counted dose');
  const tempo: Tempo = dose.kind === 'breaths' ? 'breath' : input.tempo;
  const figures = TEMPO_PACE[tempo];
  const own = pace.tempoFactors[tempo];
  const eachS = figures.plainS * (own ?? 1);
  const firstS = (isFirst ? firstRepetition(figures, input.teaching) : figures.plainS) * (own ?? 1);
  const bothSides = dose.sides === 'alternating' ? 2 : 1;
  const count = dose.count * dose.directions * bothSides;
  const noun = dose.kind === 'breaths' ? 'breaths' : 'repetitions';
  const source: NumberSource = own === undefined ? 'common practice' : 'your pace';
  const first = firstS === eachS ? '' : `, the first at ${show(firstS)} s while it is taught`;
  return {
    kind: 'work',
    startS: 0,
    durationS: Math.round(firstS + (count - 1) * eachS),
    count,
    firstS,
    eachS,
    reason: `${count} ${noun} at ${show(eachS)} s (${TEMPO_WORDS[tempo]})${first}`,
    source,
    spread: SPREAD.work,
  };
}

function firstRepetition(
  figures: { plainS: number; recalledS: number; explainedS: number },
  teaching: TeachingStyle,
): number {
  if (teaching === 'full') return figures.explainedS;
  return teaching === 'brief' ? figures.recalledS : figures.plainS;
}

function held(dose: Extract<Dose, { kind: 'hold' }>): LoosePart {
  const bothSides = dose.sides === 'alternating' ? 2 : 1;
  const count = dose.count * dose.directions * bothSides;
  const eachS = dose.holdS + SET_UP.betweenHoldsS;
  return {
    kind: 'work',
    startS: 0,
    durationS: Math.round(count * eachS - SET_UP.betweenHoldsS),
    count,
    firstS: dose.holdS,
    eachS,
    reason:
      count === 1
        ? `held ${dose.holdS} s as set`
        : `${count} holds of ${dose.holdS} s with ${SET_UP.betweenHoldsS} s between`,
    source: 'set in the plan',
    spread: SPREAD.clocked,
  };
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
      spread: SPREAD.clocked,
    },
    {
      kind: 'rest',
      startS: 0,
      durationS: dose.offS,
      reason: `${dose.offS} s to change by the clock`,
      source: 'set in the plan',
      spread: SPREAD.clocked,
    },
  ]).flat();
}

function betweenSets(): LoosePart {
  return {
    kind: 'set-rest',
    startS: 0,
    durationS: SET_UP.betweenSetsS,
    reason: `a moment between sets ${SET_UP.betweenSetsS} s`,
    source: 'common practice',
    spread: SPREAD.setUp,
  };
}

function sideChange(position: Position): LoosePart {
  const rollsOver = position === 'side-lying' || position === 'side-support';
  const durationS = rollsOver ? SET_UP.rollOverS : SET_UP.swapSideS;
  return {
    kind: 'side-change',
    startS: 0,
    durationS,
    reason: rollsOver
      ? `rolling over to the other side ${durationS} s`
      : `changing sides ${durationS} s`,
    source: 'common practice',
    spread: SPREAD.setUp,
  };
}

/** Seconds with at most one decimal, as said in a sentence. */
function show(seconds: number): string {
  return String(Math.round(seconds * 10) / 10);
}
