import { FOUNDATIONS, type Foundation } from '@wrenfern/core/movement/vocabulary';
import type { CautionId } from '@wrenfern/core/people/cautions/cautions';
import type { CautionEntry, Person } from '@wrenfern/core/people/person';
import type { PersonBody } from '@wrenfern/contract/people';
import type { z } from 'zod';

interface CautionLine {
  caution: CautionId;
  since: string;
  until: string;
  clearedBy: string;
  note: string;
}

/** A record as the fields of its form hold it: what is not known is an empty text. */
export interface RecordValues {
  name: string;
  consentOn: string;
  level: number;
  springs: '' | 'lighter' | 'heavier';
  note: string;
  cautions: CautionLine[];
  holds: Record<Foundation, number>;
}

export function valuesOf(person: Person | undefined): RecordValues {
  return {
    name: person?.name ?? '',
    consentOn: person?.consentOn ?? '',
    level: person?.level ?? 2,
    springs: person?.springs ?? '',
    note: person?.note ?? '',
    cautions: (person?.cautions ?? []).map(({ since = '', until = '', ...rest }) => ({
      ...rest,
      since,
      until,
    })),
    holds: Object.fromEntries(
      FOUNDATIONS.map((foundation) => [foundation, person?.holds[foundation] ?? 0]),
    ) as Record<Foundation, number>,
  };
}

/** What is sent: empty texts left out. A sheet that is kept elsewhere stays: `usualOptions`. */
export function recordOf(
  values: RecordValues,
  usualOptions: Person['usualOptions'],
): z.input<typeof PersonBody> {
  const cautions = values.cautions.map(({ since, until, ...rest }): CautionEntry => ({
    ...rest,
    ...(since ? { since } : {}),
    ...(until ? { until } : {}),
  }));
  const held = FOUNDATIONS.filter((foundation) => values.holds[foundation] > 0);
  return {
    name: values.name,
    ...(values.consentOn ? { consentOn: values.consentOn } : {}),
    level: values.level,
    ...(values.springs ? { springs: values.springs } : {}),
    note: values.note,
    usualOptions,
    cautions,
    holds: Object.fromEntries(held.map((foundation) => [foundation, values.holds[foundation]])),
  };
}
