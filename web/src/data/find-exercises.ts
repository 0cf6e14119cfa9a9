import { searchCatalogue } from '@wrenfern/core/movement/search';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { catalogue, mergeOwn } from './catalogue.ts';

const MOST = 12;

/** The search of the library with the studio's own exercises, for where no gate has opened yet. */
export function exerciseFinder(own: readonly Exercise[]): (words: string) => Exercise[] {
  mergeOwn(own);
  return (words) => searchCatalogue(catalogue, words).slice(0, MOST);
}
