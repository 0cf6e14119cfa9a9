import { writeFileSync } from 'node:fs';
import { connect } from './db/connect.ts';
import { bindModels } from './db/models.ts';
import { openBackup, sealBackup } from './keeping/backup.ts';
import { rotateKey } from './keeping/rotate-key.ts';
import { deriveKey } from './keeping/seal.ts';

/**
 * What bin/wrenfern needs of the server for keeping data, as a filter between standard input and output:
 * `seal` and `open KEYFILE` for backups, `rotate` for another key. Secrets come by the environment.
 */
function secret(name: string): string {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set`);
  return value;
}

async function rotate(): Promise<void> {
  const [from, to] = ['WRENFERN_KEY', 'WRENFERN_NEXT_KEY'].map((name) =>
    deriveKey(secret(name), 'records'),
  ) as [Buffer, Buffer];
  const database = connect(secret('WRENFERN_DATABASE_URL'));
  bindModels(database, from);
  process.stdout.write(`${await rotateKey(from, to)}\n`);
  await database.close();
}

const [command, keyFile = ''] = process.argv.slice(2);
try {
  if (command === 'seal') {
    await sealBackup({
      sql: process.stdin,
      out: process.stdout,
      recordsKey: secret('WRENFERN_KEY'),
      passphrase: secret('WRENFERN_PASSPHRASE'),
      madeAt: new Date(),
    });
  } else if (command === 'open') {
    await openBackup(process.stdin, secret('WRENFERN_PASSPHRASE'), ({ recordsKey, madeAt }) => {
      writeFileSync(keyFile, recordsKey, { mode: 0o600 });
      process.stderr.write(`The backup is of ${madeAt}.\n`);
      return process.stdout;
    });
  } else if (command === 'rotate') await rotate();
  else throw new Error('seal, open or rotate');
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
}
