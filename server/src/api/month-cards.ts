import { QueryTypes } from 'sequelize';
import { builtInCatalogue } from '@wrenfern/library';
import type { Member } from '../auth/session.ts';
import { databaseOfModels, User, type ClassRow } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { NOTHING, outlinesOf } from './outlines.ts';
import { teacherOf } from './ready-cards.ts';

/** Columns that such a card needs: plans stay in the database. */
export const MONTH_COLUMNS = [
  'id',
  'title',
  'startsAt',
  'revision',
  'detailsRevision',
  'taughtRevision',
  'calledOff',
  'seriesId',
  'instructorId',
  'coverUserId',
];

/**
 * Classes of many days, each as far as a month has room for it: nothing is worked out, no record opened. A
 * month of a full studio is asked for far more often than looked at closely.
 */
export async function monthCards(rows: readonly ClassRow[], member: Member) {
  const { studioId } = member;
  const ids = rows.map(({ id }) => id);
  const [coming, outlined, users] = await Promise.all([
    member.role === 'reader' ? new Map<string, string[]>() : namesComing(ids),
    outlinesOf(rows, studioId),
    rowsOf(User, studioId).all({ attributes: ['id', 'name'] }),
  ]);
  const team = new Map(users.map(({ id, name }) => [id, name]));
  const slugs = new Set([...outlined.values()].flatMap((outline) => outline.slugs));
  const own = await ownNames(
    studioId,
    [...slugs].filter((slug) => !builtInCatalogue.get(slug)),
  );
  const nameOf = (slug: string) => builtInCatalogue.get(slug)?.name ?? own.get(slug) ?? slug;
  return rows.map((row) => {
    const { slugs: named, ...outline } = outlined.get(row.id) ?? NOTHING;
    return {
      id: row.id,
      title: row.title,
      startsAt: row.startsAt.toISOString(),
      detailsRevision: row.detailsRevision,
      coming: coming.get(row.id) ?? [],
      taught: row.taughtRevision !== null,
      calledOff: row.calledOff ?? null,
      isRepeated: Boolean(row.seriesId),
      lastOfSeries: null,
      instructor: teacherOf(row, team),
      ...outline,
      exercises: named.map(nameOf),
      state: 'outline' as const,
      ready: null,
    };
  });
}

async function namesComing(classIds: readonly string[]): Promise<Map<string, string[]>> {
  const byClass = new Map<string, string[]>();
  if (classIds.length === 0) return byClass;
  const rows = await databaseOfModels().query<{ classId: string; name: string }>(
    `SELECT bookings.classId, people.name FROM bookings
      JOIN people ON people.id = bookings.personId AND people.deletedAt IS NULL
      WHERE bookings.classId IN (:classIds) ORDER BY people.name, people.id`,
    { replacements: { classIds }, type: QueryTypes.SELECT },
  );
  for (const { classId, name } of rows) {
    const names = byClass.get(classId);
    if (names) names.push(name);
    else byClass.set(classId, [name]);
  }
  return byClass;
}

/** Names of a studio's own exercises as they are now, by slug. */
async function ownNames(studioId: string, slugs: readonly string[]): Promise<Map<string, string>> {
  if (slugs.length === 0) return new Map();
  const rows = await databaseOfModels().query<{ slug: string; name: string }>(
    `SELECT slug, JSON_VALUE(exercise, '$.name') AS name FROM exercise_versions
      WHERE studioId = :studioId AND slug IN (:slugs) AND deletedAt IS NULL
      ORDER BY version`,
    { replacements: { studioId, slugs }, type: QueryTypes.SELECT },
  );
  return new Map(rows.map(({ slug, name }) => [slug, name]));
}
