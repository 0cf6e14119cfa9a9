import { LRUCache } from 'lru-cache';
import { DataTypes, type Model, type ModelAttributeColumnOptions } from 'sequelize';
import type { z } from 'zod';
import { faultsOf } from '../../api/errors.ts';

/** What is stored can't be read by this version. The row stays as it is; nothing is guessed. */
export class UnreadableColumn extends Error {
  readonly table: string;
  readonly column: string;

  constructor(table: string, column: string, faults: string) {
    super(`${table}.${column} can't be read: ${faults}`);
    this.table = table;
    this.column = column;
  }
}

/** Documents are read through their schema once, however often a row is asked for them. */
const alreadyRead = new WeakMap<object, unknown>();

/** Documents of rows that say by a key when they are another: read once for all requests. */
const readBefore = new LRUCache<string, object>({ max: 5_000 });

/**
 * A JSON column at the edge of the database: whatever comes out of it has been read through its
 * schema, so that defaults added since are filled in and what can't be read is said so. `keyOf` tells
 * when it is the same document as before, if the row can tell.
 */
export function documentColumn(
  column: string,
  schema: z.ZodType,
  keyOf: (row: Model) => string | undefined = () => undefined,
): ModelAttributeColumnOptions {
  return {
    type: DataTypes.JSON,
    get(this: Model) {
      const stored: unknown = this.getDataValue(column);
      if (stored === undefined || stored === null || typeof stored !== 'object') return stored;
      const key = keyOf(this);
      const known = key === undefined ? undefined : readBefore.get(`${column} ${key}`);
      if (known) return known;
      if (!alreadyRead.has(stored)) {
        const read = schema.safeParse(stored);
        if (!read.success) {
          const faults = faultsOf(read.error, 3).map(
            ({ path, message }) => `${path.join('.')}: ${message}`,
          );
          throw new UnreadableColumn(this.constructor.name, column, faults.join('; '));
        }
        alreadyRead.set(stored, read.data);
        if (key !== undefined) readBefore.set(`${column} ${key}`, read.data as object);
      }
      return alreadyRead.get(stored);
    },
  };
}

export const id = { type: DataTypes.UUID, primaryKey: true };
export const ofStudio = { type: DataTypes.UUID, allowNull: false };
export const moment = DataTypes.DATE(3);
/** A fresh one each time: what defines a column is written into by the mapper. */
export const counter = () => ({ type: DataTypes.INTEGER, defaultValue: 1 });
