import { FOUNDATIONS, type Foundation } from '@wrenfern/core/movement/vocabulary';
import type { CautionId } from '@wrenfern/core/people/cautions/cautions';
import type { RatherNot } from '@wrenfern/core/people/rather-not';
import type { CautionEntry, Person } from '@wrenfern/core/people/person';
import type { PersonBody } from '@wrenfern/contract/people';
import type { UseFormReturn } from 'react-hook-form';
import type { z } from 'zod';

type Release = NonNullable<CautionEntry['releases']>[number];

interface ReleaseLine {
  ask: Release['ask'];
  by: string;
  on: string;
  until: string;
  upTo?: number;
}

/** A caution as the fields of its card hold it; `weeks` is only kept. */
interface CautionLine {
  caution: CautionId;
  side: '' | 'right' | 'left';
  since: string;
  until: string;
  due: string;
  way: string;
  gate: string;
  clearedBy: string;
  note: string;
  releases: ReleaseLine[];
  kept: Pick<CautionEntry, 'weeks' | 'weeksOn'>;
}

/** A record as the fields of its form hold it: what is not known is an empty text. */
export interface RecordValues {
  name: string;
  consentOn: string;
  level: number;
  springs: '' | 'lighter' | 'heavier';
  /** Centimetres. */
  statureCm: string;
  saidAs: string;
  emergency: { name: string; phone: string };
  ratherNot: RatherNot[];
  note: string;
  cautions: CautionLine[];
  holds: Record<Foundation, number>;
  /** The option of the last time, by exercise. */
  usualOptions: Person['usualOptions'];
}

export type RecordFormState = UseFormReturn<RecordValues, unknown, PersonBody>;

/** A caution of which nothing more is known. */
export function bareLine(caution: CautionId): CautionLine {
  return lineOf({ caution, clearedBy: '', note: '' });
}

function lineOf({
  caution,
  side,
  since = '',
  until = '',
  due = '',
  way = '',
  gate = 0,
  releases = [],
  clearedBy,
  note,
  weeks,
  weeksOn,
}: CautionEntry): CautionLine {
  return {
    caution,
    side: side ?? '',
    since,
    until,
    due,
    way,
    gate: String(gate),
    clearedBy,
    note,
    releases: releases.map(({ until: end = '', ...release }) => ({ ...release, until: end })),
    kept: {
      ...(weeks === undefined ? {} : { weeks }),
      ...(weeksOn === undefined ? {} : { weeksOn }),
    },
  };
}

function entryOf({ gate, releases, kept, ...line }: CautionLine): CautionEntry {
  const { caution, clearedBy, note, side, ...texts } = line;
  const written = Object.entries(texts).filter(([, text]) => text !== '');
  return {
    caution,
    clearedBy,
    note,
    ...kept,
    ...(side === '' ? {} : { side }),
    ...Object.fromEntries(written),
    ...(gate === '0' ? {} : { gate: Number(gate) }),
    ...(releases.length === 0
      ? {}
      : {
          releases: releases.map(({ until, ...release }) => ({
            ...release,
            ...(until === '' ? {} : { until }),
          })),
        }),
  };
}

export function valuesOf(person: Person | undefined): RecordValues {
  return {
    name: person?.name ?? '',
    consentOn: person?.consentOn ?? '',
    level: person?.level ?? 2,
    springs: person?.springs ?? '',
    statureCm: String(person?.statureCm ?? ''),
    saidAs: person?.saidAs ?? '',
    emergency: person?.emergency ?? { name: '', phone: '' },
    ratherNot: person?.ratherNot ?? [],
    note: person?.note ?? '',
    cautions: (person?.cautions ?? []).map(lineOf),
    holds: Object.fromEntries(
      FOUNDATIONS.map((foundation) => [foundation, person?.holds[foundation] ?? 0]),
    ) as Record<Foundation, number>,
    usualOptions: person?.usualOptions ?? {},
  };
}

/** What is sent: empty texts left out. */
export function recordOf(values: RecordValues): z.input<typeof PersonBody> {
  const held = FOUNDATIONS.filter((foundation) => values.holds[foundation] > 0);
  return {
    name: values.name,
    ...(values.consentOn ? { consentOn: values.consentOn } : {}),
    level: values.level,
    ...(values.springs ? { springs: values.springs } : {}),
    ...(values.statureCm.trim() ? { statureCm: Number(values.statureCm) } : {}),
    ...(values.saidAs.trim() ? { saidAs: values.saidAs } : {}),
    ...(values.emergency.name.trim() || values.emergency.phone.trim()
      ? { emergency: values.emergency }
      : {}),
    ...(values.ratherNot.length > 0 ? { ratherNot: values.ratherNot } : {}),
    note: values.note,
    usualOptions: values.usualOptions,
    cautions: values.cautions.map(entryOf),
    holds: Object.fromEntries(held.map((foundation) => [foundation, values.holds[foundation]])),
  };
}
