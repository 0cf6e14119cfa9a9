import type { Contact } from './contacts.ts';
import { solveNonNegative, type Equation } from './non-negative.ts';
import { UP, type Vec3 } from './space.ts';

/** A contact with the share of body weight that it carries. */
export interface Support extends Contact {
  share: number;
}

/** A joint that must be held, by what is beyond it. */
export interface Held {
  at: Vec3;
  /** Moment of weight and pulls beyond it, about the level axes ahead and aside; shares of weight × stature. */
  alongX: number;
  alongZ: number;
  /** What it can hold, in the same unit: the stronger, the less its effort counts. */
  strength: number;
  /** Whether a contact carries something beyond it (1), is carried by it (-1), or neither. */
  carries: (contact: Contact) => number;
}

/** What all contacts have to balance: weight less what pulls up, and the moments about the centre. */
export interface Burden {
  centre: Vec3;
  weight: number;
  alongX: number;
  alongZ: number;
}

/**
 * The balance of the whole body counts before everything, the effort of joints after it; of contacts that do
 * alike, the firmer takes more, counted least. Nearer to each other the answer is less exact, farther apart
 * rounding decides.
 */
const BALANCE_WEIGHT = 30;
const EFFORT_WEIGHT = 0.05;
const CHOICE_WEIGHT = 0.005;

/**
 * Shares the weight among the contacts so that none pulls, the whole body balances, and the joints have
 * least to hold, each by its strength. When the weight cannot be balanced (a moving or a held body) the
 * answer is the nearest one, and `balanced` is false.
 */
export function shareWeight(
  contacts: readonly Contact[],
  burden: Burden,
  joints: readonly Held[] = [],
): { supports: Support[]; balanced: boolean } {
  const { centre } = burden;
  const outer = (contact: Contact): number => (contact.on === 'body' ? 0 : 1);
  const up = (contact: Contact): number => outer(contact) * (contact.push ?? UP)[1];
  const ground: Vec3 = [centre[0], 0, centre[2]];
  const turns = (axis: 0 | 2) => (contact: Contact) =>
    outer(contact) * leverOf(contact, ground, axis);
  const equations: Equation[] = [
    {
      factors: contacts.map(up),
      comesTo: burden.weight,
      weight: BALANCE_WEIGHT,
    },
    {
      factors: contacts.map(turns(0)),
      comesTo: burden.alongX,
      weight: BALANCE_WEIGHT,
    },
    {
      factors: contacts.map(turns(2)),
      comesTo: burden.alongZ,
      weight: BALANCE_WEIGHT,
    },
    ...joints.flatMap(({ at, alongX, alongZ, strength, carries }): Equation[] => {
      const signs = contacts.map(carries);
      const lever = (axis: 0 | 2) =>
        contacts.map((contact, index) => (signs[index] ?? 0) * leverOf(contact, at, axis));
      return [
        { factors: lever(0), comesTo: alongX, weight: EFFORT_WEIGHT / strength },
        { factors: lever(2), comesTo: alongZ, weight: EFFORT_WEIGHT / strength },
      ];
    }),
  ];
  const reluctance = contacts.map(({ firmness }) => CHOICE_WEIGHT / Math.sqrt(firmness));
  const shares = solveNonNegative(equations, reluctance);
  const supports = contacts.map((contact, index) => ({ ...contact, share: shares[index] ?? 0 }));
  return { supports, balanced: isBalanced(supports, burden) };
}

/** What a contact's whole push turns about a place, ahead (0) or aside (2). */
export function leverOf({ at, push = UP }: Contact, about: Vec3, axis: 0 | 2): number {
  return (at[axis] - about[axis]) * push[1] - (at[1] - about[1]) * push[axis];
}

/** A centimetre and a half of lever, on a middle body. */
const BALANCED_WITHIN = 0.009;
/** Of body weight: rounding of the shares. */
const CARRIED_WITHIN = 0.02;

function isBalanced(supports: readonly Support[], burden: Burden): boolean {
  let [force, alongX, alongZ] = [0, 0, 0];
  const ground: Vec3 = [burden.centre[0], 0, burden.centre[2]];
  for (const support of supports) {
    const { share, push = UP } = support;
    if (support.on === 'body') continue;
    force += share * push[1];
    alongX += share * leverOf(support, ground, 0);
    alongZ += share * leverOf(support, ground, 2);
  }
  return (
    Math.abs(force - burden.weight) < CARRIED_WITHIN &&
    Math.abs(alongX - burden.alongX) < BALANCED_WITHIN &&
    Math.abs(alongZ - burden.alongZ) < BALANCED_WITHIN
  );
}
