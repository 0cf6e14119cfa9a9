import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planFromNotes } from '@wrenfern/core/formats/plan-from-notes';
import { writeMarkdown } from '@wrenfern/core/formats/plan-markdown';
import { readNotes } from '@wrenfern/core/formats/read-notes';
import { Dose } from '@wrenfern/core/movement/dose';
import { PROP_PLACES, PROP_ROLES, PROPS } from '@wrenfern/core/movement/vocabulary';
import { StoredPlan } from '@wrenfern/core/plan/migrate-plan';
import { bracketWords } from '@wrenfern/core/plan/bracket-words';
import { planAsOccurrences, runsOf } from '@wrenfern/core/plan/occurrences';
import { Plan, type Item } from '@wrenfern/core/plan/plan';
import backEase from '../../docs/formats/examples/back-ease-29-minutes.json';
import timedSets from '../../docs/formats/examples/timed-sets-12-minutes.json';
import { builtInCatalogue, builtInExercises } from './index.ts';

const read = (text: string) => readNotes(text, builtInCatalogue);
const first = (text: string) => read(text)[0];

// How teachers scribble a line. Common practice.
const LINES: [line: string, slug: string, dose: object | undefined, options?: number[]][] = [
  ['clam 10 each', 'clam', { kind: 'repetitions', count: 10, sides: 'each' }],
  ['Clams x12', 'clam', { kind: 'repetitions', count: 12, sides: 'each' }],
  ['figure four 30 s', 'figure-four', { kind: 'hold', holdS: 30, sides: 'each' }],
  ['plank 20s twice', 'plank', { kind: 'hold', holdS: 20, count: 2 }],
  ['- Chest lift, 8', 'chest-lift', { kind: 'repetitions', count: 8 }],
  ['3. toe tap 8 alternating', 'toe-tap', { kind: 'repetitions', count: 8, sides: 'alternating' }],
  ['[ ] cat cow', 'cat-cow', undefined],
  ['18:15 Three-way breathing 6 breaths', 'breath-three-way', { kind: 'breaths', count: 6 }],
  ['**Footwork** toes x10', 'footwork', { kind: 'repetitions', count: 10 }, [2]],
  ['footwork heels 10', 'footwork', { kind: 'repetitions', count: 10 }, [1]],
  ['calf raises 12', 'calf-raise', { kind: 'repetitions', count: 12 }],
  ['footwork, options 1, 2', 'footwork', undefined, [1, 2]],
  ['Teaser on the reformer, lying 4', 'reformer-teaser', { kind: 'repetitions', count: 4 }],
];

describe('a scribbled line', () => {
  it.each(LINES)('"%s"', (line, slug, dose, options) => {
    const found = first(line);
    if (found?.kind !== 'exercise') throw new Error(`taken for ${found?.kind ?? 'nothing'}`);
    expect(found.exercise.slug).toBe(slug);
    expect(found.dose).toEqual(dose && Dose.parse(dose));
    expect(found.options).toEqual(options);
    expect(found.rest).toBe('');
  });

  it.each([
    ['Water 40 s', 'Water', 40],
    ['water', 'Water', 60],
    ['Welcome 2 min', 'Welcome', 120],
    ['(pause) Box away, water, 45 s', 'Box away, water', 45],
  ])('"%s" is a pause', (line, label, durationS) => {
    expect(first(line)).toMatchObject({ kind: 'pause', durationS });
    const found = first(line);
    expect(found?.kind === 'pause' ? found.label.toLowerCase() : '').toBe(label.toLowerCase());
  });

  it.each([
    ['## Sides', 'part', { name: 'Sides' }],
    ['Front of the trunk:', 'part', { name: 'Front of the trunk' }],
    ['# Thursday ease', 'title', { title: 'Thursday ease' }],
    ['reformer, 50 min, Classic sequence', 'facts', { machine: 'reformer', minutes: 50 }],
    ['mat; 45 min; led slow', 'facts', { machine: 'mat', style: 'slow' }],
    ['> mind the wrists', 'note', { words: 'mind the wrists' }],
    ['Series left:', 'opens', { bracket: { kind: 'series', first: 'left' } }],
    ['- (series, right first)', 'opens', { bracket: { kind: 'series', first: 'right' } }],
    ['3 rounds:', 'opens', { bracket: { kind: 'rounds', times: 3 } }],
    ['- (end of rounds)', 'closes', {}],
  ])('"%s" is %s', (line, kind, more) => expect(first(line)).toMatchObject({ kind, ...more }));

  it('that names nothing is told, with what is nearest', () => {
    const found = first('shouldr brige x6');
    expect(found?.kind).toBe('unsure');
    const names = found?.kind === 'unsure' ? found.candidates.map(({ slug }) => slug) : [];
    expect(names.some((slug) => slug.includes('bridge'))).toBe(true);
  });

  it('keeps words that it does not understand as a note', () => {
    expect(first('clam 10 mind the top hip')).toMatchObject({
      kind: 'exercise',
      rest: 'mind the top hip',
    });
  });

  it('finds every exercise by its own name and by its slug', () => {
    for (const { name, slug } of builtInExercises) {
      for (const written of [name, slug.replaceAll('-', ' ')]) {
        const found = first(`- ${written}`);
        expect([written, found?.kind === 'exercise' && found.exercise.slug]).toEqual([
          written,
          slug,
        ]);
      }
    }
  });
});

describe('a whole class of notes', () => {
  const text = `Thursday ease
# Thursday ease
mat, 45 min
> knees up first

Arrive:
three way breathing 6
pelvic rock 8
water 30 s

Sides:
clam 10 each
  > top hip forward
wobbly bridge thing`;
  const fallback = {
    title: 'Notes',
    machine: 'reformer',
    school: 'graded-load',
    targetS: 3000,
  } as const;

  it('becomes a plan with its parts, and takes nothing that was not sure', () => {
    const plan = planFromNotes(read(text), new Map(), builtInCatalogue, fallback);
    expect([plan.title, plan.machine, plan.targetS, plan.school]).toEqual([
      'Thursday ease',
      'mat',
      2700,
      'graded-load',
    ]);
    expect(plan.note).toBe('knees up first');
    expect(
      plan.segments.map(({ name, items }) => [
        name,
        items.map((item) => (item.kind === 'pause' ? item.label : item.exercise)),
      ]),
    ).toEqual([
      ['Arrive', ['breath-three-way', 'pelvic-tilt', 'water']],
      ['Sides', ['clam']],
    ]);
    expect(plan.segments[1]?.items[0]?.note).toBe('top hip forward');
  });

  it('takes what somebody chose for a line that was not sure', () => {
    const lines = read(text);
    const unsure = lines.find(({ text: line }) => line === 'wobbly bridge thing');
    expect(unsure?.kind).toBe('unsure');
    const chosen = new Map([[unsure?.line ?? 0, 'bridge-roll']]);
    const plan = planFromNotes(lines, chosen, builtInCatalogue, fallback);
    expect(plan.segments[1]?.items.at(-1)).toMatchObject({ exercise: 'bridge-roll' });
  });
});

/** Ids are given anew when notes are read. */
function withoutIds({ brackets, ...plan }: Plan) {
  return {
    ...plan,
    segments: plan.segments.map((segment) => ({
      name: segment.name,
      runs: runsOf(segment, brackets).map(({ bracket, items }) => ({
        bracket: bracket ? bracketWords(bracket) : '',
        items: items.map(({ id: _id, bracket: _in, ...item }) => item),
      })),
    })),
  };
}

const back = (plan: Plan) =>
  planFromNotes(read(writeMarkdown(plan, builtInCatalogue)), new Map(), builtInCatalogue, {
    title: 'Other',
    machine: 'mat',
    school: 'classic',
    targetS: 300,
  });

describe('Markdown', () => {
  it.each([
    [backEase.title, backEase],
    [timedSets.title, timedSets],
  ])('of %s comes back equal', (_title, example) => {
    const plan = StoredPlan.parse(example);
    expect(withoutIds(back(plan))).toEqual(withoutIds(plan));
  });

  it('of any plan comes back equal', () => {
    const shared = {
      sets: fc.integer({ min: 1, max: 3 }),
      sides: fc.constantFrom('none', 'each', 'alternating', 'left'),
      directions: fc.integer({ min: 1, max: 2 }),
    };
    const dose = fc.oneof(
      fc.record({
        kind: fc.constant('repetitions'),
        count: fc.integer({ min: 1, max: 30 }),
        ...shared,
      }),
      fc.record({ kind: fc.constant('hold'), holdS: fc.integer({ min: 3, max: 90 }), ...shared }),
    );
    const words = fc.stringMatching(/^[a-z][a-z ]{0,18}[a-z]$/);
    const exercise = fc.record(
      {
        kind: fc.constant('exercise' as const),
        exercise: fc.constantFrom(...builtInExercises.map(({ slug }) => slug)),
        dose,
        options: fc.constantFrom([1], [2], [1, 2]),
        teaching: fc.constantFrom('full', 'brief', 'none'),
        restS: fc.integer({ min: 0, max: 600 }),
        gear: fc.constantFrom(
          { springs: { heavy: 2, light: 1 } },
          { bar: 'low', facing: 'head to bar' },
        ),
        props: fc.record(
          {
            added: fc.array(
              fc.record({
                prop: fc.constantFrom(...PROPS),
                place: fc.constantFrom(...PROP_PLACES),
                role: fc.constantFrom(...PROP_ROLES),
                count: fc.integer({ min: 1, max: 4 }),
                optional: fc.constant(false),
              }),
              { minLength: 1, maxLength: 4 },
            ),
            without: fc.uniqueArray(fc.constantFrom(...PROPS), { minLength: 1, maxLength: 4 }),
          },
          { requiredKeys: ['without'] },
        ),
        keeps: fc.constantFrom(['props'], ['shape'], ['props', 'shape']),
        note: words,
        onlySide: fc.constantFrom('left', 'right'),
        bracket: fc.constantFrom('side', 'turns'),
      },
      { requiredKeys: ['kind', 'exercise'] },
    );
    const pause = fc.record({
      kind: fc.constant('pause' as const),
      label: words,
      durationS: fc.integer({ min: 5, max: 1800 }),
    });
    const plans = fc
      .record({
        machine: fc.constantFrom('mat', 'reformer'),
        school: fc.constantFrom('foundations-first', 'timed-sets'),
        minutes: fc.integer({ min: 5, max: 180 }),
        note: words,
        targetS: fc.option(fc.integer({ min: 15, max: 10_800 }), { nil: undefined }),
        parts: fc.array(fc.array(fc.oneof(exercise, pause), { maxLength: 5 }), {
          minLength: 1,
          maxLength: 3,
        }),
      })
      .map(({ parts, minutes, targetS, ...details }) =>
        Plan.parse({
          format: 'wrenfern-plan/2',
          title: 'Any class',
          targetS: minutes * 60,
          ...details,
          brackets: [
            { kind: 'series', id: 'side', first: 'left' },
            { kind: 'rounds', id: 'turns', times: 3 },
          ],
          segments: parts.map((items, part) => ({
            id: `p${part}`,
            name: `Part ${part}`,
            ...(targetS === undefined ? {} : { targetS }),
            items: items.map((item, index) => ({ id: `i${part}-${index}`, ...item }) as Item),
          })),
        }),
      );
    fc.assert(
      fc.property(plans, (plan) => {
        expect(withoutIds(back(plan))).toEqual(withoutIds(plan));
        expect(withoutIds(planAsOccurrences(back(plan)))).toEqual(
          withoutIds(planAsOccurrences(plan)),
        );
      }),
      { numRuns: 120 },
    );
  });

  it('of arbitrary text never throws, and tells every line that is not empty', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 400 }), (text) => {
        const lines = read(text);
        const plan = planFromNotes(lines, new Map(), builtInCatalogue, {
          title: 'T',
          machine: 'mat',
          school: 'classic',
          targetS: 600,
        });
        expect(Plan.safeParse(plan).success).toBe(true);
      }),
      { numRuns: 200 },
    );
  });
});
