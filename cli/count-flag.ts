import { Refusal } from './refusal.ts';

/** A flag that counts from one. */
export function countFlag(flag: string, text: string, most: number): number {
  const number = Number(text);
  if (!Number.isInteger(number) || number < 1 || number > most) {
    throw new Refusal(`${flag} goes from 1 to ${most}, not "${text}"`);
  }
  return number;
}
