import { describe, expect, it } from 'vitest';
import { readConfig } from './config.ts';

const whole = {
  WRENFERN_DATABASE_URL: 'mariadb://u:p@127.0.0.1:3306/w',
  WRENFERN_SESSION_SECRET: 'x'.repeat(32),
};

describe('readConfig', () => {
  it('fills in what is usual: this machine only, with a demo, and plain cookies', () => {
    expect(readConfig(whole)).toMatchObject({
      port: 4600,
      host: '127.0.0.1',
      demo: true,
      trustProxy: false,
      secureCookies: false,
      allowStudios: false,
    });
  });

  it.each([
    [{ WRENFERN_HOST: '0.0.0.0' }, { demo: false, secureCookies: false }],
    [{ WRENFERN_HOST: '0.0.0.0', WRENFERN_DEMO: 'yes' }, { demo: true }],
    [{ WRENFERN_BEHIND_PROXY: '1' }, { demo: false, secureCookies: true, trustProxy: 'loopback' }],
    [{ WRENFERN_BEHIND_PROXY: '1', WRENFERN_TRUST_PROXY: '10.0.0.1' }, { trustProxy: '10.0.0.1' }],
    [{ WRENFERN_TRUST_PROXY: '10.0.0.1' }, { trustProxy: false }],
    [{ WRENFERN_DEMO: 'no' }, { demo: false }],
  ])('with %j it is %j', (change, expected) => {
    expect(readConfig({ ...whole, ...change })).toMatchObject(expected);
  });

  it('seals with a key of its own where there is one', () => {
    const own = readConfig({ ...whole, WRENFERN_KEY: 'k'.repeat(32) }).key;
    expect(own).toHaveLength(32);
    expect(own.equals(readConfig(whole).key)).toBe(false);
  });

  it.each([
    [{ ...whole, WRENFERN_DATABASE_URL: 'postgres://x' }, 'WRENFERN_DATABASE_URL'],
    [{ ...whole, WRENFERN_SESSION_SECRET: 'short' }, 'WRENFERN_SESSION_SECRET'],
    [{ ...whole, WRENFERN_PORT: '99999' }, 'WRENFERN_PORT'],
    [{ ...whole, WRENFERN_DEMO: 'maybe' }, 'WRENFERN_DEMO'],
    [{ ...whole, WRENFERN_TLS_KEY: '/nowhere' }, 'WRENFERN_TLS_CERT'],
  ])('names what is wrong', (environment, field) => {
    expect(() => readConfig(environment)).toThrow(field);
  });
});
