import type { Model, ModelStatic } from 'sequelize';
import { Op } from 'sequelize';
import { z } from 'zod';
import { closedRouter } from '../auth/closed-router.ts';
import { ClassRow, ExerciseVersion, PersonRow } from '../db/models.ts';
import { noteAccess } from '../keeping/trail.ts';
import { KEPT_DAYS } from '../keeping/clean-up.ts';
import { ApiError } from './errors.ts';

const KINDS = ['class', 'person', 'exercise'] as const;
type Kind = (typeof KINDS)[number];

const MODELS = {
  class: ClassRow,
  person: PersonRow,
  exercise: ExerciseVersion,
} as const satisfies Record<Kind, ModelStatic<Model>>;

const DAY_MS = 86_400_000;
const SHOWN = 500;

interface Wasted {
  kind: Kind;
  id: string;
  name: string;
  deletedAt: Date;
}

/** What was taken out in the last weeks: back with one press, gone for good only by an owner. */
export function wastebasketRouter() {
  const { router, on } = closedRouter();

  on('GET /wastebasket', async (_request, { studioId }) => {
    const all = (
      await Promise.all([classes(studioId), people(studioId), exercises(studioId)])
    ).flat();
    all.sort((a, b) => b.deletedAt.getTime() - a.deletedAt.getTime());
    return {
      wasted: all.slice(0, SHOWN).map(({ deletedAt, ...each }) => ({
        ...each,
        deletedAt: deletedAt.toISOString(),
        goneAt: new Date(deletedAt.getTime() + KEPT_DAYS * DAY_MS).toISOString(),
      })),
    };
  });

  on('POST /wastebasket/:kind/:id', async (request, member) => {
    const { kind, model, where } = named(request.params, member.studioId);
    const held = await model.count({ where: { ...where, ...GONE }, paranoid: false });
    if (held === 0) throw new ApiError('not-found');
    await model.restore({ where });
    if (kind === 'person') await noteAccess(member, 'restored', 'person', where.id ?? null);
  });

  on('DELETE /wastebasket/:kind/:id', async (request, { studioId }) => {
    const { model, where } = named(request.params, studioId);
    const gone = await model.destroy({ where: { ...where, ...GONE }, force: true });
    if (gone === 0) throw new ApiError('not-found');
  });

  on('DELETE /wastebasket', async (_request, { studioId }) => {
    for (const model of Object.values(MODELS) as ModelStatic<Model>[]) {
      await model.destroy({ where: { studioId, ...GONE }, force: true });
    }
  });

  return router;
}

const GONE = { deletedAt: { [Op.not]: null } };

function named(params: Record<string, string | string[] | undefined>, studioId: string) {
  const kind = z.enum(KINDS).safeParse(params.kind);
  const id = z.string().max(64).safeParse(params.id);
  if (!kind.success || !id.success) throw new ApiError('not-found');
  const model = MODELS[kind.data] as ModelStatic<Model>;
  const where: { studioId: string; id?: string; slug?: string } =
    kind.data === 'exercise' ? { studioId, slug: id.data } : { studioId, id: id.data };
  return { kind: kind.data, model, where };
}

async function classes(studioId: string): Promise<Wasted[]> {
  const rows = await ClassRow.findAll({
    where: { studioId, ...GONE },
    attributes: ['id', 'title', 'deletedAt'],
    paranoid: false,
  });
  return rows.map(({ id, title, deletedAt }) => ({
    kind: 'class',
    id,
    name: title,
    deletedAt: deletedAt ?? new Date(),
  }));
}

async function people(studioId: string): Promise<Wasted[]> {
  const rows = await PersonRow.findAll({
    where: { studioId, ...GONE },
    attributes: ['id', 'name', 'deletedAt'],
    paranoid: false,
  });
  return rows.map(({ id, name, deletedAt }) => ({
    kind: 'person',
    id,
    name,
    deletedAt: deletedAt ?? new Date(),
  }));
}

/** One entry an exercise: its versions went together and come back together. */
async function exercises(studioId: string): Promise<Wasted[]> {
  const rows = await ExerciseVersion.findAll({
    where: { studioId, ...GONE },
    attributes: ['slug', 'exercise', 'deletedAt'],
    order: ['version'],
    paranoid: false,
  });
  const bySlug = new Map(
    rows.map(({ slug, exercise, deletedAt }): [string, Wasted] => [
      slug,
      { kind: 'exercise', id: slug, name: exercise.name, deletedAt: deletedAt ?? new Date() },
    ]),
  );
  return [...bySlug.values()];
}
