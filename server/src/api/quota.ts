import type { Model, ModelStatic } from 'sequelize';
import type { Member } from '../auth/session.ts';
import { ClassRow, ExerciseVersion, PersonRow } from '../db/models.ts';
import { ApiError } from './errors.ts';

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

/** Refuses one more of these when the studio holds as many as it may; what is in the wastebasket counts. */
export async function needRoom(member: Member, kind: keyof typeof MOST): Promise<void> {
  const { model, words, ...most } = MOST[kind];
  const limit = member.isDemo ? most.demo : most.studio;
  const where = { studioId: member.studioId };
  const held = await (model as ModelStatic<Model>).count({ where, paranoid: false });
  if (held < limit) return;
  throw new ApiError('over-quota', [
    {
      path: [],
      message: `${limit} ${words} are the most; empty the wastebasket or take some out.`,
    },
  ]);
}
