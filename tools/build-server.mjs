import { readFileSync } from 'node:fs';
import { build } from 'esbuild';

/** Bundles the server, and what its threads run, with core and library; registry packages stay outside. */
const { dependencies } = JSON.parse(readFileSync('server/package.json', 'utf8'));
await build({
  entryPoints: {
    main: 'server/src/main.ts',
    'readiness-worker': 'server/src/work/readiness-worker.ts',
  },
  outdir: 'server/dist',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  external: Object.keys(dependencies).filter((name) => !name.startsWith('@wrenfern/')),
});
