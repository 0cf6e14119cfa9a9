import type { TrailAction, TrailSubject } from '@wrenfern/contract/keeping';
import { LRUCache } from 'lru-cache';
import type { Member } from '../auth/session.ts';
import { Trail } from '../db/models.ts';

const READ_AGAIN_MS = 10 * 60_000;

/** Reading the same again within ten minutes is one reading. */
const readLately = new LRUCache<string, true>({ max: 50_000, ttl: READ_AGAIN_MS });

/** Writes down who read, changed or took away health records. A record that is not written is not given out. */
export async function noteAccess(
  { studioId, userId, userName }: Member,
  action: TrailAction,
  subject: TrailSubject,
  subjectId: string | null = null,
): Promise<void> {
  const key = `${userId} ${subject} ${subjectId ?? ''}`;
  if (action === 'read' && readLately.has(key)) return;
  await Trail.create({ studioId, userId, userName, action, subject, subjectId });
  if (action === 'read') readLately.set(key, true);
}
