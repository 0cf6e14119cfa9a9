import { Router } from 'express';
import { cast, col, Op, UniqueConstraintError, where } from 'sequelize';
import { z } from 'zod';
import { hasShape } from '@wrenfern/core/body/shapes/index';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { Exercise } from '@wrenfern/core/movement/exercise';
import { SLUG } from '@wrenfern/core/movement/vocabulary';
import { builtInCatalogue } from '@wrenfern/library';
import { memberOf } from '../auth/session.ts';
import { ClassEvent, ClassRow, ExerciseVersion } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { ApiError } from './errors.ts';
import { readBody } from './read.ts';
import { catalogueOf, ownExercisesOf } from './studio-catalogue.ts';

const SavedExercise = z.strictObject({
  /** The version that was opened; 0 for a new exercise. */
  version: z.number().int().min(0),
  exercise: Exercise,
});

/** Classes shown in the history of an exercise. */
const HISTORY = 12;

/** The studio's own exercises; the built-in ones come with the app and are never changed. */
export function exercisesRouter(): Router {
  const router = Router();

  router.get('/exercises', async (request, response) => {
    const rows = await ownExercisesOf(memberOf(request).studioId);
    response.json({ exercises: rows.map(told) });
  });

  router.put('/exercises/:slug', async (request, response) => {
    const { studioId } = memberOf(request);
    const slug = readSlug(request.params.slug);
    const { version, exercise } = readBody(SavedExercise, request);
    const faults = faultsOf(slug, exercise, await catalogueOf(studioId));
    if (faults.length > 0) throw new ApiError('invalid', faults);
    const versions = rowsOf(ExerciseVersion, studioId);
    const latest = await latestOf(studioId, slug);
    if ((latest?.version ?? 0) !== version) throw stale(latest);
    try {
      const row = await versions.create({ slug, version: version + 1, exercise });
      response.status(version === 0 ? 201 : 200).json(told(row));
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
      throw Object.assign(stale(await latestOf(studioId, slug)), { cause: error });
    }
  });

  /** Newest first. */
  router.get('/exercises/:slug/versions', async (request, response) => {
    const { studioId } = memberOf(request);
    const slug = readSlug(request.params.slug);
    const rows = await rowsOf(ExerciseVersion, studioId).all({
      where: { slug },
      order: [['version', 'DESC']],
    });
    if (rows.length === 0) throw new ApiError('not-found');
    response.json({ versions: rows.map(told) });
  });

  router.delete('/exercises/:slug', async (request, response) => {
    const { studioId } = memberOf(request);
    const slug = readSlug(request.params.slug);
    if (!(await latestOf(studioId, slug))) throw new ApiError('not-found');
    const used = await classesWith(studioId, slug).count;
    if (used > 0) {
      throw new ApiError('invalid', [
        { path: ['slug'], message: `stands in ${used} of the studio's classes; take it out first` },
      ]);
    }
    const pointing = (await ownExercisesOf(studioId)).find(
      ({ exercise }) =>
        exercise.slug !== slug &&
        [...exercise.swaps, ...exercise.prepares, ...exercise.counters].includes(slug),
    );
    if (pointing) {
      throw new ApiError('invalid', [
        { path: ['slug'], message: `is named by "${pointing.exercise.name}"; change that first` },
      ]);
    }
    await rowsOf(ExerciseVersion, studioId).remove({ slug });
    response.status(204).end();
  });

  /** The classes that an exercise, built in or own, stands in; newest first. */
  router.get('/exercises/:slug/history', async (request, response) => {
    const { studioId } = memberOf(request);
    const asked = classesWith(studioId, readSlug(request.params.slug));
    const [count, rows] = await Promise.all([asked.count, asked.latest]);
    const taught = await rowsOf(ClassEvent, studioId).all({
      where: { classId: rows.map(({ id }) => id) },
      attributes: ['classId'],
      group: ['classId'],
    });
    const taughtIds = new Set(taught.map(({ classId }) => classId));
    response.json({
      count,
      classes: rows.map((row) => ({
        id: row.id,
        title: row.title,
        startsAt: row.startsAt.toISOString(),
        taught: taughtIds.has(row.id),
      })),
    });
  });

  return router;
}

function told({ exercise, version, createdAt }: ExerciseVersion) {
  return { exercise, version, savedAt: createdAt.toISOString() };
}

function readSlug(value: unknown): string {
  const read = SLUG.safeParse(value);
  if (!read.success) throw new ApiError('not-found');
  return read.data;
}

async function latestOf(studioId: string, slug: string): Promise<ExerciseVersion | undefined> {
  const [latest] = await rowsOf(ExerciseVersion, studioId).all({
    where: { slug },
    order: [['version', 'DESC']],
    limit: 1,
  });
  return latest;
}

function stale(latest: ExerciseVersion | undefined): ApiError {
  return new ApiError('stale', [], latest ? told(latest) : { version: 0 });
}

/** Plans are stored as JSON text; an item names its exercise in it. */
function classesWith(studioId: string, slug: string) {
  const named = where(cast(col('plan'), 'char'), { [Op.like]: `%"exercise":"${slug}"%` });
  const classes = rowsOf(ClassRow, studioId);
  return {
    count: classes.count(named),
    latest: classes.all({
      where: named,
      attributes: ['id', 'title', 'startsAt'],
      order: [['startsAt', 'DESC']],
      limit: HISTORY,
    }),
  };
}

/** What the schema can't see: names that must resolve, and places that are taken. */
function faultsOf(slug: string, exercise: Exercise, catalogue: Catalogue) {
  const faults: { path: (string | number)[]; message: string }[] = [];
  const say = (path: (string | number)[], message: string) => {
    faults.push({ path: ['exercise', ...path], message });
  };
  if (exercise.slug !== slug) say(['slug'], `is "${exercise.slug}", not "${slug}"`);
  if (builtInCatalogue.get(slug)) say(['slug'], 'belongs to a built-in exercise; choose another');
  for (const field of ['swaps', 'prepares', 'counters'] as const) {
    exercise[field].forEach((each, index) => {
      if (each === slug) say([field, index], 'is the exercise itself');
      else if (!catalogue.get(each)) say([field, index], `there is no exercise "${each}"`);
    });
  }
  exercise.options.forEach((option, at) => {
    option.poses.forEach((pose, index) => {
      const shape = typeof pose === 'string' ? pose : pose.shape;
      if (shape !== undefined && !hasShape(shape)) {
        say(['options', at, 'poses', index], `there is no shape "${shape}"`);
      }
    });
  });
  return faults;
}
