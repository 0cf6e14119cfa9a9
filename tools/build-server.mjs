import { readFileSync } from 'node:fs';
import { build } from 'esbuild';

/** Bundles the server with core and library; its registry packages stay outside. */
const { dependencies } = JSON.parse(readFileSync('server/package.json', 'utf8'));
await build({
  entryPoints: ['server/src/main.ts'],
  outfile: 'server/dist/main.js',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  external: Object.keys(dependencies).filter((name) => !name.startsWith('@wrenfern/')),
});
