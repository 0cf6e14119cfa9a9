import { analyse, type ClassContext } from '@wrenfern/core';
import { Person } from '@wrenfern/core/people/person';
import { Plan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';
import { report, summarise } from './report.ts';

/** A 60-minute class of 35 items for 16 people with the usual mix of cautions. */
const plan = Plan.parse({
  format: 'wrenfern-plan/1',
  title: 'Bench',
  targetS: 3600,
  segments: [0, 1, 2].map((part) => ({
    id: `part-${part}`,
    name: `Part ${part}`,
    items: builtInExercises
      .slice(part * 12, Math.min(35, part * 12 + 12))
      .map(({ slug }, index) => ({
        kind: 'exercise',
        id: `item-${part}-${index}`,
        exercise: slug,
      })),
  })),
});

const CAUTIONS = [
  [],
  ['wrist'],
  ['disc-flexion'],
  ['low-bone-density', 'knee'],
  ['pregnancy-later'],
  [],
];
const context: ClassContext = {
  attendees: Array.from({ length: 16 }, (_, index) => ({
    person: Person.parse({
      id: `person-${index}`,
      name: `Person ${index}`,
      level: 1 + (index % 4),
      cautions: (CAUTIONS[index % CAUTIONS.length] ?? []).map((caution) => ({ caution })),
    }),
  })),
  cupboard: { 'small-ball': 11, cushion: 8 },
  day: '2026-11-25',
  familiar: new Set(builtInExercises.slice(0, 20).map(({ slug }) => slug)),
};

function measure(call: () => unknown, times: number): number[] {
  for (let warm = 0; warm < 50; warm += 1) call();
  return Array.from({ length: times }, () => {
    const before = performance.now();
    call();
    return performance.now() - before;
  });
}

const items = plan.segments.reduce((sum, segment) => sum + segment.items.length, 0);
report(
  `timePlan, ${items} items`,
  summarise(measure(() => timePlan(plan, builtInCatalogue, context), 500)),
  'a frame at 60 Hz: 16.7 ms',
);
report(
  `timing, review, options and props, ${items} items, 16 people`,
  summarise(measure(() => analyse(plan, builtInCatalogue, context), 300)),
  'wanted: median under 5 ms',
);
