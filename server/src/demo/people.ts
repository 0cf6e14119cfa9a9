import { addWeeks, format, subWeeks } from 'date-fns';
import type { CautionEntry, Person } from '@wrenfern/core/people/person';

type DemoPerson = Omit<Partial<Person>, 'cautions'> & {
  name: string;
  cautions?: (Partial<CautionEntry> & {
    caution: CautionEntry['caution'];
    /** Weeks from the day on which the demo is opened. */
    dueInWeeks?: number;
    weeksAgo?: number;
  })[];
};

/** Everyone here is invented. */
const PEOPLE: DemoPerson[] = [
  { name: 'Asha Delun', level: 2, note: 'Bell-ringer on Wednesdays; right arm pulls.' },
  {
    name: 'Bram Ostrey',
    level: 3,
    note: 'Drives the harbour tram.',
    cautions: [
      {
        caution: 'rounding-out',
        note: 'Lower back, since the spring.',
        clearedBy: 'physiotherapist',
      },
    ],
  },
  {
    name: 'Ines Calvary',
    level: 2,
    springs: 'lighter',
    statureCm: 154,
    note: 'Retired surveyor. Walks a lot.',
    cautions: [{ caution: 'osteoporosis' }],
  },
  { name: 'Jonas Hallbeck', level: 4, note: 'Orchard picker; strong, impatient hips.' },
  {
    name: 'Mirela Suvat',
    level: 2,
    note: 'Cellist.',
    cautions: [{ caution: 'shoulder', side: 'left', note: 'Since the last tour.' }],
  },
  {
    name: 'Noor Tamsin',
    level: 2,
    note: 'Twenty-four weeks.',
    cautions: [{ caution: 'pregnancy', dueInWeeks: 16, clearedBy: 'midwife' }],
  },
  { name: 'Pia Loring', level: 1, note: 'Came back after two years away.', holds: { breath: 1 } },
  { name: 'Sorrel Whin', level: 3, note: 'Bell-ringer.' },
  { name: 'Teodor Palk', level: 3, note: 'Tram driver, early shift.' },
  {
    name: 'Tove Emmerin',
    level: 2,
    note: 'Orchard picker.',
    cautions: [{ caution: 'knee', note: 'Both, after ladders.' }],
  },
  { name: 'Ugo Barrane', level: 1, note: 'New here this month.', holds: {} },
  {
    name: 'Wim Dask',
    level: 4,
    springs: 'heavier',
    statureCm: 188,
    note: 'Has been coming since the ovens went cold.',
  },
  {
    name: 'Yusra Kelim',
    level: 2,
    note: 'New parent.',
    cautions: [{ caution: 'after-birth', weeksAgo: 14, gate: 2, clearedBy: 'doctor' }],
  },
  {
    name: 'Kaito Merrow',
    level: 2,
    note: 'Tiles kitchens by day.',
    cautions: [{ caution: 'wrist' }],
  },
];

/** What whoever has come for a while brings along. */
const REGULAR: Person['holds'] = { breath: 2, settle: 1, support: 1, shoulders: 1 };

/** How many there are. */
export const DEMO_PEOPLE_COUNT = PEOPLE.length;

/** Everyone of the demo, with dates as they stand on the day on which it is opened. */
export function demoPeople(today: Date): Omit<Person, 'id'>[] {
  const day = (date: Date) => format(date, 'yyyy-MM-dd');
  return PEOPLE.map((person) => ({
    name: person.name,
    level: person.level ?? 2,
    ...(person.springs ? { springs: person.springs } : {}),
    ...(person.statureCm ? { statureCm: person.statureCm } : {}),
    usualOptions: person.usualOptions ?? {},
    holds: person.holds ?? REGULAR,
    note: person.note ?? '',
    cautions: (person.cautions ?? []).map(
      ({ note = '', clearedBy = '', dueInWeeks, weeksAgo, ...entry }) => ({
        ...entry,
        note,
        clearedBy,
        ...(dueInWeeks === undefined ? {} : { due: day(addWeeks(today, dueInWeeks)) }),
        ...(weeksAgo === undefined ? {} : { since: day(subWeeks(today, weeksAgo)) }),
      }),
    ),
  }));
}
