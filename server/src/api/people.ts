import { randomUUID } from 'node:crypto';
import { checkPerson, Person } from '@wrenfern/core/people/person';
import { closedRouter } from '../auth/closed-router.ts';
import { databaseOfModels, PersonRow } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { sealRecord } from '../keeping/records.ts';
import { noteAccess } from '../keeping/trail.ts';
import { attendedBy } from './attended.ts';
import { needRoom } from './quota.ts';
import { ApiError } from './errors.ts';
import { readBody, readId } from './read.ts';
import { studioOf } from './studio.ts';

function personOf(row: PersonRow): Person {
  return { id: row.id, name: row.name, ...row.record };
}

const told = (row: PersonRow) => ({ ...personOf(row), revision: row.revision });

/** People who come to the studio's classes. */
export function peopleRouter() {
  const { router, on } = closedRouter();

  on('GET /people', async (_request, member) => {
    const rows = await rowsOf(PersonRow, member.studioId).all({ order: ['name'] });
    await noteAccess(member, 'read', 'people');
    return { people: rows.map(told) };
  });

  on('POST /people', async (request, member) => {
    const body = readBody('POST /people', request);
    needSense(body);
    await needRoom(member, 'people');
    const values = rowOf(member.studioId, randomUUID(), body);
    const row = await rowsOf(PersonRow, member.studioId).create(values);
    await noteAccess(member, 'changed', 'person', row.id);
    return told(row);
  });

  /** Of several colleagues who change the same record meanwhile, nobody is overwritten: then nothing is taken. */
  on('POST /people/import', async (request, member) => {
    const { people } = readBody('POST /people/import', request);
    people.forEach(({ person }, index) => needSense(person, ['people', index, 'person']));
    const added = people.filter(({ id }) => id === null).length;
    await needRoom(member, 'people', added);
    const rows = rowsOf(PersonRow, member.studioId);
    await databaseOfModels().transaction(async (transaction) => {
      for (const { id, revision, person } of people) {
        const values = rowOf(member.studioId, id ?? randomUUID(), person);
        if (id === null) await rows.create(values, transaction);
        else if (!(await rows.revise({ id }, revision, values, { transaction }))) {
          throw new ApiError('stale', [], { name: person.name });
        }
      }
    });
    await noteAccess(member, 'changed', 'people');
    return { added, changed: people.length - added };
  });

  on('GET /people/:id', async (request, member) => {
    const row = await rowsOf(PersonRow, member.studioId).one({ id: readId(request) });
    await noteAccess(member, 'read', 'person', row.id);
    return told(row);
  });

  /** What the log says of somebody: the classes they came to, for their record to be looked at again. */
  on('GET /people/:id/attended', async (request, { studioId }) => {
    const [studio, row] = await Promise.all([
      studioOf(studioId),
      rowsOf(PersonRow, studioId).one({ id: readId(request) }),
    ]);
    return { classes: await attendedBy(studioId, row.id, studio.timeZone) };
  });

  on('PUT /people/:id', async (request, member) => {
    const { studioId } = member;
    const people = rowsOf(PersonRow, studioId);
    const id = readId(request);
    await people.one({ id });
    const { revision, ...person } = readBody('PUT /people/:id', request);
    needSense(person);
    const isTaken = await people.revise({ id }, revision, rowOf(studioId, id, person));
    const now = await people.one({ id });
    if (!isTaken) throw new ApiError('stale', [], { current: told(now) });
    await noteAccess(member, 'changed', 'person', id);
    return told(now);
  });

  /** Into the wastebasket; bookings stay, so that nothing is missing when it is taken out again. */
  on('DELETE /people/:id', async (request, member) => {
    const row = await rowsOf(PersonRow, member.studioId).one({ id: readId(request) });
    await row.destroy();
    await noteAccess(member, 'deleted', 'person', row.id);
  });

  return router;
}

function needSense(person: Omit<Person, 'id'>, within: (string | number)[] = []): void {
  const problems = checkPerson(person).map(({ path, message }) => ({
    path: [...within, ...path],
    message,
  }));
  if (problems.length > 0) throw new ApiError('invalid', problems);
}

/** What goes into the row of a person. */
function rowOf(studioId: string, id: string, { name, ...record }: Omit<Person, 'id'>) {
  return { id, name, sealed: sealRecord(studioId, id, record) };
}
