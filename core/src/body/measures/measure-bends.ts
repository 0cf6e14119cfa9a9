import { BODY_SIDES, type BodySide } from '../full-pose.ts';
import { ballJointAngles, hingeAngle } from '../joint-angles.ts';
import { JOINT_LIMITS } from '../joint-limits.ts';
import { clamp, dot, FRONT, rotate, toDegrees, UP } from '../space.ts';
import { BACK_PARTS, type BackPart, type Bend } from '../trunk-curve.ts';
import type { SideMeasure, WholeMeasure } from './measure-names.ts';
import { CM, hipOf, LYING, TOUCH, type SeenBody } from './seen-body.ts';

/** A thigh bent farther than this tips the pelvis, and with straight knees in sitting earlier: degrees, share. */
const TIPS = { from: 110, by: 0.3, sittingFrom: 75, sittingBy: 0.25, straightKnee: 20 } as const;
/** Of the weight on the blades from which the upper rounding is the shelf's, not the back's. */
const ON_BLADES = 0.1;

/** The bends of the back, and how near its joints come to their ends. */
export function bends(seen: SeenBody): Partial<Record<WholeMeasure, number>> {
  const found: Partial<Record<WholeMeasure, number>> = {};
  const onBlades =
    seen.chestUp > LYING &&
    (seen.share(['shoulders']) >= ON_BLADES || seen.pressed(['head']) > TOUCH);
  for (const part of BACK_PARTS) {
    const { round, side, turn } = seen.back[part];
    const rounding = part === 'low' ? round + tipped(seen) : round;
    found[`round ${part}`] = part === 'up' && onBlades ? 0 : Math.max(0, rounding);
    found[`arch ${part}`] = Math.max(0, -round);
    found[`side ${part}`] = Math.abs(side);
    found[`turn ${part}`] = Math.abs(turn);
  }
  const roundSum = (['low', 'mid', 'up'] as const).reduce(
    (sum, part) => sum + (found[`round ${part}`] ?? 0),
    0,
  );
  return { ...found, roundSum, backEnd: backEnd(seen.back), endShare: endShare(seen) };
}

/** How much the thighs tip the pelvis, and with it round the low back. */
function tipped({ body, pelvisUp }: SeenBody): number {
  return Math.max(
    ...BODY_SIDES.map((side) => {
      const { flex } = hipOf(body, side);
      const knee = hingeAngle(body[side].thigh, body[side].shank);
      const sitting = Math.abs(pelvisUp) < LYING && knee < TIPS.straightKnee;
      return Math.max(
        0,
        TIPS.by * (flex - TIPS.from),
        sitting ? TIPS.sittingBy * (flex - TIPS.sittingFrom) : 0,
      );
    }),
  );
}

const LIMITS: Record<
  BackPart,
  {
    round: readonly [number, number];
    side: readonly [number, number];
    turn: readonly [number, number];
  }
> = {
  low: JOINT_LIMITS['low back'],
  mid: JOINT_LIMITS['middle back'],
  up: JOINT_LIMITS['upper back'],
  neck: JOINT_LIMITS.neck,
};

function shareOfRange(value: number, [least, most]: readonly [number, number]): number {
  return value < 0 ? value / least : value / most;
}

function backEnd(back: Record<BackPart, Bend>): number {
  return Math.max(
    ...(['low', 'mid', 'up'] as const).flatMap((part) =>
      (['round', 'side', 'turn'] as const).map((way) =>
        shareOfRange(back[part][way], LIMITS[part][way]),
      ),
    ),
  );
}

function endShare({ body, back }: SeenBody): number {
  const neck = (['round', 'side', 'turn'] as const).map((way) =>
    shareOfRange(back.neck[way], LIMITS.neck[way]),
  );
  // A knee or a hip that is bent to its end rests calf on thigh, or thigh on belly: nothing is stretched.
  const limbs = BODY_SIDES.flatMap((side) => {
    const hip = hipOf(body, side);
    return [
      shareOfRange(Math.min(0, hip.flex), JOINT_LIMITS.hip.flex),
      // An abducted thigh's lift is measured about another line.
      Math.abs(hip.flex) < 90 ? shareOfRange(hip.out, JOINT_LIMITS.hip.out) : 0,
    ];
  });
  return Math.max(backEnd(back), ...neck, ...limbs);
}

/** The heart: the root of the upper back, five centimetres forward; a head lies level by as much. */
const HEART_FORWARD_CM = 5;

/** Head and hips against the heart, and the thighs against each other. */
export function heights({ body }: SeenBody): Partial<Record<WholeMeasure, number>> {
  const forward = rotate(body.highTurn, FRONT);
  const heartCm = body.highBack[1] * CM + forward[1] * HEART_FORWARD_CM;
  const thighs = BODY_SIDES.map((side) => rotate(body[side].thigh, UP));
  const [right, left] = thighs;
  return {
    headLow: Math.max(0, heartCm - body.head[1] * CM - HEART_FORWARD_CM),
    hipsHigh: Math.max(0, body.hips[1] * CM - heartCm),
    legsApart: right && left ? toDegrees(Math.acos(clamp(dot(right, left), -1, 1))) : 0,
  };
}

/** Degrees that a foot pulled up and a rounded back add along the back of the leg, and from where. */
const NERVE = { straightKnee: 20, footUp: -10, footAdds: 15, rounded: 20, roundAdds: 20 } as const;
/** Degrees: from here an arm out to the side is open. */
const OPEN_FROM = 70;

/** Angles of the limbs of one side. */
export function angles(seen: SeenBody, side: BodySide): Partial<Record<SideMeasure, number>> {
  const { body, back } = seen;
  const limbs = body[side];
  const hip = hipOf(body, side);
  const shoulder = ballJointAngles(body.highTurn, limbs.upperArm, side);
  const knee = hingeAngle(limbs.thigh, limbs.shank);
  const footUp = (body.pose[side].leg.point ?? 0) < NERVE.footUp;
  const rounded = back.low.round + back.mid.round >= NERVE.rounded;
  const straight = knee < NERVE.straightKnee;
  return {
    hipBend: Math.max(0, hip.flex),
    hipBack: Math.max(0, -hip.flex),
    hipAcross: Math.max(0, -hip.out),
    hipTurnIn: Math.max(0, -hip.turn),
    hipTurnOut: Math.max(0, hip.turn),
    kneeBend: knee,
    armBehind: Math.max(0, -shoulder.flex),
    armOpen: shoulder.out >= OPEN_FROM && shoulder.turn > 0 ? shoulder.out : 0,
    legNerve: straight
      ? Math.max(0, hip.flex) + (footUp ? NERVE.footAdds : 0) + (rounded ? NERVE.roundAdds : 0)
      : 0,
  };
}
