import type { MachineSetting } from '../movement/exercise.ts';

/** A spring near its working range: F = F0 + k x (Hooke's law with a preload). */
interface Spring {
  preloadN: number;
  stiffnessNPerM: number;
}

/** A stand-in set, so that settings can be told in newtons; a studio's own springs are measured. */
const STAND_IN: Record<'heavy' | 'medium' | 'light', Spring> = {
  heavy: { preloadN: 40, stiffnessNPerM: 280 },
  medium: { preloadN: 25, stiffnessNPerM: 200 },
  light: { preloadN: 10, stiffnessNPerM: 120 },
};

/** Metres that a carriage is out in the middle of a usual stroke. */
const MID_STROKE_M = 0.25;

/** What the springs pull with at a carriage place, in newtons; 0 without springs. */
export function springForceN(
  settings: MachineSetting | undefined,
  outM: number = MID_STROKE_M,
): number {
  const counts = settings?.springs ?? {};
  return (Object.keys(STAND_IN) as (keyof typeof STAND_IN)[]).reduce((sum, strength) => {
    const { preloadN, stiffnessNPerM } = STAND_IN[strength];
    return sum + (counts[strength] ?? 0) * (preloadN + stiffnessNPerM * outM);
  }, 0);
}

/**
 * What each strap carries of the springs' force. It runs from the carriage over the frame's pulley to a rider on
 * that carriage, so each strap in use holds it at two places: two of them a quarter each, one alone a half.
 * Free-body of the carriage; friction is left out.
 */
export function strapShare(inUse: number): number {
  return 1 / (2 * inUse);
}

/** What each strap pulls with, in newtons, in the hand or foot of a rider on the carriage. */
export function strapForceN(
  settings: MachineSetting | undefined,
  outM: number,
  inUse: number,
): number {
  return springForceN(settings, outM) * strapShare(inUse);
}
