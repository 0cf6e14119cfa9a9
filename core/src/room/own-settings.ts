import type { Person } from '../people/person.ts';

/**
 * Centimetres: whom a machine as it stands for a middle body is too long or too short for. Common practice; the
 * maker’s chart comes first.
 */
const FITS = { shorter: 158, taller: 182 } as const;

/**
 * What somebody sets otherwise on the machine, all class long: "springs a step lighter", "stopper a notch in, loops
 * short".
 */
export function ownSettings({
  springs,
  statureCm,
}: Pick<Person, 'springs' | 'statureCm'>): string[] {
  return [
    ...(springs ? [`springs a step ${springs}`] : []),
    ...(statureCm !== undefined && statureCm <= FITS.shorter
      ? ['stopper a notch in, loops short']
      : []),
    ...(statureCm !== undefined && statureCm >= FITS.taller
      ? ['stopper a notch out, loops long']
      : []),
  ];
}
