import { Router } from 'express';
import { Person } from '@wrenfern/core/people/person';
import { memberOf } from '../auth/session.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { PersonRow, type PersonRecord } from '../db/models.ts';
import { readBody, readId } from './read.ts';

const PersonBody = Person.omit({ id: true });

export function personOf(row: PersonRow): Person {
  return { id: row.id, name: row.name, ...row.record };
}

/** People who come to the studio's classes. */
export function peopleRouter(): Router {
  const router = Router();

  router.get('/people', async (request, response) => {
    const people = rowsOf(PersonRow, memberOf(request).studioId);
    const rows = await people.all({ order: ['name'] });
    response.json({ people: rows.map(personOf) });
  });

  router.post('/people', async (request, response) => {
    const people = rowsOf(PersonRow, memberOf(request).studioId);
    const row = await people.create(split(readBody(PersonBody, request)));
    response.status(201).json(personOf(row));
  });

  router.get('/people/:id', async (request, response) => {
    const people = rowsOf(PersonRow, memberOf(request).studioId);
    response.json(personOf(await people.one({ id: readId(request) })));
  });

  router.put('/people/:id', async (request, response) => {
    const people = rowsOf(PersonRow, memberOf(request).studioId);
    const row = await people.one({ id: readId(request) });
    await row.update(split(readBody(PersonBody, request)));
    response.json(personOf(row));
  });

  router.delete('/people/:id', async (request, response) => {
    const people = rowsOf(PersonRow, memberOf(request).studioId);
    const row = await people.one({ id: readId(request) });
    await row.destroy();
    response.status(204).end();
  });

  return router;
}

function split({ name, ...record }: Omit<Person, 'id'>): { name: string; record: PersonRecord } {
  return { name, record };
}
