import { searchCatalogue } from '@wrenfern/core/movement/search';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { withOwn } from './catalogue.tsx';

const MOST = 12;

/** The search of the library with the studio's own exercises, for where no gate has opened yet. */
export function exerciseFinder(own: readonly Exercise[]): (words: string) => Exercise[] {
  const catalogue = withOwn(own);
  return (words) => searchCatalogue(catalogue, words).slice(0, MOST);
}
