import { LRUCache } from 'lru-cache';
import { subWeeks } from 'date-fns';
import { Op, QueryTypes } from 'sequelize';
import type { Machine } from '@wrenfern/core/movement/vocabulary';
import type { Came } from '@wrenfern/core/people/came';
import { HandChoices, type HandChoice } from '@wrenfern/core/people/choice';
import type { OwnBounds } from '@wrenfern/core/people/own-bounds';
import type { CautionEntry, Person } from '@wrenfern/core/people/person';
import { FAMILIAR_WEEKS, type TaughtLesson } from '@wrenfern/core/log/familiar';
import { exerciseItemsOf } from '@wrenfern/core/plan/plan';
import type { Member } from '../auth/session.ts';
import { databaseOfModels, PlanRevision, type Studio } from '../db/models.ts';
import { openBooking, openRecord } from '../keeping/records.ts';
import { rowsOf } from '../db/studio-rows.ts';

/** Somebody booked into a class, with their record and what holds today. */
export interface Booked {
  person: Person;
  today: CautionEntry[];
  todayNote: string;
  came?: Came | undefined;
  startsOn?: Machine | undefined;
  byHand: Record<string, HandChoice>;
  ownBounds?: OwnBounds;
  revision: number;
}

/** A booking beside its person, read as plain rows: a class has many, and Today several classes. */
interface BookedRow {
  classId: string;
  personId: string;
  today: string;
  choices: unknown;
  revision: number;
  name: string;
  record: string;
}

/** Those booked into classes, with their records, by class; asked for once for all of them. */
export async function attendeesOf(
  studioId: string,
  classIds: readonly string[],
): Promise<Map<string, Booked[]>> {
  const byClass = new Map<string, Booked[]>(classIds.map((id) => [id, []]));
  if (classIds.length === 0) return byClass;
  const rows = await databaseOfModels().query<BookedRow>(
    `SELECT bookings.classId, bookings.personId, bookings.sealed AS today, bookings.choices,
        bookings.revision, people.name, people.sealed AS record
      FROM bookings
      JOIN people ON people.id = bookings.personId AND people.deletedAt IS NULL
      WHERE bookings.studioId = :studioId AND bookings.classId IN (:classIds)
      ORDER BY people.name, people.id`,
    { replacements: { studioId, classIds }, type: QueryTypes.SELECT },
  );
  for (const { classId, personId, name, record, revision, ...row } of rows) {
    byClass.get(classId)?.push({
      person: { id: personId, name, ...openRecord(studioId, personId, record) },
      ...openBooking({ studioId, classId, personId }, row.today),
      byHand: readChoices(row.choices),
      revision,
    });
  }
  return byClass;
}

/** JSON columns come parsed or as text, as the column was made. */
function readChoices(stored: unknown): Record<string, HandChoice> {
  return HandChoices.parse(typeof stored === 'string' ? JSON.parse(stored) : stored);
}

/** The studio's own numbers go with whom they are about. */
function withNumbers(booked: Booked, own: OwnBounds): Booked {
  const has = new Set([...booked.person.cautions, ...booked.today].map(({ caution }) => caution));
  const about = own.filter(({ caution }) => has.has(caution));
  return about.length > 0 ? { ...booked, ownBounds: about } : booked;
}

/** Written in place of what a cover teacher is not told: it is the person's to say. */
const ASK = 'ask';

/** What somebody may see of those who come: all, without anybody's notes, or nobody. */
export function shownTo(
  { role }: Member,
  rows: readonly Booked[],
  { ownBounds }: Pick<Studio, 'ownBounds'>,
): Booked[] {
  if (role === 'reader') return [];
  const booked = rows.map((row) => withNumbers(row, ownBounds ?? []));
  if (role !== 'cover') return booked;
  const ask = (entries: CautionEntry[]) =>
    entries.map(({ releases, ...entry }) => ({
      ...entry,
      note: ASK,
      clearedBy: '',
      // What is released holds for the options; who said so is the person's to say.
      ...(releases ? { releases: releases.map((release) => ({ ...release, by: ASK })) } : {}),
    }));
  return booked.map((each) => ({
    ...each,
    person: { ...each.person, note: ASK, cautions: ask(each.person.cautions) },
    today: ask(each.today),
    todayNote: each.todayNote ? ASK : '',
  }));
}

/** Exercises of plans as taught; a saved revision never changes. */
const exercisesOfRevision = new LRUCache<string, string[]>({ max: 20_000 });

/** A class as far as this needs it: read as plain rows, for there are hundreds. */
interface TaughtRow {
  id: string;
  startsAt: Date;
  taughtRevision: number;
}

/**
 * Classes taught in the weeks before `from` and until `to` that any of these people came to, read once
 * for all that is asked of them.
 */
export async function taughtBetween(
  studioId: string,
  from: Date,
  to: Date,
  personIds: readonly string[],
): Promise<TaughtLesson[]> {
  if (personIds.length === 0) return [];
  const earliest = subWeeks(from, FAMILIAR_WEEKS);
  const classes = await databaseOfModels().query<TaughtRow>(
    `SELECT id, startsAt, taughtRevision FROM classes
      WHERE studioId = :studioId AND startsAt >= :earliest AND startsAt < :to
        AND taughtRevision IS NOT NULL AND deletedAt IS NULL`,
    { replacements: { studioId, earliest, to }, type: QueryTypes.SELECT },
  );
  if (classes.length === 0) return [];
  const bookings = await databaseOfModels().query<{ classId: string; personId: string }>(
    'SELECT classId, personId FROM bookings WHERE classId IN (:classIds) AND personId IN (:personIds)',
    {
      replacements: { classIds: classes.map(({ id }) => id), personIds },
      type: QueryTypes.SELECT,
    },
  );
  const came = new Map<string, Set<string>>();
  for (const { classId, personId } of bookings) {
    const people = came.get(classId) ?? new Set<string>();
    came.set(classId, people.add(personId));
  }
  const theirs = classes.filter(({ id }) => came.has(id));
  const exercises = await exercisesTaught(studioId, theirs);
  return theirs.map(({ id, startsAt }) => ({
    startsAt,
    exercises: exercises.get(id) ?? [],
    personIds: came.get(id) ?? new Set<string>(),
  }));
}

async function exercisesTaught(
  studioId: string,
  classes: readonly TaughtRow[],
): Promise<Map<string, string[]>> {
  const keyOf = (classId: string, revision: number) => `${classId} ${revision}`;
  const unread = classes.filter(
    ({ id, taughtRevision }) => !exercisesOfRevision.has(keyOf(id, taughtRevision)),
  );
  if (unread.length > 0) {
    const these = unread.map(({ id, taughtRevision }) => ({
      classId: id,
      revision: taughtRevision,
    }));
    const rows = await rowsOf(PlanRevision, studioId).all({ where: { [Op.or]: these } });
    for (const row of rows) {
      const slugs = exerciseItemsOf(row.plan).map(({ exercise }) => exercise);
      exercisesOfRevision.set(keyOf(row.classId, row.revision), slugs);
    }
  }
  return new Map(
    classes.map(({ id, taughtRevision }) => [
      id,
      exercisesOfRevision.get(keyOf(id, taughtRevision)) ?? [],
    ]),
  );
}
