import { createCipheriv, createDecipheriv, hkdfSync, randomBytes } from 'node:crypto';

const CIPHER = 'aes-256-gcm';
const NONCE_BYTES = 12;
const TAG_BYTES = 16;
const VERSION = 'w1';

/** A key for one purpose, from the one that is kept outside the database. */
export function deriveKey(secret: string | Buffer, purpose: string): Buffer {
  return Buffer.from(hkdfSync('sha256', secret, 'wrenfern', purpose, 32));
}

/**
 * Text under AES-256-GCM (NIST SP 800-38D): version, nonce, tag and cipher text as one line.
 * `about` says what it belongs to; it is not kept, and must be the same to open it.
 */
export function seal(key: Buffer, text: string, about: string): string {
  const nonce = randomBytes(NONCE_BYTES);
  const cipher = createCipheriv(CIPHER, key, nonce);
  cipher.setAAD(Buffer.from(about));
  const body = Buffer.concat([cipher.update(text, 'utf8'), cipher.final()]);
  return `${VERSION}.${Buffer.concat([nonce, cipher.getAuthTag(), body]).toString('base64')}`;
}

/** Throws when the key is another, or a letter was changed. */
export function unseal(key: Buffer, sealed: string, about: string): string {
  const [version, rest = ''] = sealed.split('.');
  if (version !== VERSION) throw new Error('this was sealed by another version of Wrenfern');
  const bytes = Buffer.from(rest, 'base64');
  const decipher = createDecipheriv(CIPHER, key, bytes.subarray(0, NONCE_BYTES));
  decipher.setAAD(Buffer.from(about));
  decipher.setAuthTag(bytes.subarray(NONCE_BYTES, NONCE_BYTES + TAG_BYTES));
  const body = bytes.subarray(NONCE_BYTES + TAG_BYTES);
  return Buffer.concat([decipher.update(body), decipher.final()]).toString('utf8');
}
