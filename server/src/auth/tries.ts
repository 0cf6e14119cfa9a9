import { RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible';
import { Op, QueryTypes, type Sequelize } from 'sequelize';
import { ApiError } from '../api/errors.ts';
import { databaseOfModels, Tries } from '../db/models.ts';

interface Counted {
  points: number;
  expire: number | null;
}

/**
 * Counts in the database, so that several processes share it and a restart keeps it. The package's own
 * statements are written for another driver; these are for MariaDB's, and are the only difference.
 */
class TriesInDatabase extends RateLimiterMySQL {
  private readonly database: Sequelize;

  constructor(keyPrefix: string, points: number, duration: number) {
    const database = databaseOfModels();
    super({
      storeClient: database,
      storeType: 'sequelize',
      tableCreated: true,
      clearExpiredByTimeout: false,
      keyPrefix,
      points,
      duration,
    });
    this.database = database;
  }

  async _upsert(key: string, points: number, forMs: number, anew = false): Promise<Counted[]> {
    const now = Date.now();
    const expire = forMs > 0 ? now + forMs : null;
    // One statement: two processes that count at once both count.
    return this.database.query<Counted>(
      `INSERT INTO tries (\`key\`, points, expire) VALUES (:key, :points, :expire)
        ON DUPLICATE KEY UPDATE
          points = IF(:anew OR expire <= :now, :points, points + :points),
          expire = IF(:anew OR expire <= :now, :expire, expire)
        RETURNING points, expire`,
      { replacements: { key, points, expire, now, anew }, type: QueryTypes.SELECT },
    );
  }

  async _get(key: string): Promise<Counted[] | null> {
    const row = await Tries.findOne({
      where: { key, expire: { [Op.or]: [{ [Op.gt]: Date.now() }, null] } },
    });
    return row ? [row] : null;
  }

  async _delete(key: string): Promise<boolean> {
    return (await Tries.destroy({ where: { key } })) > 0;
  }
}

interface Allowance {
  /** Failures before there is any wait. */
  free: number;
  /** Failures are forgotten after so long. */
  forgetS: number;
}

const FIRST_WAIT_S = 5;
const LONGEST_WAIT_S = 15 * 60;

/** How long the next try waits after so many failures past what is free; doubles each time. */
export function waitAfter(failuresPastFree: number): number {
  if (failuresPastFree <= 0) return 0;
  return Math.min(LONGEST_WAIT_S, FIRST_WAIT_S * 2 ** (failuresPastFree - 1));
}

export interface Throttle {
  /** Counts one try before it is looked at; throws `too-many` while it has to wait. */
  count: (key: string) => Promise<void>;
  /** The try was right: it does not count. */
  forgive: (key: string) => Promise<void>;
  /** The try was right, and proves that the earlier ones were no attack. */
  forget: (key: string) => Promise<void>;
}

/** Tries that may fail a few times freely, then wait longer and longer. */
export function createThrottle(name: string, { free, forgetS }: Allowance): Throttle {
  const failures = new TriesInDatabase(`${name}-tries`, free, forgetS);
  const waits = new TriesInDatabase(`${name}-wait`, 1, LONGEST_WAIT_S);
  return {
    async count(key) {
      const waiting = await waits.get(key);
      if (waiting && waiting.msBeforeNext > 0) throw tooMany(waiting.msBeforeNext);
      const { consumedPoints } = await failures.penalty(key, 1);
      const seconds = waitAfter(consumedPoints - free);
      if (seconds === 0) return;
      // Of many at once only one gets through: the others find the wait taken.
      try {
        await waits.consume(key, 1, { customDuration: seconds });
      } catch (error) {
        if (error instanceof RateLimiterRes) throw tooMany(error.msBeforeNext);
        throw error;
      }
    },
    async forgive(key) {
      await failures.reward(key, 1);
    },
    async forget(key) {
      await failures.delete(key);
      await waits.delete(key);
    },
  };
}

/** So many calls in so long, and no more. */
export function createQuota(name: string, points: number, perS: number) {
  const counted = new TriesInDatabase(name, points, perS);
  return async (key: string): Promise<void> => {
    try {
      await counted.consume(key, 1);
    } catch (error) {
      if (error instanceof RateLimiterRes) throw tooMany(error.msBeforeNext);
      throw error;
    }
  };
}

function tooMany(leftMs: number): ApiError {
  const seconds = Math.max(1, Math.ceil(leftMs / 1000));
  return new ApiError('too-many', [], { retryAfterS: seconds });
}
