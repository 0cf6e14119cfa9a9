import type { Timeline } from '../plan/timing/timeline.ts';
import { viewNow, type NowView, type RunState } from './run-class.ts';

/** What would be on the screen at a second of a class that goes just as planned; undefined without items. */
export function viewAt(timeline: Timeline, atS: number): NowView | undefined {
  const within = Math.max(0, Math.min(atS, timeline.totalS));
  const next = timeline.items.findIndex(({ startS }) => startS > within);
  const itemIndex = next < 0 ? timeline.items.length - 1 : Math.max(0, next - 1);
  const item = timeline.items[itemIndex];
  if (!item) return undefined;
  const visit = {
    itemId: item.itemId,
    startedAtMs: item.startS * 1000,
    activeMs: (within - item.startS) * 1000,
  };
  const state: RunState = {
    status: 'running',
    itemIndex,
    visits: [visit],
    activeMs: within * 1000,
    extendedS: new Map(),
    moved: new Map(),
    about: [],
    notes: [],
    unplaced: 0,
  };
  return viewNow(timeline, state);
}
