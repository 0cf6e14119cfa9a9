import { CAUTIONS, cautionOf } from '../../people/cautions/cautions.ts';
import { CautionEntry } from '../../people/person.ts';
import type { CellFault } from './preview.ts';

/** A caution of a record in words, each of which `readCaution` understands. */
export function cautionWords(entry: CautionEntry): string[] {
  const { caution, side, since, until, due, weeks, weeksOn, way, gate, releases = [] } = entry;
  return [
    cautionOf(caution).name,
    side ? `side ${side}` : '',
    since ? `since ${since}` : '',
    until ? `until ${until}` : '',
    due ? `due ${due}` : '',
    weeks === undefined ? '' : `week ${weeks}`,
    weeksOn ? `counted on ${weeksOn}` : '',
    way ? `way ${way}` : '',
    gate === undefined ? '' : `passed ${gate}`,
    ...releases.map(releaseWords),
    entry.clearedBy ? `cleared by ${entry.clearedBy}` : '',
    entry.note ? `note ${entry.note}` : '',
  ].filter(Boolean);
}

type Release = NonNullable<CautionEntry['releases']>[number];

function releaseWords({ ask, by, on, until, upTo }: Release): string {
  return [
    `released ${ask}`,
    ...(upTo === undefined ? [] : [`up to ${upTo}`]),
    `from ${on}`,
    ...(until ? [`until ${until}`] : []),
    `by ${by}`,
  ].join(' ');
}

const RELEASE =
  /^(.+?)(?: up to ([\d.]+))? from (\d{4}-\d\d-\d\d)(?: until (\d{4}-\d\d-\d\d))? by (.+)$/is;

const FIELDS: Readonly<Record<string, { field: string; isNumber?: true }>> = {
  side: { field: 'side' },
  since: { field: 'since' },
  until: { field: 'until' },
  due: { field: 'due' },
  week: { field: 'weeks', isNumber: true },
  'counted on': { field: 'weeksOn' },
  way: { field: 'way' },
  passed: { field: 'gate', isNumber: true },
  'cleared by': { field: 'clearedBy' },
  note: { field: 'note' },
};

const PART =
  /^(side|since|until|due|week|counted on|way|passed|released|cleared by|note)\s+(.*)$/is;

/** A caution from its words; what is wrong goes to `faults`, and then there is none. */
export function readCaution(
  name: string,
  about: readonly string[],
  faults: CellFault[],
): CautionEntry | undefined {
  const caution = CAUTIONS.find(
    (each) => each.id === name || each.name.toLowerCase() === name.toLowerCase(),
  );
  const say = (message: string) => faults.push({ column: 'cautions', message });
  if (!caution) {
    say(`“${name}” is no caution here`);
    return undefined;
  }
  const found: Record<string, unknown> = { caution: caution.id };
  const releases: unknown[] = [];
  for (const part of about) {
    const [, said = '', rest = ''] = PART.exec(part) ?? [];
    const word = said.toLowerCase();
    const known = FIELDS[word];
    if (known) found[known.field] = known.isNumber ? Number(rest) : rest;
    else if (word === 'released') releases.push(readRelease(rest));
    else say(`“${part}”: write since, until, side, due, cleared by or note before it`);
  }
  const read = CautionEntry.safeParse({ ...found, ...(releases.length > 0 ? { releases } : {}) });
  if (read.success) return read.data;
  for (const { message } of read.error.issues) say(`${caution.name}: ${message}`);
  return undefined;
}

function readRelease(text: string): object {
  const [, ask, upTo, on, until, by] = RELEASE.exec(text) ?? [];
  return {
    ask,
    by,
    on,
    ...(until === undefined ? {} : { until }),
    ...(upTo === undefined ? {} : { upTo: Number(upTo) }),
  };
}
