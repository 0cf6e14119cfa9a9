import type { Option } from '../movement/exercise.ts';
import type { LegPose } from '../movement/pose.ts';
import type { Position, Posture } from '../movement/vocabulary.ts';
import type { FullPose } from './full-pose.ts';
import { fullPose } from './shapes/index.ts';

const KNOWN = new WeakMap<Option, Map<Position, Posture | undefined>>();

/** How exactly an option begins within its position, read off its first key pose; nothing where there is one way only. */
export function postureOf(option: Option, position: Position): Posture | undefined {
  const known = KNOWN.get(option) ?? new Map<Position, Posture | undefined>();
  if (known.has(position)) return known.get(position);
  KNOWN.set(option, known);
  const [first] = option.poses;
  const posture = first === undefined ? undefined : read(fullPose(first), position);
  known.set(position, posture);
  return posture;
}

/** Degrees of the knee from which it is folded up, and under which it counts as long. */
const FOLDED = 115;
const LONG = 40;

/** Of stature: a pelvis that is higher than cushions lift it sits on a chair or a box. */
const SEAT_HIGH = 0.15;

/** Of stature: feet further apart along the room than crossed ones are lie to one side. */
const TO_ONE_SIDE = 0.15;

/** Degrees of the trunk between lying and sitting. */
const PROPPED = { least: -80, most: -15 } as const;

function read(pose: FullPose, position: Position): Posture | undefined {
  switch (position) {
    case 'supine':
      return isPropped(pose) ? 'propped up' : undefined;
    case 'seated':
      return sitting(pose);
    case 'kneeling':
      return kneeling(pose);
    case 'quadruped':
      return isFolded(pose.right.leg) && (pose.right.leg.flex ?? 0) >= FOLDED
        ? 'rest kneeling'
        : leaning(pose);
    case 'prone':
      return isOnForearms(pose) ? 'on the forearms' : undefined;
    case 'plank':
    case 'side-support':
      return leaning(pose);
    case 'side-lying':
    case 'standing':
      return undefined;
  }
}

function isPropped({ lean, rest }: FullPose): boolean {
  return rest[0]?.[0] === 'pelvis' && lean > PROPPED.least && lean < PROPPED.most;
}

function sitting({ rest, right, left }: FullPose): Posture {
  const [part, height = 0] = rest[0] ?? [];
  if (part === 'pelvis' && height >= SEAT_HIGH) return 'on a seat';
  const [one, other] = [right.leg, left.leg];
  if (one.foot === 'lying' && other.foot === 'lying') {
    const apart = Math.abs((one.at?.[0] ?? 0) - (other.at?.[0] ?? 0));
    return apart >= TO_ONE_SIDE ? 'side-sitting' : 'cross-legged';
  }
  return isLong(one) && isLong(other) ? 'long sitting' : 'knees bent';
}

function kneeling({ right, left }: FullPose): Posture {
  if ((right.leg.foot === 'floor') !== (left.leg.foot === 'floor')) return 'half kneeling';
  return isFolded(right.leg) && isFolded(left.leg) ? 'heel-sitting' : 'tall kneeling';
}

function leaning(pose: FullPose): Posture {
  return isOnForearms(pose) ? 'on the forearms' : 'on the hands';
}

function isOnForearms({ rest, right, left }: FullPose): boolean {
  return (
    rest.some(([part]) => part === 'elbows') ||
    (right.arm.hand === 'forearm' && left.arm.hand === 'forearm')
  );
}

const isFolded = ({ bend = 0 }: LegPose) => bend >= FOLDED;
const isLong = ({ foot, bend = 0 }: LegPose) => foot === undefined && bend < LONG;
