import { movesOf, type Exercise, type Option, type PropUse } from '../movement/exercise.ts';
import type { Position, SpineMove } from '../movement/vocabulary.ts';
import { leverSentences } from './check-levers.ts';
import { faultsOf } from './check-pose.ts';
import { loadOf } from './load/option-load.ts';
import { placeProp, propHeight } from './figure/furniture.ts';
import { bodiesOf } from './option-body.ts';
import type { Body } from './body.ts';
import { distance, FRONT, RIGHT, rotate, UP } from './space.ts';
import { weigh } from './statics.ts';

/** What does not agree between an exercise's words, its pictures and the body model. */
export interface ExerciseFault {
  /** Counted from 1; absent where the whole exercise is meant. */
  option?: number;
  sentence: string;
}

/** Checks pictures, data and ladder of one exercise against each other. */
export function checkExercise(exercise: Exercise): ExerciseFault[] {
  const faults: ExerciseFault[] = [];
  exercise.options.forEach((option, index) => {
    const before = exercise.options[index - 1];
    const sentences = [
      ...poseSentences(option),
      ...positionSentences(exercise, option),
      ...moveSentences(exercise, option),
      ...balanceSentences(option),
      ...propSentences(option),
      ...(before ? stepSentences(before, option) : []),
      ...(before && exercise.optionsAre === 'steps' ? leverSentences(before, option) : []),
    ];
    faults.push(...sentences.map((sentence) => ({ option: option.number, sentence })));
  });
  return [...faults, ...unseenMoves(exercise)];
}

function poseSentences(option: Option): string[] {
  return bodiesOf(option).flatMap((body, index) =>
    faultsOf(body).map(({ sentence }) => `pose ${index + 1}: ${sentence}`),
  );
}

/**
 * How much of an axis of the pelvis must look up or down for a position to be what it is called: 1 is straight
 * up, 0.3 a trunk tipped by 17 degrees. Rough on purpose: it tells positions apart and leaves them room.
 */
const FACING = { lying: 0.3, onHands: 0.2, upright: 0.85, onSide: 0.7, sideSupport: 0.6 } as const;

/** How the trunk lies: which of its axes looks up, and how far. */
function attitudeFits(position: Position, body: Body): boolean {
  const front = rotate(body.pelvisTurn, FRONT)[1];
  const up = rotate(body.pelvisTurn, UP)[1];
  const side = Math.abs(rotate(body.pelvisTurn, RIGHT)[1]);
  const rests = (part: string): boolean => body.pose.rest.some(([name]) => name === part);
  switch (position) {
    case 'supine':
      return front > FACING.lying || up < -FACING.lying;
    case 'prone':
      return front < -FACING.lying;
    case 'quadruped':
    case 'plank':
      return front < -FACING.onHands || rests('hands') || up < FACING.upright;
    case 'side-lying':
      return side > FACING.onSide || rests('pelvis');
    case 'side-support':
      return side > FACING.sideSupport;
    case 'seated':
      return rests('pelvis') || rests('feet') || rests('ribs');
    case 'kneeling':
      return rests('knees');
    case 'standing':
      return rests('feet') || rests('toes') || rests('knees');
  }
}

function positionSentences(exercise: Exercise, option: Option): string[] {
  const position = option.position ?? exercise.position;
  const [first] = bodiesOf(option);
  if (!first || attitudeFits(position, first)) return [];
  return [`is said to start ${position}, and the first picture does not.`];
}

/** Degrees of the whole back, neck included, that count as moving or as held. */
const SEEN = 4;
const STILL = 16;

interface Spine {
  round: number;
  side: number;
  turn: number;
}

function spineOf(body: Body): Spine {
  const sum = (curve: readonly number[]): number => curve.reduce((all, each) => all + each, 0);
  return { round: sum(body.pose.round), side: sum(body.pose.side), turn: sum(body.pose.turn) };
}

function shows(move: SpineMove, bodies: readonly Body[]): boolean {
  const spines = bodies.map(spineOf);
  const most = (key: keyof Spine): number => Math.max(...spines.map((spine) => spine[key]));
  const least = (key: keyof Spine): number => Math.min(...spines.map((spine) => spine[key]));
  const changes = (key: keyof Spine): number => most(key) - least(key);
  switch (move) {
    case 'round':
      return changes('round') >= SEEN || most('round') >= SEEN;
    case 'arch':
      return changes('round') >= SEEN || least('round') <= -SEEN;
    case 'turn':
      return changes('turn') >= SEEN || Math.abs(most('turn') + least('turn')) >= SEEN;
    case 'side':
      return changes('side') >= SEEN || Math.abs(most('side') + least('side')) >= SEEN;
    case 'still':
      return changes('round') <= STILL && changes('side') <= STILL && changes('turn') <= STILL;
  }
}

function moveSentences(exercise: Exercise, option: Option): string[] {
  const moves = movesOf(exercise, option);
  const bodies = bodiesOf(option);
  if (moves.some((move) => shows(move, bodies))) return [];
  return [`is said to ${moves.join(' and ')}, and its pictures show none of it.`];
}

function unseenMoves(exercise: Exercise): ExerciseFault[] {
  return exercise.moves
    .filter((move) => !exercise.options.some((option) => shows(move, bodiesOf(option))))
    .map((move) => ({ sentence: `no option's pictures show "${move}".` }));
}

function balanceSentences(option: Option): string[] {
  const unbalanced = bodiesOf(option).flatMap((body, index) =>
    weigh(body, option.settings).balanced ? [] : [index + 1],
  );
  if (option.held) {
    return unbalanced.length > 0
      ? []
      : ['the weight falls within what carries it; take "held" out.'];
  }
  return unbalanced.map(
    (pose) =>
      `pose ${pose}: the weight does not fall within what carries it; say in "held" what does.`,
  );
}

/** Two centimetres on a middle body. */
const TOUCHING = 0.012;
/** A soft ball under a body is pressed to no less than this share of its height. */
const PRESSED = 0.55;
const SOFT: ReadonlySet<string> = new Set(['small-ball', 'stability-ball']);

function propSentences(option: Option): string[] {
  const worn: ReadonlySet<string> = new Set(['band', 'pole', 'ring', 'hand-weight']);
  return option.props.flatMap((use) => {
    if (worn.has(use.prop) || use.optional) return [];
    const near = bodiesOf(option).some((body) => {
      const { centre, under, touches } = placeProp(use, body);
      const gap = under
        ? gapUnder(use, touches[1])
        : Math.max(0, distance(centre, touches) - propHeight(use.prop) / 2);
      return gap <= TOUCHING;
    });
    return near ? [] : [`the ${use.prop} ${use.place} touches nothing in any picture.`];
  });
}

/** Between what lies under a body and the body, whichever is higher. */
function gapUnder({ prop, count }: PropUse, at: number): number {
  const height = propHeight(prop, count);
  const least = SOFT.has(prop) ? height * PRESSED : height;
  return Math.max(0, at - height, least - at);
}

/** The model's points may differ by this much before a step counts as a step down. */
const SAME = 1;

function stepSentences(before: Option, option: Option): string[] {
  const sentences: string[] = [];
  const [from, to] = [loadOf(before), loadOf(option)];
  if (to < from - SAME && !option.lighterBecause) {
    sentences.push(
      `weighs ${to} of 100 after an option of ${from}; say in "lighterBecause" why it comes later.`,
    );
  }
  if (to >= from - SAME && option.lighterBecause) {
    sentences.push(`weighs ${to} after ${from}, so it needs no "lighterBecause".`);
  }
  const words: ReadonlySet<string> = new Set(['tempo', 'attention', 'load']);
  const same = (key: 'poses' | 'props' | 'settings' | 'dose'): boolean =>
    JSON.stringify(before[key]) === JSON.stringify(option[key]);
  const unchanged = same('poses') && same('props') && same('settings') && same('dose');
  if (unchanged && option.levers.some((lever) => !words.has(lever))) {
    sentences.push(
      `turns ${option.levers.join(', ')}, yet nothing differs from the option before.`,
    );
  }
  return sentences;
}
