import { describe, expect, it } from 'vitest';
import { analyse } from '../analyse.ts';
import { Person } from '../people/person.ts';
import { Machines } from '../room/machines.ts';
import { makeCatalogue, makeExercise } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { runSheet } from './run-sheet.ts';
import { runSheetHtml } from './run-sheet-html.ts';
import { setUpListHtml } from './set-up-list-html.ts';

type Settings = NonNullable<Parameters<typeof makeExercise>[1]>['options'];
const machine = (slug: string, settings: object) =>
  makeExercise(slug, { machine: 'reformer', options: [{ settings }, { settings }] as Settings });
const catalogue = makeCatalogue([
  machine('press', { springs: { heavy: 2 }, bar: 'middle' }),
  machine('loops', { springs: { medium: 1 }, bar: 'middle', loops: 'short' }),
]);
const machines = Machines.parse({
  springs: [
    { name: 'long <em>', strength: 'heavy', count: 2 },
    { name: 'mid', strength: 'medium', count: 2 },
  ],
});
const people = [
  Person.parse({ id: 'p1', name: 'Wim Dask', note: 'Sailor', springs: 'lighter' }),
  Person.parse({ id: 'p2', name: 'Ada & Co', springs: 'heavier' }),
  Person.parse({ id: 'p3', name: 'Pia Loring', statureCm: 151 }),
];

function sheetOf(withNames: boolean) {
  const plan = makePlan([['press', 'loops']], { machine: 'reformer', title: 'Springs & more' });
  const analysis = analyse(plan, catalogue, {
    attendees: people.map((person) => ({ person })),
    cupboard: {},
    day: '2026-11-30',
    machines,
  });
  return runSheet({
    plan,
    catalogue,
    analysis,
    machines,
    when: 'Monday, 18:15',
    clock: (atS) => `+${Math.round(atS)}`,
    ...(withNames
      ? {
          names: new Map(people.map(({ id, name }) => [id, name])),
          people,
        }
      : {}),
  });
}

describe('a class on paper', () => {
  it('tells day, machine, length and how many come', () => {
    expect(sheetOf(false).facts).toMatch(/^Monday, 18:15 · reformer, \d+ min · 3 coming · likely /);
  });

  it('tells what everyone changes before an exercise, by the studio’s names', () => {
    const [press, loops] = sheetOf(false).parts.flatMap(({ rows }) => rows);
    expect(press?.change).toBe('');
    expect(loops?.change).toBe('springs one mid, loops short');
  });

  it('has the gear as bands, with the clock of each exercise', () => {
    const { parts, rows } = sheetOf(false).gear;
    expect(parts).toEqual(['springs', 'bar', 'loops']);
    expect(rows.map(({ at, bands }) => [at, bands.springs?.words])).toEqual([
      ['+0', 'two long <em>'],
      [expect.stringMatching(/^\+\d+$/), 'one mid'],
    ]);
    expect(rows[0]?.bands.bar?.length).toBe(2);
  });

  it('says who sets the machine otherwise only with names', () => {
    expect(sheetOf(false).ownSettings).toEqual([]);
    expect(sheetOf(true).ownSettings).toEqual([
      { words: 'springs a step heavier', people: ['Ada & Co'] },
      { words: 'springs a step lighter', people: ['Wim Dask'] },
      { words: 'stopper a notch in, loops short', people: ['Pia Loring'] },
    ]);
  });

  it('never takes a name, a spring or a title for markup', () => {
    for (const html of [setUpListHtml(sheetOf(true)), runSheetHtml(sheetOf(true))]) {
      expect(html).toContain('Springs &amp; more');
      expect(html).not.toContain('<em>');
      expect(html).not.toContain('Sailor');
    }
    expect(setUpListHtml(sheetOf(true))).toContain('Ada &amp; Co');
    expect(setUpListHtml(sheetOf(false))).not.toContain('Ada');
  });

  it('tells what is done again in one line, without its picture', () => {
    const together = { bracket: 'turns' };
    const plan = {
      ...makePlan([
        [
          ['press', together],
          ['loops', together],
        ],
      ]),
      brackets: [{ kind: 'rounds', id: 'turns', times: 2 } as const],
    };
    const context = { attendees: [], cupboard: {}, day: '2026-11-30', machines };
    const analysis = analyse(plan, catalogue, context);
    const sheet = runSheet({ plan, catalogue, analysis, machines, when: '' });
    const rows = sheet.parts.flatMap(({ rows: own }) => own);
    expect(rows.map(({ name }) => name)).toEqual([
      'press, round 1 of 2',
      'loops, round 1 of 2',
      'press, round 2 of 2',
      'loops, round 2 of 2',
    ]);
    expect(rows.map(({ exercise }) => exercise !== undefined)).toEqual([true, true, false, false]);
  });

  it('marks a change in the set-up list, and not how the class begins', () => {
    const html = setUpListHtml(sheetOf(false));
    expect(html).toContain('<td class="band" rowspan="1">two long &lt;em&gt;</td>');
    expect(html).toContain('<td class="band change" rowspan="1">one mid</td>');
    expect(html).toContain('<td class="band" rowspan="2">middle</td>');
  });
});
