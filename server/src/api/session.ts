import type { Request } from 'express';
import { closedRouter } from '../auth/closed-router.ts';
import { createKnownDevices, hashOf } from '../auth/known-device.ts';
import { checkPassword } from '../auth/passwords.ts';
import { useCode, useRecoveryCode } from '../auth/second-factor.ts';
import { memberOf, signIn, signOut } from '../auth/session.ts';
import { createThrottle } from '../auth/tries.ts';
import { User } from '../db/models.ts';
import { ApiError } from './errors.ts';
import { readBody } from './read.ts';
import { studioOf } from './studio.ts';

interface SessionParts {
  sessionSecret: string;
  secureCookies: boolean;
  key: Buffer;
}

/** Signing in and out. */
export function sessionRouter({ sessionSecret, secureCookies, key }: SessionParts) {
  const { router, open } = closedRouter();
  const devices = createKnownDevices(sessionSecret, secureCookies);
  const byAccount = createThrottle('sign-in-account', { free: 8, forgetS: 86_400 });
  const byDevice = createThrottle('sign-in-device', { free: 10, forgetS: 86_400 });
  /** A whole studio sits behind one address. */
  const byAddress = createThrottle('sign-in-address', { free: 40, forgetS: 3_600 });

  async function needSecondFactor(request: Request, user: User): Promise<void> {
    const { code, recovery } = readBody('POST /session', request);
    if (code === undefined && recovery === undefined) throw new ApiError('second-factor');
    const [path, isRight] =
      recovery === undefined
        ? (['code', await useCode(key, user, code ?? '')] as const)
        : (['recovery', await useRecoveryCode(user, recovery)] as const);
    if (isRight) {
      if (path === 'recovery') request.note('recovery-code-used', { userId: user.id });
      return;
    }
    throw new ApiError('second-factor', [{ path: [path], message: 'this code is not right' }]);
  }

  open('GET /session', async (request) => {
    const { userId, userName, studioId, role, lacksSecondFactor } = memberOf(request);
    const { name, slug, isDemo, timeZone, needsSecondFactor } = await studioOf(studioId);
    return {
      user: { id: userId, name: userName, role, lacksSecondFactor },
      studio: { name, slug, isDemo, timeZone, needsSecondFactor },
    };
  });

  open('POST /session', async (request, response) => {
    const { email: address, password } = readBody('POST /session', request);
    const deviceId = devices.idOf(request, address);
    const account = hashOf(address);
    const from = request.ip ?? 'nowhere';
    if (deviceId) await byDevice.count(deviceId);
    else {
      await byAddress.count(from);
      await byAccount.count(account);
    }
    const user = await User.findOne({ where: { email: address } });
    if (!(await checkPassword(password, user?.passwordHash)) || !user) {
      throw new ApiError('wrong-credentials');
    }
    if (user.secondFactor) await needSecondFactor(request, user);
    if (user.until && user.until < new Date().toISOString().slice(0, 10)) {
      throw new ApiError('wrong-credentials');
    }
    if (deviceId) await byDevice.forget(deviceId);
    else await byAddress.forgive(from);
    await byAccount.forget(account);
    devices.remember(request, response, address);
    await signIn(request, user);
  });

  open('DELETE /session', async (request) => {
    await signOut(request);
  });

  return router;
}
