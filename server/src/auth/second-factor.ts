import { Secret, TOTP } from 'otpauth';
import { z } from 'zod';
import { databaseOfModels, User } from '../db/models.ts';
import { seal, unseal } from '../keeping/seal.ts';
import { hashOf } from './known-device.ts';
import { createTypedCode, tidyTypedCode } from './typed-code.ts';

/** One step of thirty seconds early or late, for clocks that differ. */
const WINDOW = 1;
const PERIOD_S = 30;

const Kept = z.object({ secret: z.string(), lastStep: z.number().int() });

const totpOf = (secret: Secret, label: string) =>
  new TOTP({ issuer: 'Wrenfern', label, secret, period: PERIOD_S });

/** A secret for an authenticator, not yet in use: as letters to type and as an address to open. */
export function proposeSecondFactor(email: string): { secret: string; uri: string } {
  const secret = new Secret({ size: 20 });
  return { secret: secret.base32, uri: totpOf(secret, email).toString() };
}

/** The step that a code belongs to (RFC 6238), or undefined when it is wrong. */
function stepOf(secret: string, code: string, nowMs: number): number | undefined {
  const totp = totpOf(Secret.fromBase32(secret), '');
  const delta = totp.validate({ token: code, window: WINDOW, timestamp: nowMs });
  return delta === null ? undefined : Math.floor(nowMs / 1000 / PERIOD_S) + delta;
}

/** The secret to keep once its first code was right; undefined when it was not. */
export function confirmSecondFactor(
  key: Buffer,
  user: User,
  secret: string,
  code: string,
): string | undefined {
  const step = stepOf(secret, code, Date.now());
  if (step === undefined) return undefined;
  return seal(key, JSON.stringify({ secret, lastStep: step }), user.id);
}

/** Whether a code is right and was not used before; it is used up by asking. */
export async function useCode(key: Buffer, user: User, code: string): Promise<boolean> {
  if (!user.secondFactor) return true;
  const sealed = user.secondFactor;
  const { secret, lastStep } = Kept.parse(JSON.parse(unseal(key, sealed, user.id)));
  const step = stepOf(secret, code, Date.now());
  if (step === undefined || step <= lastStep) return false;
  const next = seal(key, JSON.stringify({ secret, lastStep: step }), user.id);
  const [used] = await User.update(
    { secondFactor: next },
    { where: { id: user.id, secondFactor: sealed } },
  );
  return used === 1;
}

/** Recovery codes that somebody keeps for the day on which the authenticator is lost. */
const RECOVERY_CODES = 10;
/** A hundred and twenty bits: out of reach of guessing for whoever reads the hashes, too. */
const RECOVERY_LETTERS = 24;

/** New codes to be written down, told once, and the hashes that are kept of them. */
export function createRecoveryCodes(): { codes: string[]; hashes: string[] } {
  const codes = Array.from({ length: RECOVERY_CODES }, () => createTypedCode(RECOVERY_LETTERS));
  return { codes, hashes: codes.map(hashOf) };
}

/** Whether a recovery code is one of the unused; it is used up by asking, of many at once for one. */
export async function useRecoveryCode(user: User, typed: string): Promise<boolean> {
  const hash = hashOf(tidyTypedCode(typed));
  return databaseOfModels().transaction(async (transaction) => {
    const locked = await User.findByPk(user.id, { transaction, lock: transaction.LOCK.UPDATE });
    const left = locked?.recoveryHashes ?? [];
    if (!locked || !left.includes(hash)) return false;
    const recoveryHashes = left.filter((each) => each !== hash);
    await locked.update({ recoveryHashes }, { transaction });
    return true;
  });
}
