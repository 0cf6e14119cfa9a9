import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aidOf } from '@wrenfern/core/body/aids/aids';
import { optionOf } from '@wrenfern/core/movement/exercise';
import { amountOf, askedBy } from '@wrenfern/core/people/asked';
import type { Timeless } from '@wrenfern/core/people/asks';
import { CAUTION_IDS } from '@wrenfern/core/people/cautions/cautions';
import { hitsOf, NO_CLOCK } from '@wrenfern/core/people/hits';
import { remediesFor, sayRemedy, signsIn, type Remedy } from '@wrenfern/core/people/remedies';
import { restrictionsOf } from '@wrenfern/core/people/restrictions';
import { SIGN_IDS, SIGNS, signOf } from '@wrenfern/core/people/signs';
import { askingOf, AS_ASKED, cheapestWay, type How } from '@wrenfern/core/people/ways';
import { builtInCatalogue, builtInExercises } from './index.ts';

const DAY = '2026-11-29';
const RUNS = { numRuns: 150, seed: 20261129 };

const boundsOf = (cautions: readonly (typeof CAUTION_IDS)[number][]) =>
  restrictionsOf(
    {
      person: {
        cautions: cautions.map((caution) => ({ caution, clearedBy: '', note: '' })),
      },
    },
    DAY,
  );

const cases = fc
  .record({
    exercise: fc.constantFrom(...builtInExercises),
    at: fc.nat({ max: 3 }),
    cautions: fc.array(fc.constantFrom(...CAUTION_IDS), { maxLength: 2 }),
    sign: fc.constantFrom(...SIGN_IDS),
  })
  .map(({ exercise, at, cautions, sign }) => {
    const option = (at % exercise.options.length) + 1;
    return { sign, seen: { exercise, option, restrictions: boundsOf(cautions) } };
  });

/** How the same option is done after it; undefined where another option is done, or none. */
function howAfter(remedy: Remedy): How | undefined {
  if (remedy.kind === 'support') return { ...AS_ASKED, aids: [remedy.aid] };
  return remedy.kind === 'smaller' ? { ...AS_ASKED, smaller: true } : undefined;
}

const seenIn = (slug: string, option: number, ...cautions: (typeof CAUTION_IDS)[number][]) => ({
  exercise: builtInCatalogue.require(slug),
  option,
  restrictions: boundsOf(cautions),
});

describe('what is tried for a sign', () => {
  it('takes from the measure that the sign is about, and adds to none of them', () => {
    fc.assert(
      fc.property(cases, ({ sign, seen }) => {
        const asks: readonly Timeless[] = SIGNS.find(({ id }) => id === sign)?.asks ?? [];
        if (asks.length === 0) return;
        const now = optionOf(seen.exercise, seen.option);
        for (const remedy of remediesFor(sign, seen)) {
          const how = howAfter(remedy) ?? (remedy.kind === 'option' ? AS_ASKED : undefined);
          if (!how) continue;
          const after = remedy.kind === 'option' ? optionOf(seen.exercise, remedy.option) : now;
          const [was, is] = [askedBy(now, AS_ASKED), askedBy(after, how)];
          if (!was || !is) throw new Error('it can’t be done');
          const change = asks.map(
            (ask) => (amountOf(is, ask, 'either') ?? 0) - (amountOf(was, ask, 'either') ?? 0),
          );
          const eases =
            remedy.kind === 'support' ? ((aidOf(remedy.aid).eases ?? []) as string[]) : [];
          const isEased = asks.some((ask) => eases.includes(ask));
          expect(isEased || Math.min(...change) < 0).toBe(true);
          if (!isEased) expect(Math.max(...change)).toBeLessThanOrEqual(0);
        }
      }),
      RUNS,
    );
  });

  it('never goes against what is in force for somebody', () => {
    fc.assert(
      fc.property(cases, ({ sign, seen }) => {
        for (const remedy of remediesFor(sign, seen)) {
          if (remedy.kind === 'option') {
            const asking = askingOf(seen.restrictions, 'both ways', NO_CLOCK);
            expect(cheapestWay(optionOf(seen.exercise, remedy.option), asking)).toBeDefined();
          }
          const how = howAfter(remedy);
          if (!how) continue;
          const now = optionOf(seen.exercise, seen.option);
          const asked = askedBy(now, how);
          if (!asked) throw new Error('it can’t be done');
          const hits = hitsOf(now, asked, how.aids, seen.restrictions, 'both ways', NO_CLOCK);
          expect(hits.map(({ effect }) => effect)).not.toContain('avoid');
        }
      }),
      RUNS,
    );
  });

  it('too easy raises one thing at a time: more of it, or the next option', () => {
    fc.assert(
      fc.property(cases, ({ seen }) => {
        const remedies = remediesFor('too-easy', seen);
        expect(remedies[0]).toEqual({ kind: 'more' });
        const others = remedies.slice(1);
        expect(others.length).toBeLessThanOrEqual(1);
        for (const remedy of others) {
          expect(remedy).toEqual({ kind: 'option', option: seen.option + 1 });
        }
      }),
      RUNS,
    );
  });

  it('is of what can be seen there: nobody slumps lying down', () => {
    expect(signsIn(seenIn('toe-tap', 2))).not.toContain('slumps');
    expect(signsIn(seenIn('spine-twist', 2))).toContain('slumps');
    for (const exercise of builtInExercises) {
      const signs = signsIn({ exercise, option: 1, restrictions: [] });
      expect(signs[0]).toBe('stop');
      expect(signs).toContain('too-easy');
    }
  });

  it('is said first, and rest comes last; what is sharp is rest alone', () => {
    for (const sign of SIGN_IDS) {
      const remedies = remediesFor(sign, seenIn('toe-tap', 2));
      expect(signOf(sign).cue.length).toBeGreaterThan(10);
      if (sign === 'stop') expect(remedies).toEqual([{ kind: 'rest' }]);
      else if (sign !== 'too-easy') {
        expect(remedies[0]).toEqual({ kind: 'cue' });
        expect(remedies.at(-1)).toEqual({ kind: 'rest' });
      }
    }
  });

  it.each([
    ['neck-strains', 'hundred', 2, ['under the head']],
    ['slumps', 'spine-twist', 2, ['seat raised']],
    ['wobbles', 'knee-stretch', 2, ['on a wall']],
    ['back-lifts', 'toe-tap', 2, ['foot down']],
  ] as const)('%s in %s: common practice offers a support', (sign, slug, option, words) => {
    const seen = seenIn(slug, option);
    const said = remediesFor(sign, seen)
      .filter(({ kind }) => kind === 'support')
      .map((remedy) => sayRemedy(remedy, seen.exercise));
    expect(said.some((each) => words.some((word) => each.includes(word)))).toBe(true);
  });
});

describe('sayRemedy', () => {
  it.each([
    ['plank', 'half as long'],
    ['clam', 'half as many'],
  ])('says of %s what there is less of', (slug, words) =>
    expect(sayRemedy({ kind: 'fewer' }, builtInCatalogue.require(slug))).toBe(words),
  );
});
