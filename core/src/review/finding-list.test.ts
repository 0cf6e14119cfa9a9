import { describe, expect, it } from 'vitest';
import type { Finding, RuleKind } from './rule.ts';
import {
  compareFindings,
  filterFindings,
  findingAbout,
  groupFindings,
  stepFinding,
} from './finding-list.ts';

const finding = (key: string, kind: RuleKind, binding: boolean): Finding => ({
  rule: 'a-rule',
  kind,
  binding,
  statement: '',
  why: '',
  key,
  itemIds: [],
  sentence: key,
});
const all = [
  finding('a', 'order', true),
  finding('b', 'flow', false),
  finding('c', 'flow', false),
  finding('d', 'care', true),
];
const keys = (list: readonly Finding[]) => list.map(({ key }) => key).join('');

describe('groupFindings', () => {
  it('counts all, what must hold, and each kind, the fullest first', () => {
    expect(groupFindings(all).map(({ name, count }) => `${name} ${count}`)).toEqual([
      'all 4',
      'must hold 2',
      'flow 2',
      'order 1',
      'care 1',
    ]);
  });

  it('says nothing of what there is none of', () => {
    expect(groupFindings([]).map(({ name }) => name)).toEqual(['all']);
  });
});

describe('filterFindings', () => {
  it.each([
    ['all', 'abcd'],
    ['must', 'ad'],
    ['flow', 'bc'],
    ['load', ''],
  ] as const)('%s leaves %s', (filter, left) => {
    expect(keys(filterFindings(all, filter))).toBe(left);
  });
});

describe('stepFinding', () => {
  it.each([
    [undefined, 1, 'a'],
    [undefined, -1, 'd'],
    ['a-rule a', 1, 'b'],
    ['a-rule d', 1, 'a'],
    ['a-rule a', -1, 'd'],
    ['gone', 1, 'a'],
  ] as const)('from %s by %i comes to %s', (focused, by, key) => {
    expect(stepFinding(all, focused, by)?.key).toBe(key);
  });

  it('has nowhere to go without findings', () => {
    expect(stepFinding([], undefined, 1)).toBeUndefined();
  });
});

describe('findingAbout', () => {
  it('is the one that speaks of the item most directly', () => {
    const wide = { ...finding('wide', 'order', true), itemIds: ['one', 'two', 'three'] };
    const close = { ...finding('close', 'flow', false), itemIds: ['two'] };
    expect(findingAbout([wide, close], 'two')?.key).toBe('close');
    expect(findingAbout([wide, close], 'three')?.key).toBe('wide');
    expect(findingAbout([wide, close], 'four')).toBeUndefined();
  });
});

describe('compareFindings', () => {
  it('tells what is new from what is settled', () => {
    const after = [all[0], all[2], finding('e', 'order', true)].filter(
      (each) => each !== undefined,
    );
    const { added, settled } = compareFindings(all, after);
    expect(keys(added)).toBe('e');
    expect(keys(settled)).toBe('bd');
  });
});
