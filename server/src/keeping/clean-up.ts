import { subMonths } from 'date-fns';
import { literal, Op } from 'sequelize';
import {
  Booking,
  ClassRow,
  DeskMessageRow,
  ExerciseVersion,
  Link,
  PersonRow,
  PlanRevision,
  SessionRow,
  Studio,
  Trail,
  Tries,
} from '../db/models.ts';
import { LONGEST_MS } from '../auth/session-store.ts';

const DAY_MS = 86_400_000;
const EVERY_MS = 3_600_000;

/** The wastebasket keeps what was taken out for so long. */
export const KEPT_DAYS = 30;
/** Saved plans that can be looked back on. */
const REVISIONS_DAYS = 90;
/** Who looked into records can be asked for so long. */
const TRAIL_DAYS = 400;
/** What a booking desk told, long after its messages are good. */
const DESK_DAYS = 90;
/** A demo studio that nobody used for so long is gone. */
const DEMO_IDLE_MS = DAY_MS;

/** Removes what has had its time. Each step may run on several processes at once, and twice. */
export async function cleanUp(now: Date): Promise<void> {
  const ago = (ms: number) => new Date(now.getTime() - ms);
  await SessionRow.destroy({
    where: {
      [Op.or]: [{ expires: { [Op.lt]: now } }, { startedAt: { [Op.lt]: ago(LONGEST_MS) } }],
    },
  });
  await Link.destroy({ where: { expires: { [Op.lt]: ago(KEPT_DAYS * DAY_MS) } } });
  await Tries.destroy({ where: { expire: { [Op.lt]: now.getTime() } } });
  const wasted = { deletedAt: { [Op.lt]: ago(KEPT_DAYS * DAY_MS) } };
  await ClassRow.destroy({ where: wasted, force: true });
  await PersonRow.destroy({ where: wasted, force: true });
  await ExerciseVersion.destroy({ where: wasted, force: true });
  await Trail.destroy({ where: { createdAt: { [Op.lt]: ago(TRAIL_DAYS * DAY_MS) } } });
  await DeskMessageRow.destroy({ where: { createdAt: { [Op.lt]: ago(DESK_DAYS * DAY_MS) } } });
  await retirePeople(now);
  await dropOldRevisions(ago(REVISIONS_DAYS * DAY_MS));
  await Studio.destroy({
    where: {
      isDemo: true,
      [Op.or]: [
        { usedAt: { [Op.lt]: ago(DEMO_IDLE_MS) } },
        { usedAt: null, createdAt: { [Op.lt]: ago(DEMO_IDLE_MS) } },
      ],
    },
  });
}

/** Whoever came to nothing for as long as their studio keeps people goes into the wastebasket. */
async function retirePeople(now: Date): Promise<void> {
  const studios = await Studio.findAll({ where: { retentionMonths: { [Op.not]: null } } });
  for (const { id, retentionMonths } of studios) {
    const since = subMonths(now, retentionMonths ?? 0);
    const lately = await Booking.findAll({
      where: { studioId: id },
      attributes: ['personId'],
      include: [
        {
          association: 'lesson',
          attributes: [],
          required: true,
          where: { startsAt: { [Op.gte]: since } },
        },
      ],
    });
    await PersonRow.destroy({
      where: {
        studioId: id,
        createdAt: { [Op.lt]: since },
        id: { [Op.notIn]: lately.map(({ personId }) => personId) },
      },
    });
  }
}

/** All but the plan that was taught and the one that stands. */
async function dropOldRevisions(before: Date): Promise<void> {
  await PlanRevision.destroy({
    where: {
      createdAt: { [Op.lt]: before },
      [Op.and]: literal(
        `NOT EXISTS (SELECT 1 FROM classes WHERE classes.id = plan_revisions.classId
          AND plan_revisions.revision IN (classes.taughtRevision, classes.revision))`,
      ),
    },
  });
}

/** Cleans up now and every hour; returns what stops it. */
export function keepCleaning(onFault: (error: unknown) => void): () => void {
  const run = () => void cleanUp(new Date()).catch(onFault);
  run();
  const timer = setInterval(run, EVERY_MS);
  timer.unref();
  return () => clearInterval(timer);
}
