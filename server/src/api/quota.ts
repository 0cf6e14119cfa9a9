import { LRUCache } from 'lru-cache';
import { QueryTypes, type Model, type ModelStatic } from 'sequelize';
import type { Member } from '../auth/session.ts';
import { ClassRow, databaseOfModels, ExerciseVersion, PersonRow } from '../db/models.ts';
import { ApiError } from './errors.ts';

const MB = 1_000_000;

/** More than any studio has; a demo is for looking round. */
const MOST = {
  people: { studio: 5_000, demo: 60, words: 'people', model: PersonRow },
  classes: { studio: 20_000, demo: 120, words: 'classes', model: ClassRow },
  exercises: {
    studio: 5_000,
    demo: 60,
    words: 'saved versions of own exercises',
    model: ExerciseVersion,
  },
} as const satisfies Record<
  string,
  { studio: number; demo: number; words: string; model: ModelStatic<Model> }
>;
type Counted = keyof typeof MOST;

/** Of plans and own exercises, with their history. */
const MOST_MB = { studio: 2_000, demo: 40 } as const;

/** Said from here on, before anything is refused. */
const NEARLY = 0.8;

export interface Room {
  words: string;
  held: number;
  most: number;
}

/** Refuses more of these when the studio holds as many as it may; what is in the wastebasket counts. */
export async function needRoom(member: Member, kind: Counted, more = 1): Promise<void> {
  const { words, held, most } = await roomFor(member, kind);
  if (held + more <= most) return;
  throw new ApiError('over-quota', [
    { path: [], message: `${most} ${words} are the most; empty the wastebasket or take some out.` },
  ]);
}

/** Refuses another document when the studio's take up as much as they may. */
export async function needBytes(member: Member): Promise<void> {
  const { held, most } = await roomForBytes(member);
  if (held < most) return;
  throw new ApiError('over-quota', [
    { path: [], message: `Plans and exercises take up ${most} MB, which is the most.` },
  ]);
}

/** What a studio has nearly filled. */
export async function nearlyFull(member: Member): Promise<Room[]> {
  const kinds = Object.keys(MOST) as Counted[];
  const all = await Promise.all([
    ...kinds.map((kind) => roomFor(member, kind)),
    roomForBytes(member),
  ]);
  return all.filter(({ held, most }) => held >= most * NEARLY);
}

async function roomFor({ studioId, isDemo }: Member, kind: Counted): Promise<Room> {
  const { model, words, ...most } = MOST[kind];
  const held = await (model as ModelStatic<Model>).count({ where: { studioId }, paranoid: false });
  return { words, held, most: isDemo ? most.demo : most.studio };
}

/** Adding up takes a moment in a large studio, and nobody fills megabytes in minutes. */
const bytesLately = new LRUCache<string, number>({ max: 5_000, ttl: 5 * 60_000 });

async function roomForBytes({ studioId, isDemo }: Member): Promise<Room> {
  let held = bytesLately.get(studioId);
  if (held === undefined) {
    const [row] = await databaseOfModels().query<{ bytes: number | string }>(
      `SELECT
          (SELECT COALESCE(SUM(LENGTH(plan)), 0) FROM plan_revisions WHERE studioId = :studioId) +
          (SELECT COALESCE(SUM(LENGTH(exercise)), 0) FROM exercise_versions WHERE studioId = :studioId)
          AS bytes`,
      { replacements: { studioId }, type: QueryTypes.SELECT },
    );
    held = Math.round(Number(row?.bytes) / MB);
    bytesLately.set(studioId, held);
  }
  const most = isDemo ? MOST_MB.demo : MOST_MB.studio;
  return { words: 'MB of plans and exercises', held, most };
}
