import type { FullPose } from '../../body/full-pose.ts';
import { fullPose, hasShape } from '../../body/shapes/index.ts';
import type { Option } from '../../movement/exercise.ts';
import type { ArmPose, KeyPose, LegPose } from '../../movement/pose.ts';
import { isAlike } from './build-pose.ts';
import type { WrittenPose, WrittenPoses } from './exercise-document.ts';

const MOMENTS = ['start', 'reach', 'other-end', 'last'] as const;
const LONGEST_NAME = 48;
/** Signs that a pose of the file must save against its shape: building on a shape is easier to follow. */
const WORTH_A_LINK = 24;

interface Written {
  name: string;
  full: FullPose;
}

/** Gives every key pose of an exercise a name and writes the least that tells it from what it is made from. */
export function writePoses(options: readonly Option[]): {
  poses: WrittenPoses;
  /** By option, the names of its poses. */
  names: string[][];
} {
  const poses: WrittenPoses = {};
  const done: Written[] = [];
  const write = (key: KeyPose, option: Option, index: number): string => {
    const shape = typeof key === 'string' ? key : key.shape;
    if (typeof key === 'string' || isBare(key)) return shape ?? '';
    const full = fullPose(key);
    const same = done.find((other) => isSame(other.full, full));
    if (same) return same.name;
    const name = freeName(`${slugOf(option)}-${MOMENTS[index] ?? 'last'}`, poses);
    poses[name] = leastChange(full, shape, done);
    done.push({ name, full });
    return name;
  };
  const names = options.map((option) =>
    option.poses.map((key, index) => write(key, option, index)),
  );
  return { poses, names };
}

function isBare(pose: Exclude<KeyPose, string>): boolean {
  return pose.shape !== undefined && Object.keys(pose).length === 1;
}

function slugOf({ name, number }: Option): string {
  const slug = name
    .toLowerCase()
    .replace(/[’']/g, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, LONGEST_NAME)
    .replace(/-$/, '');
  return slug || `option-${number}`;
}

function freeName(wanted: string, poses: WrittenPoses): string {
  let name = wanted;
  for (let count = 2; name in poses || hasShape(name); count += 1) name = `${wanted}-${count}`;
  return name;
}

function leastChange(
  full: FullPose,
  shape: string | undefined,
  done: readonly Written[],
): WrittenPose {
  const fromShape = change(full, shape, fullPose(shape ?? {}));
  let least = fromShape;
  let length = (fromShape ? lengthOf(fromShape) : Infinity) - WORTH_A_LINK;
  for (const other of done) {
    const written = change(full, other.name, other.full);
    if (written && lengthOf(written) < length) {
      least = written;
      length = lengthOf(written);
    }
  }
  if (!least) throw new Error('a pose differs from its own shape in what no pose can leave out');
  return least;
}

const lengthOf = (written: WrittenPose): number => JSON.stringify(written).length;

/** What makes `to` of `before`; nothing where only leaving something out would. */
function change(to: FullPose, from: string | undefined, before: FullPose): WrittenPose | undefined {
  if (before.machine && !to.machine) return undefined;
  if (before.wall !== undefined && to.wall === undefined) return undefined;
  const written: WrittenPose = from === undefined ? {} : { from };
  for (const field of [
    'name',
    'lean',
    'roll',
    'face',
    'round',
    'side',
    'turn',
    'along',
    'wall',
  ] as const) {
    if (!isEqual(to[field], before[field])) Object.assign(written, { [field]: to[field] });
  }
  Object.assign(written, bothSides('arms', armChange, to, before));
  Object.assign(written, bothSides('legs', legChange, to, before));
  if (!isEqual(to.rest, before.rest)) written.rest = Object.fromEntries(to.rest);
  if (to.machine && !isEqual(to.machine, before.machine)) {
    written.machine = difference(to.machine, before.machine ?? { platform: false });
  }
  return written;
}

type Side = FullPose['right'];

const armChange = (to: Side, before: Side) => limbChange(to.arm, before.arm);
const legChange = (to: Side, before: Side) => limbChange(to.leg, before.leg);

function bothSides(
  limbs: 'arms' | 'legs',
  between: (to: Side, before: Side) => object,
  to: FullPose,
  before: FullPose,
): object {
  const right = between(to.right, before.right);
  const left = between(to.left, before.left);
  const [rightName, leftName] =
    limbs === 'arms' ? ['rightArm', 'leftArm'] : ['rightLeg', 'leftLeg'];
  const some = (name: string, what: object) => (Object.keys(what).length ? { [name]: what } : {});
  if (isAlike(right, left)) return some(limbs, right);
  return { ...some(rightName, right), ...some(leftName, left) };
}

/** Angles that are gone are 0; a hold that is gone is let go with `null`. */
function limbChange(to: ArmPose | LegPose, before: ArmPose | LegPose): object {
  const gone = Object.entries(before)
    .filter(([field, value]) => !(field in to) && value !== 0)
    .map(([field, value]) => [field, typeof value === 'number' ? 0 : null]);
  return { ...Object.fromEntries(gone), ...difference(to, before) } as object;
}

function difference<Of extends object>(to: Of, before: object): Partial<Of> {
  const held = new Map(Object.entries(before));
  return Object.fromEntries(
    Object.entries(to).filter(([field, value]) => {
      if (value === 0 && !held.has(field)) return false;
      return !isEqual(value, held.get(field));
    }),
  ) as Partial<Of>;
}

/** The same body, also where one says a 0 that the other leaves out. */
function isSame(one: FullPose, other: FullPose): boolean {
  const written = change(one, undefined, other);
  return written !== undefined && Object.keys(written).length === 0;
}

function isEqual(one: unknown, other: unknown): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}
