import { STATURE_M } from './body-segments.ts';
import { PROP_WORDS } from '../movement/words.ts';
import type { Exercise, Option } from '../movement/exercise.ts';
import type { KeyPose } from '../movement/pose.ts';
import { mirrorPose } from './full-pose.ts';
import { fullPose } from './shapes/index.ts';
import type { Body } from './body.ts';
import { layOutBody } from './skeleton.ts';

/** Whatever is shown in key poses: an option, mostly. */
export interface Posed {
  poses: readonly KeyPose[];
}

const NAMED = new Map<string, Body>();

/** A named shape as it is stands in many exercises; there are no more of them than shapes. */
function layOutKeyPose(pose: KeyPose): Body {
  if (typeof pose !== 'string') return layOutBody(fullPose(pose));
  const known = NAMED.get(pose);
  if (known) return known;
  const body = layOutBody(fullPose(pose));
  NAMED.set(pose, body);
  return body;
}

const BODIES = new WeakMap<Posed, Body[]>();

/** The bodies of key poses, laid out once. */
export function bodiesOf(option: Posed): Body[] {
  const known = BODIES.get(option);
  if (known) return known;
  const bodies = option.poses.map(layOutKeyPose);
  BODIES.set(option, bodies);
  return bodies;
}

const MIRRORED = new WeakMap<Posed, Body[]>();

/** The same on the other side, by rule: limbs change places, bends and turns change their way. */
export function mirroredBodiesOf(option: Posed): Body[] {
  const known = MIRRORED.get(option);
  if (known) return known;
  const bodies = option.poses.map((pose) => layOutBody(mirrorPose(fullPose(pose))));
  MIRRORED.set(option, bodies);
  return bodies;
}

/** What the key poses show, in words, for those who do not see the picture. */
export function describeOption(option: Option): string {
  const names = bodiesOf(option).map(({ pose }) => pose.name);
  const distinct = names.filter((name, index) => names.indexOf(name) === index);
  const props = option.props.map((use) => `${PROP_WORDS[use.prop]} ${use.place}`);
  return [distinct.join('; then '), ...props].join(', ');
}

/** Metres that a middle body needs; never less than a mat. */
export interface FloorSpace {
  lengthM: number;
  widthM: number;
}

const MAT: FloorSpace = { lengthM: 1.8, widthM: 0.6 };
const MARGIN_M = 0.1;

/** The floor that the key poses of every option reach over. */
export function floorSpaceOf(exercise: Exercise): FloorSpace {
  const xs: number[] = [];
  const zs: number[] = [];
  for (const body of exercise.options.flatMap(bodiesOf)) {
    for (const [x, , z] of outermost(body)) {
      xs.push(x);
      zs.push(z);
    }
  }
  const metres = (places: number[]): number =>
    Math.ceil(((Math.max(...places) - Math.min(...places)) * STATURE_M + MARGIN_M) * 10) / 10;
  return {
    lengthM: Math.max(MAT.lengthM, metres(xs)),
    widthM: Math.max(MAT.widthM, metres(zs)),
  };
}

function outermost(body: Body): (readonly [number, number, number])[] {
  const limbs = [body.right, body.left].flatMap(({ hand, elbow, knee, heel, toe }) => [
    hand,
    elbow,
    knee,
    heel,
    toe,
  ]);
  return [body.head, body.hips, ...limbs];
}
