import { hash, verify } from '@node-rs/argon2';

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
