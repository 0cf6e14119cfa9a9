import type { School, SchoolId } from './plan.ts';
import {
  COST_IDS,
  type CostId,
  type SchoolDefaults,
  type SchoolRules,
  type SchoolTargets,
  type Standing,
} from './school.ts';

const DEFAULTS: SchoolDefaults = {
  pelvis: 'neutral',
  breath: 'patterned',
  bridge: 'articulate',
  stretch: 'after each block',
  picks: 'teacher',
  dose: { kind: 'own' },
  travel: 'down the spine',
};

/** Shares of a usual class. Common practice. */
const TARGETS: SchoolTargets = {
  directionLeast: 0.05,
  directionMost: 0.5,
  supportLeast: 0.08,
  releaseLeast: 0.1,
  heavyMost: 0.25,
  handsMost: 0.2,
};

interface Preset {
  name: string;
  why: string;
  rules?: Record<string, Standing>;
  otherRules?: Standing;
  weights?: Partial<Record<CostId, number>>;
  defaults?: Partial<SchoolDefaults>;
  effortCeiling?: number;
  targets?: Partial<SchoolTargets>;
}

function school(id: SchoolId, preset: Preset): SchoolRules {
  const weights = Object.fromEntries(
    COST_IDS.map((cost) => [cost, preset.weights?.[cost] ?? 1]),
  ) as Record<CostId, number>;
  return {
    id,
    name: preset.name,
    why: preset.why,
    rules: preset.rules ?? {},
    ...(preset.otherRules ? { otherRules: preset.otherRules } : {}),
    weights,
    defaults: { ...DEFAULTS, ...preset.defaults },
    effortCeiling: preset.effortCeiling ?? 4.6,
    targets: { ...TARGETS, ...preset.targets },
  };
}

/** The four schools that ship. Common practice, but for the classic order (named where it is kept). */
export const SCHOOLS: Record<SchoolId, SchoolRules> = {
  'foundations-first': school('foundations-first', {
    name: 'Foundations first',
    why: 'Each movement stands on what was learned before it: breath, then support, then the long way up.',
    rules: { 'one-new-thing': 'should' },
  }),
  'graded-load': school('graded-load', {
    name: 'Graded load, for backs that complain',
    why: 'Strength matters as much as stretch. Small range first, one thing made harder at a time, slowly. Not therapy: persistent pain goes to a clinician.',
    rules: { counter: 'must', 'few-and-again': 'should' },
    weights: { load: 2, jump: 2, effort: 1.5 },
    defaults: {
      bridge: 'hinge',
      stretch: 'at the end',
      dose: { kind: 'counted', least: 8, most: 10 },
    },
    effortCeiling: 3.2,
    targets: { heavyMost: 0.05, releaseLeast: 0.12 },
  }),
  'timed-sets': school('timed-sets', {
    name: 'Timed sets',
    why: 'The clock gives work and change; everyone chooses a level and keeps it for the interval.',
    rules: {
      'by-the-clock': 'should',
      // Everyone keeps to their level; by the clock nothing is taught anew.
      'need-before-use': 'should',
      'pelvis-sequence': 'should',
      'short-before-long': 'should',
      'parts-then-whole': 'should',
      'low-then-high': 'off',
      layers: 'off',
    },
    weights: { 'set-up': 1.5, 'pile-up': 2 },
    defaults: {
      pelvis: 'imprint',
      breath: 'natural',
      stretch: 'at the end',
      picks: 'person',
      dose: { kind: 'timed', onS: 45, offS: 15 },
    },
  }),
  classic: school('classic', {
    name: 'Classic sequence',
    why: 'The published order of 34, few repetitions, transitions as part of the work; left out is what the group is not ready for.',
    otherRules: 'off',
    rules: {
      'classic-order': 'must',
      'as-published': 'should',
      'sides-together': 'must',
      'need-before-use': 'should',
      'wrist-rest': 'should',
      'head-support-out': 'must',
      'few-moves': 'off',
    },
    weights: { 'pile-up': 0, counter: 0, effort: 0, jump: 0, load: 0 },
    defaults: {
      pelvis: 'imprint',
      stretch: 'none',
      dose: { kind: 'counted', least: 3, most: 10 },
    },
    effortCeiling: 5,
    targets: {
      directionLeast: 0,
      directionMost: 1,
      releaseLeast: 0,
      heavyMost: 0.8,
      handsMost: 0.3,
    },
  }),
};

/** The rules of a plan's school: one that ships, by name, or the studio's own, carried whole. */
export function rulesOf(school: School): SchoolRules {
  return typeof school === 'string' ? SCHOOLS[school] : school;
}
