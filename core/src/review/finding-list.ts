import type { Finding, RuleKind } from './rule.ts';

/** Tells a finding from all others of a class. */
export const findingId = ({ rule, key }: Pick<Finding, 'rule' | 'key'>): string => `${rule} ${key}`;

/** What a finding is about, in a word for its group. */
export const KIND_WORDS: Record<RuleKind, string> = {
  order: 'order',
  coverage: 'what is in it',
  shape: 'shape',
  care: 'care',
  flow: 'flow',
  preference: 'liking',
  load: 'load',
};

export type FindingFilter = 'all' | 'must' | RuleKind;

export function filterFindings(findings: readonly Finding[], filter: FindingFilter): Finding[] {
  if (filter === 'all') return [...findings];
  if (filter === 'must') return findings.filter(({ binding }) => binding);
  return findings.filter(({ kind }) => kind === filter);
}

export interface FindingGroup {
  filter: FindingFilter;
  name: string;
  count: number;
}

/** All, what must hold, then each kind that has any, the fullest first. */
export function groupFindings(findings: readonly Finding[]): FindingGroup[] {
  const kinds = Object.keys(KIND_WORDS) as RuleKind[];
  const byKind = kinds
    .map((kind) => ({
      filter: kind,
      name: KIND_WORDS[kind],
      count: filterFindings(findings, kind).length,
    }))
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.count - a.count);
  const must = filterFindings(findings, 'must').length;
  return [
    { filter: 'all', name: 'all', count: findings.length },
    ...(must > 0 ? [{ filter: 'must' as const, name: 'must hold', count: must }] : []),
    ...byKind,
  ];
}

/** The finding behind or before the focused one, round and round. */
export function stepFinding(
  findings: readonly Finding[],
  focused: string | undefined,
  by: 1 | -1,
): Finding | undefined {
  if (findings.length === 0) return undefined;
  const at = findings.findIndex((finding) => findingId(finding) === focused);
  const next = at < 0 ? (by === 1 ? 0 : findings.length - 1) : at + by;
  return findings[(next + findings.length) % findings.length];
}

/** The finding that speaks of an item most directly: of the fewest items. */
export function findingAbout(findings: readonly Finding[], itemId: string): Finding | undefined {
  return findings
    .filter(({ itemIds }) => itemIds.includes(itemId))
    .reduce<Finding | undefined>(
      (best, each) => (best && best.itemIds.length <= each.itemIds.length ? best : each),
      undefined,
    );
}

export interface Change {
  /** Findings that are there after and were not before, and the reverse. */
  added: Finding[];
  settled: Finding[];
}

export function compareFindings(before: readonly Finding[], after: readonly Finding[]): Change {
  const ids = (list: readonly Finding[]) => new Set(list.map(findingId));
  const [was, is] = [ids(before), ids(after)];
  return {
    added: after.filter((finding) => !was.has(findingId(finding))),
    settled: before.filter((finding) => !is.has(findingId(finding))),
  };
}
