import type { Machine } from '../movement/vocabulary.ts';
import type { Plan, School } from './plan.ts';

/** The parts that a class is usually made of, to be filled, renamed or taken out. Common practice. */
const PARTS: Record<Machine, readonly [id: string, name: string][]> = {
  mat: [
    ['arrive', 'Arrive'],
    ['build', 'Build'],
    ['release', 'Release'],
  ],
  reformer: [
    ['arrive', 'Arrive'],
    ['feet', 'Feet'],
    ['trunk', 'Trunk and loops'],
    ['hands', 'Hands and knees'],
    ['upright', 'Kneeling and standing'],
    ['close', 'Close'],
  ],
};

/** Of two groups: what all do together, and a half at each place. */
const HALVES: Plan['segments'] = [
  { id: 'together', name: 'Together', items: [] },
  { id: 'machines', name: 'On the machines', station: 'reformer', items: [] },
  { id: 'mat', name: 'On the mat', station: 'mat', items: [] },
  { id: 'again', name: 'Together again', items: [] },
];

interface Beginning {
  title: string;
  machine: Machine;
  school: School;
  targetS: number;
  /** Of two groups, which then are on both. */
  changeOver?: Plan['changeOver'];
}

/** A class with its parts and nothing in them. */
export function emptyPlan({ title, machine, school, targetS, changeOver }: Beginning): Plan {
  return {
    format: 'wrenfern-plan/2',
    title,
    machine: changeOver ? 'reformer' : machine,
    school,
    targetS,
    note: '',
    ...(changeOver ? { changeOver } : {}),
    segments: changeOver
      ? HALVES.map((half) => ({ ...half, items: [] }))
      : PARTS[machine].map(([id, name]) => ({ id, name, items: [] })),
  };
}

/** Which exercises of a plan don't exist on another machine: told before anybody changes over. */
export function notOn(
  machine: Machine,
  exercises: readonly { slug: string; name: string; machine: Machine }[],
): string[] {
  return [...new Set(exercises.filter((each) => each.machine !== machine).map(({ name }) => name))];
}
