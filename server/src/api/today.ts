import { Op } from 'sequelize';
import { closedRouter } from '../auth/closed-router.ts';
import { ClassRow } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import type { Workers } from '../work/pool.ts';
import { onlyTheirs } from './classes.ts';
import { readQuery } from './read.ts';
import { readyCards } from './ready-cards.ts';

const SHOWN = 8;

/** The next classes that take place, each with what is still to settle. */
export function todayRouter(workers: Workers) {
  const { router, on } = closedRouter();

  on('GET /today', async (request, member) => {
    const { from } = readQuery('GET /today', request);
    const rows = await rowsOf(ClassRow, member.studioId).all({
      where: { startsAt: { [Op.gte]: new Date(from) }, calledOff: null, ...onlyTheirs(member) },
      order: [['startsAt', 'ASC']],
      limit: SHOWN,
    });
    return { classes: await readyCards(rows, member, workers) };
  });

  return router;
}
