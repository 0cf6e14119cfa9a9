import { describe, expect, it } from 'vitest';
import { CautionEntry, Person } from './person.ts';
import { boundsOf, restrictionsOf, weekOf } from './restrictions.ts';
import { unitOf } from './asks.ts';
import { CAUTION_IDS, cautionOf } from './cautions/cautions.ts';

const DAY = '2026-11-29';
const entry = (more: object) => CautionEntry.parse(more);
const bound = (more: object, ask: string) =>
  boundsOf(entry(more), DAY).filter((each) => each.ask === ask);
const restriction = (more: object, ask: string) =>
  restrictionsOf({ person: { cautions: [entry(more)] } }, DAY).find((each) => each.ask === ask);

describe('the week', () => {
  const pregnancy = cautionOf('pregnancy');
  const birth = cautionOf('after-birth');
  const wrist = cautionOf('wrist');
  it.each([
    [pregnancy, { due: '2027-03-21' }, 24],
    [pregnancy, { due: '2026-11-29' }, 40],
    [pregnancy, { weeks: 20 }, 20],
    [pregnancy, { weeks: 20, weeksOn: '2026-11-15' }, 22],
    [birth, { since: '2026-10-18' }, 6],
    [pregnancy, {}, undefined],
    [wrist, { since: '2026-10-18' }, undefined],
  ])('of %s', (caution, known, week) => {
    expect(weekOf(known, caution, DAY)).toBe(week);
  });
});

describe('bounds in force', () => {
  it('follow the stage: the belly may press in the first weeks, not later', () => {
    expect(bound({ caution: 'pregnancy', weeks: 8 }, 'bellyPress')).toEqual([]);
    expect(bound({ caution: 'pregnancy', weeks: 20 }, 'bellyPress')).toHaveLength(1);
    expect(bound({ caution: 'pregnancy', weeks: 20 }, 'flatS')).toEqual([
      { ask: 'flatS', limit: 180 },
    ]);
    expect(bound({ caution: 'pregnancy', weeks: 30 }, 'flatS')).toContainEqual({
      ask: 'flatS',
      avoid: 60,
    });
  });

  it('hold for every stage and way while they are not known', () => {
    expect(bound({ caution: 'pregnancy' }, 'flatS')).toContainEqual({ ask: 'flatS', avoid: 60 });
    expect(bound({ caution: 'hip-replacement' }, 'hipBend')).toHaveLength(1);
    expect(bound({ caution: 'hip-replacement' }, 'hipBack')).toHaveLength(1);
    expect(bound({ caution: 'hip-replacement', way: 'anterior' }, 'hipBend')).toEqual([]);
  });

  it('open gate by gate', () => {
    const belly = (gate?: number) =>
      bound(
        { caution: 'belly-surgery', weeks: 20, ...(gate === undefined ? {} : { gate }) },
        'belly',
      ).map(({ avoid }) => avoid)[0];
    expect([belly(), belly(0), belly(1), belly(2), belly(3)]).toEqual([35, 35, 45, 45, 60]);
  });

  it('give way to a release, for what it names, up to how much, and while it holds', () => {
    const release = { ask: 'wrist', by: 'physiotherapist', on: '2026-11-01' };
    const wrist = (change: object) =>
      bound({ caution: 'carpal-tunnel', releases: [{ ...release, ...change }] }, 'wrist');
    expect(wrist({})).toEqual([]);
    expect(wrist({ upTo: 0.3 })).toEqual([{ ask: 'wrist', avoid: 0.3 }]);
    expect(wrist({ on: '2026-11-30' })).toHaveLength(1);
    expect(wrist({ until: '2026-11-28' })).toHaveLength(1);
    expect(bound({ caution: 'carpal-tunnel', releases: [release] }, 'grip')).toHaveLength(1);
  });
});

describe('restrictions', () => {
  it('limit the last tenth under what is avoided', () => {
    expect(restriction({ caution: 'wrist' }, 'wrist')).toMatchObject({ avoid: 0.1, limit: 0.04 });
    expect(restriction({ caution: 'eye-pressure' }, 'hipsHigh')?.limit).toBeCloseTo(16.2, 6);
  });

  it('begin two degrees later next to straight and at a right angle, for a drawing is not more exact', () => {
    expect(restriction({ caution: 'rounding-out' }, 'round low')?.avoid).toBe(6);
    expect(restriction({ caution: 'hip-replacement' }, 'hipBend')?.avoid).toBe(92);
    expect(restriction({ caution: 'arch-sensitive' }, 'arch low')?.avoid).toBe(15);
  });

  it('are on the side that is known, and of a whole body on none', () => {
    expect(restriction({ caution: 'knee', side: 'left' }, 'kneecaps')?.side).toBe('left');
    expect(restriction({ caution: 'knee' }, 'kneecaps')?.side).toBe('either');
    expect(restriction({ caution: 'scoliosis', side: 'left' }, 'loadedTurn')?.side).toBe('either');
  });

  it('keep weight off everybody’s neck', () => {
    const [first, ...rest] = restrictionsOf({ person: { cautions: [] } }, DAY);
    expect(first).toMatchObject({ ask: 'neckWeight' });
    expect(rest).toEqual([]);
  });
});

describe('a body that is taller or shorter', () => {
  const everything = [...CAUTION_IDS].map((caution) => entry({ caution }));
  const of = (statureCm?: number) =>
    restrictionsOf(
      { person: { cautions: everything, ...(statureCm === undefined ? {} : { statureCm }) } },
      DAY,
    );

  it.each([150, 185])('has the same bounds on shares, turning moments and angles: %i cm', (cm) => {
    const shared = (from: ReturnType<typeof of>) => from.filter(({ ask }) => unitOf(ask) !== 'cm');
    expect(shared(of(cm))).toEqual(shared(of()));
    expect(shared(of()).length).toBeGreaterThan(100);
  });

  it('comes to a height sooner when it is tall, by as much as it is taller', () => {
    const hips = (cm?: number) =>
      restrictionsOf(
        {
          person: {
            cautions: [entry({ caution: 'eye-pressure' })],
            ...(cm === undefined ? {} : { statureCm: cm }),
          },
        },
        DAY,
      ).find(({ ask }) => ask === 'hipsHigh')?.avoid;
    expect(hips()).toBe(18);
    expect(hips(170)).toBe(18);
    // By hand: what is 18 cm on 1.87 m is 18 x 170 / 187 on the drawing.
    expect(hips(187)).toBeCloseTo(16.36, 2);
    expect(hips(153)).toBeCloseTo(20, 2);
  });
});

describe('records of before', () => {
  /** Names and fields as they were stored, with what they forbade then. */
  it.each([
    ['low-bone-density', 'loadedRound'],
    ['disc-flexion', 'round low'],
    ['disc-loaded-flexion', 'loadedRound'],
    ['extension-sensitive', 'arch low'],
    ['fused-segments', 'articulates'],
    ['pregnancy-early', 'legs'],
    ['pregnancy-later', 'bellyPress'],
    ['after-birth', 'belly'],
    ['abdominal-separation', 'belly'],
    ['blood-pressure', 'hipsHigh'],
    ['wrist', 'wrist'],
    ['knee', 'kneeBendLoaded'],
    ['shoulder', 'armHigh'],
    ['neck', 'neckFree'],
    ['hip-replacement', 'hipBend'],
    ['hypermobile', 'endShare'],
    ['tight-hips', 'sittingBend'],
    ['sciatica', 'loadedRound'],
    ['rounding-uncomfortable', 'loadedRound'],
  ])('%s is read and still speaks of %s', (caution, ask) => {
    const stored = { caution, since: '2026-01-05', clearedBy: 'doctor', note: 'since spring' };
    const person = Person.parse({ id: 'p', name: 'P', cautions: [stored] });
    expect(person.cautions[0]).toMatchObject({ since: '2026-01-05', note: 'since spring' });
    expect(restrictionsOf({ person }, DAY).map((each) => each.ask)).toContain(ask);
  });

  it('refuses what never was one', () => {
    expect(CautionEntry.safeParse({ caution: 'constructor' }).success).toBe(false);
    expect(CautionEntry.safeParse({ caution: 'gout' }).success).toBe(false);
  });
});
