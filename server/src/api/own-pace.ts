import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { checkPlan, type Plan } from '@wrenfern/core/plan/plan';
import { timeClass } from '@wrenfern/core';
import { familiarIn, familiarTo } from '@wrenfern/core/log/familiar';
import { learnFromClasses, paceOf } from '@wrenfern/core/log/pace-from-classes';
import { STEADY_PACE, type Pace } from '@wrenfern/core/plan/timing/pace';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import { dayIn } from '@wrenfern/core/week/studio-time';
import type { TaughtParts } from '@wrenfern/contract/studio';
import { Op } from 'sequelize';
import { ClassRow, UnreadableColumn, User, type Studio } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { attendeesOf, taughtBetween } from './class-context.ts';
import { catalogueOf } from './studio-catalogue.ts';
import { taughtBy, taughtParts } from './taught-parts.ts';

/** Who teaches a class: whoever it was handed over to, else whose it is. */
export function teacherIdOf({ coverUserId, instructorId }: ClassRow): string | undefined {
  return coverUserId ?? instructorId ?? undefined;
}

/** How quick a class goes: by its teacher's own pace, or as the studio teaches where that was never said. */
export async function paceOfClass(row: ClassRow, studio: Studio): Promise<Pace> {
  const id = teacherIdOf(row);
  const teacher = id && (await rowsOf(User, studio.id).find({ id }));
  return plainPace(teacher ? teacher.pace : null) ?? studio.pace;
}

/** As a class is laid out by it. */
export function plainPace(own: User['pace'] | null | undefined): Pace | undefined {
  if (!own) return undefined;
  const { follows: _follows, ...pace } = own;
  return pace;
}

/**
 * What a pace can be learned from, of the whole studio or of one teacher, and what it would make of the next class that
 * is still to be taught.
 */
export async function toLearnFrom(studio: Studio, teacherId?: string): Promise<TaughtParts> {
  const { classes } = await taughtParts(studio, teacherId);
  const learned = learnFromClasses(classes);
  const row = learned && (await nextClassOf(studio.id, new Date(), teacherId));
  if (!row) return { classes, next: null };
  const attendees = (await attendeesOf(studio.id, [row.id])).get(row.id) ?? [];
  const personIds = attendees.map(({ person }) => person.id);
  const before = await taughtBetween(studio.id, row.startsAt, row.startsAt, personIds);
  const catalogue = await catalogueOf(studio.id);
  const plan = planToTime(row, catalogue);
  if (!plan) return { classes, next: null };
  const secondsBy = (pace: Pace) =>
    timeClass(plan, catalogue, {
      pace,
      attendees: [],
      cupboard: studio.cupboard,
      machines: studio.machines ?? PLAIN_MACHINES,
      day: dayIn(studio.timeZone, row.startsAt),
      ...familiarIn(personIds, familiarTo(before, personIds, row.startsAt)),
    }).totalS;
  const { title, startsAt } = row;
  return {
    classes,
    next: {
      title,
      startsAt: startsAt.toISOString(),
      nowS: secondsBy(await paceOfClass(row, studio)),
      thenS: secondsBy(paceOf(learned)),
    },
  };
}

/** Undefined where it can't be read, or holds what is in no library: that is told where the class is opened. */
function planToTime(row: ClassRow, catalogue: Catalogue): Plan | undefined {
  try {
    return checkPlan(row.plan, catalogue).length === 0 ? row.plan : undefined;
  } catch (error) {
    if (error instanceof UnreadableColumn) return undefined;
    throw error;
  }
}

async function nextClassOf(
  studioId: string,
  now: Date,
  teacherId?: string,
): Promise<ClassRow | undefined> {
  const [next] = await rowsOf(ClassRow, studioId).all({
    where: {
      startsAt: { [Op.gt]: now },
      calledOff: null,
      ...(teacherId ? taughtBy(teacherId) : {}),
    },
    order: [['startsAt', 'ASC']],
    limit: 1,
  });
  return next;
}

/** After a class: where its teacher's pace follows what is taught, it is learned anew. */
export async function followPace(row: ClassRow, studio: Studio): Promise<void> {
  const id = teacherIdOf(row);
  const teacher = id && (await rowsOf(User, row.studioId).find({ id }));
  if (!teacher || !teacher.pace?.follows) return;
  const { classes } = await taughtParts(studio, teacher.id);
  const learned = learnFromClasses(classes);
  await teacher.update({ pace: { ...(learned ? paceOf(learned) : STEADY_PACE), follows: true } });
}
