import { createDecipheriv } from 'node:crypto';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveKey, seal, unseal } from './seal.ts';

const key = deriveKey('a secret for tests only, long enough', 'records');

describe('what is sealed', () => {
  it('comes back as it was, whatever was in it', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.string(), (text, about) => {
        expect(unseal(key, seal(key, text, about), about)).toBe(text);
      }),
      { seed: 3, numRuns: 200 },
    );
  });

  it('looks different each time', () => {
    expect(seal(key, 'knee', 'a')).not.toBe(seal(key, 'knee', 'a'));
  });

  it('opens with no other key, for nothing else, and not when a letter was changed', () => {
    const sealed = seal(key, 'knee', 'a');
    expect(() => unseal(deriveKey('another secret', 'records'), sealed, 'a')).toThrow();
    expect(() =>
      unseal(deriveKey('a secret for tests only, long enough', 'x'), sealed, 'a'),
    ).toThrow();
    expect(() => unseal(key, sealed, 'b')).toThrow();
    for (const at of [5, 20, 40, sealed.length - 3]) {
      const other = sealed[at] === 'A' ? 'B' : 'A';
      const changed = sealed.slice(0, at) + other + sealed.slice(at + 1);
      expect(() => unseal(key, changed, 'a')).toThrow();
    }
    expect(() => unseal(key, `w9.${sealed.slice(3)}`, 'a')).toThrow(/another version/);
  });

  it('is AES-256-GCM as the standard has it: nonce of 12, tag of 16, then the text', () => {
    const bytes = Buffer.from(seal(key, 'knee', 'a').slice(3), 'base64');
    const decipher = createDecipheriv('aes-256-gcm', key, bytes.subarray(0, 12));
    decipher.setAAD(Buffer.from('a'));
    decipher.setAuthTag(bytes.subarray(12, 28));
    expect(decipher.update(bytes.subarray(28), undefined, 'utf8') + decipher.final('utf8')).toBe(
      'knee',
    );
  });
});
