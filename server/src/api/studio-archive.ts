import express, { type Request, type Response } from 'express';
import { Person, checkPerson } from '@wrenfern/core/people/person';
import { collectStudio, standingOf } from '../archive/collect-studio.ts';
import {
  MOST_ARCHIVE_BYTES,
  packArchive,
  unpackArchive,
  type ArchiveFault,
} from '../archive/pack-archive.ts';
import { replaceStudio } from '../archive/replace-studio.ts';
import type { StudioContent } from '../archive/archive-content.ts';
import { closedRouter } from '../auth/closed-router.ts';
import type { ProvePassword } from '../auth/prove-password.ts';
import type { Member } from '../auth/session.ts';
import { databaseOfModels, Studio, User } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { noteAccess } from '../keeping/trail.ts';
import { ApiError } from './errors.ts';
import { needRoom } from './quota.ts';
import { readBody, readQuery } from './read.ts';
import { studioOf } from './studio.ts';

const readZip = express.raw({ type: 'application/zip', limit: MOST_ARCHIVE_BYTES });

/** A whole studio out as one file, and in from one in place of what is here. */
export function studioArchiveRouter(provePassword: ProvePassword) {
  const { router, on } = closedRouter();
  /** An archive takes memory and time: one at once in a process. */
  let isBusy = false;
  const alone = async <T>(work: () => Promise<T>): Promise<T> => {
    if (isBusy) throw new ApiError('busy', [], { retryAfterS: 5 });
    isBusy = true;
    try {
      return await work();
    } finally {
      isBusy = false;
    }
  };

  on('POST /studio/archive', async (request, member, response) => {
    const { password } = readBody('POST /studio/archive', request);
    if (!member.isDemo) await provePassword(member, password);
    const studio = await studioOf(member.studioId);
    await noteAccess(member, 'exported', 'people');
    const zip = await alone(async () =>
      packArchive(studio.name, await collectStudio(studio), new Date()),
    );
    response.attachment(`${studio.slug}.zip`).type('application/zip').send(Buffer.from(zip));
  });

  /** What an archive holds and what it would replace; nothing is changed. */
  on('POST /studio/archive/look', async (request, member, response) => {
    const { manifest, content } = await alone(async () => readArchive(request, response));
    const studio = await studioOf(member.studioId);
    const { people, exercises, groups, keptPlans, classes } = content;
    return {
      studio: manifest.studio,
      madeAt: manifest.madeAt,
      holds: {
        people: people.length,
        classes: classes.length,
        exercises: new Set(exercises.map(({ slug }) => slug)).size,
        groups: groups.length,
        keptPlans: keptPlans.length,
      },
      unknownTeachers: await unknownTeachers(member, content),
      replaces: await standingOf(studio),
    };
  });

  /** Only while what it replaces is what was shown. */
  on('PUT /studio/archive', async (request, member, response) => {
    const { mark } = readQuery('PUT /studio/archive', request);
    await alone(async () => {
      const { content } = await readArchive(request, response);
      await databaseOfModels().transaction(async (transaction) => {
        const studio = await Studio.findByPk(member.studioId, { transaction, lock: true });
        if (!studio) throw new ApiError('not-found');
        // Looked at once the studio is held: of two archives at once, one finds what the other left.
        const standing = await standingOf(studio);
        if (standing.mark !== mark) throw new ApiError('stale', [], { current: standing });
        await needRoom(member, 'people', content.people.length - standing.people);
        await needRoom(member, 'classes', content.classes.length - standing.classes);
        await replaceStudio(studio, content, member.userName, transaction);
      });
    });
    await noteAccess(member, 'changed', 'people');
  });

  return router;
}

async function readArchive(request: Request, response: Response) {
  await new Promise<void>((resolve, reject) => {
    readZip(request, response, (error?: unknown) => {
      if (error === undefined) resolve();
      else reject(error instanceof Error ? error : new Error('the file can’t be read'));
    });
  });
  const bytes: unknown = request.body;
  if (!Buffer.isBuffer(bytes)) {
    throw new ApiError('invalid', [{ path: [], message: 'send a zip file' }]);
  }
  const unpacked = await unpackArchive(bytes);
  const faults = unpacked.faults.length > 0 ? unpacked.faults : faultyPeople(unpacked);
  if (faults.length > 0 || !('content' in unpacked)) {
    throw new ApiError(
      'invalid',
      faults.map(({ file, path, message }) => ({ path: [file, ...path], message })),
    );
  }
  return unpacked;
}

/** What a schema of old records lets pass, and a new one would not. */
function faultyPeople(unpacked: { content: StudioContent } | object): ArchiveFault[] {
  if (!('content' in unpacked)) return [];
  return unpacked.content.people.flatMap(
    ({ ref: id, since: _since, deskRef: _desk, ...person }, index) =>
      checkPerson(Person.parse({ ...person, id })).map(({ path, message }) => ({
        file: 'people.json',
        path: [index, ...path],
        message,
      })),
  );
}

/** Emails of those who teach in the archive and are in no team here: their classes will name nobody. */
async function unknownTeachers(member: Member, { classes }: StudioContent): Promise<string[]> {
  const named = new Set(
    classes.flatMap(({ instructor, cover }) => [instructor, cover].filter((each) => each !== null)),
  );
  const team = await rowsOf(User, member.studioId).all({ attributes: ['email'] });
  for (const { email } of team) named.delete(email);
  return [...named].sort();
}
