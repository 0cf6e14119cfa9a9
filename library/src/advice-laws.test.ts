import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { analyse } from '@wrenfern/core';
import { aidedOption, MOST_AIDS } from '@wrenfern/core/body/aids/aided-option';
import { AID_IDS, type AidId } from '@wrenfern/core/body/aids/aid';
import { aidOf } from '@wrenfern/core/body/aids/aids';
import { optionOf, type Option } from '@wrenfern/core/movement/exercise';
import { amountOf, askedBy, fittingAids } from '@wrenfern/core/people/asked';
import { isByClock, SIDE_ASKS, WHOLE_ASKS, type Timeless } from '@wrenfern/core/people/asks';
import { CAUTION_IDS, cautionOf, type CautionId } from '@wrenfern/core/people/cautions/cautions';
import type { Caution } from '@wrenfern/core/people/cautions/caution';
import type { Choice } from '@wrenfern/core/people/choice';
import { memberOn } from '@wrenfern/core/people/attendee';
import { chooseOption } from '@wrenfern/core/people/choose-option';
import { offerItem } from '@wrenfern/core/people/offered-item';
import { chooseOptions } from '@wrenfern/core/people/choose-options';
import { classVerdicts } from '@wrenfern/core/people/class-verdict';
import { hitsOf, NO_CLOCK } from '@wrenfern/core/people/hits';
import { CautionEntry, Person } from '@wrenfern/core/people/person';
import { explainReason } from '@wrenfern/core/people/reasons';
import { boundsOf, restrictionsOf } from '@wrenfern/core/people/restrictions';
import { sayChoice } from '@wrenfern/core/people/say-choice';
import { askingOf, AS_ASKED, cheapestWay, COST } from '@wrenfern/core/people/ways';
import { Plan } from '@wrenfern/core/plan/plan';
import { builtInCatalogue, builtInExercises } from './index.ts';

/*
 * Laws of advice, over the whole library and records made by chance with seeds (common practice: what a careful
 * teacher never does, whoever comes).
 */
const DAY = '2026-11-29';
const SCHOOL = 'foundations-first';
const RUNS = { numRuns: 120, seed: 20261129 };

const exercises = fc.constantFrom(...builtInExercises);
const everyOption = builtInExercises.flatMap((exercise) =>
  exercise.options.map((option) => ({ exercise, option })),
);
const options = fc.constantFrom(...everyOption);

const STATES: readonly CautionId[] = CAUTION_IDS.filter((id) => {
  const { eases }: Caution = cautionOf(id);
  return eases !== undefined;
});
/** Words of a record that nobody else may read. */
const CONDITIONS =
  /pregnan|birth|oste|hernia|prolapse|sciatica|scoliosis|replacement|surgery|disc|diabet|falls|dizz/i;

const bodily = CAUTION_IDS.filter((id) => !STATES.includes(id));

const entryOf = (ids: readonly CautionId[]) =>
  fc
    .record({
      caution: fc.constantFrom(...ids),
      side: fc.option(fc.constantFrom('right' as const, 'left' as const), { nil: undefined }),
      weeks: fc.option(fc.integer({ min: 0, max: 40 }), { nil: undefined }),
      gate: fc.option(fc.integer({ min: 0, max: 3 }), { nil: undefined }),
    })
    .map(({ caution, side, weeks, gate }): CautionEntry => ({
      caution,
      clearedBy: '',
      note: '',
      ...(side ? { side } : {}),
      ...(weeks === undefined ? {} : { weeks }),
      ...(gate === undefined ? {} : { gate }),
    }));
const entries = fc.array(entryOf(bodily), { maxLength: 3 });
const levels = fc.integer({ min: 1, max: 4 });

const item = (exercise: string) => ({
  kind: 'exercise' as const,
  id: 'i',
  exercise,
  restS: 0,
  note: '',
});

function choose(slug: string, level: number, cautions: CautionEntry[]): Choice {
  const person = { ...Person.parse({ id: 'p', name: 'P', level }), cautions };
  return chooseOption({ person }, item(slug), builtInCatalogue, DAY, SCHOOL);
}

const restricted = (cautions: readonly CautionEntry[]) =>
  restrictionsOf({ person: { cautions: [...cautions] } }, DAY);

const isAllowed = (option: Option, cautions: readonly CautionEntry[]) =>
  cheapestWay(option, askingOf(restricted(cautions), 'both ways', NO_CLOCK)) !== undefined;

const costOf = (option: Option, cautions: readonly CautionEntry[]) =>
  cheapestWay(option, askingOf(restricted(cautions), 'both ways', NO_CLOCK))?.cost ?? Infinity;

const amounts = (option: Option, aids: readonly AidId[] = []) => {
  const asked = askedBy(option, { aids, smaller: false });
  return (ask: Timeless) => (asked ? amountOf(asked, ask, 'either') : undefined);
};

/** Every choice that was made, on both sides. */
const both = (choice: Choice): Choice[] => (choice.onLeft ? [choice, choice.onLeft] : [choice]);

/** What is avoided in a choice; nothing in a rest, which is tested by itself. */
function avoidedIn(
  choice: Choice,
  slug: string,
  cautions: readonly CautionEntry[],
  drawn: 'as drawn' | 'mirrored' | 'both ways',
) {
  if (choice.kind === 'rest') return [];
  const exercise = builtInCatalogue.require(choice.kind === 'swap' ? choice.exercise : slug);
  const option = optionOf(exercise, choice.option);
  const how = choice.how ?? AS_ASKED;
  const asked = askedBy(option, how);
  if (!asked) throw new Error('it can’t be done so');
  return hitsOf(option, asked, how.aids, restricted(cautions), drawn, NO_CLOCK).filter(
    ({ effect }) => effect === 'avoid',
  );
}

describe('cautions', () => {
  it('one more never widens what is allowed, nor makes it cheaper', () => {
    fc.assert(
      fc.property(options, entries, entryOf(bodily), ({ option }, some, more) => {
        if (isAllowed(option, [...some, more])) expect(isAllowed(option, some)).toBe(true);
        expect(costOf(option, [...some, more])).toBeGreaterThanOrEqual(costOf(option, some));
      }),
      RUNS,
    );
  });

  it('an earlier gate, and a week that is not known, never widen it', () => {
    fc.assert(
      fc.property(options, entryOf(bodily), ({ option }, entry) => {
        const { weeks: _weeks, ...unknown } = entry;
        if (isAllowed(option, [unknown])) expect(isAllowed(option, [entry])).toBe(true);
        const later = { ...entry, gate: 3 };
        if (isAllowed(option, [entry])) expect(isAllowed(option, [later])).toBe(true);
      }),
      RUNS,
    );
  });

  it('a release widens only what it names', () => {
    fc.assert(
      fc.property(entryOf(bodily), (entry) => {
        const bounds = boundsOf(entry, DAY);
        const [first] = bounds;
        if (!first) return;
        const releases = [{ ask: first.ask, by: 'physiotherapist', on: '2026-01-01' }];
        const left = boundsOf({ ...entry, releases }, DAY);
        expect(left).toEqual(bounds.filter(({ ask }) => ask !== first.ask));
      }),
      RUNS,
    );
  });

  it('a release that is over, and an entry that is over or to come, do nothing', () => {
    fc.assert(
      fc.property(entryOf(bodily), (entry) => {
        const bounds = boundsOf(entry, DAY);
        const [first] = bounds;
        if (!first) return;
        const over = { ask: first.ask, by: 'doctor', on: '2026-01-01', until: '2026-02-01' };
        expect(boundsOf({ ...entry, releases: [over] }, DAY)).toEqual(bounds);
        const none = restricted([]);
        expect(restricted([{ ...entry, until: '2026-11-28' }])).toEqual(none);
        expect(restricted([{ ...entry, since: '2026-11-30' }])).toEqual(none);
      }),
      RUNS,
    );
  });

  it('a side that is not known is both', () => {
    fc.assert(
      fc.property(options, entryOf(bodily), ({ option }, { side: _side, ...entry }) => {
        if (!isAllowed(option, [entry])) return;
        for (const side of ['right', 'left'] as const) {
          expect(isAllowed(option, [{ ...entry, side }])).toBe(true);
        }
      }),
      RUNS,
    );
  });

  it('without rounding allows less than without loaded rounding, and that less than a day on which it is uncomfortable', () => {
    const avoids = (id: CautionId, option: Option) => {
      const asked = askedBy(option, AS_ASKED);
      const bounds = restricted([{ caution: id, clearedBy: '', note: '' }]);
      return (
        asked &&
        hitsOf(option, asked, [], bounds, 'both ways', NO_CLOCK).some(
          ({ effect }) => effect === 'avoid',
        )
      );
    };
    for (const { option } of everyOption) {
      if (!avoids('rounding-out', option))
        expect(avoids('loaded-rounding-out', option)).toBe(false);
      if (!avoids('loaded-rounding-out', option))
        expect(avoids('rounding-uncomfortable', option)).toBe(false);
    }
  });
});

describe('what is chosen', () => {
  it('avoids what is avoided: options, stand-ins and their sides', () => {
    fc.assert(
      fc.property(exercises, levels, entries, ({ slug }, level, cautions) => {
        const choice = choose(slug, level, cautions);
        const { dose } = offerItem(item(slug), SCHOOL, builtInCatalogue);
        // A stand-in has sides of its own, whichever side of the exercise it is done for.
        for (const each of both(choice).filter(({ kind }) => kind === 'swap')) {
          expect(avoidedIn(each, slug, cautions, 'both ways')).toEqual([]);
        }
        if (dose.sides === 'each' && choice.onLeft) {
          expect(avoidedIn(choice, slug, cautions, 'as drawn')).toEqual([]);
          expect(avoidedIn(choice.onLeft, slug, cautions, 'mirrored')).toEqual([]);
        } else if (dose.sides === 'none' || dose.sides === 'alternating') {
          expect(avoidedIn(choice, slug, cautions, 'both ways')).toEqual([]);
        }
      }),
      RUNS,
    );
  });

  it('is as asked where there is no caution and no sign', () => {
    fc.assert(
      fc.property(exercises, levels, ({ slug, options: ladder }, level) => {
        expect(choose(slug, level, [])).toMatchObject({
          kind: 'option',
          option: Math.min(level, ladder.length),
        });
        expect(choose(slug, level, [])).not.toHaveProperty('how');
      }),
      RUNS,
    );
  });

  it('is never above one’s level, and a higher level alone never lowers it', () => {
    fc.assert(
      fc.property(
        exercises,
        fc.integer({ min: 1, max: 3 }),
        entries,
        ({ slug }, level, cautions) => {
          const [lower, higher] = [
            choose(slug, level, cautions),
            choose(slug, level + 1, cautions),
          ];
          if (lower.kind !== 'option') return;
          expect(lower.option).toBeLessThanOrEqual(level);
          expect(higher.kind).toBe('option');
          if (higher.kind === 'option' && !higher.how && !lower.how) {
            expect(higher.option).toBeGreaterThanOrEqual(lower.option);
          }
        },
      ),
      RUNS,
    );
  });

  it('is the cheapest that is allowed', () => {
    fc.assert(
      fc.property(exercises, levels, entries, ({ slug, options: ladder }, level, cautions) => {
        const { dose, clock } = offerItem(item(slug), SCHOOL, builtInCatalogue);
        if (dose.sides !== 'none') return;
        const choice = choose(slug, level, cautions);
        if (choice.kind !== 'option') return;
        const asking = askingOf(
          memberOn({ person: { ...Person.parse({ id: 'p', name: 'P', level }), cautions } }, DAY)
            .restrictions,
          'both ways',
          clock,
        );
        const costs = ladder
          .filter(({ number }) => number <= level)
          .map((option) => {
            const way = cheapestWay(option, asking);
            return {
              number: option.number,
              cost: way ? way.cost + COST.rung * (level - option.number) : Infinity,
            };
          });
        const own = costs.find(({ number }) => number === choice.option);
        expect(own?.cost).toBe(Math.min(...costs.map(({ cost }) => cost)));
      }),
      RUNS,
    );
  });

  it('lets each limit act: less range, dose, option, or a support', () => {
    fc.assert(
      fc.property(exercises, levels, entries, ({ slug }, level, cautions) => {
        const choice = choose(slug, level, cautions);
        for (const each of both(choice)) {
          if (each.kind !== 'option') continue;
          const limited = each.reasons.some(
            (reason) => reason.code === 'asks' && reason.option === each.option,
          );
          expect(limited).toBe(each.how !== undefined);
        }
      }),
      RUNS,
    );
  });

  it('so that what was limited, times how much of it is done, is less than as it stands', () => {
    fc.assert(
      fc.property(exercises, levels, entries, ({ slug }, level, cautions) => {
        for (const each of both(choose(slug, level, cautions))) {
          if (each.kind !== 'option' || !each.how) continue;
          const { how } = each;
          const option = optionOf(builtInCatalogue.require(slug), each.option);
          const [before, after] = [askedBy(option, AS_ASKED), askedBy(option, how)];
          if (!before || !after) throw new Error('it can’t be done so');
          for (const reason of each.reasons) {
            if (reason.code !== 'asks' || reason.option !== each.option) continue;
            const { ask, value } = reason;
            if (value === undefined || isByClock(ask)) continue;
            const [was, is] = [before, after].map((asked) => amountOf(asked, ask, 'either') ?? 0);
            const isEased = how.aids.some((aid) =>
              ((aidOf(aid).eases ?? []) as string[]).includes(ask),
            );
            if (!isEased) expect((is ?? 0) * how.dose).toBeLessThan(was ?? 0);
          }
        }
      }),
      RUNS,
    );
  });

  it('is mirrored when what was done last time is', () => {
    const sides = fc.record({ right: levels, left: levels });
    fc.assert(
      fc.property(exercises, levels, sides, ({ slug, dose }, level, { right, left }) => {
        if (dose.sides !== 'each') return;
        const withUsual = (usual: object) =>
          chooseOption(
            {
              person: Person.parse({ id: 'p', name: 'P', level, usualOptions: { [slug]: usual } }),
            },
            item(slug),
            builtInCatalogue,
            DAY,
            SCHOOL,
          );
        const bare = (choice: Choice | undefined) =>
          choice && { ...choice, reasons: [], onLeft: undefined };
        const [one, other] = [withUsual({ right, left }), withUsual({ right: left, left: right })];
        expect(bare(one)).toEqual(bare(other.onLeft ?? other));
        expect(bare(one.onLeft ?? one)).toEqual(bare(other));
      }),
      RUNS,
    );
  });

  it('says of each departure the measure, the bound and when again', () => {
    fc.assert(
      fc.property(exercises, levels, entries, (exercise, level, cautions) => {
        for (const each of both(choose(exercise.slug, level, cautions))) {
          const asks = each.reasons.filter((reason) => reason.code === 'asks');
          if (asks.length === 0) continue;
          for (const reason of asks) {
            expect(reason.bound).toBeGreaterThanOrEqual(0);
            expect(explainReason(reason, exercise).length).toBeGreaterThan(20);
          }
          if (asks.some(({ caution }) => caution)) {
            expect(each.reasons.some(({ code }) => code === 'again')).toBe(true);
          }
        }
      }),
      RUNS,
    );
  });

  it('is mirrored when the record is, where each side is done', () => {
    const other = { right: 'left', left: 'right' } as const;
    const bare = (choice: Choice): unknown => {
      const { reasons: _reasons, onLeft: _left, ...rest } = choice;
      return rest;
    };
    fc.assert(
      fc.property(exercises, levels, entries, ({ slug }, level, cautions) => {
        const { dose } = offerItem(item(slug), SCHOOL, builtInCatalogue);
        if (dose.sides !== 'each') return;
        const flipped = cautions.map((entry) =>
          entry.side ? { ...entry, side: other[entry.side] } : entry,
        );
        const [one, two] = [choose(slug, level, cautions), choose(slug, level, flipped)];
        expect(bare(two)).toEqual(bare(one.onLeft ?? one));
        expect(bare(two.onLeft ?? two)).toEqual(bare(one));
      }),
      RUNS,
    );
  });

  it('leaves one-sided work alone where only the other side is concerned', () => {
    fc.assert(
      fc.property(options, entryOf(bodily), ({ option }, { side: _side, ...entry }) => {
        const asked = askedBy(option, AS_ASKED);
        const bounds = restricted([{ ...entry, side: 'left' }]).filter(
          ({ side }) => side === 'left',
        );
        if (!asked || bounds.length === 0) return;
        const silent = { ...asked, left: asked.left.map(() => 0) };
        expect(hitsOf(option, silent, [], bounds, 'as drawn', NO_CLOCK)).toEqual([]);
      }),
      RUNS,
    );
  });

  it('keeps to what somebody would rather not do, and says so', () => {
    const person = Person.parse({ id: 'p', name: 'P', level: 1, ratherNot: ['kneeling'] });
    const kneeling = builtInExercises.filter(({ options: [first] }) =>
      first ? (amounts(first)('kneecaps') ?? 0) > 0.2 : false,
    );
    expect(kneeling.length).toBeGreaterThan(10);
    for (const exercise of kneeling) {
      const choice = chooseOption({ person }, item(exercise.slug), builtInCatalogue, DAY, SCHOOL);
      const asks = choice.reasons.filter((reason) => reason.code === 'asks');
      expect(asks.map((reason) => explainReason(reason, exercise)).join(' ')).toContain(
        'Rather no kneeling',
      );
      const aids = choice.kind === 'rest' ? [] : (choice.how?.aids ?? []);
      expect(aids).not.toContain('knee-pad');
    }
  });

  it('is the same each time, and its words on a shared screen name no condition', () => {
    fc.assert(
      fc.property(exercises, levels, entries, (exercise, level, cautions) => {
        const [one, two] = [
          choose(exercise.slug, level, cautions),
          choose(exercise.slug, level, cautions),
        ];
        expect(two).toEqual(one);
        expect(sayChoice(one, exercise, builtInCatalogue, exercise.dose)).not.toMatch(CONDITIONS);
      }),
      RUNS,
    );
  });

  it('never lets through what is not known', () => {
    fc.assert(
      fc.property(options, entryOf(bodily), ({ option }, entry) => {
        const asked = askedBy(option, AS_ASKED);
        const bounds = restricted([entry]).filter(({ caution }) => caution !== undefined);
        if (!asked) return;
        const unknown = {
          ...asked,
          whole: asked.whole.map(() => NaN),
          right: asked.right.map(() => NaN),
          left: asked.left.map(() => NaN),
        };
        const timeless = bounds.filter(({ ask }) => !['flatS', 'standS', 'holdS'].includes(ask));
        const hits = hitsOf(option, unknown, [], timeless, 'both ways', NO_CLOCK);
        expect(hits.map(({ effect }) => effect)).toEqual(timeless.map(() => 'avoid'));
      }),
      RUNS,
    );
  });

  it('puts weight on nobody’s head or neck', () => {
    fc.assert(
      fc.property(exercises, levels, entries, ({ slug }, level, cautions) => {
        for (const each of both(choose(slug, level, cautions))) {
          if (each.kind === 'rest') continue;
          const target = builtInCatalogue.require(each.kind === 'swap' ? each.exercise : slug);
          const asked = askedBy(optionOf(target, each.option), each.how ?? AS_ASKED);
          expect(asked && amountOf(asked, 'neckWeight', 'either')).toBeLessThan(0.1);
        }
      }),
      RUNS,
    );
  });
});

describe('supports', () => {
  const aided = fc
    .tuple(options, fc.uniqueArray(fc.constantFrom(...AID_IDS), { minLength: 1, maxLength: 2 }))
    .filter(([{ option }, aids]) => aidedOption(option, aids) !== undefined);

  it('are two at most, and their order is nothing', () => {
    fc.assert(
      fc.property(exercises, levels, entries, ({ slug }, level, cautions) => {
        for (const each of both(choose(slug, level, cautions))) {
          if (each.kind !== 'rest')
            expect(each.how?.aids.length ?? 0).toBeLessThanOrEqual(MOST_AIDS);
        }
      }),
      RUNS,
    );
    fc.assert(
      fc.property(aided, ([{ option }, aids]) => {
        expect(aidedOption(option, [...aids].reverse())).toBe(aidedOption(option, aids));
      }),
      RUNS,
    );
  });

  it('that the studio has not are told, each with what stands in for it', () => {
    const helped = new Set<string>();
    const few = fc.uniqueArray(exercises, {
      minLength: 4,
      maxLength: 8,
      selector: ({ slug }) => slug,
    });
    fc.assert(
      fc.property(few, levels, entries, (chosen, level, cautions) => {
        const items = chosen
          .filter(({ machine }) => machine === 'mat')
          .map(({ slug }) => ({ kind: 'exercise', id: slug, exercise: slug }));
        const segments = [{ id: 'all', name: 'All', items }];
        const plan = Plan.parse({ format: 'wrenfern-plan/2', title: 'T', targetS: 1800, segments });
        const person = { ...Person.parse({ id: 'one', name: 'One', level }), cautions };
        const context = { attendees: [{ person }], cupboard: {}, day: DAY };
        for (const need of analyse(plan, builtInCatalogue, context).props) {
          // The edge of the mat is a pad that nobody lacks.
          const short = need.prop === 'pad' ? 0 : need.inAll;
          expect([need.prop, need.short]).toEqual([need.prop, short]);
          expect(need.standsIn).not.toBe('');
          helped.add(need.prop);
        }
      }),
      {
        ...RUNS,
        numRuns: 60,
        examples: [
          [
            ['bird-dog', 'chest-lift', 'kneeling-hinge', 'clam'].map((slug) =>
              builtInCatalogue.require(slug),
            ),
            2,
            ['knee', 'forward-head'].map((caution) => CautionEntry.parse({ caution })),
          ],
        ],
      },
    );
    // What lies under knees and heads comes from supports alone.
    expect([...helped]).toEqual(expect.arrayContaining(['pad', 'towel']));
  });

  it('never raise what they relieve by a factor', () => {
    for (const { option } of everyOption) {
      const plain = amounts(option);
      for (const id of fittingAids(option)) {
        const withAid = amounts(option, [id]);
        for (const ask of Object.keys(aidOf(id).leaves ?? {}) as Timeless[]) {
          expect(withAid(ask) ?? 0, `${option.name} ${id} ${ask}`).toBeLessThanOrEqual(
            (plain(ask) ?? 0) + 1e-9,
          );
        }
      }
    }
  });

  it('take from what they are for', () => {
    const RELIEVES: [AidId, Timeless][] = [
      ['forearms', 'wrist'],
      ['fists', 'wrist'],
      ['wedge', 'wrist'],
      ['foot-down', 'legs'],
      ['head-in-hands', 'neckFree'],
      ['elbow-bent', 'armHigh'],
      ['seat-on-cushion', 'kneeBend'],
      ['knees-soft', 'legNerve'],
      ['trunk-wedge', 'flat'],
    ];
    for (const [id, ask] of RELIEVES) {
      const fitting = everyOption.filter(({ option }) => fittingAids(option).includes(id));
      expect(fitting.length, id).toBeGreaterThan(3);
      const lower = fitting.filter(
        ({ option }) => (amounts(option, [id])(ask) ?? 0) <= (amounts(option)(ask) ?? 0) + 0.5,
      );
      expect(lower.length / fitting.length, `${id} ${ask}`).toBeGreaterThan(0.9);
    }
  });

  it('put nothing under a head when the hips lift', () => {
    for (const { option } of everyOption) {
      if (fittingAids(option).includes('head-rest')) continue;
      // The other way round: where it fits, the hips lie.
      expect(aidedOption(option, ['head-rest'])).toBeUndefined();
    }
    for (const slug of ['bridge-roll', 'bridge-leg', 'roll-over', 'jack-knife', 'short-spine']) {
      for (const option of builtInCatalogue.require(slug).options) {
        const high = amounts(option)('hipsHigh') ?? 0;
        if (high > 8)
          expect(fittingAids(option), `${slug} ${option.number}`).not.toContain('head-rest');
      }
    }
  });

  it('are measured again: what they add counts', () => {
    const forearms = everyOption.filter(({ option }) => fittingAids(option).includes('forearms'));
    for (const { option } of forearms) {
      if ((amounts(option)('wrist') ?? 0) < 0.1) continue;
      expect(amounts(option, ['forearms'])('elbows') ?? 0, option.name).toBeGreaterThan(0);
    }
  });
});

describe('measures', () => {
  it('a sample between only raises a peak, and a tag only raises a measure', () => {
    for (const { option } of everyOption.slice(0, 40)) {
      const tagged: Option = { ...option, demands: ['belly-pressure', 'weight-on-wrists'] };
      for (const ask of [...WHOLE_ASKS, ...SIDE_ASKS]) {
        const [plain, raised] = [amounts(option)(ask), amounts(tagged)(ask)];
        if (['articulates', 'standsOnMoving', 'impact', 'rolls'].includes(ask)) continue;
        expect(raised ?? Infinity).toBeGreaterThanOrEqual((plain ?? 0) * 0.99 - 0.01);
      }
    }
  });

  it('the wrist is nothing where no hand bears', () => {
    for (const slug of ['chest-lift', 'clam', 'bridge-roll', 'standing-balance', 'footwork']) {
      for (const option of builtInCatalogue.require(slug).options) {
        expect(amounts(option)('wrist'), slug).toBeLessThan(0.04);
      }
    }
  });

  it('loaded rounding is rounding', () => {
    for (const { option } of everyOption) {
      const of = amounts(option);
      if (option.demands.includes('flexion-loaded') || (of('loadedRound') ?? 0) === 0) continue;
      expect(of('roundSum') ?? 0, option.name).toBeGreaterThan(3);
    }
  });
});

describe('the whole class', () => {
  const planOf = (slugs: readonly string[]): Plan =>
    Plan.parse({
      format: 'wrenfern-plan/2',
      title: 'Laws',
      targetS: 1800,
      segments: [
        {
          id: 's',
          name: 'S',
          items: slugs.map((exercise, index) => ({ ...item(exercise), id: `i${index}` })),
        },
      ],
    });
  const verdict = (slugs: readonly string[], cautions: CautionEntry[]) => {
    const attendees = [{ person: { ...Person.parse({ id: 'p', name: 'P', level: 3 }), cautions } }];
    const plan = planOf(slugs);
    const chosen = chooseOptions(plan, attendees, builtInCatalogue, DAY);
    const found = classVerdicts(plan, attendees, chosen, builtInCatalogue, DAY).get('p');
    if (!found) throw new Error('no verdict');
    return found;
  };
  const mat = builtInExercises.filter(({ machine }) => machine === 'mat').map(({ slug }) => slug);
  const classes = fc.array(fc.constantFrom(...mat), { minLength: 3, maxLength: 12 });

  it('is made for nobody who may do nothing of it, and for everybody without a caution', () => {
    expect(
      verdict(['plank', 'clam'], [{ caution: 'fever', clearedBy: '', note: '' }]).verdict,
    ).toBe('not this class');
    expect(
      verdict(['plank', 'clam'], [{ caution: 'persistent-pain', clearedBy: '', note: '' }]).verdict,
    ).toBe('clinician first');
    expect(verdict(['plank', 'clam', 'roll-up'], []).verdict).toBe('yes');
  });

  it('is not bettered by more that is left out', () => {
    const ORDER = ['yes', 'yes, with changes', 'not this class', 'clinician first'];
    fc.assert(
      fc.property(classes, (slugs) => {
        const cautions: CautionEntry[] = [{ caution: 'rounding-out', clearedBy: '', note: '' }];
        const [before, after] = [
          verdict(slugs, cautions),
          verdict([...slugs, 'roll-up', 'spine-stretch'], cautions),
        ];
        expect(after.changes).toBeGreaterThanOrEqual(before.changes);
        if (before.verdict !== 'not this class') {
          expect(ORDER.indexOf(after.verdict)).toBeGreaterThanOrEqual(
            ORDER.indexOf(before.verdict),
          );
        }
      }),
      { ...RUNS, numRuns: 25 },
    );
  });

  it('counts lying flat in one go, not exercise by exercise: late in pregnancy none of it', () => {
    const row = ['breath-three-way', 'pelvic-tilt', 'knee-fold', 'inner-thigh-squeeze'];
    const late: CautionEntry[] = [{ caution: 'pregnancy', weeks: 30, clearedBy: '', note: '' }];
    expect(verdict(row, []).sums.flatOnceS).toBeGreaterThan(60);
    expect(verdict(row, late).sums.flatOnceS).toBeLessThan(60);
    expect(verdict(['clam', 'cat-small'], late).changes).toBe(0);
  });

  it('sums what its items sum to', () => {
    fc.assert(
      fc.property(classes, (slugs) => {
        const cut = Math.floor(slugs.length / 2);
        const [all, one, two] = [
          verdict(slugs, []),
          verdict(slugs.slice(0, cut), []),
          verdict(slugs.slice(cut), []),
        ];
        for (const sum of [
          'flatS',
          'proneS',
          'kneesS',
          'hipsHighS',
          'loadedRounds',
          'impacts',
        ] as const) {
          expect(all.sums[sum]).toBeCloseTo(one.sums[sum] + two.sums[sum], 6);
        }
      }),
      { ...RUNS, numRuns: 25 },
    );
  });
});
