/** Metres per second squared. */
const GRAVITY = 9.81;

/** The weight of so many kilograms. */
export function toNewtons(massKg: number): number {
  return massKg * GRAVITY;
}
