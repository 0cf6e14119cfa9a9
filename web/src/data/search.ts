import { wrap, type Remote } from 'comlink';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import type { SearchContext, SearchWorker } from '../workers/search-worker.ts';
import type { WholeClass } from '@wrenfern/contract/classes';
import { contextOf } from './class-analysis.ts';

let remote: Remote<SearchWorker> | undefined;

/** The worker that orders and drafts; started when it is first needed, kept for the next time. */
export function searchWorker(): Remote<SearchWorker> {
  remote ??= wrap<SearchWorker>(
    new Worker(new URL('../workers/search-worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote;
}

/** Another that answers the same, where a browser has no workers. */
export function searchWith(worker: Remote<SearchWorker>): void {
  remote = worker;
}

/** What a search knows of a class. */
export function searchContext(lesson: WholeClass, own: readonly Exercise[]): SearchContext {
  const { pace, familiar } = contextOf(lesson);
  return {
    own,
    attendees: lesson.attendees,
    day: lesson.day,
    timing: {
      gearSeconds: lesson.machines.seconds,
      ...(pace ? { pace } : {}),
      ...(familiar ? { familiar } : {}),
    },
  };
}
