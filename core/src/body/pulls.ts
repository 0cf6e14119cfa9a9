import type { MachineSetting } from '../movement/exercise.ts';
import type { Body } from './body.ts';
import { MASS_KG, STATURE_M } from './body-segments.ts';
import { toNewtons } from './gravity.ts';
import { BODY_SIDES, type BodySide } from './full-pose.ts';
import { barPlace, pulleyPlace, strapEnds } from './machine.ts';
import { scale, subtract, unit, type Vec3 } from './space.ts';
import { springForceN, strapShare } from './springs.ts';

/** What a strap or the bar does to a hand or foot; its force in shares of body weight. */
export interface Pull {
  part: 'hands' | 'feet';
  side: BodySide;
  by: 'strap' | 'bar';
  at: Vec3;
  force: Vec3;
}

/** Newtons, for shares where nobody is named. */
export const BODY_WEIGHT_N = toNewtons(MASS_KG);

/** Half the distance between the pulleys, in shares of stature. */
const HALF_BETWEEN_PULLEYS = 0.14;

/** Of stature: no farther out the carriage stands on its stops, and they hold the springs. */
const HOME = 0.05;

/** What springs do to the body by straps and bar, friction and the carriage's own mass left out. */
export function pullsOf(body: Body, settings: MachineSetting | undefined): Pull[] {
  const { machine } = body.pose;
  if (!machine || !settings?.springs || machine.out <= HOME) return [];
  const spring = springForceN(settings, machine.out * STATURE_M) / BODY_WEIGHT_N;
  if (spring === 0) return [];
  return [...strapPulls(body, spring), ...barPushes(body, spring)];
}

function strapPulls(body: Body, spring: number): Pull[] {
  const { machine } = body.pose;
  if (!machine) return [];
  const [x, y] = pulleyPlace(machine);
  const ends = strapEnds(machine).filter(
    ({ part, side }) => part === 'feet' || body.pose[side].arm.hand === undefined,
  );
  return ends.map(({ part, side }) => {
    const at = part === 'feet' ? body[side].ankle : body[side].hand;
    const pulley: Vec3 = [x, y, Math.sign(at[2] || 1) * HALF_BETWEEN_PULLEYS];
    const force = scale(unit(subtract(pulley, at)), spring * strapShare(ends.length));
    return { part, side, by: 'strap' as const, at, force };
  });
}

/** Limbs on the bar press it away from the body with all that the springs pull; each takes its part. */
function barPushes(body: Body, force: number): Pull[] {
  const { machine } = body.pose;
  if (!machine) return [];
  const [x, y] = barPlace(machine);
  const away = machine.bar === 'ahead' ? -1 : 1;
  const on = BODY_SIDES.flatMap((side): Pick<Pull, 'part' | 'side' | 'at'>[] => {
    const { arm, leg } = body.pose[side];
    const place = (z: number): Vec3 => [x, y, z];
    return [
      ...(leg.foot?.includes('bar')
        ? [{ part: 'feet' as const, side, at: place(body[side].ankle[2]) }]
        : []),
      ...(arm.hand === 'bar'
        ? [{ part: 'hands' as const, side, at: place(body[side].hand[2]) }]
        : []),
    ];
  });
  return on.map((limb) => ({
    ...limb,
    by: 'bar' as const,
    force: [(away * force) / on.length, 0, 0] as Vec3,
  }));
}
