import type { Role } from '@wrenfern/contract/account';

/** What each part in a studio may do, in words. */
export const ROLE_WORDS: Record<Role, { name: string; may: string }> = {
  owner: { name: 'owner', may: 'everything, the team and the studio included' },
  instructor: { name: 'instructor', may: 'plans, teaches and keeps records' },
  cover: {
    name: 'cover teacher',
    may: 'only classes that are handed over, without anybody’s notes',
  },
  reader: { name: 'reader', may: 'sees plans and the library, and no people' },
};
