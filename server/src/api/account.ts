import { closedRouter } from '../auth/closed-router.ts';
import { hashOf } from '../auth/known-device.ts';
import { hashPassword } from '../auth/passwords.ts';
import type { ProvePassword } from '../auth/prove-password.ts';
import {
  confirmSecondFactor,
  createRecoveryCodes,
  proposeSecondFactor,
} from '../auth/second-factor.ts';
import { endSessionsOf, signIn, type Member } from '../auth/session.ts';
import { SessionRow, Studio, User } from '../db/models.ts';
import { studioOf } from './studio.ts';
import { ApiError } from './errors.ts';
import { toLearnFrom } from './own-pace.ts';
import { readBody } from './read.ts';

interface AccountParts {
  /** Seals what must be read again, such as the secret of a second factor. */
  key: Buffer;
  provePassword: ProvePassword;
}

/** One's own account: password, where one is signed in, the second factor. */
export function accountRouter({ key, provePassword }: AccountParts) {
  const { router, on } = closedRouter();

  on('GET /account', async (request, member) => {
    const user = await userOf(member);
    const rows = await SessionRow.findAll({
      where: { userId: user.id, epoch: user.epoch },
      order: [['seenAt', 'DESC']],
    });
    return {
      name: user.name,
      email: user.email,
      role: user.role,
      until: user.until ?? null,
      hasSecondFactor: Boolean(user.secondFactor),
      recoveryCodesLeft: user.recoveryHashes?.length ?? 0,
      pace: user.pace ?? null,
      sessions: rows.map((row) => ({
        // The session's own id opens it: what is told here only names it.
        id: nameOf(row.sid),
        device: row.device,
        startedAt: row.startedAt.toISOString(),
        seenAt: row.seenAt.toISOString(),
        isThis: row.sid === request.sessionID,
      })),
    };
  });

  /** Without a pace of one's own, classes go as the studio teaches. */
  on('PUT /account/pace', async (request, member) => {
    const { pace } = readBody('PUT /account/pace', request);
    await (await userOf(member)).update({ pace });
  });

  /** What one's own pace can be learned from. */
  on('GET /account/taught', async (_request, { studioId, userId }) =>
    toLearnFrom(await studioOf(studioId), userId),
  );

  on('PUT /account/password', async (request, member) => {
    const body = readBody('PUT /account/password', request);
    const user = await provePassword(member, body.password);
    await user.update({ passwordHash: await hashPassword(body.next) });
    await endSessionsOf(user);
    request.note('password-changed', { userId: user.id });
    await signIn(request, user);
  });

  /** Everywhere, this device included. */
  on('DELETE /account/sessions', async (request, member) => {
    await endSessionsOf(await userOf(member));
    request.note('sessions-ended', { userId: member.userId });
  });

  on('DELETE /account/sessions/:id', async (request, member) => {
    const rows = await SessionRow.findAll({ where: { userId: member.userId } });
    const row = rows.find(({ sid }) => nameOf(sid) === request.params.id);
    if (!row) throw new ApiError('not-found');
    await row.destroy();
  });

  on('POST /account/second-factor', async (request, member) => {
    const body = readBody('POST /account/second-factor', request);
    const user = await provePassword(member, body.password);
    return proposeSecondFactor(user.email);
  });

  /** In use from the first right code on; the recovery codes are told here and never again. */
  on('PUT /account/second-factor', async (request, member) => {
    const body = readBody('PUT /account/second-factor', request);
    const user = await provePassword(member, body.password);
    const sealed = confirmSecondFactor(key, user, body.secret, body.code);
    if (!sealed) {
      throw new ApiError('invalid', [{ path: ['code'], message: 'this code is not right' }]);
    }
    const { codes, hashes } = createRecoveryCodes();
    await user.update({ secondFactor: sealed, recoveryHashes: hashes });
    request.note('second-factor-set', { userId: user.id });
    // Whoever came in without it elsewhere comes in anew.
    await endSessionsOf(user);
    await signIn(request, user);
    return { recoveryCodes: codes };
  });

  on('DELETE /account/second-factor', async (request, member) => {
    const body = readBody('DELETE /account/second-factor', request);
    const user = await provePassword(member, body.password);
    const studio = await Studio.findByPk(member.studioId);
    if (studio?.needsSecondFactor) throw new ApiError('second-factor-needed');
    await user.update({ secondFactor: null, recoveryHashes: null });
    request.note('second-factor-ended', { userId: user.id });
  });

  /** Other recovery codes in place of those that are left. */
  on('POST /account/recovery-codes', async (request, member) => {
    const body = readBody('POST /account/recovery-codes', request);
    const user = await provePassword(member, body.password);
    if (!user.secondFactor) throw new ApiError('not-found');
    const { codes, hashes } = createRecoveryCodes();
    await user.update({ recoveryHashes: hashes });
    return { recoveryCodes: codes };
  });

  return router;
}

async function userOf(member: Member): Promise<User> {
  const user = await User.findByPk(member.userId);
  if (!user) throw new ApiError('not-signed-in');
  return user;
}

const nameOf = (sid: string) => hashOf(sid).slice(0, 16);
