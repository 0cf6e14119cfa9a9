import { randomUUID } from 'node:crypto';
import {
  Op,
  type CreationAttributes,
  type FindOptions,
  type Model,
  type ModelStatic,
  type Transaction,
  type WhereOptions,
} from 'sequelize';
import { ApiError } from '../api/errors.ts';

/** A row that belongs to one studio. */
type OfStudio = Model & { studioId: string };

/**
 * The only way to a studio's rows: whatever is asked, the studio is part of the question.
 * `one` of another studio's id is answered as if it did not exist.
 */
export function rowsOf<M extends OfStudio>(model: ModelStatic<M>, studioId: string) {
  const inStudio = (where: WhereOptions = {}): WhereOptions => ({
    [Op.and]: [where, { studioId }],
  });
  return {
    all: (options: FindOptions = {}): Promise<M[]> =>
      model.findAll({ ...options, where: inStudio(options.where) }),
    async one(where: WhereOptions, transaction?: Transaction): Promise<M> {
      const row = await model.findOne({
        where: inStudio(where),
        ...(transaction ? { transaction } : {}),
      });
      if (!row) throw new ApiError('not-found');
      return row;
    },
    find: (where: WhereOptions, transaction?: Transaction): Promise<M | null> =>
      model.findOne({ where: inStudio(where), ...(transaction ? { transaction } : {}) }),
    /** The row, which nobody else changes until the transaction ends. */
    async locked(where: WhereOptions, transaction: Transaction): Promise<M> {
      const row = await model.findOne({
        where: inStudio(where),
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (!row) throw new ApiError('not-found');
      return row;
    },
    count: (where: WhereOptions = {}, transaction?: Transaction): Promise<number> =>
      model.count({ where: inStudio(where), ...(transaction ? { transaction } : {}) }),
    create: (
      values: Omit<CreationAttributes<M>, 'studioId' | 'id'>,
      transaction?: Transaction,
    ): Promise<M> =>
      model.create(
        { id: randomUUID(), ...values, studioId } as unknown as CreationAttributes<M>,
        transaction ? { transaction } : {},
      ),
    createAll: async (
      values: readonly Omit<CreationAttributes<M>, 'studioId' | 'id'>[],
      transaction?: Transaction,
    ): Promise<void> => {
      const rows = values.map((each) => ({ id: randomUUID(), ...each, studioId }));
      await model.bulkCreate(
        rows as unknown as CreationAttributes<M>[],
        transaction ? { transaction } : {},
      );
    },
    remove: (where: WhereOptions, transaction?: Transaction): Promise<number> =>
      model.destroy({ where: inStudio(where), ...(transaction ? { transaction } : {}) }),
    update: async (
      values: object,
      where: WhereOptions,
      transaction?: Transaction,
    ): Promise<number> => {
      const [changed] = await model.update(values, {
        where: inStudio(where),
        ...(transaction ? { transaction } : {}),
      });
      return changed;
    },
    /**
     * Changes one row if it still is at this revision; false when somebody else was first. `column`
     * names the count, where a row has several.
     */
    async revise(
      where: WhereOptions,
      revision: number,
      values: object,
      { column = 'revision', transaction }: { column?: string; transaction?: Transaction } = {},
    ): Promise<boolean> {
      const counted: object = { ...values, [column]: revision + 1 };
      const [changed] = await model.update(counted, {
        where: inStudio({ [Op.and]: [where, { [column]: revision }] }),
        ...(transaction ? { transaction } : {}),
      });
      return changed === 1;
    },
  };
}
