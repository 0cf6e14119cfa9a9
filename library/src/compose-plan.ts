import type { Dose } from '@wrenfern/core/movement/dose';
import type { Machine } from '@wrenfern/core/movement/vocabulary';
import {
  Plan,
  type Bracket,
  type ExerciseItem,
  type Item,
  type PlanDetails,
} from '@wrenfern/core/plan/plan';

type Extra = Partial<Omit<ExerciseItem, 'id' | 'kind' | 'exercise'>>;

/** A bracket that is yet to be named, with what stands in it. */
interface Bracketed {
  name: (id: string) => Bracket;
  items: Item[];
}

/** A plan written by hand in code. Items get ids by slug and place, so that it is the same every time. */
export function composePlan(
  details: Partial<PlanDetails> & { title: string; targetS: number },
  segments: [name: string, items: (Item | Bracketed)[], station?: Machine][],
): Plan {
  let number = 0;
  const brackets: Bracket[] = [];
  const named = (item: Item): Item => {
    number += 1;
    return { ...item, id: `${item.kind === 'exercise' ? item.exercise : 'pause'}-${number}` };
  };
  const lines = (line: Item | Bracketed): Item[] => {
    if ('kind' in line) return [named(line)];
    const bracket = line.name(`together-${brackets.length + 1}`);
    brackets.push(bracket);
    return line.items.map((item) => ({ ...named(item), bracket: bracket.id }));
  };
  const parts = segments.map(([name, items, station]) => ({
    id: name.toLowerCase().replace(/[^a-z0-9]+/g, '-'),
    name,
    ...(station ? { station } : {}),
    items: items.flatMap(lines),
  }));
  return Plan.parse({
    format: 'wrenfern-plan/2',
    ...details,
    segments: parts,
    ...(brackets.length > 0 ? { brackets } : {}),
  });
}

/** All of it on one side, then all of it on the other. */
export function series(items: Item[], first: 'left' | 'right' = 'right'): Bracketed {
  return { name: (id) => ({ kind: 'series', id, first }), items };
}

/** All of it in turn, and again from the top. */
export function rounds(times: number, items: Item[]): Bracketed {
  return { name: (id) => ({ kind: 'rounds', id, times }), items };
}

export function exercise(slug: string, extra: Extra = {}): Item {
  return { kind: 'exercise', id: slug, exercise: slug, restS: 0, note: '', ...extra };
}

export function pause(label: string, durationS: number): Item {
  return { kind: 'pause', id: 'pause', label, durationS, note: '' };
}

const shared = { sets: 1, sides: 'none', directions: 1 } as const;

export const times = (count: number, sides: Dose['sides'] = 'none'): Dose => ({
  kind: 'repetitions',
  count,
  ...shared,
  sides,
});

export const breaths = (count: number): Dose => ({ kind: 'breaths', count, ...shared });

export const twice = (count: number): Dose => ({ ...times(count), sets: 2 });

export const timed = (sides: Dose['sides'] = 'none', onS = 45, offS = 15): Dose => ({
  kind: 'timed',
  onS,
  offS,
  rounds: 1,
  ...shared,
  sides,
});

export const hold = (holdS: number, sides: Dose['sides'] = 'none'): Dose => ({
  kind: 'hold',
  holdS,
  count: 1,
  ...shared,
  sides,
});

export const free = (durationS: number): Dose => ({ kind: 'free', durationS, ...shared });
