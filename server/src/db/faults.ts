import { BaseError, DatabaseError } from 'sequelize';

/** Error numbers of MariaDB: a statement over its time, a lock not had in time. */
const OVER_TIME = new Set([1969, 1205, 3024]);
/** A deadlock, or in a cluster a transaction that another node was ahead of. */
const CONFLICTS = new Set([1213, 1020, 1047]);
/** A text or number that the column can't hold. */
const UNSTORABLE = new Set([1366, 1406, 1292, 1264, 4025]);

const numberOf = (error: unknown): number =>
  error instanceof DatabaseError ? Number((error.parent as { errno?: unknown }).errno) : 0;

/** Nothing was changed, and the same again may go through. */
export const isConflict = (error: unknown): boolean => CONFLICTS.has(numberOf(error));
export const isOverTime = (error: unknown): boolean => OVER_TIME.has(numberOf(error));
export const isUnstorable = (error: unknown): boolean => UNSTORABLE.has(numberOf(error));

/** What happened without what was in it: statements and values of people stay out of the log. */
export function withoutValues(error: unknown): { name: string; message: string; stack: string } {
  if (!(error instanceof Error)) return { name: 'unknown', message: typeof error, stack: '' };
  const isOfDatabase = error instanceof BaseError;
  const frames = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  return {
    name: error.name,
    message: isOfDatabase ? `the database refused with ${numberOf(error)}` : error.message,
    stack: frames.join('\n'),
  };
}
