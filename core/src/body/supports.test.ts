import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Contact } from './contacts.ts';
import { shareWeight } from './supports.ts';
import type { Vec3 } from './space.ts';

const at = (x: number, z: number, firmness = 1): Contact =>
  ({ part: 'hands', at: [x, 0, z], firmness, gap: 0 }) as unknown as Contact;

const burden = (centre: Vec3) => ({ centre, weight: 1, alongX: 0, alongZ: 0 });

const shares = (contacts: readonly Contact[], x: number, z = 0) =>
  shareWeight(contacts, burden([x, 0.3, z])).supports.map(({ share }) => share);

describe('shareWeight', () => {
  it('shares a beam on two supports by the law of the lever', () => {
    // By hand: 3 m of 4 m from the first, so a quarter stays on it.
    const [first, second] = shares([at(0, 0), at(4, 0)], 3);
    expect(first).toBeCloseTo(0.25, 3);
    expect(second).toBeCloseTo(0.75, 3);
  });

  it('gives all to the one that stands under the weight', () => {
    expect(shares([at(1, 0)], 1)[0]).toBeCloseTo(1, 3);
  });

  it('shares a table with the weight in its middle evenly', () => {
    const table = [at(0, 0), at(1, 0), at(0, 1), at(1, 1)];
    for (const share of shares(table, 0.5, 0.5)) expect(share).toBeCloseTo(0.25, 3);
  });

  it('gives no more to what is firmer where the lever leaves no choice', () => {
    const [soft = 0, firm = 0] = shares([at(0, -1, 0.2), at(0, 1, 1)], 0);
    expect(soft).toBeCloseTo(firm, 2);
    expect(soft + firm).toBeCloseTo(1, 3);
  });

  it('gives more to what is firmer where both would do', () => {
    const [soft = 0, firm = 0, opposite = 0] = shares(
      [at(0, -1, 0.2), at(0, -1, 1), at(0, 1, 1)],
      0,
    );
    // By the lever half stands on each side; which of two at one place carries it is theirs to share.
    expect(opposite).toBeCloseTo(0.5, 2);
    expect(firm).toBeGreaterThan(soft);
  });

  it('lets no contact pull, and says when nothing can balance', () => {
    const { supports, balanced } = shareWeight([at(0, 0), at(1, 0)], burden([2, 0.3, 0]));
    expect(balanced).toBe(false);
    for (const { share } of supports) expect(share).toBeGreaterThanOrEqual(0);
  });

  it('has no answer without contacts', () => {
    expect(shareWeight([], burden([0, 0, 0]))).toEqual({ supports: [], balanced: false });
  });

  it('finds the one answer of three legs: the barycentric shares', () => {
    const weight = fc.double({ min: 0.05, max: 1, noNaN: true });
    fc.assert(
      fc.property(weight, weight, weight, (a, b, c) => {
        const sum = a + b + c;
        const legs: [number, number][] = [
          [0, 0],
          [1.2, 0.1],
          [0.3, 0.9],
        ];
        const parts = [a / sum, b / sum, c / sum];
        const centre = [0, 1].map((axis) =>
          parts.reduce((total, part, leg) => total + part * (legs[leg]?.[axis] ?? 0), 0),
        );
        const place: Vec3 = [centre[0] ?? 0, 0.2, centre[1] ?? 0];
        const { supports, balanced } = shareWeight(
          legs.map(([x, z]) => at(x, z)),
          burden(place),
        );
        expect(balanced).toBe(true);
        supports.forEach(({ share }, leg) => expect(share).toBeCloseTo(parts[leg] ?? 0, 2));
      }),
    );
  });
});
