import { Op } from 'sequelize';
import { closedRouter } from '../auth/closed-router.ts';
import { ClassRow, PersonRow, Trail } from '../db/models.ts';
import { readQuery } from './read.ts';

const SHOWN = 100;

/** Who looked into health records, for the owner to see. */
export function trailRouter() {
  const { router, on } = closedRouter();

  /** Newest first; `before` continues a list. */
  on('GET /trail', async (request, { studioId }) => {
    const { before } = readQuery('GET /trail', request);
    const rows = await Trail.findAll({
      where: { studioId, ...(before ? { id: { [Op.lt]: before } } : {}) },
      order: [['id', 'DESC']],
      limit: SHOWN,
    });
    const ids = rows.flatMap(({ subjectId }) => (subjectId ? [subjectId] : []));
    const where = { studioId, id: ids };
    const [people, classes] = await Promise.all([
      PersonRow.findAll({ where, attributes: ['id', 'name'], paranoid: false }),
      ClassRow.findAll({ where, attributes: ['id', 'title'], paranoid: false }),
    ]);
    const nameOf = new Map([
      ...people.map(({ id, name }) => [id, name] as const),
      ...classes.map(({ id, title }) => [id, title] as const),
    ]);
    return {
      trail: rows.map(({ id, userName, action, subject, subjectId, createdAt }) => ({
        id: Number(id),
        who: userName,
        action,
        subject,
        name: subjectId ? (nameOf.get(subjectId) ?? null) : null,
        at: createdAt.toISOString(),
      })),
    };
  });

  return router;
}
