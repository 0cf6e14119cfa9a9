import { X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { generate } from 'selfsigned';

/**
 * Makes the certificate of this machine for the local network, signed by an authority of its own, which
 * tablets can be told to trust. Both stay as they are until they end or the machine's addresses change.
 */
const [folder] = process.argv.slice(2);
const DAY_MS = 86_400_000;
const file = (name) => join(folder, name);
const inDays = (days) => new Date(Date.now() + days * DAY_MS);

mkdirSync(folder, { recursive: true, mode: 0o700 });

const addresses = Object.values(networkInterfaces())
  .flat()
  .filter(({ family }) => family === 'IPv4')
  .map(({ address }) => address)
  .sort();
const names = [...new Set(['localhost', hostname(), `${hostname()}.local`])];

function write(name, text) {
  writeFileSync(file(name), text, { mode: 0o600 });
  chmodSync(file(name), 0o600);
}

/** Good for another month, and for every address that the machine has now. */
function isGood(name, wanted) {
  if (!existsSync(file(name))) return false;
  const { validTo, subjectAltName = '' } = new X509Certificate(readFileSync(file(name)));
  return new Date(validTo) > inDays(30) && wanted.every((each) => subjectAltName.includes(each));
}

if (!isGood('authority.crt', [])) {
  const made = await generate([{ name: 'commonName', value: `Wrenfern on ${hostname()}` }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notAfterDate: inDays(3650),
    extensions: [
      { name: 'basicConstraints', cA: true, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
  write('authority.key', made.private);
  write('authority.crt', made.cert);
  write('server.crt', '');
}

if (!readFileSync(file('server.crt'), 'utf8') || !isGood('server.crt', addresses)) {
  const made = await generate([{ name: 'commonName', value: hostname() }], {
    keyType: 'ec',
    algorithm: 'sha256',
    // Browsers take no longer ones.
    notAfterDate: inDays(397),
    ca: {
      key: readFileSync(file('authority.key'), 'utf8'),
      cert: readFileSync(file('authority.crt'), 'utf8'),
    },
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: [
          ...names.map((value) => ({ type: 2, value })),
          ...[...addresses, '::1'].map((ip) => ({ type: 7, ip })),
        ],
      },
    ],
  });
  write('server.key', made.private);
  write('server.crt', made.cert);
}
console.log(addresses.filter((each) => !each.startsWith('127.')).join(' '));
