import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';
import { ExerciseVersion } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';

/** The latest version of each of a studio's own exercises, by slug. */
export async function ownExercisesOf(studioId: string): Promise<ExerciseVersion[]> {
  const versions = await rowsOf(ExerciseVersion, studioId).all({ order: ['slug', 'version'] });
  return [...new Map(versions.map((row) => [row.slug, row])).values()];
}

/** What a studio plans with: the built-in library and its own exercises. */
export async function catalogueOf(studioId: string): Promise<Catalogue> {
  const own = await ownExercisesOf(studioId);
  if (own.length === 0) return builtInCatalogue;
  return createCatalogue([...builtInExercises, ...own.map(({ exercise }) => exercise)]);
}
