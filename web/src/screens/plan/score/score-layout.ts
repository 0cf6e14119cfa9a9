import type { Timeline, TimedItem } from '@wrenfern/core/plan/timing/timeline';

/** Pixels of one minute, and the least that a row can be read at. */
const MINUTE_PX = 27;
const ROW_LEAST_PX = 44;
const ROW_MOST_PX = 132;
const HEADER_PX = 32;
const GAP_PX = 4;

export interface ScoreRow {
  item: TimedItem;
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
  height: number;
}

/** Time runs down: a row is as tall as its minutes, within what can be read. */
export function layOutScore(timeline: Timeline): ScoreLayout {
  const headers: ScoreHeader[] = [];
  const rows: ScoreRow[] = [];
  let top = 0;
  for (const segment of timeline.segments) {
    headers.push({
      segmentId: segment.segmentId,
      name: segment.name,
      durationS: segment.durationS,
      top,
      height: HEADER_PX,
    });
    top += HEADER_PX + GAP_PX;
    for (const item of segment.items) {
      const height = Math.round(
        Math.min(ROW_MOST_PX, Math.max(ROW_LEAST_PX, (item.durationS / 60) * MINUTE_PX)),
      );
      rows.push({ item, top, height });
      top += height + GAP_PX;
    }
  }
  return { headers, rows, height: top };
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

/** Where a moment of the class stands on the page. */
export function topAt(layout: ScoreLayout, atS: number): number {
  for (const { item, top, height } of layout.rows) {
    if (atS <= item.startS + item.durationS) {
      const share = item.durationS > 0 ? (atS - item.startS) / item.durationS : 0;
      return top + Math.min(1, Math.max(0, share)) * height;
    }
  }
  const last = layout.rows.at(-1);
  return last ? last.top + last.height : 0;
}
