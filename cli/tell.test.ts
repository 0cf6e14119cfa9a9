import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { Plan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { showClock } from '@wrenfern/core/plan/show-time';
import { builtInCatalogue } from '@wrenfern/library';
import { showPath } from './read-json.ts';
import { tellExercise, tellFindings, tellTime } from './tell.ts';

const plan = Plan.parse(
  JSON.parse(readFileSync('docs/formats/examples/back-ease-29-minutes.json', 'utf8')),
);
const timeline = timePlan(plan, builtInCatalogue);
const lines = tellTime(plan, timeline).split('\n');

describe('tellTime', () => {
  it('begins with the title, the total against the target, and how it divides', () => {
    expect(lines[0]).toBe(plan.title);
    expect(lines[1]).toContain(`${showClock(timeline.totalS)} of ${showClock(timeline.targetS)}`);
    expect(lines[2]).toMatch(/work \d+ %, set-up \d+ %, words \d+ %, rest and talk \d+ %/);
  });

  it('names every segment and item in running order', () => {
    const named = [
      ...timeline.segments.map(({ name, startS }) => ({ name, at: startS })),
      ...timeline.items.map(({ name, startS }) => ({ name, at: startS })),
    ];
    for (const { name } of named) expect(lines.some((line) => line.includes(name))).toBe(true);
    const starts = lines.flatMap((line) => {
      const [, minutes, seconds] = /^ {2} *(\d+):(\d\d) {2}[A-Z]/.exec(line) ?? [];
      return minutes && seconds ? [Number(minutes) * 60 + Number(seconds)] : [];
    });
    expect(starts).toEqual(timeline.items.map(({ startS }) => startS));
  });

  it('gives every part a line with its seconds, side, reason and source', () => {
    const parts = timeline.items.flatMap((item) => item.parts);
    const told = lines.filter((line) => /^ {11}/.test(line));
    expect(told).toHaveLength(parts.length);
    parts.forEach((part, index) => {
      expect(told[index]).toContain(showClock(part.durationS));
      expect(told[index]).toContain(`${part.reason} (${part.source})`);
      if (part.side) expect(told[index]).toContain(`, ${part.side}:`);
    });
  });
});

describe('tellFindings', () => {
  it('says so when there are none', () => expect(tellFindings([])).toBe('Nothing to settle.'));

  it('tells rule, sentence, reason and repairs', () => {
    const text = tellFindings([
      {
        rule: 'breath-first',
        kind: 'order',
        binding: true,
        statement: 'S.',
        why: 'Because.',
        key: 'first',
        itemIds: [],
        sentence: 'Plank comes first.',
        repairs: [{ label: 'Begin with breath', edit: { type: 'removeItem', itemId: 'a' } }],
      },
    ]);
    expect(text.split('\n')).toEqual([
      'breath-first: Plank comes first.',
      '  why: Because.',
      '  repair: Begin with breath',
    ]);
  });
});

describe('tellExercise', () => {
  it('shows the ladder, the standard option marked', () => {
    expect(tellExercise(builtInCatalogue.require('plank'))).toBe(
      'plank: Plank. plank, still, hold 30 s\n  1 Forearms and knees → 2 Hands and knees, hips forward → 3 Hands and toes *',
    );
  });
});

describe('showPath', () => {
  it.each([
    [[], 'the document'],
    [['title'], 'title'],
    [['segments', 0, 'items', 12, 'dose', 'count'], 'segments[0].items[12].dose.count'],
  ])('%j reads "%s"', (path, shown) => expect(showPath(path)).toBe(shown));
});
