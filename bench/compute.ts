import { analyse, type ClassContext } from '@wrenfern/core';
import { CAUTION_IDS } from '@wrenfern/core/people/cautions/cautions';
import type { Attendee } from '@wrenfern/core/people/attendee';
import { chooseOptions } from '@wrenfern/core/people/choose-options';
import { Person } from '@wrenfern/core/people/person';
import { Plan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { reviewOrder } from '@wrenfern/core/review/review';
import { measuresOf } from '@wrenfern/core/body/measures/measures-of';
import { drawBody } from '@wrenfern/core/body/figure/draw';
import { fullPose, SHAPE_FAMILIES } from '@wrenfern/core/body/shapes/index';
import { layOutBody } from '@wrenfern/core/body/skeleton';
import { weigh } from '@wrenfern/core/body/statics';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';
import { report, summarise } from './report.ts';

/** A 60-minute class of 35 items, as one might be planned, with a few things left to settle. */
const ORDER = [
  [
    'body-scan',
    'breath-three-way',
    'pelvic-tilt',
    'pelvic-side-tilt',
    'arm-raise-ribs',
    'knee-fold',
  ],
  [
    'toe-tap',
    'inner-thigh-squeeze',
    'pelvic-clock',
    'bridge-roll',
    'chest-lift',
    'single-leg-stretch',
    'dead-bug',
    'criss-cross',
    'knees-to-chest',
    'knee-sway',
    'supine-rotation',
    'clam',
    'side-leg-lift',
    'side-leg-circle',
    'abdominal-draw',
    'cat-cow',
    'bird-dog',
    'plank',
    'plank-step',
    'shell-stretch',
    'breaststroke-prep',
    'swan-prep',
    'spine-twist',
    'half-roll-back',
  ],
  ['hamstring-strap', 'figure-four', 'supine-twist', 'supported-arch', 'final-rest'],
];
const plan = Plan.parse({
  format: 'wrenfern-plan/2',
  title: 'Bench',
  targetS: 3600,
  segments: ORDER.map((slugs, part) => ({
    id: `part-${part}`,
    name: `Part ${part}`,
    items: slugs.map((exercise) => ({ kind: 'exercise', id: `item-${exercise}`, exercise })),
  })),
});

const CAUTIONS = [[], ['wrist'], ['rounding-out'], ['osteoporosis', 'knee'], ['pregnancy'], []];
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
const timeline = timePlan(plan, builtInCatalogue, context);
const retime = (edited: Plan) => timePlan(edited, builtInCatalogue, context);
report(
  `timePlan and review, ${items} items, ${timeline.totalS} s`,
  summarise(
    measure(() => {
      const timed = timePlan(plan, builtInCatalogue, context);
      reviewOrder({ plan, catalogue: builtInCatalogue, timeline: timed, retime });
    }, 300),
  ),
  'wanted: median under 5 ms',
);
report(
  `the same with options and props, ${items} items, 16 people`,
  summarise(measure(() => analyse(plan, builtInCatalogue, context), 300)),
  'a frame at 60 Hz: 16.7 ms',
);

/** A class of so many items, over all of the mat, beginning somewhere. */
function wideClass(count: number, from = 0): Plan {
  const mat = builtInExercises.filter(({ machine }) => machine === 'mat');
  const slug = (index: number) => mat[(from + index) % mat.length]?.slug ?? 'clam';
  const parts = Array.from({ length: Math.ceil(count / 80) }, (_, part) => ({
    id: `part-${part}`,
    name: 'Part',
    items: Array.from({ length: Math.min(80, count - part * 80) }, (__, index) => ({
      kind: 'exercise' as const,
      id: `item-${part}-${index}`,
      exercise: slug(part * 80 + index),
      restS: 0,
      note: '',
    })),
  }));
  return { ...plan, machine: 'mat', segments: parts };
}

/** People of all levels: a third with no caution, the others with one, every fifth with two. */
function peopleOf(count: number, from = 0): Attendee[] {
  const id = (index: number) => CAUTION_IDS[index % CAUTION_IDS.length] ?? 'wrist';
  return Array.from({ length: count }, (_, index) => ({
    person: Person.parse({
      id: `p${index}`,
      name: `Person ${index}`,
      level: 1 + (index % 4),
      cautions: [
        ...(index % 3 === 0 ? [] : [{ caution: id(from + index * 5) }]),
        ...(index % 5 === 0 ? [{ caution: id(from + index * 7 + 1) }] : []),
      ],
    }),
  }));
}

for (const [people, count, wanted] of [
  [16, 35, 'wanted: median under 20 ms'],
  [300, 240, 'wanted: under 2000 ms'],
] as const) {
  const wide = wideClass(count);
  const group = peopleOf(people);
  const choose = () => chooseOptions(wide, group, builtInCatalogue, '2026-11-25');
  const firstAt = performance.now();
  choose();
  const firstMs = performance.now() - firstAt;
  report(`options of ${people} people at ${count} items, cold`, summarise([firstMs]), wanted);
  const others = Array.from({ length: people > 100 ? 2 : 8 }, (_, at) => {
    const [plan, whoever] = [wideClass(count, at * 13 + 5), peopleOf(people, at * 11 + 3)];
    const before = performance.now();
    chooseOptions(plan, whoever, builtInCatalogue, '2026-11-25');
    return performance.now() - before;
  });
  report('another class with other people, for the first time', summarise(others), wanted);
  const again = Array.from({ length: people > 100 ? 4 : 40 }, () => {
    const before = performance.now();
    choose();
    return performance.now() - before;
  });
  report('the same after an edit', summarise(again), wanted);
}

/** The whole library from nothing: every key pose laid out, weighed and drawn. */
function buildLibrary(): number {
  let pictures = 0;
  for (const exercise of builtInExercises) {
    for (const option of exercise.options) {
      for (const pose of option.poses) {
        const body = layOutBody(fullPose(pose));
        weigh(body);
        drawBody(body, exercise.view, option.props);
        pictures += 1;
      }
    }
  }
  return pictures;
}

const coldAt = performance.now();
const pictures = buildLibrary();
report(
  `${builtInExercises.length} exercises, ${pictures} key poses laid out, weighed and drawn, cold`,
  summarise([performance.now() - coldAt]),
  'wanted: under 1500 ms',
);
const measuredAt = performance.now();
const options = builtInExercises.flatMap((exercise) =>
  exercise.options.map((each) => ({ ...each })),
);
options.forEach((option) => measuresOf(option));
report(
  `${options.length} options measured on both sides, between key poses too, cold`,
  summarise([performance.now() - measuredAt]),
  'wanted: under 4000 ms; the app reads them from the compiled library',
);
const shapes = Object.values(SHAPE_FAMILIES).flatMap((family) => Object.keys(family));
let turn = 0;
const nextShape = () => shapes[(turn += 1) % shapes.length] ?? 'plank';
report(
  'one key pose laid out',
  summarise(measure(() => layOutBody(fullPose(nextShape())), 1000)),
  'wanted: under 0.3 ms',
);
report(
  'one key pose laid out, weighed and drawn',
  summarise(
    measure(() => {
      const body = layOutBody(fullPose(nextShape()));
      weigh(body);
      drawBody(body, 'side');
    }, 1000),
  ),
  'a frame at 60 Hz: 16.7 ms',
);
