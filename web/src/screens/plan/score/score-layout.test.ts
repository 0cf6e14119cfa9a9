import { describe, expect, it } from 'vitest';
import { Plan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';
import { layOutScore, spansOf, topAt } from './score-layout.ts';

function layoutOf(parts: string[][]) {
  const plan = Plan.parse({
    format: 'wrenfern-plan/2',
    title: 'T',
    targetS: 1800,
    segments: parts.map((slugs, part) => ({
      id: `part-${part}`,
      name: `Part ${part}`,
      items: slugs.map((exercise, index) => ({
        kind: 'exercise',
        id: `${exercise}-${part}-${index}`,
        exercise,
      })),
    })),
  });
  const timeline = timePlan(plan, builtInCatalogue);
  return { timeline, layout: layOutScore(timeline, plan) };
}

const { timeline, layout } = layoutOf([
  ['breath-three-way', 'pelvic-tilt', 'bridge-roll'],
  ['clam', 'cat-cow', 'bird-dog'],
  ['final-rest', 'return-to-sitting'],
]);

describe('layOutScore', () => {
  it('puts rows and headers under one another without overlap', () => {
    const boxes = [...layout.headers, ...layout.rows].sort((a, b) => a.top - b.top);
    boxes.forEach((box, index) => {
      const next = boxes[index + 1];
      if (next) expect(box.top + box.height).toBeLessThan(next.top);
    });
    expect(boxes[0]?.top).toBe(0);
    const last = boxes.at(-1);
    expect(layout.height).toBeGreaterThanOrEqual((last?.top ?? 0) + (last?.height ?? 0));
  });

  it('makes a longer item no lower than a shorter one', () => {
    const byTime = [...layout.rows].sort((a, b) => a.item.durationS - b.item.durationS);
    byTime.forEach((row, index) => {
      const next = byTime[index + 1];
      if (next) expect(row.height).toBeLessThanOrEqual(next.height);
    });
  });

  it('keeps every row tall enough to read, and none too tall', () => {
    const slugs = builtInExercises.map(({ slug }) => slug);
    const parts = [0, 80, 160, 240].map((from) => slugs.slice(from, from + 80));
    const all = layoutOf(parts).layout;
    expect(all.rows).toHaveLength(slugs.length);
    for (const { height } of all.rows) {
      expect(height).toBeGreaterThanOrEqual(44);
      expect(height).toBeLessThanOrEqual(132);
    }
  });

  it('shows the headers of empty parts', () => {
    const empty = layoutOf([[], []]).layout;
    expect(empty.headers).toHaveLength(2);
    expect(empty.rows).toEqual([]);
  });
});

describe('a bracket', () => {
  const together = { bracket: 'side' };
  const plan = Plan.parse({
    format: 'wrenfern-plan/2',
    title: 'T',
    targetS: 1800,
    brackets: [{ kind: 'series', id: 'side', first: 'right' }],
    segments: [
      {
        id: 'part',
        name: 'Part',
        items: [
          { kind: 'exercise', id: 'tilt', exercise: 'pelvic-tilt' },
          {
            kind: 'exercise',
            id: 'lift',
            exercise: 'side-leg-lift',
            onlySide: 'left',
            ...together,
          },
          { kind: 'exercise', id: 'clam', exercise: 'clam', ...together },
          { kind: 'exercise', id: 'cat', exercise: 'cat-cow' },
        ],
      },
    ],
  });
  const timed = timePlan(plan, builtInCatalogue);
  const laid = layOutScore(timed, plan);
  const [bracket] = laid.brackets;

  it('has one row for each of its items, in the order of the plan', () => {
    expect(laid.rows.map(({ item }) => item.itemId)).toEqual(['tilt', 'lift', 'clam', 'cat']);
    const clam = laid.rows[2];
    const times = timed.items.filter(({ itemId }) => itemId === 'clam');
    expect(times).toHaveLength(2);
    expect(clam?.durationS).toBe(times.reduce((sum, { durationS }) => sum + durationS, 0));
  });

  it('frames its rows and tells when each side begins', () => {
    const inside = laid.rows.slice(1, 3);
    if (!bracket) throw new Error('no bracket');
    for (const { top, height } of inside) {
      expect(top).toBeGreaterThan(bracket.top);
      expect(top + height).toBeLessThan(bracket.foot.top);
    }
    expect(bracket.top + bracket.height).toBeLessThan(laid.rows[3]?.top ?? 0);
    expect(bracket.passes.map(({ words }) => words)).toEqual(['right side', 'left side']);
    const second = timed.items.find(({ pass }) => pass?.number === 2);
    expect(bracket.passes[1]?.startS).toBe(second?.startS);
  });

  it('puts the time of its second pass into its foot', () => {
    if (!bracket) throw new Error('no bracket');
    const { top, height } = bracket.foot;
    const again = timed.items.find(({ itemId, pass }) => itemId === 'clam' && pass?.number === 2);
    const at = topAt(laid, (again?.startS ?? 0) + 10);
    expect(at).toBeGreaterThan(top);
    expect(at).toBeLessThan(top + height);
  });
});

describe('spansOf', () => {
  it('joins neighbours of one position into one bar, and breaks at each change', () => {
    const spans = spansOf(layout.rows, ({ position }) => (position ? [position] : []));
    expect(spans.map(({ label }) => label)).toEqual([
      'supine',
      'side-lying',
      'quadruped',
      'supine',
    ]);
    const [supine] = spans;
    const third = layout.rows[2];
    expect((supine?.top ?? 0) + (supine?.height ?? 0)).toBe(
      (third?.top ?? 0) + (third?.height ?? 0),
    );
  });

  it('sets what is held together side by side', () => {
    const spans = spansOf(layout.rows.slice(0, 2), ({ itemId }) =>
      itemId.startsWith('breath') ? ['ball', 'band'] : ['ball'],
    );
    expect(spans.map(({ label, column, columns }) => [label, column, columns])).toEqual([
      ['ball', 0, 2],
      ['band', 1, 2],
      ['ball', 0, 1],
    ]);
  });

  it('leaves a gap where nothing is held', () => {
    const spans = spansOf(layout.rows.slice(0, 3), ({ itemId }) =>
      itemId.startsWith('pelvic') ? [] : ['ball'],
    );
    expect(spans).toHaveLength(2);
  });
});

describe('topAt', () => {
  it('rises with time, from the first row to the end of the last', () => {
    let before = -1;
    for (let atS = 0; atS <= timeline.totalS; atS += 7) {
      const top = topAt(layout, atS);
      expect(top).toBeGreaterThanOrEqual(before);
      before = top;
    }
    const last = layout.rows.at(-1);
    expect(topAt(layout, timeline.totalS)).toBe((last?.top ?? 0) + (last?.height ?? 0));
  });

  it('is the middle of a row at the middle of its item', () => {
    const row = layout.rows[3];
    if (!row) throw new Error('no row');
    const middle = row.item.startS + row.item.durationS / 2;
    expect(topAt(layout, middle)).toBeCloseTo(row.top + row.height / 2, 6);
  });
});
