import type { ContactPart } from './contacts.ts';

/** What of a limb or the trunk can bear, from its root outwards. */
export const SHANK: readonly ContactPart[] = ['calves', 'feet', 'toes'];
export const LEG: readonly ContactPart[] = ['thighs', 'knees', ...SHANK];
export const ARM: readonly ContactPart[] = ['upper arms', 'elbows', 'hands'];
/** From the low back up. */
export const UPWARD: readonly ContactPart[] = ['waist', 'ribs', 'shoulders', 'head', ...ARM];
