import { Op } from 'sequelize';
import { closedRouter } from '../auth/closed-router.ts';
import { createLink } from '../auth/links.ts';
import { endSessionsOf, type Member } from '../auth/session.ts';
import { Link, User } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import type { Outbox } from '../keeping/outbox.ts';
import { ApiError } from './errors.ts';
import { readBody, readId } from './read.ts';

/** Who teaches here. Nobody types a password for anybody else: everyone comes by a link of their own. */
export function teamRouter(outbox: Outbox) {
  const { router, on } = closedRouter();

  on('GET /team', async (_request, member) => {
    const users = await rowsOf(User, member.studioId).all({ order: ['name'] });
    return {
      team: users.map(told),
      invitations: member.role === 'owner' ? await invitationsOf(member) : [],
    };
  });

  on('POST /team/invitations', async (request, member) => {
    const wanted = readBody('POST /team/invitations', request);
    if (member.isDemo) throw new ApiError('not-allowed');
    const { id, token } = await createLink({
      kind: 'invite',
      studioId: member.studioId,
      ...wanted,
    });
    await outbox.put(
      wanted.email,
      'You are invited to a studio',
      `Open this path on the studio's Wrenfern, once, within seven days: /join#${token}`,
    );
    request.note('invited', { userId: member.userId });
    return { id, path: `/join#${token}` };
  });

  on('DELETE /team/invitations/:id', async (request, { studioId }) => {
    const where = { id: readId(request), studioId, kind: 'invite' };
    if ((await Link.destroy({ where })) === 0) throw new ApiError('not-found');
  });

  /** Another part in the studio; whoever gets one signs in anew. */
  on('PATCH /team/:id', async (request, member) => {
    const change = readBody('PATCH /team/:id', request);
    const user = await changeable(member, readId(request));
    await user.update(change);
    await endSessionsOf(user);
    request.note('part-changed', { userId: user.id });
    return told(user);
  });

  on('DELETE /team/:id', async (request, member) => {
    const user = await changeable(member, readId(request));
    await user.destroy();
    request.note('member-removed', { userId: user.id });
  });

  /** Signs somebody out everywhere, such as from a tablet that was lost. */
  on('DELETE /team/:id/sessions', async (request, member) => {
    const user = await changeable(member, readId(request));
    await endSessionsOf(user);
    request.note('sessions-ended', { userId: user.id });
  });

  /** For whoever lost the authenticator and the recovery codes; the owner knows whom they have before them. */
  on('DELETE /team/:id/second-factor', async (request, member) => {
    const user = await changeable(member, readId(request));
    await user.update({ secondFactor: null, recoveryHashes: null });
    await endSessionsOf(user);
    request.note('second-factor-ended', { userId: user.id });
  });

  /** A one-time link to choose another password; the old one ends when it is used, the second factor stays. */
  on('POST /team/:id/reset', async (request, member) => {
    const user = await rowsOf(User, member.studioId).one({ id: readId(request) });
    if (member.isDemo) throw new ApiError('not-allowed');
    const token = await createReset(user);
    request.note('reset-offered', { userId: user.id });
    await outbox.put(
      user.email,
      'Choose another password',
      `Open this path on the studio's Wrenfern, once, within a day: /join#${token}`,
    );
    return { path: `/join#${token}` };
  });

  return router;
}

/** Only the newest link to another password is good. */
export async function createReset(user: User): Promise<string> {
  await Link.destroy({ where: { kind: 'reset', userId: user.id } });
  const { id: userId, studioId } = user;
  const { token } = await createLink({ kind: 'reset', userId, studioId });
  return token;
}

/** Everyone but oneself, and never the last owner. */
async function changeable(member: Member, id: string): Promise<User> {
  const user = await rowsOf(User, member.studioId).one({ id });
  if (user.id === member.userId) throw new ApiError('not-allowed');
  return user;
}

async function invitationsOf({ studioId }: Member) {
  const links = await Link.findAll({
    where: { studioId, kind: 'invite', usedAt: null, expires: { [Op.gt]: new Date() } },
    order: ['createdAt'],
  });
  return links.flatMap(({ id, name, email: to, role, until: last, expires }) =>
    name && to && role
      ? [{ id, name, email: to, role, until: last, expires: expires.toISOString() }]
      : [],
  );
}

function told({ id, name, email: address, role, until: last, secondFactor }: User) {
  const hasSecondFactor = Boolean(secondFactor);
  return { id, name, email: address, role, until: last ?? null, hasSecondFactor };
}

/** Refuses whoever is not in the team, by the name of the field that gave them. */
export async function needInTeam(
  studioId: string,
  userId: string,
  field = 'instructorId',
): Promise<void> {
  if ((await rowsOf(User, studioId).count({ id: userId })) > 0) return;
  throw new ApiError('invalid', [{ path: [field], message: 'is not in the team' }]);
}
