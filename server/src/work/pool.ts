import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { LRUCache } from 'lru-cache';
import { Piscina } from 'piscina';
import type { Readiness, ReadinessInput } from './readiness.ts';

const DEADLINE_MS = 5_000;
/** Asked for and not begun; more than this is refused. */
const MOST_WAITING = 200;
const KEPT = 4_000;

export interface Workers {
  /** Undefined when it could not be worked out in time. */
  readiness: (input: ReadinessInput) => Promise<Readiness | undefined>;
  stop: () => Promise<void>;
}

interface Options {
  /** The machine had no time for it, which is no fault of the class's or of ours. */
  onLate: (error: unknown) => void;
  onFault: (error: unknown) => void;
  /** Longer, and the card says that it is not worked out: the page is there all the same. */
  deadlineMs?: number;
}

/** Analysis beside the main thread, each answer kept by everything it follows from. */
export function createWorkers(file: URL, options: Options): Workers {
  const { onLate, onFault, deadlineMs = DEADLINE_MS } = options;
  const pool = new Piscina<ReadinessInput, Readiness>({
    filename: file.href,
    minThreads: 1,
    maxThreads: Math.max(1, Math.min(4, availableParallelism() - 1)),
    maxQueue: MOST_WAITING,
    // Sources run as they are in development; the bundle needs nothing.
    ...(file.pathname.endsWith('.ts') ? { execArgv: ['--import', 'tsx'] } : {}),
  });
  const kept = new LRUCache<string, Promise<Readiness | undefined>>({ max: KEPT });
  return {
    readiness(input) {
      const key = createHash('sha256').update(JSON.stringify(input)).digest('base64');
      const known = kept.get(key);
      if (known) return known;
      const answer = pool
        .run(input, { signal: AbortSignal.timeout(deadlineMs) })
        .catch((error: unknown) => {
          // Not kept: the next one who asks may be luckier.
          kept.delete(key);
          if (isLate(error)) onLate(error);
          else onFault(error);
          return undefined;
        });
      kept.set(key, answer);
      return answer;
    },
    stop: () => pool.destroy(),
  };
}

function isLate(error: unknown): boolean {
  return error instanceof Error && error.name === 'AbortError';
}
