import { isSame } from '../../merge/merge-three.ts';
import { FOUNDATIONS, type Foundation } from '../../movement/vocabulary.ts';
import { DEPTH_WORDS, FOUNDATION_WORDS, listWords } from '../../movement/words.ts';
import { cautionOf } from '../../people/cautions/cautions.ts';
import { cautionWords, readCaution } from './caution-cell.ts';
import { type CautionEntry, checkPerson, Person } from '../../people/person.ts';
import { RATHER_NOT, ratherNotOf } from '../../people/rather-not.ts';
import {
  previewTable,
  refused,
  unchanged,
  type CellFault,
  type Cells,
  type Preview,
} from './preview.ts';
import { joinCell, splitCell, writeTable } from './table.ts';

const COLUMNS = [
  'name',
  'said as',
  'level',
  'springs',
  'stature',
  'foundations',
  'cautions',
  'usual options',
  'rather not',
  'call',
  'number',
  'consent',
  'note',
] as const;
type Column = (typeof COLUMNS)[number];

/** Which field of a record a column holds. */
const FIELDS = {
  name: 'name',
  level: 'level',
  'said as': 'saidAs',
  springs: 'springs',
  stature: 'statureCm',
  foundations: 'holds',
  cautions: 'cautions',
  'usual options': 'usualOptions',
  'rather not': 'ratherNot',
  call: 'emergency',
  number: 'emergency',
  consent: 'consentOn',
  note: 'note',
} as const satisfies Record<Column, keyof Person>;

const MOST_ROWS = 300;

type PersonFields = Omit<Person, 'id'>;

/** A person to take from a file: somebody new, or a change of somebody who is here. */
export interface PersonToTake {
  /** Of the record that is changed; null for somebody new. */
  id: string | null;
  person: PersonFields;
}

/** Records, a row for each; nothing of them is left out but their ids. */
export function writePeople(people: readonly Person[]): string {
  return writeTable(
    COLUMNS,
    people.map((person) => [
      person.name,
      person.saidAs ?? '',
      String(person.level),
      person.springs ?? '',
      String(person.statureCm ?? ''),
      joinCell(foundationsOf(person), ';'),
      joinCell(
        person.cautions.map((entry) => joinCell(cautionWords(entry), '|')),
        ';',
      ),
      joinCell(
        Object.entries(person.usualOptions).map(([slug, option]) =>
          typeof option === 'number'
            ? `${slug} ${option}`
            : `${slug} right ${option.right} left ${option.left}`,
        ),
        ';',
      ),
      joinCell(
        (person.ratherNot ?? []).map((id) => ratherNotOf(id).name),
        ';',
      ),
      person.emergency?.name ?? '',
      person.emergency?.phone ?? '',
      person.consentOn ?? '',
      person.note,
    ]),
  );
}

function foundationsOf({ holds }: Person): string[] {
  return FOUNDATIONS.flatMap((foundation) => {
    const depth = holds[foundation];
    return depth === undefined
      ? []
      : [`${FOUNDATION_WORDS[foundation]}: ${DEPTH_WORDS[depth] ?? ''}`];
  });
}

/** Rows to take. Whoever has the name of a record changes it; columns that the file lacks stay as they are. */
export function readPeople(text: string, here: readonly Person[]): Preview<PersonToTake> {
  const seen = new Set<string>();
  return previewTable(text, {
    known: COLUMNS,
    needed: ['name'],
    mostRows: MOST_ROWS,
    readRow: (cells) => {
      const name = (cells.name ?? '').trim().toLowerCase();
      const named = here.filter((person) => person.name.toLowerCase() === name);
      const faults: CellFault[] = [];
      if (name && seen.has(name)) faults.push({ column: 'name', message: 'stands there twice' });
      if (named.length > 1) {
        const message = `${named.length} people here have this name: change them one by one`;
        faults.push({ column: 'name', message });
      }
      seen.add(name);
      const [known] = named;
      const person = personFrom(cells, known, faults);
      if (!person || faults.length > 0) return refused(faults);
      if (!known) return { faults, said: 'new', value: { id: null, person } };
      const other = COLUMNS.filter(
        (column) => !isSame(known[FIELDS[column]], person[FIELDS[column]]),
      );
      if (other.length === 0) return unchanged();
      const said = `other ${other.join(', ')}${goneFrom(known, person)}`;
      return { faults, said, value: { id: known.id, person } };
    },
  });
}

/** Cautions that a file would take away: nobody is to overlook that. */
function goneFrom(known: Person, person: PersonFields): string {
  const kept = new Set(person.cautions.map(({ caution }) => caution));
  const gone = known.cautions.filter(({ caution }) => !kept.has(caution));
  if (gone.length === 0) return '';
  return `; takes away ${listWords(gone.map(({ caution }) => cautionOf(caution).name))}`;
}

function personFrom(
  cells: Cells<Column>,
  known: Person | undefined,
  faults: CellFault[],
): PersonFields | undefined {
  const { id: _, ...before } = known ?? { id: '', name: '' };
  const said = {
    name: cells.name,
    ...(cells['said as'] === undefined ? {} : { saidAs: cells['said as'].trim() || undefined }),
    ...(cells.level?.trim() ? { level: Number(cells.level) } : {}),
    ...(cells.springs === undefined
      ? {}
      : { springs: cells.springs.trim().toLowerCase() || undefined }),
    ...(cells.stature === undefined
      ? {}
      : { statureCm: cells.stature.trim() === '' ? undefined : Number(cells.stature) }),
    ...(cells.foundations === undefined
      ? {}
      : { holds: readFoundations(cells.foundations, faults) }),
    ...(cells.cautions === undefined ? {} : { cautions: readCautions(cells.cautions, faults) }),
    ...(cells['usual options'] === undefined
      ? {}
      : { usualOptions: readUsual(cells['usual options'], faults) }),
    ...(cells['rather not'] === undefined
      ? {}
      : { ratherNot: readRatherNot(cells['rather not'], faults) }),
    ...readEmergency(cells, known?.emergency),
    ...(cells.consent === undefined ? {} : { consentOn: cells.consent.trim() || undefined }),
    ...(cells.note === undefined ? {} : { note: cells.note }),
  };
  const read = Person.omit({ id: true }).safeParse({ ...before, ...said });
  if (!read.success) {
    for (const { path, message } of read.error.issues) {
      faults.push({
        column: path[1] === 'phone' ? 'number' : columnOf(path[0]),
        message: path[0] === 'level' ? LEVELS_SAID : message,
      });
    }
    return undefined;
  }
  for (const { path, message } of checkPerson(read.data)) {
    faults.push({ column: columnOf(path[0]), message });
  }
  return read.data;
}

const LEVELS_SAID = 'give 1, 2, 3 or 4';

function columnOf(field: PropertyKey | undefined): Column {
  return COLUMNS.find((column) => FIELDS[column] === field) ?? 'name';
}

/** "breath: met" and "breath 1" alike. */
const FOUNDATION_AND_DEPTH = new RegExp(
  `^(.+?)(?:\\s*:\\s*|\\s+)(${DEPTH_WORDS.join('|')}|[0-3])$`,
  'i',
);

function readFoundations(cell: string, faults: CellFault[]): Person['holds'] {
  const holds: Person['holds'] = {};
  for (const entry of splitCell(cell, ';')) {
    const [, name = '', depth = ''] = FOUNDATION_AND_DEPTH.exec(entry) ?? [];
    const foundation = foundationNamed(name);
    const at = depthNamed(depth);
    if (!foundation || at < 0) {
      faults.push({ column: 'foundations', message: `“${entry}” is no foundation with a depth` });
    } else holds[foundation] = at;
  }
  return holds;
}

function foundationNamed(name: string): Foundation | undefined {
  const wanted = name.toLowerCase();
  return FOUNDATIONS.find((each) => each === wanted || FOUNDATION_WORDS[each] === wanted);
}

function depthNamed(depth: string): number {
  return /^[0-3]$/.test(depth)
    ? Number(depth)
    : DEPTH_WORDS.findIndex((word) => word === depth.toLowerCase());
}

function readCautions(cell: string, faults: CellFault[]): CautionEntry[] {
  return splitCell(cell, ';').flatMap((entry) => {
    const [name = '', ...about] = splitCell(entry, '|');
    return readCaution(name, about, faults) ?? [];
  });
}

function readRatherNot(cell: string, faults: CellFault[]): Person['ratherNot'] {
  const wishes = splitCell(cell, ';').flatMap((entry) => {
    const wish = RATHER_NOT.find(({ name }) => name === entry.toLowerCase());
    if (wish) return [wish.id];
    const names = listWords(RATHER_NOT.map(({ name }) => name));
    faults.push({ column: 'rather not', message: `“${entry}” is none of ${names}` });
    return [];
  });
  return wishes.length === 0 ? undefined : wishes;
}

/** Whom to call, of one column or of both; what the file lacks stays. */
function readEmergency(
  { call, number }: Cells<Column>,
  before: Person['emergency'],
): { emergency?: Person['emergency'] } {
  if (call === undefined && number === undefined) return {};
  const emergency = {
    name: (call ?? before?.name ?? '').trim(),
    phone: (number ?? before?.phone ?? '').trim(),
  };
  return { emergency: emergency.name || emergency.phone ? emergency : undefined };
}

function readUsual(cell: string, faults: CellFault[]): Person['usualOptions'] {
  const usual: Person['usualOptions'] = {};
  for (const entry of splitCell(cell, ';')) {
    const [, slug = '', option = ''] = /^([a-z0-9-]+)\s+([1-6])$/.exec(entry) ?? [];
    const [, of = '', right, left] =
      /^([a-z0-9-]+)\s+right\s+([1-6])\s+left\s+([1-6])$/.exec(entry) ?? [];
    if (slug) usual[slug] = Number(option);
    else if (of) usual[of] = { right: Number(right), left: Number(left) };
    else {
      faults.push({
        column: 'usual options',
        message: `“${entry}” is no exercise with 1 to 6, nor with “right 2 left 1”`,
      });
    }
  }
  return usual;
}
