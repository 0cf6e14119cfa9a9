import { describe, expect, it } from 'vitest';
import { isFromDesk } from './desk-message.ts';

/**
 * Signed with `openssl dgst -sha256 -hmac SECRET` over `1796000000.msg-0001.{"a":1}`: another program than the
 * one that checks it.
 */
const LETTER = {
  secret: 'a secret that the studio gave',
  timestamp: '1796000000',
  messageId: 'msg-0001',
  signature: 'v1=b803cace2612a9232770b438a980c3e0ecfc38332d98e1c61385ae9c599bbd1c',
  body: Buffer.from('{"a":1}'),
};
const NOW = new Date(1_796_000_000_000);

describe('a message of a desk', () => {
  it('is known by its signature', () => {
    expect(isFromDesk(LETTER, NOW)).toBe(true);
  });

  it.each([
    ['another secret', { secret: 'a secret that the studio gave.' }],
    ['a body that was changed', { body: Buffer.from('{"a":2}') }],
    ['another name of the message', { messageId: 'msg-0002' }],
    ['another time', { timestamp: '1796000001' }],
    ['half a signature', { signature: LETTER.signature.slice(0, 40) }],
    ['no version', { signature: LETTER.signature.slice(3) }],
    ['nothing', { signature: '' }],
    ['a name that can’t be kept', { messageId: 'x' }],
    ['a time that is none', { timestamp: 'soon' }],
  ])('is not taken with %s', (_what, change) => {
    expect(isFromDesk({ ...LETTER, ...change }, NOW)).toBe(false);
  });

  it.each([
    [-301, false],
    [-300, true],
    [300, true],
    [301, false],
  ])('%d seconds from our clock is good: %s', (seconds, isGood) => {
    expect(isFromDesk(LETTER, new Date(NOW.getTime() + seconds * 1000))).toBe(isGood);
  });
});
