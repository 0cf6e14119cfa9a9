import { closedRouter, WRITTEN } from '../auth/closed-router.ts';
import { databaseOfModels, PersonRow } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { erasePerson } from '../keeping/erase-person.ts';
import { collectPerson, writePersonPage } from '../keeping/person-export.ts';
import { noteAccess } from '../keeping/trail.ts';
import { ApiError } from './errors.ts';
import { readId } from './read.ts';

/** All that is kept about one person: to be given to them, and to be erased when they ask for it. */
export function personEverythingRouter() {
  const { router, on } = closedRouter();

  /** As JSON, or as a page that anybody can read (`?as=page`). */
  on('GET /people/:id/export', async (request, member, response) => {
    const row = await rowsOf(PersonRow, member.studioId).one({ id: readId(request) });
    await noteAccess(member, 'exported', 'person', row.id);
    const everything = await collectPerson(row);
    if (request.query.as === 'page') {
      response.type('html').send(writePersonPage(everything));
      return WRITTEN;
    }
    response.attachment('person.json');
    return everything;
  });

  /** For good, also from the wastebasket; their name goes from events and notes. */
  on('DELETE /people/:id/everything', async (request, member) => {
    const { studioId } = member;
    const row = await PersonRow.findOne({
      where: { id: readId(request), studioId },
      paranoid: false,
    });
    if (!row) throw new ApiError('not-found');
    await databaseOfModels().transaction((transaction) => erasePerson(row, transaction));
    await noteAccess(member, 'erased', 'person', row.id);
  });

  return router;
}
