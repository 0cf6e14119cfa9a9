import { randomUUID } from 'node:crypto';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';

interface OldEvent {
  id: string;
  type: string;
  atMs: number;
  itemId?: string;
  order?: number;
}

interface EventRow {
  seq: number;
  event: OldEvent;
}

interface OldPlan {
  segments: { items: { id: string }[] }[];
}

/**
 * Old events said "next" and "back", which mean another item once the plan is edited. Each becomes
 * `goTo` the item it meant by the plan as it stands, the best that is known, and gets its place in the
 * order of presses. The plan is kept as the one that was taught. One class is one transaction, so a
 * process killed half-way goes on where it stopped.
 */
export async function nameItems(database: Sequelize): Promise<void> {
  const classes = await database.query<{ id: string }>(
    `SELECT DISTINCT classId AS id FROM class_events
      WHERE JSON_EXTRACT(event, '$.order') IS NULL`,
    { type: QueryTypes.SELECT },
  );
  for (const { id } of classes) {
    await database.transaction((transaction) => nameItemsOf(database, id, transaction));
  }
}

async function nameItemsOf(database: Sequelize, classId: string, transaction: Transaction) {
  const [lesson] = await database.query<{ plan: OldPlan; revision: number; studioId: string }>(
    'SELECT plan, revision, studioId FROM classes WHERE id = ?',
    { replacements: [classId], type: QueryTypes.SELECT, transaction },
  );
  if (!lesson) return;
  const rows = await database.query<EventRow>(
    'SELECT seq, event FROM class_events WHERE classId = ? ORDER BY seq',
    { replacements: [classId], type: QueryTypes.SELECT, transaction },
  );
  const itemIds = (parsed(lesson.plan) as OldPlan).segments.flatMap(({ items }) =>
    items.map((item) => item.id),
  );
  const old = rows.map(({ seq, event }) => ({ seq, event: parsed(event) as OldEvent }));
  for (const { seq, event } of named(old, itemIds)) {
    await database.query('UPDATE class_events SET event = ? WHERE seq = ?', {
      replacements: [JSON.stringify(event), seq],
      transaction,
    });
  }
  await database.query('UPDATE classes SET taughtRevision = revision WHERE id = ?', {
    replacements: [classId],
    transaction,
  });
  await database.query(
    `INSERT IGNORE INTO plan_revisions (id, studioId, classId, revision, plan, savedBy, createdAt)
      SELECT ?, studioId, id, revision, plan, '', updatedAt FROM classes WHERE id = ?`,
    { replacements: [randomUUID(), classId], transaction },
  );
}

/** JSON columns come parsed or as text, as the column was made. */
function parsed(value: unknown): unknown {
  return typeof value === 'string' ? JSON.parse(value) : value;
}

function named(rows: EventRow[], itemIds: string[]): EventRow[] {
  let [at, hasStarted, hasEnded] = [0, false, false];
  return [...rows]
    .sort((a, b) => a.event.atMs - b.event.atMs || a.seq - b.seq)
    .map(({ seq, event }, index) => {
      const placed = { ...event, order: index + 1 };
      const isMove = event.type === 'next' || event.type === 'back';
      if (isMove && hasStarted && !hasEnded) {
        const next = event.type === 'next' ? at + 1 : at - 1;
        at = Math.max(0, Math.min(itemIds.length - 1, next));
      }
      hasStarted ||= event.type === 'start';
      hasEnded ||= hasStarted && event.type === 'end';
      return {
        seq,
        event: isMove ? { ...placed, type: 'goTo', itemId: itemIds[at] ?? '-' } : placed,
      };
    });
}
