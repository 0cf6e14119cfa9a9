import { Sequelize } from 'sequelize';

/** A statement that takes longer is ended by the database. */
const STATEMENT_S = 10;
/** Somebody else's lock is waited for so long. */
const LOCK_WAIT_S = 5;
const CONNECTIONS = 10;
const ACQUIRE_MS = 5_000;

/**
 * A pool of connections; every time is kept in UTC with milliseconds. Changing the tables of a large studio
 * may take as long as it does: `statementS` of 0 sets no end.
 */
export function connect(url: string, statementS = STATEMENT_S): Sequelize {
  return new Sequelize(url.replace(/^mysql:/, 'mariadb:'), {
    dialect: 'mariadb',
    logging: false,
    timezone: '+00:00',
    pool: { max: CONNECTIONS, acquire: ACQUIRE_MS },
    define: { charset: 'utf8mb4' },
    dialectOptions: {
      connectTimeout: ACQUIRE_MS,
      sessionVariables: {
        max_statement_time: statementS,
        innodb_lock_wait_timeout: LOCK_WAIT_S,
      },
    },
  });
}
