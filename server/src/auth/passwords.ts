import { hash, verify } from '@node-rs/argon2';
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import * as common from '@zxcvbn-ts/language-common';
import { newPassword } from '@wrenfern/contract/fields';

/** argon2id with the library's recommended cost. */
export function hashPassword(password: string): Promise<string> {
  return hash(password);
}

/** Made once, so that an unknown email takes as long to refuse as a wrong password. */
let decoy: Promise<string> | undefined;

export async function checkPassword(
  password: string,
  stored: string | undefined,
): Promise<boolean> {
  decoy ??= hashPassword('nobody has this password');
  const matches = await verify(stored ?? (await decoy), password);
  return matches && stored !== undefined;
}

/** About a hundred million guesses: out of reach of anybody who must ask a server that makes them wait. */
const LEAST_SCORE = 2;

let judge: ZxcvbnFactory | undefined;

/** Whether a password is among the first that anyone tries, by the lists of common ones that ship. */
export function isEasilyGuessed(password: string, about: readonly string[] = []): boolean {
  judge ??= new ZxcvbnFactory({ dictionary: common.dictionary, graphs: common.adjacencyGraphs });
  return judge.check(password, [...about, 'wrenfern', 'pilates']).score < LEAST_SCORE;
}

/** A password that somebody chooses. */
export const NewPassword = newPassword.refine(
  (password) => !isEasilyGuessed(password),
  'This is easily guessed; choose another.',
);
