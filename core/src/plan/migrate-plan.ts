import { z } from 'zod';
import { Plan } from './plan.ts';
import { COST_IDS } from './school.ts';
import { SCHOOLS } from './schools.ts';

/** A document as it was stored: by any version, and so of any shape. */
type Stored = Record<string, unknown>;

/**
 * One named change to stored plans. `to` is `from + 1` where the format changed; where both are the
 * same, the step mends what an older version of that format left open, and may be taken again.
 */
export interface PlanStep {
  name: string;
  from: number;
  to: number;
  change: (plan: Stored) => Stored;
}

const CURRENT = 2;

/** Every step since the first version, oldest first. A step that was released is never changed. */
const STEPS: readonly PlanStep[] = [
  {
    name: 'schools-know-every-rule',
    from: 1,
    to: 1,
    change: (plan) => ('school' in plan ? { ...plan, school: readSchool(plan.school) } : plan),
  },
  { name: 'ids-are-nobody-elses', from: 1, to: 1, change: renameBornIds },
  // The second form can say series and rounds; what the first says, it says in the same words.
  { name: 'series-and-rounds', from: 1, to: 2, change: (plan) => plan },
];

/** Distrusts the list before it is used: every version is reached, no name stands twice. */
export function checkSteps(steps: readonly PlanStep[], current: number): void {
  const names = new Set(steps.map(({ name }) => name));
  if (names.size !== steps.length) throw new Error('two steps of plan migration have one name');
  let version = 1;
  for (const { name, from, to } of steps) {
    if (from !== version || (to !== from && to !== from + 1)) {
      throw new Error(`step "${name}" of plan migration goes from ${from} to ${to} at ${version}`);
    }
    version = to;
  }
  if (version !== current) throw new Error(`plan migration ends at ${version}, not ${current}`);
}
checkSteps(STEPS, CURRENT);

/** A stored plan as this version writes it; what is no plan comes back as it is, for the schema to refuse. */
export function migratePlan(stored: unknown): unknown {
  if (!isObject(stored)) return stored;
  const version = /^wrenfern-plan\/([1-9][0-9]{0,3})$/.exec(String(stored.format))?.[1];
  if (version === undefined || Number(version) > CURRENT) return stored;
  return STEPS.filter(({ from }) => from >= Number(version)).reduce(
    (plan, step) => ({ ...step.change(plan), format: `wrenfern-plan/${step.to}` }),
    stored,
  );
}

/** A plan that may have been written by an older version: from the database, a device or a file. */
export const StoredPlan = z.preprocess(migratePlan, Plan);

/**
 * A studio's own school, written when there were other costs: those that this version does not know are
 * left out, those it lacks stand as they do in the school that is usual. Rules that it does not name stand
 * as is usual for each.
 */
export function readSchool(school: unknown): unknown {
  if (!isObject(school)) return school;
  const usual = SCHOOLS['foundations-first'];
  return {
    ...school,
    weights: known(school.weights, usual.weights, COST_IDS),
    defaults: known(school.defaults, usual.defaults, Object.keys(usual.defaults)),
    targets: known(school.targets, usual.targets, Object.keys(usual.targets)),
  };
}

function known(part: unknown, usual: object, ids: readonly string[]): unknown {
  if (!isObject(part)) return part;
  const fallback = usual as Stored;
  return Object.fromEntries(
    ids.map((id) => [id, Object.hasOwn(part, id) ? part[id] : fallback[id]]),
  );
}

/** Ids such as "constructor" were allowed once; as keys they are found where nothing was put. */
function renameBornIds(plan: Stored): Stored {
  const renamed = (value: unknown): unknown => {
    if (!isObject(value)) return value;
    const { id, items } = value;
    return {
      ...value,
      ...(typeof id === 'string' && id in Object.prototype
        ? { id: `item-${id.length}-${id.slice(2)}x` }
        : {}),
      ...(Array.isArray(items) ? { items: items.map(renamed) } : {}),
    };
  };
  return Array.isArray(plan.segments) ? { ...plan, segments: plan.segments.map(renamed) } : plan;
}

function isObject(value: unknown): value is Stored {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
