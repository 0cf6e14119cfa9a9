import { readNotes } from '@wrenfern/core/formats/read-notes';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Dose } from '@wrenfern/core/movement/dose';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { searchCatalogue } from '@wrenfern/core/movement/search';

/** What somebody typed into the search: exercises that it may mean, and how it is done if that is said. */
export interface Typed {
  found: Exercise[];
  /** For whichever of them is added. */
  dose?: Dose;
  options?: number[];
}

/** Dose words behind a name, such as "x5", "10 each", "30 s twice". */
const BEHIND = /[\s,]+[x×]?\s*\d.*$/;

/** Reads "clam 10 each" as the clam, ten on each side, and "clam" as what is found for it. */
export function readTyped(query: string, catalogue: Catalogue): Typed {
  const [line] = readNotes(query, catalogue);
  const found = searchCatalogue(catalogue, query.replace(BEHIND, ''));
  if (line?.kind !== 'exercise') return { found };
  const { exercise, dose, options } = line;
  return {
    found: [exercise, ...found.filter((each) => each !== exercise)],
    ...(dose ? { dose } : {}),
    ...(options ? { options } : {}),
  };
}
