import type { Machine } from '../movement/vocabulary.ts';
import type { Edit, SingleEdit } from './edits.ts';
import { freshId } from './fresh-id.ts';
import type { Plan, Segment } from './plan.ts';
import { isMixed, otherStation } from './tracks.ts';

/** Changing over, with water and the machines wiped and set. Common practice: 2 to 3 minutes. */
export const USUAL_CHANGE_S = 150;

/**
 * Makes a class one of two groups that change over. What it holds becomes the half at its own place, but for what a
 * class on the mat begins and ends with, which all do together; the half at the other place is still to be filled.
 */
export function makeTwoGroups(plan: Plan): Edit | undefined {
  if (isMixed(plan)) return undefined;
  const { segments, machine } = plan;
  const keepsEnds = machine === 'mat' && segments.length > 2;
  const own = keepsEnds ? segments.slice(1, -1) : segments;
  const taken = { ...plan, segments: [...segments] };
  const part = (id: string, name: string, station?: Machine): Segment => {
    const segment: Segment = {
      id: freshId(taken, id),
      name,
      items: [],
      ...(station ? { station } : {}),
    };
    taken.segments.push(segment);
    return segment;
  };
  const add = (segment: Segment, index: number): SingleEdit => ({
    type: 'addSegment',
    index,
    segment,
  });
  const other = otherStation(machine);
  const half = part('half', other === 'mat' ? 'On the mat' : 'On the machines', other);
  const together = keepsEnds
    ? []
    : [
        add(part('together', 'Together'), 0),
        add(part('together', 'Together again'), segments.length + 1),
      ];
  const edits: SingleEdit[] = [
    {
      type: 'setDetails',
      details: { machine: 'reformer', changeOver: { durationS: USUAL_CHANGE_S } },
    },
    ...own.map(({ id: segmentId }): SingleEdit => ({
      type: 'setStation',
      segmentId,
      station: machine,
    })),
    ...together,
    add(half, 1),
  ];
  return { type: 'together', edits };
}

/** One class for all again; on which of the two places it is to be said. */
export function makeOneGroup(plan: Plan, machine: Machine): Edit | undefined {
  if (!isMixed(plan)) return undefined;
  const apart = plan.segments.filter(({ station }) => station !== undefined);
  const edits: SingleEdit[] = [
    ...apart
      .filter(({ station }) => station !== machine)
      .map(({ id: segmentId }): SingleEdit => ({ type: 'removeSegment', segmentId })),
    ...apart
      .filter(({ station }) => station === machine)
      .map(({ id: segmentId }): SingleEdit => ({ type: 'setStation', segmentId })),
    { type: 'setDetails', details: { machine, changeOver: undefined } },
  ];
  return { type: 'together', edits };
}
