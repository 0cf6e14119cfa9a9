import { loadSolver } from '@wrenfern/core/draft/solver';
import { Refusal } from './refusal.ts';
import { run } from './run.ts';

try {
  const now = new Date();
  const today = [now.getFullYear(), now.getMonth() + 1, now.getDate()]
    .map((part) => String(part).padStart(2, '0'))
    .join('-');
  const argv = process.argv.slice(2);
  const solve = argv.includes('draft') ? await loadSolver() : undefined;
  process.stdout.write(`${run(argv, today, solve)}\n`);
} catch (error) {
  if (!(error instanceof Refusal)) throw error;
  process.stderr.write(`wrenfern: ${error.message}\n`);
  process.exitCode = 2;
}
