import type { Acknowledged } from './work.ts';

interface Kept {
  /** Rows "class TAB revision TAB title". */
  saves: string;
  /** Rows "class TAB event id". */
  events: string;
  /** Rows "class TAB event id" that stand there twice. */
  doubled: string;
}

/** How everything that was acknowledged is asked for, in the database itself. */
export const CHECK_SQL = {
  saves: `SELECT classId, revision, JSON_VALUE(plan, '$.title') FROM plan_revisions`,
  events: 'SELECT classId, eventId FROM class_events',
  doubled:
    'SELECT classId, eventId FROM class_events GROUP BY classId, eventId HAVING COUNT(*) > 1',
} as const satisfies Record<keyof Kept, string>;

const rowsOf = (text: string) => text.split('\n').filter(Boolean);

/** What was acknowledged and is not there, or is there as something else. */
export function findLost(acked: Acknowledged, kept: Kept): string[] {
  const titles = new Map(
    rowsOf(kept.saves).map((row): [string, string] => {
      const [classId = '', revision = '', ...title] = row.split('\t');
      return [`${classId} ${revision}`, title.join('\t')];
    }),
  );
  const events = new Set(rowsOf(kept.events).map((row) => row.replace('\t', ' ')));
  return [
    ...[...acked.saves].flatMap(([key, title]) =>
      titles.get(key) === title ? [] : [`save ${key}: "${title}", is "${titles.get(key) ?? ''}"`],
    ),
    ...[...acked.events].flatMap((key) => (events.has(key) ? [] : [`event ${key}`])),
    ...rowsOf(kept.doubled).map((row) => `event twice: ${row}`),
  ];
}
