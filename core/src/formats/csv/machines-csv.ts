import type { z } from 'zod';
import { STRENGTHS } from '../../movement/gear.ts';
import { Machines, type SpringKind } from '../../room/machines.ts';
import { previewTable, refused, type CellFault, type Preview } from './preview.ts';
import { writeTable } from './table.ts';

const COLUMNS = ['what', 'which', 'name', 'count'] as const;
type Row = Record<(typeof COLUMNS)[number], string>;

const BARS = ['high', 'middle', 'low'] as const;
const HEADRESTS = ['up', 'middle', 'down'] as const;
const SECONDS = ['springs', 'bar', 'headrest', 'loops', 'box', 'facing'] as const;
const WORDS = { 'on the moving part': 'onTheMovingPart', 'before jumps': 'beforeJumps' } as const;
/** As the schema has it. */
const [MOST_SPRINGS, MOST_EXTRAS] = [8, 12];
type WordsOf = keyof typeof WORDS;

/** One thing said of the machines, as a row says it. */
export type MachineFact =
  | { what: 'reformers'; count: number }
  | { what: 'spring'; kind: SpringKind }
  | { what: 'bar'; which: (typeof BARS)[number]; name: string }
  | { what: 'headrest'; which: (typeof HEADRESTS)[number]; name: string }
  | { what: 'extra'; name: string }
  | { what: 'seconds'; which: (typeof SECONDS)[number]; count: number }
  | { what: 'words'; which: WordsOf; name: string };

/** A studio's machines, a row for each thing said of them. */
export function writeMachines(machines: Machines): string {
  return writeTable(COLUMNS, rowsOf(machines));
}

function rowsOf(machines: Machines): string[][] {
  const { reformers, springs, bars, headrests, extras, seconds } = machines;
  return [
    ['reformers', '', '', String(reformers)],
    ...springs.map(({ name, strength, count }) => ['spring', strength, name, String(count)]),
    ...BARS.flatMap((which) => (bars[which] ? [['bar', which, bars[which], '']] : [])),
    ...HEADRESTS.flatMap((which) =>
      headrests[which] ? [['headrest', which, headrests[which], '']] : [],
    ),
    ...extras.map((name) => ['extra', '', name, '']),
    ...SECONDS.map((which) => ['seconds', which, '', String(seconds[which])]),
    ...(Object.keys(WORDS) as WordsOf[]).map((which) => [
      'words',
      which,
      machines[WORDS[which]],
      '',
    ]),
  ];
}

/** Facts to take. What a file says of springs or extras takes the place of all that were there. */
export function readMachines(text: string): Preview<MachineFact> {
  const most: Record<string, number> = { spring: MOST_SPRINGS, extra: MOST_EXTRAS };
  const seen: Record<string, number> = {};
  return previewTable<keyof Row, MachineFact>(text, {
    known: COLUMNS,
    needed: ['what'],
    mostRows: 100,
    readRow: ({ what = '', which = '', name = '', count: number = '' }) => {
      const faults: CellFault[] = [];
      const plain = (cell: string) => cell.trim().toLowerCase();
      const said = { what: plain(what), which: plain(which), name, count: number.trim() };
      const fact = factOf(said, faults);
      const count = (seen[said.what] = (seen[said.what] ?? 0) + 1);
      if (count > (most[said.what] ?? Infinity)) {
        faults.push({ column: 'what', message: `${most[said.what]} of these are the most` });
      }
      if (!fact || faults.length > 0) return refused(faults);
      return { faults, said: 'taken', value: fact };
    },
  });
}

function factOf({ what, which, name, count }: Row, faults: CellFault[]): MachineFact | undefined {
  const oneOf = <T extends string>(choices: readonly T[]): T | undefined => {
    const found = choices.find((choice) => choice === which);
    if (!found) faults.push({ column: 'which', message: `is one of: ${choices.join(', ')}` });
    return found;
  };
  const whole = (least: number, most: number): number => {
    const number = /^\d{1,3}$/.test(count) ? Number(count) : NaN;
    if (number >= least && number <= most) return number;
    faults.push({ column: 'count', message: `give a whole number from ${least} to ${most}` });
    return least;
  };
  const named = (schema: z.ZodType<string>): string => {
    const read = schema.safeParse(name);
    if (read.success) return read.data;
    const message = read.error.issues[0]?.message ?? 'can’t be read';
    faults.push({ column: 'name', message });
    return '';
  };
  const shape = Machines.shape;
  const short = shape.extras.unwrap().element;
  switch (what) {
    case 'reformers':
      return { what, count: whole(0, 60) };
    case 'spring': {
      const strength = oneOf(STRENGTHS);
      const kind = { name: named(short), count: whole(1, 5) };
      return strength && { what, kind: { ...kind, strength } };
    }
    case 'bar': {
      const bar = oneOf(BARS);
      return bar && { what, which: bar, name: named(short) };
    }
    case 'headrest': {
      const headrest = oneOf(HEADRESTS);
      return headrest && { what, which: headrest, name: named(short) };
    }
    case 'extra':
      return { what, name: named(short) };
    case 'seconds': {
      const part = oneOf(SECONDS);
      return part && { what, which: part, count: whole(0, 180) };
    }
    case 'words': {
      const words = oneOf(Object.keys(WORDS) as WordsOf[]);
      return words && { what, which: words, name: named(shape.onTheMovingPart.unwrap()) };
    }
    default:
      faults.push({
        column: 'what',
        message: 'is one of: reformers, spring, bar, headrest, extra, seconds, words',
      });
      return undefined;
  }
}

/** The machines with these facts in them, as `readMachines` gave them. */
export function withFacts(machines: Machines, facts: readonly MachineFact[]): Machines {
  const springs = facts.flatMap((fact) => (fact.what === 'spring' ? [fact.kind] : []));
  const extras = facts.flatMap((fact) => (fact.what === 'extra' ? [fact.name] : []));
  const next = {
    ...machines,
    bars: { ...machines.bars },
    headrests: { ...machines.headrests },
    seconds: { ...machines.seconds },
    ...(springs.length > 0 ? { springs } : {}),
    ...(extras.length > 0 ? { extras } : {}),
  };
  for (const fact of facts) {
    if (fact.what === 'reformers') next.reformers = fact.count;
    else if (fact.what === 'bar') next.bars[fact.which] = fact.name;
    else if (fact.what === 'headrest') next.headrests[fact.which] = fact.name;
    else if (fact.what === 'seconds') next.seconds[fact.which] = fact.count;
    else if (fact.what === 'words') next[WORDS[fact.which]] = fact.name;
  }
  return Machines.parse(next);
}
