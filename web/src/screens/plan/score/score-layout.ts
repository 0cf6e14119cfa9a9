import { passName } from '@wrenfern/core/plan/bracket-words';
import { runsOf, type Run } from '@wrenfern/core/plan/occurrences';
import type { Bracket, Plan } from '@wrenfern/core/plan/plan';
import type { Timeline, TimedItem } from '@wrenfern/core/plan/timing/timeline';

/** Pixels of one minute, and the least that a row can be read at. */
export const MINUTE_PX = 27;
const ROW_LEAST_PX = 44;
const ROW_MOST_PX = 132;
const HEADER_PX = 32;
const GAP_PX = 4;
/** What tells over a bracket what it is, and under it when each pass begins. */
const BRACKET_HEAD_PX = 22;
const BRACKET_FOOT_PX = 24;

/** An item of the plan, however often it is done. */
export interface ScoreRow {
  /** The first time that it is done. */
  item: TimedItem;
  /** Of all times together. */
  durationS: number;
  top: number;
  height: number;
}

/** A series or rounds: a frame round its rows, told above them and below. */
export interface ScoreBracket {
  bracket: Bracket;
  itemIds: string[];
  segmentId: string;
  top: number;
  height: number;
  foot: { top: number; height: number };
  durationS: number;
  passes: { words: string; startS: number }[];
}

/** A stretch of time and where it stands. */
interface Stretch {
  startS: number;
  endS: number;
  top: number;
  height: number;
}

export interface ScoreHeader {
  segmentId: string;
  name: string;
  durationS: number;
  top: number;
  height: number;
}

export interface ScoreLayout {
  headers: ScoreHeader[];
  rows: ScoreRow[];
  brackets: ScoreBracket[];
  stretches: Stretch[];
  height: number;
}

/** Time runs down: a row is as tall as its minutes, within what can be read. */
export function layOutScore(timeline: Timeline, plan: Plan): ScoreLayout {
  const layout: ScoreLayout = { headers: [], rows: [], brackets: [], stretches: [], height: 0 };
  const times = timesByItem(timeline);
  for (const segment of timeline.segments) {
    const { segmentId, name, durationS } = segment;
    layout.headers.push({ segmentId, name, durationS, top: layout.height, height: HEADER_PX });
    layout.height += HEADER_PX + GAP_PX;
    const planned = plan.segments.find(({ id }) => id === segmentId);
    for (const run of planned ? runsOf(planned, plan.brackets) : []) addRun(layout, run, times);
  }
  layout.stretches.sort((a, b) => a.startS - b.startS);
  return layout;
}

type Times = ReadonlyMap<string, readonly TimedItem[]>;

function timesByItem({ items }: Timeline): Times {
  const times = new Map<string, TimedItem[]>();
  for (const item of items) times.set(item.itemId, [...(times.get(item.itemId) ?? []), item]);
  return times;
}

function addRun(layout: ScoreLayout, { bracket, items }: Run, times: Times): void {
  const { height: top } = layout;
  const done = items.map(({ id }) => times.get(id) ?? []);
  if (bracket) layout.height += BRACKET_HEAD_PX;
  done.forEach((each) => addRow(layout, each));
  const all = done.flat().sort((a, b) => a.startS - b.startS);
  const [first] = all;
  if (!bracket || !first) return;
  const passes = all.filter((item, at) => item.pass?.number !== all[at - 1]?.pass?.number);
  const foot = { top: layout.height, height: BRACKET_FOOT_PX };
  const endS = Math.max(...all.map(({ startS, durationS }) => startS + durationS));
  layout.height += BRACKET_FOOT_PX + 2 * GAP_PX;
  layout.brackets.push({
    bracket,
    itemIds: items.map(({ id }) => id),
    segmentId: first.segmentId,
    top,
    height: foot.top + foot.height - top,
    foot,
    durationS: endS - first.startS,
    passes: passes.map((item) => ({ words: passName(item), startS: item.startS })),
  });
  const again = passes[1];
  if (again) layout.stretches.push({ startS: again.startS, endS, ...foot });
}

function addRow(layout: ScoreLayout, times: readonly TimedItem[]): void {
  const [item] = times;
  if (!item) return;
  const durationS = times.reduce((sum, each) => sum + each.durationS, 0);
  const height = Math.round(
    Math.min(ROW_MOST_PX, Math.max(ROW_LEAST_PX, (durationS / 60) * MINUTE_PX)),
  );
  const { height: top } = layout;
  layout.rows.push({ item, durationS, top, height });
  layout.stretches.push({ startS: item.startS, endS: item.startS + item.durationS, top, height });
  layout.height += height + GAP_PX;
}

export interface Span {
  key: string;
  label: string;
  top: number;
  height: number;
  /** Among those side by side: which one, and of how many. */
  column: number;
  columns: number;
}

/**
 * Bars down a lane: neighbours with the same label are one bar, each change is a visible break.
 * A row may hold several labels; they stand side by side.
 */
export function spansOf(
  rows: readonly ScoreRow[],
  labelsOf: (item: TimedItem) => string[],
): Span[] {
  const spans: (Span & { last: number })[] = [];
  rows.forEach((row, index) => {
    const labels = labelsOf(row.item);
    labels.forEach((label, column) => {
      const open = spans.find(
        (span) =>
          span.label === label &&
          span.last === index - 1 &&
          span.column === column &&
          span.columns === labels.length,
      );
      if (open) {
        open.height = row.top + row.height - open.top;
        open.last = index;
        return;
      }
      spans.push({
        key: `${row.item.itemId} ${label}`,
        label,
        top: row.top,
        height: row.height,
        column,
        columns: labels.length,
        last: index,
      });
    });
  });
  return spans;
}

/** Where a moment of the class stands on the page: in a bracket’s foot from its second pass on. */
export function topAt(layout: ScoreLayout, atS: number): number {
  for (const { startS, endS, top, height } of layout.stretches) {
    if (atS <= endS) {
      const share = endS > startS ? (atS - startS) / (endS - startS) : 0;
      return top + Math.min(1, Math.max(0, share)) * height;
    }
  }
  const last = layout.stretches.at(-1);
  return last ? last.top + last.height : 0;
}
