import { fitClass } from '@wrenfern/core';
import { createCatalogue } from '@wrenfern/core/movement/catalogue';
import { builtInExercises } from '@wrenfern/library';
import { searchWith } from '../data/search.ts';
import type { SearchWorker } from '../workers/search-worker.ts';

/** What the worker does, here and now: the browser of tests has no workers. */
export function searchHere(): void {
  const fit: SearchWorker['fit'] = (plan, own, context, targetS, open) =>
    fitClass(plan, createCatalogue([...builtInExercises, ...own]), context, targetS, open);
  searchWith({ fit: (...told: Parameters<typeof fit>) => Promise.resolve(fit(...told)) } as never);
}
