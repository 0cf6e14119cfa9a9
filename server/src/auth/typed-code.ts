import { randomInt } from 'node:crypto';

/** Letters and digits that nobody mistakes for one another when they are read from a screen. */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';

/** A code to be typed, in fours; each letter holds five bits. */
export function createTypedCode(letters: number): string {
  const drawn = Array.from({ length: letters }, () => LETTERS[randomInt(LETTERS.length)]);
  return inFours(drawn.join(''));
}

/** A code as it was made, though it was typed in small letters or without its hyphens. */
export function tidyTypedCode(typed: string): string {
  return inFours(typed.toUpperCase().replace(/[^A-Z0-9]/g, ''));
}

const inFours = (letters: string) => letters.replace(/(....)(?=.)/g, '$1-');
