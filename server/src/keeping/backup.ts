import { once } from 'node:events';
import { Readable, type Writable } from 'node:stream';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { createGunzip, createGzip } from 'node:zlib';
import { Decrypter, Encrypter } from 'age-encryption';
import { z } from 'zod';

/**
 * A backup is a file of the age format under a passphrase (scrypt), which other programs open too. In it,
 * compressed: one line of JSON with what opens the records, then the database as SQL.
 */
const FORMAT = 'wrenfern-backup/1';

const Head = z.strictObject({
  format: z.literal(FORMAT, 'this is not a backup of Wrenfern, or one of a newer version'),
  madeAt: z.string().max(40),
  recordsKey: z.string().min(32).max(200),
});
export type BackupHead = z.infer<typeof Head>;

/** Longer than any head: what has no line end by then is no backup. */
const HEAD_BYTES = 4096;

interface Sealing {
  sql: Readable;
  out: Writable;
  recordsKey: string;
  passphrase: string;
  madeAt: Date;
  /** Work of the passphrase, as a power of two; less only where tests have no time. */
  work?: number;
}

/** Writes a backup of the SQL that comes in, as it comes. */
export async function sealBackup(parts: Sealing): Promise<void> {
  const { sql, out, recordsKey, passphrase, madeAt, work } = parts;
  const encrypter = new Encrypter();
  encrypter.setPassphrase(passphrase);
  if (work !== undefined) encrypter.setScryptWorkFactor(work);
  const head: BackupHead = { format: FORMAT, madeAt: madeAt.toISOString(), recordsKey };
  const packed = createGzip();
  const plain = Readable.from(withHead(`${JSON.stringify(head)}\n`, sql));
  plain.on('error', (error) => packed.destroy(error));
  plain.pipe(packed);
  const sealed = await encrypter.encrypt(
    Readable.toWeb(packed) as unknown as ReadableStream<Uint8Array>,
  );
  for await (const chunk of sealed as unknown as WebStream<Uint8Array>) {
    if (!out.write(chunk)) await once(out, 'drain');
  }
}

async function* withHead(head: string, sql: Readable): AsyncGenerator<Buffer> {
  yield Buffer.from(head);
  for await (const chunk of sql) yield Buffer.from(chunk as Uint8Array);
}

/**
 * Opens a backup: tells its head, then writes its SQL out. Throws in words for a wrong passphrase, a file
 * that was cut off, or something else.
 */
export async function openBackup(
  sealed: Readable,
  passphrase: string,
  takeHead: (head: BackupHead) => Writable,
): Promise<void> {
  const decrypter = new Decrypter();
  decrypter.addPassphrase(passphrase);
  const opened = await decrypter.decrypt(
    Readable.toWeb(sealed) as unknown as ReadableStream<Uint8Array>,
  );
  const packed = Readable.fromWeb(opened);
  const plain = createGunzip();
  packed.on('error', (error) => plain.destroy(error));
  packed.pipe(plain);
  let waiting = Buffer.alloc(0);
  let out: Writable | undefined;
  for await (const chunk of plain) {
    if (!out) {
      waiting = Buffer.concat([waiting, chunk as Buffer]);
      const end = waiting.indexOf('\n');
      if (end < 0 && waiting.length < HEAD_BYTES) continue;
      out = takeHead(readHead(waiting.subarray(0, Math.max(0, end)).toString()));
      out.write(waiting.subarray(end + 1));
    } else if (!out.write(chunk)) await once(out, 'drain');
  }
  if (!out) throw new Error('there is nothing in this backup');
}

function readHead(line: string): BackupHead {
  const read = Head.safeParse(line ? JSON.parse(line) : {});
  if (!read.success) throw new Error(read.error.issues[0]?.message ?? 'this is not a backup');
  return read.data;
}
