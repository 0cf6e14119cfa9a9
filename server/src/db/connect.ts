import { Sequelize } from 'sequelize';

/** A pool of connections; every time is kept in UTC with milliseconds. */
export function connect(url: string): Sequelize {
  return new Sequelize(url.replace(/^mysql:/, 'mariadb:'), {
    dialect: 'mariadb',
    logging: false,
    timezone: '+00:00',
    pool: { max: 10, acquire: 10_000 },
    define: { charset: 'utf8mb4' },
  });
}
