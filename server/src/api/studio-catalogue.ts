import { col, fn, Op } from 'sequelize';
import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Plan } from '@wrenfern/core/plan/plan';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';
import { ExerciseVersion } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';

/** The latest version of each of a studio's own exercises, or of those named, by slug. */
export async function ownExercisesOf(
  studioId: string,
  slugs?: readonly string[],
): Promise<ExerciseVersion[]> {
  const versions = rowsOf(ExerciseVersion, studioId);
  const newest = await versions.all({
    attributes: ['slug', [fn('MAX', col('version')), 'version']],
    where: slugs ? { slug: { [Op.in]: slugs } } : {},
    group: ['slug'],
  });
  if (newest.length === 0) return [];
  const these = newest.map(({ slug, version }) => ({ slug, version }));
  return versions.all({ where: { [Op.or]: these }, order: ['slug'] });
}

/** What a studio plans with: the built-in library and its own exercises. */
export async function catalogueOf(studioId: string): Promise<Catalogue> {
  return beside(await ownExercisesOf(studioId));
}

/** As much of the studio's catalogue as one plan needs; most plans need no look at the database. */
export async function catalogueFor(studioId: string, plan: Plan): Promise<Catalogue> {
  const named = plan.segments.flatMap(({ items }) =>
    items.flatMap((item) => (item.kind === 'exercise' ? [item.exercise] : [])),
  );
  const own = named.filter((slug) => !builtInCatalogue.get(slug));
  return own.length === 0 ? builtInCatalogue : beside(await ownExercisesOf(studioId, own));
}

function beside(own: readonly ExerciseVersion[]): Catalogue {
  if (own.length === 0) return builtInCatalogue;
  return createCatalogue([...builtInExercises, ...own.map(({ exercise }) => exercise)]);
}
