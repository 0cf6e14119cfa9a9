import { PassThrough, Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { Encrypter } from 'age-encryption';
import { gzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { openBackup, sealBackup, type BackupHead } from './backup.ts';

const PASSPHRASE = 'nine bricks and a lantern';
const recordsKey = 'k'.repeat(64);
const SQL = `INSERT INTO people VALUES ('Asha');\n${'-- line\n'.repeat(200_000)}`;

async function sealed(sql = SQL): Promise<Buffer> {
  const out = new PassThrough();
  const whole = buffer(out);
  await sealBackup({
    sql: Readable.from([Buffer.from(sql)]),
    out,
    recordsKey,
    passphrase: PASSPHRASE,
    madeAt: new Date('2026-11-28T10:00:00Z'),
    work: 10,
  });
  out.end();
  return whole;
}

async function open(file: Buffer, passphrase = PASSPHRASE) {
  const out = new PassThrough();
  const text = buffer(out);
  let head: BackupHead | undefined;
  await openBackup(Readable.from([file]), passphrase, (told) => {
    head = told;
    return out;
  });
  out.end();
  return { head, sql: (await text).toString() };
}

describe('a backup', () => {
  it('comes back as it went, with what opens its records', async () => {
    const file = await sealed();
    expect(await open(file)).toEqual({
      head: { format: 'wrenfern-backup/1', madeAt: '2026-11-28T10:00:00.000Z', recordsKey },
      sql: SQL,
    });
  });

  it('is a file of the age format, and shows nothing', async () => {
    const file = await sealed();
    expect(file.subarray(0, 21).toString()).toBe('age-encryption.org/v1');
    expect(file.includes('Asha')).toBe(false);
    expect(file.includes(recordsKey)).toBe(false);
  });

  it('opens with no other passphrase', async () => {
    await expect(open(await sealed(), 'ten bricks')).rejects.toThrow();
  });

  it('is refused when it was cut off, changed, or is something else', async () => {
    const file = await sealed();
    await expect(open(file.subarray(0, file.length - 40))).rejects.toThrow();
    const changed = Buffer.from(file);
    changed[changed.length - 30] = (changed.at(-30) ?? 0) ^ 1;
    await expect(open(changed)).rejects.toThrow();
    await expect(open(Buffer.from('-- SQL'))).rejects.toThrow();
    const encrypter = new Encrypter();
    encrypter.setPassphrase(PASSPHRASE);
    encrypter.setScryptWorkFactor(10);
    const other = await encrypter.encrypt(gzipSync('{"format":"wrenfern-backup/9"}\n'));
    await expect(open(Buffer.from(other))).rejects.toThrow(/not a backup of Wrenfern/);
  });
});
