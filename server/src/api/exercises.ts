import { LRUCache } from 'lru-cache';
import { cast, col, Op, UniqueConstraintError, where, type Transaction } from 'sequelize';
import { hasShape } from '@wrenfern/core/body/shapes/index';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { Exercise, leadsTo } from '@wrenfern/core/movement/exercise';
import { SLUG } from '@wrenfern/core/movement/vocabulary';
import { builtInCatalogue } from '@wrenfern/library';
import { closedRouter, WRITTEN } from '../auth/closed-router.ts';
import { ClassRow, databaseOfModels, ExerciseVersion } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { ApiError } from './errors.ts';
import { needBytes, needRoom } from './quota.ts';
import { readBody } from './read.ts';
import { catalogueOf, catalogueStamp, ownExercisesOf } from './studio-catalogue.ts';

/** Answers as they were written, by studio and state; half a megabyte each at most, usually. */
const answers = new LRUCache<string, string>({
  maxSize: 64 * 1024 * 1024,
  sizeCalculation: (text) => text.length + 1,
});

async function writeExercises(studioId: string): Promise<string> {
  const rows = await ownExercisesOf(studioId);
  return JSON.stringify({ exercises: rows.map(told) });
}

/** Classes shown in the history of an exercise. */
const HISTORY = 12;

/** The studio's own exercises; the built-in ones come with the app and are never changed. */
export function exercisesRouter() {
  const { router, on } = closedRouter();

  /** Half a megabyte in a large studio: told again only when something changed. */
  on('GET /exercises', async (request, { studioId }, response) => {
    const stamp = await catalogueStamp(studioId);
    response.set({ ETag: stamp, 'Cache-Control': 'private, no-cache' });
    if (request.fresh) {
      response.status(304).end();
      return WRITTEN;
    }
    const key = `${studioId} ${stamp}`;
    const text = answers.get(key) ?? (await writeExercises(studioId));
    answers.set(key, text);
    response.type('json').send(text);
    return WRITTEN;
  });

  on('PUT /exercises/:slug', async (request, member) => {
    const { studioId } = member;
    const slug = readSlug(request.params.slug);
    const { version, exercise } = readBody('PUT /exercises/:slug', request);
    const faults = faultsOf(slug, exercise, await catalogueOf(studioId));
    if (faults.length > 0) throw new ApiError('invalid', faults);
    const versions = rowsOf(ExerciseVersion, studioId);
    const latest = await latestOf(studioId, slug);
    if ((latest?.version ?? 0) !== version) throw stale(latest);
    if (!latest && (await isInWastebasket(studioId, slug))) {
      throw new ApiError('invalid', [
        {
          path: ['exercise', 'slug'],
          message: 'lies in the wastebasket; take it out, or choose another',
        },
      ]);
    }
    await needRoom(member, 'exercises');
    await needBytes(member);
    try {
      const row = await versions.create({ slug, version: version + 1, exercise });
      return told(row);
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
      throw Object.assign(stale(await latestOf(studioId, slug)), { cause: error });
    }
  });

  /** Newest first. */
  on('GET /exercises/:slug/versions', async (request, member) => {
    const { studioId } = member;
    const slug = readSlug(request.params.slug);
    const rows = await rowsOf(ExerciseVersion, studioId).all({
      where: { slug },
      order: [['version', 'DESC']],
    });
    if (rows.length === 0) throw new ApiError('not-found');
    return { versions: rows.map(told) };
  });

  on('DELETE /exercises/:slug', async (request, member) => {
    const { studioId } = member;
    const slug = readSlug(request.params.slug);
    await databaseOfModels().transaction(async (transaction) => {
      // Held first: a plan that is being saved with it gets ready before anybody counts.
      const rows = await ExerciseVersion.findAll({
        where: { studioId, slug },
        attributes: ['id'],
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (rows.length === 0) throw new ApiError('not-found');
      await needUnnamed(studioId, slug, transaction);
      await rowsOf(ExerciseVersion, studioId).remove({ slug }, transaction);
    });
  });

  /** The classes that an exercise, built in or own, stands in; newest first. */
  on('GET /exercises/:slug/history', async (request, member) => {
    const { studioId } = member;
    const asked = classesWith(studioId, readSlug(request.params.slug));
    const [count, rows] = await Promise.all([asked.count(), asked.latest()]);
    return {
      count,
      classes: rows.map((row) => ({
        id: row.id,
        title: row.title,
        startsAt: row.startsAt.toISOString(),
        taught: row.taughtRevision !== null,
      })),
    };
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
  return new ApiError('stale', [], { current: latest ? told(latest) : { version: 0 } });
}

async function isInWastebasket(studioId: string, slug: string): Promise<boolean> {
  return (await ExerciseVersion.count({ where: { studioId, slug }, paranoid: false })) > 0;
}

/** Refuses to take out what a class or another exercise stands on. */
async function needUnnamed(studioId: string, slug: string, transaction: Transaction) {
  const used = await classesWith(studioId, slug, transaction).count();
  if (used > 0) {
    throw new ApiError('invalid', [
      { path: ['slug'], message: `stands in ${used} of the studio's classes; take it out first` },
    ]);
  }
  const pointing = (await ownExercisesOf(studioId, undefined, transaction)).find(
    ({ exercise }) =>
      exercise.slug !== slug &&
      [...exercise.swaps, ...leadsTo(exercise), ...exercise.counters].includes(slug),
  );
  if (pointing) {
    throw new ApiError('invalid', [
      { path: ['slug'], message: `is named by "${pointing.exercise.name}"; change that first` },
    ]);
  }
}

/** Plans are stored as JSON text; an item names its exercise in it. */
function classesWith(studioId: string, slug: string, transaction?: Transaction) {
  const named = where(cast(col('plan'), 'char'), { [Op.like]: `%"exercise":"${slug}"%` });
  const classes = rowsOf(ClassRow, studioId);
  return {
    count: () => classes.count(named, transaction),
    latest: () =>
      classes.all({
        where: named,
        attributes: ['id', 'title', 'startsAt', 'taughtRevision'],
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
  for (const field of ['swaps', 'prepares', 'goesBefore', 'counters'] as const) {
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
