import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { beforeAll, describe, expect, it } from 'vitest';
import { z } from 'zod';
import { loadSolver, type Solve } from '@wrenfern/core/draft/solver';
import { People } from '@wrenfern/core/people/person';
import { ExerciseDocument } from '@wrenfern/core/formats/exercise/exercise-document';
import { LEVELS } from '@wrenfern/core/body/load/option-level';
import { readExercise } from '@wrenfern/core/formats/exercise/read-exercise';
import { writeExercise } from '@wrenfern/core/formats/exercise/write-exercise';
import { exerciseItemsOf, Plan } from '@wrenfern/core/plan/plan';
import { builtInExercises } from '@wrenfern/library';
import { Refusal } from './refusal.ts';
import { run, schemaOf, USAGE } from './run.ts';

const EXAMPLES = 'docs/formats/examples';
const BACK_EASE = `${EXAMPLES}/back-ease-29-minutes.json`;
const REFORMER = `${EXAMPLES}/reformer-45-minutes.json`;
const TIMED = `${EXAMPLES}/timed-sets-12-minutes.json`;
const WISHES = `${EXAMPLES}/wishes-hips-30-minutes.json`;
const PEOPLE = `${EXAMPLES}/people.json`;
const DAY = '2026-11-25';

const folder = mkdtempSync(join(tmpdir(), 'wrenfern-'));
const write = (name: string, text: string): string => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};
const readExample = (path: string): unknown => JSON.parse(readFileSync(path, 'utf8'));

const Timed = z.object({
  totalS: z.number(),
  likely: z.object({ lowS: z.number(), highS: z.number() }),
  items: z.array(
    z.object({
      name: z.string(),
      parts: z.array(
        z.object({
          kind: z.string(),
          durationS: z.number(),
          reason: z.string(),
          source: z.string(),
        }),
      ),
    }),
  ),
});
const timeOf = (path: string) => Timed.parse(JSON.parse(run(['time', path, '--json'], DAY)));

/** Shares of a taught mat class of 10 to 30 minutes, least and most: common practice. */
const DIVISION = {
  work: { kinds: ['work'], least: 0.58, most: 0.78 },
  setUp: { kinds: ['set-up', 'side-change'], least: 0.12, most: 0.21 },
  teaching: { kinds: ['teaching'], least: 0.05, most: 0.19 },
  rest: { kinds: ['rest', 'set-rest', 'pause'], least: 0.01, most: 0.17 },
} as const;

describe('wrenfern time', () => {
  it.each([
    [BACK_EASE, 29],
    [TIMED, 12],
  ])('times %s at about %i minutes, and its range holds them', (path, minutes) => {
    const { totalS, likely } = timeOf(path);
    expect(Math.abs(totalS / 60 - minutes)).toBeLessThan(minutes * 0.05);
    expect(likely.lowS).toBeLessThanOrEqual(minutes * 60);
    expect(likely.highS).toBeGreaterThanOrEqual(minutes * 60);
  });

  it.each([[BACK_EASE], [TIMED]])('divides %s as taught classes are divided', (path) => {
    const { totalS, items } = timeOf(path);
    for (const { kinds, least, most } of Object.values(DIVISION)) {
      const seconds = items
        .flatMap(({ parts }) => parts)
        .filter(({ kind }) => (kinds as readonly string[]).includes(kind))
        .reduce((sum, { durationS }) => sum + durationS, 0);
      expect(seconds / totalS).toBeGreaterThanOrEqual(least);
      expect(seconds / totalS).toBeLessThanOrEqual(most);
    }
  });

  it('gives a reason and a source for every second', () => {
    for (const item of timeOf(BACK_EASE).items) {
      for (const part of item.parts) {
        expect(part.reason.length).toBeGreaterThan(3);
        expect(['common practice', 'set in the plan', 'your pace']).toContain(part.source);
      }
    }
  });

  it('keeps the back-ease class free of loaded rounding', () => {
    const plan = Plan.parse(readExample(BACK_EASE));
    for (const item of plan.segments.flatMap(({ items }) => items)) {
      if (item.kind !== 'exercise') continue;
      const exercise = builtInExercises.find(({ slug }) => slug === item.exercise);
      const demands = exercise?.options.flatMap((option) => option.demands);
      expect(demands).not.toContain('flexion-loaded');
    }
  });

  it('says it in words as well', () => {
    const text = run(['time', TIMED], DAY);
    expect(text).toContain('Twelve minutes, 45 on and 15 to change');
    expect(text).toMatch(/likely \d+:\d\d to \d+:\d\d/);
    expect(text).toContain('45 s of work by the clock (set in the plan)');
  });
});

describe('wrenfern time, with more said', () => {
  const totals = (argv: string[]) =>
    z.array(z.object({ totalS: z.number() })).parse(JSON.parse(run(argv, DAY)));

  it('takes several files at once', () => {
    expect(totals(['time', BACK_EASE, TIMED, '--json']).map(({ totalS }) => totalS)).toEqual([
      timeOf(BACK_EASE).totalS,
      timeOf(TIMED).totalS,
    ]);
  });

  it('goes by a style and by a teacher’s own pace', () => {
    const led = (style: string) =>
      totals(['time', BACK_EASE, BACK_EASE, '--json', '--style', style]);
    expect(led('slow')[0]?.totalS).toBeGreaterThan(led('brisk')[0]?.totalS ?? NaN);
    const pace = write('pace.json', JSON.stringify({ workFactor: 1.2, teaching: 'quick' }));
    expect(run(['time', BACK_EASE, '--pace', pace], DAY)).toContain('(your pace)');
    const wild = write('wild.json', '{"workFactor": 9}');
    expect(() => run(['time', BACK_EASE, '--pace', wild], DAY)).toThrow(/workFactor/);
  });
});

describe('wrenfern fit', () => {
  const Fitted = z.object({
    toS: z.number(),
    plan: z.unknown(),
    together: z.array(z.object({ seconds: z.number(), label: z.string() })),
  });

  it.each([
    ['shorter', '25', -1],
    ['longer', '34', 1],
  ])(
    'makes a class %s, to within half a minute, with a plan that is what it says',
    (_way, to, sign) => {
      const found = Fitted.parse(JSON.parse(run(['fit', BACK_EASE, '--to', to, '--json'], DAY)));
      expect(Math.abs(found.toS - Number(to) * 60)).toBeLessThan(30);
      for (const { seconds } of found.together) expect(Math.sign(seconds)).toBe(sign);
      const fitted = write('fitted.json', JSON.stringify(found.plan));
      expect(timeOf(fitted).totalS).toBe(found.toS);
    },
  );

  it('tells it in words, one by one and together', () => {
    const text = run(['fit', BACK_EASE, '--to', '27'], DAY);
    expect(text).toMatch(/Together, to 2[67]:\d\d:/);
    expect(text).toMatch(/: saves \d:\d\d \(/);
    expect(text).not.toContain('Leave Supported back opening out');
  });

  it('has nothing to say of a class that fits', () => {
    expect(run(['fit', BACK_EASE, '--to', '29.1'], DAY)).toContain('Nothing to change');
  });
});

describe('wrenfern review', () => {
  const timed = () => Plan.parse(JSON.parse(readFileSync(TIMED, 'utf8')));
  /** A short set as a whole class: it ends lying, with nothing soft before. */
  const whole = () =>
    write('whole.json', JSON.stringify({ ...timed(), school: 'graded-load', targetS: 1500 }));

  it('has nothing to settle in a class as it is taught, nor in a short set', () => {
    expect(run(['review', BACK_EASE], DAY)).toBe('Nothing to settle.');
    expect(run(['review', TIMED], DAY)).toBe('Nothing to settle.');
  });

  it('names rule, reason and repair', () => {
    const text = run(['review', whole()], DAY);
    expect(text).toContain('close-soft: The class ends on the back');
    expect(text).toContain('  repair: Add Return to sitting');
  });

  it('gives edits as data', () => {
    const findings = z
      .array(z.object({ rule: z.string(), repairs: z.array(z.object({ edit: z.object({}) })) }))
      .parse(JSON.parse(run(['review', whole(), '--json'], DAY)));
    expect(findings.map(({ rule }) => rule)).toContain('six-directions');
  });

  it('looks at people when they are given', () => {
    const people = write(
      'late.json',
      JSON.stringify([{ id: 'n', name: 'N', level: 2, cautions: [{ caution: 'rounding-out' }] }]),
    );
    // Rolling down may open a class, but for those who are to spare a back that rounds. Common practice.
    const plan = Plan.parse(readExample(BACK_EASE));
    const [first, ...others] = plan.segments;
    if (!first) throw new Error('no part');
    const opener = { kind: 'exercise' as const, id: 'opener', exercise: 'standing-roll-down' };
    const segments = [{ ...first, items: [opener, ...first.items] }, ...others];
    const opened = write('opened.json', JSON.stringify({ ...plan, segments }));
    expect(run(['review', opened], DAY)).not.toContain('Standing roll down loads the spine');
    expect(run(['review', opened, '--people', people], DAY)).toContain(
      'Standing roll down loads the spine',
    );
  });
});

describe('wrenfern order', () => {
  it('tells the moves, what they gain, and whether it is proved best', () => {
    const text = run(['order', TIMED], DAY);
    expect(text).toMatch(/^Twelve minutes, 45 on and 15 to change, Timed sets: proved best/);
    expect(text).toMatch(/today \d+ s.*, best \d+ s, in seconds-equivalent/);
  });

  it('orders under another school', () => {
    const parts = z.object({ now: z.record(z.string(), z.number()), nowS: z.number() });
    const own = parts.parse(JSON.parse(run(['order', TIMED, '--json'], DAY)));
    const other = parts.parse(
      JSON.parse(run(['order', TIMED, '--school', 'foundations-first', '--json'], DAY)),
    );
    expect(other.nowS).not.toBe(own.nowS);
    expect(Object.values(own.now).reduce((sum, part) => sum + part, 0)).toBeCloseTo(own.nowS, 6);
  });

  it('gives a plan that reads back, and edits that lead to it', () => {
    const result = z
      .object({ plan: Plan, status: z.string(), moves: z.array(z.object({ label: z.string() })) })
      .parse(JSON.parse(run(['order', BACK_EASE, '--json', '--seed', '3'], DAY)));
    expect(result.status).toBe('proved best');
    expect(result.plan.segments).toHaveLength(Plan.parse(readExample(BACK_EASE)).segments.length);
  });
});

describe('wrenfern instead', () => {
  const Others = z.array(z.object({ exercise: z.string(), why: z.string(), plan: Plan }));
  const inPlaceOf = (what: string, ...more: string[]) =>
    Others.parse(JSON.parse(run(['instead', BACK_EASE, what, '--json', ...more], DAY)));

  it('tells what could stand in the place of an item, best first, and why', () => {
    const text = run(['instead', BACK_EASE, 'clam'], DAY);
    expect(text).toMatch(/^In place of Clam:\n {2}.+ \([a-z-]+\): the same position, also for /);
  });

  it('gives each with the class that it makes: the same but for one', () => {
    const names = (plan: Plan) => exerciseItemsOf(plan).map(({ exercise }) => exercise);
    const before = names(Plan.parse(readExample(BACK_EASE)));
    const others = inPlaceOf('clam');
    expect(others.length).toBeGreaterThan(1);
    for (const { exercise, plan } of others) {
      expect(names(plan)).toEqual(before.map((slug) => (slug === 'clam' ? exercise : slug)));
    }
  });

  it('keeps to wishes and people', () => {
    const [best] = inPlaceOf('clam');
    const wishes = write('no.json', JSON.stringify({ targetS: 1740, never: [best?.exercise] }));
    const others = inPlaceOf('clam', '--wishes', wishes, '--people', PEOPLE);
    expect(others.map(({ exercise }) => exercise)).not.toContain(best?.exercise);
  });

  it('refuses what the class does not hold, and names what it does', () => {
    expect(() => run(['instead', BACK_EASE, 'headstand'], DAY)).toThrow(
      /nothing in "Back ease with cushions" is called "headstand"; it holds .*clam/,
    );
  });
});

describe('wrenfern draft', () => {
  let solve: Solve;
  beforeAll(async () => {
    solve = await loadSolver();
  });

  it('tells three classes with a reason for each exercise', () => {
    const text = run(['draft', WISHES], DAY, solve);
    expect(text).toContain('Nearest to your wishes.');
    expect(text).toContain('Fewest changes.');
    expect(text).toMatch(/Clam, 10 each side\. You asked for it/);
    expect(text).not.toContain('Plank,');
  });

  it('tells on the machine how it is set, where that changes, and what is gone through twice', () => {
    const path = write('machine.json', JSON.stringify({ targetS: 3000, machine: 'reformer' }));
    const text = run(['draft', path], DAY, solve);
    expect(text).toContain('    [Two heavy · bar middle · headrest up · feet to bar]\n    Arrive');
    expect(text).toMatch(/Footwork, heels, parallel 10 times · toes, parallel 10 times/);
    expect(text).toMatch(/\n {4}2 rounds:\n {6}\[Springs: /);
  });

  it('names the wishes that are in the way of one another', () => {
    const wishes = { ...(readExample(WISHES) as object), never: ['clam'] };
    const path = write('wishes.json', JSON.stringify(wishes));
    expect(run(['draft', path], DAY, solve)).toBe(
      "These can't be had together: Clam as a must and no Clam today. Let go of one of them.",
    );
  });

  it.each([
    ['an unknown exercise', { mustHave: ['headstand'] }, /mustHave\[0\]: no exercise is called/],
    ['no length', { targetS: undefined }, /targetS/],
    ['a prop that is none', { props: ['trampoline'] }, /props\[0\]/],
  ])('refuses %s', (_name, change, says) => {
    const path = write(
      'wishes.json',
      JSON.stringify({ ...(readExample(WISHES) as object), ...change }),
    );
    expect(() => run(['draft', path], DAY, solve)).toThrow(says);
  });
});

describe('wrenfern options', () => {
  it('tells each person’s option with its reason', () => {
    const text = run(['options', TIMED, PEOPLE, '--day', DAY], DAY);
    expect(text).toMatch(/^Bram: yes/m);
    expect(text).toMatch(/Ines[\s\S]*Plank: 1? ?/);
  });

  it('says as data what was measured, the bound, how far and when again', () => {
    const told = JSON.parse(
      run(['options', TIMED, PEOPLE, '--json', '--day', '2026-11-25'], DAY),
    ) as {
      choices: Record<string, Record<string, Record<string, unknown>>>;
      verdicts: Record<string, { verdict: string; sums: object }>;
    };
    const all = Object.values(told.choices).flatMap((items) => Object.values(items));
    const departed = all.filter(({ measure }) => measure !== undefined);
    expect(departed.length).toBeGreaterThan(0);
    for (const choice of departed) {
      expect(choice.bound).toBeTypeOf('number');
      for (const words of [choice.does, choice.landmark, choice.stop, choice.againWhen]) {
        expect(String(words).length).toBeGreaterThan(3);
      }
    }
    expect(Object.values(told.verdicts).every(({ verdict }) => verdict.startsWith('yes'))).toBe(
      true,
    );
  });

  it('knows which cautions are in force on a day', () => {
    const during = run(['options', TIMED, PEOPLE, '--day', '2026-11-25'], DAY);
    const after = run(['options', TIMED, PEOPLE, '--day', '2026-12-24'], DAY);
    expect(during).not.toBe(after);
    expect(during).toContain('Wrist:');
    expect(after).not.toContain('Wrist:');
  });

  it('gives choices and versions as data', () => {
    const data = z
      .object({ choices: z.record(z.string(), z.object({})), versions: z.object({}) })
      .parse(JSON.parse(run(['options', TIMED, PEOPLE, '--json'], DAY)));
    expect(Object.keys(data.choices)).toEqual(['asha', 'bram', 'ines', 'wim']);
  });
});

const share = z.number().min(0).max(100);
const Weighed = z.looseObject({
  slug: z.string(),
  options: z.array(
    z.looseObject({ load: share, skill: share, level: share, levelName: z.enum(LEVELS) }),
  ),
});

describe('wrenfern catalogue', () => {
  it('lists every exercise with its ladder', () => {
    const text = run(['catalogue'], DAY);
    for (const { name } of builtInExercises) expect(text).toContain(name);
    expect(text).toContain('→');
  });

  it('searches by several words', () => {
    const found = run(['catalogue', 'shoulder', 'bridge'], DAY).split('\n');
    expect(found[0]).toContain('bridge');
    expect(found.slice(0, 4).some((line) => line.includes('bridge-roll'))).toBe(true);
  });

  it('gives every field as data, and these read back', () => {
    const printed = z.array(Weighed).parse(JSON.parse(run(['catalogue', '--json'], DAY)));
    const files = printed.map(({ options, ...file }) =>
      ExerciseDocument.parse({
        ...file,
        options: options.map((option) =>
          Object.fromEntries(
            Object.entries(option).filter(
              ([name]) => !['load', 'skill', 'level', 'levelName'].includes(name),
            ),
          ),
        ),
      }),
    );
    expect(files.map(readExercise)).toEqual(builtInExercises);
  });

  it('says of every option what it asks', () => {
    const printed = z.array(Weighed).parse(JSON.parse(run(['catalogue', 'plank', '--json'], DAY)));
    const plank = printed.find(({ slug }) => slug === 'plank');
    const [first, second, third] = plank?.options.map(({ level }) => level) ?? [];
    expect(first).toBeLessThan(second ?? 0);
    expect(second).toBeLessThan(third ?? 0);
    expect(plank?.options[2]?.levelName).toBe('intermediate');
  });

  it('gives nothing for words that nothing has', () => {
    expect(run(['catalogue', 'xylophone'], DAY)).toBe('');
  });
});

describe('wrenfern figure', () => {
  it('gives a picture with a name', () => {
    const svg = run(['figure', 'plank', '--option', '3'], DAY);
    expect(svg).toMatch(/^<svg [^>]*viewBox="[-\d. ]+"/);
    expect(svg).toContain('<title>Plank, Hands and toes: in a plank on hands and toes</title>');
  });

  it('gives another picture for another pose, another option, another side', () => {
    const figures = [
      ['figure', 'chest-lift'],
      ['figure', 'chest-lift', '--pose', '1'],
      ['figure', 'chest-lift', '--option', '3'],
      ['figure', 'chest-lift', '--view', 'three-quarter'],
    ].map((line) => run(line, DAY));
    expect(new Set(figures).size).toBe(figures.length);
  });

  it('writes a file when one is named', () => {
    const path = join(mkdtempSync(join(tmpdir(), 'wrenfern-')), 'teaser.svg');
    expect(run(['figure', 'teaser', '-o', path], DAY)).toContain('Teaser, option 2, pose 2 of 2');
    expect(readFileSync(path, 'utf8')).toContain('</svg>');
  });

  it.each([
    [['figure', 'headstand'], 'there is no exercise "headstand"'],
    [['figure', 'plank', '--option', '9'], '--option goes from 1 to 3'],
    [['figure', 'plank', '--pose', 'two'], '--pose goes from 1 to 1'],
    [['figure', 'plank', '--view', 'below'], '--view is one of side'],
    [['figure', 'plank', '-o', '/nowhere/at/all.svg'], "can't be written"],
  ])('%s is refused in words', (line, says) => {
    expect(() => run(line, DAY)).toThrow(says);
  });
});

describe('a flag', () => {
  it.each([
    [['time', TIMED, '--cards'], '"time" has no --cards; it has --json, --style, --pace'],
    [['markdown', BACK_EASE, '--json'], '"markdown" has no --json; it has no flags'],
    [['figure', 'plank', '-o', 'x.svg', '--seed', '3'], '"figure" has no --seed; it has --option,'],
    [['sheet', BACK_EASE, '--day', DAY, '--across'], '"sheet" has no --across'],
  ])('that a command does not have is refused: %j', (argv, said) => {
    expect(() => run(argv, DAY)).toThrow(said);
  });
});

describe('wrenfern schema', () => {
  const ajv = new Ajv2020({ allErrors: true, formats: { date: true } });

  it.each(['plan', 'people', 'exercise', 'wishes'])(
    '%s: the printed one is the documented one',
    (name) => {
      const printed: unknown = JSON.parse(run(['schema', name], DAY));
      expect(printed).toEqual(readExample(`docs/formats/schema/${name}.schema.json`));
    },
  );

  it('accepts the example files, by an independent validator', () => {
    const plan = ajv.compile(schemaOf(Plan));
    expect(plan(readExample(BACK_EASE)), ajv.errorsText(plan.errors)).toBe(true);
    expect(plan(readExample(TIMED)), ajv.errorsText(plan.errors)).toBe(true);
    const people = ajv.compile(schemaOf(People));
    expect(people(readExample(PEOPLE)), ajv.errorsText(people.errors)).toBe(true);
  });

  it('accepts every exercise of the library', () => {
    const exercise = ajv.compile(schemaOf(ExerciseDocument));
    for (const each of builtInExercises) {
      expect(
        exercise(writeExercise(each)),
        `${each.slug}: ${ajv.errorsText(exercise.errors)}`,
      ).toBe(true);
    }
  });

  it('refuses what the reader refuses: a negative dose', () => {
    const plan = ajv.compile(schemaOf(Plan));
    const broken = structuredClone(readExample(TIMED)) as {
      segments: { items: { dose: unknown }[] }[];
    };
    const [item] = broken.segments[0]?.items ?? [];
    if (item) item.dose = { kind: 'repetitions', count: -1 };
    expect(plan(broken)).toBe(false);
  });

  it('knows no others', () => {
    expect(() => run(['schema', 'song'], DAY)).toThrow(Refusal);
  });
});

describe('bad input', () => {
  const refusal = (argv: string[]): string => {
    try {
      run(argv, DAY);
    } catch (error) {
      if (error instanceof Refusal) return error.message;
      throw error;
    }
    throw new Error('nothing was refused');
  };
  const plan = (items: unknown[]) =>
    JSON.stringify({
      format: 'wrenfern-plan/2',
      title: 'T',
      targetS: 600,
      segments: [{ id: 's', name: 'S', items }],
    });

  it.each([
    ['a school that is none', ['order', TIMED, '--school', 'ours'], /--school is one of/],
    ['a seed that is none', ['order', TIMED, '--seed', 'x'], /--seed is a whole number/],
    ['no such command', ['dance'], /unknown command "dance"/],
    ['no file named', ['time'], /"time" wants a file/],
    ['a file too many', ['review', 'a', 'b'], /wants 1 file/],
    ['a style that nobody knows', ['time', TIMED, '--style', 'fast'], /--style is one of slow/],
    ['a length that is none', ['fit', TIMED, '--to', 'long'], /--to is a number of minutes/],
    ['a missing file', ['time', '/nowhere/plan.json'], /there is no file \/nowhere\/plan.json/],
    ['a folder', ['time', folder], /is a folder/],
    ['an unknown flag', ['time', TIMED, '--loud'], /loud/],
  ])('%s', (_name, argv, words) => expect(refusal(argv)).toMatch(words));

  it('says where JSON is broken', () => {
    const path = write('broken.json', '{"format": ');
    expect(refusal(['time', path])).toMatch(/broken.json is not JSON/);
  });

  it('names an unknown slug by its place', () => {
    const path = write('slug.json', plan([{ kind: 'exercise', id: 'a', exercise: 'moon-walk' }]));
    expect(refusal(['time', path])).toContain(
      'segments[0].items[0].exercise: no exercise is called "moon-walk"',
    );
  });

  it('names a negative dose by its place', () => {
    const dose = { kind: 'repetitions', count: -4 };
    const path = write('dose.json', plan([{ kind: 'exercise', id: 'a', exercise: 'plank', dose }]));
    expect(refusal(['time', path])).toContain('segments[0].items[0].dose.count');
  });

  it('refuses an empty document and one of another kind', () => {
    expect(refusal(['time', write('empty.json', '')])).toMatch(/not JSON/);
    expect(refusal(['time', write('list.json', '[]')])).toMatch(/is not a plan/);
    expect(refusal(['options', TIMED, TIMED])).toMatch(/is not a list of people/);
  });

  it('shows how it is used when nothing is asked', () => expect(run([], DAY)).toBe(USAGE));
});

describe('notes and paper', () => {
  it('reads notes line by line and says what it did not understand', () => {
    const path = write('notes.txt', 'Sides:\nclam 10 each\nwobbly bridge\nwater 30 s\n');
    const said = run(['read', path], DAY);
    expect(said).toContain('part      Sides');
    expect(said).toContain('exercise  Clam, 10 each side');
    expect(said).toContain('?         wobbly bridge; like ');
    expect(said).toContain('1 line is not understood and would be left out');
    const plan = Plan.parse(JSON.parse(run(['read', path, '--json'], DAY)));
    expect(plan.segments.map(({ items }) => items.length)).toEqual([2]);
  });

  it('writes Markdown that it reads back', () => {
    const path = write('back.md', run(['markdown', BACK_EASE], DAY));
    const plan = Plan.parse(JSON.parse(run(['read', path, '--json'], DAY)));
    const given = readExample(BACK_EASE) as Plan;
    expect([plan.title, plan.school, plan.targetS]).toEqual([
      given.title,
      given.school,
      given.targetS,
    ]);
    expect(run(['time', write('again.json', JSON.stringify(plan))], DAY)).toBe(
      run(['time', BACK_EASE], DAY),
    );
  });

  it('prints a run sheet with every exercise, its count and its picture', () => {
    const html = run(['sheet', BACK_EASE], DAY);
    const given = Plan.parse(readExample(BACK_EASE));
    const count = given.segments.flatMap(({ items }) => items).length;
    expect(html.match(/<svg/g)).toHaveLength(count);
    expect(html).toContain('Pelvic rock');
    expect(html).not.toMatch(/<script|https?:\/\/(?!www\.w3\.org)/);
  });

  it('prints the gear of a reformer class as bands, each row of the table full', () => {
    const html = run(['sheet', REFORMER, '--set-up'], DAY);
    const rows = html.slice(html.indexOf('<h2>Gear')).match(/<tr><td.*?<\/tr>/g) ?? [];
    const columns = html.match(/<th>(springs|bar|headrest|loops|box|facing)<\/th>/g) ?? [];
    expect(columns.length).toBeGreaterThan(2);
    const cells = rows.flatMap((row) =>
      [...row.matchAll(/rowspan="(\d+)"/g)].map(([, length]) => Number(length)),
    );
    expect(cells.reduce((sum, length) => sum + length)).toBe(rows.length * columns.length);
    expect(html).toMatch(/class="band change"/);
    expect(run(['sheet', BACK_EASE, '--set-up'], DAY)).not.toContain('<h2>Gear');
  });

  it('never prints a caution or a note of the people', () => {
    const people = readExample(PEOPLE) as { name: string; note: string }[];
    for (const more of [[], ['--cards'], ['--set-up']]) {
      const html = run(['sheet', BACK_EASE, '--people', PEOPLE, ...more], DAY);
      for (const { name, note } of people) {
        expect(html).not.toContain(name);
        if (note) expect(html).not.toContain(note);
      }
      expect(html).not.toMatch(/disc|osteo|pregnan|wrist pain/i);
    }
  });

  it('prints the class as one person does it, or tells who there is', () => {
    const [person] = readExample(PEOPLE) as { name: string }[];
    const html = run(['sheet', BACK_EASE, '--people', PEOPLE, '--for', person?.name ?? ''], DAY);
    expect(html).toContain(`<h1>${person?.name}</h1>`);
    const nobody = () => run(['sheet', BACK_EASE, '--people', PEOPLE, '--for', 'Nobody'], DAY);
    expect(nobody).toThrow(`nobody in the file is called "Nobody"; there are ${person?.name}`);
    expect(() => run(['sheet', BACK_EASE, '--for', 'Wim'], DAY)).toThrow('--for needs --people');
  });

  it('writes cards to a file, or says why it can’t', () => {
    const path = join(folder, 'cards.html');
    expect(run(['sheet', TIMED, '--cards', '-o', path], DAY)).toContain('cards of');
    expect(readFileSync(path, 'utf8')).toContain('class="cards on8"');
    expect(() => run(['sheet', TIMED, '-o', '/nowhere/at/all.html'], DAY)).toThrow(Refusal);
  });
});

describe('bin/wrenfern', () => {
  const start = (args: string[], input = '') =>
    spawnSync('bin/wrenfern', args, { input, encoding: 'utf8' });

  it('reads standard input and writes standard output', () => {
    const { status, stdout, stderr } = start(['time', '-'], readFileSync(TIMED, 'utf8'));
    expect(status).toBe(0);
    expect(stderr).toBe('');
    expect(stdout).toBe(`${run(['time', TIMED], DAY)}\n`);
  });

  it('tells a refusal on standard error with exit code 2', () => {
    const { status, stdout, stderr } = start(['time', '-'], '{"format"');
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toMatch(/^wrenfern: standard input is not JSON/);
  });

  it('works from any folder', () => {
    const text = execFileSync(join(process.cwd(), 'bin/wrenfern'), ['catalogue', 'plank'], {
      cwd: folder,
      encoding: 'utf8',
    });
    expect(text).toContain('plank: Plank.');
  });
});
