import { writeFileSync } from 'node:fs';
import { buffer } from 'node:stream/consumers';
import { collectStudio } from './archive/collect-studio.ts';
import { packArchive, unpackArchive } from './archive/pack-archive.ts';
import { replaceStudio } from './archive/replace-studio.ts';
import { connect } from './db/connect.ts';
import { bindModels, Studio } from './db/models.ts';
import { openBackup, sealBackup } from './keeping/backup.ts';
import { rotateKey } from './keeping/rotate-key.ts';
import { deriveKey } from './keeping/seal.ts';

/**
 * What bin/wrenfern needs of the server for keeping data, as a filter between standard input and output:
 * `seal` and `open KEYFILE` for backups, `rotate` for another key, `export STUDIO` and `import STUDIO` for one
 * studio's archive. Secrets come by the environment.
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

async function withStudio(
  slug: string,
  work: (studio: Studio, database: ReturnType<typeof connect>) => Promise<void>,
): Promise<void> {
  const database = connect(secret('WRENFERN_DATABASE_URL'));
  try {
    bindModels(database, deriveKey(secret('WRENFERN_KEY'), 'records'));
    const studio = await Studio.findOne({ where: { slug } });
    if (studio) {
      await work(studio, database);
      return;
    }
    const all = await Studio.findAll({ where: { isDemo: false }, order: ['slug'] });
    const known = all.map((each) => each.slug).join(', ') || 'none yet';
    throw new Error(`there is no studio "${slug}"; there are: ${known}`);
  } finally {
    await database.close();
  }
}

async function importStudio(slug: string): Promise<void> {
  const unpacked = await unpackArchive(await buffer(process.stdin));
  if (!('content' in unpacked)) {
    const told = unpacked.faults.map(
      ({ file, path, message }) => `${[file, ...path].join(' ')}: ${message}`,
    );
    throw new Error(`the archive can't be read\n${told.join('\n')}`);
  }
  const { content, manifest } = unpacked;
  await withStudio(slug, (studio, database) =>
    database.transaction((transaction) =>
      replaceStudio(studio, content, 'the command line', transaction),
    ),
  );
  process.stderr.write(
    `${content.people.length} people and ${content.classes.length} classes of "${manifest.studio}", as of ${manifest.madeAt}.\n`,
  );
}

const [command, operand = ''] = process.argv.slice(2);
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
      writeFileSync(operand, recordsKey, { mode: 0o600 });
      process.stderr.write(`The backup is of ${madeAt}.\n`);
      return process.stdout;
    });
  } else if (command === 'rotate') await rotate();
  else if (command === 'export') {
    await withStudio(operand, async (studio) => {
      const zip = await packArchive(studio.name, await collectStudio(studio), new Date());
      process.stdout.write(zip);
    });
  } else if (command === 'import') await importStudio(operand);
  else throw new Error('seal, open, rotate, export or import');
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
}
