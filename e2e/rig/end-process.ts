import type { ChildProcess } from 'node:child_process';

/** Ends a process, frozen or not, and waits until it is gone. */
export async function endProcess(
  child: ChildProcess | undefined,
  signal: NodeJS.Signals,
): Promise<void> {
  if (!child || child.exitCode !== null || child.signalCode !== null) return;
  const gone = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGCONT');
  child.kill(signal);
  await gone;
}

/** Takes a process along when this one ends for whatever reason: a drill that fails leaves nothing running. */
export function endWithUs(child: ChildProcess): void {
  process.once('exit', () => child.kill('SIGKILL'));
}
