import { spawnSync } from 'node:child_process';

/** Type-checks every part with its own libraries, so that core can't see the browser or Node. */
const parts = process.argv.slice(2);
const all = [
  'cli',
  'core',
  'library',
  'contract',
  'server',
  'desk',
  'web',
  'e2e',
  'bench',
  'tools',
];
let failed = false;
for (const part of parts.length > 0 ? parts : all) {
  const run = spawnSync(process.execPath, ['node_modules/typescript7/bin/tsc', '-p', part], {
    stdio: 'inherit',
  });
  failed ||= run.status !== 0;
}
process.exit(failed ? 1 : 0);
