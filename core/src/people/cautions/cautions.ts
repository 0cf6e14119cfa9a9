import { BACK } from './back.ts';
import { BELLY } from './belly.ts';
import type { Caution } from './caution.ts';
import { HIP_LEG } from './hip-leg.ts';
import { UPPER } from './upper.ts';
import { TODAY, WHOLE } from './whole.ts';

/**
 * What usually changes for a body with these cautions and states. This is no diagnosis and no clearance: a clinician,
 * local rules and licensed practice come first. Numbers are common practice, where teachers differ the stricter.
 */
export const CAUTIONS = [...BACK, ...BELLY, ...HIP_LEG, ...UPPER, ...WHOLE, ...TODAY] as const;

export type CautionId = (typeof CAUTIONS)[number]['id'];

export const CAUTION_IDS = CAUTIONS.map((caution) => caution.id) as [CautionId, ...CautionId[]];

const BY_ID = new Map<string, Caution>(CAUTIONS.map((caution) => [caution.id, caution]));

export function cautionOf(id: CautionId): Caution {
  const caution = BY_ID.get(id);
  if (!caution) throw new Error(`no caution "${id}"`);
  return caution;
}
