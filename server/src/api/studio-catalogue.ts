import { col, fn, Op, type Transaction } from 'sequelize';
import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import type { Plan } from '@wrenfern/core/plan/plan';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';
import { ExerciseVersion } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';

/** The latest version of each of a studio's own exercises, or of those named, by slug. */
export async function ownExercisesOf(
  studioId: string,
  slugs?: readonly string[],
  transaction?: Transaction,
): Promise<ExerciseVersion[]> {
  const versions = rowsOf(ExerciseVersion, studioId);
  const newest = await versions.all({
    attributes: ['slug', [fn('MAX', col('version')), 'version']],
    where: slugs ? { slug: { [Op.in]: slugs } } : {},
    group: ['slug'],
    ...(transaction ? { transaction } : {}),
  });
  if (newest.length === 0) return [];
  const these = newest.map(({ slug, version }) => ({ slug, version }));
  return versions.all({
    where: { [Op.or]: these },
    order: ['slug'],
    ...(transaction ? { transaction } : {}),
  });
}

/** What a studio plans with: the built-in library and its own exercises. */
export async function catalogueOf(studioId: string): Promise<Catalogue> {
  return beside(await ownExercisesOf(studioId));
}

/** As much of the studio's catalogue as one plan needs; most plans need no look at the database. */
export async function catalogueFor(
  studioId: string,
  plan: Plan,
  transaction?: Transaction,
): Promise<Catalogue> {
  const named = plan.segments.flatMap(({ items }) =>
    items.flatMap((item) => (item.kind === 'exercise' ? [item.exercise] : [])),
  );
  const own = named.filter((slug) => !builtInCatalogue.get(slug));
  return own.length === 0
    ? builtInCatalogue
    : beside(await ownExercisesOf(studioId, own, transaction));
}

function beside(own: readonly ExerciseVersion[]): Catalogue {
  if (own.length === 0) return builtInCatalogue;
  return createCatalogue([...builtInExercises, ...own.map(({ exercise }) => exercise)]);
}

/**
 * Own exercises that a plan can come to need: those it names and those that these name as stand-ins.
 * Most plans need no look at the database.
 */
export async function ownExercisesFor(
  studioId: string,
  slugs: readonly string[],
): Promise<Exercise[]> {
  const found = new Map<string, Exercise>();
  const asked = new Set<string>();
  let wanted = slugs;
  for (;;) {
    const fresh = [...new Set(wanted)].filter(
      (slug) => !builtInCatalogue.get(slug) && !asked.has(slug),
    );
    if (fresh.length === 0) break;
    for (const slug of fresh) asked.add(slug);
    const rows = await ownExercisesOf(studioId, fresh);
    for (const { slug, exercise } of rows) found.set(slug, exercise);
    wanted = rows.flatMap(({ exercise }) => exercise.swaps);
  }
  return [...found.values()];
}

/** Changes whenever any own exercise does, and is the same when they are. */
export async function catalogueStamp(studioId: string): Promise<string> {
  const [row] = (await ExerciseVersion.findAll({
    where: { studioId },
    attributes: [
      [fn('COUNT', col('id')), 'held'],
      [fn('BIT_XOR', fn('CRC32', col('id'))), 'which'],
      [fn('MAX', col('createdAt')), 'newest'],
    ],
    raw: true,
  })) as unknown as { held: number; which: number; newest: Date | null }[];
  return `"${row?.held ?? 0}-${row?.which ?? 0}-${row?.newest ? new Date(row.newest).getTime() : 0}"`;
}
