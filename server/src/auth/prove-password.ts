import { ApiError } from '../api/errors.ts';
import { User } from '../db/models.ts';
import { checkPassword } from './passwords.ts';
import type { Member } from './session.ts';
import type { Throttle } from './tries.ts';

/** Resolves to the user once the password was right; wrong ones of somebody who is signed in are counted. */
export type ProvePassword = (member: Member, given: string) => Promise<User>;

/** Before what somebody must not do who only found the device unlocked. In a demo nobody has a password. */
export function createProof(throttle: Throttle): ProvePassword {
  return async (member, given) => {
    const user = await User.findOne({ where: { id: member.userId, studioId: member.studioId } });
    if (!user) throw new ApiError('not-signed-in');
    if (member.isDemo) throw new ApiError('not-allowed');
    await throttle.count(user.id);
    if (!(await checkPassword(given, user.passwordHash))) {
      throw new ApiError('invalid', [{ path: ['password'], message: 'this is not your password' }]);
    }
    await throttle.forget(user.id);
    return user;
  };
}
