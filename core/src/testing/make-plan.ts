import { Plan, type ExerciseItem } from '../plan/plan.ts';

type Extra = Partial<Omit<ExerciseItem, 'kind' | 'id' | 'exercise'>>;
type Entry = string | [slug: string, extra: Extra] | { pauseS: number };

/** A plan of one segment a list; ids are the slug, or slug-2, slug-3 when it comes again. */
export function makePlan(segments: Entry[][], change: Partial<Plan> = {}): Plan {
  const counts = new Map<string, number>();
  const idOf = (slug: string) => {
    const count = (counts.get(slug) ?? 0) + 1;
    counts.set(slug, count);
    return count === 1 ? slug : `${slug}-${count}`;
  };
  return Plan.parse({
    format: 'wrenfern-plan/2',
    title: 'A class',
    targetS: 1800,
    segments: segments.map((entries, index) => ({
      id: `segment-${index + 1}`,
      name: `Part ${index + 1}`,
      items: entries.map((entry) => {
        if (typeof entry === 'string') {
          return { kind: 'exercise', id: idOf(entry), exercise: entry };
        }
        if (Array.isArray(entry)) {
          const [exercise, extra] = entry;
          return { kind: 'exercise', id: idOf(exercise), exercise, ...extra };
        }
        return { kind: 'pause', id: idOf('pause'), label: 'Pause', durationS: entry.pauseS };
      }),
    })),
    ...change,
  });
}

/** A deep copy that shares nothing with the first. */
export function copyOf(plan: Plan): Plan {
  return JSON.parse(JSON.stringify(plan)) as Plan;
}
