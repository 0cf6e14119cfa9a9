import { randomBytes, randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import { ApiError } from '../api/errors.ts';
import type { Role } from '@wrenfern/contract/account';
import { Link, type LinkKind } from '../db/models.ts';
import { hashOf } from './known-device.ts';
import { createTypedCode, tidyTypedCode } from './typed-code.ts';

const DAY_MS = 86_400_000;
const LASTS_MS = {
  'set-up': 7 * DAY_MS,
  studio: 7 * DAY_MS,
  invite: 7 * DAY_MS,
  reset: DAY_MS,
} as const satisfies Record<LinkKind, number>;

const CODE_LETTERS = 16;

interface NewLink {
  kind: LinkKind;
  studioId?: string;
  userId?: string;
  role?: Role;
  until?: string | null;
  name?: string;
  email?: string;
}

/** A token that opens something once; it is told here and never again. */
export async function createLink(link: NewLink): Promise<{ id: string; token: string }> {
  const isTyped = link.kind === 'set-up' || link.kind === 'studio';
  const token = isTyped ? createTypedCode(CODE_LETTERS) : randomBytes(32).toString('base64url');
  const id = randomUUID();
  const expires = new Date(Date.now() + LASTS_MS[link.kind]);
  await Link.create({ ...link, id, tokenHash: hashOf(token), expires });
  return { id, token };
}

/** The link that a token stands for, while it is good. */
export async function findLink(token: string): Promise<Link> {
  const link = await Link.findOne({
    where: { tokenHash: hashOf(tidy(token)), usedAt: null, expires: { [Op.gt]: new Date() } },
  });
  if (!link) throw new ApiError('link-spent');
  return link;
}

/** Of many who use a link at once one gets through. */
export async function spendLink(link: Link, transaction: Transaction): Promise<void> {
  const [spent] = await Link.update(
    { usedAt: new Date() },
    { where: { id: link.id, usedAt: null }, transaction },
  );
  if (spent === 0) throw new ApiError('link-spent');
}

/** A code typed from a screen may come in small letters and without its hyphens. */
function tidy(token: string): string {
  const typed = tidyTypedCode(token);
  return typed.replaceAll('-', '').length === CODE_LETTERS ? typed : token;
}
