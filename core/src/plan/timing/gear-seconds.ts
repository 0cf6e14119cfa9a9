import { z } from 'zod';
import { SET_UP } from './pace.ts';

/** What everyone changes on a machine, and the seconds it takes. Common practice until a studio says. */
export const GEAR_SECONDS = {
  springs: SET_UP.springsS,
  bar: SET_UP.barS,
  headrest: SET_UP.headrestS,
  loops: SET_UP.loopsS,
  box: SET_UP.boxS,
  facing: SET_UP.turnRoundS,
} as const;

const seconds = z.number().int().min(0).max(180);

/** A studio's own seconds for each change. */
export const GearSeconds = z.strictObject({
  springs: seconds.default(GEAR_SECONDS.springs),
  bar: seconds.default(GEAR_SECONDS.bar),
  headrest: seconds.default(GEAR_SECONDS.headrest),
  loops: seconds.default(GEAR_SECONDS.loops),
  box: seconds.default(GEAR_SECONDS.box),
  facing: seconds.default(GEAR_SECONDS.facing),
});
export type GearSeconds = z.infer<typeof GearSeconds>;
