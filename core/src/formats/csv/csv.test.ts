import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { FOUNDATIONS, PROPS } from '../../movement/vocabulary.ts';
import { CAUTION_IDS } from '../../people/cautions/cautions.ts';
import { Person } from '../../people/person.ts';
import { Machines, PLAIN_MACHINES } from '../../room/machines.ts';
import { readCupboard, writeCupboard } from './cupboard-csv.ts';
import { readMachines, withFacts, writeMachines } from './machines-csv.ts';
import { readPeople, writePeople } from './people-csv.ts';
import { joinCell, readTable, splitCell, writeTable } from './table.ts';

describe('a table', () => {
  it.each([
    // The grammar of RFC 4180, section 2: quotes doubled, commas and line breaks in quotes, CRLF between rows.
    ['a,b\r\n1,2\r\n', ['a', 'b'], [['1', '2']]],
    ['a,b\n"x ""y""","1,\r\n2"\n', ['a', 'b'], [['x "y"', '1,\r\n2']]],
    ['a,b\r\n,\r\n"",z', ['a', 'b'], [['', 'z']]],
    // As spreadsheets of other countries write it, and with their mark before the first letter.
    ['\uFEFFName;Note\r\nÉva;"a;b"\r\n', ['name', 'note'], [['Éva', 'a;b']]],
    ['name\tnote\nAsha\tx\n', ['name', 'note'], [['Asha', 'x']]],
  ])('is read from %j', (text, columns, rows) => {
    const read = readTable(text);
    expect([read.columns, read.rows.map(({ cells }) => cells), read.problems]).toEqual([
      columns,
      rows,
      [],
    ]);
  });

  it('counts rows as a spreadsheet does, empty ones too', () => {
    expect(readTable('a\r\n\r\nx\r\n\r\ny').rows.map(({ row }) => row)).toEqual([3, 5]);
  });

  it.each([
    ['', 'The first row names no columns.'],
    ['a,A\n1,2', 'The column “a” is there twice.'],
    ['a\n"open', 'Row 2: Quoted field unterminated.'],
    ['a\n1,2', 'Row 2: it has more cells than there are columns.'],
    ['x'.repeat(2_000_001), 'The file is too long: 2 MB are the most.'],
  ])('tells what is wrong with a file', (text, said) => {
    expect(readTable(text).problems).toContain(said);
  });

  it('writes nothing that a spreadsheet takes for a formula, and reads it back as it was', () => {
    const cells = ['=1+1', '+x', '-x', '@x', "'quoted", "'=x", 'plain'];
    const text = writeTable(
      ['a'],
      cells.map((cell) => [cell]),
    );
    const seen = Papa.parse<string[]>(text.slice(1), { skipEmptyLines: true }).data.flat();
    expect(seen.slice(1).filter((cell) => /^[=+\-@]/.test(cell))).toEqual([]);
    expect(readTable(text).rows.map((row) => row.cells[0])).toEqual(cells);
  });

  it('comes back whatever is in its cells', () => {
    const cell = fc.string({ unit: 'grapheme' }).filter((text) => text.trim() !== '');
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1 }), (rows) => {
        const read = readTable(writeTable(['a', 'b'], rows));
        expect(read.rows.map(({ cells }) => cells)).toEqual(rows);
      }),
    );
  });

  it('keeps several values apart in one cell', () => {
    const values = ['a; b', 'c', 'd|e;'];
    expect(splitCell(joinCell(values, ';'), ';')).toEqual(values);
  });
});

/** Text as people write it: seen, and without blanks at its ends, which a table does not keep. */
const words = (maxLength: number) =>
  fc
    .string({ maxLength })
    .map((text) => text.trim().replace(/\\/g, '/'))
    .filter((text) => text === '' || /[a-z0-9]/i.test(text));

const day = fc
  .date({ min: new Date('2000-01-01'), max: new Date('2050-01-01'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));

const person = fc.record(
  {
    level: fc.integer({ min: 1, max: 4 }),
    springs: fc.constantFrom('lighter', 'heavier'),
    holds: fc.dictionary(fc.constantFrom(...FOUNDATIONS), fc.integer({ min: 0, max: 3 })),
    usualOptions: fc.dictionary(
      fc.constantFrom('roll-up', 'hundred'),
      fc.oneof(
        fc.integer({ min: 1, max: 4 }),
        fc.record({ right: fc.integer({ min: 1, max: 6 }), left: fc.integer({ min: 1, max: 6 }) }),
      ),
    ),
    cautions: fc.array(
      fc.record(
        {
          caution: fc.constantFrom(...CAUTION_IDS),
          since: day.filter((date) => date < '2020-01-01'),
          until: day.filter((date) => date > '2020-01-01'),
          clearedBy: words(30),
          note: words(60),
          side: fc.constantFrom('right', 'left'),
          due: day,
          weeks: fc.integer({ min: 0, max: 40 }),
          weeksOn: day,
          gate: fc.integer({ min: 0, max: 3 }),
          releases: fc.array(
            fc.record(
              {
                ask: fc.constantFrom('wrist', 'round low', 'hipBend'),
                by: fc.constantFrom('physiotherapist', 'the surgeon'),
                on: day,
                until: day,
                upTo: fc.integer({ min: 0, max: 90 }),
              },
              { requiredKeys: ['ask', 'by', 'on'] },
            ),
            { minLength: 1, maxLength: 2 },
          ),
        },
        { requiredKeys: ['caution'] },
      ),
      { maxLength: 4 },
    ),
    saidAs: fc.constantFrom('a-sha', 'YOON-ess'),
    statureCm: fc.integer({ min: 100, max: 230 }),
    ratherNot: fc.uniqueArray(fc.constantFrom('kneeling', 'rolling', 'on-the-hands'), {
      minLength: 1,
    }),
    emergency: fc.record({
      name: fc.constantFrom('Jo', 'a sister'),
      phone: fc.constant('0100 22'),
    }),
    consentOn: day,
    note: words(80),
  },
  { requiredKeys: [] },
);

describe('people as a table', () => {
  it('come back equal, whatever stands in their records', () => {
    fc.assert(
      fc.property(fc.array(person, { minLength: 1, maxLength: 6 }), (records) => {
        const people = records.map((record, index) =>
          Person.parse({ ...record, id: `p${index}`, name: `Person ${index}` }),
        );
        const fresh = readPeople(writePeople(people), []);
        expect(fresh.problems).toEqual([]);
        expect(fresh.rows.map(({ faults }) => faults).flat()).toEqual([]);
        const taken = fresh.rows.map(({ value }) => value?.person);
        expect(taken).toEqual(people.map(({ id: _, ...rest }) => rest));
        expect(readPeople(writePeople(people), people).rows.map(({ said }) => said)).toEqual(
          people.map(() => 'as it is'),
        );
      }),
      { numRuns: 60 },
    );
  });

  const asha = Person.parse({ id: 'p1', name: 'Asha Delun', level: 2, note: 'kept' });

  it('changes those who are here and leaves what has no column', () => {
    const { rows, unread } = readPeople('Name,Level,Shoe size\nasha delun,3,40\nNew Somebody,,\n', [
      asha,
    ]);
    expect(unread).toEqual(['shoe size']);
    expect(rows.map(({ said }) => said)).toEqual(['other name, level', 'new']);
    expect(rows[0]?.value).toMatchObject({ id: 'p1', person: { level: 3, note: 'kept' } });
    expect(rows[1]?.value).toMatchObject({ id: null, person: { level: 2, cautions: [] } });
  });

  it('names the cell that is at fault, and takes nothing of that row', () => {
    const { rows } = readPeople(
      'name,stature,rather not,call,number\nA,tall,,,\nB,300,,,\nC,,juggling,,\nD,,,Jo,\n',
      [],
    );
    expect(rows.map(({ faults }) => faults.map(({ column }) => column))).toEqual([
      ['stature'],
      ['stature'],
      ['rather not'],
      ['number'],
    ]);
    expect(rows.map(({ value }) => value)).toEqual([undefined, undefined, undefined, undefined]);
  });

  it('says which cautions a file would take away', () => {
    const known = { ...asha, cautions: [{ caution: 'wrist' as const, clearedBy: '', note: '' }] };
    const said = (cautions: string) =>
      readPeople(`name,cautions\nAsha Delun,${cautions}`, [known]).rows[0]?.said;
    expect(said('Knee')).toBe('other cautions; takes away Wrist');
    expect(said('Wrist; Knee')).toBe('other cautions');
    expect(said('')).toBe('other cautions; takes away Wrist');
  });

  it.each([
    ['name,level\nIda,5', 'level', 'give 1, 2, 3 or 4'],
    ['name,level\nIda,two', 'level', 'give 1, 2, 3 or 4'],
    ['name\n\u200b', 'name', 'give a name that can be seen'],
    ['name,cautions\nIda,Sore toe', 'cautions', '“Sore toe” is no caution here'],
    ['name,cautions\nIda,Wrist | since spring', 'cautions', 'write the date as year-month-day'],
    [
      'name,cautions\nIda,Wrist | left',
      'cautions',
      'write since, until, side, due, cleared by or note',
    ],
    [
      'name,cautions\nIda,Wrist | since 2026-02-01 | until 2026-01-01',
      'cautions',
      'is before it began',
    ],
    ['name,foundations\nIda,breath: well', 'foundations', 'no foundation with a depth'],
    ['name,springs\nIda,blue', 'springs', 'lighter'],
    ['name,consent\nIda,yesterday', 'consent', 'write the date as year-month-day'],
    ['name,usual options\nIda,roll-up 7', 'usual options', 'no exercise with 1 to 6'],
  ])('tells the cell at fault: %j', (text, column, said) => {
    const [row] = readPeople(text, []).rows;
    expect(row?.value).toBeUndefined();
    expect(row?.faults.find((fault) => fault.column === column)?.message).toContain(said);
  });

  it('takes nobody twice, and asks where two have one name', () => {
    const twins = [asha, { ...asha, id: 'p2' }];
    expect(readPeople('name\nIda\nIDA', []).rows.map(({ said }) => said)).toEqual([
      'new',
      'not taken',
    ]);
    expect(readPeople('name\nAsha Delun', twins).rows[0]?.faults[0]?.message).toMatch(
      /^2 people here have this name/,
    );
  });

  it('without names can’t be taken at all', () => {
    expect(readPeople('level\n3', []).problems).toEqual(['There is no column “name”.']);
    const long = `name\n${Array.from({ length: 301 }, (_, index) => `P${index}`).join('\n')}`;
    expect(readPeople(long, []).problems).toEqual(['It has 301 rows; 300 are the most.']);
    expect(readPeople('name\n', []).problems).toEqual(['There is nothing below the first row.']);
  });
});

describe('the cupboard as a table', () => {
  it('names what changes', () => {
    const now = { block: 4, chair: 2 } as const;
    const { rows } = readCupboard('prop,count\nblock,6\nchair,2\nsmall ball,3\n', now);
    expect(rows.map(({ said }) => said)).toEqual(['4 become 6', 'as it is', '0 become 3']);
    expect(rows.map(({ value }) => value?.prop)).toEqual(['block', undefined, 'small-ball']);
    expect(readCupboard(writeCupboard(now), now).rows).toHaveLength(PROPS.length);
    expect(readCupboard(writeCupboard(now), now).rows.every(({ value }) => !value)).toBe(true);
  });

  it.each([
    ['prop,count\nhoop,1', 'there is no prop “hoop” here'],
    ['prop,count\nblock,-1', 'give a whole number up to 500'],
    ['prop,count\nblock,501', 'give a whole number up to 500'],
    ['prop,count\nblock,2.5', 'give a whole number up to 500'],
  ])('tells the cell at fault: %j', (text, said) => {
    expect(readCupboard(text, {}).rows[0]?.faults.map(({ message }) => message)).toContain(said);
  });
});

describe('machines as a table', () => {
  const ours = Machines.parse({
    reformers: 6,
    springs: [
      { name: 'Big, thick', strength: 'heavy', count: 3 },
      { name: 'thin "one"', strength: 'light', count: 1 },
    ],
    bars: { high: 'top rung', low: 'bottom rung' },
    headrests: { up: 'pillow' },
    extras: ['short boxes: 6', 'a jump board'],
    seconds: { springs: 12, box: 31 },
    onTheMovingPart: 'Hold on.',
    beforeJumps: 'Soft; quiet.',
  });

  it('come back equal', () => {
    const { rows, problems } = readMachines(writeMachines(ours));
    expect(problems).toEqual([]);
    expect(rows.flatMap(({ faults }) => faults)).toEqual([]);
    const facts = rows.flatMap(({ value }) => (value ? [value] : []));
    expect(withFacts(PLAIN_MACHINES, facts)).toEqual(ours);
  });

  it('are no more than a plan can speak of', () => {
    const kinds = Array.from({ length: 9 }, (_, index) => `spring,light,kind ${index},1`);
    const { rows } = readMachines(['what,which,name,count', ...kinds].join('\n'));
    expect(rows.map(({ said }) => said)).toEqual([...Array<string>(8).fill('taken'), 'not taken']);
    expect(rows[8]?.faults[0]?.message).toBe('8 of these are the most');
  });

  it('leave what a file does not say', () => {
    const { rows } = readMachines('what,count\nreformers,8');
    const facts = rows.flatMap(({ value }) => (value ? [value] : []));
    expect(withFacts(ours, facts)).toEqual({ ...ours, reformers: 8 });
  });

  it.each([
    ['what,which\nspring,strong', 'which', 'is one of: heavy, medium, light'],
    ['what,count\nreformers,61', 'count', 'give a whole number from 0 to 60'],
    ['what,which\nbar,high', 'name', 'give it a name'],
    ['what\nladder', 'what', 'is one of: reformers, spring'],
    ['what,which,count\nseconds,straps,3', 'which', 'is one of: springs, bar'],
  ])('tell the cell at fault: %j', (text, column, said) => {
    const faults = readMachines(text).rows[0]?.faults ?? [];
    expect(faults.find((fault) => fault.column === column)?.message).toContain(said);
  });
});
