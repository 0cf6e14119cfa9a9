import type { Transaction } from 'sequelize';
import { closedRouter } from '../auth/closed-router.ts';
import { databaseOfModels, GroupPerson, PersonRow, StandingGroup } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { ApiError } from './errors.ts';
import { readBody, readId } from './read.ts';

/** More than a studio has of them. */
const MOST_GROUPS = 200;

/** Standing groups: lists of people that bookings start from. */
export function groupsRouter() {
  const { router, on } = closedRouter();

  on('GET /groups', async (_request, { studioId }) => {
    const rows = await rowsOf(StandingGroup, studioId).all({ order: ['name'], limit: MOST_GROUPS });
    const people = await peopleOf(
      studioId,
      rows.map(({ id }) => id),
    );
    return { groups: rows.map((row) => told(row, people.get(row.id) ?? [])) };
  });

  on('POST /groups', async (request, { studioId }) => {
    const { name, personIds } = readBody('POST /groups', request);
    const groups = rowsOf(StandingGroup, studioId);
    if ((await groups.count()) >= MOST_GROUPS) {
      throw new ApiError('over-quota', [
        { path: ['name'], message: `${MOST_GROUPS} are the most` },
      ]);
    }
    const row = await databaseOfModels().transaction(async (transaction) => {
      const made = await groups.create({ name }, transaction);
      await putIn(studioId, made.id, personIds, transaction);
      return made;
    });
    return told(row, [...new Set(personIds)]);
  });

  on('PUT /groups/:id', async (request, { studioId }) => {
    const groups = rowsOf(StandingGroup, studioId);
    const { id } = await groups.one({ id: readId(request) });
    const { revision, name, personIds } = readBody('PUT /groups/:id', request);
    const isTaken = await databaseOfModels().transaction(async (transaction) => {
      const taken = await groups.revise({ id }, revision, { name }, { transaction });
      if (taken) await putIn(studioId, id, personIds, transaction);
      return taken;
    });
    const now = told(await groups.one({ id }), (await peopleOf(studioId, [id])).get(id) ?? []);
    if (!isTaken) throw new ApiError('stale', [], { current: now });
    return now;
  });

  on('DELETE /groups/:id', async (request, { studioId }) => {
    const removed = await rowsOf(StandingGroup, studioId).remove({ id: readId(request) });
    if (removed === 0) throw new ApiError('not-found');
  });

  return router;
}

/** Whoever is in a group now; those in the wastebasket are not. */
export async function peopleOf(
  studioId: string,
  groupIds: readonly string[],
): Promise<Map<string, string[]>> {
  const rows = await rowsOf(GroupPerson, studioId).all({ where: { groupId: [...groupIds] } });
  const there = await rowsOf(PersonRow, studioId).all({
    where: { id: rows.map(({ personId }) => personId) },
    attributes: ['id'],
    order: ['name'],
  });
  const byGroup = new Map<string, string[]>();
  for (const { id } of there) {
    for (const { groupId } of rows.filter(({ personId }) => personId === id)) {
      byGroup.set(groupId, [...(byGroup.get(groupId) ?? []), id]);
    }
  }
  return byGroup;
}

async function putIn(
  studioId: string,
  groupId: string,
  personIds: readonly string[],
  transaction: Transaction,
): Promise<void> {
  const wanted = [...new Set(personIds)];
  const known = await rowsOf(PersonRow, studioId).all({
    where: { id: wanted },
    attributes: ['id'],
    transaction,
  });
  if (known.length < wanted.length) {
    const message = 'somebody of these is not in this studio';
    throw new ApiError('invalid', [{ path: ['personIds'], message }]);
  }
  const people = rowsOf(GroupPerson, studioId);
  await people.remove({ groupId }, transaction);
  await people.createAll(
    wanted.map((personId) => ({ groupId, personId })),
    transaction,
  );
}

const told = ({ id, name, revision }: StandingGroup, personIds: string[]) => ({
  id,
  name,
  personIds,
  revision,
});
