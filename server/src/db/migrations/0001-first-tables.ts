import { DataTypes, type QueryInterface } from 'sequelize';
import { addIndex, belongsTo, json, text, times, uuid } from './steps.ts';

export const name = '0001-first-tables';

export async function up(tables: QueryInterface): Promise<void> {
  await tables.createTable('studios', {
    id: { ...uuid, primaryKey: true },
    slug: { ...text(64), unique: true },
    name: text(120),
    isDemo: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
    timeZone: text(64),
    cupboard: json,
    pace: json,
    ...times,
  });
  await tables.createTable('users', {
    id: { ...uuid, primaryKey: true },
    studioId: belongsTo('studios'),
    email: { ...text(190), unique: true },
    name: text(120),
    passwordHash: text(255),
    role: text(16),
    ...times,
  });
  await tables.createTable('sessions', {
    sid: { type: DataTypes.STRING(64), primaryKey: true },
    expires: { type: DataTypes.DATE, allowNull: true },
    data: { type: DataTypes.TEXT, allowNull: true },
    ...times,
  });
  await tables.createTable('people', {
    id: { ...uuid, primaryKey: true },
    studioId: belongsTo('studios'),
    name: text(80),
    record: json,
    ...times,
  });
  await tables.createTable('classes', {
    id: { ...uuid, primaryKey: true },
    studioId: belongsTo('studios'),
    title: text(120),
    startsAt: { type: DataTypes.DATE(3), allowNull: false },
    plan: json,
    revision: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
    ...times,
  });
  await addIndex(tables, 'classes', ['studioId', 'startsAt']);
  await tables.createTable('bookings', {
    id: { ...uuid, primaryKey: true },
    studioId: belongsTo('studios'),
    classId: belongsTo('classes'),
    personId: belongsTo('people'),
    today: json,
    todayNote: text(500),
    choices: json,
    ...times,
  });
  await addIndex(tables, 'bookings', ['classId', 'personId'], { unique: true });
  await tables.createTable('class_events', {
    seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    eventId: text(64),
    studioId: belongsTo('studios'),
    classId: belongsTo('classes'),
    event: json,
    createdAt: times.createdAt,
  });
  await addIndex(tables, 'class_events', ['classId', 'eventId'], { unique: true });
  await tables.createTable('class_notes', {
    classId: { ...belongsTo('classes'), primaryKey: true },
    studioId: belongsTo('studios'),
    effort: { type: DataTypes.TINYINT, allowNull: true },
    note: { type: DataTypes.TEXT, allowNull: false },
    ...times,
  });
}

export async function down(tables: QueryInterface): Promise<void> {
  for (const table of [
    'class_notes',
    'class_events',
    'bookings',
    'classes',
    'people',
    'sessions',
    'users',
    'studios',
  ]) {
    await tables.dropTable(table);
  }
}
