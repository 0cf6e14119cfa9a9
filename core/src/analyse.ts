import type { Catalogue } from './movement/catalogue.ts';
import type { Analysis, ClassContext } from './analysis/class-context.ts';
import { lookAt, type Look } from './analysis/look.ts';
import { lookAtMixed } from './analysis/look-mixed.ts';
import { coverClass, type CoverageLine } from './review/coverage.ts';
import type { Fit } from './fit/fit-to-time.ts';
import type { Finding, OpenFinding, Repair } from './review/rule.ts';
import type { Plan } from './plan/plan.ts';
import { isMixed } from './plan/tracks.ts';

export { timeClass, type Analysis, type ClassContext } from './analysis/class-context.ts';

/** Cheap enough to run on every keystroke. What the catalogue lacks is told, never thrown. */
export function analyse(plan: Plan, catalogue: Catalogue, context: ClassContext): Analysis {
  const { analysis, findings, untold, setAside } = lookInto(plan, catalogue, context);
  return {
    ...analysis,
    findings: findings.map(asData),
    untold,
    setAside: setAside.map(({ finding, reason }) => ({ finding: asData(finding), reason })),
  };
}

function asData({ repairs: _, ...finding }: OpenFinding): Finding {
  return finding;
}

/** What would settle a finding of this plan: each repair was tried and truly does. */
export function repairsOf(
  plan: Plan,
  catalogue: Catalogue,
  context: ClassContext,
  wanted: Pick<Finding, 'rule' | 'key'>,
): readonly Repair[] {
  const { findings } = lookInto(plan, catalogue, context);
  const open = findings.find(({ rule, key }) => rule === wanted.rule && key === wanted.key);
  return open?.repairs() ?? [];
}

/** Everything that a class is made of, against the targets of its school. */
export function balanceOf(plan: Plan, catalogue: Catalogue, context: ClassContext): CoverageLine[] {
  return coverClass(lookInto(plan, catalogue, context).rules);
}

/**
 * What would bring the class to a length: change by change, and the set of changes that costs least. `open` holds the
 * items that can still change, in a class that is being taught.
 */
export function fitClass(
  plan: Plan,
  catalogue: Catalogue,
  context: ClassContext,
  targetS: number,
  open?: ReadonlySet<string>,
): Fit {
  return lookInto(plan, catalogue, context).fit(targetS, open);
}

function lookInto(plan: Plan, catalogue: Catalogue, context: ClassContext): Look {
  return isMixed(plan) ? lookAtMixed(plan, catalogue, context) : lookAt(plan, catalogue, context);
}
